import type { TextPiece } from '../../book'
import { SAID_BY } from './words'
import {
  type BreakRules,
  breakParagraph,
  type BrokenParagraph,
  displayedRules,
  type Paragraph,
  ParagraphBuilder,
  splitLong,
  type TextStyle,
} from '../../type'

/** Below this nothing on a cover can be read. */
const LEAST_SIZE = 6.5
/** Lines that are displayed, not read on and on: at most so many are made even. */
const DISPLAYED = 6
/** Under the baseline, by size: what hangs below letters, and below capitals. */
const HANGS = 0.24
const CAPITALS_HANG = 0.02
/** Steps in which words are made smaller until they fit. */
const SMALLER = 0.94

/** A line as it will be set. */
export interface FittedLine {
  paragraph: Paragraph
  broken: BrokenParagraph
  /** Which of the paragraph's. */
  at: number
  rules: BreakRules
  /** Of its letters, points. */
  size: number
  /** Its baseline under the first one's, points. */
  down: number
  /** What it stands in from its box, points. */
  inset: number
  /** A sign before it, as a list has them. */
  mark?: string
}

/** Words in lines that fit their box, or as small as they may be. */
export interface Fitted {
  /** Of its largest line, points. */
  size: number
  lines: FittedLine[]
  /** From the head of the first line's capitals to what hangs below the last. */
  height: number
  tooLong: boolean
}

export interface Fitting {
  text: string
  piece: TextPiece
  box: { width: number; height: number }
  /** Points. */
  most: number
  styleAt: (size: number) => TextStyle
  /** How much higher its lines are where they are bent, by their width. */
  sag: (width: number) => number
  /** How wide a line may be whose capitals are so high: on a bend they reach further than their feet. */
  measure: (cap: number) => number
}

/** The largest size, down from the asked one, at which words fit their box. */
export function fitted(of: Fitting): Fitted {
  if (of.piece.panel === 'spine') return even(of)
  if (of.piece.lineSizes?.length) return inLines(of, of.piece.lineSizes)
  return of.piece.stacked ? stacked(of) : even(of)
}

const hangOf = ({ capitals }: TextPiece): number => (capitals ? CAPITALS_HANG : HANGS)

function even({ text, piece, box, most, styleAt, sag, measure: measureOf }: Fitting): Fitted {
  const room = box.height - sag(box.width)
  for (let size = most; ; size = Math.max(LEAST_SIZE, size * SMALLER)) {
    const style = styleAt(size)
    const parts = partsOf(text, size, piece, styleAt)
    const { capHeight } = style.face.metrics
    const measure = measureOf(capHeight * size)
    const tooWide = parts.some(p => p.paragraph.boxWidth.some(w => w > measure - p.inset))
    const laid = (as: { even: boolean }): Fitted => {
      const lines = linesOf(parts, { piece, measure, ...as })
      const [first = size, last = size] = [lines[0]?.size, lines.at(-1)?.size]
      const height = capHeight * first + (lines.at(-1)?.down ?? 0) + hangOf(piece) * last
      return { size, lines, height, tooLong: false }
    }
    const read = laid({ even: false })
    const fits = !tooWide && read.height <= room && (piece.panel !== 'spine' || read.lines.length === 1)
    if (fits && read.lines.length <= DISPLAYED) return laid({ even: true })
    if (fits || size <= LEAST_SIZE) return { ...read, tooLong: !fits }
  }
}

interface Part {
  paragraph: Paragraph
  inset: number
  size: number
  mark?: string
  /** It belongs to the part above and stands right under it. */
  under?: boolean
}

/** Between paragraphs that are read, in lines. */
const APART = 0.5
/** What a list's lines stand in, ems. */
const LIST = 1.1
/** How much larger than the text around it a sentence is that is pulled out of it. */
const PULLED = 1.3

/** The paragraphs of a text. On a back, lines that begin as those of a list are one, and one that begins as a quotation stands out from the others. */
const partsOf = (text: string, size: number, { panel }: TextPiece, styleAt: Fitting['styleAt']): Part[] => {
  const style = styleAt(size)
  return text
    .split(/\n+/)
    .filter(t => t.trim())
    .map((t): Part => {
      const plain = { paragraph: paragraphOf(t, style), inset: 0, size }
      if (panel !== 'back') return plain
      const item = /^\s*[-*•]\s+(.*)$/su.exec(t)?.[1]
      if (item !== undefined) return { paragraph: paragraphOf(item, style), inset: LIST * size, size, mark: '•' }
      const pulled = /^\s*>\s*(.*)$/su.exec(t)?.[1]
      if (pulled) return { paragraph: paragraphOf(pulled, styleAt(size * PULLED)), inset: 0, size: size * PULLED }
      return t.startsWith(SAID_BY) ? { ...plain, under: true } : plain
    })
}

function paragraphOf(text: string, style: TextStyle): Paragraph {
  const b = new ParagraphBuilder()
  b.text(text, style)
  return b.build()
}

/** Where the lines end and how far down they stand. `even`: lines as long as each other, in as few. */
function linesOf(
  parts: readonly Part[],
  { piece, measure, even }: { piece: TextPiece; measure: number; even: boolean },
): FittedLine[] {
  const out: FittedLine[] = []
  let down = 0
  for (const [n, { paragraph: whole, inset, mark, under, size: own }] of parts.entries()) {
    const line = own * piece.leading
    const paragraph = splitLong(whole, measure - inset)
    const rules = displayedRules({ measure: measure - inset, align: piece.align, even })
    const broken = breakParagraph(paragraph, rules)[0]!
    // Paragraphs of a back are read; what is displayed stands line under line, and so does a list.
    const inList = mark !== undefined && parts[n - 1]?.mark !== undefined
    if (n) down += line * (piece.panel === 'back' && !inList && !under ? 1 + APART : 1)
    for (let at = 0; at < broken.count; at++, down += line)
      out.push({ paragraph, broken, at, rules, size: own, down, inset, ...(mark && !at ? { mark } : {}) })
    down -= line
  }
  return out
}

