import { PathBuilder } from '../../marks'
import { setMiddle } from '../gridDrawing'
import type { PuzzleWork } from '../puzzle'
import type { Point } from '../../silhouettes'
import { make } from './make'
import { prove } from './solve'
import { DOT, type DotToDot, type DotValues } from './values'

/** Lines of the picture, by the longer side; how dark details are that are printed from the start. */
const LINE = 0.0035
const DETAIL = 0.45

const closed = (path: PathBuilder, points: readonly Point[], at: (p: Point) => Point): void => {
  points.forEach((p, i) => (i ? path.line(...at(p)) : path.move(...at(p))))
  path.close()
}

export const work: PuzzleWork<DotValues, DotToDot> = {
  make,
  prove,
  ratio: ({ width, height }) => width / height,
  /** Dots and their numbers, and what of the picture is printed from the start; an answer is joined. */
  async draw({ out, puzzle, answer, width, height, place, styleOf }) {
    const { dots, labels, size, details } = puzzle
    const unit = Math.min(width / puzzle.width, height / puzzle.height)
    const [x0, y0] = [(width - puzzle.width * unit) / 2, (height - puzzle.height * unit) / 2]
    const at = ([x, y]: Point): Point => [x0 + x * unit, y0 + y * unit]
    const line = Math.max(0.5, unit * LINE)
    for (const ring of details) {
      const path = new PathBuilder()
      closed(path, ring, at)
      out.add({ kind: 'path', path: path.build(), stroke: { colour: { k: DETAIL }, width: line } })
    }
    const round = new PathBuilder()
    for (const dot of dots) round.circle(...at(dot), Math.max(0.5, DOT * size * unit * 0.7))
    if (answer) {
      const path = new PathBuilder()
      closed(path, dots, at)
      out.add({ kind: 'path', path: path.build(), stroke: { colour: { k: 1 }, width: line } })
      return
    }
    out.add({ kind: 'path', path: round.build(), fill: { k: 1 } })
    const high = size * unit
    const style = await styleOf('figtree/regular', high)
    labels.forEach((label, i) => {
      const [x, y] = at(label)
      setMiddle(out, String(i + 1), { style, size: high, x, y, place })
    })
  },
  record: ({ name, width, height, dots }) => ({
    shows: name,
    width,
    height,
    dots: dots.map(([x, y]) => [Number(x.toFixed(5)), Number(y.toFixed(5))]),
  }),
}
