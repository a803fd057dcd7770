'use client'
import type { NavEntry } from '@/core/publication'

/** The contents as reading programs show them. */
export function Contents({
  nav,
  path,
  onGo,
}: {
  nav: readonly NavEntry[]
  path: string
  onGo: (target: string) => void
}) {
  'use memo'
  const current = nav.findIndex(n => n.href.split('#')[0] === path)
  return (
    <nav className="leads" aria-label="Contents of the ebook">
      <h2>Contents</h2>
      <ol>
        {nav.map((n, i) => (
          <li key={i} style={{ paddingLeft: n.depth * 12 }}>
            <button type="button" aria-current={i === current ? 'true' : undefined} onClick={() => onGo(n.href)}>
              {n.title}
            </button>
          </li>
        ))}
      </ol>
    </nav>
  )
}
