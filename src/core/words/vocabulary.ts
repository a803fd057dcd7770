import { docText, type Section } from '../book'
import { dictionary } from './dictionary'
import { plainLetters } from './letters'
import type { Word, WordList } from './wordList'

/** Most words of one list, the most telling first. */
const MOST = 200
/** Letters of a word that is worth a puzzle's line. */
const SHORTEST = 4
const LONGEST = 15

/**
 * The words that make a text its own: names of people and places, and words that are rare elsewhere and frequent here, each list by how
 * unusual its words are. A name is a word that begins with a capital within sentences and hardly ever without one.
 */
export function vocabulary(sections: readonly Section[]): WordList[] {
  const seen = new Map<string, { word: string; small: number; named: number; count: number }>()
  for (const section of sections) {
    if (section.made) continue
    for (const [before, word] of wordsOf(docText(section.doc))) {
      const key = plainLetters(word)
      if (key.length < SHORTEST || key.length > LONGEST) continue
      const entry = seen.get(key) ?? { word: word.toLowerCase(), small: 0, named: 0, count: 0 }
      seen.set(key, entry)
      entry.count++
      if (word[0] === word[0]!.toLowerCase()) entry.small++
      // At the head of a sentence every word has its capital.
      else if (/[\p{L}\p{N},;]\s+$/u.test(before)) {
        entry.named++
        entry.word = word
      }
    }
  }
  const { rank, known, others } = dictionary()
  const frequent = new Set(others)
  const entries = [...seen].map(([key, e]) => ({
    ...e,
    key,
    name: e.named > 0 && e.small * 5 < e.named,
    place: rank.get(key),
  }))
  // A name counts by how often it comes; a word by that against how common it is everywhere.
  const names = entries.filter(e => e.name).sort((a, b) => b.named - a.named || (a.word < b.word ? -1 : 1))
  const own = entries
    .filter(e => !e.name && e.small > 0 && !frequent.has(e.key))
    .map(e => ({ ...e, telling: Math.log2(1 + e.count) * Math.log2(2 + (e.place ?? known.length)) }))
    .filter(e => e.place === undefined || e.place > 3000)
    .sort((a, b) => b.telling - a.telling || (a.word < b.word ? -1 : 1))
  const list = (name: string, of: { word: string }[]): WordList => ({
    name,
    words: of.slice(0, MOST).map(({ word }): Word => ({ word })),
  })
  return [list('Names', names), list('Words of this book', own)].filter(l => l.words.length)
}

/** Words of a text, each with what stands before it. */
function* wordsOf(text: string): Generator<[before: string, word: string]> {
  for (const m of text.matchAll(/[\p{L}\p{M}]+(?:[’'][\p{L}\p{M}]+)*/gu))
    yield [text.slice(Math.max(0, m.index - 3), m.index), m[0].replace(/[’']s$/u, '')]
}
