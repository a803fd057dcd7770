import { strToU8, type Zippable, zipSync } from 'fflate'
import { type Book, filesOf, hashOf, schema } from '../book'
import { readZip, type ZipLimits } from '../intake'
import { Fault, type Report } from '../trade'
import { migrate, type Migration } from './migrate'
import { canonicalJson } from './canonical'
import { withBookWideIds } from './identityMigration'
import { withLeadInAsChoice } from './styleMigration'

/** The open project file: a ZIP of JSON and pictures (docs/formats.md). Version 2 since chapters may begin with a whole line in small capitals, 3 since ids are unique in the book. */
export const PROJECT_VERSION = 3

/** Migrations by the version they start from; each gives the next. */
export const projectMigrations: Record<number, Migration> = { 1: withLeadInAsChoice, 2: withBookWideIds as Migration }

export interface Project {
  book: Book
  /** Bytes of pictures and fonts by their hash. */
  pictures: Map<string, Uint8Array>
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
  put('project.json', { format: 'porchlight-project', version: PROJECT_VERSION, book: { ...head, sections: sections.map(({ doc: _doc, ...s }) => s), assets } })
  for (const s of [...sections].sort((a, b) => (a.id < b.id ? -1 : 1))) put(`sections/${s.id}.json`, s.doc)
  const fonts = new Set((p.book.fonts ?? []).flatMap(f => Object.values(f.files)))
  for (const id of [...p.pictures.keys()].sort()) zip[`${fonts.has(id) ? 'fonts' : 'pictures'}/${id}`] = [p.pictures.get(id)!, { level: 0, mtime: STAMP }]
  return zipSync(zip)
}

/** Whether a ZIP's first entry says that it is a project. */
export function isProject(bytes: Uint8Array): boolean {
  const at = 30 + 8
  return bytes[0] === 0x50 && bytes[1] === 0x4b && new TextDecoder().decode(bytes.subarray(30, at)) === 'mimetype' && new TextDecoder().decode(bytes.subarray(at, at + 120)).includes('application/vnd.porchlight.project+zip')
}

/** Reads a project of this or an earlier version. Every document is held against the schema, every picture against its hash. */
export function readProject(bytes: Uint8Array, report?: Report): Project {
  const files = readZip(bytes, () => true, limits, report)
  const text = (name: string): unknown => {
    const b = files.get(name)
    if (!b) throw new Fault('damaged', `This project is damaged: “${name}” is missing.`)
    try {
      return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(b)) as unknown
    } catch {
      throw new Fault('damaged', `This project is damaged: “${name}” cannot be read.`)
    }
  }
  const head = text('project.json') as { format?: string; version?: number; book?: Book }
  if (head?.format !== 'porchlight-project' || typeof head.version !== 'number' || !head.book) throw new Fault('damaged', 'This file is no Porchlight project.')
  const raw = { ...head, sections: Object.fromEntries((head.book.sections ?? []).map(s => [s.id, text(`sections/${s.id}.json`)])) }
  const now = migrate(raw, head.version, PROJECT_VERSION, projectMigrations) as typeof raw & { book: Book }
  const sections = now.book.sections.map(s => {
    const doc = now.sections[s.id] as Book['sections'][number]['doc']
    try {
      schema.nodeFromJSON(doc).check()
    } catch {
      throw new Fault('damaged', `This project is damaged: section “${s.title || s.id}” holds text that is not in order.`)
    }
    return { ...s, doc }
  })
  const pictures = new Map<string, Uint8Array>()
  for (const id of filesOf(now.book)) {
    const b = files.get(`pictures/${id}`) ?? files.get(`fonts/${id}`)
    if (!b) continue
    if (hashOf(b) !== id) throw new Fault('damaged', 'This project is damaged: a picture or font is not what it was.')
    pictures.set(id, b)
  }
  return { book: { ...now.book, sections }, pictures }
}
