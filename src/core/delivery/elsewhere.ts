import type { Asset } from '../book'
import type { PageMarks } from '../marks'
import type { WordsAt } from '../pdf'
import type { Ticker } from '../trade'
import type { DeliveryPorts } from './ports'

/** A page of a PDF that was made elsewhere, as an ebook shows it: a picture of it (JPEG), and the words that are seen there. */
export interface PageElsewhere {
  picture: Uint8Array
  words: WordsAt[]
  /** What it is called, and why its words could not be read. */
  unread?: { name: string; why: string }
}

/** Height of such a picture, pixels: what a large reading screen shows of it. */
const HEIGHT = 2048

/** Paints and reads such pages. One that cannot be read is painted as a marked box, as in print, and has no words, which is said. */
export async function pagesElsewhere(
  assets: readonly Asset[],
  { pictures, pageWords, paint }: DeliveryPorts,
  tick: Ticker,
): Promise<Map<string, PageElsewhere>> {
  const out = new Map<string, PageElsewhere>()
  for (const [done, a] of assets.entries()) {
    await tick({ stage: 'Pages made elsewhere', done, of: assets.length })
    const bytes = await pictures.bytes(a.id)
    if (!bytes) continue
    const picture = (await paint(alone(a), HEIGHT)).bytes
    const read = await pageWords(bytes).then(
      words => ({ words }),
      (e: Error) => ({ words: [], unread: { name: a.name ?? 'A page', why: e.message } }),
    )
    out.set(a.id, { picture, ...read })
  }
  return out
}

/** A picture on a page of its own form. */
const alone = ({ id, width, height }: Asset): PageMarks => ({
  width,
  height,
  bleed: { top: 0, right: 0, bottom: 0, left: 0 },
  label: '',
  side: 'recto',
  layers: [{ layer: { items: [{ kind: 'image', asset: id, x: 0, y: 0, width, height }] }, x: 0, y: 0 }],
})
