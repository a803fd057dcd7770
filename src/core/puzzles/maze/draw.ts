import { PathBuilder } from '../../marks'
import type { PuzzleBox } from '../puzzle'
import { E, type Maze, S } from './grid'

/** A wall by the side of a cell, and the least and most that print well; points. */
const WALL = { share: 0.14, least: 0.6, most: 2 }
/** The way through of an answer, by the side of a cell; the walls step back behind it. */
const WAY = 0.36
const ANSWERED = 0.4

/** Walls, with a gap where one goes in and out; an answer has the way through. */
export function draw({ out, puzzle, answer, width, height }: PuzzleBox<Maze>): void {
  const { rows, cols, open, inside, start, end, path } = puzzle
  const roughly = Math.min(width / cols, height / rows)
  const wall = Math.min(WALL.most, Math.max(WALL.least, roughly * WALL.share))
  const cell = Math.min((width - wall) / cols, (height - wall) / rows)
  const [x0, y0] = [(width - cols * cell) / 2, (height - rows * cell) / 2]
  if (answer) {
    const way = new PathBuilder()
    const [r0, r1] = [Math.floor(start / cols), Math.floor(end / cols)]
    const centre = (c: number): [number, number] => [
      x0 + ((c % cols) + 0.5) * cell,
      y0 + (Math.floor(c / cols) + 0.5) * cell,
    ]
    way.move(centre(start)[0], y0 + r0 * cell)
    for (const c of path) way.line(...centre(c))
    way.line(centre(end)[0], y0 + (r1 + 1) * cell)
    out.add({ kind: 'path', path: way.build(), stroke: { colour: { k: 1 }, width: cell * WAY } })
  }
  const walls = new PathBuilder()
  // A wall goes on as long as it can: one shape for each.
  const run = (length: number, stands: (i: number) => boolean, draws: (from: number, to: number) => void): void => {
    let from = -1
    for (let i = 0; i <= length; i++) {
      const here = i < length && stands(i)
      if (here && from < 0) from = i
      if (!here && from >= 0) {
        draws(from, i)
        from = -1
      }
    }
  }
  const isIn = (r: number, c: number): boolean => r >= 0 && c >= 0 && r < rows && c < cols && !!inside[r * cols + c]
  for (let r = 0; r <= rows; r++)
    run(
      cols,
      c => {
        const [above, below] = [(r - 1) * cols + c, r * cols + c]
        if (isIn(r - 1, c) && isIn(r, c)) return !(open[above]! & S)
        return isIn(r, c) ? below !== start : isIn(r - 1, c) && above !== end
      },
      (from, to) => walls.rect(x0 + from * cell - wall / 2, y0 + r * cell - wall / 2, (to - from) * cell + wall, wall),
    )
  for (let c = 0; c <= cols; c++)
    run(
      rows,
      r => (isIn(r, c - 1) && isIn(r, c) ? !(open[r * cols + c - 1]! & E) : isIn(r, c - 1) || isIn(r, c)),
      (from, to) => walls.rect(x0 + c * cell - wall / 2, y0 + from * cell - wall / 2, wall, (to - from) * cell + wall),
    )
  out.add({ kind: 'path', path: walls.build(), fill: { k: answer ? ANSWERED : 1 } })
}
