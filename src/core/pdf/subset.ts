/**
 * Font subsetting by HarfBuzz's own subsetter, a bare WASM module: glyph ids are kept, so that what was shaped is what
 * is embedded. Tables that a PDF does not read are dropped.
 */
export interface Subsetter {
  /** Bytes of a TrueType font that holds just these glyphs (and what they are composed of). */
  subset(font: Uint8Array, glyphs: Iterable<number>): Uint8Array
  /** A font to set text with that holds what these characters (code points) need, its features, its names and its licence. */
  subsetText(font: Uint8Array, characters: Iterable<number>): Uint8Array
}

interface Exports {
  memory: { buffer: ArrayBuffer }
  _initialize?: () => void
  malloc(n: number): number
  free(p: number): void
  hb_blob_create(data: number, length: number, mode: number, user: number, destroy: number): number
  hb_blob_destroy(b: number): void
  hb_blob_get_length(b: number): number
  hb_blob_get_data(b: number, length: number): number
  hb_face_create(b: number, index: number): number
  hb_face_destroy(f: number): void
  hb_face_reference_blob(f: number): number
  hb_set_add(s: number, v: number): void
  hb_subset_input_create_or_fail(): number
  hb_subset_input_destroy(i: number): void
  hb_subset_input_glyph_set(i: number): number
  hb_subset_input_unicode_set(i: number): number
  hb_subset_input_set(i: number, which: number): number
  hb_subset_input_set_flags(i: number, flags: number): void
  hb_subset_or_fail(face: number, input: number): number
}

declare const WebAssembly: {
  instantiate(bytes: Uint8Array, imports: object): Promise<{ instance: { exports: unknown } }>
}

const WRITABLE = 2
const DROP_TABLES = 3
// HB_SUBSET_FLAGS: no hinting, retain glyph ids, keep the outline of .notdef (a visible box), no layout closure.
const FLAGS = 0x1 | 0x2 | 0x40 | 0x200
const dropped = [
  'GSUB',
  'GPOS',
  'GDEF',
  'name',
  'OS/2',
  'cmap',
  'post',
  'kern',
  'DSIG',
  'gasp',
  'STAT',
  'meta',
  'BASE',
  'MATH',
  'VDMX',
  'hdmx',
  'LTSH',
  'PCLT',
  'prep',
  'fpgm',
  'cvt ',
]

/** HB_SUBSET_SETS: names of the font, and features of its layout, beside those that are kept in any case. */
const NAMES = 4
const FEATURES = 6
const TEXT_FLAGS = 0x1 | 0x40
/** Who made it, and under what licence (OpenType, name table). */
const RIGHTS = [0, 7, 8, 11, 13, 14]
const TEXT_FEATURES = ['smcp', 'c2sc', 'onum', 'lnum', 'pnum', 'tnum']

const tag = (t: string): number =>
  (t.charCodeAt(0) << 24) | (t.charCodeAt(1) << 16) | (t.charCodeAt(2) << 8) | t.charCodeAt(3)

export async function loadSubsetter(wasm: Uint8Array): Promise<Subsetter> {
  const { instance } = await WebAssembly.instantiate(wasm, {})
  const x = instance.exports as Exports
  x._initialize?.()
  const add = (set: number, values: Iterable<number>): void => {
    for (const v of values) x.hb_set_add(set, v)
  }
  const subset = (font: Uint8Array, say: (input: number) => void): Uint8Array => {
    const at = x.malloc(font.length)
    new Uint8Array(x.memory.buffer).set(font, at)
    const blob = x.hb_blob_create(at, font.length, WRITABLE, 0, 0)
    const face = x.hb_face_create(blob, 0)
    const input = x.hb_subset_input_create_or_fail()
    say(input)
    const made = x.hb_subset_or_fail(face, input)
    if (!made) throw new Error('the subsetter refused the font')
    const out = x.hb_face_reference_blob(made)
    const length = x.hb_blob_get_length(out)
    const data = x.hb_blob_get_data(out, 0)
    const bytes = new Uint8Array(x.memory.buffer).slice(data, data + length)
    x.hb_blob_destroy(out)
    x.hb_face_destroy(made)
    x.hb_subset_input_destroy(input)
    x.hb_face_destroy(face)
    x.hb_blob_destroy(blob)
    x.free(at)
    return bytes
  }
  return {
    subset: (font, glyphs) =>
      subset(font, input => {
        x.hb_subset_input_set_flags(input, FLAGS)
        add(x.hb_subset_input_glyph_set(input), glyphs)
        add(x.hb_subset_input_set(input, DROP_TABLES), dropped.map(tag))
      }),
    subsetText: (font, characters) =>
      subset(font, input => {
        x.hb_subset_input_set_flags(input, TEXT_FLAGS)
        add(x.hb_subset_input_unicode_set(input), characters)
        add(x.hb_subset_input_set(input, NAMES), RIGHTS)
        add(x.hb_subset_input_set(input, FEATURES), TEXT_FEATURES.map(tag))
      }),
  }
}
