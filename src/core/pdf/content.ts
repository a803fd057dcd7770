import { type Colour, type ImageMark, type Layer, Op, type PageMarks, type Path, type TextTable } from '../marks'
import type { Cmyk, Separation } from '../ink'
import type { Face } from '../type'
import { ByteWriter } from './bytes'
import type { FontUse } from './fonts'
import type { StructureTree } from './tags'

/** [a b c d e f], from marks (y down) to PDF space (y up). */
type Matrix = [number, number, number, number, number, number]

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
]

export interface ContentResources {
  font(face: Face): FontUse
  /** Resource name of a picture; undefined where it is not to be had. */
  image(mark: ImageMark): string | undefined
  /** Resource name of a graphics state with this opacity. */
  opacity(value: number): string
  /** Resource name of a layer that is written once for all pages that have it; undefined where it is written where it stands. */
  form?(layer: Layer): string | undefined
  /** Colours as inks. */
  inks?: Separation | undefined
  /** Where the content says what it is to a reading machine. */
  tags?: StructureTree
}

/** The content stream of a page: all transforms are applied to the numbers, so what is written is where it prints. */
export function pageContent(page: PageMarks, resources: ContentResources): Uint8Array {
  const w = new Writer(resources)
  // PDF's origin is the media box's corner, which is the bleed's.
  const base: Matrix = [1, 0, 0, -1, page.bleed.left, page.bleed.bottom + page.height]
  for (const p of page.layers) {
    w.layer(p.layer, times(base, [1, 0, 0, 1, p.x, p.y]))
  }
  return w.out.bytes()
}

/** The content of a layer that is written once, y up, its own origin kept (PDF 32000-1, 8.10). It has paths alone. */
export function formContent(layer: Layer, resources: ContentResources): Uint8Array {
  // It says nothing to a reading machine: that is said where it is used.
  const { font, image, opacity, inks } = resources
  const w = new Writer({ font, image, opacity, inks })
  w.layer(layer, FORM)
  return w.out.bytes()
}

/** From marks to the space of a form. */
const FORM: Matrix = [1, 0, 0, -1, 0, 0]

/** Whether what is drawn is moved alone. */
const isAsDrawn = (m: Matrix): boolean => m[0] === 1 && m[1] === 0 && m[2] === 0 && m[3] === -1

/** What of a text's state was said last. */
interface Said {
  font: FontUse | undefined
  size: number
  stretch: number
  spaced: number
}

/** A line's end is no space on paper; a reading machine needs one between the words. */
const endsLine = (t: TextTable, i: number): boolean =>
  t.place[i + 1] === t.place[i] &&
  t.baseline[i + 1] !== t.baseline[i] &&
  !/[\u00ad\s]$/.test(t.faces[t.face[i]!]!.pairText(t.glyphs[t.start[i + 1]! - 1]!))

class Writer {
  readonly out = new ByteWriter(16384)
  private fill = ''
  private strokeColour = ''
  private width = -1

  constructor(private readonly res: ContentResources) {}

  /** A form at the place of its layer; it is no text. */
  private form(name: string, m: Matrix): void {
    const { out } = this
    if (this.res.tags) out.ascii('/Artifact BMC\n')
    out.ascii('q 1 0 0 1 ')
    out.num(m[4])
    out.num(m[5])
    out.ascii(`cm /${name} Do Q\n`)
    if (this.res.tags) out.ascii('EMC\n')
  }

