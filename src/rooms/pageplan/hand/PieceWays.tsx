'use client'
import { Button } from 'antd'
import type { ReactNode } from 'react'
import type { InHand } from './useHand'

/** What can be done to any piece: nearer to the front or the back, left again. */
export function PieceWays({
  inHand,
  piece,
  onLeave,
  children,
}: {
  inHand: InHand
  piece: string
  onLeave: () => void
  children?: ReactNode
}) {
  const ordered = !piece.includes('/') || inHand.placedAt(piece)?.home === 'form'
  return (
    <p className="keeping">
      {ordered && !inHand.isLocked(piece) && (
        <>
          <Button size="small" type="link" onClick={() => void inHand.order(piece, 1)}>
            Nearer to the front
          </Button>
          <Button size="small" type="link" onClick={() => void inHand.order(piece, -1)}>
            Nearer to the back
          </Button>
        </>
      )}
      {children}
      <Button size="small" type="link" onClick={onLeave}>
        All of page {inHand.page.label}
      </Button>
    </p>
  )
}
