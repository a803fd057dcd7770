import { expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { dictionary } from '../../words'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { prove } from './solve'
import type { Scramble } from './values'

const kind = puzzleKind('word-scramble')!
const sorted = (w: string): string => Array.from(w).sort().join('')

test('each has its word’s letters in another order, and no other known word has them', async () => {
  const known = new Map<string, number>()
  for (const w of dictionary().known) known.set(sorted(w), (known.get(sorted(w)) ?? 0) + 1)
  for (const { puzzle } of await makePuzzles(kind, kind.plain, { seed: 2, count: cases(10, 500) }))
    for (const { letters, mixed } of (puzzle as Scramble).items) {
      expect(sorted(mixed)).toBe(sorted(letters))
      expect(mixed).not.toBe(letters)
      expect(known.get(sorted(mixed)) ?? 1).toBe(1)
    }
})

test('letters that make two words have two answers, letters that make none have none', () => {
  const one = (letters: string, mixed: string) => prove({ items: [{ word: letters, letters, mixed }] })
  expect(one('LISTEN', 'TNEILS').answers).toBe(2)
  expect(one('GARDEN', 'NEDRAG').answers).toBe(
    [...dictionary().known].filter(w => sorted(w) === sorted('GARDEN')).length > 1 ? 2 : 1,
  )
  expect(one('QUAY', 'QUAX')).toEqual({ answers: 0, agrees: false })
})
