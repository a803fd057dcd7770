'use client'
import { Button } from 'antd'
import { showLength } from '@/parts/lengths'
import { usePress } from '@/parts/usePress'
import { BeforeAfter, sideBySide } from './BeforeAfter'

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
      return press.refitOf(bookId, editionId, {
        fitted,
        pages,
        height: sideBySide(),
        ...(outletId ? { outletId } : {}),
      })
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
        <BeforeAfter
          before={{ picture: answer.before, says: `${fitted} pages` }}
          after={{ picture: answer.after, says: `${pages} pages` }}
        />
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
