import { drawOrnament } from '../../ornaments'
import { type LayerBuilder, type MarkPlace, PathBuilder } from '../../marks'
import { type Frag, setFrag, type TextStyle } from '../../type'
import type { PageLook } from './look'

/** What a head says. */
export interface HeadWords {
  words: string
  number?: number | undefined
}

/** Where a head is drawn: its room's width in points, the side of the leaf, a factor on its size (1: of a page). */
export interface HeadAt {
  out: LayerBuilder
  width: number
  side: 'recto' | 'verso'
  place: MarkPlace
  scale?: number
  styleOf(face: string, size: number, tone?: number): Promise<TextStyle>
}

/** Letters of heads are at least and at most so large, points, whatever the page. */
const LEAST = 9
const MOST = 30
/** Below a head before what it heads, and within a band above and below its letters; in sizes of its letters. */
const BELOW = 0.9
const PAD = 0.55
/** Height of capitals, and how far letters go under their line; in sizes. */
const CAPITAL = 0.7
const UNDER = 0.25
const RULE = 0.7

/** Words with what is added between their letters, where they stand. */
interface Line {
  frag: Frag
  width: number
  /** Narrowed to the room, 1 = as drawn. */
  narrowed: number
  letter: number
}

function lineOf(style: TextStyle, words: string, letter: number, room: number): Line {
  const frag = style.frag(words)
  // The last letter has nothing behind it.
  const whole = frag.width + Math.max(0, frag.ems - style.size) * letter
  const narrowed = Math.min(1, room / Math.max(1, whole))
  return { frag, width: whole * narrowed, narrowed, letter }
}

/** Draws a head at the top of a room; returns where what it heads may begin, points below the top. */
export async function drawHead({ head }: PageLook, { words, number }: HeadWords, at: HeadAt): Promise<number> {
  const { out, width, side, place, styleOf } = at
  const size = Math.max(LEAST, Math.min(MOST, Math.round(width * head.size))) * (at.scale ?? 1)
  const said = head.number === 'after' && number !== undefined ? `${words} ${number}`.trim() : words
  const disc = head.number === 'disc' && number !== undefined ? size * 0.95 : 0
  const band = head.rule === 'band'
  const [ink, pad] = band ? [0, size * PAD] : [1, 0]
  const style = await styleOf(head.face, size, ink)
  const room = width - 2 * pad - (disc ? 2 * disc + size * 0.4 : 0)
  const line = lineOf(style, head.capitals ? said.toUpperCase() : said, head.letter, room)
  const outer = side === 'recto' ? 'right' : 'left'
  let y = pad
  if (head.number === 'over' && number !== undefined) {
    const over = lineOf(await styleOf(head.face, size * 0.7), String(number), 0, width)
    setLine(out, over, leftOf(head.at, outer, { width, line: over, pad: 0, disc: 0 }), y + size * 0.7, place)
    y += size * 1.15
  }
  const x = leftOf(head.at, outer, { width, line, pad, disc })
  const baseline = y + Math.max(size * 0.85, disc + size * CAPITAL * 0.5)
  const foot = baseline + Math.max(size * UNDER, disc ? disc - size * CAPITAL * 0.5 : 0)
  if (band) out.add({ kind: 'path', path: new PathBuilder().rect(0, 0, width, foot + pad).build(), fill: { k: 0.85 } })
  if (disc) {
    const cx = outer === 'right' ? width - pad - disc : pad + disc
    const cy = baseline - size * CAPITAL * 0.5
    out.add({ kind: 'path', path: new PathBuilder().circle(cx, cy, disc).build(), fill: { k: band ? 0 : 0.85 } })
    const digits = lineOf(await styleOf(head.face, size * 0.8, band ? 1 : 0), String(number), 0, disc * 1.6)
    setLine(out, digits, cx - digits.width / 2, cy + size * 0.8 * CAPITAL * 0.5, place)
  }
  setLine(out, line, x, baseline, place)
  const rules = new PathBuilder()
  const rule = (x0: number, x1: number, at: number, thickness = RULE): void =>
    void rules.rect(x0, at - thickness / 2, x1 - x0, thickness)
  let end = foot + pad
  if (head.rule === 'under' || head.rule === 'double') {
    end += size * 0.3
    rule(0, width, end, head.rule === 'double' ? 2 * RULE : RULE)
    if (head.rule === 'double') rule(0, width, (end += 2.6), RULE)
  }
  const clear = size * 0.7
  if (head.rule === 'beside' && x - clear > size) {
    rule(0, x - clear, baseline - size * CAPITAL * 0.5)
    rule(x + line.width + clear, width, baseline - size * CAPITAL * 0.5)
  }
  if (head.rule !== 'none' && !band) out.add({ kind: 'path', path: rules.build(), fill: { k: 0.7 } })
  if (head.ornament !== 'none') {
    const middle = head.at === 'centre' ? width / 2 : x + line.width / 2
    drawOrnament(
      out,
      head.ornament,
      Math.min(width - 2 * size, Math.max(2 * size, middle)),
      end + size * 0.55,
      size * 0.8,
    )
    end += size
  }
  return end + size * BELOW
}

function leftOf(
  place: 'centre' | 'outside',
  outer: 'left' | 'right',
  { width, line, pad, disc }: { width: number; line: Line; pad: number; disc: number },
): number {
  if (place === 'centre') return (width - line.width) / 2
  const beside = pad + (disc ? 2 * disc + line.frag.style.size * 0.4 : 0)
  return outer === 'right' ? width - beside - line.width : beside
}

const setLine = (out: LayerBuilder, { frag, narrowed, letter }: Line, x: number, y: number, place: MarkPlace): void =>
  void setFrag(out, frag, { x, y, place, scale: narrowed, letter })
