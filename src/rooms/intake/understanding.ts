import { type Book, docText, docWords, joinSections, labels, roles, type Section, shortName } from '@/core/book'
import { type Candidate, sectionOfCandidate, takeCandidate } from '@/core/intake'

/** A section as it is proposed: what it is called, why, how it begins. */
export interface ProposedSection {
  section: Section
  name: string
  role: string
  words: number
  begins: string
  /** May be struck: it then runs on in the section before. */
  strikable: boolean
  /** What it was before the author took it for a section. */
  candidate?: Candidate
}

/** What is looked through: sections, and between them what may begin one. */
export type Proposal = ProposedSection | { candidate: Candidate; section?: undefined }

/** The sections of a book as understood, in order; pages made from data are not proposals. */
export function proposed(book: Book, candidates: readonly Candidate[] = []): ProposedSection[] {
  const names = labels(book.sections, book.data.language)
  const text = book.sections.filter(s => !s.made)
  const taken = new Map(candidates.map(c => [sectionOfCandidate(c), c]))
  return text.map((section, i) => {
    const candidate = taken.get(section.id)
    return {
      section,
      name: shortName(names.get(section.id)!) || roles[section.role].name,
      role: roles[section.role].name,
      words: docWords(section.doc),
      begins: docText(section.doc).replace(/\s+/g, ' ').trim().slice(0, 150),
      strikable: i > 0 && text[i - 1]!.part === section.part,
      ...(candidate ? { candidate } : {}),
    }
  })
}

/** Sections with what may begin one behind the section that it stands in. */
export function withCandidates(sections: readonly ProposedSection[], candidates: readonly Candidate[]): Proposal[] {
  const byBlock = new Map(candidates.map(c => [c.block, c]))
  return sections.flatMap((s): Proposal[] => [
    s,
    ...s.section.doc.content.flatMap(b => {
      const candidate = byBlock.get(b.attrs.id)
      return candidate ? [{ candidate }] : []
    }),
  ])
}

/** The book with what the author took for sections. */
export const withTaken = (book: Book, candidates: readonly Candidate[], taken: ReadonlySet<string>): Book =>
  candidates.filter(c => taken.has(c.block)).reduce(takeCandidate, book)

/** The book with the struck sections joined to what stands before them: their titles stay as headings, no word is lost. */
export function withStruck(book: Book, struck: ReadonlySet<string>): Book {
  return [...book.sections].reverse().reduce((b, s) => (struck.has(s.id) ? joinSections(b, s.id) : b), book)
}
