import { LayerBuilder, PathBuilder, type PieceMark } from '../marks'
import { setFrag, type TextStyle } from '../type'
import { evenly, HAIRLINE } from './evenly'
import type { DrawnPage } from './kind'
import { rounded } from './looks/frame'
import { addPiece, wordedPiece } from './piece'
import { Lines } from './ruling'
import { wrapped } from './wrapped'

/** A box on a page, points. */
export interface Box {
  x: number
  y: number
  width: number
  height: number
}

/** How words stand. */
export interface WordsAt {
  x: number
  /** The baseline. */
  y: number
  /** They are set narrower where they are wider. */
  width?: number
  align?: 'left' | 'centre' | 'right'
}

type Face = 'label' | 'bold' | 'head'

/** Labels follow the width of their page's room; at least as large as can be read; points. */
const LABEL = { ofWidth: 1 / 46, least: 7.1, most: 9.5 }
/** Words are set narrower down to this share of their width, and never so that they read smaller than these points; what is still too long is cut. */
const NARROWEST = 0.88
const SMALLEST = 6

/** What pages to be filled in are drawn with: labels in the faces of the plan's look, lines of one tone, boxes, ticks. */
export class Sheet {
  /** Lines of the sheet's tone: hairlines, and strong ones. */
  readonly fine = new Lines()
  readonly strong = new Lines(HAIRLINE * 2)
  private readonly tints = new PathBuilder()
  private readonly shapes = new PathBuilder()
  private tinted = 0
  private shaped = false
  /** How many pieces have a name. */
  private readonly named = new Map<string, number>()

  /** `size`: of labels, points; `styles`: by face and scale. */
  constructor(
    private readonly page: Pick<DrawnPage<object, unknown>, 'out' | 'room' | 'place' | 'words'>,
    private readonly tone: number,
    readonly size: number,
    private readonly styles: ReadonlyMap<string, TextStyle>,
  ) {}

  words(
    text: string,
    { x, y, width = this.page.room.width, align = 'left' }: WordsAt,
    face: Face = 'label',
    scale: Scale = 1,
  ): void {
    if (!text || width <= 0) return
    const frag = fittedTo(this.styleOf(face, scale), text, width)
    const narrowed = Math.min(1, width / frag.width)
    const wide = frag.width * narrowed
    const left = align === 'left' ? x : align === 'right' ? x - wide : x - wide / 2
    setFrag(this.page.out, frag, { x: left, y, place: this.page.place, scale: narrowed })
  }

  /** Words in as many lines as they take, no more than `most`, the last of them at `y`; what does not go in is cut. */
  lines(text: string, at: WordsAt & { width: number; most: number }, face: Face = 'label', scale: Scale = 1): void {
    const style = this.styleOf(face, scale)
    const all = wrapped(style, text, at.width)
    const shown = all.length > at.most ? [...all.slice(0, at.most - 1), all.slice(at.most - 1).join(' ')] : all
    const leading = style.size * 1.15
    shown.forEach((line, i) => this.words(line, { ...at, y: at.y - (shown.length - 1 - i) * leading }, face, scale))
  }

  /** How wide words are, points. */
  widthOf(text: string, face: Face = 'label', scale: Scale = 1): number {
    return this.styleOf(face, scale).frag(text).width
  }

  /** Rulings in a box, filled evenly, one at its foot. */
  rule({ x, y, width, height }: Box, spacing: number): void {
    const { count } = evenly(height, spacing)
    for (let i = 1; i <= count; i++) this.fine.across(x, x + width, y + height - (count - i) * spacing)
  }

  /** A label with a line behind it to the box's right end: a piece whose label can be reworded. */
  field(id: string, label: string, { x, y, width }: { x: number; y: number; width: number }): void {
    this.worded(id, label, (own, said) => {
      const taken = Math.min(width * 0.6, own.widthOf(said) + own.size * 0.6)
      own.words(said, { x, y: y - 1.5, width: taken })
      own.fine.across(x + taken, x + width, y)
    })
  }

  /** Rows with a small square to tick, each with a line. */
  ticks({ x, y, width, height }: Box, spacing: number): void {
    const side = Math.min(spacing * 0.55, this.size * 1.15, width / 4)
    const { count } = evenly(height, spacing)
    for (let i = 1; i <= count; i++) {
      const foot = y + height - (count - i) * spacing
      this.fine.box(x + HAIRLINE, foot - side - spacing * 0.14, side, side)
      this.fine.across(x + side * 1.7, x + width, foot)
    }
  }

  /** Stars to fill in, from the left, as large as go into a width. */
  stars(count: number, { x, y, width }: { x: number; y: number; width: number }): void {
    const r = Math.min(this.size * 0.62, width / (count * 2.5))
    for (let i = 0; i < count; i++) star(this.shapes, x + r + i * r * 2.5, y - r * 0.6, r)
    this.shaped = true
  }

  /** What can be taken hold of by itself. */
  piece(id: string, draw: (own: Sheet) => void): void {
    this.pieceOf({ id: this.nameOf(id) }, draw)
  }

  /** What can be taken hold of and reworded; it is drawn with the words that stand. */
  worded(id: string, made: string, draw: (own: Sheet, said: string) => void): void {
    const name = this.nameOf(id)
    const said = this.page.words(name, made)
    this.pieceOf(wordedPiece(name, said, made), own => draw(own, said))
  }

