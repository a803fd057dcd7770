import { Op, type Path, transformPath } from '../marks'
import { Fault } from '../trade'
import { type FontShelf, shapeIn } from '../type'
import { emptyShape, LIMITS, type OwnShape } from './own'

/** Parts that a curve is drawn in: a grid of letters shows no more. */
const PARTS = 6
const UNIT = 1000

/** The outlines of a word in a face, as a shape to lay on a grid. Throws a Fault where it has none. */
export async function shapeOfText(words: string, face: string, shelf: FontShelf): Promise<OwnShape> {
  const says = words.trim().slice(0, LIMITS.says)
  const font = await shelf.face(face)
  const shaped = shapeIn(font, says, [], 'en')
  const lacking = Array.from(says).filter(c => c.trim() && !font.covers(c.codePointAt(0)!))
  if (lacking.length)
    throw new Fault('shape', `This face has no ${[...new Set(lacking)].map(c => `“${c}”`).join(', ')}.`)
  const rings = shaped.pairs.flatMap((pair, i) =>
    flattened(transformPath(font.outline(font.pairGlyph(pair)), 1, -1, shaped.x[i]!, -(shaped.y?.[i] ?? 0))),
  )
  if (!rings.length) throw new Fault('shape', 'Type a letter or a word whose outline is to be the shape.')
  return { ...emptyShape, says, face, rings: fitted(rings) }
}

/** Closed outlines as points: x, y, x, y … */
function flattened({ ops, xy }: Path): number[][] {
  const out: number[][] = []
  let ring: number[] = []
  let at = 0
  const end = (): void => {
    if (ring.length > 4) out.push(ring)
    ring = []
  }
  const curve = (degree: 2 | 3): void => {
    const [x0, y0] = ring.slice(-2) as [number, number]
    const p = [x0, y0, ...xy.subarray(at, at + 2 * degree)]
    for (let k = 1; k <= PARTS; k++) {
      const t = k / PARTS
      // De Casteljau: between neighbouring points until one is left.
      let points = p
      while (points.length > 2) points = points.slice(2).map((v, i) => points[i]! + (v - points[i]!) * t)
      ring.push(points[0]!, points[1]!)
    }
    at += 2 * degree
  }
  for (const op of ops) {
    if (op === Op.move) end()
    if (op === Op.move || op === Op.line) ring.push(xy[at++]!, xy[at++]!)
    else if (op === Op.quad) curve(2)
    else if (op === Op.cubic) curve(3)
  }
  end()
  return out
}

/** Rings with their left top at the origin, in thousandths of the longer side. */
export function fitted(rings: readonly (readonly number[])[]): number[][] {
  const box = [Infinity, Infinity, -Infinity, -Infinity]
  for (const ring of rings)
    ring.forEach((v, i) => {
      box[i % 2] = Math.min(box[i % 2]!, v)
      box[2 + (i % 2)] = Math.max(box[2 + (i % 2)]!, v)
    })
  const unit = UNIT / Math.max(box[2]! - box[0]!, box[3]! - box[1]!)
  return rings.map(ring => ring.map((v, i) => Math.round((v - box[i % 2]!) * unit)))
}
