'use client'
import { useState } from 'react'
import type { CoverDesign, CoverPiece } from '@/core/book'
import { boxInArea, boxOnFlat, type Flat } from '@/core/cover'
import { useCommit } from '@/parts/useCommit'
import {
  added,
  called,
  type ChangeDesign,
  type ChangePiece,
  copied,
  laid,
  type NewPiece,
  outlined,
  pictured,
  without,
  withPiece,
} from './coverChanges'
import type { Ways } from './PieceWays'

/** The author's hand on the cover: which piece it holds, and what it does. */
export interface CoverHand {
  chosen: string | undefined
  choose: (id: string | undefined) => void
  change: ChangeDesign
  onPiece: (id: string) => ChangePiece
  add: (what: NewPiece, panel: CoverPiece['panel']) => void
  addPicture: (asset: string, panel: CoverPiece['panel']) => void
  addOutline: (path: string, panel: CoverPiece['panel']) => void
  ways: Ways
  /** A key on the flat; whether it meant anything there. */
  key: (e: { key: string; shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => boolean
}

/** Whether a piece is held where it is, as the design has it now: what is shown may be a moment older. */
const isHeld = ({ pieces }: CoverDesign, id: string): boolean => !!pieces.find(p => p.id === id)?.locked

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
/** Points that a piece is moved by. */
const STEP = 1
const FAR = 10

export function useCoverHand(
  bookId: string,
  /** As it is written, which may be newer than what is drawn. */
  design: CoverDesign | undefined,
  { flat, begin, readOnly }: { flat: Flat | undefined; begin: string | undefined; readOnly: boolean },
): CoverHand {
  const commit = useCommit(bookId)
  const [chosen, choose] = useState<string | undefined>(begin)
  const pieces = design?.pieces ?? []
  const at = pieces.findIndex(p => p.id === chosen)
  const piece = pieces[at]

  const change: ChangeDesign = (label, patch, merge = false) => {
    if (!design || readOnly) return
    void commit(label, r => ({ cover: patch(r.cover ?? design) }), merge)
  }
  /** A step that makes a piece, and takes it into the hand. */
  const make = (label: string, of: (d: CoverDesign) => { design: CoverDesign; id: string }): void => {
    if (!design) return
    change(label, d => of(d).design)
    choose(of(design).id)
  }
  const onPiece =
    (id: string): ChangePiece =>
    (label, patch, merge) =>
      change(label, d => withPiece(d, id, patch), merge)
  const move = ([dx, dy]: [number, number], by: number): void => {
    const on = piece && flat && boxOnFlat(flat, piece)
    if (!piece || !on || piece.locked) return
    const moved = boxInArea(flat, piece, { ...on, x: on.x + dx * by, y: on.y + dy * by })!
    onPiece(piece.id)(`Move the ${called(piece)}`, { box: { ...piece.box, x: moved.x, y: moved.y } }, true)
  }
  const out = (): void => {
    if (!piece) return
    change(`Take the ${called(piece)} out`, d => (isHeld(d, piece.id) ? d : without(d, piece.id)))
    choose(undefined)
  }
  const copy = (): void => piece && make(`Copy the ${called(piece)}`, d => copied(d, piece.id))
  const lay = (by: 1 | -1): (() => void) | undefined =>
    piece && pieces[at + by]
      ? () => change(`Lay the ${called(piece)} elsewhere`, d => laid(d, piece.id, by))
      : undefined

  return {
    chosen,
    choose,
    change,
    onPiece,
    add: (what, panel) => make('Put something on the cover', d => added(d, what, panel)),
    addPicture: (asset, panel) => make('Put a picture on the cover', d => pictured(d, asset, panel)),
    addOutline: (path, panel) => make('Put an outline on the cover', d => outlined(d, path, panel)),
    ways: { over: lay(1), under: lay(-1), copy, out },
    key: e => {
      const arrow = arrows[e.key]
      if (arrow && piece) move(arrow, e.shiftKey ? FAR : STEP)
      else if ((e.key === 'Delete' || e.key === 'Backspace') && piece && !piece.locked) out()
      else if (e.key === 'd' && (e.ctrlKey || e.metaKey) && piece) copy()
      else if (e.key === 'Escape' && chosen) choose(undefined)
      else return false
      return true
    },
  }
}
