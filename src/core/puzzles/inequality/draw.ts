import { PathBuilder } from '../../marks'
import { FRAME, held, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Inequality } from './grid'

/** Between two cells, by the side of a cell: room for the sign. */
const GAP = 0.42
const FIGURE = 0.56
/** Half the height, and half the width, of a sign by the gap it stands in. */
const SIGN = { half: 0.34, deep: 0.3 }
/** The line around a cell, by its side. */
const LINE = { share: 1 / 42, least: 0.45, most: 1.1 }

/** Squares that stand apart, with signs in the gaps between them that open towards the greater number. */
export async function draw({
  out,
  puzzle,
  answer,
  width,
  height,
  place,
  styleOf,
}: PuzzleBox<Inequality>): Promise<void> {
  const { size: n, givens, signs, solution } = puzzle
  const side = Math.min(width, height)
  const line = held(LINE, side / n / (1 + GAP))
  const cell = (side - line) / (n + (n - 1) * GAP)
  const step = cell * (1 + GAP)
  const [x0, y0] = [(width - side + line) / 2, (height - side + line) / 2]
  const corner = (at: number): [number, number] => [x0 + (at % n) * step, y0 + Math.floor(at / n) * step]

  const boxes = new PathBuilder()
  for (let at = 0; at < n * n; at++) {
    const [x, y] = corner(at)
    boxes.rect(x, y, cell, cell)
  }
  out.add({ kind: 'path', path: boxes.build(), stroke: { colour: { k: 1 }, width: line } })

  const marks = new PathBuilder()
  const [half, deep] = [cell * GAP * SIGN.half, cell * GAP * SIGN.deep]
  for (const [less, more] of signs) {
    const [[xl, yl], [xm, ym]] = [corner(less), corner(more)]
    const [mx, my] = [(xl + xm + cell) / 2, (yl + ym + cell) / 2]
    // From the lesser to the greater: the point of the sign looks at the lesser.
    const [dx, dy] = [Math.sign(xm - xl), Math.sign(ym - yl)]
    marks.move(mx + dx * deep + dy * half, my + dy * deep + dx * half)
    marks.line(mx - dx * deep, my - dy * deep)
    marks.line(mx + dx * deep - dy * half, my + dy * deep - dx * half)
  }
  if (signs.length)
    out.add({
      kind: 'path',
      path: marks.build(),
      stroke: { colour: { k: 1 }, width: held({ ...FRAME, share: 1 / 26 }, cell) },
    })

  const points = cell * FIGURE
  const [given, found] = [await styleOf('figtree/bold', points), await styleOf('figtree/regular', points)]
  for (let at = 0; at < n * n; at++) {
    const value = givens[at]! || (answer ? solution[at]! : 0)
    if (!value) continue
    const [x, y] = corner(at)
    const style = givens[at] ? given : found
    setMiddle(out, String(value), { style, size: points, x: x + cell / 2, y: y + cell / 2, place })
  }
}
