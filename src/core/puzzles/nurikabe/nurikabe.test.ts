import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { reason } from './reason'
import { prove } from './solve'
import type { Nurikabe } from './waters'

const kind = puzzleKind('nurikabe')!
const made = async (params: object, count: number): Promise<Nurikabe[]> =>
  (await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 6, count })).map(m => m.puzzle as Nurikabe)

/** Cells of one kind that hang together, by the rule as it is said: side by side, never by a corner. */
function pieces(rows: number, cols: number, of: (cell: number) => boolean): number[][] {
  const out: number[][] = []
  const seen = new Set<number>()
  for (let first = 0; first < rows * cols; first++) {
    if (!of(first) || seen.has(first)) continue
    const piece = [first]
    seen.add(first)
    for (const at of piece)
      for (let to = 0; to < rows * cols; to++) {
        const apart = Math.abs(Math.floor(to / cols) - Math.floor(at / cols)) + Math.abs((to % cols) - (at % cols))
        if (apart === 1 && of(to) && !seen.has(to)) {
          seen.add(to)
          piece.push(to)
        }
      }
    out.push(piece)
  }
  return out
}

/** Whether a sea is an answer: every rule, one after the other. */
function holds({ rows, cols, islands }: Omit<Nurikabe, 'sea'>, sea: (cell: number) => boolean): boolean {
  const lands = pieces(rows, cols, c => !sea(c))
  if (lands.length !== islands.length || pieces(rows, cols, sea).length > 1) return false
  for (let r = 0; r < rows - 1; r++)
    for (let c = 0; c < cols - 1; c++) if ([0, 1, cols, cols + 1].every(step => sea(r * cols + c + step))) return false
  return islands.every(({ cell, size }) => lands.find(l => l.includes(cell))?.length === size)
}

/** A third opinion: every sea there can be, as large as the islands leave it. */
function answersByTrying(puzzle: Nurikabe): number {
  const wet = puzzle.rows * puzzle.cols - puzzle.islands.reduce((n, i) => n + i.size, 0)
  let found = 0
  for (let set = 0; set < 2 ** (puzzle.rows * puzzle.cols) && found < 2; set++) {
    let count = 0
    for (let rest = set; rest; rest &= rest - 1) count++
    if (count === wet && holds(puzzle, c => ((set >> c) & 1) === 1)) found++
  }
  return found
}

/** Small waters, with islands that were there, one of them perhaps of another size. */
const waters = fc
  .tuple(fc.integer({ min: 2, max: 3 }), fc.integer({ min: 2, max: 4 }))
  .chain(([rows, cols]) =>
    fc.record({
      rows: fc.constant(rows),
      cols: fc.constant(cols),
      wet: fc.array(fc.boolean(), { minLength: rows * cols, maxLength: rows * cols }),
      pick: fc.nat(100),
      wrong: fc.option(fc.nat(3), { freq: 4 }),
    }),
  )
  .map(({ rows, cols, wet, pick, wrong }): Nurikabe => {
    const islands = pieces(rows, cols, c => !wet[c]).map((cells, i) => ({
      cell: cells[pick % cells.length]!,
      size: Math.min(7, cells.length + (i === wrong ? 1 : 0)),
    }))
    return { rows, cols, islands, sea: Uint8Array.from(wet, w => (w ? 1 : 0)) }
  })

test('trying every sea comes to the same, with one answer, more, or none', () => {
  fc.assert(
    fc.property(waters, puzzle => {
      const answers = answersByTrying(puzzle)
      const proof = prove(puzzle)
      expect(proof.answers).toBe(answers)
      expect(proof.agrees).toBe(answers === 1 && holds(puzzle, c => puzzle.sea[c] === 1))
    }),
    { numRuns: cases(150, 5000) },
  )
})

test('reasoning ends only where there is one answer', () => {
  fc.assert(
    fc.property(waters, puzzle => {
      if (puzzle.islands.length && reason(puzzle, 'stubborn')) expect(answersByTrying(puzzle)).toBe(1)
    }),
    { numRuns: cases(200, 5000) },
  )
})

test.each([
  [6, 6],
  [7, 10],
  [10, 7],
])('%i by %i: every rule holds, and one cell more of the sea breaks one', async (rows, cols) => {
  for (const puzzle of await made({ rows, cols, band: 'easy' }, cases(2, 30))) {
    expect(holds(puzzle, c => puzzle.sea[c] === 1)).toBe(true)
    const more = puzzle.sea.slice()
    more[puzzle.sea.indexOf(0)] = 1
    expect(prove({ ...puzzle, sea: more })).toEqual({ answers: 1, agrees: false })
  }
})
