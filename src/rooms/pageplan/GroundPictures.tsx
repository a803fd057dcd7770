'use client'
import { Select } from 'antd'
import type { Asset, Ground } from '@/core/book'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { FilePick } from '@/parts/FilePick'
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
          <span className="value">
            <Select
              aria-label={`Pictures: ${label.toLowerCase()}`}
              size="small"
              variant="borderless"
              mode="multiple"
              className="patterns"
              popupMatchSelectWidth={false}
              suffixIcon={null}
              placeholder="none yet"
              value={chosen}
              options={[
                ...offered.map(a => ({ value: a.id, label: nameOf(a.id) })),
                { value: BRING, label: 'bring in pictures …' },
              ]}
              tagRender={({ value, onClose }) => (
                <span className="tag" onClick={onClose}>
                  {nameOf(String(value))}
                </span>
              )}
              onChange={(now: string[]) => (now.includes(BRING) ? pick() : onChange({ ...ground, pictures: now }))}
            />
          </span>
        )}
      </FilePick>
      {chosen.length > 1 && ' in turn'}, {chosen.length > 1 ? 'their' : 'its'} darkest{' '}
    </>
  )
}
