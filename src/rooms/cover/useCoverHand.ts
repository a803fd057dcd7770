'use client'
import { useState } from 'react'
import type { Asset, CoverDesign, CoverPiece } from '@/core/book'
import { type Alignment, aligned, type Axis, type Boxes, distributed, type Flat, moved, settledOn } from '@/core/cover'
import { useCommit } from '@/parts/useCommit'
import { useSay } from '@/parts/useSay'
import {
  added,
  called,
  type ChangeDesign,
  type ChangePiece,
  grouped,
  laid,
  type NewPiece,
  outlined,
  pictured,
  withBoxes,
  withPiece,
  without,
} from './coverChanges'
import { copying } from './copying'
import { copyPieces } from './piecesAside'
import type { Ways } from './PieceWays'
import { useHeld } from './useHeld'

/** The author's hand on the cover: which pieces it holds, and what it does. */
export interface CoverHand {
  /** The piece that is said: the last that was chosen. */
  chosen: string | undefined
  /** All that are held. */
  held: readonly string[]
  /** Takes a piece, with its group, and lets go of others; `more`: beside them, or lets go of it. */
  choose: (id: string | undefined, more?: boolean) => void
  /** The piece whose cut-out is corrected by hand, while it is held. */
  brushed: string | undefined
  brush: (id: string | undefined) => void
  change: ChangeDesign
  onPiece: (id: string) => ChangePiece
  /** Moves what is held, points on the flat. */
  move: (by: { x: number; y: number }) => void
  add: (what: NewPiece, panel: CoverPiece['panel']) => void
  addPicture: (asset: string, panel: CoverPiece['panel']) => void
  addOutline: (path: string, panel: CoverPiece['panel']) => void
  ways: Ways
  arrange: Arrange
  /** A key on the flat; whether it meant anything there. */
  key: (e: { key: string; shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => boolean
}

/** What is done with all that is held at once. */
export interface Arrange {
  count: number
  /** They are one group. */
  together: boolean
  align: (to: Alignment) => void
  distribute: (axis: Axis) => void
  group: (as: boolean) => void
}

interface HandOf {
  flat: Flat | undefined
  /** The pieces that are seen, of all that the design has. */
  seen: readonly CoverPiece[] | undefined
  /** The book's pictures. */
  assets: readonly Asset[]
  /** The piece that is asked for. */
  begin: string | undefined
  readOnly: boolean
}

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
/** Points that pieces are moved by. */
const STEP = 1
const FAR = 10

export function useCoverHand(
  bookId: string,
  /** As it is written, which may be newer than what is drawn. */
  design: CoverDesign | undefined,
  { flat, seen, assets, begin, readOnly }: HandOf,
): CoverHand {
  const commit = useCommit(bookId)
  const say = useSay()
  const pieces = seen ?? design?.pieces ?? []
  const { held, hold, choose } = useHeld(pieces, begin)
  const inHand = pieces.filter(p => held.includes(p.id))
  const chosen = held.at(-1)
  const [brushed, brush] = useState<string>()
  const at = pieces.findIndex(p => p.id === chosen)
  const piece = pieces[at]
  const several = inHand.length > 1
  const name = several ? `${inHand.length} pieces` : piece ? called(piece) : ''

  const change: ChangeDesign = (label, patch, merge = false) => {
    if (!design || readOnly) return
    // What is said of a piece is said of the flat that is seen.
    const here = (d: CoverDesign): CoverDesign => (flat ? settledOn(d, flat) : d)
    void commit(label, r => ({ cover: patch(here(r.cover ?? design)) }), merge)
  }
  /** A step that makes a piece, and takes it into the hand. */
  const make = (label: string, of: (d: CoverDesign) => { design: CoverDesign; id: string }): void => {
    if (!design) return
    change(label, d => of(d).design)
    hold([of(design).id])
  }
  const onPiece =
    (id: string): ChangePiece =>
    (label, patch, merge) =>
      change(label, d => withPiece(d, id, patch), merge)
  const put = (label: string, boxes: (flat: Flat, of: CoverPiece[]) => Boxes, merge = false): void => {
    if (!flat || !inHand.length) return
    const of = (d: CoverDesign): CoverPiece[] => d.pieces.filter(p => held.includes(p.id))
    change(label, d => withBoxes(d, boxes(flat, of(d))), merge)
  }
  const move = (by: { x: number; y: number }, merge = false): void =>
    put(`Move the ${name}`, (f, of) => moved(f, of, by), merge)
  const out = (): void => {
    // What is held where it is stays.
    if (inHand.every(p => p.locked)) return
    change(`Take the ${name} out`, d =>
      without(
        d,
        d.pieces.filter(p => held.includes(p.id) && !p.locked).map(p => p.id),
      ),
    )
    hold([])
  }
  const { copy, paste } = copying({ design, inHand, assets, name, change, hold, say })
  const lay = (by: 1 | -1): (() => void) | undefined =>
    piece && !several && pieces[at + by]
      ? () => change(`Lay the ${name} elsewhere`, d => laid(d, piece.id, by))
      : undefined
  const all = (): void => hold(pieces.map(p => p.id))
  const group = (): void => void (several && change('Group', d => grouped(d, held, true)))
  const withKey = { d: copy, c: () => copyPieces(inHand), v: paste, a: all, g: group }

  return {
    chosen,
    held,
    choose,
    brushed: brushed === chosen ? brushed : undefined,
    brush,
    change,
    onPiece,
    move: by => move(by),
    ...addingWays(make),
    ways: { over: lay(1), under: lay(-1), copy, out },
    arrange: arrangeOf(inHand, { name, put, change }),
    key: e => pressed(e, { any: inHand.length > 0, move, out, withKey, letGo: () => hold([]) }),
  }
}

/** A change of where pieces stand, of all that are held. */
type Put = (label: string, boxes: (flat: Flat, of: CoverPiece[]) => Boxes, merge?: boolean) => void

function arrangeOf(
  inHand: readonly CoverPiece[],
  { name, put, change }: { name: string; put: Put; change: ChangeDesign },
): Arrange {
  const [first] = inHand
  const ids = inHand.map(p => p.id)
  return {
    count: inHand.length,
    together: inHand.length > 1 && !!first?.group && inHand.every(p => p.group === first.group),
    align: to => put(`Bring the ${name} in line`, (f, of) => aligned(f, of, to)),
    distribute: axis => put(`Space the ${name} evenly`, (f, of) => distributed(f, of, axis)),
    group: as => change(as ? 'Group' : 'Let the group go', d => grouped(d, ids, as)),
  }
}

type Key = Parameters<CoverHand['key']>[0]

/** Keys on the flat. */
function pressed(
  { key, shiftKey, ctrlKey, metaKey }: Key,
  hand: {
    /** Something is held. */
    any: boolean
    move: (by: { x: number; y: number }, merge: boolean) => void
    out: () => void
    letGo: () => void
    /** What the command key does with letters. */
    withKey: Record<string, () => void>
  },
): boolean {
  const arrow = arrows[key]
  const command = ctrlKey || metaKey ? hand.withKey[key] : undefined
  const by = shiftKey ? FAR : STEP
  if (arrow && hand.any) hand.move({ x: arrow[0] * by, y: arrow[1] * by }, true)
  else if ((key === 'Delete' || key === 'Backspace') && hand.any) hand.out()
  else if (command && (hand.any || key === 'v' || key === 'a')) command()
  else if (key === 'Escape' && hand.any) hand.letGo()
  else return false
  return true
}

/** Puts something new on the cover. */
const addingWays = (
  make: (label: string, of: (d: CoverDesign) => { design: CoverDesign; id: string }) => void,
): Pick<CoverHand, 'add' | 'addPicture' | 'addOutline'> => ({
  add: (what, panel) => make('Put something on the cover', d => added(d, what, panel)),
  addPicture: (asset, panel) => make('Put a picture on the cover', d => pictured(d, asset, panel)),
  addOutline: (path, panel) => make('Put an outline on the cover', d => outlined(d, path, panel)),
})
