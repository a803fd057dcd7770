'use client'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useOpenBook } from '@/parts/openBook'
import { WriterOnly } from '@/parts/WriterOnly'
import { AddEdition } from './AddEdition'
import { BegunFrom } from './BegunFrom'
import { EditionPart } from './EditionPart'
import { LeftToDo } from './LeftToDo'
import { NextBook } from './NextBook'
import { TitlePart } from './TitlePart'
import { Words } from './Words'
import './plan.css'

/** The plan: the data that everything uses, the editions with what they are printed as, what is left to do. */
export function PlanRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId)
  const { book, figures } = view
  if (view.missing) return <NoBook />
  return (
    <>
      <main id="room" className="room plan">
        <BookTop bookId={bookId} view={view} stage="plan" />
        {!book && (
          <p className="waiting" role="status">
            Opening the book …
          </p>
        )}
        {book && (
          <div className="sheet">
            <WriterOnly bookId={book.id}>
              <div>
                <BegunFrom book={book} />
                <TitlePart book={book} />
              </div>
            </WriterOnly>
            <div>
              <WriterOnly bookId={book.id}>
                <h2>Editions</h2>
                {!book.editions.length && <p className="quiet">No edition yet: choose below what the book is to be.</p>}
                {book.editions.map(e => (
                  <EditionPart
                    key={e.id}
                    book={book}
                    edition={e}
                    outlets={view.outlets}
                    figures={view.figures?.edition === e.id ? view.figures : undefined}
                  />
                ))}
                <AddEdition book={book} outlets={view.outlets} />
              </WriterOnly>
              <h2>Words</h2>
              <Words book={book} />
              <h2>What is left to do</h2>
              <LeftToDo figures={figures} trouble={view.trouble} />
              <h2>The next book</h2>
              <NextBook book={book} />
            </div>
          </div>
        )}
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={view.settling && figures ? 'settling …' : figures?.findings[0]?.message}
      />
    </>
  )
}
