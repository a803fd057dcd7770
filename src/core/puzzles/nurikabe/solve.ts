import type { Proof } from '../puzzle'
import type { Nurikabe } from './waters'

/** One way to lay an island. */
type Laid = readonly number[]

/**
 * Solves by whole islands: of all the shapes that each can have around its number, those go that touch another island in all its
 * shapes, or leave a square of four to the sea that no other can break; the island with the fewest is tried shape by shape, and the
 * sea is looked at when all are laid.
 */
export function prove({ rows, cols, islands, sea }: Nurikabe): Proof {
  const cells = rows * cols
  const beside = (c: number): number[] => {
    const out: number[] = []
    if (c >= cols) out.push(c - cols)
    if (c % cols) out.push(c - 1)
    if (c % cols < cols - 1) out.push(c + 1)
    if (c + cols < cells) out.push(c + cols)
    return out
  }
  const near = Array.from({ length: cells }, (_, c) => beside(c))
  const numbered = new Set(islands.map(i => i.cell))
  const shapes = islands.map(({ cell, size }) => {
    const forbidden = new Set([...numbered].filter(c => c !== cell).flatMap(c => [c, ...near[c]!]))
    return forbidden.has(cell) ? [] : shapesFrom(cell, size, near, forbidden)
  })
  const squares: number[][] = []
  for (let c = 0; c + cols + 1 < cells; c++) if (c % cols < cols - 1) squares.push([c, c + 1, c + cols, c + cols + 1])

  let answers = 0
  let agrees = false
  const search = (all: Laid[][]): void => {
    const left = narrowed(all, { near, squares, cells })
    if (!left) return
    const open = left.map((s, i) => ({ s, i })).filter(({ s }) => s.length > 1)
    if (!open.length) {
      const land = new Set(left.flatMap(([laid]) => laid!))
      if (!oneSea(land, near)) return
      answers++
      agrees = sea.every((s, c) => s === (land.has(c) ? 0 : 1))
      return
    }
    const { s, i } = open.reduce((a, b) => (b.s.length < a.s.length ? b : a))
    for (const laid of s) {
      if (answers > 1) return
      search(left.map((own, k) => (k === i ? [laid] : own)))
    }
  }
  search(shapes)
  return { answers: answers as Proof['answers'], agrees: answers === 1 && agrees }
}

/** All shapes of so many cells that hang together around one, each once (Redelmeier, 1981). */
function shapesFrom(first: number, size: number, near: number[][], forbidden: Set<number>): Laid[] {
  const out: Laid[] = []
  const seen = new Set<number>([first])
  const grow = (shape: number[], untried: number[]): void => {
    if (shape.length === size) {
      out.push([...shape])
      return
    }
    const rest = [...untried]
    while (rest.length) {
      const cell = rest.pop()!
      const fresh = near[cell]!.filter(n => !seen.has(n) && !forbidden.has(n))
      for (const n of fresh) seen.add(n)
      grow([...shape, cell], [...rest, ...fresh])
      for (const n of fresh) seen.delete(n)
    }
  }
  const around = near[first]!.filter(n => !forbidden.has(n))
  for (const n of around) seen.add(n)
  if (size === 1) return [[first]]
  grow([first], around)
  return out
}

interface Chart {
  near: number[][]
  squares: number[][]
  cells: number
}

/** The shapes that are left when none rules out any more; nothing where an island has none, or the sea would have a pool. */
function narrowed(all: Laid[][], { near, squares, cells }: Chart): Laid[][] | undefined {
  let left = all
  for (;;) {
    if (left.some(s => !s.length)) return undefined
    // How many of its shapes each island lays on a cell: all, some or none.
    const counts = left.map(s => {
      const n = new Uint32Array(cells)
      for (const laid of s) for (const c of laid) n[c]!++
      return n
    })
    const sure = new Int16Array(cells).fill(-1)
    counts.forEach((n, i) => n.forEach((k, c) => k === left[i]!.length && (sure[c] = i)))
    const who = squares.map(square => counts.flatMap((n, i) => (square.some(c => n[c]) ? [i] : [])))
    if (who.some(w => !w.length)) return undefined
    const breaks = left.map((_s, i) => squares.filter((_q, k) => who[k]!.length === 1 && who[k]![0] === i))
    const next = left.map((shapes, i) =>
      shapes.filter(
        laid =>
          laid.every(c => (sure[c]! < 0 || sure[c] === i) && near[c]!.every(n => sure[n]! < 0 || sure[n] === i)) &&
          breaks[i]!.every(square => square.some(c => laid.includes(c))),
      ),
    )
    if (next.every((s, i) => s.length === left[i]!.length)) return next
    left = next
  }
}

/** Whether all that is not land hangs together. */
function oneSea(land: Set<number>, near: number[][]): boolean {
  const first = near.findIndex((_n, c) => !land.has(c))
  if (first < 0) return true
  const reached = new Set([first])
  for (const c of reached) for (const n of near[c]!) if (!land.has(n)) reached.add(n)
  return reached.size + land.size === near.length
}
