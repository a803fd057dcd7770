import { type Book, picturesIn } from '../book'
import type { EpubTrouble } from '../epub'
import type { PageStart } from '../pages'
import type { EbookRules } from '../trade'
import type { DeliveryPorts, PaintedPage } from './ports'

/** An ebook as it was made: its file, and what an inspection of the file found. */
export interface MadeEbook {
  bytes: Uint8Array
  troubles: EpubTrouble[]
}

/** What an ebook is made from beside the book. */
export interface EbookParts {
  isbn?: string
  /** ISO 8601, UTC, whole seconds. */
  date: string
  front: PaintedPage
  /** What the outlet's rules make of it. */
  rules: Pick<EbookRules, 'coverPage' | 'contentsPage'> | undefined
  /** Where the pages of the print edition begin, if there is one. */
  pages?: PageStart[]
}

/** Makes the ebook and looks it over. The writer is loaded when it is first wanted. */
export async function makeEbook(
  book: Book,
  { isbn, date, front, rules, pages }: EbookParts,
  { pictures }: DeliveryPorts,
): Promise<MadeEbook> {
  const { inspectEpub, writeEpub } = await import('../epub')
  const originals = new Map<string, Uint8Array>()
  for (const { asset } of book.sections.flatMap(picturesIn)) {
    const bytes = originals.has(asset) ? undefined : await pictures.bytes(asset)
    if (bytes) originals.set(asset, bytes)
  }
  const bytes = writeEpub(book, {
    isbn,
    date,
    cover: { bytes: front.bytes, type: 'image/jpeg' },
    picture: id => originals.get(id),
    coverPage: rules?.coverPage,
    contentsPage: rules?.contentsPage,
    ...(pages ? { pages } : {}),
  })
  return { bytes, troubles: inspectEpub(bytes) }
}
