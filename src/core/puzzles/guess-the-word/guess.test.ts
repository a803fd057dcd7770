import { expect, test } from '@jest/globals'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { prove } from './solve'
import type { GuessSheet } from './values'

const kind = puzzleKind('guess-the-word')!

test('as many rounds and lamps as said; words that are harder to guess cost more misses', async () => {
  const misses: number[] = []
  for (const band of ['gentle', 'middling', 'stubborn']) {
    const made = await makePuzzles(kind, { ...kind.plain, band, count: 5, lamps: 9 }, { seed: 2, count: 3 })
    for (const { puzzle } of made) {
      const { rounds, lamps } = puzzle as GuessSheet
      expect([rounds.length, lamps]).toEqual([5, 9])
    }
    misses.push(made.reduce((n, m) => n + (m.difficulty.steps['letter that is not'] ?? 0), 0))
  }
  expect(misses[0]!).toBeLessThan(misses[1]!)
  expect(misses[1]!).toBeLessThan(misses[2]!)
})

test('a blank too few, a letter that the strip lacks, a word twice: none can be played', () => {
  const sheet = (...rounds: GuessSheet['rounds']) => prove({ lamps: 8, rounds })
  expect(sheet({ word: 'rowing boat', letters: 'ROWINGBOAT' })).toEqual({ answers: 1, agrees: true })
  expect(sheet({ word: 'rowing boat', letters: 'ROWINGBOA' }).agrees).toBe(false)
  expect(sheet({ word: 'éclair', letters: 'ÉCLAIR' }).agrees).toBe(false)
  expect(sheet({ word: 'quay', letters: 'QUAY' }, { word: 'Quay', letters: 'QUAY' }).answers).toBe(0)
})
