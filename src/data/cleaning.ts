import { type Cleaning, wordOf } from '@/core/activity'
import { type Asset, hashOf } from '@/core/book'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { db } from './db'
import { fitting } from './room'
import { guarded } from './trouble'

/** Cleans the lines of a book's drawing: a picture of its own beside the original, which stays. Throws a Fault where it cannot be decoded. */
export async function cleanDrawing(bookId: string, id: string, how: Cleaning): Promise<void> {
  const name = (await db.books.get(bookId))?.assets.find(a => a.id === id)?.name ?? 'a drawing'
  const cleaned = await press().cleanedDrawing(id, how)
  if (!cleaned) throw new Fault('picture', `“${name}” is damaged: it cannot be decoded.`)
  const { bytes, width, height } = cleaned
  const asset: Asset = { id: hashOf(bytes), type: 'image/png', width, height, name: `${name}, cleaned`, made: true }
  await fitting(`“${asset.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    await commit(bookId, 'Clean the lines of drawings', r => ({
      assets: withMade(r.assets, { id, word: wordOf(how), asset }),
    }))
  })
}

/** A book's pictures with one that was made of another; what is there already, even the drawing itself, is left as it is. */
export function withMade(
  assets: readonly Asset[],
  { id, word, asset }: { id: string; word: string; asset: Asset },
): Asset[] {
  const all = assets.some(a => a.id === asset.id) ? assets : [...assets, asset]
  return all.map(a =>
    a.id === id
      ? { ...a, cleaned: [...(a.cleaned ?? []).filter(c => c.how !== word), { how: word, id: asset.id }].slice(-MOST) }
      : a,
  )
}

/** So many pictures that were made of one are kept. */
const MOST = 200
