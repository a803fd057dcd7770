import { strToU8, type Zippable, zipSync } from 'fflate'
import { type Book, type DocJson, filesOf, hashOf, schema, withOwnIds, uidOf } from '../book'
import { readZip, type ZipLimits } from '../files'
import { Fault, type OutletProfile, readProfile, type Report } from '../trade'
import { bookTroubles } from './bookSchema'
import { migrate, type Migration } from './migrate'
import { canonicalJson } from './canonical'
import { withBookWideIds } from './identityMigration'
import { withPricesByCurrency } from './priceMigration'
import { withRunParams } from './runMigration'
import { withLeadInAsChoice } from './styleMigration'

/** The open project file: a ZIP of JSON and pictures (docs/formats.md). Version 2 since chapters may begin with a whole line in small capitals, 3 since ids are unique in the book, 4 since runs have kinds, 5 since prices are by currency. */
export const PROJECT_VERSION = 5

/** A book of earlier versions bears the UUID that its ebooks had. */
const withOwnUid = (raw: { book: Book }): { book: Book } => ({ ...raw, book: { ...raw.book, uid: uidOf(raw.book) } })

/** Migrations by the version they start from; each gives the next. */
export const projectMigrations: Record<number, Migration> = {
  1: withLeadInAsChoice,
  2: withBookWideIds as Migration,
  3: (raw: { book: Book }) => withOwnUid(withRunParams(raw)),
  4: withPricesByCurrency,
}

export interface Project {
  book: Book
  /** Bytes of pictures, recordings and fonts by their hash. */
  pictures: Map<string, Uint8Array>
  /** Profiles of the outlets it goes to, as far as they are the author's own. */
  outlets?: OutletProfile[]
}

const limits: ZipLimits = { entry: 200e6, total: 2e9, entries: 20000 }
// Every entry carries one date, so that the same project gives the same bytes.
const STAMP = new Date(2026, 0, 1, 0, 0, 0)

/** Writes a project. Keys are sorted and dates fixed: what was read comes out byte for byte. */
export function writeProject(p: Project): Uint8Array {
  const { sections, assets, ...head } = p.book
  const zip: Zippable = { mimetype: [strToU8('application/vnd.porchlight.project+zip'), { level: 0, mtime: STAMP }] }
  const put = (name: string, value: unknown): void => {
    zip[name] = [strToU8(canonicalJson(value)), { level: 6, mtime: STAMP }]
  }
  put('project.json', {
    format: 'porchlight-project',
    version: PROJECT_VERSION,
    book: { ...head, sections: sections.map(({ doc: _doc, ...s }) => s), assets },
    ...(p.outlets?.length ? { outlets: p.outlets } : {}),
  })
  for (const s of [...sections].sort((a, b) => (a.id < b.id ? -1 : 1))) put(`sections/${s.id}.json`, s.doc)
  const folders = new Map<string, string>()
  for (const f of (p.book.fonts ?? []).flatMap(f => Object.values(f.files))) folders.set(f, 'fonts')
  for (const r of p.book.recordings ?? []) folders.set(r.id, 'recordings')
  for (const id of [...p.pictures.keys()].sort())
    zip[`${folders.get(id) ?? 'pictures'}/${id}`] = [p.pictures.get(id)!, { level: 0, mtime: STAMP }]
  return zipSync(zip)
}

/** Whether a ZIP's first entry says that it is a project. */
export function isProject(bytes: Uint8Array): boolean {
  const at = 30 + 8
  return (
    bytes[0] === 0x50 &&
    bytes[1] === 0x4b &&
    new TextDecoder().decode(bytes.subarray(30, at)) === 'mimetype' &&
    new TextDecoder().decode(bytes.subarray(at, at + 120)).includes('application/vnd.porchlight.project+zip')
  )
}

/** What reading a project goes by. */
export interface ReadingProject {
  report?: Report
  /** Outlets that there are, beside those that the file brings. */
  known: readonly OutletProfile[]
  /** Take what can be saved of a damaged file; hears of everything that could not be taken as it was. */
  salvage?: (what: string) => void
}

/** Reads a project of this or an earlier version. The whole of it is held against the schema, every picture against its hash. Throws a Fault with the place and one sentence; then nothing was taken. */
export function readProject(bytes: Uint8Array, { report, known, salvage }: ReadingProject): Project {
  const ruins = new Map<string, Uint8Array>()
  const files = readZip(
    bytes,
    () => true,
    limits,
    report,
    salvage &&
      ((name, kept) => {
        // What is text may still be read; a picture with a changed byte is another picture.
        if (name.endsWith('.json') && kept) {
          ruins.set(name, kept)
          if (!name.startsWith('sections/')) salvage(`“${name.slice(0, 80)}” is damaged: what it says may be wrong`)
        } else salvage(`“${name.slice(0, 80)}” is damaged and was left out`)
      }),
  )
  for (const [name, kept] of ruins) files.set(name, kept)
  const raw = readRaw(files, new Set(ruins.keys()), salvage)
  let book: Book
  try {
    const migrated = migrate(raw, (raw as { version: number }).version, PROJECT_VERSION, projectMigrations) as {
      book: Book
      sections: Record<string, DocJson>
    }
    book = { ...migrated.book, sections: migrated.book.sections.map(s => ({ ...s, doc: migrated.sections[s.id]! })) }
  } catch (e) {
    throw e instanceof Fault
      ? e
      : new Fault('damaged', 'This project is damaged: its record cannot be brought up to date.')
  }
  const outlets = outletsOf(raw, salvage)
  const [trouble] = bookTroubles(book, [...outlets, ...known])
  if (trouble) throw new Fault('book', `This project is not in order: ${trouble.sentence}`, trouble.place)
  const wrong = book.sections.find(s => !isSound(s.doc))
  if (wrong)
    throw new Fault(
      'damaged',
      `This project is damaged: section “${(wrong.title || wrong.id).slice(0, 80)}” holds text that is not in order.`,
      wrong.id,
    )
  const pictures = new Map<string, Uint8Array>()
  for (const id of filesOf(book)) {
    const b = files.get(`pictures/${id}`) ?? files.get(`fonts/${id}`) ?? files.get(`recordings/${id}`)
    if (!b) continue
    if (hashOf(b) === id) pictures.set(id, b)
    else if (!salvage)
      throw new Fault('damaged', 'This project is damaged: a picture, recording or font is not what it was.', id)
    else salvage('a picture, recording or font is not what it was, and was left out')
  }
  return { book: withOwnIds(book), pictures, ...(outlets.length ? { outlets } : {}) }
}

