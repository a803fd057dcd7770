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

class PorchlightDb extends Dexie {
  books!: Table<BookRecord, string>
  sections!: Table<SectionRecord, [string, string]>
  blobs!: Table<BlobRecord, string>
  settings!: Table<SettingRecord, string>

  constructor() {
    super('porchlight')
    this.version(1).stores({ books: 'id', sections: '[book+id], book', blobs: 'hash', settings: 'key' })
  }
}

export const db = new PorchlightDb()
