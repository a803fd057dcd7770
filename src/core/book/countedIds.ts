import type { Book } from './book'
import { highestId, idNumber, Ids, renameIds } from './identity'
import { linkTargets, retargeted } from './innerLinks'

/** The book with numbers for all ids that no counter gave, as those of sections that were still being decided; links lead where they led. What `before` had keeps its name: much else goes by it. The very same where each has one. */
export function withCountedIds<B extends Pick<Book, 'sections' | 'lastId'>>(
  book: B,
  before?: Pick<Book, 'sections'>,
): B {
  const kept = before && linkTargets(before.sections)
  const ids = new Ids(Math.max(book.lastId, highestId(book.sections)))
  const names = new Map<string, string>()
  const counted = (id: string, fresh: () => string): string | undefined => {
    if (!id || idNumber(id) || kept?.has(id)) return undefined
    const own = fresh()
    names.set(id, own)
    return own
  }
  const sections = book.sections.map(s => {
    const id = counted(s.id, ids.section)
    const doc = renameIds(s.doc, (b, type) => counted(b, type === 'footnote' ? ids.note : ids.block))
    return id === undefined && doc === s.doc ? s : { ...s, doc, ...(id === undefined ? {} : { id }) }
  })
  if (!names.size) return book
  return { ...book, sections: retargeted(sections, to => names.get(to)), lastId: ids.last }
}
