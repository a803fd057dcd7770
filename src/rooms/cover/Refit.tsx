'use client'
import { Button } from 'antd'

/** The book has more or fewer pages than its cover was fitted to. */
export function Refit({
  fitted,
  pages,
  readOnly,
  onRefit,
}: {
  fitted: number
  pages: number
  readOnly: boolean
  onRefit: () => void
}) {
  return (
    <section className="refit" role="alert">
      <h2>The book has moved on</h2>
      <p>
        This cover was fitted to {fitted} pages; there are {pages} now. Everything placed stays placed.
      </p>
      <Button type="primary" disabled={readOnly} onClick={onRefit}>
        Refit to {pages} pages
      </Button>
    </section>
  )
}
