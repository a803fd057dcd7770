import { type NavEntry, openEpub, type PageEntry } from '@/core/publication'
import { ebookOf } from '../chains'

/** An ebook to be read: its file taken apart again, as a reading program would. Files are handles: their bytes stay where they are. */
export interface ReadingCopy {
  language: string
  /** Bytes of the whole file. */
  weight: number
  /** Paths of what is read, in order. */
  spine: string[]
  nav: NavEntry[]
  pages: PageEntry[]
  files: Map<string, Blob>
}

/** Ebooks, as they will be sent, for the reading room. */
export const reading = {
  async readingCopy(bookId: string, editionId: string, outletId?: string): Promise<ReadingCopy> {
    const chain = ebookOf(bookId, editionId, outletId)
    const { bytes } = await chain.get('epub')
    const epub = openEpub(bytes)
    const byId = new Map(epub.items.map(i => [i.id, i.path]))
    return {
      language: epub.language ?? '',
      weight: bytes.length,
      spine: epub.spine.flatMap(s => byId.get(s.id) ?? []),
      nav: epub.nav,
      pages: epub.pages,
      files: new Map(epub.items.map(i => [i.path, new Blob([i.data as BlobPart], { type: i.type })])),
    }
  },
}
