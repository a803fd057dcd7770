import type { Changes, DesignPiece, HandPage, HandPiece, Run } from '../../book'

/** A page of a run as the author opens it: its place, what it is made from, and the place that was kept with what was done to it before. */
export interface PageOfRun {
  page: number
  of: string
  /** Where the hand that lies on it was kept; undefined where none does. */
  kept?: Pick<HandPage, 'page' | 'of'> | undefined
}

const same = (a: Pick<HandPage, 'page' | 'of'>, b: Pick<HandPage, 'page' | 'of'> | undefined): boolean =>
  !!b && a.page === b.page && a.of === b.of

/**
 * The hand that lies on a page. A page may have been changed since it was asked for: then it is kept under the page's own place, though
 * whoever changes it again does not know that yet.
 */
const liesOn = (run: Run, { page, of, kept }: PageOfRun): HandPage | undefined =>
  run.hand?.find(h => same(h, kept)) ?? run.hand?.find(h => same(h, { page, of }))

/** What was done to a page so far. */
export const handOf = (run: Run, at: PageOfRun): HandPage => ({
  pieces: [],
  ...liesOn(run, at),
  page: at.page,
  of: at.of,
})

/** A run whose page is changed by hand; a page that nothing is left of is as made. */
export function changePage(run: Run, at: PageOfRun, next: (hand: HandPage) => HandPage): Pick<Run, 'hand'> {
  const lies = liesOn(run, at)
  const rest = run.hand?.filter(h => h !== lies) ?? []
  const changed = next(handOf(run, at))
  const pieces = changed.pieces.filter(p => Object.keys(p).length > 1)
  const done = pieces.length || changed.added?.length || changed.order?.length
  return { hand: done ? [...rest, { ...changed, pieces }] : rest }
}

/** The page as made; what waits for a page that is not there is forgotten. */
export const putBack = (run: Run, kept: Pick<HandPage, 'page' | 'of'>): Pick<Run, 'hand'> => ({
  hand: run.hand?.filter(h => !same(h, kept)) ?? [],
})

/** What waits, laid on a page that is there, over what was done to that already: where both changed a piece, what is laid on it holds. */
export function layOn(run: Run, kept: Pick<HandPage, 'page' | 'of'>, at: PageOfRun): Pick<Run, 'hand'> {
  const laid = run.hand?.find(h => same(h, kept))
  if (!laid) return { hand: run.hand ?? [] }
  const rest: Run = { ...run, hand: run.hand!.filter(h => h !== laid) }
  return changePage(rest, at, there => {
    const taken = new Set(laid.pieces.map(p => p.piece))
    let added = there.added ?? []
    // Names of pieces that both have are given anew.
    for (const piece of laid.added ?? []) {
      const id = added.some(a => a.id === piece.id) ? freshPieceId([...added, ...(laid.added ?? [])]) : piece.id
      added = [...added, { ...piece, id }]
    }
    return {
      ...there,
      pieces: [...there.pieces.filter(p => !taken.has(p.piece)), ...laid.pieces],
      ...((laid.order ?? there.order) && { order: laid.order ?? there.order! }),
      ...(added.length && { added }),
    }
  })
}

/** Changes what was done to one piece that its page makes. What stands as made is not kept. */
export function changePiece(hand: HandPage, piece: string, next: Changes<Omit<HandPiece, 'piece'>>): HandPage {
  const was = hand.pieces.find(p => p.piece === piece)
  const all = { ...was, ...next }
  const changed = said<HandPiece>({
    ...all,
    piece,
    x: all.x || undefined,
    y: all.y || undefined,
    size: all.size === 1 ? undefined : all.size,
  })
  return { ...hand, pieces: [...hand.pieces.filter(p => p.piece !== piece), changed] }
}

/** Changes a piece that the author placed. */
export const changeAdded = (pieces: readonly DesignPiece[], id: string, next: Changes<DesignPiece>): DesignPiece[] =>
  pieces.map(p => (p.id === id ? said<DesignPiece>({ ...p, ...next }) : p))

/** A record without what is undefined in it: nothing of that is kept. */
const said = <T extends object>(all: Changes<T>): T =>
  Object.fromEntries(Object.entries(all).filter(([, v]) => v !== undefined)) as T

/** A name that no placed piece has yet. */
export function freshPieceId(pieces: readonly DesignPiece[]): string {
  let n = 0
  for (const { id } of pieces) n = Math.max(n, Number(/^own(\d+)$/.exec(id)?.[1] ?? 0))
  return `own${n + 1}`
}

/** Names in order with one of them a place nearer to the front (1) or the back (−1). */
export function moved(names: readonly string[], name: string, by: 1 | -1): string[] {
  const from = names.indexOf(name)
  const to = Math.min(names.length - 1, Math.max(0, from + by))
  const rest = names.filter(n => n !== name)
  return [...rest.slice(0, to), name, ...rest.slice(to)]
}
