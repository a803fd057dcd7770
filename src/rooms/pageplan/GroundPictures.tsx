'use client'
import type { Asset, Ground } from '@/core/book'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { FilePick } from '@/parts/FilePick'
import { SeveralValue } from '@/parts/SeveralValue'
import { useSay } from '@/parts/useSay'

const BRING = 'bring in'

/** The pictures of a ground, a page each in turn: some of the book's, others brought in. */
export function GroundPictures({
  bookId,
  assets,
  label,
  ground,
  onChange,
}: {
  bookId: string
  assets: Asset[]
  label: string
  ground: Ground
  onChange: (g: Ground) => void
}) {
  'use memo'
  const say = useSay()
  const chosen = ground.pictures ?? []
  const offered = assets.filter(a => !a.made && a.type !== 'application/pdf')
  const nameOf = (id: string): string => {
    const i = offered.findIndex(a => a.id === id)
    return i < 0 ? 'a picture that is gone' : (offered[i]!.name ?? `picture ${i + 1}`)
  }
  const bring = async (files: File[]): Promise<void> => {
    const found: string[] = []
    // One that is none stops no other: each says for itself what is wrong with it.
    for (const file of files) await bringInPicture(bookId, file).then(a => found.push(a.id), say.failed)
    if (found.length) onChange({ ...ground, pictures: [...chosen, ...found] })
  }
  return (
    <>
      <FilePick
        label={`${label}: pictures from files`}
        accept={pictureTypes}
        multiple
        onPick={files => void bring(files)}
      >
        {pick => (
          <SeveralValue
            label={`Pictures: ${label.toLowerCase()}`}
            none="none yet"
            value={chosen}
            choices={[
              ...offered.map(a => ({ value: a.id, words: nameOf(a.id) })),
              ...chosen.filter(id => !offered.some(a => a.id === id)).map(id => ({ value: id, words: nameOf(id) })),
              { value: BRING, words: 'bring in pictures …' },
            ]}
            onChange={now => (now.includes(BRING) ? pick() : onChange({ ...ground, pictures: now }))}
          />
        )}
      </FilePick>
      {chosen.length > 1 && ' in turn'}, {chosen.length > 1 ? 'their' : 'its'} darkest{' '}
    </>
  )
}
