/** A sudoku: rows of numbers, 0 where nothing is given. Boxes are `boxRows` high and `boxCols` wide. */
export interface Sudoku {
  size: number
  boxRows: number
  boxCols: number
  givens: number[][]
  solution: number[][]
}

/** How cells of a size stand to each other; cells and numbers count from 0. */
export interface Grid {
  size: number
  boxRows: number
  boxCols: number
  /** Boxes, then rows, then columns: their cells. */
  units: number[][]
  /** The units of each cell. */
  unitsOf: number[][]
  /** Cells that share a unit with each. */
  peers: number[][]
  /** Where boxes and lines cross: the cells they share, and the rest of each. */
  crossings: { shared: number[]; box: number[]; line: number[] }[]
  /** The same units and peers, one after the other: what a search reads all the time. */
  flat: { units: Int16Array; peers: Int16Array; peersEach: number }
}

const boxes: Record<number, [number, number]> = { 4: [2, 2], 6: [2, 3], 9: [3, 3], 16: [4, 4] }
const grids = new Map<number, Grid>()

export function gridOf(size: number): Grid {
  let grid = grids.get(size)
  if (!grid) grids.set(size, (grid = makeGrid(size, ...boxes[size]!)))
  return grid
}

function makeGrid(size: number, boxRows: number, boxCols: number): Grid {
  const all = Array.from({ length: size }, (_, i) => i)
  const across = size / boxCols
  const units = [
    ...all.map(b =>
      all.map(
        i =>
          (Math.floor(b / across) * boxRows + Math.floor(i / boxCols)) * size + (b % across) * boxCols + (i % boxCols),
      ),
    ),
    ...all.map(r => all.map(c => r * size + c)),
    ...all.map(c => all.map(r => r * size + c)),
  ]
  const unitsOf = Array.from({ length: size * size }, (_, cell) =>
    units.flatMap((u, i) => (u.includes(cell) ? [i] : [])),
  )
  const peers = unitsOf.map((of, cell) => [...new Set(of.flatMap(u => units[u]!))].filter(c => c !== cell))
  const flat = {
    units: Int16Array.from(units.flat()),
    peers: Int16Array.from(peers.flat()),
    peersEach: peers[0]!.length,
  }
  const crossings = units.slice(0, size).flatMap(box =>
    units.slice(size).flatMap(line => {
      const shared = box.filter(c => line.includes(c))
      return shared.length > 1
        ? [{ shared, box: box.filter(c => !line.includes(c)), line: line.filter(c => !box.includes(c)) }]
        : []
    }),
  )
  return { size, boxRows, boxCols, units, unitsOf, peers, crossings, flat }
}
