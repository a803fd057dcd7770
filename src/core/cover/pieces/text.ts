import type { TextPiece } from '../../book'
import { type Item, LayerBuilder, type Layer, type Path, PathBuilder, rgb } from '../../marks'
import { type Face, linePieces, setFrag, setLine, TextStyle } from '../../type'
import type { Flat } from '../geometry'
import { gradientIn } from '../gradient'
import type { Rect } from '../rect'
import { type Fitted, fitted } from './fit'
import type { DrawnPiece, PieceDrawing, PiecePlace } from './kind'
import { type Bend, bendOf, glowAround, letterBoxes, outlinesOf, sagOf, widestOn } from './letters'
import { roundedRect } from './shape'
import { wordsOf } from './words'

/** The panel that sizes are stated for: 6 × 9 in, square points. */
const STATED_FOR = 432 * 648
/** Between words on the back and the barcode, points. */
const GAP = 8

/** Sets words in their box, as large as they fit. Undefined where the book has none for it. */
export async function drawText(
  piece: TextPiece,
  place: PiecePlace,
  { flat, data, barcode, shelf }: PieceDrawing,
): Promise<DrawnPiece | undefined> {
  const text = wordsOf(data, piece)
  if (!text.trim()) return undefined
  const face = await shelf.face(piece.face)
  const fallback = await shelf.face('eb-garamond/regular')
  const colour = rgb(piece.colour)
  const box = { ...place.box }
  if (barcode && piece.panel === 'back') keepClear(box, barcode, place.area)
  const bent = piece.panel === 'spine' ? 0 : (piece.arc ?? 0)
  const fit = fitted({
    text: piece.capitals ? text.toLocaleUpperCase(data.language) : text,
    piece,
    box,
    most: piece.size * scaleOf(piece, flat),
    styleAt: size =>
      new TextStyle({
        faces: [face, fallback],
        size,
        features: featuresOf(piece, face),
        language: data.language,
        colour,
        tracking: piece.tracking + (piece.optical ? opticalTracking(size) : 0),
      }),
    sag: width => sagOf(width, bent),
    measure: cap => (bent ? widestOn(box.width, bent, cap) : box.width),
  })
  const cap = face.metrics.capHeight * (fit.lines[0]?.size ?? fit.size)
  const sag = sagOf(box.width, bent)
  const free = box.height - fit.height - sag
  const top = box.y + (piece.vertical === 'middle' ? free / 2 : piece.vertical === 'bottom' ? free : 0)
  // Lines bent down at their middle begin so much higher there.
  const first = top + cap + (bent < 0 ? sag : 0)
  const set = setLines(fit, piece, { x: box.x, y: first, width: box.width, bent: bent !== 0 })
  const wide = Math.min(box.width, widthOf(set))
  const ink = { x: startOf(piece, box, wide), y: top, width: wide, height: fit.height + sag }
  const bend = bent ? bendOf(box.width, bent, { cx: box.x + box.width / 2, y: first }) : undefined
  const under = underWords(piece, set, { ink, fit, bend })
  const layer = drawnLetters(piece, set, ink, bend)
  return {
    layer: under.length ? { items: [...under, { kind: 'group', layers: [layer] }] } : layer,
    words: {
      text,
      ink,
      ...(bend && set.text ? { spots: letterBoxes(set.text, bend) } : {}),
      size: fit.size,
      colour,
      tooLong: fit.tooLong,
      missing: [...new Set(fit.lines.map(l => l.paragraph))].flatMap(p => p.missing),
      under: under.length ? { items: under } : undefined,
    },
  }
}

/** Sizes are stated for a usual panel, and go with its area; a spine has its own. */
const scaleOf = ({ panel }: TextPiece, { panels: { front } }: Flat): number =>
  panel === 'spine' ? 1 : Math.sqrt((front.width * front.height) / STATED_FOR)

/** Figures that stand in line with capitals; swashes and small capitals where the face has them. */
function featuresOf({ swashes, small }: TextPiece, { features }: Face): string[] {
  const wanted = [...(swashes ? ['swsh', 'cswh'] : []), ...(small ? ['smcp'] : [])]
  return ['-onum', 'lnum', ...wanted.filter(f => features.has(f))]
}

/** Letters are drawn for this size, points: larger they stand too far apart, smaller too near. */
const DRAWN_FOR = 18
/** Ems that they move together for each doubling, and the most that they do. */
const A_DOUBLING = 0.008
const MOST_TIGHT = 0.03
const opticalTracking = (size: number): number =>
  Math.max(-MOST_TIGHT, Math.min(MOST_TIGHT, -A_DOUBLING * Math.log2(size / DRAWN_FOR)))

