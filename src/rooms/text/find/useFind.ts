'use client'
import { useDeferredValue, useMemo, useState } from 'react'
import {
  type BecomesBlock,
  blocksMadeIn,
  type Book,
  type Chosen,
  type Finder,
  finderOf,
  type GivenMark,
  type Hit,
  hitsIn,
  markedIn,
  replacedIn,
  type Role,
  type Search,
  type Section,
  sectionsBegunAt,
} from '@/core/book'
import type { SectionActs } from '../useSectionActs'

/** What was found in one section, in its order. */
export interface FoundIn {
  section: Section
  hits: readonly Hit[]
}

/** What found places become. */
export type Becomes = { words: string } | { mark: GivenMark } | { block: BecomesBlock } | { role: Role }

/** Which of the book's places is meant: its section, its line, and where it begins there. */
const placeOf = (section: string, line: number, from: number): string => JSON.stringify([section, line, from])

/** A search over the book, or over the open section, as it is typed; and what is done with what it finds. */
export interface Find {
  search: Search
  /** Where it looks. */
  scope: 'book' | 'section'
  found: readonly FoundIn[]
  count: number
  /** Why it cannot look for this. */
  trouble: string | undefined
  /** The place that is looked at, of all. */
  at: number
  look: (patch: Partial<Search>) => void
  within: (scope: Find['scope']) => void
  /** Another place is looked at. */
  step: (to: number) => void
  anyPassed: boolean
  /** Places that are passed over when the others are changed. */
  passed: (section: string, hit: Hit) => boolean
  pass: (section: string, hit: Hit) => void
  /** What is left of the places becomes something else, in one step; or one place alone. Resolves whether it stands. */
  become: (what: Becomes, only?: { section: string; hit: Hit }) => Promise<boolean>
}

export function useFind(book: Book, open: string | undefined, acts: SectionActs): Find {
  const [search, setSearch] = useState<Search>({ words: '' })
  const [scope, setScope] = useState<Find['scope']>('book')
  const [at, setAt] = useState(0)
  const [passed, setPassed] = useState<ReadonlySet<string>>(new Set())
  // The next key does not wait for what the last one finds.
  const asked = useDeferredValue(search)
  const text = useDeferredValue(book)
  const made = useMemo(() => finderOf(asked), [asked])
  const find = made && 'find' in made ? made.find : undefined
  // Sections that are as they were are not searched again.
  const known = useMemo(() => find && { find, sections: new WeakMap<Section, FoundIn>() }, [find])
  const found = useMemo(
    () => (known ? foundIn(text, known, scope === 'section' ? open : undefined) : []),
    [text, known, scope, open],
  )
  const count = found.reduce((n, f) => n + f.hits.length, 0)
  const anew = (): void => {
    setAt(0)
    setPassed(new Set())
  }
  const become: Find['become'] = (what, only) => {
    if (!find) return Promise.resolve(false)
    const meant =
      (section: string): Chosen =>
      (line, f) =>
        only
          ? only.section === section && only.hit.line === line && only.hit.from === f.from
          : !passed.has(placeOf(section, line, f.from))
    if ('role' in what) {
      const { role } = what
      return acts.operate(labelOf(what, asked.words), b => sectionsBegunAt(b, find, { role, chosen: meant }).book)
    }
    const wanted = new Set(only ? [only.section] : found.map(f => f.section.id))
    return acts.operate(labelOf(what, asked.words), b => ({
      ...b,
      sections: b.sections.map(s =>
        s.made || !wanted.has(s.id) ? s : changed(s, find, { what, chosen: meant(s.id) }),
      ),
    }))
  }
  return {
    search,
    scope,
    found,
    count,
    trouble: made && 'trouble' in made ? made.trouble : undefined,
    at: Math.min(at, Math.max(0, count - 1)),
    look: patch => {
      setSearch(s => ({ ...s, ...patch }))
      anew()
    },
    within: to => {
      setScope(to)
      anew()
    },
    step: to => setAt(count ? ((to % count) + count) % count : 0),
    anyPassed: passed.size > 0,
    passed: (section, h) => passed.has(placeOf(section, h.line, h.from)),
    pass: (section, h) => setPassed(p => toggled(p, placeOf(section, h.line, h.from))),
    become,
  }
}

function toggled(set: ReadonlySet<string>, key: string): ReadonlySet<string> {
  const next = new Set(set)
  if (!next.delete(key)) next.add(key)
  return next
}

function foundIn(
  book: Book,
  { find, sections }: { find: Finder; sections: WeakMap<Section, FoundIn> },
  only: string | undefined,
): FoundIn[] {
  return book.sections.flatMap(section => {
    if (section.made || (only !== undefined && section.id !== only)) return []
    let there = sections.get(section)
    if (!there) sections.set(section, (there = { section, hits: hitsIn(section.doc, find) }))
    return there.hits.length ? [there] : []
  })
}

function changed(
  section: Section,
  find: Finder,
  { what, chosen }: { what: Exclude<Becomes, { role: Role }>; chosen: Chosen },
): Section {
  const { doc } = section
  const made =
    'words' in what
      ? replacedIn(doc, find, { replacement: what.words, chosen })
      : 'mark' in what
        ? markedIn(doc, find, { mark: what.mark, chosen })
        : blocksMadeIn(doc, find, { as: what.block, chosen })
  return made.count ? { ...section, doc: made.doc } : section
}

const labelOf = (what: Becomes, words: string): string => {
  const short = words.length > 24 ? `${words.slice(0, 23)}…` : words
  if ('words' in what) return `Replace “${short}”`
  return `Mark “${short}”`
}
