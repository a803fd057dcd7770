import {
  type Book,
  type Contributor,
  type Earlier,
  type Edition,
  picturesIn,
  type Section,
  type TitleData,
} from './book'
import { type DocJson, docText } from './doc'
import { addSection, newSection, removeSection } from './ops'
import type { Run } from './pagePlan'
import { usedRecordings } from './recordings'
import type { Role } from './roles'

/** What the next book takes of the sections of an earlier one: pages that its data makes, and what stands in book after book. */
const goesAlong = (s: Section): boolean => s.made || !!s.matter || s.role === 'about-author' || s.role === 'also-by'

/** Data that the next book has in common with its series; its title is a working one. */
function dataOf({ title, series, contributors, language, imprint, subjects }: TitleData): TitleData {
  const number = (series?.number ?? 1) + 1
  const name = series?.name ?? title
  return {
    title: `${name} ${number}`,
    series: { name, number },
    contributors: contributors.filter(c => c.role === 'aut'),
    language,
    imprint,
    subjects,
  }
}

/** An edition without what only the earlier book has: its number, what was fitted to its pages. */
const editionOf = ({ isbn: _i, coverPages: _p, exceptions: _x, ...e }: Edition): Edition => e

const byHand = (contributors: readonly Contributor[]): string[] =>
  contributors.filter(c => c.role !== 'aut').map(c => c.name)

/** A run with other puzzles and nothing that was changed by hand on single pages. */
const runOf = ({ hand: _h, ...run }: Run): Run => ({ ...run, seed: (Math.imul(run.seed, 31) + 17) >>> 0 })

/** A page that the data makes brings nothing that was typed for the earlier book. */
function bare({ omits: _o, evidence: _e, ...s }: Section): Section {
  const { id } = s.doc.content[0]!.attrs
  return s.made ? { ...s, doc: { type: 'doc', content: [{ type: 'paragraph', attrs: { id, align: null } }] } } : s
}

/** The next book of a series, begun from an earlier one: its style, cover, data and standing matter; its text is still to be written. */
export function nextBook(book: Book, id: string): Book {
  const { data, editions } = book
  let next: Book = { ...book, id, data: dataOf(data), editions: editions.map(editionOf) }
  delete next.uid
  delete next.words
  delete next.listings
  delete next.pace
  // Its names and words come again; what was left stood in the earlier text.
  if (book.proof?.words.length) next.proof = { words: book.proof.words, left: [] }
  else delete next.proof
  for (const s of book.sections) if (!goesAlong(s)) next = removeSection(next, s.id)
  if (next.plan) next.plan = { ...next.plan, runs: next.plan.runs.map(runOf) }
  next.sections = next.sections.map(bare)
  if (!next.plan) next = addSection(next, { ...newSection(next, 'chapter'), numbered: true })
  const shown = new Set(next.sections.flatMap(s => picturesIn(s).map(p => p.asset)))
  const named = JSON.stringify([next.cover, next.styles, next.editions, next.plan, next.data.imprint])
  const used = book.assets.filter(a => shown.has(a.id) || named.includes(a.id))
  // What was made of a drawing goes with it.
  const made = new Set(used.flatMap(a => a.cleaned?.map(c => c.id) ?? []))
  return {
    ...next,
    assets: book.assets.filter(a => used.includes(a) || made.has(a.id)),
    ...(book.recordings ? { recordings: usedRecordings(book.recordings, next.sections) } : {}),
    earlier: {
      title: data.title,
      isbns: editions.flatMap(e => (e.isbn ? [e.isbn] : [])),
      ...(data.year === undefined ? {} : { year: data.year }),
      names: byHand(data.contributors),
    },
  }
}

/** Something of the earlier book that stands in the next one. */
export interface Leftover {
  what: 'title' | 'ISBN' | 'year' | 'name'
  words: string
  /** A block of a section, or a field of the data, or of an edition. */
  at: { section: string; block: string } | { field: string }
}

