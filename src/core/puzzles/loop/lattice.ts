import type { Band } from '../difficulty'

/**
 * A closed line along the sides of cells. Cells count from 0, row by row; sides: first those that lie, row by row from the head, then
 * those that stand; points likewise, one more each way than cells.
 */
export interface Loop {
  rows: number
  cols: number
  /** Sides of a cell that the line takes, -1 where that is not said. */
  clues: Int8Array
  /** 1 for each side that the line takes. */
  line: Uint8Array
}

export interface LoopValues {
  rows: number
  cols: number
  band: Band
}

export const LEAST = 5
export const MOST = 14

/** How cells, sides and points of a size lie to each other; -1 where there is no cell. */
export interface Lattice {
  rows: number
  cols: number
  sides: number
  points: number
  sidesOfCell: number[][]
  cellsOfSide: number[][]
  pointsOfSide: [number, number][]
  sidesOfPoint: number[][]
}

const known = new Map<string, Lattice>()

export function latticeOf(rows: number, cols: number): Lattice {
  const key = `${rows}x${cols}`
  if (!known.has(key)) known.set(key, lattice(rows, cols))
  return known.get(key)!
}

function lattice(rows: number, cols: number): Lattice {
  const lying = (r: number, c: number): number => r * cols + c
  const standing = (r: number, c: number): number => (rows + 1) * cols + r * (cols + 1) + c
  const point = (r: number, c: number): number => r * (cols + 1) + c
  const sides = (rows + 1) * cols + rows * (cols + 1)
  const points = (rows + 1) * (cols + 1)
  const sidesOfCell: number[][] = []
  const cellsOfSide = Array.from({ length: sides }, (): number[] => [])
  const pointsOfSide = new Array<[number, number]>(sides)
  const sidesOfPoint = Array.from({ length: points }, (): number[] => [])
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      const own = [lying(r, c), standing(r, c + 1), lying(r + 1, c), standing(r, c)]
      sidesOfCell.push(own)
      for (const s of own) cellsOfSide[s]!.push(r * cols + c)
    }
  const joins = (side: number, a: number, b: number): void => {
    pointsOfSide[side] = [a, b]
    sidesOfPoint[a]!.push(side)
    sidesOfPoint[b]!.push(side)
  }
  for (let r = 0; r <= rows; r++) for (let c = 0; c < cols; c++) joins(lying(r, c), point(r, c), point(r, c + 1))
  for (let r = 0; r < rows; r++) for (let c = 0; c <= cols; c++) joins(standing(r, c), point(r, c), point(r + 1, c))
  return { rows, cols, sides, points, sidesOfCell, cellsOfSide, pointsOfSide, sidesOfPoint }
}
