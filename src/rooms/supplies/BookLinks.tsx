import Link from 'next/link'
import { Fragment } from 'react'

/** The books in which something stands, each leading there. */
export function BookLinks({
  books,
  room,
  none,
}: {
  books: readonly { id: string; title: string; section?: string; says?: string }[]
  room: 'text' | 'interior' | 'pages' | 'plan'
  none: string
}) {
  if (!books.length) return <>{none}</>
  return (
    <>
      In{' '}
      {books.map((b, i) => (
        <Fragment key={b.id}>
          {i > 0 && ', '}
          <Link
            prefetch={false}
            href={`/book/${encodeURIComponent(b.id)}/${room}${b.section ? `?section=${encodeURIComponent(b.section)}` : ''}`}
          >
            {b.title}
          </Link>
          {b.says && ` (${b.says})`}
        </Fragment>
      ))}
      .
    </>
  )
}
