import { type Book, docText, docWords, labels, type Role, roles, type Section, shortName } from '@/core/book'
import { type Candidate, decided, type Decision, type Decisions, sectionOfCandidate } from '@/core/intake'

/** A section as it is proposed: what it is called, why, how it begins. */
export interface ProposedSection {
  section: Section
  name: string
  role: string
  words: number
  begins: string
  /** May run on in the section before. */
  strikable: boolean
  /** What it was before it was taken for a section. */
  candidate?: Candidate
}

/** What is looked through: sections, and between them what may begin one. */
export type Proposal = ProposedSection | { candidate: Candidate; section?: undefined }

/** What a proposal is known by, whether it is a section or only may become one. */
export const keyOf = (p: Proposal): string => (p.section ? p.section.id : sectionOfCandidate(p.candidate))

/** What is shown while it is decided: sections that run on stand in the list, struck. */
export function shownBook(book: Book, candidates: readonly Candidate[], decisions: Decisions): Book {
  const standing = new Map<string, Decision>()
  for (const [id, { runsOn: _, ...d }] of decisions) standing.set(id, d)
  return decided(book, candidates, standing)
}

/** The sections of a book as understood, in order; pages made from data are proposals where one was typed that could stand for them. `read`: the book before sections went to other parts of it. */
export function proposed(book: Book, candidates: readonly Candidate[] = [], read: Book = book): ProposedSection[] {
  const names = labels(book.sections, book.data.language)
  const before = new Map(read.sections.map((s, i) => [s.id, read.sections[i - 1]]))
  const parts = new Map(read.sections.map(s => [s.id, s.part]))
  const taken = new Map(candidates.map(c => [sectionOfCandidate(c), c]))
  return book.sections
    .filter(s => !s.made || docWords(s.doc) > 0)
    .map(section => {
      const candidate = taken.get(section.id)
      const previous = before.get(section.id)
      return {
        section,
        name: shortName(names.get(section.id)!) || roles[section.role].name,
        role: roles[section.role].name,
        words: section.made ? 0 : docWords(section.doc),
        begins: docText(section.doc).replace(/\s+/g, ' ').trim().slice(0, 150),
        strikable: !section.made && !!previous && !previous.made && previous.part === parts.get(section.id),
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

/** The section that a proposal's words stand in: itself, or the one that it runs on in. */
export function hostOf(proposals: readonly Proposal[], at: number, decisions: Decisions): ProposedSection | undefined {
  let i = Math.min(at, proposals.length - 1)
  while (i > 0 && (!proposals[i]!.section || decisions.get(keyOf(proposals[i]!))?.runsOn)) i--
  const host = proposals[i]
  return host?.section && host
}

/** What a key decides of the proposal that is looked at; undefined where it decides nothing. */
export function decisionBy(key: string, proposal: Proposal, decision: Decision = {}): Decision | undefined {
  const { runsOn: _, ...standing } = decision
  const as = (role: Role): Decision => ({ ...standing, role, ...(proposal.section ? {} : { taken: true as const }) })
  switch (key) {
    case 's':
      if (!proposal.section) return { ...decision, taken: true }
      if (proposal.candidate) return {}
      return decision.runsOn ? standing : { ...decision, runsOn: 'heading' }
    case 'l':
      return !proposal.section || proposal.candidate ? {} : { ...decision, runsOn: 'line' }
    case 'm':
      return proposal.section && roles[proposal.section.role].made
        ? { ...decision, made: !proposal.section.made }
        : undefined
    case 'c':
      return as('chapter')
    case 'p':
      return as('part')
    case 'f':
      return as('preface')
    case 'b':
      return as('afterword')
    default:
      return undefined
  }
}

/** Sections that come, go, or are called or placed otherwise between two states of a book: what taking it over changes. */
export function changesSaid(was: Book, is: Book): string[] {
  const [old, fresh] = [new Map(was.sections.map(s => [s.id, s])), new Map(is.sections.map(s => [s.id, s]))]
  const count = (n: number, one: string, more: string): string[] => (n ? [`${n} ${n === 1 ? one : more}`] : [])
  const both = was.sections.flatMap(s => (fresh.has(s.id) ? [[s, fresh.get(s.id)!] as const] : []))
  return [
    ...count(is.sections.filter(s => !old.has(s.id)).length, 'new section', 'new sections'),
    ...count(was.sections.filter(s => !fresh.has(s.id)).length, 'runs on in another', 'run on in others'),
    ...count(both.filter(([a, b]) => a.title !== b.title).length, 'called otherwise', 'called otherwise'),
    ...count(
      both.filter(([a, b]) => a.role !== b.role || a.numbered !== b.numbered).length,
      'is something else',
      'are something else',
    ),
  ]
}
