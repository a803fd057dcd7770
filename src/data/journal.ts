import { JOURNAL } from './journalWaits'
import { windowId } from './window'

/**
 * The journal: steps of text that are not in the store yet. It is written twice, at every key: into local storage, which takes
 * it before the key's event ends and keeps it over a reload, a close and the death of the page; and by a worker into a file of the
 * window's own, which keeps it over the death of the whole browser.
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

const FOLDER = 'porchlight-journal'

export const journalKey = (book: string, section: string, window = windowId): string =>
  `${JOURNAL}${window}/${book}/${section}`

/** What this window's file holds: its entries by key. */
const entries = new Map<string, JournalEntry>()
let writer: Worker | undefined

/** Starts the worker that writes the second copy, so that the first key finds it ready. */
export function readyJournal(): void {
  if (writer || typeof Worker === 'undefined' || !navigator.storage?.getDirectory) return
  writer = new Worker(new URL('../workers/journal.worker.ts', import.meta.url), { type: 'module', name: 'journal' })
  writer.postMessage({ folder: FOLDER, file: `${windowId}.json` })
}

/** Writes an entry, or takes it away where it has no batches. Gives whether the first copy was taken. */
export function keepInJournal(entry: JournalEntry): boolean {
  if (entry.batches.length) entries.set(entry.key, entry)
  else entries.delete(entry.key)
  writer?.postMessage(JSON.stringify([...entries.values()]))
  try {
    if (entry.batches.length) localStorage.setItem(entry.key, JSON.stringify(entry))
    else localStorage.removeItem(entry.key)
    return true
  } catch {
    return false
  }
}

/** Other windows that the journal knows of: also those that left a file with nothing in it. */
export async function otherWindows(): Promise<Set<string>> {
  const named = (await files()).map(([name]) => name.replace(/\.json$/, ''))
  return new Set([...named, ...(await journalOfOthers()).map(e => e.window)])
}

/** Everything the journal holds of other windows, the newer copy of each. */
export async function journalOfOthers(): Promise<JournalEntry[]> {
  const found = new Map<string, JournalEntry>()
  const take = (e: JournalEntry | undefined): void => {
    if (e && e.window !== windowId && (found.get(e.key)?.turn ?? -1) < e.turn) found.set(e.key, e)
  }
  for (let i = 0; i < localStorage.length; i++) {
    const key = localStorage.key(i)!
    if (key.startsWith(JOURNAL)) take(readEntries(`[${localStorage.getItem(key)}]`)[0])
  }
  for (const [, text] of await files()) for (const e of readEntries(text)) take(e)
  return [...found.values()]
}

/** Takes from the journal what a window left, once it was played; entries that could not be played stay. */
export async function forgetWindow(window: string, played: string[]): Promise<void> {
  for (const key of played) localStorage.removeItem(key)
  const file = (await files()).find(([name]) => name === `${window}.json`)
  if (!file || readEntries(file[1]).some(e => !played.includes(e.key))) return
  await (await folder())?.removeEntry(file[0]).catch(() => undefined) // Another window was faster.
}

interface Folder {
  entries(): AsyncIterable<[string, { kind: string; getFile(): Promise<File> }]>
  removeEntry(name: string): Promise<void>
}

async function folder(): Promise<Folder | undefined> {
  try {
    return (await (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER)) as unknown as Folder
  } catch {
    // None was written yet, or this browser has no files of its own.
    return undefined
  }
}

/** The files of other windows, by name; those that cannot be read are of windows that live. */
async function files(): Promise<[string, string][]> {
  const out: [string, string][] = []
  const all = await folder()
  if (all)
    for await (const [name, handle] of all.entries()) {
      if (handle.kind !== 'file' || name === `${windowId}.json`) continue
      const text = await handle
        .getFile()
        .then(f => f.text())
        .catch(() => '')
      const length = Number(text.slice(0, 10))
      // Lengths are of bytes.
      if (length > 0)
        out.push([name, new TextDecoder().decode(new TextEncoder().encode(text.slice(10)).subarray(0, length))])
      else out.push([name, '[]'])
    }
  return out
}

function readEntries(text: string): JournalEntry[] {
  try {
    return (JSON.parse(text) as (JournalEntry | null)[]).filter(
      (e): e is JournalEntry => typeof e?.key === 'string' && Array.isArray(e.batches) && typeof e.window === 'string',
    )
  } catch {
    return []
  }
}
