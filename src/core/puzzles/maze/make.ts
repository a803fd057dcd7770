import { seeded } from '../../trade'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Candidate } from '../puzzle'
import { sharedName, turns } from '../turns'
import { E, type Maze, opposite, S, W, ways } from './grid'

/** How often a maze with long dead ends is carried on from a cell by chance, and one with short ones from the newest. */
const STRAY = { long: 0.02, short: 0.75 }
/** Pairs of a way in and a way out that are tried in one maze. */
const PAIRS = 12

interface MazeSize {
  rows: number
  cols: number
  /** Dead ends: few and long, or many and short. */
  ends: 'long' | 'short'
  /** Cells that belong to it, where not all do. */
  inside?: Uint8Array | undefined
}

/** A maze of a size whose way through is as hard as the band. Nothing where no pair of ways in and out makes it so. */
export function make(size: MazeSize, band: Band, seed: number): Candidate<Maze> | undefined {
  const { rows, cols, ends } = size
  const inside = size.inside ?? new Uint8Array(rows * cols).fill(1)
  const chance = seeded(seed)
  const open = carve({ rows, cols, inside }, STRAY[ends], chance)
  const [ins, outs] = borders({ rows, cols, inside })
  for (let i = 0; i < PAIRS; i++) {
    const start = ins[Math.floor(chance() * ins.length)]!
    const end = outs[Math.floor(chance() * outs.length)]!
    if (start === end) continue
    const path = route(cols, open, start, end)
    const difficulty = effort(size, open, path)
    if (difficulty.band !== band) continue
    return {
      puzzle: { rows, cols, open, inside, start, end, path },
      difficulty,
      twin: twinOf(rows, cols, open, start, end),
    }
  }
  return undefined
}

const stepTo = (cols: number, way: number): number => (way === E ? 1 : way === W ? -1 : way === S ? cols : -cols)

function leads(rows: number, cols: number, cell: number, way: number): boolean {
  if (way === E) return cell % cols < cols - 1
  if (way === W) return cell % cols > 0
  if (way === S) return cell < (rows - 1) * cols
  return cell >= cols
}

type Sheet = Pick<Maze, 'rows' | 'cols' | 'inside'>

/** Share of the rows, from the head and from the foot, in which one goes in and out. */
const NEAR = 0.3

/** Cells that one can go into from above, near the head, and out of below, near the foot. */
function borders({ rows, cols, inside }: Sheet): [number[], number[]] {
  const all = [...inside.keys()].filter(at => inside[at])
  const [top, foot] = [Math.floor(all[0]! / cols), Math.floor(all.at(-1)! / cols)]
  const near = Math.max(1, Math.ceil((foot - top) * (inside.every(Boolean) ? 0 : NEAR)))
  const row = (at: number): number => Math.floor(at / cols)
  return [
    all.filter(at => row(at) < top + near && !inside[at - cols]),
    all.filter(at => row(at) > foot - near && (row(at) === rows - 1 || !inside[at + cols])),
  ]
}

/** A tree over all cells: each step goes on from the newest cell, or, as often as it strays, from any. */
function carve({ rows, cols, inside }: Sheet, strays: number, chance: () => number): Uint8Array {
  const open = new Uint8Array(rows * cols)
  const all = [...inside.keys()].filter(at => inside[at])
  const active = [all[Math.floor(chance() * all.length)]!]
  // What does not belong to it is never gone into.
  const reached = inside.map(i => 1 - i)
  reached[active[0]!] = 1
  while (active.length) {
    const at = chance() < strays ? Math.floor(chance() * active.length) : active.length - 1
    const cell = active[at]!
    let count = 0
    let chosen = 0
    // One of the ways that lead to a new cell, each as likely as the others.
    for (const way of ways)
      if (leads(rows, cols, cell, way) && !reached[cell + stepTo(cols, way)]! && chance() * ++count < 1) chosen = way
    if (!chosen) {
      active[at] = active[active.length - 1]!
      active.pop()
      continue
    }
    const next = cell + stepTo(cols, chosen)
    open[cell]! |= chosen
    open[next]! |= opposite(chosen)
    reached[next] = 1
    active.push(next)
  }
  return open
}

