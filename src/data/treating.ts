import { type Asset, hashOf } from '@/core/book'
import { type Treatment, treatmentWord } from '@/core/cover'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { withMade } from './cleaning'
import { db } from './db'
import { fitting } from './room'
import { guarded } from './trouble'

/** Treats a book's picture as its cover asks: a picture of its own beside the original, which stays. Throws a Fault where it cannot be decoded. */
export async function treatPicture(bookId: string, id: string, how: Treatment): Promise<void> {
  const word = treatmentWord(how)
  if (word === undefined) return
  const name = (await db.books.get(bookId))?.assets.find(a => a.id === id)?.name ?? 'a picture'
  const made = await press().treatPicture(id, how)
  if (!made) throw new Fault('picture', `“${name}” is damaged: it cannot be decoded.`)
  const { bytes, type, width, height } = made
  const said = how.cut ? 'cut out' : 'in other tones'
  const asset: Asset = { id: hashOf(bytes), type, width, height, name: `${name}, ${said}`, made: true }
  await fitting(`“${asset.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    await commit(bookId, 'Treat a picture', r => ({ assets: withMade(r.assets, { id, word, asset }) }), true)
  })
}
