import { describe, expect, test } from '@jest/globals'
import { countedInFigures, countedInWords, labels, MOST_SAID, numberWords, printedLanguages } from '.'
import { bookOf } from '../../../tests/support/core'

/** From grammars, by hand: what is easily said wrong. */
const known: [string, 'chapter' | 'part', number, string][] = [
  ['en-GB', 'chapter', 42, 'Chapter Forty-Two'],
  ['en', 'chapter', 101, 'Chapter One Hundred and One'],
  ['de', 'chapter', 1, 'Kapitel eins'],
  ['de-AT', 'chapter', 21, 'Kapitel einundzwanzig'],
  ['de', 'part', 17, 'Teil siebzehn'],
  ['fr', 'chapter', 1, 'Chapitre premier'],
  ['fr', 'chapter', 21, 'Chapitre vingt et un'],
  ['fr', 'chapter', 71, 'Chapitre soixante et onze'],
  ['fr', 'chapter', 80, 'Chapitre quatre-vingts'],
  ['fr', 'chapter', 81, 'Chapitre quatre-vingt-un'],
  ['fr', 'chapter', 99, 'Chapitre quatre-vingt-dix-neuf'],
  ['fr', 'part', 1, 'Première partie'],
  ['fr', 'part', 4, 'Quatrième partie'],
  ['fr', 'part', 5, 'Cinquième partie'],
  ['fr', 'part', 9, 'Neuvième partie'],
  ['fr', 'part', 21, 'Vingt et unième partie'],
  ['fr', 'part', 80, 'Quatre-vingtième partie'],
  ['es', 'chapter', 22, 'Capítulo veintidós'],
  ['es', 'chapter', 31, 'Capítulo treinta y uno'],
  ['es', 'part', 3, 'Tercera parte'],
  ['es', 'part', 11, 'Parte once'],
  ['it', 'chapter', 21, 'Capitolo ventuno'],
  ['it', 'chapter', 28, 'Capitolo ventotto'],
  ['it', 'chapter', 33, 'Capitolo trentatré'],
  ['it', 'part', 2, 'Parte seconda'],
  ['pt', 'chapter', 16, 'Capítulo dezesseis'],
  ['pt-PT', 'chapter', 16, 'Capítulo dezasseis'],
  ['pt-PT', 'chapter', 23, 'Capítulo vinte e três'],
  ['nl', 'chapter', 22, 'Hoofdstuk tweeëntwintig'],
  ['nl', 'chapter', 28, 'Hoofdstuk achtentwintig'],
  ['sv', 'chapter', 21, 'Kapitel tjugoett'],
  ['da', 'chapter', 1, 'Kapitel et'],
  ['da', 'chapter', 51, 'Kapitel enoghalvtreds'],
  ['nb', 'chapter', 12, 'Kapittel tolv'],
  ['pl', 'chapter', 2, 'Rozdział drugi'],
  ['pl', 'part', 23, 'Część dwudziesta trzecia'],
  ['cs', 'chapter', 14, 'Kapitola čtrnáctá'],
  ['cs', 'part', 1, 'Část první'],
  ['fi', 'chapter', 1, 'Ensimmäinen luku'],
  ['fi', 'chapter', 12, 'Kahdestoista luku'],
  ['fi', 'part', 22, 'Kahdeskymmeneskahdes osa'],
  ['el', 'chapter', 13, 'Κεφάλαιο δέκατο τρίτο'],
  ['el', 'part', 20, 'Μέρος εικοστό'],
  ['ru', 'chapter', 40, 'Глава сороковая'],
  ['ru', 'part', 44, 'Часть сорок четвёртая'],
]

describe('numbers in words', () => {
  test('are said as grammars have them', () => {
    expect(known.map(([l, what, n]) => countedInWords(l, what, n))).toEqual(known.map(k => k[3]))
  })
  test('no two numbers of a language are said alike, and none lacks a word', () => {
    for (const language of [...printedLanguages, 'pt-PT'])
      for (const what of ['chapter', 'part'] as const) {
        const all = Array.from({ length: MOST_SAID }, (_, i) => numberWords(language)![what](i + 1))
        for (const said of all)
          for (const s of said) expect([language, s]).toEqual([language, expect.not.stringMatching(/undefined|\d/)])
        expect([language, new Set(all.map(said => said[0])).size]).toEqual([language, MOST_SAID])
        // A way of reading says one number only.
        const numbers = new Map<string, Set<number>>()
        all.forEach((said, i) => said.forEach(s => numbers.set(s, (numbers.get(s) ?? new Set()).add(i))))
        expect([language, [...numbers].filter(([, n]) => n.size > 1)]).toEqual([language, []])
      }
  })
  test('beyond what is said, and in other languages, a heading still counts', () => {
    expect(countedInWords('de', 'chapter', 100)).toBe('Kapitel 100')
    expect(countedInFigures('fi', 'chapter', 4)).toBe('4. luku')
    expect(countedInWords('hu', 'chapter', 4)).toBe('Chapter Four')
  })
  test('a book has both of its chapters', () => {
    const { sections } = bookOf([['x'], ['y']])
    expect([...labels(sections, 'it').values()].filter(l => l.number)).toEqual([
      { number: 1, numberWords: 'Capitolo uno', numberFigures: 'Capitolo 1', title: 'Title 1' },
      { number: 2, numberWords: 'Capitolo due', numberFigures: 'Capitolo 2', title: 'Title 2' },
    ])
  })
})
