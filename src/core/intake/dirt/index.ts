import { type BlockJson, type Book, docText, eachInline, inlineText, quoteHabit, typedSigns } from '../../book'
import type { Dropped } from '../raw'
import { isFolio, typedFolios } from './folios'
import type { About, DirtKind } from './kind'
import { dirtKinds } from './registry'

export { typedFolios } from './folios'
export type { DirtKind } from './kind'
export { dirtKinds } from './registry'

/** Dirt of one kind in a book. */
export interface Dirt extends Dropped {
  id: string
  does: string
  /** Only done where it is asked for. */
  asked: boolean
}

/** Kinds that are cleaned where nobody says otherwise. */
export const usualKinds: ReadonlySet<string> = new Set(dirtKinds.filter(k => !k.asked).map(k => k.id))

const EXAMPLES = 5

/**
 * The book without the dirt of some kinds, and what there was of each; of a kind that stays, too, what there is. Sections that have
 * none are the very same. `only`: one section.
 */
export function tidied(book: Book, kinds: ReadonlySet<string>, only?: string): { book: Book; found: Dirt[] } {
  const about = aboutOf(book)
  const all = new Map<string, Dirt>()
  const sections = book.sections.map(s => {
    if (s.made || (only !== undefined && s.id !== only)) return s
    let { doc } = s
    for (const kind of dirtKinds) {
      const found = kind.tidy(doc, about)
      if (!found.count) continue
      count(all, kind, found)
      if (kinds.has(kind.id)) ({ doc } = found)
    }
    return doc === s.doc ? s : { ...s, doc }
  })
  const same = sections.every((s, i) => s === book.sections[i])
  return { book: same ? book : { ...book, sections }, found: [...all.values()] }
}

function count(all: Map<string, Dirt>, { id, what, does, asked }: DirtKind, found: ReturnType<DirtKind['tidy']>): void {
  const d = all.get(id) ?? { id, what, does, asked: !!asked, count: 0, places: [] }
  d.count += found.count
  d.places = [...new Set([...d.places, ...found.examples])].slice(0, EXAMPLES)
  if (found.letters) d.letters = (d.letters ?? 0) + found.letters
  all.set(id, d)
}

function aboutOf(book: Book): About {
  const written = book.sections.filter(s => !s.made)
  let words: Set<string> | undefined
  const isWord = (word: string): boolean => {
    words ??= new Set(
      written.flatMap(
        s =>
          docText(s.doc)
            .replace(/\u00ad/g, '')
            .toLowerCase()
            .match(/(?<![\p{L}\-‐])\p{L}{2,}(?![\p{L}\-‐])/gu) ?? [],
      ),
    )
    return words.has(word.toLowerCase())
  }
  return {
    language: book.data.language,
    isWord,
    folios: foliosOf(book),
    ornaments: ornamentsOf(book),
    mixedQuotes:
      written.some(s => typedSigns(quoteHabit, s.doc, book.data.language).count) &&
      written.some(s => printedQuotes.test(docText(s.doc))),
  }
}

const printedQuotes = /[“”„«»]/

/** Pixels of the highest ornament, and how often it stands at least. */
const ORNAMENT = { pixels: 260, times: 3 }

function ornamentsOf(book: Book): Set<string> {
  const times = new Map<string, number>()
  for (const s of book.sections)
    if (!s.made)
      for (const b of s.doc.content)
        if (b.type === 'image') times.set(b.attrs.asset, (times.get(b.attrs.asset) ?? 0) + 1)
  const small = book.assets.filter(a => a.height <= ORNAMENT.pixels && (times.get(a.id) ?? 0) >= ORNAMENT.times)
  return new Set(small.map(a => a.id))
}

function foliosOf(book: Book): Set<string> {
  const written = book.sections.filter(s => !s.made).flatMap(s => s.doc.content)
  // Without numbers that stand alone there is nothing to weigh.
  if (!written.some(isNumber)) return new Set()
  const lines = written.map(b => {
    let text = ''
    eachInline(b, content => (text += inlineText(content)))
    return { text: b.type === 'paragraph' ? text : '', words: text.split(/\s+/).filter(Boolean).length }
  })
  return new Set([...typedFolios(lines)].map(i => written[i]!.attrs.id))
}

const isNumber = (b: BlockJson): boolean =>
  b.type === 'paragraph' && b.content?.length === 1 && b.content[0]!.type === 'text' && isFolio(b.content[0]!.text)