/** The lines from a first baseline on. */
function setLines(
  { lines }: Fitted,
  piece: TextPiece,
  { width, bent, ...from }: { x: number; y: number; width: number; bent: boolean },
): Layer {
  const out = new LayerBuilder()
  const place = { section: 'cover', block: piece.id }
  for (const { paragraph, broken, at, rules, down, inset, mark } of lines) {
    const pieces = linePieces(paragraph, broken, at)
    if (mark) setFrag(out, pieces.frags[0]!.style.frag(mark), { x: from.x, y: from.y + down, place })
    // A line that is bent stands in the middle of its box, however much of it it may take.
    const aside = bent ? (width - rules.measure) / 2 : 0
    setLine(out, pieces, rules, { x: from.x + inset + aside, y: from.y + down, place })
  }
  return out.build()
}

/** The letters themselves: as text where they are of one colour and straight, as outlines otherwise. */
function drawnLetters({ gradient, colour }: TextPiece, layer: Layer, ink: Rect, bend: Bend | undefined): Layer {
  if (!layer.text || (!gradient && !bend)) return layer
  const path = outlinesOf(layer.text, bend)
  const fill = rgb(colour)
  return {
    items: [
      ...layer.items,
      gradient
        ? gradientIn(path, ink, { from: fill, to: rgb(gradient.to), angle: gradient.angle })
        : { kind: 'path', path, fill },
    ],
  }
}

/** A plate, a glow, a shadow and an outline, where the words have them: the ground that they are read on. */
function underWords(
  { plate, shadow, glow, outline }: TextPiece,
  layer: Layer,
  { ink, fit, bend }: { ink: Rect; fit: Fitted; bend: Bend | undefined },
): Item[] {
  const { text } = layer
  const { size } = fit
  const out: Item[] = []
  if (plate) out.push({ kind: 'path', path: platePath(plate, ink, size), fill: rgb(plate.colour) })
  if (!text || (!glow && !shadow && !outline)) return out
  const path = outlinesOf(text, bend)
  if (glow) out.push(...glowAround(path, { colour: rgb(glow.colour), reach: glow.reach * size }))
  if (shadow) {
    const [x, y] = [shadow.across * size, shadow.down * size]
    const fill = rgb(shadow.colour)
    out.push({ kind: 'group', transform: [1, 0, 0, 1, x, y], layers: [{ items: [{ kind: 'path', path, fill }] }] })
  }
  if (outline)
    out.push({
      kind: 'path',
      path,
      stroke: { colour: rgb(outline.colour), width: 2 * outline.width * size, round: true },
    })
  return out
}

function platePath(plate: NonNullable<TextPiece['plate']>, ink: Rect, size: number): Path {
  const by = plate.around * size
  const rect = { x: ink.x - by, y: ink.y - by, width: ink.width + 2 * by, height: ink.height + 2 * by }
  return plate.round
    ? roundedRect(rect, Math.min(rect.height / 2, by * 1.2))
    : new PathBuilder().rect(rect.x, rect.y, rect.width, rect.height).build()
}

/** Where lines so wide begin in their box. */
const startOf = ({ align }: TextPiece, box: Rect, wide: number): number =>
  align === 'left' ? box.x : align === 'right' ? box.x + box.width - wide : box.x + (box.width - wide) / 2

/** How wide the widest line is, points. */
function widthOf({ text }: Layer): number {
  if (!text?.count) return 0
  const rows = new Map<number, { from: number; to: number }>()
  let size = 0
  for (let run = 0; run < text.count; run++) {
    const face = text.faces[text.face[run]!]!
    const row = rows.get(text.baseline[run]!) ?? { from: Infinity, to: -Infinity }
    size = Math.max(size, text.size[run]!)
    for (let i = text.start[run]!; i < text.start[run + 1]!; i++) {
      const advance = (face.advance(face.pairGlyph(text.glyphs[i]!)) / face.unitsPerEm) * text.size[run]!
      row.from = Math.min(row.from, text.x[i]!)
      row.to = Math.max(row.to, text.x[i]! + advance)
    }
    rows.set(text.baseline[run]!, row)
  }
  return Math.max(0, ...[...rows.values()].map(r => r.to - r.from)) + size * 0.02
}

/** Keeps a box on the back out of the barcode's place. */
function keepClear(box: Rect, barcode: Rect, area: Rect): void {
  const bx = barcode.x - area.x
  const by = barcode.y - area.y
  const meets =
    box.x < bx + barcode.width + GAP &&
    box.x + box.width > bx - GAP &&
    box.y < by + barcode.height + GAP &&
    box.y + box.height > by - GAP
  if (!meets) return
  if (box.y < by - GAP - 40) box.height = Math.min(box.height, by - GAP - box.y)
  else if (box.x < bx) box.width = Math.min(box.width, bx - GAP - box.x)
}
