import { dashesOf, dashPlaces, turnDashes } from './dashes'
import type { DocJson } from './doc'
import { foreignQuotePlaces, turnForeignQuotes } from './foreignQuotes'
import { quotesOf, turnQuotes } from './quotes'
import { signsToSpace, spacesSigns, withSpace } from './signSpaces'
import { docTurned, type DoubtfulPlace, type Turned, type TypedSigns, typedIn, units } from './turned'

/** Signs that a typewriter has, or another language, and that a language sets otherwise. */
export interface SignHabit {
  id: 'quotes' | 'dashes' | 'spaces' | 'foreign quotes'
  /** One of them, and several. */
  name: [one: string, several: string]
  /** So many of them, as a finding says it. */
  says: (count: number) => string
  /** What they become. */
  becomes: (language: string) => string
  /** Where they stand in a text: UTF-16 offsets. */
  places: (text: string, language: string) => number[]
  /** A text that has some, with them turned. */
  turn: (text: string, language: string) => Turned
}

/** Quotes as a typewriter has them. */
export const quoteHabit: SignHabit = {
  id: 'quotes',
  name: ['typed quote', 'typed quotes'],
  says: n => `${n} ${n === 1 ? 'quote is' : 'quotes are'} as typed, not as printed.`,
  becomes: language => {
    const { double, apart = '' } = quotesOf(language)
    return `${double[0]}${apart} ${apart}${double[1]}`
  },
  places: text => [...text.matchAll(/["']/g)].map(m => m.index),
  turn: turnQuotes,
}

/** Hyphens that were typed for want of a dash. */
export const dashHabit: SignHabit = {
  id: 'dashes',
  name: ['typed dash', 'typed dashes'],
  says: n => `${n} ${n === 1 ? 'dash is a hyphen' : 'dashes are hyphens'} as typed, not as printed.`,
  becomes: language => dashesOf(language).sign,
  places: (text, language) => (text.includes('-') ? dashPlaces(text, language).map(p => p.from) : []),
  turn: turnDashes,
}

const unspaced = (text: string): { from: number; to: number; right: string }[] =>
  [...text.matchAll(signsToSpace)].flatMap(m => {
    const right = withSpace(m[0])
    return right === undefined ? [] : [{ from: m.index, to: m.index + m[0].length, right }]
  })

/** Signs that the language parts from their words, and that were typed without, or with a space that breaks. */
export const spaceHabit: SignHabit = {
  id: 'spaces',
  name: ['sign without its space', 'signs without their spaces'],
  says: n => `${n} ${n === 1 ? 'sign lacks' : 'signs lack'} the space that the language sets before it.`,
  becomes: () => 'signs apart from their words',
  places: (text, language) => (spacesSigns(language) ? unspaced(text).map(u => u.from) : []),
  turn: text => {
    const becomes = units(text)
    for (const { from, to, right } of unspaced(text)) {
      becomes.fill('', from, to)
      becomes[from] = right
    }
    return { becomes, doubtful: [] }
  },
}

/** Quotations set as another language sets them. */
export const foreignQuoteHabit: SignHabit = {
  id: 'foreign quotes',
  name: ['quotation as another language sets it', 'quotations as another language sets them'],
  says: n => `${n} ${n === 1 ? 'quotation is' : 'quotations are'} set as another language sets them.`,
  becomes: quoteHabit.becomes,
  places: foreignQuotePlaces,
  turn: turnForeignQuotes,
}

/** Habits in the order in which they are turned: a dash tells a quote behind it that it opens. */
export const signHabits: readonly SignHabit[] = [dashHabit, quoteHabit, foreignQuoteHabit, spaceHabit]

const known = new WeakMap<DocJson, Map<string, TypedSigns>>()

/** Signs of a habit that a document has, and the block of the first. Remembered by the document's identity: a book is asked at each key, and most of its sections are the same. */
export function typedSigns(habit: SignHabit, doc: DocJson, language: string): TypedSigns {
  const key = `${habit.id} ${language}`
  const there = known.get(doc)?.get(key)
  if (there) return there
  const found = typedIn(doc, text => habit.places(text, language).length)
  known.set(doc, (known.get(doc) ?? new Map<string, TypedSigns>()).set(key, found))
  return found
}

/** The document with a habit's signs turned, formatted pieces of a text read together; the very same object where there are none. */
export function turnedSigns(
  habit: SignHabit,
  doc: DocJson,
  language: string,
): { doc: DocJson; turned: number; doubtful: DoubtfulPlace[]; letters: number } {
  const turned = typedSigns(habit, doc, language).count
  if (!turned) return { doc, turned, doubtful: [], letters: 0 }
  return {
    turned,
    ...docTurned(doc, text => (habit.places(text, language).length ? habit.turn(text, language) : undefined)),
  }
}
