import type { Proof } from '../puzzle'
import type { Maze } from './maze'

/**
 * Solves a maze by filling dead ends until only ways that lead on are left: one way where that is a line from the way in to the way
 * out; a ring anywhere counts as a second. It agrees where that line is the maker's and all cells hang together.
 */
export function prove(maze: Maze): Proof {
  const { ground, open, path } = maze
  const [start, end] = [maze.start.cell, maze.end.cell]
  const all = Array.from(open, (bits, cell) => {
    const out: number[] = []
    for (let k = 0; k < ground.sides; k++) if (bits & (1 << k)) out.push(ground.near[cell * ground.sides + k]!)
    return out
  })
  const touch = ground.rings ? touchingSectors(ground.rings) : touchingCells(ground.cols)
  // A passage has two sides, and none leads off the sheet or through the corner of a cell.
  const sound = all.every((to, cell) =>
    to.every(n => ground.inside[n] && ground.inside[cell] && all[n]!.includes(cell) && touch(cell, n)),
  )
  const cells = ground.inside.reduce((n, i) => n + i, 0)
  const passages = all.reduce((n, to) => n + to.length, 0) / 2
  const left = all.map(to => to.length)
  const filled = new Uint8Array(all.length)
  const ends = [...left.keys()].filter(c => left[c]! <= 1 && c !== start && c !== end)
  while (ends.length) {
    const cell = ends.pop()!
    if (filled[cell]) continue
    filled[cell] = 1
    for (const n of all[cell]!) if (!filled[n] && --left[n]! === 1 && n !== start && n !== end) ends.push(n)
  }
  const line = walked(all, filled, start, end)
  if (!sound || reachedFrom(all, start)[end] === 0) return { answers: 0, agrees: false }
  const rest = filled.reduce((n, f) => n + (f ? 0 : 1), 0)
  // A line has one passage less than it has cells: one more is a short cut.
  const between = all.reduce((n, to, c) => n + (filled[c] ? 0 : to.filter(t => !filled[t]).length), 0) / 2
  const answers = line?.length === rest && between === rest - 1 ? 1 : 2
  return { answers, agrees: answers === 1 && passages === cells - 1 && line?.join() === path.join() }
}

/** Whether two cells of a grid have a side in common. */
function touchingCells(cols: number): (a: number, b: number) => boolean {
  return (a, b) => Math.abs((a % cols) - (b % cols)) + Math.abs(((a / cols) | 0) - ((b / cols) | 0)) === 1
}

/** Whether two cells of rings have more than a corner in common: in one ring side by side, in two by the angles they span. */
function touchingSectors({ sectors }: { sectors: number[] }): (a: number, b: number) => boolean {
  const spans = sectors.flatMap((n, ring) =>
    Array.from({ length: n }, (_, i) => ({ ring, from: i / n, to: (i + 1) / n })),
  )
  return (a, b) => {
    const [p, q] = [spans[a]!, spans[b]!]
    if (Math.abs(p.ring - q.ring) === 1) return p.from < q.to && q.from < p.to
    const meet = (x: number, y: number): boolean => Math.abs(x - y) % 1 < 1e-9
    return p.ring === q.ring && (meet(p.to, q.from) || meet(q.to, p.from))
  }
}

/** 1 for each cell that can be reached from one. */
function reachedFrom(all: number[][], from: number): Uint8Array {
  const reached = new Uint8Array(all.length)
  reached[from] = 1
  const next = [from]
  while (next.length)
    for (const n of all[next.pop()!]!)
      if (!reached[n]) {
        reached[n] = 1
        next.push(n)
      }
  return reached
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
