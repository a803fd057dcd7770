import Dexie from 'dexie'
import { namedHashes } from './blobs'
import { db } from './db'
import { takenDown } from './bookList'
import { storeFull } from './trouble'

/** What the browser gives this library and what is in it, and what would free how much. Bytes. */
export interface Room {
  given?: number
  used?: number
  /** What resting books hold alone, and how many they are. */
  resting: { books: number; bytes: number }
  /** Files that nothing names any more. */
  unnamed: number
  /** The book on the porch with the most files of its own. */
  largest?: { title: string; bytes: number }
}

export async function roomLeft(): Promise<Room> {
  const estimate = typeof navigator === 'undefined' ? undefined : await navigator.storage?.estimate?.()
  const sizes = new Map<string, number>()
  await db.blobs.each(b => void sizes.set(b.hash, b.bytes.length))
  const sum = (hashes: Iterable<string>): number => [...hashes].reduce((n, h) => n + (sizes.get(h) ?? 0), 0)
  const books = await db.books.toArray()
  const own = new Map(await Promise.all(books.map(async b => [b.id, await namedHashes(b.id)] as const)))
  const elsewhere = (id: string, hash: string): boolean => books.some(b => b.id !== id && own.get(b.id)!.has(hash))
  const alone = (id: string): number => sum([...own.get(id)!].filter(h => !elsewhere(id, h)))
  const named = await namedHashes()
  const resting = await takenDown()
  const largest = books
    .filter(b => b.takenDown === undefined)
    .map(b => ({ title: b.data.title, bytes: alone(b.id) }))
    .sort((a, b) => b.bytes - a.bytes)[0]
  return {
    ...(estimate?.quota === undefined ? {} : { given: estimate.quota }),
    ...(estimate?.usage === undefined ? {} : { used: estimate.usage }),
    resting: { books: resting.length, bytes: resting.reduce((n, b) => n + alone(b.id), 0) },
    unnamed: sum([...sizes.keys()].filter(h => !named.has(h))),
    ...(largest?.bytes ? { largest } : {}),
  }
}

const mb = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`

/** What did not fit, why, and what would make room, in plain sentences. */
export function roomInWords(what: string, bytes: number | undefined, r: Room): string {
  const ways = [
    ...(r.resting.books
      ? [
          `removing the ${r.resting.books === 1 ? 'book' : `${r.resting.books} books`} under “Taken down” for good frees ${mb(r.resting.bytes)}`,
        ]
      : []),
    ...(r.unnamed > 50_000
      ? [`${mb(r.unnamed)} of files that nothing uses any more go by themselves within a day`]
      : []),
    ...(r.largest ? [`“${r.largest.title}” holds ${mb(r.largest.bytes)}: save it as a project and take it down`] : []),
  ]
  return [
    `${what}${bytes === undefined ? '' : ` (${mb(bytes)})`} did not fit: the store of this browser is full.`,
    ...(r.given !== undefined && r.used !== undefined
      ? [`It gives Porchlight ${mb(r.given)}, and ${mb(r.used)} are taken.`]
      : []),
    ways.length ? `What makes room: ${ways.join('; ')}.` : 'What makes room: free space on this computer’s disk.',
  ].join(' ')
}

/** Does a write; where the store has no room, the error says what did not fit and what would free how much. */
export async function fitting<T>(what: string, bytes: number | undefined, write: () => Promise<T>): Promise<T> {
  try {
    return await write()
  } catch (e) {
    // Inside a transaction nothing else may be awaited: whoever began it says it.
    if (!storeFull(e) || Dexie.currentTransaction) throw e
    throw new Error(roomInWords(what, bytes, await roomLeft()), { cause: e })
  }
}
