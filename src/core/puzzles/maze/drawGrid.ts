import type { Plan } from './plan'
import { E, N, S, W } from './grid'
import type { Maze } from './maze'

/** How far the middle of each side lies from the middle of its cell, in cells. */
const asides = { [E]: [0.5, 0], [S]: [0, 0.5], [W]: [-0.5, 0], [N]: [0, -0.5] } as const

/** A maze of a grid, in the middle of a box. */
export function gridPlan(
  { ground, open, start, end }: Maze,
  { unit, width, height }: { unit: number; width: number; height: number },
): Plan {
  const { rows, cols, inside } = ground
  const [x0, y0] = [(width - cols * unit) / 2, (height - rows * unit) / 2]
  const centre = (cell: number, [dx, dy]: readonly [number, number] = [0, 0]): [number, number] => [
    x0 + ((cell % cols) + 0.5 + dx) * unit,
    y0 + (Math.floor(cell / cols) + 0.5 + dy) * unit,
  ]
  const isIn = (r: number, c: number): boolean => r >= 0 && c >= 0 && r < rows && c < cols && !!inside[r * cols + c]
  const isDoor = (cell: number, side: number): boolean => [start, end].some(d => d.cell === cell && d.side === side)
  /** Whether a wall stands between a cell and the next one, seen from both; a door is a gap in the border. */
  const stands = (r: number, c: number, [r2, c2, onto, from]: readonly [number, number, number, number]): boolean => {
    const [here, there] = [r * cols + c, r2 * cols + c2]
    if (isIn(r, c) && isIn(r2, c2)) return !(open[here]! & (1 << onto))
    return isIn(r, c) ? !isDoor(here, onto) : isIn(r2, c2) && !isDoor(there, from)
  }
  return {
    unit,
    centre,
    gap: (cell, side) => centre(cell, asides[side as keyof typeof asides]),
    walls: (out, wall) => {
      for (let r = 0; r <= rows; r++)
        for (const [from, to] of runs(cols, c => stands(r - 1, c, [r, c, S, N])))
          out.rect(x0 + from * unit - wall / 2, y0 + r * unit - wall / 2, (to - from) * unit + wall, wall)
      for (let c = 0; c <= cols; c++)
        for (const [from, to] of runs(rows, r => stands(r, c - 1, [r, c, E, W])))
          out.rect(x0 + c * unit - wall / 2, y0 + from * unit - wall / 2, wall, (to - from) * unit + wall)
    },
  }
}

/** A wall goes on as long as it can: from and to of each. */
function runs(length: number, stands: (i: number) => boolean): [number, number][] {
  const out: [number, number][] = []
  let from = -1
  for (let i = 0; i <= length; i++) {
    const here = i < length && stands(i)
    if (here && from < 0) from = i
    if (!here && from >= 0) {
      out.push([from, i])
      from = -1
    }
  }
  return out
}
