import { diffArrays } from 'diff'
import { type Book, countWords, type Section } from '@/core/book'
import { type BlockChange, blocksBetween, changeOf } from './docs'
import { type Part, wordsBetween } from './words'

/** What became of a section. */
export interface SectionChanges {
  id: string
  fate: 'same' | 'changed' | 'new' | 'gone'
  /** It stands elsewhere among those that stayed. */
  moved?: boolean
  before?: Section
  after?: Section
  /** Its title, word by word. */
  title: readonly Part[]
  blocks: readonly BlockChange[]
}

/** How much differs between two states of a book. */
export interface Difference {
  /** Paragraphs and the like. */
  changed: number
  fresh: number
  gone: number
  moved: number
  /** Words that came and went. */
  wordsNew: number
  wordsGone: number
}

/** The sections of two states of a book in the order of the later one, those that have gone where they stood. */
export function sectionsBetween(before: Book, after: Book): SectionChanges[] {
  const [old, fresh] = [written(before), written(after)]
  const out: SectionChanges[] = []
  for (const run of diffArrays([...old.keys()], [...fresh.keys()]))
    for (const id of run.value) {
      if (run.removed && fresh.has(id)) continue
      const [was, is] = [old.get(id), fresh.get(id)]
      out.push({ ...sectionBetween(was, is), ...(run.added && was && is ? { moved: true } : {}) })
    }
  return withMoves(out)
}

const written = (book: Book): Map<string, Section> => new Map(book.sections.filter(s => !s.made).map(s => [s.id, s]))

function sectionBetween(before: Section | undefined, after: Section | undefined): SectionChanges {
  const blocks =
    before && after
      ? before.doc === after.doc
        ? after.doc.content.map(b => changeOf(b, b))
        : blocksBetween(before.doc, after.doc)
      : (before ?? after)!.doc.content.map(b => (before ? changeOf(b, undefined) : changeOf(undefined, b)))
  const title = wordsBetween(before?.title ?? '', after?.title ?? '')
  const same = blocks.every(b => b.fate === 'same' && !b.moved) && title.every(p => p.is === 'same')
  return {
    id: (after ?? before)!.id,
    fate: !before ? 'new' : !after ? 'gone' : same ? 'same' : 'changed',
    ...(before && { before }),
    ...(after && { after }),
    title,
    blocks,
  }
}

/** Blocks that went in one section and came in another have moved. */
function withMoves(sections: SectionChanges[]): SectionChanges[] {
  const gone = new Map(sections.flatMap(s => s.blocks.filter(b => b.fate === 'gone').map(b => [b.id, b] as const)))
  const came = new Set(sections.flatMap(s => s.blocks.filter(b => b.fate === 'new' && gone.has(b.id)).map(b => b.id)))
  if (!came.size) return sections
  return sections.map(s => ({
    ...s,
    blocks: s.blocks.flatMap(b => {
      if (b.fate === 'gone' && came.has(b.id)) return []
      return b.fate === 'new' && came.has(b.id) ? [{ ...changeOf(gone.get(b.id)!.before, b.after), moved: true }] : [b]
    }),
  }))
}

/** How much of it differs. */
export function differenceOf(sections: readonly SectionChanges[]): Difference {
  const d: Difference = { changed: 0, fresh: 0, gone: 0, moved: 0, wordsNew: 0, wordsGone: 0 }
  const count = (parts: readonly Part[]): void => {
    for (const p of parts) {
      if (p.is === 'new') d.wordsNew += countWords(p.text)
      if (p.is === 'gone') d.wordsGone += countWords(p.text)
    }
  }
  for (const s of sections) {
    count(s.title)
    for (const b of s.blocks) {
      count(b.parts)
      if (b.fate === 'new') d.fresh++
      else if (b.fate === 'gone') d.gone++
      else if (b.fate !== 'same') d.changed++
      if (b.moved) d.moved++
    }
  }
  return d
}
