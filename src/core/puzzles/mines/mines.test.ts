import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import type { Mines } from './field'
import { prove } from './solve'

const kind = puzzleKind('mines')!
const made = async (params: object, count: number): Promise<Mines[]> =>
  (await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 6, count })).map(m => m.puzzle as Mines)

/** A third opinion: every way to lay mines on the cells that show nothing, each counted around every number. */
function answersByTrying({ cols, clues }: Omit<Mines, 'mines'>): number {
  const hidden = [...clues.keys()].filter(c => clues[c]! < 0)
  let found = 0
  for (let set = 0; set < 2 ** hidden.length && found < 2; set++) {
    const mined = new Set(hidden.filter((_c, i) => set & (1 << i)))
    const right = clues.every((n, cell) => {
      if (n < 0) return true
      let around = 0
      for (const m of mined)
        if (Math.abs(Math.floor(m / cols) - Math.floor(cell / cols)) < 2 && Math.abs((m % cols) - (cell % cols)) < 2)
          around++
      return around === n
    })
    if (right) found++
  }
  return found
}

test('trying all ways to lay mines comes to the same, on fields of any shape, with one answer or not', () => {
  const field = fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 4 })).chain(([rows, cols]) =>
    fc.record({
      rows: fc.constant(rows),
      cols: fc.constant(cols),
      mined: fc.array(fc.boolean(), { minLength: rows * cols, maxLength: rows * cols }),
      shown: fc.array(fc.boolean(), { minLength: rows * cols, maxLength: rows * cols }),
      wrong: fc.integer({ min: 0, max: 40 }),
    }),
  )
  fc.assert(
    fc.property(field, ({ rows, cols, mined, shown, wrong }) => {
      const clues = Int8Array.from(mined, (m, cell) => {
        if (m || !shown[cell]) return -1
        const near = mined.filter(
          (n, o) =>
            n &&
            Math.abs(Math.floor(o / cols) - Math.floor(cell / cols)) < 2 &&
            Math.abs((o % cols) - (cell % cols)) < 2,
        )
        return near.length + (cell === wrong ? 1 : 0)
      })
      const answers = answersByTrying({ rows, cols, clues })
      const proof = prove({ rows, cols, clues, mines: Uint8Array.from(mined, m => (m ? 1 : 0)) })
      // With a number that is wrong, the mines as they lie are no answer, though others may be.
      const told = wrong >= rows * cols || clues[wrong]! < 0
      expect(proof).toEqual({ answers, agrees: answers === 1 && told })
    }),
    { numRuns: cases(300, 20_000) },
  )
})

test.each([
  [5, 24, 15],
  [24, 5, 15],
  [9, 16, 8],
  [16, 9, 30],
])('%i by %i, %i in a hundred mined: as many mines as said, found without a guess', async (rows, cols, share) => {
  for (const field of await made({ rows, cols, share }, cases(2, 30))) {
    expect(prove(field)).toEqual({ answers: 1, agrees: true })
    expect(field.mines.reduce((a, b) => a + b, 0)).toBe(Math.round((rows * cols * share) / 100))
    // One mine elsewhere is told from the answer.
    const moved = field.mines.slice()
    const [from, to] = [moved.indexOf(1), moved.findIndex((m, c) => !m && field.clues[c]! < 0)]
    if (to < 0) continue
    ;[moved[from], moved[to]] = [0, 1]
    expect(prove({ ...field, mines: moved })).toEqual({ answers: 1, agrees: false })
  }
})
