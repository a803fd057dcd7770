import { type Asset, hashOf, type PictureCut } from '@/core/book'
import { cutWord } from '@/core/cover'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { withMade } from './cleaning'
import { db } from './db'
import { fitting } from './room'
import { guarded } from './trouble'

/** Takes the plain ground from a book's picture: a picture of its own beside the original, which stays. Throws a Fault where it cannot be decoded. */
export async function cutPicture(bookId: string, id: string, how: PictureCut): Promise<void> {
  const name = (await db.books.get(bookId))?.assets.find(a => a.id === id)?.name ?? 'a picture'
  const cut = await press().cutPicture(id, how)
  if (!cut) throw new Fault('picture', `“${name}” is damaged: it cannot be decoded.`)
  const { bytes, width, height } = cut
  const asset: Asset = { id: hashOf(bytes), type: 'image/png', width, height, name: `${name}, cut out`, made: true }
  await fitting(`“${asset.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    await commit(
      bookId,
      'Cut a picture out',
      r => ({ assets: withMade(r.assets, { id, word: cutWord(how), asset }) }),
      true,
    )
  })
}
