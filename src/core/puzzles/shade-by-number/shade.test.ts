import { expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { prove } from './solve'
import type { Shaded } from './values'

const kind = puzzleKind('shade-by-number')!
const made = async (params: object, count: number): Promise<Shaded[]> =>
  (await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 3, count })).map(m => m.puzzle as Shaded)

test.each([3, 5, 7])(
  '%i tones: all of them used, from paper to black in even steps, their numbers in no order',
  async tones => {
    const all = await made({ tones }, Math.max(4, cases(5, 200)))
    for (const { numbers, key } of all) {
      expect(new Set(numbers).size).toBe(tones)
      expect([...key].sort((a, b) => a - b)).toEqual(Array.from({ length: tones }, (_, i) => i / (tones - 1)))
    }
    expect(new Set(all.map(p => p.key.join())).size).toBeGreaterThan(1)
  },
)

test('a number without a tone, two tones alike, and a scatter are told', async () => {
  const [puzzle] = await made({}, 1)
  expect(prove(puzzle!)).toEqual({ answers: 1, agrees: true })
  const numbers = puzzle!.numbers.slice()
  numbers[7] = 9
  expect(prove({ ...puzzle!, numbers })).toEqual({ answers: 0, agrees: false })
  const key = [...puzzle!.key]
  key[0] = key[1]!
  expect(prove({ ...puzzle!, key }).agrees).toBe(false)
  const scattered = puzzle!.numbers.map((_n, at) => (at % 3 ? puzzle!.key.indexOf(0) : puzzle!.key.indexOf(1)) + 1)
  expect(prove({ ...puzzle!, numbers: scattered }).agrees).toBe(false)
})