/** The cells between two, in a tree. */
function route(cols: number, open: Uint8Array, start: number, end: number): number[] {
  const from = new Int32Array(open.length).fill(-1)
  const queue = [end]
  from[end] = end
  for (let i = 0; from[start]! < 0; i++)
    for (const way of ways) {
      const cell = queue[i]!
      if (!(open[cell]! & way)) continue
      const next = cell + stepTo(cols, way)
      if (from[next]! >= 0) continue
      from[next] = cell
      queue.push(next)
    }
  const path = [start]
  while (path[path.length - 1] !== end) path.push(from[path[path.length - 1]!]!)
  return path
}

/** What a maze costs grows with its area to this power: measured over three hundred mazes of each size. */
const GROWTH = 0.6
/** Where the bands begin, by how its dead ends are: about a fifth of the mazes of a kind falls in each. */
const BEGINS = { long: [0, 0.95, 1.12, 1.27, 1.46], short: [0, 1.66, 1.85, 2.02, 2.2] }

/**
 * What a person needs: at each junction of the way, a wrong turn costs the more the longer it leads astray (by the logarithm of its
 * cells: one sees the end of a short one), against what the size of the sheet lets expect.
 */
function effort({ rows, cols, ends, inside }: MazeSize, open: Uint8Array, path: number[]): Difficulty {
  const on = new Uint8Array(open.length)
  for (const c of path) on[c] = 1
  let cost = 0
  let turns = 0
  let longest = 0
  for (const c of path)
    for (const way of ways) {
      if (!(open[c]! & way)) continue
      const first = c + stepTo(cols, way)
      if (on[first]) continue
      const stack: [number, number][] = [[first, c]]
      let cells = 0
      while (stack.length) {
        const [at, before] = stack.pop()!
        cells++
        for (const w of ways)
          if (open[at]! & w && at + stepTo(cols, w) !== before) stack.push([at + stepTo(cols, w), at])
      }
      turns++
      longest = Math.max(longest, cells)
      cost += Math.log2(1 + cells)
    }
  const measured = cost / (inside?.reduce((n, i) => n + i, 0) ?? rows * cols) ** GROWTH
  const level = BEGINS[ends].filter(b => measured >= b).length - 1
  return {
    band: bands[level]!,
    steps: { 'wrong turns': turns, 'cells of the way': path.length, 'longest wrong way': longest },
  }
}

/** The same for a maze that is mirrored or turned, and for one that is walked the other way. */
function twinOf(rows: number, cols: number, open: Uint8Array, start: number, end: number): string {
  return sharedName(
    turns(rows, cols).map(turn => {
      const to = (cell: number): number => {
        const [r, c] = turn.to(Math.floor(cell / cols), cell % cols)
        return r * turn.cols + c
      }
      // Where each way leads after the turn, seen at a cell of the middle: all sixteen sets of them at once.
      const [middle, own] = [cols + 1, to(cols + 1)]
      const turnedWay = ways.map(w => ways.find(v => stepTo(turn.cols, v) === to(middle + stepTo(cols, w)) - own)!)
      const turnedSet = Array.from({ length: 16 }, (_, set) =>
        ways.reduce((s, w, i) => s | (set & w && turnedWay[i]!), 0),
      )
      const turned = new Uint8Array(open.length)
      for (let cell = 0; cell < open.length; cell++) turned[to(cell)] = 97 + turnedSet[open[cell]!]!
      const letters = String.fromCharCode(...turned)
      return `${turn.rows}x${turn.cols}:${letters}|${[to(start), to(end)].sort((a, b) => a - b).join()}`
    }),
  )
}
