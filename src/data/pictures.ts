import { type Asset, hashOf } from '@/core/book'
import { readAsset } from '@/core/intake'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { commit } from './changes'
import { putBlobs } from './blobs'
import { db } from './db'
import type { BookRecord } from './records'
import { fitting } from './room'
import { guarded } from './trouble'

/** What a file picker offers as a picture. */
export const pictureTypes = 'image/png,image/jpeg,image/gif'

/** A file as a picture that can be printed, with its bytes. Throws a Fault where it is none. */
export async function readPicture(file: File): Promise<{ asset: Asset; bytes: Uint8Array<ArrayBuffer> }> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const read = readAsset(bytes)
  if (!read) throw new Fault('picture', 'This is no picture that can be printed: PNG, JPEG or GIF.')
  if (!(await press().checkPicture(hashOf(bytes), bytes)))
    throw new Fault(
      'picture',
      `“${file.name}” is damaged: it cannot be decoded. Save it again with the program that made it.`,
    )
  return { asset: { ...read, id: hashOf(bytes), name: file.name }, bytes }
}

/** Adds a picture to a book's own: its bytes are kept once, by their hash. `also` is changed with it, in one step. Throws a Fault where it is none. */
export async function bringInPicture(
  bookId: string,
  file: File,
  also: (record: BookRecord, asset: Asset) => Partial<BookRecord> = () => ({}),
): Promise<Asset> {
  const { asset, bytes } = await readPicture(file)
  await fitting(`“${file.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    await commit(bookId, `Bring in picture ${file.name}`, r => ({
      assets: r.assets.some(a => a.id === asset.id)
        ? r.assets.map(a => (a.id === asset.id ? offered(a) : a))
        : [...r.assets, asset],
      ...also(r, asset),
    }))
  })
  return asset
}

/** Keeps a picture that is no book's: a logo, a portrait. `keep` names it, before anybody could sweep it away. */
export async function keepPicture<R>(file: File, keep: (asset: Asset) => Promise<R>): Promise<R> {
  const { asset, bytes } = await readPicture(file)
  return fitting(`“${file.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    return keep(asset)
  })
}

/** A picture that the app had made is the author's own once it is brought in. */
const offered = ({ made: _made, ...asset }: Asset): Asset => asset

/**
 * Makes pictures and recordings that another book of the library has a book's own: text that was copied there names them. Gives
 * those that no book has: a marked box stands in their place.
 */
export async function takePictures(bookId: string, ids: readonly string[]): Promise<string[]> {
  // A broken record has nothing to give, and stops none that has.
  const books = await db.books.toArray()
  const named = <T extends { id: string }>(of: (b: BookRecord) => T[] | undefined): Map<string, T> =>
    new Map(books.flatMap(b => [of(b)].filter(Array.isArray).flat() as T[]).map(a => [a.id, a]))
  const [pictures, recordings] = [named(b => b.assets), named(b => b.recordings)]
  const found = ids.map(id => pictures.get(id)).filter(a => a !== undefined)
  const heard = ids.map(id => recordings.get(id)).filter(a => a !== undefined)
  const all = found.length + heard.length
  const what = heard.length ? 'files' : 'pictures'
  if (all)
    await commit(bookId, all === 1 ? `Take over a ${what.slice(0, -1)}` : `Take over ${all} ${what}`, r => ({
      assets: [...r.assets, ...found.filter(a => !r.assets.some(own => own.id === a.id))],
      ...(heard.length
        ? { recordings: [...(r.recordings ?? []), ...heard.filter(a => !r.recordings?.some(own => own.id === a.id))] }
        : {}),
    }))
  return ids.filter(id => !pictures.has(id) && !recordings.has(id))
}
