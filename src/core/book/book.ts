import type { BindingKind, Ink } from '../trade'
import type { DocJson } from './doc'
import type { Part, Role } from './roles'

/** A person (or body) who made the book, with a role by the MARC relator code (aut, edt, ill, trl …). */
export interface Contributor {
  name: string
  /** As it sorts: "Fenwright, Orla". */
  sortName?: string
  role: string
}

/** Publisher name and place, kept once and printed on title page, spine and back. */
export interface Imprint {
  name: string
  place?: string
  site?: string
}

/** The data of a title that everything uses: title page, listing, ebook, cover. */
export interface TitleData {
  title: string
  subtitle?: string
  series?: { name: string; number?: number }
  contributors: Contributor[]
  /** BCP 47. */
  language: string
  imprint: Imprint
  year?: number
  rights?: string
  description?: string
  subjects: string[]
}

/** A section: one run of text with its place in the book. */
export interface Section {
  id: string
  part: Part
  role: Role
  title: string
  subtitle?: string
  /** Counted among its like, where its role is. */
  numbered: boolean
  /** Made from the book's data; its doc is not used while this is set. */
  made: boolean
  doc: DocJson
  /** Why intake proposed it, in plain words; most weighty first. */
  evidence?: string[]
}

/** A picture or other file of the book; `id` is the SHA-256 of its bytes in hex. */
export interface Asset {
  id: string
  type: 'image/png' | 'image/jpeg' | 'image/gif' | 'image/svg+xml'
  /** Pixels. */
  width: number
  height: number
  name?: string
}

export type EditionKind = BindingKind | 'ebook'

/** One form of the book. Specification, style and price; what follows from them is computed by the chain. */
export interface Edition {
  id: string
  kind: EditionKind
  isbn?: string
  trim?: string
  paper?: string
  ink?: Ink
  outlets: string[]
  /** Id of a style, and this edition's own departures from it by path (see docs/formats.md). */
  style: string
  styleChanges?: Record<string, number | boolean | string>
  /** List price in minor units of US dollars. */
  price?: number
}

export interface Book {
  id: string
  data: TitleData
  sections: Section[]
  editions: Edition[]
  assets: Asset[]
}

/** The name printed as the author's: all contributors with role aut, joined. */
export function authorLine(data: TitleData): string {
  const names = data.contributors.filter(c => c.role === 'aut').map(c => c.name)
  return names.length < 2 ? (names[0] ?? '') : names.slice(0, -1).join(', ') + ' and ' + names[names.length - 1]
}
