/** One way to lay a ground onto itself, turned or mirrored: where each cell comes to lie, and which of its sides each side becomes. */
export interface Form {
  to: Int32Array
  side: Int8Array
}

/** Where one goes in or out: a side of a cell that nothing lies behind, or `MIDDLE` where the way ends in the cell itself. */
export interface Door {
  cell: number
  side: number
}
export const MIDDLE = -1

/** How ways in and out may lie. */
export const doorPlaces = ['across', 'sideways', 'corners', 'middle'] as const
export type DoorPlace = (typeof doorPlaces)[number]

/** The cells that a maze is made of, and which of them lie side by side. */
export interface Ground {
  shape: 'rectangle' | 'silhouette' | 'circle'
  /** Of a grid: rows and columns. Of a circle: its rings with the one cell in the middle, and the cells that its width would hold. */
  rows: number
  cols: number
  /** Cells, also those that do not belong to it. */
  cells: number
  /** Cells that belong to it: 1. */
  inside: Uint8Array
  /** Sides that a cell has at most. */
  sides: number
  /** `sides` places for each cell: the cell behind each side, -1 for none. */
  near: Int32Array
  /** By the same places: the side of that other cell that is this one seen from there. */
  back: Int8Array
  /** All its forms, itself among them. */
  forms: readonly Form[]
  doors: Readonly<Record<DoorPlace, { ins: readonly Door[]; outs: readonly Door[] }>>
}

/** The sides seen from behind them. */
export function backOf(near: Int32Array, sides: number): Int8Array {
  return Int8Array.from(near, (next, at) => {
    if (next < 0) return -1
    const cell = Math.floor(at / sides)
    for (let k = 0; k < sides; k++) if (near[next * sides + k] === cell) return k
    return -1
  })
}

/** A form by where its cells come to lie. */
export function formOf(to: Int32Array, near: Int32Array, sides: number): Form {
  const side = Int8Array.from(near, (next, at) => {
    if (next < 0) return -1
    const cell = to[Math.floor(at / sides)]!
    for (let k = 0; k < sides; k++) if (near[cell * sides + k] === to[next]) return k
    return -1
  })
  return { to, side }
}
