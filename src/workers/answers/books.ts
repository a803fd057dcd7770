import type { Finding } from '@/core/check'
import type { Book } from '@/core/book'
import { ebookFigures, type Figures, type Outlook, outlookOf, printChain, printFigures } from '@/core/chain'
import type { ListingSnapshot } from '@/core/outlets'
import { Setter } from '@/core/pages'
import { chainOf, ebookOf, editionOf, outletOf, tools } from '../chains'
import { printInputsOf } from '../editionInputs'
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

  /** Printed pages of a state of a book that is not open, in its first print edition; undefined where it has none. */
  async pagesOf(book: Book): Promise<number | undefined> {
    const e = book.editions.find(x => x.kind !== 'ebook')
    if (!e) return undefined
    const of = { book, text: { ...book, editions: [] }, turn: 0 }
    // A setter of its own: what is kept of the book as it is now must not make room for it.
    const apart = { ...tools, setter: new Setter(tools.shelf) }
    return printChain(printInputsOf(of, e, outletOf(e)), apart).get('pages')
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
