import { strToU8 } from 'fflate'
import { hashOf, roles, type Section } from '@/core/book'

/** Something that is said of a section beside its title and its text. */
export interface SectionFact {
  id: string
  /** What it is, in a few words. */
  about: string
  /** The fields that say it. */
  keys: readonly (keyof Section)[]
  says: (s: Section) => string
}

/** In the order in which they are shown. */
export const sectionFacts: readonly SectionFact[] = [
  { id: 'role', about: 'what it is', keys: ['role', 'part'], says: s => roles[s.role].name },
  { id: 'numbered', about: 'its number', keys: ['numbered'], says: s => (s.numbered ? 'counted' : 'without a number') },
  {
    id: 'anew',
    about: 'how its chapters count',
    keys: ['anew'],
    says: s => (s.anew ? 'from one' : 'through the book'),
  },
  { id: 'listed', about: 'the contents', keys: ['unlisted'], says: s => (s.unlisted ? 'pass over it' : 'list it') },
  {
    id: 'printed',
    about: 'its page',
    keys: ['unprinted'],
    says: s => (s.unprinted ? 'in the ebook alone' : 'in print, too'),
  },
  {
    id: 'picture',
    about: 'the picture over its opening',
    keys: ['picture'],
    says: s => (s.picture ? s.picture.alt || 'a picture' : 'none'),
  },
]

/** What the fields say, as a text: the same text is the same fact. */
export const factOf = (fact: SectionFact, s: Section): string => JSON.stringify(fact.keys.map(k => s[k] ?? null))

/** Names a fact as it came back. */
export const factKey = (fact: SectionFact, theirs: Section): string =>
  `${theirs.id}/is/${fact.id}/${hashOf(strToU8(factOf(fact, theirs))).slice(0, 12)}`

/** A section with a fact as another has it. */
export function withFact(s: Section, fact: SectionFact, theirs: Section): Section {
  const next: Partial<Section> = { ...s }
  for (const k of fact.keys) {
    delete next[k]
    if (theirs[k] !== undefined) Object.assign(next, { [k]: theirs[k] })
  }
  return next as Section
}
