import { type DocJson, type Line, linesOf } from '@/core/book'
import { type Doubt, everywhereKey, type PlacedSeen, placeKey, type Reading, type Seen, type Speller } from './doubt'
import { type ReadLine, readLine } from './readLine'
import { proofKinds } from './registry'
import { learntNames } from './rightWord'
import { BookTally, tallyOf } from './tally'

/** A section as it is read. */
export interface ReadSection {
  id: string
  title?: string
  doc: DocJson
}

/** What is asked of a book. */
export interface ProofAsk {
  /** BCP 47. */
  language: string
  /** Kinds that are switched on. */
  kinds: readonly string[]
  /** Words that are right: the book's own and the author's. */
  words: readonly string[]
  /** Names of doubts that are left, at their places or everywhere. */
  left: readonly string[]
}

/** What a book's reading gives. */
export interface Proof {
  /** In the book's order. */
  doubts: Doubt[]
  /** Names that the book was found to have. */
  learnt: string[]
}

/** Reads a book, and again what has changed of it. */
export interface Proofreader {
  /** The book's sections from now on; those that are the same objects as before are not read again. */
  take(sections: readonly ReadSection[]): void
  doubts(ask: ProofAsk, speller?: Speller): Proof
  /** How often a word stands in the book. */
  count(form: string): number
}

/** The line of a title. */
const TITLE = -1

interface LineRead {
  number: number
  line: ReadLine
  /** What each kind sees there, by the kind's id. */
  seen: Map<string, Seen[]>
}

interface SectionRead {
  of: ReadSection
  lines: LineRead[]
}

export function createProofreader(): Proofreader {
  let sections = new Map<string, SectionRead>()
  const book = new BookTally()
  let language = ''

  return {
    count: book.count,
    take(now) {
      const next = new Map<string, SectionRead>()
      for (const of of now) {
        const was = sections.get(of.id)
        if (was?.of.doc === of.doc && was.of.title === of.title) {
          next.set(of.id, was)
          continue
        }
        const read = readSection(of, was)
        next.set(of.id, read)
        book.put(of.id, tallyOf(read.lines.map(l => [l.number, l.line])))
      }
      for (const id of sections.keys()) if (!next.has(id)) book.put(id, undefined)
      book.order = now.map(s => s.id)
      sections = next
    },

    doubts(ask, speller) {
      if (ask.language !== language) for (const s of sections.values()) for (const l of s.lines) l.seen.clear()
      language = ask.language
      const own = ownWords(ask.words)
      const without: Reading = { language, ...(speller && { speller }), known: own }
      const learnt = speller && ask.kinds.includes('spelling') ? learntNames(book, without) : []
      const names = ownWords(learnt)
      const reading: Reading = { ...without, known: w => own(w) || names(w) }
      const left = new Set(ask.left)
      const doubts = proofKinds
        .filter(k => ask.kinds.includes(k.id))
        .flatMap(kind => {
          const seen = kind.look ? allSeen(kind.id, kind.look) : []
          // A name that was learnt is a word of the book; whether it is the right one, other kinds may still doubt.
          const raised = kind.judge ? kind.judge(seen, book, kind.id === 'spelling' ? reading : without) : seen
          return raised.map(r => asDoubt(kind.id, r))
        })
        .filter(d => !left.size || !(left.has(placeKey(d)) || left.has(everywhereKey(d) ?? '')))
      return { doubts: inOrder(doubts), learnt }
    },
  }

  function allSeen(kind: string, look: (line: ReadLine, language: string) => Seen[]): PlacedSeen[] {
    const out: PlacedSeen[] = []
    for (const [section, { lines }] of sections)
      for (const l of lines) {
        let seen = l.seen.get(kind)
        if (!seen) l.seen.set(kind, (seen = look(l.line, language)))
        for (const s of seen) out.push({ ...s, section, line: l.number })
      }
    return out
  }

  function asDoubt(kind: string, { section, line, from, to, says = '', remedies = [], about }: PlacedSeen): Doubt {
    const { lines } = sections.get(section)!
    const { of } = lines[line - lines[0]!.number]!.line
    const was = of.text.slice(from, to)
    const { block, row } = of
    return { kind, section, line, block, row, from, to, was, says, remedies, ...(about !== undefined && { about }) }
  }

  function inOrder(doubts: Doubt[]): Doubt[] {
    const at = new Map([...sections.keys()].map((id, i) => [id, i]))
    return doubts.sort((a, b) => at.get(a.section)! - at.get(b.section)! || a.line - b.line || a.from - b.from)
  }
}

/** Reads a section; lines that say what they said before are not read again. */
function readSection(of: ReadSection, was: SectionRead | undefined): SectionRead {
  const before = new Map<string, LineRead>()
  for (const l of was?.lines ?? []) before.set(l.line.of.text, l)
  const all = linesOf(of.doc).map((line, number) => ({ line, number }))
  const title: { line: Line; number: number } = {
    line: { kind: 'heading', block: '', row: 0, text: of.title ?? '' },
    number: TITLE,
  }
  const lines = (of.title ? [title, ...all] : all).map(({ line, number }): LineRead => {
    const there = before.get(line.text)
    // Only a line that is the same in all that kinds look at.
    const same =
      there &&
      there.line.of.kind === line.kind &&
      there.line.of.within === line.within &&
      JSON.stringify(there.line.of.foreign) === JSON.stringify(line.foreign)
    return same
      ? { number, line: { ...there.line, of: line }, seen: there.seen }
      : { number, line: readLine(line), seen: new Map() }
  })
  return { of, lines }
}

/** Whether a word is among some: as it stands, with its first letter as at a sentence's start, or in capitals. */
function ownWords(words: readonly string[]): (word: string) => boolean {
  const all = new Set(words.map(w => w.replaceAll('’', "'")))
  return word =>
    all.has(word) ||
    all.has(word.charAt(0).toLowerCase() + word.slice(1)) ||
    (word === word.toUpperCase() &&
      (all.has(word.toLowerCase()) || all.has(word.charAt(0) + word.slice(1).toLowerCase())))
}
