import { type GlyphFace, type Path, pathFromSvg } from '../marks'
import type { HarfBuzz } from './harfbuzz'

/** The bytes of a TrueType font and the key by which styles name it: "eb-garamond/regular". */
export interface FontFile {
  key: string
  bytes: Uint8Array
}

type HbFont = InstanceType<HarfBuzz['Font']>

/** Vertical measures as parts of the em. */
export interface FaceMetrics {
  ascender: number
  descender: number
  capHeight: number
  xHeight: number
  italicAngle: number
  /** Weight class, 400 = regular. */
  weight: number
  box: [number, number, number, number]
}

/** A font ready for shaping, and its table of (glyph, text) pairs. */
export class Face implements GlyphFace {
  readonly key: string
  readonly bytes: Uint8Array
  readonly unitsPerEm: number
  readonly postscriptName: string
  /** As the font calls its family. */
  readonly familyName: string
  readonly metrics: FaceMetrics
  readonly features: Set<string>
  readonly font: HbFont
  private readonly covered: Uint8Array
  private readonly advances: Uint16Array
  private readonly outlines = new Map<number, Path>()
  private readonly pairs: (Map<string, number> | undefined)[] = []
  private readonly glyphOf: number[] = []
  private readonly textOf: string[] = []

  constructor(
    readonly hb: HarfBuzz,
    file: FontFile,
  ) {
    this.key = file.key
    this.bytes = file.bytes
    const face = new hb.Face(new hb.Blob(file.bytes))
    this.font = new hb.Font(face)
    this.unitsPerEm = face.upem
    this.features = new Set(face.getTableFeatureTags('GSUB'))
    this.postscriptName = face.getName(6, 'en') || file.key.replace(/[^A-Za-z0-9-]/g, '-')
    this.familyName = face.getName(16, 'en') || face.getName(1, 'en') || ''
    this.covered = new Uint8Array(0x20000 >> 3)
    for (const c of face.collectUnicodes()) if (c < 0x20000) this.covered[c >> 3]! |= 1 << (c & 7)
    const hhea = view(face.referenceTable('hhea'))
    const head = view(face.referenceTable('head'))
    const os2 = view(face.referenceTable('OS/2'))
    const post = view(face.referenceTable('post'))
    const hmtx = view(face.referenceTable('hmtx'))
    const glyphs = view(face.referenceTable('maxp'))!.getUint16(4)
    const full = hhea!.getUint16(34)
    this.advances = new Uint16Array(glyphs)
    for (let g = 0; g < glyphs; g++) this.advances[g] = hmtx!.getUint16(Math.min(g, full - 1) * 4)
    const em = this.unitsPerEm
    this.metrics = {
      ascender: hhea!.getInt16(4) / em,
      descender: hhea!.getInt16(6) / em,
      capHeight: (os2 && os2.byteLength >= 90 ? os2.getInt16(88) : 0.66 * em) / em,
      xHeight: (os2 && os2.byteLength >= 88 ? os2.getInt16(86) : 0.45 * em) / em,
      italicAngle: post ? post.getInt32(4) / 65536 : 0,
      weight: os2 ? os2.getUint16(4) : 400,
      box: [head!.getInt16(36) / em, head!.getInt16(38) / em, head!.getInt16(40) / em, head!.getInt16(42) / em],
    }
  }

  covers(codePoint: number): boolean {
    return codePoint < 0x20000 && (this.covered[codePoint >> 3]! & (1 << (codePoint & 7))) !== 0
  }

  /** The id of a (glyph, text) pair; the same pair has the same id for the life of the face. */
  pair(glyph: number, text: string): number {
    const byText = (this.pairs[glyph] ??= new Map<string, number>())
    let id = byText.get(text)
    if (id === undefined) {
      id = this.glyphOf.length
      byText.set(text, id)
      this.glyphOf.push(glyph)
      this.textOf.push(text)
    }
    return id
  }
  pairGlyph(pair: number): number {
    return this.glyphOf[pair]!
  }
  pairText(pair: number): string {
    return this.textOf[pair]!
  }
  advance(glyph: number): number {
    return this.advances[glyph] ?? 0
  }
  get glyphCount(): number {
    return this.advances.length
  }

  outline(glyph: number): Path {
    let p = this.outlines.get(glyph)
    if (!p) {
      p = pathFromSvg(this.font.glyphToPath(glyph))
      this.outlines.set(glyph, p)
    }
    return p
  }

  /** Licence bits of the OS/2 table: false where embedding in a document is refused (fsType 2, restricted). */
  get mayEmbed(): boolean {
    const os2 = view(this.font.face.referenceTable('OS/2'))
    return !os2 || (os2.getUint16(8) & 0x000f) !== 2
  }
}

const view = (table: Uint8Array | undefined): DataView | undefined =>
  table && new DataView(table.buffer, table.byteOffset, table.byteLength)
