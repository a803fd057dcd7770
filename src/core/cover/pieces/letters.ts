import { type Colour, type Item, type Path, pathBox, PathBuilder, type TextTable } from '../../marks'
import type { Rect } from '../rect'

/** A circle that lines are bent along: its middle and the radius of the first baseline; a negative one is bent the other way. */
export interface Bend {
  cx: number
  /** Baseline of the first line where it is not bent. */
  y: number
  radius: number
}

/** The bend at which a line so wide turns by so many degrees from end to end, up at its middle where they are positive. */
export const bendOf = (width: number, degrees: number, at: { cx: number; y: number }): Bend => ({
  ...at,
  radius: width / ((degrees * Math.PI) / 180),
})

/** How wide a line may be on a bend over a box so wide, for the heads of letters so high to stay in it. */
export function widestOn(width: number, degrees: number, high: number): number {
  const radius = width / ((Math.abs(degrees) * Math.PI) / 180)
  // What is bent down spreads at its feet, which reach less far out than heads do.
  const outer = radius + (degrees > 0 ? high : high * FEET)
  return Math.min(width, 2 * radius * Math.asin(Math.min(1, width / 2 / outer)))
}
/** How far letters hang below their line, in parts of their capitals. */
const FEET = 0.35

/** How much lower (or higher) the ends of such a line stand than its middle. */
export const sagOf = (width: number, degrees: number): number => {
  const half = (Math.abs(degrees) * Math.PI) / 360
  return half ? (width / 2 / half) * (1 - Math.cos(half)) : 0
}

/** The outlines of set letters as one path, along a bend where there is one. */
export function outlinesOf(text: TextTable, bend?: Bend): Path {
  const out = new PathBuilder()
  for (const path of letterPaths(text, bend)) out.append(path, 0, 0)
  return out.build()
}

/** The box of each letter, where it is drawn at all. */
export const letterBoxes = (text: TextTable, bend?: Bend): Rect[] =>
  [...letterPaths(text, bend)]
    .filter(p => p.ops.length)
    .map(p => {
      const [x0, y0, x1, y1] = pathBox(p)
      return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 }
    })

/** Each letter’s outline where it stands. */
function* letterPaths(text: TextTable, bend?: Bend): Generator<Path> {
  for (let r = 0; r < text.count; r++) {
    const face = text.faces[text.face[r]!]!
    const unit = text.size[r]! / face.unitsPerEm
    const wide = unit * text.stretch[r]!
    for (let g = text.start[r]!; g < text.start[r + 1]!; g++) {
      const glyph = face.pairGlyph(text.glyphs[g]!)
      const [x, y] = [text.x[g]!, text.baseline[r]!]
      const path = face.outline(glyph)
      if (!bend) {
        yield mapped(path, (u, v) => [x + u * wide, y - v * unit])
        continue
      }
      // A letter stands upright on the circle at its own middle.
      const half = (face.advance(glyph) * wide) / 2
      const radius = bend.radius - (y - bend.y)
      const angle = (x + half - bend.cx) / radius
      const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
      const [px, py] = [bend.cx + radius * sin, bend.y + bend.radius - radius * cos]
      yield mapped(path, (u, v) => {
        const [a, b] = [u * wide - half, -v * unit]
        return [px + a * cos - b * sin, py + a * sin + b * cos]
      })
    }
  }
}

/** A path with each of its points moved. */
function mapped({ ops, xy }: Path, to: (x: number, y: number) => readonly [number, number]): Path {
  const moved = new Float32Array(xy.length)
  for (let i = 0; i < xy.length; i += 2) {
    const [x, y] = to(xy[i]!, xy[i + 1]!)
    moved[i] = x
    moved[i + 1] = y
  }
  return { ops, xy: moved }
}

/** Rings of a glow, the widest first. */
const RINGS = 8

/** Light around letters, fading outwards over so many points. */
export const glowAround = (path: Path, { colour, reach }: { colour: Colour; reach: number }): Item[] =>
  Array.from({ length: RINGS }, (_, i) => ({
    kind: 'group',
    opacity: 0.16,
    layers: [
      { items: [{ kind: 'path', path, stroke: { colour, width: (2 * reach * (RINGS - i)) / RINGS, round: true } }] },
    ],
  }))
