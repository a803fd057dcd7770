'use client'
import { Button } from 'antd'
import { BookLinks } from './BookLinks'

/** Something that is kept, in a line. */
export interface KeptLine {
  id: string
  name: string
  says: string
  books: readonly { id: string; title: string }[]
  /** The room of a book in which it is seen. */
  room: 'interior' | 'pages'
  forget?: () => void
}

/** Things of one kind that are kept, each with where it is used; where there are none, how they come here. */
export function Kept({ title, teach, lines }: { title: string; teach: string; lines: readonly KeptLine[] }) {
  return (
    <section>
      <h2>{title}</h2>
      {!lines.length && <p className="teach">{teach}</p>}
      <ul>
        {lines.map(l => (
          <li key={l.id}>
            <h3>{l.name}</h3>
            <p>
              {l.says} <BookLinks books={l.books} room={l.room} none="No book uses it now." />
            </p>
            {l.forget && (
              <Button size="small" type="link" onClick={l.forget}>
                Forget it
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
