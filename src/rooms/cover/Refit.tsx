'use client'
import { Button } from 'antd'
import { showLength } from '@/parts/lengths'
import { usePress } from '@/parts/usePress'

/** Height of the two flats that are held side by side, pixels. */
const HEIGHT = 88

/** The book has more or fewer pages than its cover was fitted to: the flat before and after, and what fits no longer. */
export function Refit({
  bookId,
  editionId,
  outletId,
  fitted,
  pages,
  readOnly,
  onRefit,
}: {
  bookId: string
  editionId: string
  outletId: string | undefined
  fitted: number
  pages: number
  readOnly: boolean
  onRefit: () => void
}) {
  const { answer, trouble } = usePress(
    async press => {
      const height = HEIGHT * Math.min(2, devicePixelRatio || 1)
      return press.refitOf(bookId, editionId, { fitted, pages, height, ...(outletId ? { outletId } : {}) })
    },
    [bookId, editionId, outletId, fitted, pages],
  )
  return (
    <section className="refit" role="alert">
      <h2>The book has moved on</h2>
      <p>
        This cover was fitted to {fitted} pages; there are {pages} now
        {answer &&
          `, and the spine goes from ${showLength(answer.refit.spine.from)} to ${showLength(answer.refit.spine.to)}`}
        . Everything placed stays placed; Undo takes it back.
      </p>
      {answer && (
        <div className="beforeafter">
          <Flat picture={answer.before} says={`${fitted} pages`} />
          <Flat picture={answer.after} says={`${pages} pages`} />
        </div>
      )}
      {trouble && <p>{trouble}</p>}
      {answer && answer.refit.noLonger.length > 0 && (
        <ul>
          {answer.refit.noLonger.map(said => (
            <li key={said}>{said}</li>
          ))}
        </ul>
      )}
      <Button type="primary" disabled={readOnly} onClick={onRefit}>
        Refit to {pages} pages
      </Button>
    </section>
  )
}

function Flat({ picture, says }: { picture: ImageBitmap; says: string }) {
  const drawn = (c: HTMLCanvasElement | null): void => {
    if (!c) return
    c.width = picture.width
    c.height = picture.height
    c.getContext('2d')!.drawImage(picture, 0, 0)
  }
  return (
    <figure>
      <canvas ref={drawn} role="img" aria-label={`The flat for ${says}`} />
      <figcaption>{says}</figcaption>
    </figure>
  )
}
