import { type FontCut, hashOf, type OwnFamily } from '../book'
import { Fault } from '../trade'
import { Face } from './face'
import { loadHarfBuzz } from './harfbuzz'

/** The ids of families that authors brought in. */
export const ownFamilyForm = /^own-[0-9a-f]{12}$/

/** A font file that may be used: what it is called, and which cut it is. */
export interface ReadFont {
  family: string
  cut: FontCut
  /** SHA-256 of its bytes. */
  hash: string
}

const NEEDED = ['glyf', 'loca', 'head', 'hhea', 'hmtx', 'maxp', 'cmap', 'OS/2']

/**
 * Reads a font that an author brings in. Throws a Fault with the reason where it cannot be used: of another form than TrueType
 * outlines, damaged, without letters, or not to be embedded by its maker's licence bits (OpenType, OS/2 fsType).
 */
export async function readFont(bytes: Uint8Array): Promise<ReadFont> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const magic = bytes.length > 12 ? String.fromCharCode(...bytes.subarray(0, 4)) : ''
  if (magic === 'OTTO')
    throw refused('its outlines are of the PostScript kind. The TrueType form of it (.ttf) can be used.')
  if (magic.startsWith('wOF')) throw refused('it is packed for web pages. The desktop form of it (.ttf) can be used.')
  if (magic === 'ttcf')
    throw refused('it is a collection of several fonts in one file. A single font (.ttf) can be used.')
  if (magic !== 'true' && (!magic || view.getUint32(0) !== 0x00010000))
    throw refused('it is no font in TrueType form (.ttf).')
  const tables = new Map<string, { at: number; length: number }>()
  for (let i = 0; i < view.getUint16(4) && 28 + i * 16 <= bytes.length; i++) {
    const at = 12 + i * 16
    tables.set(String.fromCharCode(...bytes.subarray(at, at + 4)), {
      at: view.getUint32(at + 8),
      length: view.getUint32(at + 12),
    })
  }
  if (tables.has('fvar')) throw refused('it is a variable font, many cuts in one. Its single cuts can be used.')
  const broken = NEEDED.filter(t => !tables.has(t) || tables.get(t)!.at + tables.get(t)!.length > bytes.length)
  if (broken.length || tables.get('OS/2')!.length < 68)
    throw refused(`it is damaged: ${broken[0] ? `its “${broken[0].trim()}” part` : 'a part of it'} is missing.`)
  const os2 = tables.get('OS/2')!.at
  const licence = view.getUint16(os2 + 8)
  if ((licence & 0x000f) === 2)
    throw refused(
      'its maker does not allow it in documents (its licence bits say “restricted”). Ask the maker for a licence to embed it.',
    )
  if (licence & 0x0100)
    throw refused(
      'its maker allows it in documents only whole, and books hold just the letters they use. Ask the maker for a licence to subset it.',
    )
  if (licence & 0x0200)
    throw refused('its maker allows only its bitmaps in documents, and pages are printed from outlines.')
  let face: Face
  try {
    face = new Face(await loadHarfBuzz(), { key: 'read', bytes })
  } catch {
    throw refused('it is damaged.')
  }
  if (!face.glyphCount || !face.covers(0x61)) throw refused('it has no letters of the Latin alphabet.')
  const wrong = brokenGlyphs(face, view, tables)
  if (wrong) throw refused(wrong)
  const selection = view.getUint16(os2 + 62)
  const italic = (selection & 1) !== 0 || face.metrics.italicAngle !== 0
  const bold = face.metrics.weight >= 600
  const family = face.familyName.slice(0, 60) || face.postscriptName
  return { family, cut: bold ? (italic ? 'bold-italic' : 'bold') : italic ? 'italic' : 'regular', hash: hashOf(bytes) }
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** What is wrong with a font's outlines or widths, as its own tables show it: such letters print blank or over one another. */
function brokenGlyphs(
  face: Face,
  view: DataView,
  tables: Map<string, { at: number; length: number }>,
): string | undefined {
  const [loca, glyf, head] = [tables.get('loca')!, tables.get('glyf')!, tables.get('head')!]
  const long = view.getInt16(head.at + 50) === 1
  const count = Math.min(face.glyphCount, loca.length / (long ? 4 : 2) - 1)
  const offset = (i: number): number => (long ? view.getUint32(loca.at + i * 4) : view.getUint16(loca.at + i * 2) * 2)
  if (count < face.glyphCount) return 'it is damaged: its list of outlines is too short.'
  for (let i = 0; i < count; i++)
    if (offset(i + 1) < offset(i) || offset(i + 1) > glyf.length)
      return 'it is damaged: its outlines do not stand where its list says.'
  const glyphOf = (c: string): number => face.font.nominalGlyph(c.codePointAt(0)!) ?? 0
  const there = [...LETTERS].filter(c => face.covers(c.codePointAt(0)!))
  const flat = there.filter(c => !face.advance(glyphOf(c)))
  const blank = there.filter(c => !face.outline(glyphOf(c)).ops.length)
  if (flat.length)
    return `it is damaged: ${flat.slice(0, 6).join(', ')} ${flat.length === 1 ? 'has' : 'have'} no width, and would print over ${flat.length === 1 ? 'its' : 'their'} neighbours.`
  if (blank.length)
    return `it is damaged: ${blank.slice(0, 6).join(', ')} ${blank.length === 1 ? 'has' : 'have'} no outline, and would print blank.`
  return undefined
}

const refused = (why: string): Fault => new Fault('font', `This font cannot be used: ${why}`)

/** A family of these files, with those it had before. A regular cut there must be. */
export function ownFamily(read: ReadFont[], before?: OwnFamily): OwnFamily {
  const files: OwnFamily['files'] = { ...before?.files }
  for (const f of read) files[f.cut] = f.hash
  const name = read[0]?.family ?? before?.name ?? ''
  if (!files.regular) throw new Fault('font', `“${name}” needs its regular cut: bring it in together with the others.`)
  const cuts = Object.entries(files).sort(([a], [b]) => (a < b ? -1 : 1))
  return { id: `own-${hashOf(new TextEncoder().encode(JSON.stringify(cuts))).slice(0, 12)}`, name, files }
}
