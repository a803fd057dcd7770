import { type Book, docText, docWords, joinSections, labels, roles, type Section, shortName } from '@/core/book'

/** A section as it is proposed: what it is called, why, how it begins. */
export interface ProposedSection {
  section: Section
  name: string
  role: string
  words: number
  begins: string
  /** May be struck: it then runs on in the section before. */
  strikable: boolean
}

/** The sections of a book as understood, in order; pages made from data are not proposals. */
export function proposed(book: Book): ProposedSection[] {
  const names = labels(book.sections, book.data.language)
  const text = book.sections.filter(s => !s.made)
  return text.map((section, i) => ({
    section,
    name: shortName(names.get(section.id)!) || roles[section.role].name,
    role: roles[section.role].name,
    words: docWords(section.doc),
    begins: docText(section.doc).replace(/\s+/g, ' ').trim().slice(0, 150),
    strikable: i > 0 && text[i - 1]!.part === section.part,
  }))
}

/** The book with the struck sections joined to what stands before them: their titles stay as headings, no word is lost. */
export function withStruck(book: Book, struck: ReadonlySet<string>): Book {
  return [...book.sections].reverse().reduce((b, s) => (struck.has(s.id) ? joinSections(b, s.id) : b), book)
}
