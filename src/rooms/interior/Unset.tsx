'use client'
import { Button } from 'antd'
import type { Book, Edition } from '@/core/book'
import { isStyleChange, styleById, withChanges } from '@/core/pages'
import { MarginNote } from './MarginNote'
import { notes } from './notes'

/** Pages that cannot be set as the style stands: why, with the style's notes beside it, so that it can be put right here. */
export function Unset({
  book,
  edition,
  trouble,
  onChange,
  onAgain,
}: {
  book: Book
  edition: Edition
  trouble: string
  onChange: (path: string, value: number | boolean | string) => void
  onAgain: () => void
}) {
  // What is no value of a style is left out here; what is one is shown, however little room it leaves.
  const style = withChanges(
    styleById(edition.style, book.styles),
    Object.fromEntries(
      Object.entries(edition.styleChanges ?? {}).filter(([path, value]) => isStyleChange(path, value)),
    ),
  )
  const side = (which: 'left' | 'right') =>
    notes
      .filter(n => n.side === which)
      .map(n => (
        <MarginNote
          key={n.id}
          note={n}
          style={style}
          bookId={book.id}
          editionId={edition.id}
          assets={book.assets}
          fonts={book.fonts ?? []}
          onChange={onChange}
        />
      ))
  return (
    <div className="specimen unset">
      <div className="margin">{side('left')}</div>
      <div className="why" role="alert">
        <h2>These pages cannot be set</h2>
        <p>{trouble}</p>
        <p>Change what the notes beside this say, or undo the last change.</p>
        <Button onClick={onAgain}>Try again</Button>
      </div>
      <div className="margin">{side('right')}</div>
    </div>
  )
}
