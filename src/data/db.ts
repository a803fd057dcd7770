import Dexie, { type Table } from 'dexie'
import type { Book, Section } from '@/core/book'

/** A book without its sections: those are records of their own, so that a keystroke writes one. */
export type BookRecord = Omit<Book, 'sections'> & { order: string[]; added: number }
export type SectionRecord = Section & { book: string }
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

/** One step of a book's history: the fields of its record before and after. */
export interface ChangeRecord {
  id?: number
  book: string
  at: number
  /** What was done, in words: "Text size 11.5". */
  label: string
  before: Partial<BookRecord>
  after: Partial<BookRecord>
  undone: boolean
}

class PorchlightDb extends Dexie {
  books!: Table<BookRecord, string>
  sections!: Table<SectionRecord, [string, string]>
  blobs!: Table<BlobRecord, string>
  settings!: Table<SettingRecord, string>
  changes!: Table<ChangeRecord, number>

  constructor() {
    super('porchlight')
    this.version(1).stores({ books: 'id', sections: '[book+id], book', blobs: 'hash', settings: 'key' })
    this.version(2).stores({ changes: '++id, book' })
  }
}

export const db = new PorchlightDb()
