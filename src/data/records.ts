import type { Book, Patch, Section } from '@/core/book'
import type { VersionKind } from '@/core/archive'
import type { DayTally } from '@/core/pace'
import type { ListingEvent } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'

/** What the store keeps, a shape a table. */

/** A book without its sections: those are records of their own, so that a keystroke writes one. */
export type BookRecord = Omit<Book, 'sections'> & {
  order: string[]
  added: number
  /** When it was taken down; it rests for a while before it goes. */
  takenDown?: number
}

/** What a commit did to a section's text: who was late by a few commits carries their own steps over it. */
export interface TrailEntry {
  /** The revision it led to. */
  rev: number
  steps: unknown[]
  /** The pen that wrote it and the number of that writing: a journal played back knows what the store has already. */
  pen?: string
  nth?: number
}

/** `rev` grows with every write and is never borne twice: who holds the section knows without reading it whether theirs is the newest. */
export type SectionRecord = Section & { book: string; rev: number; trail?: TrailEntry[] }

export interface BlobRecord {
  /** SHA-256 of the bytes. */
  hash: string
  bytes: Uint8Array<ArrayBuffer>
  added: number
}
export interface SettingRecord {
  key: string
  value: unknown
}

/** Steps of a ProseMirror document, as JSON, and the way back. */
export interface StepsBothWays {
  forward: unknown[]
  inverse: unknown[]
}

/** What a change did to one section: it came, it went, its fields changed, its text changed. */
export interface SectionChange {
  id: string
  added?: Section
  removed?: Section
  fields?: Patch[]
  text?: StepsBothWays
}

/** One step of a book's history: what it did to the book's record, to sections, or to one section's text. It holds the differences and nothing whole. */
export interface ChangeRecord {
  id?: number
  book: string
  /** 0: it stands; 1: it was undone. A number, since only numbers are found by index. */
  state: 0 | 1
  at: number
  /** What was done, in words: "Text size 11.5". */
  label: string
  /** It was undone once: nothing joins it any more. */
  closed?: boolean
  record?: Patch[]
  sections?: SectionChange[]
  text?: StepsBothWays & { section: string }
}

/** A listing is what happened to it: its state is folded from the events. */
export interface ListingRecord {
  /** "book/edition/outlet". */
  key: string
  book: string
  events: ListingEvent[]
}

/** An outlet as it is known here. `place`: where it stands among those that are offered. */
export interface OutletRecord {
  id: string
  place: number
  profile: OutletProfile
}

/** A kept version: the book as it was, named by the hashes of its parts, which lie among the blobs. */
export interface VersionRecord {
  id?: number
  book: string
  at: number
  /** Why it was kept, in words. */
  label: string
  /** On what occasion; what has none was kept for good. */
  kind?: VersionKind
  /** Printed pages of the book's first print edition then, once they were counted. */
  pages?: number
  /** Of stores before it was kept by occasion; it says nothing any more. */
  upTo?: number
  /** Words of the book then. */
  words: number
  /** SHA-256 of the manifest, and of every part that the manifest names. */
  manifest: string
  parts: string[]
}

/** What was done on a book on one day. */
export type TallyRecord = DayTally & { book: string }

/** Words that found no place in their section: it was gone, or what they stood in was. They wait beside it. */
export interface PieceRecord {
  id?: number
  book: string
  section: string
  at: number
  text: string
}
