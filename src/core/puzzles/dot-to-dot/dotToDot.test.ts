import { expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { prove } from './solve'
import type { DotToDot } from './values'

const kind = puzzleKind('dot-to-dot')!
const made = async (band: string, count: number): Promise<DotToDot[]> =>
  (await makePuzzles(kind, { band }, { seed: 3, count })).map(m => m.puzzle as DotToDot)

test.each([
  ['gentle', 20, 40],
  ['middling', 71, 110],
  ['stubborn', 161, 300],
])('%s: %i to %i dots, whose numbers keep off each other', async (band, least, most) => {
  for (const { dots, labels, size } of await made(band, cases(4, 200))) {
    expect(dots.length).toBeGreaterThanOrEqual(least)
    expect(dots.length).toBeLessThanOrEqual(most)
    // A third opinion: every box of a number painted on fine paper, no spot twice.
    const painted = new Set<string>()
    const fine = size / 8
    labels.forEach(([x, y], i) => {
      const wide = String(i + 1).length * 0.6 * size
      for (let px = Math.ceil((x - wide / 2) / fine); px * fine < x + wide / 2; px++)
        for (let py = Math.ceil((y - size / 2) / fine); py * fine < y + size / 2; py++) {
          expect(painted.has(`${px},${py}`)).toBe(false)
          painted.add(`${px},${py}`)
        }
    })
  }
})

test('a number over another, a dot under one, and lines that cross are told', async () => {
  const [puzzle] = await made('easy', 1)
  expect(prove(puzzle!)).toEqual({ answers: 1, agrees: true })
  const labels = [...puzzle!.labels]
  labels[5] = labels[9]!
  expect(prove({ ...puzzle!, labels }).agrees).toBe(false)
  const far = [...puzzle!.labels]
  far[0] = puzzle!.dots[20]!
  expect(prove({ ...puzzle!, labels: far }).agrees).toBe(false)
  const dots = [...puzzle!.dots]
  ;[dots[3], dots[30]] = [dots[30]!, dots[3]!]
  expect(prove({ ...puzzle!, dots }).answers).toBe(2)
})
