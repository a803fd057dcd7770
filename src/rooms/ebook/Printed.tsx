'use client'
import Link from 'next/link'
import type { Leaves } from '@/core/chain'
import { PageCanvas } from '@/parts/PageCanvas'

/** The printed spread of what is read. */
export function Printed({
  bookId,
  editionId,
  leaves,
  version,
  label,
  width,
}: {
  bookId: string
  editionId: string
  leaves: Leaves
  version: number
  label: string | undefined
  /** CSS pixels that both pages have. */
  width: number
}) {
  const index = leaves.pages.findIndex(p => p.label === label)
  if (index < 0) return <p className="none">No printed page begins here.</p>
  const verso = index % 2 ? index : index - 1
  const scale = width / 2 / leaves.width
  const size = { width: leaves.width * scale, height: leaves.height * scale }
  return (
    <figure className="printed">
      <Link
        href={`/book/${encodeURIComponent(bookId)}/interior?page=${index}`}
        aria-label={`Page ${label} in the interior`}
      >
        {[verso, verso + 1].map(i => (
          <span key={i} style={size} className={i === index ? 'here' : undefined}>
            {leaves.pages[i] && (
              <PageCanvas
                bookId={bookId}
                editionId={editionId}
                index={i}
                version={version}
                width={leaves.width}
                height={leaves.height}
                scale={scale}
                label={`Page ${leaves.pages[i].label}`}
              />
            )}
          </span>
        ))}
      </Link>
      <figcaption>printed on page {label}</figcaption>
    </figure>
  )
}
