'use client'
import type { Examined } from '@/core/cover'
import type { PressColour } from '@/core/trade'
import { usePress } from '@/parts/usePress'
import type { CoverView } from '@/workers/answers/covers'

const NAMES: Record<PressColour, string> = { grey: 'greys', rgb: 'RGB', cmyk: 'CMYK', spot: 'inks of their own' }

/** What a file holds that was made elsewhere, in one sentence. */
export function LookedOver({
  bookId,
  editionId,
  outletId,
  cover,
}: {
  bookId: string
  editionId: string
  outletId: string | undefined
  cover: CoverView
}) {
  const { answer, trouble } = usePress(
    async press => press.examinedCover(bookId, editionId, outletId),
    [bookId, editionId, outletId],
    { anew: [cover] },
  )
  if (trouble) return <p>{trouble}</p>
  return answer ? <p className="measured">Looked over: {said(answer)}.</p> : <p role="status">Looking it over …</p>
}

function said({ words, pictures, fonts, colours, seenThrough, folds, barcode }: Examined): string {
  const least = Math.floor(Math.min(...pictures.map(p => p.ppi)))
  return [
    words.length ? `${words.length} ${words.length === 1 ? 'run' : 'runs'} of words` : 'no words that can be read',
    pictures.length
      ? `${pictures.length === 1 ? 'a picture' : `${pictures.length} pictures`} of ${least} pixels an inch${pictures.length > 1 ? ' or more' : ''}`
      : 'no pictures',
    ...(words.length ? [fonts.length ? `${fonts.length} fonts missing` : 'its fonts in it'] : []),
    ...(colours.length ? [`colours in ${colours.map(c => NAMES[c]).join(', ')}`] : []),
    seenThrough ? 'something seen through' : 'nothing seen through',
    ...(barcode && barcode !== 'none' ? [`its barcode says ${barcode}`] : []),
    ...(folds ? [`plain beside ${Math.round(Math.min(folds.left, folds.right) * 100)} % of its folds`] : []),
  ].join(', ')
}
