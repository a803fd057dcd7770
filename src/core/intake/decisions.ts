import { type Book, joinSections, type ParagraphJson, type Role, roles, type Section, setRole } from '../book'
import { type Candidate, sectionOfCandidate, takeCandidate } from './candidates'

/** What the author decides of a section that was proposed, or of a line that may begin one. */
export interface Decision {
  /** A line that was not taken for a section is one. */
  taken?: true
  /** It is no section: it runs on in the one before, its title a heading there, or a line like any other. */
  runsOn?: 'heading' | 'line'
  title?: string
  role?: Role
  numbered?: boolean
  /** The book makes the page by itself, or it stands as it was typed. */
  made?: boolean
}

/** By the section's id; of a line, that of the section which it would begin. */
export type Decisions = ReadonlyMap<string, Decision>

/** A heading's level becomes a part, a chapter, or a heading inside what it stands in. */
export type LevelUse = 'part' | 'chapter' | 'inside'

/**
 * The book as its reader and its author understand it together. What runs on does so in the section that stood before it as it was
 * read; only then do sections go to the parts of the book that their roles belong to. No word goes, whatever is decided.
 */
export function decided(book: Book, candidates: readonly Candidate[], decisions: Decisions): Book {
  const taken = candidates.filter(c => decisions.get(sectionOfCandidate(c))?.taken).reduce(takeCandidate, book)
  const named = { ...taken, sections: taken.sections.map(s => withOwn(s, decisions.get(s.id))) }
  const joined = [...named.sections].reverse().reduce((b, s) => runOn(b, s, decisions.get(s.id)?.runsOn), named)
  return joined.sections.reduce((b, { id }) => withRole(b, id, decisions.get(id)), joined)
}

function withOwn(s: Section, { title, made }: Decision = {}): Section {
  const own = made === undefined || !roles[s.role].made ? s : { ...s, made }
  return title === undefined || own.made ? own : { ...own, title }
}

function runOn(book: Book, { id }: Section, how: Decision['runsOn']): Book {
  if (how !== 'line') return how ? joinSections(book, id) : book
  const joined = joinSections({ ...book, sections: book.sections.map(s => (s.id === id ? asLine(s) : s)) }, id)
  // Where it could not be joined it stays what it was.
  return joined.sections.some(s => s.id === id) ? book : joined
}

/** A section whose title is its first line. */
function asLine({ subtitle, ...s }: Section): Section {
  const words = [s.title, subtitle].filter(Boolean).join(': ')
  if (!words) return s
  const line: ParagraphJson = {
    type: 'paragraph',
    attrs: { id: `${s.id}l`, align: null },
    content: [{ type: 'text', text: words }],
  }
  return { ...s, title: '', doc: { ...s.doc, content: [line, ...s.doc.content] } }
}

function withRole(book: Book, id: string, decision: Decision | undefined): Book {
  if (!decision) return book
  const { role, numbered } = decision
  const placed = role && book.sections.find(s => s.id === id)?.role !== role ? setRole(book, id, role) : book
  if (numbered === undefined) return placed
  return {
    ...placed,
    sections: placed.sections.map(s => (s.id === id ? { ...s, numbered: !!roles[s.role].numbered && numbered } : s)),
  }
}

/** What is decided of all that stands at one level of heading: sections of `sections`, by id, and lines of `candidates`. */
export function decideLevel(
  {
    sections,
    levels,
    candidates,
  }: { sections: readonly Section[]; levels: Readonly<Record<string, number>>; candidates: readonly Candidate[] },
  level: number,
  use: LevelUse,
  decisions: Decisions,
): Decisions {
  const next = new Map(decisions)
  const set = (id: string, { runsOn: _, ...rest }: Decision): void =>
    void next.set(id, use === 'inside' ? { ...rest, runsOn: 'heading' } : { ...rest, role: use })
  for (const s of sections) if (levels[s.id] === level && isMapped(s.role)) set(s.id, { ...next.get(s.id) })
  for (const c of candidates) {
    if (c.level !== level) continue
    const id = sectionOfCandidate(c)
    if (use === 'inside') next.delete(id)
    else set(id, { ...next.get(id), taken: true })
  }
  return next
}

/** Prologues and forewords are what they are at any level. */
export const isMapped = (role: Role): boolean => role === 'chapter' || role === 'part'
