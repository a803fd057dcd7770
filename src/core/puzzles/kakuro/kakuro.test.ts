import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { reason } from './reason'
import { type Kakuro, runsOf, summed } from './sheet'
import { prove } from './solve'

const kind = puzzleKind('kakuro')!
const made = async (params: object, count: number): Promise<Kakuro[]> =>
  (await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 6, count })).map(m => m.puzzle as Kakuro)

/** A third opinion: digits tried cell by cell in the order of reading, sums added up when all stand. */
function answersByTrying({ runs, solution }: Kakuro): number {
  const open = [...new Set(runs.flatMap(run => run.cells))].sort((a, b) => a - b)
  const digits = solution.map(() => 0)
  let found = 0
  const tried = (i: number): void => {
    if (found > 1) return
    if (i === open.length) {
      const right = runs.every(run => run.cells.reduce((n, c) => n + digits[c]!, 0) === run.sum)
      if (right) found++
      return
    }
    for (let d = 1; d <= 9; d++) {
      const of = runs.filter(run => run.cells.includes(open[i]!))
      if (of.some(run => run.cells.some(c => digits[c] === d))) continue
      digits[open[i]!] = d
      if (of.every(run => run.cells.reduce((n, c) => n + digits[c]!, 0) <= run.sum)) tried(i + 1)
      digits[open[i]!] = 0
    }
  }
  tried(0)
  return found
}

/** Small sheets of any pattern, with digits that differ in their runs, and perhaps one sum that is wrong. */
const sheet = fc
  .record({
    open: fc.array(fc.boolean(), { minLength: 9, maxLength: 9 }),
    order: fc.shuffledSubarray([1, 2, 3, 4, 5, 6, 7, 8, 9], { minLength: 9 }),
    wrong: fc.option(fc.nat(5)),
  })
  .map(({ open, order, wrong }) => {
    const [rows, cols] = [4, 4]
    const cells = Uint8Array.from({ length: 16 }, (_, c) => {
      const [r, k] = [Math.floor(c / cols), c % cols]
      return r && k && open[(r - 1) * 3 + k - 1] ? 1 : 0
    })
    const solution = Array.from(cells, (o, c) => (o ? order[(Math.floor(c / cols) - 1) * 3 + (c % cols) - 1]! : 0))
    const runs = summed(runsOf(rows, cols, cells), solution)
    if (wrong !== null && runs[wrong]) runs[wrong] = { ...runs[wrong], sum: runs[wrong].sum + 1 }
    return { rows, cols, runs, solution }
  })
  .filter(({ runs }) => runs.length > 0)

test('trying all digits comes to the same, with one answer, more, or none', () => {
  fc.assert(
    fc.property(sheet, puzzle => {
      const answers = answersByTrying(puzzle)
      const proof = prove(puzzle)
      expect(proof.answers).toBe(answers)
      // Where a sum is wrong, the digits it was made of are no answer.
      const adds = puzzle.runs.every(run => run.cells.reduce((n, c) => n + puzzle.solution[c]!, 0) === run.sum)
      expect(proof.agrees).toBe(answers === 1 && adds)
    }),
    { numRuns: cases(60, 3000) },
  )
})

test('reasoning ends only where there is one answer', () => {
  fc.assert(
    fc.property(sheet, puzzle => {
      if (reason(puzzle.runs, 16, 'stubborn').difficulty) expect(prove(puzzle).answers).toBe(1)
    }),
    { numRuns: cases(300, 5000) },
  )
})

test.each([
  [6, 6],
  [8, 12],
  [12, 8],
])('%i by %i: runs of two to nine different digits that add up, alike when turned by half', async (rows, cols) => {
  for (const { runs, solution } of await made({ rows, cols, band: 'easy' }, cases(2, 30))) {
    for (const run of runs) {
      const digits = run.cells.map(c => solution[c]!)
      expect(digits.length).toBeGreaterThan(1)
      expect(new Set(digits).size).toBe(digits.length)
      expect(digits.reduce((a, b) => a + b, 0)).toBe(run.sum)
    }
    solution.forEach((d, c) => {
      const [r, k] = [Math.floor(c / cols), c % cols]
      if (r && k) expect(!d).toBe(!solution[(rows - r) * cols + cols - k])
    })
  }
})

test('a small sheet is never stubborn, and says so', async () => {
  await expect(made({ rows: 5, cols: 5, band: 'stubborn' }, 1)).rejects.toThrow('A sheet of 5 by 5 is never stubborn')
})
