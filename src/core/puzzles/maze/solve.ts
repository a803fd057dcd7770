import type { Proof } from '../puzzle'
import type { Maze } from './grid'

/**
 * Solves a maze by filling dead ends until only ways that lead on are left: one way where that is a line from the way in to the way
 * out; a ring anywhere counts as a second. It agrees where that line is the maker's and all cells hang together.
 */
export function prove({ rows, cols, open, inside, start, end, path }: Maze): Proof {
  const neighbours = (cell: number): number[] => {
    const bits = open[cell]!
    const out: number[] = []
    for (const [bit, by] of [
      [1, 1],
      [2, cols],
      [4, -1],
      [8, -cols],
    ] as const)
      if (bits & bit) out.push(cell + by)
    return out
  }
  const count = rows * cols
  const all = Array.from({ length: count }, (_, cell) => neighbours(cell))
  // A passage has two sides, and none leads off the sheet.
  const sound = all.every((to, cell) =>
    to.every(
      n =>
        inside[n] &&
        all[n]?.includes(cell) &&
        Math.abs((n % cols) - (cell % cols)) + Math.abs(((n / cols) | 0) - ((cell / cols) | 0)) === 1,
    ),
  )
  const cells = inside.reduce((n, i) => n + i, 0)
  const passages = all.reduce((n, to) => n + to.length, 0) / 2
  const left = all.map(to => to.length)
  const filled = new Uint8Array(count)
  const ends = [...left.keys()].filter(c => left[c]! <= 1 && c !== start && c !== end)
  while (ends.length) {
    const cell = ends.pop()!
    if (filled[cell]) continue
    filled[cell] = 1
    for (const n of all[cell]!) if (!filled[n] && --left[n]! === 1 && n !== start && n !== end) ends.push(n)
  }
  const line = walked(all, filled, start, end)
  if (!sound || !hangTogether(all, start, end)) return { answers: 0, agrees: false }
  const rest = filled.reduce((n, f) => n + (f ? 0 : 1), 0)
  // A line has one passage less than it has cells: one more is a short cut.
  const between = all.reduce((n, to, c) => n + (filled[c] ? 0 : to.filter(t => !filled[t]).length), 0) / 2
  const answers = line?.length === rest && between === rest - 1 ? 1 : 2
  return { answers, agrees: answers === 1 && passages === cells - 1 && line?.join() === path.join() }
}

/** Whether one cell can be reached from another. */
function hangTogether(all: number[][], from: number, to: number): boolean {
  const reached = new Set([from])
  for (const cell of reached) for (const n of all[cell]!) reached.add(n)
  return reached.has(to)
}

/** The cells that are left, from the way in; nothing where they lead astray. */
function walked(all: number[][], filled: Uint8Array, start: number, end: number): number[] | undefined {
  const line = [start]
  const seen = new Set(line)
  while (line[line.length - 1] !== end) {
    const next = all[line[line.length - 1]!]!.find(n => !filled[n] && !seen.has(n))
    if (next === undefined) return undefined
    line.push(next)
    seen.add(next)
  }
  return line
}
