'use client'
import { Button } from 'antd'
import type { BookRecord } from '@/data/records'

/** The library as one file, or a book as another. */
export function Out({
  books,
  busy,
  onAll,
  onOne,
}: {
  books: readonly BookRecord[]
  busy: boolean
  onAll: () => void
  onOne: (id: string) => void
}) {
  return (
    <section>
      <h2>Out</h2>
      <p className="teach">
        Everything in one file: books with their pictures, listings with the packages as they were sent, the outlets,
        the clock, what you kept in research. The same library gives the same file, byte for byte.
      </p>
      <p>
        <Button type="primary" disabled={busy} onClick={onAll}>
          Back up the whole library
        </Button>
      </p>
      <h3>One book</h3>
      <p className="teach">A project file, for another Porchlight or for safe keeping.</p>
      <ul>
        {books.map(b => (
          <li key={b.id}>
            <span>{b.data.title}</span>
            <Button size="small" disabled={busy} onClick={() => onOne(b.id)} aria-label={`Save ${b.data.title}`}>
              Save
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
