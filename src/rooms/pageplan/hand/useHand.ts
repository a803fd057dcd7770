'use client'
import {
  changeAdded,
  changePage,
  changePiece,
  designOf,
  formOf,
  freshPieceId,
  handOf,
  moved,
  type PieceOn,
  runName,
  withForm,
} from '@/core/activity'
import type { Changes, DesignPiece, HandPage, HandPiece, PagePlan, Run } from '@/core/book'
import type { PlannedPage } from '@/workers/answers/hands'
import { type ChangeRun, useRunChange } from '../planChanges'
import type { Hold } from './holding'
import { pieceCalled } from './names'

/** Where a placed piece is kept: on its page alone, or on every page of its run that has the same form. */
export type Home = 'page' | 'form'

/** A page that an author has taken hold of, and all that can be done to it by hand. */
export interface InHand {
  run: Run
  page: PlannedPage
  hand: HandPage
  /** What is placed on it: with it alone, and with all pages of its form where its run is drawn by hand. */
  placed: { piece: DesignPiece; home: Home }[]
  called: (piece: string) => string
  /** The placed piece of a name, where it is one. */
  placedAt: (piece: string) => { piece: DesignPiece; home: Home } | undefined
  isLocked: (piece: string) => boolean
  change: (
    piece: string,
    label: string,
    next: (was: HandPiece) => Changes<HandPiece>,
    merge?: boolean,
  ) => Promise<boolean>
  changePlaced: (
    piece: string,
    label: string,
    next: (was: DesignPiece) => Changes<DesignPiece>,
    merge?: boolean,
  ) => Promise<boolean>
  /** Places a new piece; resolves to its name. */
  place: (kind: string, home: Home) => Promise<string | undefined>
  remove: (piece: string) => Promise<boolean>
  order: (piece: string, by: 1 | -1) => Promise<boolean>
  putBack: () => Promise<boolean>
}

/** The name of what stands in a form, among all of its page. */
const inForm = (id: string): string => `body/${id}`

export function useHand(bookId: string, plan: PagePlan, pages: PlannedPage[]): (hold: Hold) => InHand | undefined {
  const changeRun = useRunChange(bookId)
  return ({ index }) => {
    const page = pages.find(p => p.index === index)
    const run = plan.runs.find(r => r.id === page?.run)
    return page && run && inHand(run, page, changeRun(run.id))
  }
}

type ChangeAll = (
  home: Home,
  label: string,
  next: (all: DesignPiece[]) => DesignPiece[],
  merge?: boolean,
) => Promise<boolean>

function inHand(run: Run, page: PlannedPage, change: ChangeRun): InHand {
  const hand = handOf(run, page)
  const side = page.index % 2 === 0 ? 'recto' : 'verso'
  const placed = [
    ...(formOf(run, side) ?? []).map(piece => ({ piece, home: 'form' as const })),
    ...(hand.added ?? []).map(piece => ({ piece, home: 'page' as const })),
  ]
  const pieces = placed.map(p => p.piece)
  const called = (piece: string): string => pieceCalled(piece, run, hand, pieces)
  const placedAt = (name: string) => placed.find(p => name === (p.home === 'form' ? inForm(p.piece.id) : p.piece.id))
  const said = (piece: string): string => `${called(piece)} of ${runName(run)}`
  const byHand = (label: string, next: (h: HandPage) => HandPage, merge = false): Promise<boolean> =>
    change(label, r => changePage(r, page, next), merge)
  const changeAll: ChangeAll = (home, label, next, merge = false) =>
    home === 'form'
      ? change(label, r => withForm(r, side, next), merge)
      : byHand(label, h => ({ ...h, added: next(h.added ?? []) }), merge)
  return {
    run,
    page,
    hand,
    placed,
    called,
    placedAt,
    isLocked: piece => !!(placedAt(piece)?.piece ?? hand.pieces.find(p => p.piece === piece))?.locked,
    change: (piece, label, next, merge) =>
      byHand(
        `${label} ${said(piece)}`,
        h => changePiece(h, piece, next(h.pieces.find(p => p.piece === piece) ?? { piece })),
        merge,
      ),
    place: async (kind, home) => {
      let id = ''
      const done = await changeAll(home, `Place ${designOf(kind)!.name.toLowerCase()}`, all => {
        // What was placed a moment ago may not be shown yet.
        id = freshPieceId([...pieces, ...all])
        return [...all, newPiece(kind, id)]
      })
      return done ? (home === 'form' ? inForm(id) : id) : undefined
    },
    changePlaced: (name, label, next, merge) => {
      const { piece, home } = placedAt(name)!
      const changed = (all: DesignPiece[]): DesignPiece[] =>
        changeAdded(all, piece.id, next(all.find(p => p.id === piece.id) ?? piece))
      return changeAll(home, `${label} ${said(name)}`, changed, merge)
    },
    remove: name => {
      const at = placedAt(name)
      if (!at) return byHand(`Leave out ${said(name)}`, h => changePiece(h, name, { hidden: true }))
      return changeAll(at.home, `Take away ${said(name)}`, all => all.filter(p => p.id !== at.piece.id))
    },
    order: (name, by) => {
      const label = `Order of ${said(name)}`
      const at = placedAt(name)
      if (at?.home === 'form') return changeAll('form', label, all => inOrder(all, at.piece.id, by))
      return byHand(label, h => ({ ...h, order: moved(outermost(page.pieces), name, by) }))
    },
    putBack: () => byHand(`Page ${page.label} as made`, h => ({ page: h.page, of: h.of, pieces: [] })),
  }
}

/** A new piece in the middle of its page. */
function newPiece(kind: string, id: string): DesignPiece {
  const { size, plain } = designOf(kind)!
  const at = { x: (1 - size.width) / 2, y: (1 - size.height) / 2 }
  return { id, kind, ...at, ...size, params: structuredClone(plain) as Record<string, unknown> }
}

function inOrder(all: DesignPiece[], id: string, by: 1 | -1): DesignPiece[] {
  const names = moved(
    all.map(p => p.id),
    id,
    by,
  )
  return names.map(name => all.find(p => p.id === name)!)
}

/** Names of the pieces of a page that stand in no other. */
export const outermost = (pieces: readonly PieceOn[]): string[] =>
  pieces.map(p => p.piece).filter(p => !p.includes('/'))
