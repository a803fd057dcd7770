import type { EbookSettings } from '@/core/book'
import type { BookRecord } from '@/data/records'

/** The change of a record that gives one of its ebooks other settings. */
export const withSettings =
  (edition: string, change: (settings: EbookSettings) => EbookSettings) =>
  (record: BookRecord): Partial<BookRecord> => ({
    editions: record.editions.map(e => (e.id === edition ? { ...e, ebook: change(e.ebook ?? {}) } : e)),
  })