/** The profiles that a project brings. */
function outletsOf(raw: unknown, salvage: ReadingProject['salvage']): OutletProfile[] {
  const list = (raw as { outlets?: unknown }).outlets ?? []
  if (!Array.isArray(list)) throw new Fault('book', 'This project is not in order: outlets wants a list.', 'outlets')
  return list.flatMap(document => {
    try {
      return [readProfile(document)]
    } catch (e) {
      if (!salvage) throw e
      salvage(`an outlet it goes to was left out: ${(e as Error).message}`)
      return []
    }
  })
}

/** The project as its file says it, before anything is believed but that it is JSON. `ruined`: files that are not what was written. */
function readRaw(files: Map<string, Uint8Array>, ruined: Set<string>, salvage: ReadingProject['salvage']): unknown {
  const json = (name: string): unknown => {
    const b = files.get(name)
    if (!b) throw new Fault('damaged', `This project is damaged: “${name.slice(0, 80)}” is missing.`, name)
    try {
      return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(b)) as unknown
    } catch {
      throw new Fault('damaged', `This project is damaged: “${name.slice(0, 80)}” cannot be read.`, name)
    }
  }
  const head = json('project.json') as { format?: unknown; version?: unknown; book?: { sections?: unknown } } | null
  if (
    head?.format !== 'porchlight-project' ||
    typeof head.version !== 'number' ||
    !head.book ||
    typeof head.book !== 'object'
  )
    throw new Fault('damaged', 'This file is no Porchlight project.')
  const list = head.book.sections ?? []
  if (!Array.isArray(list)) throw new Fault('book', 'This project is not in order: sections wants a list.', 'sections')
  const sections: Record<string, unknown> = {}
  for (const s of list as { id?: unknown; title?: unknown }[]) {
    const id = String(s?.id)
    const read = (): unknown => json(`sections/${id}.json`)
    if (!salvage) sections[id] = read()
    else {
      const file = files.get(`sections/${id}.json`)
      let doc: unknown
      try {
        doc = read()
      } catch {
        doc = undefined
      }
      if (!isSound(doc)) {
        salvage(
          `section “${String(s?.title || id).slice(0, 80)}” is damaged: its words were kept as plain paragraphs, and some may be wrong or missing`,
        )
        doc = wordsOf(file ? new TextDecoder().decode(file) : '')
      } else if (ruined.has(`sections/${id}.json`))
        salvage(`section “${String(s?.title || id).slice(0, 80)}” is damaged: a word of it may be wrong`)
      sections[id] = doc
    }
  }
  return { ...head, sections }
}

/** ProseMirror reads past what it does not know: attributes must be records, with the schema's own names. */
function hasOwnShape(node: unknown): boolean {
  const n = node as { type: string; attrs?: unknown; content?: unknown; marks?: unknown }
  if (
    n.attrs !== undefined &&
    (!n.attrs ||
      typeof n.attrs !== 'object' ||
      Array.isArray(n.attrs) ||
      !Object.keys(n.attrs).every(k => Object.hasOwn(schema.nodes[n.type]!.spec.attrs ?? {}, k)))
  )
    return false
  if (n.marks !== undefined && !(Array.isArray(n.marks) && n.marks.every(m => m && typeof m === 'object'))) return false
  return n.content === undefined || (Array.isArray(n.content) && n.content.every(hasOwnShape))
}

/** Whether a document is one of the schema, attributes and all. */
export function isSound(doc: unknown): doc is DocJson {
  try {
    schema.nodeFromJSON(doc).check()
    return (doc as DocJson).type === 'doc' && hasOwnShape(doc)
  } catch {
    return false
  }
}

/** The words that stand in the ruins of a document's JSON, a paragraph a text. */
export function wordsOf(json: string): DocJson {
  const texts = [...json.matchAll(/"text"\s*:\s*"((?:[^"\\]|\\.)*)"/g)]
    .map(m => {
      try {
        return JSON.parse(`"${m[1]!}"`) as string
      } catch {
        return m[1]!
      }
    })
    .filter(t => t && t !== 'text')
  const paragraphs = texts.map(text => ({
    type: 'paragraph' as const,
    attrs: { id: '', align: null },
    content: [{ type: 'text' as const, text }],
  }))
  return {
    type: 'doc',
    content: paragraphs.length ? paragraphs : [{ type: 'paragraph', attrs: { id: '', align: null } }],
  }
}