/** A stack of more words than this is broken as other words are: its ways are too many to try. */
const MOST_STACKED = 10
/** How much larger than the smallest line of a stack another may be. */
const UNLIKE = 3.2
/** Between the lines of a stack, by the size of the lower. */
const STACK_GAP = 0.16

/** Each line as wide as the box, in letters of its own size; broken where that fills the box best. */
function stacked(of: Fitting): Fitted {
  const { text, piece, box, most, styleAt, sag } = of
  const words = text.split(/\s+/).filter(Boolean)
  if (words.length < 2 || words.length > MOST_STACKED) return even(of)
  const { style, widths, capHeight } = unitWidths(words, styleAt)
  const room = box.height - sag(box.width)
  let best: { rows: Row[]; filled: number } | undefined
  for (let cuts = 0; cuts < 1 << (words.length - 1); cuts++) {
    const rows = rowsOf(widths, cuts, style.space / UNIT)
    const least = Math.min(...rows.map(r => box.width / r.width))
    for (const r of rows) r.size = Math.min(box.width / r.width, least * UNLIKE, most)
    const height = stackHeight(rows, capHeight, piece)
    const smaller = Math.min(1, room / height)
    for (const r of rows) {
      r.size *= smaller
      r.down *= smaller
    }
    const filled = rows.reduce((sum, r) => sum + r.width * r.size * r.size, 0)
    if (!best || filled > best.filled) best = { rows, filled }
  }
  const { rows } = best!
  return Math.min(...rows.map(r => r.size)) < LEAST_SIZE ? even(of) : rowsSet(rows, words, of)
}

/** Words in as many lines as sizes are asked, each of its own; broken where that fills the box best. What has fewer words is set as others are. */
function inLines(of: Fitting, sizes: readonly number[]): Fitted {
  const { text, piece, box, most, styleAt, sag } = of
  const words = text.split(/\s+/).filter(Boolean)
  if (words.length < sizes.length || words.length > MOST_STACKED) return even(of)
  const { style, widths, capHeight } = unitWidths(words, styleAt)
  const room = box.height - sag(box.width)
  let best: { rows: Row[]; size: number } | undefined
  for (let cuts = 0; cuts < 1 << (words.length - 1); cuts++) {
    const rows = rowsOf(widths, cuts, style.space / UNIT)
    if (rows.length !== sizes.length) continue
    const across = Math.min(...rows.map((r, i) => box.width / (r.width * sizes[i]!)))
    for (const [i, r] of rows.entries()) r.size = sizes[i]!
    const size = Math.min(most, across, room / stackHeight(rows, capHeight, piece))
    // Of two ways that are as large, the one with the shorter widest line is the more even.
    if (!best || size > best.size * 1.001) best = { rows, size }
  }
  const { rows, size } = best!
  if (Math.min(...sizes) * size < LEAST_SIZE) return even(of)
  for (const r of rows) r.size *= size
  stackHeight(rows, capHeight, piece)
  return rowsSet(rows, words, of)
}

/** Widths of words at a size of one point, and what of their face a stack is measured by. */
function unitWidths(words: readonly string[], styleAt: Fitting['styleAt']) {
  const style = styleAt(UNIT)
  const widths = words.map(w => paragraphOf(w, style).boxWidth.reduce((a, b) => a + b, 0) / UNIT)
  return { style, widths, capHeight: style.face.metrics.capHeight }
}
const UNIT = 100

/** Rows as lines that are set. */
function rowsSet(rows: Row[], words: readonly string[], { piece, box, styleAt }: Fitting): Fitted {
  const lines = rows.map((r): FittedLine => {
    // A hair narrower than the box, so that rounding breaks no line.
    const size = r.size * 0.999
    const paragraph = paragraphOf(words.slice(r.from, r.to).join(' '), styleAt(size))
    const rules = displayedRules({ measure: box.width, align: piece.align, even: false })
    return { paragraph, broken: breakParagraph(paragraph, rules)[0]!, at: 0, rules, size, down: r.down, inset: 0 }
  })
  const { capHeight } = styleAt(UNIT).face.metrics
  const size = Math.max(...rows.map(r => r.size))
  return { size, lines, height: stackHeight(rows, capHeight, piece), tooLong: false }
}

/** A line of a stack: its words, its width at a size of one point, its size, its baseline under the first. */
interface Row {
  from: number
  to: number
  width: number
  size: number
  down: number
}

/** The rows of one way to break words; bit i of `cuts` ends a line behind word i. */
function rowsOf(widths: readonly number[], cuts: number, space: number): Row[] {
  const rows: Row[] = []
  let from = 0
  for (let i = 0; i < widths.length; i++) {
    if (i < widths.length - 1 && !(cuts & (1 << i))) continue
    const own = widths.slice(from, i + 1)
    rows.push({ from, to: i + 1, width: own.reduce((a, b) => a + b, 0) + space * (own.length - 1), size: 0, down: 0 })
    from = i + 1
  }
  return rows
}

/** Sets how far down each row stands; gives the height of all. */
function stackHeight(rows: Row[], capHeight: number, piece: TextPiece): number {
  const hang = hangOf(piece)
  let down = 0
  for (const [i, r] of rows.entries()) {
    if (i) down += hang * rows[i - 1]!.size + r.size * (STACK_GAP * piece.leading + capHeight)
    r.down = down
  }
  return capHeight * rows[0]!.size + down + hang * rows.at(-1)!.size
}
