import Dexie, { type Table } from 'dexie'
import { withLeadInAsChoice } from '@/core/archive'
import type { Book, Section } from '@/core/book'
import type { ListingEvent } from '@/core/outlets'

/** A book without its sections: those are records of their own, so that a keystroke writes one. */
export type BookRecord = Omit<Book, 'sections'> & { order: string[]; added: number }
/** `rev` grows with every write: who holds the section knows without reading it whether theirs is the newest. */
export type SectionRecord = Section & { book: string; rev: number }
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

/** A section before and after a change: absent where it was not there yet, or is no longer. */
export interface SectionChange {
  id: string
  before?: Section
  after?: Section
}

/** Steps of a ProseMirror document, as JSON, and the way back. */
export interface TextChange {
  section: string
  forward: unknown[]
  inverse: unknown[]
}

/** One step of a book's history: what it did to the book's record, to whole sections, or to one section's text. */
export interface ChangeRecord {
  id?: number
  book: string
  at: number
  /** What was done, in words: "Text size 11.5". */
  label: string
  before: Partial<BookRecord>
  after: Partial<BookRecord>
  sections?: SectionChange[]
  text?: TextChange
  undone: boolean
}

/** A listing is what happened to it: its state is folded from the events. */
export interface ListingRecord {
  /** "book/edition/outlet". */
  key: string
  book: string
  events: ListingEvent[]
}

class PorchlightDb extends Dexie {
  books!: Table<BookRecord, string>
  sections!: Table<SectionRecord, [string, string]>
  blobs!: Table<BlobRecord, string>
  settings!: Table<SettingRecord, string>
  changes!: Table<ChangeRecord, number>
  listings!: Table<ListingRecord, string>

  constructor() {
    // "Saved" is said when the disk has it.
    super('porchlight', { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ books: 'id', sections: '[book+id], book', blobs: 'hash', settings: 'key' })
    this.version(2).stores({ changes: '++id, book' })
    this.version(3).stores({ sections: '[book+id], book, [book+id+rev]', listings: 'key, book' }).upgrade(tx => tx.table('sections').toCollection().modify((s: SectionRecord) => { s.rev = 1 }))
    this.version(4).stores({}).upgrade(async tx => {
      await tx.table('books').toCollection().modify((b, ref) => { ref.value = withLeadInAsChoice(b) })
      await tx.table('changes').toCollection().modify((c, ref) => { ref.value = withLeadInAsChoice(c) })
    })
  }
}

export const db = new PorchlightDb()
