import { type Book, filesOf, type OwnFamily, type Recording } from '@/core/book'
import { type Dropped, lookedInto } from '@/core/intake'
import type { Progress } from '@/core/trade'
import { readFont } from '@/core/type'
import { callThem } from './decoding'
import { lend, makePreview } from './pictureShelf'

/** What is found out about a book's files before it is let in. */
export interface LookedOver {
  book: Book
  pictures: Map<string, Uint8Array>
  said: Dropped[]
}

/**
 * Decodes every picture of a book once, one at a time, and reads every recording and font. A picture that cannot be decoded is marked, so that a
 * box stands in its place; a typeface that cannot be used is left out, and editions set in it go back to their style's own.
 */
export async function lookOver(
  book: Book,
  pictures: Map<string, Uint8Array>,
  tell: (p: Progress) => void,
): Promise<LookedOver> {
  callThem(book.assets)
  const damaged: string[] = []
  const assets: Book['assets'] = []
  for (const [i, asset] of book.assets.entries()) {
    tell({ stage: 'Looking at pictures', done: i, of: book.assets.length })
    const bytes = pictures.get(asset.id)
    const preview = bytes && (await makePreview(asset.id, bytes))
    if (bytes && !preview) damaged.push(asset.name ?? `picture ${i + 1}`)
    const { damaged: _old, ...sound } = asset
    assets.push(bytes && !preview ? { ...sound, damaged: true } : bytes ? sound : asset)
  }
  const recordings: Recording[] = []
  const mute: string[] = []
  for (const r of book.recordings ?? []) {
    const bytes = pictures.get(r.id)
    const read = bytes ? await lookedInto(r, bytes) : r
    if (read.damaged) mute.push(r.name ?? 'a recording')
    recordings.push(read)
  }
  lend(pictures)
  const refused: string[] = []
  const fonts: OwnFamily[] = []
  for (const family of book.fonts ?? []) {
    try {
      for (const file of filesOf({ assets: [], fonts: [family] })) {
        const bytes = pictures.get(file)
        if (bytes) await readFont(bytes)
      }
      fonts.push(family)
    } catch (e) {
      refused.push(`${family.name}: ${(e as Error).message}`)
    }
  }
  const gone = new Set((book.fonts ?? []).filter(f => !fonts.includes(f)).map(f => f.id))
  const editions = !gone.size
    ? book.editions
    : book.editions.map(e => {
        const { 'text.family': family, ...rest } = e.styleChanges ?? {}
        return typeof family === 'string' && gone.has(family) ? { ...e, styleChanges: rest } : e
      })
  return {
    book: { ...book, assets, editions, ...(recordings.length ? { recordings } : {}), ...(gone.size ? { fonts } : {}) },
    pictures,
    said: [
      ...(damaged.length
        ? [
            {
              what: 'pictures that are damaged: a marked box stands in their place',
              count: damaged.length,
              places: damaged.slice(0, 5),
            },
          ]
        : []),
      ...(mute.length
        ? [
            {
              what: 'recordings that are damaged: their pictures, captions and words stand for them',
              count: mute.length,
              places: mute.slice(0, 5),
            },
          ]
        : []),
      ...(refused.length
        ? [{ what: 'typefaces that cannot be used', count: refused.length, places: refused.slice(0, 5) }]
        : []),
    ],
  }
}

/** Whether a picture can be decoded; its preview is kept on the way. */
export const canBeShown = async (id: string, bytes: Uint8Array): Promise<boolean> => !!(await makePreview(id, bytes))
