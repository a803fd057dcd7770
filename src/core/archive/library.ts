import { strToU8, type Zippable, zipSync } from 'fflate'
import { hashOf } from '../book'
import { readZip } from '../intake'
import type { ListingEvent } from '../outlets'
import { Fault, type Report } from '../trade'
import { migrate, type Migration } from './migrate'
import { type Project, readProject, writeProject } from './project'

/** A whole library: its books, what happened to their listings, the packages as sent, and the author's settings (docs/formats.md). */
export interface Library {
  books: { project: Project; added: number }[]
  listings: { key: string; book: string; events: ListingEvent[] }[]
  /** Bytes of sent packages by SHA-256. */
  packages: Map<string, Uint8Array>
  settings: { key: string; value: unknown }[]
}

export const LIBRARY_VERSION = 1
export const libraryMigrations: Record<number, Migration> = {}

const STAMP = new Date(2026, 0, 1, 0, 0, 0)

/** Writes a library. Books, listings and settings stand in the order of their names: the same library gives the same bytes. */
export function writeLibrary(l: Library, report?: Report): Uint8Array {
  const by = <T>(list: T[], key: (x: T) => string): T[] => [...list].sort((a, b) => (key(a) < key(b) ? -1 : 1))
  const zip: Zippable = { mimetype: [strToU8('application/vnd.porchlight.library+zip'), { level: 0, mtime: STAMP }] }
  const head = {
    format: 'porchlight-library', version: LIBRARY_VERSION,
    books: by(l.books, b => b.project.book.id).map(b => ({ id: b.project.book.id, added: b.added })),
    listings: by(l.listings, x => x.key), settings: by(l.settings, s => s.key),
  }
  zip['library.json'] = [strToU8(JSON.stringify(head, null, 1) + '\n'), { level: 6, mtime: STAMP }]
  for (const [i, b] of by(l.books, x => x.project.book.id).entries()) {
    report?.({ stage: 'Writing books', done: i, of: l.books.length })
    zip[`books/${b.project.book.id}.porchlight`] = [writeProject(b.project), { level: 0, mtime: STAMP }]
  }
  for (const hash of [...l.packages.keys()].sort()) zip[`packages/${hash}`] = [l.packages.get(hash)!, { level: 0, mtime: STAMP }]
  return zipSync(zip)
}

/** Whether a ZIP's first entry says that it is a library. */
export function isLibrary(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && new TextDecoder().decode(bytes.subarray(30, 38)) === 'mimetype' && new TextDecoder().decode(bytes.subarray(38, 120)).includes('application/vnd.porchlight.library+zip')
}

/** Reads a library of this or an earlier version; every book as a project is read, every package against its hash. */
export function readLibrary(bytes: Uint8Array, report?: Report): Library {
  if (!isLibrary(bytes)) throw new Fault('damaged', 'This file is no backup of a Porchlight library.')
  const files = readZip(bytes, () => true, { entry: 2e9, total: 8e9, entries: 100_000 }, report)
  let raw: { format?: string; version?: number }
  try {
    raw = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(files.get('library.json') ?? new Uint8Array())) as typeof raw
  } catch {
    throw new Fault('damaged', 'This backup is damaged: its list of books cannot be read.')
  }
  if (raw.format !== 'porchlight-library' || typeof raw.version !== 'number') throw new Fault('damaged', 'This file is no backup of a Porchlight library.')
  const head = migrate(raw, raw.version, LIBRARY_VERSION, libraryMigrations) as { books: { id: string; added: number }[]; listings: Library['listings']; settings: Library['settings'] }
  const books = head.books.map((b, i) => {
    report?.({ stage: 'Reading books', done: i, of: head.books.length })
    const file = files.get(`books/${b.id}.porchlight`)
    if (!file) throw new Fault('damaged', `This backup is damaged: the book “${b.id}” is missing.`)
    return { project: readProject(file), added: b.added }
  })
  const packages = new Map<string, Uint8Array>()
  for (const [name, file] of files) if (name.startsWith('packages/')) {
    const hash = name.slice('packages/'.length)
    if (hashOf(file) !== hash) throw new Fault('damaged', 'This backup is damaged: a package is not what was sent.')
    packages.set(hash, file)
  }
  return { books, listings: head.listings, packages, settings: head.settings }
}
