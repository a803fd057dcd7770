import type { Finding } from '@/core/check'
import { ebookFigures, type Figures, type Outlook, outlookOf, printFigures } from '@/core/chain'
import type { ListingSnapshot } from '@/core/outlets'
import { chainOf, ebookOf, editionOf } from '../chains'
import { bookOf, type BookUpdate, closeBook, openBook } from '../openBooks'

/** Open books, and what follows from them in figures. */
export const books = {
  /** Opens a book at the press, or brings it up to date; what did not change is not computed again. */
  open: (update: BookUpdate): Promise<void> => openBook(update),
  close: (bookId: string): void => closeBook(bookId),

  /** Words, pages and findings of an open book, in short. */
  outlook: (bookId: string): Promise<Outlook> =>
    outlookOf(bookOf(bookId).book, { print: e => chainOf(bookId, e.id), ebook: e => ebookOf(bookId, e.id) }),

  async figures(bookId: string, editionId: string, outletId?: string): Promise<Figures> {
    const e = editionOf(bookId, editionId)
    return e.kind === 'ebook'
      ? ebookFigures(e, ebookOf(bookId, editionId, outletId))
      : printFigures(e, chainOf(bookId, editionId, outletId))
  },

  async findings(bookId: string, editionId: string, outletId?: string): Promise<Finding[]> {
    return editionOf(bookId, editionId).kind === 'ebook'
      ? ebookOf(bookId, editionId, outletId).get('findings')
      : chainOf(bookId, editionId, outletId).get('findings')
  },

  /** What the outlet would see of the edition if it were sent now. */
  async snapshot(bookId: string, editionId: string, outletId: string): Promise<ListingSnapshot> {
    return editionOf(bookId, editionId).kind === 'ebook'
      ? ebookOf(bookId, editionId, outletId).get('snapshot')
      : chainOf(bookId, editionId, outletId).get('snapshot')
  },
}
