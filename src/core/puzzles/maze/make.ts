import { seeded } from '../../trade'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Candidate } from '../puzzle'
import { sharedName } from '../turns'
import type { Door, DoorPlace, Ground } from './ground'
import type { Maze } from './maze'
import type { Ends } from './values'

/** How often a maze is carried on from a cell by chance and not from the newest: the more, the shorter its dead ends. */
const STRAY: Record<Ends, number> = { long: 0.02, middling: 0.2, short: 0.75 }
/** Pairs of a way in and a way out that are tried in one maze. */
const PAIRS = 12

interface Kind {
  ends: Ends
  doors: DoorPlace
}

/** A maze on a ground whose way through is as hard as the band. Nothing where no pair of ways in and out makes it so. */
export function make(ground: Maze['ground'], kind: Kind & { band: Band }, seed: number): Candidate<Maze> | undefined {
  const chance = seeded(seed)
  const open = carve(ground, STRAY[kind.ends], chance)
  const tree = rooted(ground, open)
  const { ins, outs } = ground.doors[kind.doors]
  const pairs = Math.min(PAIRS, ins.length * outs.length)
  for (let i = 0; i < pairs; i++) {
    const start = ins[Math.floor(chance() * ins.length)]!
    const end = outs[Math.floor(chance() * outs.length)]!
    if (start.cell === end.cell) continue
    const path = route(tree, start.cell, end.cell)
    const difficulty = effort(ground, { open, tree, path }, kind)
    if (difficulty.band !== kind.band) continue
    return { puzzle: { ground, open, start, end, path }, difficulty, twin: twinOf(ground, open, start, end) }
  }
  return undefined
}

/** A tree over all cells: each step goes on from the newest cell, or, as often as it strays, from any. */
function carve({ cells, inside, sides, near, back }: Ground, strays: number, chance: () => number): Uint16Array {
  const open = new Uint16Array(cells)
  const all = [...inside.keys()].filter(at => inside[at])
  const active = [all[Math.floor(chance() * all.length)]!]
  const reached = new Uint8Array(cells)
  reached[active[0]!] = 1
  while (active.length) {
    const at = chance() < strays ? Math.floor(chance() * active.length) : active.length - 1
    const cell = active[at]!
    let count = 0
    let chosen = -1
    // One of the sides that lead to a new cell, each as likely as the others.
    for (let k = 0; k < sides; k++) {
      const next = near[cell * sides + k]!
      if (next >= 0 && !reached[next] && (++count === 1 || chance() * count < 1)) chosen = k
    }
    if (chosen < 0) {
      active[at] = active[active.length - 1]!
      active.pop()
      continue
    }
    const next = near[cell * sides + chosen]!
    open[cell]! |= 1 << chosen
    open[next]! |= 1 << back[cell * sides + chosen]!
    reached[next] = 1
    active.push(next)
  }
  return open
}

/** A maze seen from one of its cells. */
interface Tree {
  /** The cell before each on the way from the first; -1 for that one. */
  before: Int32Array
  /** Cells from the first one. */
  depth: Int32Array
  /** Cells that are reached through each, with itself. */
  behind: Int32Array
  count: number
}

function rooted({ cells, inside, sides, near }: Ground, open: Uint16Array): Tree {
  const [before, depth, behind] = [new Int32Array(cells).fill(-1), new Int32Array(cells), new Int32Array(cells).fill(1)]
  const order = new Int32Array(cells)
  order[0] = inside.indexOf(1)
  let count = 1
  for (let i = 0; i < count; i++) {
    const cell = order[i]!
    for (let k = 0, bits = open[cell]!; bits; k++, bits >>= 1) {
      const next = near[cell * sides + k]!
      if (!(bits & 1) || next === before[cell]) continue
      before[next] = cell
      depth[next] = depth[cell]! + 1
      order[count++] = next
    }
  }
  for (let i = count - 1; i > 0; i--) behind[before[order[i]!]!]! += behind[order[i]!]!
  return { before, depth, behind, count }
}

/** The cells between two: from both up to where they meet. */
function route({ before, depth }: Tree, start: number, end: number): number[] {
  const [there, back] = [[start], [end]]
  for (let [a, b] = [start, end]; a !== b;) {
    if (depth[a]! >= depth[b]!) there.push((a = before[a]!))
    else back.push((b = before[b]!))
  }
  // Where they meet stands in one of both.
  if (there.at(-1) === back.at(-1)) back.pop()
  return [...there, ...back.reverse()]
}

/** What a maze costs grows with its area to this power: measured over three hundred mazes of each size. */
const GROWTH = 0.6
/** A way to the middle costs so much of what one from border to border does: measured likewise. */
const HALF_WAY = 0.75
/** Where the bands begin, by how its dead ends are: about a fifth of the mazes of a kind falls in each. */
const BEGINS: Record<Ends, number[]> = {
  long: [0, 0.95, 1.12, 1.27, 1.46],
  middling: [0, 1.48, 1.66, 1.82, 2],
  short: [0, 1.66, 1.85, 2.02, 2.2],
}

/**
 * What a person needs: at each junction of the way, a wrong turn costs the more the longer it leads astray (by the logarithm of its
 * cells: one sees the end of a short one), against what the size of the sheet lets expect.
 */
function effort(
  { sides, near }: Ground,
  { open, tree, path }: { open: Uint16Array; tree: Tree; path: number[] },
  { ends, doors }: Kind,
): Difficulty {
  let cost = 0
  let turns = 0
  let longest = 0
  path.forEach((cell, i) => {
    for (let k = 0, bits = open[cell]!; bits; k++, bits >>= 1) {
      const next = near[cell * sides + k]!
      if (!(bits & 1) || next === path[i - 1] || next === path[i + 1]) continue
      const cells = tree.before[next] === cell ? tree.behind[next]! : tree.count - tree.behind[cell]!
      turns++
      longest = Math.max(longest, cells)
      cost += Math.log2(1 + cells)
    }
  })
  const measured = cost / tree.count ** GROWTH / (doors === 'middle' ? HALF_WAY : 1)
  const level = BEGINS[ends].filter(b => measured >= b).length - 1
  return {
    band: bands[level]!,
    steps: { 'wrong turns': turns, 'cells of the way': path.length, 'longest wrong way': longest },
  }
}

/** The same for a maze that is mirrored or turned, and for one that is walked the other way. */
export function twinOf(
  { shape, rows, cols, cells, sides, forms }: Ground,
  open: Uint16Array,
  start: Door,
  end: Door,
): string {
  const doors = forms.map(({ to }) => {
    const [a, b] = [to[start.cell]!, to[end.cell]!]
    return Math.min(a, b) * cells + Math.max(a, b)
  })
  // Most forms are told apart by where one goes in and out: the others are written out whole.
  const least = Math.min(...doors)
  const said = forms
    .filter((_f, i) => doors[i] === least)
    .map(({ to, side }) => {
      const turned = new Uint16Array(cells)
      for (let cell = 0; cell < cells; cell++) {
        let set = 0
        for (let k = 0, bits = open[cell]!; bits; k++, bits >>= 1) if (bits & 1) set |= 1 << side[cell * sides + k]!
        turned[to[cell]!] = 97 + set
      }
      return `${shape}${rows}x${cols}:${String.fromCharCode(...turned)}|${least}`
    })
  return sharedName(said)
}
