import type { LayerBuilder, MarkPlace } from '../marks'
import { PathBuilder } from '../marks'
import { setFrag, type TextStyle } from '../type'
import { CELL_LINE, held, setMiddle } from './gridDrawing'

/** A line of a sheet: what is given, and boxes for the letters of what is sought, with what stands in them. */
export interface SheetLine {
  given: string
  /** Letters by box, empty where it is for the reader to write; a space is a gap between words. */
  boxes: string[]
}

/** A sheet's measures, in heights of its lines. */
const NUMBER = 1.1
const GIVEN = 0.42
const GAP = 0.6
const BOX = 0.72
const LEADING = 1.36
/** Width of a letter of what is given, by its size: as the shape is told before its face is loaded. */
const WIDE = 0.74

const widest = (lines: readonly SheetLine[], of: (line: SheetLine) => number): number => Math.max(...lines.map(of))
const wide = (lines: readonly SheetLine[]): number =>
  NUMBER + widest(lines, l => l.given.length) * WIDE * GIVEN + GAP + widest(lines, l => l.boxes.length) * BOX

/** Width by height. */
export const sheetRatio = (lines: readonly SheetLine[]): number => wide(lines) / (lines.length * LEADING)

/** Where a sheet goes. */
interface On {
  out: LayerBuilder
  width: number
  height: number
  /** Where it begins. */
  top?: number
  place: MarkPlace
  styleOf(face: string, size: number): Promise<TextStyle>
}

/** Numbered lines: what is given at the left, boxes for the answer behind it, all boxes beginning at one line. */
export async function drawSheet(
  { out, width, height, top = 0, place, styleOf }: On,
  lines: readonly SheetLine[],
): Promise<void> {
  const unit = Math.min(width / wide(lines), height / (lines.length * LEADING))
  const [x0, y0] = [(width - wide(lines) * unit) / 2, top + (height - lines.length * LEADING * unit) / 2]
  const size = unit * GIVEN
  const [number, given, answer] = await Promise.all([
    styleOf('figtree/regular', size * 0.8),
    styleOf('figtree/bold', size),
    styleOf('figtree/regular', size),
  ])
  const boxesFrom = x0 + wide(lines) * unit - widest(lines, l => l.boxes.length) * BOX * unit
  const hair = held(CELL_LINE, width)
  const frames = new PathBuilder()
  lines.forEach((line, i) => {
    const middle = y0 + (i + 0.5) * LEADING * unit
    const base = middle + size * 0.35
    setFrag(out, number.frag(`${i + 1}`), { x: x0, y: base, place })
    setFrag(out, given.frag(line.given), { x: x0 + NUMBER * unit, y: base, place })
    line.boxes.forEach((sign, k) => {
      if (sign === ' ') return
      const side = BOX * unit * 0.88
      const [x, y] = [boxesFrom + k * BOX * unit, middle - side / 2]
      frames.rect(x, y, side, hair).rect(x, y + side - hair, side, hair)
      frames.rect(x, y, hair, side).rect(x + side - hair, y, hair, side)
      if (sign) setMiddle(out, sign, { style: answer, size, x: x + side / 2, y: middle, place })
    })
  })
  out.add({ kind: 'path', path: frames.build(), fill: { k: 1 } })
}
