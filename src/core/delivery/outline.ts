import { type Book, labels, roles, shortName } from '../book'
import type { Interior } from '../pages'

/** A place of a PDF's outline: its title and its page, from 0. */
export interface OutlineEntry {
  title: string
  page: number
}

/** Places for the PDF's outline: what the contents list, and the contents and title page themselves. */
export function outlineOf(book: Book, interior: Pick<Interior, 'starts'>): OutlineEntry[] {
  const names = labels(book.sections, book.data.language)
  return book.sections
    .filter(
      s => interior.starts.has(s.id) && (roles[s.role].listed || s.role === 'contents' || s.role === 'title-page'),
    )
    .map(s => ({ title: shortName(names.get(s.id)!) || book.data.title, page: interior.starts.get(s.id)! }))
}
