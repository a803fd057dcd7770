import { expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { prove } from './solve'
import type { MissingVowels } from './values'

const kind = puzzleKind('missing-vowels')!
const made = async (band: string, count: number): Promise<MissingVowels[]> =>
  (await makePuzzles(kind, { ...kind.plain, band }, { seed: 2, count })).map(m => m.puzzle as MissingVowels)

test.each(['gentle', 'easy', 'middling', 'hard', 'stubborn'])(
  '%s: what is left are the consonants, of one word of the list',
  async band => {
    for (const { items, among, theme } of await made(band, cases(4, 200))) {
      expect(theme === undefined).toBe(band === 'hard' || band === 'stubborn')
      for (const { letters, given } of items) {
        const left = letters.replace(/[AEIOU]/g, '')
        expect(given.replace(/[ ·]/g, '')).toBe(left)
        expect(among.filter(w => w.replace(/[AEIOU]/g, '') === left)).toEqual([letters])
        expect(given.includes('·')).toBe(band === 'gentle')
        if (band === 'stubborn') expect(given).not.toContain(' ')
        if (band === 'middling' || band === 'hard') expect(given.split(' ').every(g => g.length > 1)).toBe(true)
      }
    }
  },
)

test('consonants that two words of the list share have two answers', () => {
  const items = [{ word: 'kettle', letters: 'KETTLE', given: 'KT TL' }]
  expect(prove({ theme: 'x', items, among: ['KETTLE', 'LADLE'] })).toEqual({ answers: 1, agrees: true })
  expect(prove({ theme: 'x', items, among: ['KETTLE', 'KATTLE'] }).answers).toBe(2)
  expect(prove({ theme: 'x', items, among: ['LADLE'] }).answers).toBe(0)
})
