import { expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { dictionary } from '../../words'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { prove } from './solve'
import type { WordLadder } from './values'

const kind = puzzleKind('word-ladder')!

/** A third opinion: all shortest ways between two words, each letter of each word changed for all others. */
function ways(first: string, last: string): string[][] {
  const words = new Set(dictionary().known.slice(0, 9000))
  let edge: string[][] = [[first]]
  const seen = new Set([first])
  while (edge.length) {
    const next = edge.flatMap(way =>
      Array.from(way.at(-1)!).flatMap((_s, i) =>
        Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ', sign => way.at(-1)!.slice(0, i) + sign + way.at(-1)!.slice(i + 1))
          .filter(w => words.has(w) && !seen.has(w))
          .map(w => [...way, w]),
      ),
    )
    const there = next.filter(way => way.at(-1) === last)
    if (there.length) return there
    for (const way of next) seen.add(way.at(-1)!)
    edge = next
  }
  return []
}

test.each([3, 4, 5])('words of %i letters: the ladder is the only shortest way', async letters => {
  for (const { puzzle } of await makePuzzles(kind, { ...kind.plain, letters }, { seed: 4, count: cases(3, 100) }))
    for (const ladder of (puzzle as WordLadder).ladders) expect(ways(ladder[0]!, ladder.at(-1)!)).toEqual([ladder])
})

test('a way with another beside it, a longer one and one that leads nowhere are told', () => {
  // COLD to WARM goes by CORD or by WORD; both count.
  expect(ways('COLD', 'WORD').length).toBeGreaterThan(0)
  const [short] = ways('CAT', 'DOG')
  expect(prove({ ladders: [short!] }).answers).toBe(Math.min(2, ways('CAT', 'DOG').length))
  expect(prove({ ladders: [['CAT', 'CAR', 'CAT', 'COT', 'DOT', 'DOG']] }).agrees).toBe(false)
  expect(prove({ ladders: [['CAT', 'ZZZ']] })).toEqual({ answers: 0, agrees: false })
})
