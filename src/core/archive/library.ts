import type { DayTally } from '../pace'
import type { VersionKind } from './thinning'
import { strToU8, type Zippable, zipSync } from 'fflate'
import { hashOf } from '../book'
import { readZip } from '../files'
import type { ListingEvent } from '../outlets'
import { Fault, type OutletProfile, type Report } from '../trade'
import { checkLibraryHead } from './librarySchema'
import { withCurrentProfiles } from './profilesOfEvents'
import { migrate, type Migration } from './migrate'
import { type Project, readProject, writeProject } from './project'

/** A book in a library, with when it came, when it was last changed, and when it was taken down, if it was. Milliseconds. */
export interface LibraryBook {
  project: Project
  added: number
  changed?: number
  takenDown?: number
}

/** A kept version as a backup holds it: its parts lie beside it by hash. */
export interface LibraryVersion {
  book: string
  at: number
  label: string
  /** On what occasion it was kept by itself; what has none was kept for good. */
  kind?: VersionKind
  /** Printed pages then, once they were counted. */
  pages?: number
  words: number
  manifest: string
  parts: string[]
}

/** Words that found no place in their section. */
export interface LibraryPiece {
  book: string
  section: string
  at: number
  text: string
}

/** A whole library: its books, what happened to their listings, the packages as sent, kept versions, and the author's settings (docs/formats.md). */
export interface Library {
  books: LibraryBook[]
  listings: { key: string; book: string; events: ListingEvent[] }[]
  /** Bytes of sent packages by SHA-256. */
  packages: Map<string, Uint8Array>
  versions: LibraryVersion[]
  /** Bytes of the parts of kept versions by SHA-256, as far as no project holds them. */
  parts: Map<string, Uint8Array>
  pieces: LibraryPiece[]
  /** What was done on its books, day by day. */
  tallies: (DayTally & { book: string })[]
  settings: { key: string; value: unknown }[]
  /** The outlets that there are, in the order in which they are offered. */
  outlets: OutletProfile[]
  /** Books that are in the file and cannot be read, with the reason: the others are not kept from coming. */
  unreadable?: { id: string; why: string }[]
}

/** Version 2 since a backup holds kept versions, pieces and the dates of changes, 3 since outlets are the author's. */
export const LIBRARY_VERSION = 3
export const libraryMigrations: Record<number, Migration> = {
  1: (head: Record<string, unknown>) => ({ ...head, versions: [], pieces: [] }),
  2: (head: Record<string, unknown>) => ({ ...head, listings: withCurrentProfiles(head.listings), outlets: [] }),
}

const STAMP = new Date(2026, 0, 1, 0, 0, 0)

/** Writes a library. Books, listings and settings stand in the order of their names: the same library gives the same bytes. */
export function writeLibrary(l: Library, report?: Report): Uint8Array {
  const by = <T>(list: T[], key: (x: T) => string): T[] => [...list].sort((a, b) => (key(a) < key(b) ? -1 : 1))
  const zip: Zippable = { mimetype: [strToU8('application/vnd.porchlight.library+zip'), { level: 0, mtime: STAMP }] }
  const head = {
    format: 'porchlight-library',
    version: LIBRARY_VERSION,
    books: by(l.books, b => b.project.book.id).map(({ project, added, changed, takenDown }) => ({
      id: project.book.id,
      added,
      changed,
      takenDown,
    })),
    listings: by(l.listings, x => x.key),
    settings: by(l.settings, s => s.key),
    outlets: l.outlets,
    versions: by(l.versions, v => `${v.book} ${v.at} ${v.manifest}`),
    pieces: by(l.pieces, p => `${p.book} ${p.at} ${p.text}`),
    tallies: by(l.tallies, t => `${t.book} ${t.day}`),
  }
  zip['library.json'] = [strToU8(JSON.stringify(head, null, 1) + '\n'), { level: 6, mtime: STAMP }]
  for (const [i, b] of by(l.books, x => x.project.book.id).entries()) {
    report?.({ stage: 'Writing books', done: i, of: l.books.length })
    zip[`books/${b.project.book.id}.porchlight`] = [writeProject(b.project), { level: 0, mtime: STAMP }]
  }
  for (const [folder, files] of [
    ['packages', l.packages],
    ['parts', l.parts],
  ] as const)
    for (const hash of [...files.keys()].sort())
      zip[`${folder}/${hash}`] = [files.get(hash)!, { level: 0, mtime: STAMP }]
  return zipSync(zip)
}

/** Whether a ZIP's first entry says that it is a library. */
export function isLibrary(bytes: Uint8Array): boolean {
  return (
    bytes[0] === 0x50 &&
    bytes[1] === 0x4b &&
    new TextDecoder().decode(bytes.subarray(30, 38)) === 'mimetype' &&
    new TextDecoder().decode(bytes.subarray(38, 120)).includes('application/vnd.porchlight.library+zip')
  )
}

/** Reads a library of this or an earlier version; every book as a project is read, every package and part against its hash. `known`: the outlets there are beside those that it brings. */
export function readLibrary(bytes: Uint8Array, known: readonly OutletProfile[], report?: Report): Library {
  if (!isLibrary(bytes)) throw new Fault('damaged', 'This file is no backup of a Porchlight library.')
  const files = readZip(bytes, () => true, { entry: 2e9, total: 8e9, entries: 100_000 }, report)
  let raw: { format?: string; version?: number }
  try {
    raw = JSON.parse(
      new TextDecoder('utf-8', { fatal: true }).decode(files.get('library.json') ?? new Uint8Array()),
    ) as typeof raw
  } catch {
    throw new Fault('damaged', 'This backup is damaged: its list of books cannot be read.')
  }
  if (raw.format !== 'porchlight-library' || typeof raw.version !== 'number')
    throw new Fault('damaged', 'This file is no backup of a Porchlight library.')
  const migrated = migrate(raw, raw.version, LIBRARY_VERSION, libraryMigrations)
  checkLibraryHead(migrated)
  const head = migrated as Omit<Library, 'books'> & { books: (Omit<LibraryBook, 'project'> & { id: string })[] }
  const unreadable: { id: string; why: string }[] = []
  const books = head.books.flatMap(({ id, ...dates }, i): LibraryBook[] => {
    report?.({ stage: 'Reading books', done: i, of: head.books.length })
    const file = files.get(`books/${id}.porchlight`)
    try {
      if (!file) throw new Fault('damaged', 'it is missing in the file.')
      const project = readProject(file, { known: [...known, ...head.outlets] })
      if (project.book.id !== id) throw new Fault('damaged', 'it is another book than the list says.')
      return [{ project, ...dates }]
    } catch (e) {
      unreadable.push({ id, why: e instanceof Fault ? e.message : 'it cannot be read.' })
      return []
    }
  })
  const folder = (name: string, what: string): Map<string, Uint8Array> => {
    const out = new Map<string, Uint8Array>()
    for (const [path, file] of files)
      if (path.startsWith(`${name}/`)) {
        const hash = path.slice(name.length + 1)
        if (hashOf(file) !== hash) throw new Fault('damaged', `This backup is damaged: ${what}.`)
        out.set(hash, file)
      }
    return out
  }
  return {
    books,
    listings: head.listings,
    packages: folder('packages', 'a package is not what was sent'),
    versions: head.versions,
    parts: folder('parts', 'a part of a kept version is not what it was'),
    pieces: head.pieces,
    // Backups made before there were any have none.
    tallies: head.tallies ?? [],
    settings: head.settings,
    outlets: head.outlets,
    ...(unreadable.length ? { unreadable } : {}),
  }
}
