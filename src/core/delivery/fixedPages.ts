import { runName } from '../activity'
import type { Book, EbookSettings } from '../book'
import type { FixedPages } from '../epub'
import { type Interior, linkPages, whole } from '../pages'
import { outlineOf } from './outline'

/** Whether an ebook's pages stay as they print: where it is asked, and where pages are planned, since they cannot flow. */
export const goesFixed = ({ plan }: Book, settings: EbookSettings | undefined): boolean => !!plan || !!settings?.fixed

/** The pages of a printed edition for its ebook, and what begins where on them: sections, and runs of planned pages. */
export function fixedPages(book: Book, interior: Interior): FixedPages {
  const runs = (book.plan?.runs ?? []).flatMap(run => {
    const page = interior.starts.get(`run:${run.id}`)
    return page === undefined ? [] : [{ title: runName(run), page, depth: 0 }]
  })
  // What begins on one page stands as it was: sections before runs.
  const contents = [...outlineOf(book, interior), ...runs].sort((a, b) => a.page - b.page)
  const { pages } = whole(interior)
  const leads = linkPages(interior, book.sections)
  return { pages, contents, leads, start: Math.min(interior.numbered, pages.length - 1) }
}
