import Link from 'next/link'
import type { Book } from '@/core/book'

/** The kept phrases and where they go. */
export function Words({ book }: { book: Book }) {
  const words = book.words ?? []
  const research = `/research?book=${encodeURIComponent(book.id)}`
  if (!words.length)
    return (
      <p className="quiet">
        No phrases kept yet. <Link href={research}>Research</Link> shows what readers type, and how crowded it is.
      </p>
    )
  return (
    <>
      <p className="quiet">
        {words.map((w, i) => (
          <span key={w.phrase}>
            {i ? ' · ' : ''}
            <b>{w.phrase}</b>
            {w.place ? ` (${w.place})` : ''}
          </span>
        ))}
      </p>
      <p className="quiet">
        <Link href={research}>To Research</Link>
      </p>
    </>
  )
}
