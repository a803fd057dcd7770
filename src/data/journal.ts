import { windowId } from './window'

/**
 * The journal: steps of text that are not in the store yet. It is written twice, at every key: into local storage, which takes
 * it before the key's event ends and keeps it over a reload, a close and the death of the page; and into a small database of its
 * own, which keeps it over the death of the whole browser.
 */
export interface JournalEntry {
  /** `windowId`, book and section. */
  key: string
  window: string
  book: string
  section: string
  /** The revision that the first batch builds on. */
  rev: number
  pen: string
  /** Steps by writing: one that the store may have already stands by itself. */
  batches: { nth: number; steps: unknown[] }[]
  /** Grows with every writing: of two copies the newer one counts. */
  turn: number
}

const PREFIX = 'porchlight-journal/'
const STORE = 'pens'

export const journalKey = (book: string, section: string, window = windowId): string => `${PREFIX}${window}/${book}/${section}`

let database: Promise<IDBDatabase | undefined> | undefined
function open(): Promise<IDBDatabase | undefined> {
  database ??= new Promise(done => {
    if (typeof indexedDB === 'undefined') return done(undefined)
    const request = indexedDB.open('porchlight-journal', 1)
    request.onupgradeneeded = () => request.result.createObjectStore(STORE, { keyPath: 'key' })
    request.onsuccess = () => done(request.result)
    // Without it local storage still keeps what is typed.
    request.onerror = request.onblocked = () => done(undefined)
  })
  return database
}
let opened: IDBDatabase | undefined
/** Opens the second copy's database, so that the first key finds it open. */
export const readyJournal = async (): Promise<void> => void (opened = await open())

/** Writes an entry, or takes it away where it has no batches. Gives whether at least one copy was taken. */
export function keepInJournal(entry: JournalEntry): boolean {
  let kept = true
  try {
    if (entry.batches.length) localStorage.setItem(entry.key, JSON.stringify(entry))
    else localStorage.removeItem(entry.key)
  } catch {
    kept = false
  }
  try {
    // Relaxed: the key must not wait for the disk, and the operating system has it once it is written.
    const store = opened?.transaction(STORE, 'readwrite', { durability: 'relaxed' }).objectStore(STORE)
    if (entry.batches.length) store?.put(entry)
    else store?.delete(entry.key)
    kept ||= !!store
  } catch {
    // Said by whoever asked, where neither copy was taken.
  }
  return kept
}

/** Takes an entry away, whoever wrote it. */
export const dropFromJournal = (key: string): boolean => keepInJournal({ key, window: '', book: '', section: '', rev: 0, pen: '', batches: [], turn: 0 })

/** Everything the journal holds of other windows, the newer copy of each. */
export async function journalOfOthers(): Promise<JournalEntry[]> {
  const found = new Map<string, JournalEntry>()
  const take = (e: JournalEntry): void => {
    if (e.window !== windowId && (found.get(e.key)?.turn ?? -1) < e.turn) found.set(e.key, e)
  }
  for (let i = 0; i < localStorage.length; i++) {
    const key = localStorage.key(i)!
    if (!key.startsWith(PREFIX)) continue
    const entry = readEntry(localStorage.getItem(key))
    if (entry) take(entry)
  }
  const store = (await open())?.transaction(STORE).objectStore(STORE)
  if (store) for (const e of await new Promise<JournalEntry[]>((done, fail) => {
    const request = store.getAll() as IDBRequest<JournalEntry[]>
    request.onsuccess = () => done(request.result)
    request.onerror = () => fail(request.error!)
  })) take(e)
  return [...found.values()]
}

function readEntry(text: string | null): JournalEntry | undefined {
  try {
    const e = JSON.parse(text ?? '') as JournalEntry
    return typeof e.key === 'string' && Array.isArray(e.batches) ? e : undefined
  } catch {
    return undefined
  }
}
