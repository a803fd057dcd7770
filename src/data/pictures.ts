import { type Asset, hashOf } from '@/core/book'
import { readAsset } from '@/core/intake'
import { Fault } from '@/core/trade'
import { commit } from './changes'
import { db } from './db'

/** What a file picker offers as a picture. */
export const pictureTypes = 'image/png,image/jpeg,image/gif'

/** Adds a picture to a book's own: its bytes are kept once, by their hash. Throws a Fault where it is none. */
export async function bringInPicture(bookId: string, file: File): Promise<Asset> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const read = readAsset(bytes)
  if (!read) throw new Fault('picture', 'This is no picture that can be printed: PNG, JPEG or GIF.')
  const asset: Asset = { ...read, id: hashOf(bytes), name: file.name }
  await db.blobs.put({ hash: asset.id, bytes, added: Date.now() })
  await commit(bookId, `Bring in picture ${file.name}`, r => ({ assets: r.assets.some(a => a.id === asset.id) ? r.assets : [...r.assets, asset] }))
  return asset
}