  layer(l: Layer, m: Matrix): void {
    const { out } = this
    const form = isAsDrawn(m) ? this.res.form?.(l) : undefined
    if (form) return this.form(form, m)
    for (const item of l.items) {
      if (item.kind === 'path') {
        if (this.res.tags) out.ascii('/Artifact BMC\n')
        if (item.fill) this.setFill(item.fill)
        if (item.stroke) {
          this.setStroke(item.stroke.colour)
          const width = item.stroke.width * Math.sqrt(Math.abs(m[0] * m[3] - m[1] * m[2]))
          if (item.stroke.round) out.ascii('1 j\n')
          if (width !== this.width) {
            out.num((this.width = width))
            out.ascii('w\n')
          }
        }
        this.path(item.path, m)
        out.ascii(item.fill ? (item.stroke ? 'B\n' : 'f\n') : 'S\n')
        if (item.stroke?.round) out.ascii('0 j\n')
        if (this.res.tags) out.ascii('EMC\n')
      } else if (item.kind === 'image') {
        const name = this.res.image(item)
        if (!name) {
          this.missing(item, m)
          continue
        }
        // A picture is the unit square, its first row on top.
        const t = times(m, [item.width, 0, 0, -item.height, item.x, item.y + item.height])
        if (this.res.tags) out.ascii(this.res.tags.picture(item))
        out.ascii('q ')
        for (const v of t) out.num(v)
        out.ascii(`cm /${name} Do Q\n`)
        if (this.res.tags) out.ascii('EMC\n')
      } else {
        const inner = item.transform ? times(m, item.transform) : m
        const guarded = item.clip || item.opacity !== undefined
        if (guarded) out.ascii('q\n')
        if (item.clip) {
          this.path(item.clip, inner)
          out.ascii('W n\n')
        }
        if (item.opacity !== undefined && item.opacity < 1) out.ascii(`/${this.res.opacity(item.opacity)} gs\n`)
        for (const child of item.layers) this.layer(child, inner)
        if (guarded) {
          out.ascii('Q\n')
          this.fill = this.strokeColour = ''
          this.width = -1
        }
      }
    }
    if (l.text) this.text(l.text, m)
  }

  private text(t: TextTable, m: Matrix): void {
    const { out } = this
    const { tags } = this.res
    out.ascii('BT\n')
    const said: Said = { font: undefined, size: -1, stretch: -1, spaced: 0 }
    let tagged = -1
    for (let i = 0; i < t.count; i++) {
      if (tags && t.place[i] !== tagged) {
        if (tagged >= 0) out.ascii('EMC\n')
        out.ascii(tags.text(t.places[(tagged = t.place[i]!)]!))
      }
      const use = this.res.font(t.faces[t.face[i]!] as Face)
      this.setFill(t.colours[t.colour[i]!]!, true)
      this.state(t, i, use, said)
      this.show(t, i, use, said.spaced, m)
    }
    if (tagged >= 0) out.ascii('EMC\n')
    if (said.spaced) out.ascii('0 Tc ')
    out.ascii('ET\n')
  }

  /** Says the font, width and letter-spacing of a run, where they are not what was said last. */
  private state(t: TextTable, i: number, use: FontUse, said: Said): void {
    const { out } = this
    const size = t.size[i]!
    const stretch = t.stretch[i]!
    if (use !== said.font || size !== said.size) {
      out.ascii(`/${use.name} `)
      out.num((said.size = size))
      out.ascii('Tf ')
      said.font = use
    }
    if (stretch !== said.stretch) {
      out.num((said.stretch = stretch) * 100)
      out.ascii('Tz ')
    }
    // Letter-spacing is said once (Tc, unscaled points: PDF 32000-1, 9.3.2), not glyph by glyph.
    const spaced = Math.round(t.letter[i]! * size * 1e3) / 1e3
    if (spaced !== said.spaced) {
      out.num((said.spaced = spaced))
      out.ascii('Tc ')
    }
  }

  /** Shows a run's glyphs, moved where they do not stand as far apart as the font says. */
  private show(t: TextTable, i: number, use: FontUse, spaced: number, m: Matrix): void {
    const { out } = this
    const face = t.faces[t.face[i]!] as Face
    const size = t.size[i]!
    const from = t.start[i]!
    const to = t.start[i + 1]!
    const x0 = t.x[from]!
    const y0 = t.baseline[i]!
    // Text space is y up: turn the page's y over.
    out.num(m[0])
    out.num(m[1])
    out.num(-m[2])
    out.num(-m[3])
    out.num(m[0] * x0 + m[2] * y0 + m[4])
    out.num(m[1] * x0 + m[3] * y0 + m[5])
    out.ascii('Tm [(')
    const em = size * t.stretch[i]!
    const unit = 1000 / face.unitsPerEm
    const letters = (spaced / size) * 1000
    let pen = 0
    for (let g = from; g < to; g++) {
      const pair = t.glyphs[g]!
      const want = ((t.x[g]! - x0) / em) * 1000
      const shift = Math.round(pen - want)
      if (shift) {
        out.byte(41)
        out.int(shift)
        out.byte(40)
        pen -= shift
      }
      out.code(use.code(pair))
      pen += face.advance(face.pairGlyph(pair)) * unit + letters
    }
    if (this.res.tags && use.space !== undefined && endsLine(t, i)) out.code(use.space)
    out.ascii(')]TJ\n')
  }

