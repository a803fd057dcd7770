'use client'
import { BookTop, NoBook } from '@/parts/BookTop'
import { useOpenBook } from '@/parts/openBook'
import { Sill, sillOf } from '@/parts/Sill'
import { useCommit } from '@/parts/useCommit'
import { useEarlyLook } from '@/parts/useEarlyLook'
import { readStyle, styleById } from '@/core/pages'
import { changeStyle } from './changeStyle'
import { Pages } from './Pages'
import { valueNames } from '@/parts/valueNames'
import { Unset } from './Unset'
import './interior.css'

/** The interior: the open spread true to the press, the style as notes in its margins, all spreads below. */
export function InteriorRoom({ bookId }: { bookId: string }) {
  const look = useEarlyLook(bookId)
  const view = useOpenBook(bookId, { leaves: true, look: 'print', first: look.first })
  const commit = useCommit(bookId)
  const { book, edition, leaves, figures, was, trouble } = view
  if (view.missing) return <NoBook />
  const change = (path: string, value: number | boolean | string): void => {
    if (!edition) return
    const shipped = readStyle(styleById(edition.style, book?.styles), path)
    void changeStyle(commit, edition.id, { path, value, shipped, words: valueNames[path] ?? path })
  }
  return (
    <>
      <main id="room" className="room interior">
        <BookTop bookId={bookId} view={view} stage="interior" />
        {!leaves && !(trouble && edition) && (
          <p className="waiting" role="status">
            {trouble ?? (book && !edition ? 'This book has no print edition.' : 'Setting the pages …')}
          </p>
        )}
        {!leaves && trouble && book && edition && (
          <Unset book={book} edition={edition} trouble={trouble} onChange={change} onAgain={view.again} />
        )}
        {leaves && edition && book && <Pages view={{ ...view, book, edition, leaves }} look={look} onChange={change} />}
      </main>
      <Sill
        figures={figures ? sillOf(figures, was) : []}
        asks={view.settling && leaves ? 'settling …' : figures?.findings[0]?.message}
      />
    </>
  )
}
