import { backOf, type Door, formOf, type Form, type Ground, MIDDLE } from './ground'

/** Sides of a cell of a ring: on with the clock, out (one or two cells lie there), against the clock, in. */
export const ON = 0
export const OUT = 1
export const BACK = 2
export const IN = 3
const OUT_TOO = 4

/** Cells of the first ring at least, and the most that a cell may be wide by its height before there are twice as many. */
const FIRST = 6
const WIDEST = 1.7

/** How cells of a circle lie: cell 0 is the disc in the middle, then ring by ring, each from the head on with the clock. */
export interface Rings {
  /** Of the disc, in heights of a ring. */
  radius: number
  /** Cells of each ring; 1 for the disc. */
  sectors: number[]
  /** The first cell of each. */
  first: number[]
}

const known = new Map<number, Ground & { rings: Rings }>()

/** A circle as wide as so many cells. */
export function circleGround(across: number): Ground & { rings: Rings } {
  let ground = known.get(across)
  if (!ground) known.set(across, (ground = laid(across)))
  return ground
}

function ringsOf(across: number): Rings {
  const count = Math.floor(across / 2) - 1
  const radius = across / 2 - count
  const sectors = [1]
  for (let ring = 1, n = FIRST; ring <= count; ring++) {
    while ((2 * Math.PI * (radius + ring - 0.5)) / n > WIDEST) n *= 2
    sectors.push(n)
  }
  const first: number[] = []
  sectors.reduce((at, n) => (first.push(at), at + n), 0)
  return { radius, sectors, first }
}

function laid(across: number): Ground & { rings: Rings } {
  const rings = ringsOf(across)
  const { sectors, first } = rings
  const cells = first.at(-1)! + sectors.at(-1)!
  const sides = Math.max(OUT_TOO + 1, sectors[1]!)
  const near = new Int32Array(cells * sides).fill(-1)
  sectors.forEach((n, ring) => {
    if (!ring) return
    const [start, below] = [first[ring]!, sectors[ring - 1]!]
    for (let i = 0; i < n; i++) {
      const at = (start + i) * sides
      near[at + ON] = start + ((i + 1) % n)
      near[at + BACK] = start + ((i + n - 1) % n)
      const inner = first[ring - 1]! + Math.floor((i * below) / n)
      near[at + IN] = inner
      // The disc has a side for each cell around it; a cell of a ring has one, or two.
      const side = ring === 1 ? i : (i * below) % n === 0 ? OUT : OUT_TOO
      near[inner * sides + side] = start + i
    }
  })
  return {
    shape: 'circle',
    rows: sectors.length,
    cols: across,
    cells,
    inside: new Uint8Array(cells).fill(1),
    sides,
    near,
    back: backOf(near, sides),
    forms: formsOf(rings, near, sides),
    doors: doorsOf(rings),
    rings,
  }
}

/** Turned by each cell of the first ring, and mirrored. */
function formsOf({ sectors, first }: Rings, near: Int32Array, sides: number): Form[] {
  const count = sectors[1]!
  return Array.from({ length: count * 2 }, (_, form) => {
    const [turn, mirrored] = [form % count, form >= count]
    const to = Int32Array.from(
      sectors.flatMap((n, ring) =>
        Array.from({ length: n }, (_i, i) => {
          const turned = (i + turn * Math.ceil(n / count)) % n
          return first[ring]! + (mirrored ? n - 1 - turned : turned)
        }),
      ),
    )
    return formOf(to, near, sides)
  })
}

/** A share of the rim: how far to both sides of a place on it one may go in. */
const REACH = 1 / 12

function doorsOf({ sectors, first }: Rings): Ground['doors'] {
  const n = sectors.at(-1)!
  /** Doors of the rim around a place, as a share of the way round from the head. */
  const rim = (place: number, reach = REACH): Door[] =>
    Array.from({ length: n }, (_, i) => i)
      .filter(i => Math.abs((((i + 0.5) / n - place + 1.5) % 1) - 0.5) <= reach)
      .map(i => ({ cell: first.at(-1)! + i, side: OUT }))
  return {
    across: { ins: rim(0), outs: rim(1 / 2) },
    sideways: { ins: rim(3 / 4), outs: rim(1 / 4) },
    corners: { ins: rim(7 / 8, REACH / 3), outs: rim(3 / 8, REACH / 3) },
    middle: { ins: rim(0, 1), outs: [{ cell: 0, side: MIDDLE }] },
  }
}
