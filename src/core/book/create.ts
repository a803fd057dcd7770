import type { Book, Section, TitleData } from './book'
import { highestId } from './identity'
import { addSection, newSection } from './ops'
import type { Role } from './roles'

/** A book with the pages that every book wants, made from its data, around the sections that were read. */
export function createBook(id: string, data: TitleData, sections: Section[] = []): Book {
  let book: Book = { id, lastId: highestId(sections), data, sections, editions: [], assets: [] }
  const has = (role: Role) => book.sections.some(s => s.role === role)
  for (const role of ['title-page', 'copyright'] as const)
    if (!has(role)) book = addSection(book, newSection(book, role))
  const listed = book.sections.filter(s => s.part === 'body' && (s.title || s.numbered)).length
  if (listed > 1 && !has('contents')) book = addSection(book, newSection(book, 'contents'))
  return book
}
