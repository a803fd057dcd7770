import { Fault } from '../trade'
import { displayFamilies } from './display'
import { Face } from './face'
import { loadHarfBuzz } from './harfbuzz'
import type { Variant } from './variant'

/** Where font bytes come from: a port. Keys are "family/variant", e.g. "eb-garamond/italic". */
export type FontSource = (key: string) => Promise<Uint8Array | undefined>

/** Faces by key, loaded once from a source. */
export class FontShelf {
  private readonly faces = new Map<string, Promise<Face>>()
  private readonly own = new Map<string, Uint8Array>()
  constructor(private readonly source: FontSource) {}

  /** Makes an author's own families known, by the hashes of their files. */
  addFamilies(
    families: { id: string; files: Partial<Record<string, string>> }[],
    bytes: ReadonlyMap<string, Uint8Array>,
  ): void {
    for (const f of families)
      for (const [cut, hash] of Object.entries(f.files)) {
        const b = hash ? bytes.get(hash) : undefined
        if (b) this.own.set(`${f.id}/${cut}`, b)
      }
  }

  face(key: string): Promise<Face> {
    let f = this.faces.get(key)
    if (!f) {
      this.faces.set(key, (f = this.load(key)))
      // What failed is not remembered: the network comes back, a family's files arrive.
      f.catch(() => this.faces.delete(key))
    }
    return f
  }

  /** The same, but undefined where the family has no such cut. */
  faceOr(key: string): Promise<Face | undefined> {
    return this.face(key).catch((e: unknown) => {
      if (e instanceof Fault && e.code === 'no-font') return undefined
      throw e
    })
  }

  private async load(key: string): Promise<Face> {
    const [hb, bytes] = await Promise.all([loadHarfBuzz(), this.own.get(key) ?? this.source(key)])
    if (!bytes) throw new Fault('no-font', `The font “${key}” is not here.`)
    return new Face(hb, { key, bytes })
  }
}

/** The shipped families: what they are called, and their files in the font folder. Every one is under the SIL Open Font Licence. */
export const shippedFamilies: Record<string, { name: string; files: Partial<Record<Variant, string>> }> = {
  'eb-garamond': family('EB Garamond', 'EBGaramond', '600SemiBold'),
  'libre-caslon': family('Libre Caslon', 'LibreCaslonText', '700Bold', false),
  'crimson-pro': family('Crimson Pro', 'CrimsonPro', '600SemiBold'),
  alegreya: family('Alegreya', 'Alegreya', '600SemiBold'),
  spectral: family('Spectral', 'Spectral', '600SemiBold'),
  literata: family('Literata', 'Literata', '600SemiBold'),
  'source-serif': family('Source Serif', 'SourceSerif4', '600SemiBold'),
  atkinson: family('Atkinson Hyperlegible', 'AtkinsonHyperlegible', '700Bold'),
  fraunces: { name: 'Fraunces', files: { regular: 'Fraunces_400Regular.ttf', bold: 'Fraunces_600SemiBold.ttf' } },
  figtree: { name: 'Figtree', files: { regular: 'Figtree_400Regular.ttf', bold: 'Figtree_600SemiBold.ttf' } },
}

function family(
  name: string,
  file: string,
  bold: string,
  boldItalic = true,
): { name: string; files: Partial<Record<Variant, string>> } {
  return {
    name,
    files: {
      regular: `${file}_400Regular.ttf`,
      italic: `${file}_400Regular_Italic.ttf`,
      bold: `${file}_${bold}.ttf`,
      ...(boldItalic ? { 'bold-italic': `${file}_${bold}_Italic.ttf` } : {}),
    },
  }
}

/** Files by key: "eb-garamond/italic". */
export const shippedFonts: Record<string, string> = Object.fromEntries(
  [...Object.entries(shippedFamilies), ...displayFamilies.map(f => [f.id, f] as const)].flatMap(([id, f]) =>
    Object.entries(f.files).map(([variant, file]) => [`${id}/${variant}`, file]),
  ),
)