  /** A bold label over a box, and what is drawn into the box below it: a piece whose label can be reworded. */
  part(id: string, label: string, { x, y, width, height }: Box, fill: (own: Sheet, room: Box) => void): void {
    this.worded(id, label, (own, said) => {
      own.words(said, { x, y: y + own.size * 0.8, width }, 'bold')
      // On the smallest pages the label takes all there is, its line within it.
      const taken = Math.min(own.size * 1.3, height - HAIRLINE)
      own.strong.across(x, x + width, y + taken)
      fill(own, { x, y: y + taken, width, height: Math.max(0, height - taken) })
    })
  }

  /** One of several of the same name on a page has its number. */
  private nameOf(id: string): string {
    const nth = (this.named.get(id) ?? 0) + 1
    this.named.set(id, nth)
    return nth > 1 ? `${id}-${nth}` : id
  }

  private pieceOf(piece: PieceMark, draw: (own: Sheet) => void): void {
    const drawn = new LayerBuilder()
    const own = new Sheet({ ...this.page, out: drawn }, this.tone, this.size, this.styles)
    draw(own)
    own.done()
    addPiece(this.page.out, piece, drawn)
  }

  /** A line around a box, within it. */
  frame({ x, y, width, height }: Box, radius: number): void {
    const line = HAIRLINE * 2
    const path = rounded(x + line / 2, y + line / 2, width - line, height - line, radius).build()
    this.page.out.add({ kind: 'path', path, stroke: { colour: { k: this.tone }, width: line } })
  }

  /** A light tone behind a box; all of a page have the same. */
  tint({ x, y, width, height }: Box, share = 0.12): void {
    this.tinted = share
    this.tints.rect(x, y, width, height)
  }

  /** Puts all lines into the page; words are there already. */
  done(): void {
    const { out } = this.page
    const colour = { k: this.tone }
    if (this.tinted) out.add({ kind: 'path', path: this.tints.build(), fill: { k: this.tone * this.tinted } })
    this.fine.into(out, this.tone)
    this.strong.into(out, this.tone)
    if (this.shaped) out.add({ kind: 'path', path: this.shapes.build(), stroke: { colour, width: HAIRLINE } })
  }

  private styleOf(face: Face, scale: Scale): TextStyle {
    return this.styles.get(`${face}/${scale}`)!
  }
}

/** A sheet on a page of a run. `tone`: of its lines. */
export async function sheetOn(page: DrawnPage<object, unknown>, tone: number): Promise<Sheet> {
  const { room, look, print, styleOf } = page
  const size = Math.min(LABEL.most, Math.max(LABEL.least, room.width * LABEL.ofWidth)) * print
  const keys: Record<Face, [face: string, size: number]> = {
    label: [look.text.face, size],
    bold: [look.folio.face.replace('/regular', '/bold'), size],
    head: [look.head.face, size * 1.5],
  }
  const styles = new Map<string, TextStyle>()
  for (const face of Object.keys(keys) as Face[])
    for (const scale of SCALES) {
      const [key, points] = keys[face]
      styles.set(`${face}/${scale}`, await styleOf(key, points * scale))
    }
  return new Sheet(page, tone, size, styles)
}

/** Sizes of words, of their face's own. */
const SCALES = [1, 0.85, 1.4, 2.2] as const
type Scale = (typeof SCALES)[number]

/** Words that fit a width when they are set narrower; cut at their end where they would be too narrow. */
function fittedTo(style: TextStyle, text: string, width: number): ReturnType<TextStyle['frag']> {
  const narrowest = Math.min(1, Math.max(NARROWEST, SMALLEST / style.size))
  let frag = style.frag(text)
  let letters = [...text]
  while (frag.width * narrowest > width && letters.length > 1) {
    letters = letters.slice(
      0,
      Math.max(1, Math.floor(letters.length * Math.min(0.9, width / (frag.width * narrowest)))),
    )
    frag = style.frag(`${letters.join('').trimEnd()}…`)
  }
  return frag
}

function star(path: PathBuilder, x: number, y: number, r: number): void {
  for (let i = 0; i < 10; i++) {
    const [a, d] = [(i * Math.PI) / 5, i % 2 ? r * 0.42 : r]
    const [px, py] = [x + Math.sin(a) * d, y - Math.cos(a) * d]
    if (i) path.line(px, py)
    else path.move(px, py)
  }
  path.close()
}

/** Boxes side by side by share of a width, `most` between them: less where gaps would take more than a third of it. */
export function beside({ x, y, width, height }: Box, shares: readonly number[], most: number): Box[] {
  const gap = Math.min(most, width / (3 * Math.max(1, shares.length - 1)))
  const whole = shares.reduce((n, s) => n + s, 0)
  const room = width - gap * (shares.length - 1)
  let at = x
  return shares.map(share => {
    const box = { x: at, y, width: (room * share) / whole, height }
    at += box.width + gap
    return box
  })
}

/** Boxes under each other by share of a height, `gap` between them. */
export function below({ x, y, width, height }: Box, shares: readonly number[], gap: number): Box[] {
  return beside({ x: y, y: x, width: height, height: width }, shares, gap).map(b => ({
    x: b.y,
    y: b.x,
    width: b.height,
    height: b.width,
  }))
}
