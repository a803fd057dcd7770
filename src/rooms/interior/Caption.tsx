import type { Edition } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { formatTrim } from '@/core/trade'

/** What is seen: the style with what was changed of it, the trim, the pages; and what went wrong. */
export function Caption({
  name,
  edition,
  leaves,
  pages,
  trouble,
  onStyles,
}: {
  /** Of the style. */
  name: string
  edition: Edition
  leaves: Leaves
  /** Those that are shown. */
  pages: number[]
  trouble: string | undefined
  onStyles: () => void
}) {
  const own = Object.keys(edition.styleChanges ?? {}).length
  return (
    <p className="caption">
      <button type="button" className="stylename" onClick={() => onStyles()}>
        {name}
      </button>
      {own ? `, with ${own === 1 ? 'one change' : `${own} changes`} of your own` : ''} ·{' '}
      {formatTrim(edition.trim ?? '')} · pages{' '}
      {pages
        .filter(p => leaves.pages[p])
        .map(p => leaves.pages[p]!.label)
        .join('–')}{' '}
      of {leaves.pages.length}
      {trouble && (
        <span className="trouble" role="alert">
          {' '}
          {trouble}
        </span>
      )}
    </p>
  )
}
