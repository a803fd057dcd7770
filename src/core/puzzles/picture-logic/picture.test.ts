import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { asked, type PictureLogic, stretches } from './picture'
import { reason } from './reason'
import { prove } from './solve'

const kind = puzzleKind('picture-logic')!

const picture = fc
  .tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 4 }))
  .chain(([rows, cols]) =>
    fc
      .array(fc.constantFrom(0, 1), { minLength: rows * cols, maxLength: rows * cols })
      .map(cells => asked(rows, cols, Uint8Array.from(cells))),
  )

/** A third opinion: every picture of the size, told anew and held against what is asked. */
function answersByTrying({ rows, cols, rowClues, colClues }: PictureLogic): number {
  let found = 0
  for (let set = 0; set < 2 ** (rows * cols) && found < 2; set++) {
    const at = (r: number, c: number): number => (set >> (r * cols + c)) & 1
    const row = (r: number): number[] => Array.from({ length: cols }, (_, c) => at(r, c))
    const col = (c: number): number[] => Array.from({ length: rows }, (_, r) => at(r, c))
    if (
      rowClues.every((clue, r) => stretches(row(r)).join() === clue.join()) &&
      colClues.every((clue, c) => stretches(col(c)).join() === clue.join())
    )
      found++
  }
  return found
}

test('trying every picture comes to the same, of any size and with one answer or not', () => {
  fc.assert(
    fc.property(picture, puzzle => {
      const answers = answersByTrying(puzzle)
      expect(prove(puzzle)).toEqual({ answers, agrees: answers === 1 })
    }),
    { numRuns: cases(200, 5000) },
  )
})

test('reasoning never finds what is not so: it ends with one answer, or not at all', () => {
  fc.assert(
    fc.property(picture, puzzle => {
      if (reason(puzzle, 'stubborn')) expect(prove(puzzle)).toEqual({ answers: 1, agrees: true })
    }),
    { numRuns: cases(300, 5000) },
  )
})

test('a clue that cannot be has no answer, and a picture that is not the one asked for does not agree', async () => {
  for (const { puzzle } of await makePuzzles(
    kind,
    { rows: 12, cols: 9, pictures: 'silhouettes', band: 'easy' },
    { seed: 2, count: 3 },
  )) {
    const made = puzzle as PictureLogic
    expect(prove({ ...made, rowClues: made.rowClues.map((c, i) => (i ? c : [made.cols + 1])) }).answers).toBe(0)
    const other = made.filled.slice()
    other[5]! ^= 1
    expect(prove({ ...made, filled: other })).toEqual({ answers: 1, agrees: false })
  }
})

test.each([
  [5, 25],
  [25, 5],
  [25, 25],
])('%i by %i: made and proven in time', async (rows, cols) => {
  for (const { puzzle } of await makePuzzles(kind, { rows, cols, band: 'hard' }, { seed: 2, count: cases(2, 50) }))
    expect(prove(puzzle as PictureLogic)).toEqual({ answers: 1, agrees: true })
})