/** Of a book, what is looked through. */
type LeftIn = Pick<Book, 'earlier' | 'data' | 'sections'> & { editions: readonly Pick<Edition, 'isbn'>[] }

/** Where an author speaks of earlier books on purpose. */
const SPEAKS_OF_OTHERS: ReadonlySet<Role> = new Set<Role>(['about-author', 'also-by'])

/** What is left of the book that this one was begun from: words of its text and data that name that book. None where it was begun from nothing, or all is settled. */
export function leftovers({ earlier, data, editions, sections }: LeftIn): Leftover[] {
  if (!earlier) return []
  const finds = [
    ...(earlier.title.length > 2 ? [{ what: 'title' as const, words: earlier.title }] : []),
    ...earlier.isbns.map(words => ({ what: 'ISBN' as const, words })),
    ...earlier.names.map(words => ({ what: 'name' as const, words })),
  ].map(f => ({ ...f, in: finder(f.what, f.words) }))
  const fields: [string, string | undefined][] = [
    ['title', data.title],
    ['subtitle', data.subtitle],
    ['description', data.description],
    ['rights', data.rights],
    ...data.subjects.map((s): [string, string] => ['subjects', s]),
  ]
  const years = earlier.year === undefined ? [] : [{ what: 'year' as const, words: String(earlier.year) }]
  return [
    ...fields.flatMap(([field, text]) =>
      finds
        .filter(f => !!text && f.in(text))
        // A series bears its first book's name, and its books bear the series'.
        .filter(f => !(field === 'title' && f.what === 'title' && f.words === data.series?.name))
        .map(({ what, words }): Leftover => ({ what, words, at: { field } })),
    ),
    ...years.filter(y => !!data.rights?.includes(y.words)).map((y): Leftover => ({ ...y, at: { field: 'rights' } })),
    ...years.filter(y => String(data.year) === y.words).map((y): Leftover => ({ ...y, at: { field: 'year' } })),
    ...editions
      .filter(e => e.isbn && earlier.isbns.includes(e.isbn))
      .map((e): Leftover => ({ what: 'ISBN', words: e.isbn!, at: { field: 'isbn' } })),
    ...sections
      .filter(s => !s.made && !SPEAKS_OF_OTHERS.has(s.role))
      .flatMap(s =>
        hitsIn(s.doc, earlier, finds).map(({ what, words, block }): Leftover => ({
          what,
          words,
          at: { section: s.id, block },
        })),
      ),
  ]
}

/** Something that is looked for in a text. */
interface Wanted extends Pick<Leftover, 'what' | 'words'> {
  in: (text: string) => boolean
}
type Hit = Pick<Leftover, 'what' | 'words'> & { block: string }

const read = new WeakMap<DocJson, { of: Earlier; hits: Hit[] }>()

/** The blocks of a document that name something. Remembered by the document's identity: a key touches one section. */
function hitsIn(doc: DocJson, of: Earlier, finds: readonly Wanted[]): Hit[] {
  const known = read.get(doc)
  if (known?.of === of) return known.hits
  const hits = doc.content.flatMap(b => {
    const text = docText({ type: 'doc', content: [b] })
    return finds.filter(f => f.in(text)).map(({ what, words }) => ({ what, words, block: b.attrs.id }))
  })
  read.set(doc, { of, hits })
  return hits
}

/** Whether a text names something: a number by its figures, words as they stand, however they are spaced and cased. */
function finder(what: Leftover['what'], words: string): (text: string) => boolean {
  if (what === 'ISBN') {
    const figures = words.replace(/[^0-9X]/gi, '')
    return text => text.replace(/[^0-9X]/gi, '').includes(figures)
  }
  const bare = (t: string): string =>
    ` ${t
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim()} `
  const wanted = bare(words)
  return text => bare(text).includes(wanted)
}
