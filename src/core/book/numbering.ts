import type { Section } from './book'
import { countedInFigures, countedInWords, numberInWords } from './numberWords'
import { filled, type PrintedWords, printedWords } from './printedWords'
import { type Role, roles } from './roles'

/** What a section is called: its number among its like (if counted) and its title. */
export interface SectionLabel {
  number?: number
  /** "Chapter Four", "Part One", or undefined where it is not counted. */
  numberWords?: string
  /** "Chapter 4", where it is counted. */
  numberFigures?: string
  title: string
}

/** Labels for all sections in the book's language, by id. Chapters count through parts, unless a part has them count anew; parts count by themselves. */
export function labels(sections: readonly Section[], language: string): Map<string, SectionLabel> {
  const out = new Map<string, SectionLabel>()
  const words = printedWords(language)
  let chapters = 0
  let parts = 0
  for (const s of sections) {
    const facts = roles[s.role]
    if (s.role === 'part' && s.anew) chapters = 0
    if (facts.numbered && s.numbered) {
      const number = s.role === 'part' ? ++parts : ++chapters
      const what = s.role === 'part' ? 'part' : 'chapter'
      const numberWords = countedInWords(language, what, number)
      out.set(s.id, { number, numberWords, numberFigures: countedInFigures(language, what, number), title: s.title })
    } else out.set(s.id, { title: s.title || (s.made || s.part !== 'body' ? sectionWord(words, s.role) : '') })
  }
  return out
}

/** What a section of a role is called that has no title. */
export const sectionWord = (words: PrintedWords, role: Role): string =>
  words.sections[role] ?? filled(role === 'part' ? words.part : words.chapter, { n: '' }).trim()

/** How a section is named in contents and running heads: its title, or its number in words. */
export const shortName = (label: SectionLabel): string => label.title || label.numberWords || ''

/** 1994 -> "mcmxciv". For folios before the body. */
export function roman(n: number): string {
  const table: [number, string][] = [
    [1000, 'm'],
    [900, 'cm'],
    [500, 'd'],
    [400, 'cd'],
    [100, 'c'],
    [90, 'xc'],
    [50, 'l'],
    [40, 'xl'],
    [10, 'x'],
    [9, 'ix'],
    [5, 'v'],
    [4, 'iv'],
    [1, 'i'],
  ]
  let s = ''
  for (const [value, sign] of table)
    while (n >= value) {
      s += sign
      n -= value
    }
  return s
}

/** Reads "Four", "forty-two", "XIV", "7": the numeral of a heading; undefined where it is none. */
export function readNumeral(s: string): number | undefined {
  const t = s.trim().toLowerCase().replace(/[.:]$/, '')
  if (/^\d{1,3}$/.test(t)) return Number(t)
  if (/^m{0,3}(cm|cd|d?c{0,3})(xc|xl|l?x{0,3})(ix|iv|v?i{0,3})$/.test(t) && t) {
    let n = 0
    const v: Record<string, number> = { i: 1, v: 5, x: 10, l: 50, c: 100, d: 500, m: 1000 }
    for (let i = 0; i < t.length; i++) n += (v[t[i]!]! < (v[t[i + 1] ?? ''] ?? 0) ? -1 : 1) * v[t[i]!]!
    return n
  }
  const words = t.replace(/[\s-]+/g, '-').replace(/-and-/g, '-')
  return byWords.get(words)
}

const byWords = new Map<string, number>()
for (let n = 1; n <= 199; n++)
  byWords.set(
    numberInWords(n)
      .toLowerCase()
      .replace(/[\s-]+/g, '-')
      .replace(/-and-/g, '-'),
    n,
  )
