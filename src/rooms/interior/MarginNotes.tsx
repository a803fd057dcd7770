'use client'
import type { ReactNode } from 'react'
import type { Asset, OwnFamily } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { MarginNote } from './MarginNote'
import { notes } from './notes'

/** The notes on the style that stand in one margin. */
export function MarginNotes({
  side,
  of,
  children,
}: {
  side: 'left' | 'right'
  of: {
    bookId: string
    editionId: string
    leaves: Leaves
    assets: Asset[]
    fonts: OwnFamily[]
    onChange: (path: string, value: number | boolean | string) => void
  }
  children?: ReactNode
}) {
  const { leaves, ...rest } = of
  return (
    <div className="margin">
      {notes
        .filter(n => n.side === side)
        .map(n => (
          <MarginNote key={n.id} note={n} style={leaves.style} {...rest} />
        ))}
      {children}
    </div>
  )
}
