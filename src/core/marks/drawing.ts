import { joined, type Markup, xml } from '../trade'
import type { GlyphFace, GroupMark, ImageMark, Layer, MarkPlace, PageMarks, TextTable } from './marks'
import { num, paint, pathData } from './svg'

/**
 * Draws a page, cut to its trim, as an SVG element of an XHTML page: what is seen in outlines, so that it looks everywhere as it
 * prints; and over each line its words, unseen, where they can be selected, found, and read aloud.
 */
export function pageDrawing(page: PageMarks, elsewhere: Elsewhere): Markup {
  const pen = new Pen(elsewhere)
  const body = page.layers.map(p => xml`<g transform="translate(${num(p.x)} ${num(p.y)})">${pen.layer(p.layer)}</g>`)
  return xml`<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 ${num(page.width)} ${num(page.height)}">\n${pen.defs}${joined(body, '\n')}\n</svg>`
}

/** Words on a picture, in parts of its width and its height. */
interface WordsOn {
  words: string
  x: number
  baseline: number
  width: number
  size: number
}

/** What a drawing shows and leads to that lies elsewhere. */
export interface Elsewhere {
  /** Where a picture lies; one that is nowhere is left out. */
  href(asset: string): string | undefined
  /** What is written on a picture of a page. */
  words?(asset: string): readonly WordsOn[] | undefined
  /** Where words of a place lead to. */
  leads?(place: MarkPlace): string | undefined
}

class Pen {
  private readonly known = new Map<string, string>()
  private readonly parts: Markup[] = []

  constructor(private readonly elsewhere: Elsewhere) {}

  /** What the page draws again and again: its glyphs, and what clips. */
  get defs(): Markup | false {
    return this.parts.length > 0 && xml`<defs>${joined(this.parts, '\n')}</defs>\n`
  }

  layer({ items, text }: Layer): Markup {
    const drawn = items.map(item => {
      if (item.kind === 'group') return this.group(item)
      if (item.kind === 'image') return this.image(item)
      return xml`<path d="${pathData(item.path)}" fill="${item.fill ? paint(item.fill) : 'none'}"${item.stroke && xml` stroke="${paint(item.stroke.colour)}" stroke-width="${num(item.stroke.width)}"${item.stroke.round && xml` stroke-linejoin="round"`}`}/>`
    })
    return xml`${joined(drawn, '\n')}${text && this.text(text)}`
  }

  private group({ transform, clip, opacity, layers }: GroupMark): Markup {
    const clipped =
      clip &&
      this.once(`clip ${pathData(clip)}`, id => xml`<clipPath id="${id}"><path d="${pathData(clip)}"/></clipPath>`)
    const inner = joined(layers.map(l => this.layer(l)))
    return xml`<g${transform && xml` transform="matrix(${transform.map(num6).join(' ')})"`}${clipped && xml` clip-path="url(#${clipped})"`}${opacity !== undefined && xml` opacity="${num(opacity)}"`}>${inner}</g>`
  }

  private image({ asset, x, y, width, height, alt, tone }: ImageMark): Markup {
    const at = this.elsewhere.href(asset)
    if (at === undefined) return xml``
    const lines = (this.elsewhere.words?.(asset) ?? []).map(w =>
      wordsOver({
        words: w.words,
        x: x + w.x * width,
        end: x + (w.x + w.width) * width,
        baseline: y + w.baseline * height,
        size: w.size * height,
      }),
    )
    const said = alt ? xml` role="img" aria-label="${alt}"` : xml` aria-hidden="true"`
    return xml`<image xlink:href="${at}" x="${num(x)}" y="${num(y)}" width="${num(width)}" height="${num(height)}" preserveAspectRatio="none"${tone !== undefined && xml` opacity="${num(tone)}"`}${said}/>${joined(lines, '\n')}`
  }

  private text(t: TextTable): Markup {
    const seen: Markup[] = []
    for (let r = 0; r < t.count; r++) {
      const face = t.faces[t.face[r]!]!
      const em = t.size[r]! / face.unitsPerEm
      const wide = em * t.stretch[r]!
      const glyphs: Markup[] = []
      for (let g = t.start[r]!; g < t.start[r + 1]!; g++) {
        const id = this.glyph(face, face.pairGlyph(t.glyphs[g]!))
        if (id) glyphs.push(xml`<use xlink:href="#${id}" x="${num(t.x[g]! / wide)}"/>`)
      }
      if (glyphs.length)
        seen.push(
          xml`<g fill="${paint(t.colours[t.colour[r]!]!)}" transform="matrix(${num6(wide)} 0 0 ${num6(-em)} 0 ${num(t.baseline[r]!)})">${joined(glyphs)}</g>`,
        )
    }
    return xml`<g aria-hidden="true">${joined(seen, '\n')}</g>\n${joined(
      linesOf(t, place => this.elsewhere.leads?.(place)).map(wordsOver),
      '\n',
    )}`
  }

  private glyph(face: GlyphFace, glyph: number): string | undefined {
    const path = face.outline(glyph)
    return path.ops.length
      ? this.once(`${face.key} ${glyph}`, id => xml`<path id="${id}" d="${pathData(path)}"/>`)
      : undefined
  }

  private once(what: string, made: (id: string) => Markup): string {
    let id = this.known.get(what)
    if (!id) {
      this.known.set(what, (id = `d${this.known.size}`))
      this.parts.push(made(id))
    }
    return id
  }
}

/** A scale has more digits than a place. */
const num6 = (x: number): string => String(Number(x.toFixed(6)))

interface TextLine {
  words: string
  x: number
  end: number
  baseline: number
  size: number
  /** Where it leads to. */
  leads?: string | undefined
}

/** The lines of a table of text: runs that follow one another on a baseline, and lead to the same place or nowhere. */
function linesOf(t: TextTable, leadsTo: (place: MarkPlace) => string | undefined): TextLine[] {
  const lines: TextLine[] = []
  for (let r = 0; r < t.count; r++) {
    const face = t.faces[t.face[r]!]!
    const unit = (t.size[r]! * t.stretch[r]!) / face.unitsPerEm
    const leads = leadsTo(t.places[t.place[r]!]!)
    for (let g = t.start[r]!; g < t.start[r + 1]!; g++) {
      const x = t.x[g]!
      const end = x + face.advance(face.pairGlyph(t.glyphs[g]!)) * unit
      const last = lines.at(-1)
      const goesOn =
        last &&
        Math.abs(last.baseline - t.baseline[r]!) < last.size * 0.45 &&
        x > last.end - last.size * 0.6 &&
        last.leads === leads
      if (goesOn && x < last.end + last.size * FAR) {
        last.words += face.pairText(t.glyphs[g]!)
        last.end = end
      } else
        lines.push({ words: face.pairText(t.glyphs[g]!), x, end, baseline: t.baseline[r]!, size: t.size[r]!, leads })
    }
  }
  return lines.filter(l => l.words.trim())
}

/** What stands farther off than so many sizes is no part of the line: another column, another cell. */
const FAR = 3

/** The words of a line, stretched to where they are seen. */
function wordsOver({ words, x, end, baseline, size, leads }: TextLine): Markup {
  const text = xml`<text class="words" x="${num(x)}" y="${num(baseline)}" font-size="${num(size)}" textLength="${num(Math.max(0.1, end - x))}" lengthAdjust="spacingAndGlyphs">${words}</text>`
  return leads === undefined ? text : xml`<a xlink:href="${leads}" xlink:title="${words}">${text}</a>`
}
