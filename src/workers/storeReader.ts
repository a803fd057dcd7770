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
export async function keepPreview(hash: string, blob: Blob): Promise<void> {
  const db = await open()
  if (!db?.objectStoreNames.contains('previews')) return
  await new Promise<void>(done => {
    const tx = db.transaction('previews', 'readwrite')
    tx.objectStore('previews').put({ hash, blob } satisfies Preview)
    tx.oncomplete = tx.onabort = tx.onerror = () => done()
  })
}
