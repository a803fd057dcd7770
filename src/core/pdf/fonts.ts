import type { PDFRef } from '@cantoo/pdf-lib'
import { sha256 } from '@noble/hashes/sha2.js'
import type { Face } from '../type'
import type { PdfFile } from './file'
import type { Subsetter } from './subset'

/** The pairs of a face that a document uses, and the character code of each. */
export class FontUse {
  readonly ref: PDFRef
  private readonly used = new Set<number>()
  private codes: Uint16Array = new Uint16Array()
  private sorted: number[] = []
  /** The code of a space, where the document uses one in this face. */
  space: number | undefined

  constructor(
    readonly face: Face,
    readonly name: string,
    file: PdfFile,
  ) {
    this.ref = file.ref()
  }

  use(pair: number): void {
    this.used.add(pair)
  }

  /** Fixes the codes: pairs in order of glyph and text, from 1, whatever the order in which they were met. */
  settle(): void {
    const { face } = this
    this.sorted = [...this.used].sort(
      (a, b) => face.pairGlyph(a) - face.pairGlyph(b) || (face.pairText(a) < face.pairText(b) ? -1 : 1),
    )
    this.codes = new Uint16Array(Math.max(0, ...this.sorted) + 1)
    this.sorted.forEach((p, i) => (this.codes[p] = i + 1))
    const space = this.sorted.find(p => face.pairText(p) === ' ')
    this.space = space === undefined ? undefined : this.codes[space]
  }

  code(pair: number): number {
    return this.codes[pair]!
  }

  /** Embeds the face: a CIDFontType2 whose codes are (glyph, text) pairs, with its map to glyphs and to text. */
  embed(file: PdfFile, subsetter: Subsetter): void {
    const { face } = this
    const glyphs = this.sorted.map(p => face.pairGlyph(p))
    const bytes = subsetter.subset(face.bytes, new Set([0, ...glyphs]))
    const tag = [...sha256(Uint8Array.from(glyphs.flatMap(g => [g >> 8, g & 255])))]
      .slice(0, 6)
      .map(b => String.fromCharCode(65 + (b % 26)))
      .join('')
    const name = `${tag}+${face.postscriptName}`
    const unit = 1000 / face.unitsPerEm
    const m = face.metrics
    const map = new Uint8Array((glyphs.length + 1) * 2)
    glyphs.forEach((g, i) => {
      map[i * 2 + 2] = g >> 8
      map[i * 2 + 3] = g & 255
    })
    const program = file.stream(bytes, { Length1: bytes.length })
    const descriptor = file.object({
      Type: 'FontDescriptor',
      FontName: name,
      // Symbolic: codes are our own. Italic as the face says.
      Flags: 4 | (m.italicAngle ? 64 : 0),
      FontBBox: m.box.map(v => Math.round(v * 1000)),
      ItalicAngle: m.italicAngle,
      Ascent: Math.round(m.ascender * 1000),
      Descent: Math.round(m.descender * 1000),
      CapHeight: Math.round(m.capHeight * 1000),
      StemV: Math.round(50 + (m.weight / 65) ** 2),
      FontFile2: program,
    })
    const descendant = file.object({
      Type: 'Font',
      Subtype: 'CIDFontType2',
      BaseFont: name,
      CIDSystemInfo: { Registry: file.text('Adobe'), Ordering: file.text('Identity'), Supplement: 0 },
      FontDescriptor: descriptor,
      DW: 0,
      W: [1, glyphs.map(g => Math.round(face.advance(g) * unit * 100) / 100)],
      CIDToGIDMap: file.stream(map),
    })
    file.object(
      {
        Type: 'Font',
        Subtype: 'Type0',
        BaseFont: name,
        Encoding: 'Identity-H',
        DescendantFonts: [descendant],
        ToUnicode: file.stream(toUnicode(this.sorted.map(p => face.pairText(p)))),
      },
      this.ref,
    )
  }
}

/** A CMap that says what text each code stands for (PDF 32000-1, 9.10.3). Codes without text of their own stay out. */
function toUnicode(texts: string[]): Uint8Array {
  const entries: string[] = []
  texts.forEach((t, i) => {
    if (t) entries.push(`<${hex4(i + 1)}> <${[...Array(t.length).keys()].map(k => hex4(t.charCodeAt(k))).join('')}>`)
  })
  let s =
    '/CIDInit /ProcSet findresource begin\n12 dict begin\nbegincmap\n/CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def\n/CMapName /Adobe-Identity-UCS def\n/CMapType 2 def\n1 begincodespacerange\n<0000> <FFFF>\nendcodespacerange\n'
  for (let i = 0; i < entries.length; i += 100)
    s += `${Math.min(100, entries.length - i)} beginbfchar\n${entries.slice(i, i + 100).join('\n')}\nendbfchar\n`
  s += 'endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n'
  return Uint8Array.from(s, c => c.charCodeAt(0))
}

const hex4 = (n: number): string => n.toString(16).toUpperCase().padStart(4, '0')
