import { turns } from '../turns'
import { backOf, type Door, type Form, formOf, type Ground, MIDDLE } from './ground'

/** Sides of a cell of a grid. */
export const E = 0
export const S = 1
export const W = 2
export const N = 3
const SIDES = 4
/** Rows and columns from a cell to the one behind each side. */
const asides = [
  [0, 1],
  [1, 0],
  [0, -1],
  [-1, 0],
] as const

/** Share of a silhouette's rows, or columns, from its border, in which one goes in and out. */
const NEAR = 0.3
/** The same from one corner to the other. */
const CORNER = 0.2
/** The middle of a grid: cells that lie so near to its centre, by its width. */
const AROUND = 0.12

const whole = new Map<string, Ground>()
const cut = new WeakMap<Uint8Array, Ground>()

/** Cells row by row, from 0; where only some of them belong to it, `inside` has a 1 for each. Made once for a size, and for such an array. */
export function gridGround(rows: number, cols: number, inside?: Uint8Array): Ground {
  const key = `${rows}x${cols}`
  const ground = (inside ? cut.get(inside) : whole.get(key)) ?? laid(rows, cols, inside)
  if (inside) cut.set(inside, ground)
  else whole.set(key, ground)
  return ground
}

function laid(rows: number, cols: number, shape?: Uint8Array): Ground {
  const cells = rows * cols
  const inside = shape ?? new Uint8Array(cells).fill(1)
  const near = new Int32Array(cells * SIDES).fill(-1)
  const isIn = (r: number, c: number): boolean => r >= 0 && c >= 0 && r < rows && c < cols && inside[r * cols + c] === 1
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      if (!isIn(r, c)) continue
      const at = (r * cols + c) * SIDES
      if (isIn(r, c + 1)) near[at + E] = r * cols + c + 1
      if (isIn(r + 1, c)) near[at + S] = (r + 1) * cols + c
      if (isIn(r, c - 1)) near[at + W] = r * cols + c - 1
      if (isIn(r - 1, c)) near[at + N] = (r - 1) * cols + c
    }
  return {
    shape: shape ? 'silhouette' : 'rectangle',
    rows,
    cols,
    cells,
    inside,
    sides: SIDES,
    near,
    back: backOf(near, SIDES),
    // Forms of the whole grid: a silhouette's own twins are among them.
    forms: shape ? gridGround(rows, cols).forms : formsOf(rows, cols, near),
    doors: doorsOf({ rows, cols, inside }, !shape),
  }
}

/** A grid that is as high as wide lies on itself in eight ways, another in four. */
function formsOf(rows: number, cols: number, near: Int32Array): Form[] {
  return turns(rows, cols)
    .filter(turn => turn.rows === rows && turn.cols === cols)
    .map(turn => {
      const to = Int32Array.from({ length: rows * cols }, (_, at) => {
        const [r, c] = turn.to(Math.floor(at / cols), at % cols)
        return r * cols + c
      })
      return formOf(to, near, SIDES)
    })
}

interface Sheet {
  rows: number
  cols: number
  inside: Uint8Array
}

/** Tells of cells, beyond the sheet too, whether they belong to what lies around the shape: the holes in it do not. */
function outsideOf({ rows, cols, inside }: Sheet): (row: number, col: number) => boolean {
  // With a border of one cell around the sheet, all that lies around hangs together.
  const wide = cols + 2
  const reached = new Uint8Array((rows + 2) * wide)
  reached[0] = 1
  const next = [0]
  while (next.length) {
    const at = next.pop()!
    const [r, c] = [Math.floor(at / wide), at % wide]
    for (const [dr, dc] of Object.values(asides)) {
      const [y, x] = [r + dr, c + dc]
      if (y < 0 || x < 0 || y > rows + 1 || x > cols + 1 || reached[y * wide + x]) continue
      if (y >= 1 && x >= 1 && y <= rows && x <= cols && inside[(y - 1) * cols + x - 1]) continue
      reached[y * wide + x] = 1
      next.push(y * wide + x)
    }
  }
  return (row, col) => reached[(row + 1) * wide + col + 1] === 1
}

function doorsOf({ rows, cols, inside }: Sheet, whole: boolean): Ground['doors'] {
  const all = [...inside.keys()].filter(at => inside[at])
  const row = (at: number): number => Math.floor(at / cols)
  const col = (at: number): number => at % cols
  const ends = (of: (at: number) => number): [number, number] => {
    const values = all.map(of)
    return [Math.min(...values), Math.max(...values)]
  }
  const [top, foot] = ends(row)
  const [left, right] = ends(col)
  const within = (length: number): number => (whole ? 0 : Math.ceil(length * NEAR) - 1)
  const outside = outsideOf({ rows, cols, inside })
  /** Cells with the outside behind a side, as near to that border of the sheet as is asked. */
  const border = (side: number, is: (at: number) => boolean): Door[] =>
    all
      .filter(at => {
        const [dr, dc] = asides[side]!
        return outside(row(at) + dr, col(at) + dc) && is(at)
      })
      .map(cell => ({ cell, side }))
  const centre = (at: number): number => Math.hypot(row(at) - (top + foot) / 2, col(at) - (left + right) / 2)
  const reach = Math.max(ends(centre)[0], cols * AROUND)
  // In a silhouette some cells of a border lie near enough to its corner; in a grid it is one.
  const diagonal = (at: number): number => row(at) + col(at)
  const [head, tail] = ends(diagonal)
  const slack = whole ? 0 : (tail - head) * CORNER
  const heads = border(N, at => row(at) <= top + within(foot - top))
  return {
    across: { ins: heads, outs: border(S, at => row(at) >= foot - within(foot - top)) },
    sideways: {
      ins: border(W, at => col(at) <= left + within(right - left)),
      outs: border(E, at => col(at) >= right - within(right - left)),
    },
    corners: {
      ins: border(N, at => diagonal(at) <= head + slack),
      outs: border(S, at => diagonal(at) >= tail - slack),
    },
    middle: {
      ins: [...heads, ...border(S, at => row(at) >= foot - within(foot - top))],
      outs: all.filter(at => centre(at) <= reach).map(cell => ({ cell, side: MIDDLE })),
    },
  }
}