  /** A marked box where a picture should stand and cannot: seen on screen and on paper alike. */
  private missing({ x, y, width, height }: { x: number; y: number; width: number; height: number }, m: Matrix): void {
    const at = (px: number, py: number): [number, number] => [
      m[0] * px + m[2] * py + m[4],
      m[1] * px + m[3] * py + m[5],
    ]
    const corners = [at(x, y), at(x + width, y), at(x + width, y + height), at(x, y + height)] as const
    const { out } = this
    if (this.res.tags) out.ascii('/Artifact BMC\n')
    out.ascii('q 0.5 G 0.75 w\n')
    const line = (...points: readonly [number, number][]): void =>
      points.forEach(([px, py], i) => {
        out.num(px)
        out.num(py)
        out.ascii(i ? 'l\n' : 'm\n')
      })
    line(...corners)
    out.ascii('h\n')
    line(corners[0], corners[2])
    line(corners[1], corners[3])
    out.ascii('S Q\n')
    if (this.res.tags) out.ascii('EMC\n')
  }

  private path(p: Path, m: Matrix): void {
    const { out } = this
    let k = 0
    let px = 0
    let py = 0
    const point = (x: number, y: number): void => {
      out.num(m[0] * x + m[2] * y + m[4])
      out.num(m[1] * x + m[3] * y + m[5])
    }
    const c = p.xy
    for (const op of p.ops) {
      if (op === Op.close) {
        out.ascii('h\n')
        continue
      }
      if (op === Op.quad) {
        const [x1, y1, x, y] = [c[k]!, c[k + 1]!, c[k + 2]!, c[k + 3]!]
        point(px + (2 / 3) * (x1 - px), py + (2 / 3) * (y1 - py))
        point(x + (2 / 3) * (x1 - x), y + (2 / 3) * (y1 - y))
        point(x, y)
        out.ascii('c\n')
        k += 4
      } else {
        const n = op === Op.cubic ? 3 : 1
        for (let i = 0; i < n; i++) point(c[k + i * 2]!, c[k + i * 2 + 1]!)
        out.ascii(op === Op.move ? 'm\n' : op === Op.line ? 'l\n' : 'c\n')
        k += n * 2
      }
      px = c[k - 2]!
      py = c[k - 1]!
    }
  }

  private setFill(c: Colour, words = false): void {
    const s = this.colour(c, { stroke: false, words })
    if (s !== this.fill) this.out.ascii((this.fill = s))
  }
  private setStroke(c: Colour): void {
    const s = this.colour(c, { stroke: true, words: false })
    if (s !== this.strokeColour) this.out.ascii((this.strokeColour = s))
  }
  private colour(c: Colour, { stroke, words }: { stroke: boolean; words: boolean }): string {
    const { inks } = this.res
    if ('k' in c) return `${short(1 - c.k)} ${stroke ? 'G' : 'g'}\n`
    if (inks) return ink(words ? inks.words(c) : inks.area(c), stroke)
    return `${short(c.r)} ${short(c.g)} ${short(c.b)} ${stroke ? 'RG' : 'rg'}\n`
  }
}

const short = (v: number): string => String(Math.round(v * 1000) / 1000)

const ink = (cmyk: Cmyk, stroke: boolean): string => `${cmyk.map(short).join(' ')} ${stroke ? 'K' : 'k'}\n`
