import type { TextPiece } from '../../book'
import { type Item, LayerBuilder, type Layer, PathBuilder, rgb } from '../../marks'
import {
  type BreakRules,
  breakParagraph,
  type BrokenParagraph,
  linePieces,
  type Paragraph,
  ParagraphBuilder,
  setLine,
  splitLong,
  TextStyle,
} from '../../type'
import type { Flat } from '../geometry'
import type { Rect } from '../rect'
import type { DrawnPiece, PieceDrawing, PiecePlace } from './kind'
import { roundedRect } from './shape'
import { wordsOf } from './words'

/** Below this nothing on a cover can be read. */
const LEAST_SIZE = 6.5
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
  const fit = fitted({
    text: piece.capitals ? text.toLocaleUpperCase(data.language) : text,
    piece,
    box,
    most: piece.size * scaleOf(piece, flat),
    styleAt: size =>
      new TextStyle({
        faces: [face, fallback],
        size,
        features: ['-onum', 'lnum'],
        language: data.language,
        colour,
        tracking: piece.tracking,
      }),
  })
  const cap = face.metrics.capHeight * fit.size
  const height = inkHeight(fit, piece, cap)
  const free = box.height - height
  const top = box.y + (piece.vertical === 'middle' ? free / 2 : piece.vertical === 'bottom' ? free : 0)
  const layer = setLines(fit, piece, { x: box.x, y: top + cap })
  const ink = { x: box.x, y: top, width: box.width, height }
  const under = underWords(piece, layer, { box, ink, fit })
  const { size, tooLong, lines } = fit
  return {
    layer: under.length ? { items: [...under, { kind: 'group', layers: [layer] }] } : layer,
    words: {
      text,
      ink,
      size,
      colour,
      tooLong,
      missing: lines.flatMap(l => l.paragraph.missing),
      under: under.length ? { items: under } : undefined,
    },
  }
}

/** Sizes are stated for a usual panel, and go with its area; a spine has its own. */
const scaleOf = ({ panel }: TextPiece, { panels: { front } }: Flat): number =>
  panel === 'spine' ? 1 : Math.sqrt((front.width * front.height) / STATED_FOR)

interface FittedLine {
  paragraph: Paragraph
  broken: BrokenParagraph
  rules: BreakRules
}

interface Fitted {
  size: number
  lines: FittedLine[]
  /** Of all its paragraphs. */
  count: number
  tooLong: boolean
}

/** From the first line's capitals to what hangs below the last; capitals have nothing that hangs. */
const inkHeight = ({ count, size }: Pick<Fitted, 'count' | 'size'>, piece: TextPiece, cap: number): number =>
  cap + (count - 1) * size * piece.leading + (piece.capitals ? 0.02 : 0.24) * size

interface Fitting {
  text: string
  piece: TextPiece
  box: { width: number; height: number }
  /** Points. */
  most: number
  styleAt: (size: number) => TextStyle
}

/** The largest size, down from the asked one, at which words fit their box. */
function fitted({ text, piece, box, most, styleAt }: Fitting): Fitted {
  for (let size = most; ; size = Math.max(LEAST_SIZE, size * 0.94)) {
    const style = styleAt(size)
    const paragraphs = text
      .split(/\n+/)
      .filter(t => t.trim())
      .map(t => paragraphOf(t, style))
    const tooWide = paragraphs.some(p => p.boxWidth.some(w => w > box.width))
    const lines = brokenAt(paragraphs, piece, box.width)
    const count = countOf(lines)
    const height = inkHeight({ count, size }, piece, style.face.metrics.capHeight * size)
    const fits = !tooWide && height <= box.height && (piece.panel !== 'spine' || count === 1)
    if (fits && count <= DISPLAYED)
      return { size, lines: brokenAt(paragraphs, piece, box.width, true), count, tooLong: false }
    if (fits || size <= LEAST_SIZE) return { size, lines, count, tooLong: !fits }
  }
}

function paragraphOf(text: string, style: TextStyle): Paragraph {
  const b = new ParagraphBuilder()
  b.text(text, style)
  return b.build()
}

const countOf = (lines: readonly FittedLine[]): number => lines.reduce((n, l) => n + l.broken.count, 0)

/** `even`: lines as long as each other, in as few. */
const brokenAt = (
  paragraphs: readonly Paragraph[],
  { align }: TextPiece,
  measure: number,
  even = false,
): FittedLine[] =>
  paragraphs.map(whole => {
    const paragraph = splitLong(whole, measure)
    const rules: BreakRules = {
      measure,
      indents: [],
      align,
      stretch: 0,
      shrink: 0,
      scaling: 0,
      tracking: 0,
      hyphenate: false,
      ladder: 0,
      leastLastLine: 0,
      optical: false,
      even,
    }
    return { paragraph, broken: breakParagraph(paragraph, rules)[0]!, rules }
  })

/** Lines that are displayed, not read on and on: at most so many. */
const DISPLAYED = 6

/** The lines from a first baseline on. */
function setLines({ lines, size }: Fitted, piece: TextPiece, from: { x: number; y: number }): Layer {
  const out = new LayerBuilder()
  let { y } = from
  for (const { paragraph, broken, rules } of lines)
    for (let i = 0; i < broken.count; i++, y += size * piece.leading)
      setLine(out, linePieces(paragraph, broken, i), rules, {
        x: from.x,
        y,
        place: { section: 'cover', block: piece.id },
      })
  return out.build()
}

/** A plate and a shadow, where the words have them. */
function underWords(
  { plate, shadow, align }: TextPiece,
  layer: Layer,
  { box, ink, fit }: { box: Rect; ink: Rect; fit: Fitted },
): Item[] {
  const out: Item[] = []
  if (plate) {
    const by = plate.around * fit.size
    const width = widthOf(layer, fit.size)
    const left =
      align === 'left' ? box.x : align === 'right' ? box.x + box.width - width : box.x + (box.width - width) / 2
    const rect = { x: left - by, y: ink.y - by, width: width + 2 * by, height: ink.height + 2 * by }
    const path = plate.round
      ? roundedRect(rect, Math.min(rect.height / 2, by * 1.2))
      : new PathBuilder().rect(rect.x, rect.y, rect.width, rect.height).build()
    out.push({ kind: 'path', path, fill: rgb(plate.colour) })
  }
  if (shadow && layer.text) {
    const text = { ...layer.text, colours: layer.text.colours.map(() => rgb(shadow.colour)) }
    const [x, y] = [shadow.across * fit.size, shadow.down * fit.size]
    out.push({ kind: 'group', transform: [1, 0, 0, 1, x, y], layers: [{ items: [], text }] })
  }
  return out
}

/** How wide the widest line is, points. */
function widthOf({ text }: Layer, size: number): number {
  if (!text?.count) return 0
  const rows = new Map<number, { from: number; to: number }>()
  for (let run = 0; run < text.count; run++) {
    const face = text.faces[text.face[run]!]!
    const row = rows.get(text.baseline[run]!) ?? { from: Infinity, to: -Infinity }
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
