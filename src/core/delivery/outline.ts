import { type Book, labels, listable, shortName } from '../book'
import { type Interior, linkPages } from '../pages'

/** A place of a PDF's outline: its title and its page, from 0. */
export interface OutlineEntry {
  title: string
  page: number
  /** From 0; an entry stands below the nearest of a lesser depth before it. */
  depth: number
}

/** Places for the PDF's outline: what the contents list (sections that they leave out too), and the contents and title page themselves. */
export function outlineOf(book: Book, interior: Pick<Interior, 'starts' | 'pages'>): OutlineEntry[] {
  const names = labels(book.sections, book.data.language)
  const entries = listable(book.sections, book.data.language)
  const pages = linkPages(interior, book.sections)
  return book.sections
    .filter(s => interior.starts.has(s.id))
    .flatMap(s => {
      const page = interior.starts.get(s.id)!
      if (s.role === 'contents' || s.role === 'title-page')
        return [{ title: shortName(names.get(s.id)!) || book.data.title, page, depth: 0 }]
      return entries
        .filter(e => e.section === s.id && !(e.block && e.left))
        .map(e => ({ title: shortName(e), page: (e.block && pages.get(e.block)) || page, depth: e.level }))
    })
}
