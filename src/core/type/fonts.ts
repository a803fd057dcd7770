import { Fault } from '../trade'
import { Face } from './face'
import { loadHarfBuzz } from './harfbuzz'

/** Where font bytes come from: a port. Keys are "family/variant", e.g. "eb-garamond/italic". */
export type FontSource = (key: string) => Promise<Uint8Array | undefined>

/** Faces by key, loaded once from a source. */
export class FontShelf {
  private readonly faces = new Map<string, Promise<Face>>()
  constructor(private readonly source: FontSource) {}

  face(key: string): Promise<Face> {
    let f = this.faces.get(key)
    if (!f) this.faces.set(key, (f = this.load(key)))
    return f
  }

  private async load(key: string): Promise<Face> {
    const [hb, bytes] = await Promise.all([loadHarfBuzz(), this.source(key)])
    if (!bytes) throw new Fault('no-font', `The font “${key}” is not here.`)
    return new Face(hb, { key, bytes })
  }
}

/** The shipped families and their files in the font folder. Every one is under the SIL Open Font Licence. */
export const shippedFonts: Record<string, string> = {
  'eb-garamond/regular': 'EBGaramond_400Regular.ttf',
  'eb-garamond/italic': 'EBGaramond_400Regular_Italic.ttf',
  'eb-garamond/bold': 'EBGaramond_600SemiBold.ttf',
  'eb-garamond/bold-italic': 'EBGaramond_600SemiBold_Italic.ttf',
  'source-serif/regular': 'SourceSerif4_400Regular.ttf',
  'source-serif/italic': 'SourceSerif4_400Regular_Italic.ttf',
  'fraunces/regular': 'Fraunces_400Regular.ttf',
  'fraunces/bold': 'Fraunces_600SemiBold.ttf',
  'figtree/regular': 'Figtree_400Regular.ttf',
  'figtree/bold': 'Figtree_600SemiBold.ttf',
}
