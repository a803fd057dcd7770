import type { OtherBooks } from '@/core/activity'
import type { KeptLight } from '@/core/weight'

/**
 * The store as a worker sees it: bytes by hash, and the previews it makes of pictures. It opens what the page has made, never a
 * store of its own: where there is none, nothing is in it.
 */
const NAME = 'porchlight'

let opening: Promise<IDBDatabase | undefined> | undefined

function open(): Promise<IDBDatabase | undefined> {
  opening ??= new Promise<IDBDatabase | undefined>(done => {
    if (typeof indexedDB === 'undefined') return done(undefined)
    const request = indexedDB.open(NAME)
    // It was not there: it is not made here either.
    request.onupgradeneeded = () => request.transaction!.abort()
    request.onsuccess = () => {
      const db = request.result
      // A page that brings the store up to date must not wait for a worker.
      db.onversionchange = db.onclose = () => {
        db.close()
        opening = undefined
      }
      done(db)
    }
    request.onerror = () => {
      opening = undefined
      done(undefined)
    }
  })
  return opening
}

async function read<T>(table: string, key: string): Promise<T | undefined> {
  const db = await open()
  if (!db?.objectStoreNames.contains(table)) return undefined
  return new Promise((done, fail) => {
    const request = db.transaction(table).objectStore(table).get(key)
    request.onsuccess = () => done(request.result as T | undefined)
    request.onerror = () => fail(request.error ?? new Error('The store could not be read.'))
  })
}

/** All records of a table. */
async function readAll<T>(table: string): Promise<T[]> {
  const db = await open()
  if (!db?.objectStoreNames.contains(table)) return []
  return new Promise((done, fail) => {
    const request = db.transaction(table).objectStore(table).getAll()
    request.onsuccess = () => done(request.result as T[])
    request.onerror = () => fail(request.error ?? new Error('The store could not be read.'))
  })
}

/** Puts into a table what can be made again; where there is no room for it, it is made again. */
async function put(table: string, record: object): Promise<void> {
  const db = await open()
  if (!db?.objectStoreNames.contains(table)) return
  await new Promise<void>(done => {
    const tx = db.transaction(table, 'readwrite')
    tx.objectStore(table).put(record)
    tx.oncomplete = tx.onabort = tx.onerror = () => done()
  })
}

/** The bytes of a picture or font. */
export const storedBytes = async (hash: string): Promise<Uint8Array | undefined> =>
  (await read<{ bytes: Uint8Array }>('blobs', hash))?.bytes

/** A picture as screens show it: small enough to be kept by the hundred. */
export interface Preview {
  hash: string
  blob: Blob
}

export const storedPreview = async (hash: string): Promise<Blob | undefined> =>
  (await read<Preview>('previews', hash))?.blob

/** Keeps a preview; where there is no room it is made again when it is wanted. */
export const keepPreview = (hash: string, blob: Blob): Promise<void> =>
  put('previews', { hash, blob } satisfies Preview)

/** How a picture was written for ebooks. */
export const storedLight = (hash: string): Promise<KeptLight | undefined> => read<KeptLight>('lighter', hash)

/** Keeps how it was written; where there is no room it is written again when it is wanted. */
export const keepLight = (hash: string, kept: KeptLight): Promise<void> => put('lighter', { hash, ...kept })

/** What the author's other books ask, as it was when each was drawn last. Books that were taken down ask nothing. */
export const otherBooks: OtherBooks = {
  keep: (book, names) => put('twins', { book, names: [...names] }),
  async asking(book) {
    const out = new Map<string, string>()
    for (const other of await readAll<{ book: string; names: string[] }>('twins')) {
      if (other.book === book) continue
      const record = await read<{ data: { title: string }; takenDown?: number }>('books', other.book)
      if (record && record.takenDown === undefined) for (const name of other.names) out.set(name, record.data.title)
    }
    return out
  },
}
