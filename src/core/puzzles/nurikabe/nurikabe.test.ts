import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seeded } from '../../trade'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { reasoned } from './reason'
import { Sea } from './sea'
import { prove } from './solve'
import { chartOf, LARGEST, type Nurikabe } from './waters'

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
  // Every land has one number, and as many cells.
  return lands.every(land => {
    const own = islands.filter(({ cell }) => land.includes(cell))
    return own.length === 1 && own[0]!.size === land.length
  })
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
      if (puzzle.islands.length && reasoned(puzzle, 'stubborn').difficulty) expect(answersByTrying(puzzle)).toBe(1)
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

test('a sea keeps its rules, whichever cells rise and sink', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 8 }),
      fc.integer({ min: 5, max: 8 }),
      fc.nat(1000),
      fc.array(fc.tuple(fc.boolean(), fc.nat(63)), { maxLength: 40 }),
      (rows, cols, seed, changes) => {
        const sea = Sea.at(chartOf(rows, cols), seeded(seed))
        for (const [up, at] of sea ? changes : []) {
          const cell = at % (rows * cols)
          const [before, wet] = [sea!.cells.slice(), sea!.cells[cell]]
          if (up ? sea!.raise(cell) : sea!.flood(cell)) before[cell] = up ? 0 : 1
          expect(sea!.cells).toEqual(before)
          if (wet === (up ? 0 : 1)) expect(sea!.cells[cell]).toBe(wet)
          const lands = pieces(rows, cols, c => sea!.cells[c] === 0)
          expect(Math.max(...lands.map(l => l.length))).toBeLessThanOrEqual(LARGEST)
          expect(
            sea!
              .islands()
              .map(i => [...i].sort((a, b) => a - b))
              .sort(),
          ).toEqual(lands.map(l => [...l].sort((a, b) => a - b)).sort())
          const islands = lands.map(cells => ({ cell: cells[0]!, size: cells.length }))
          expect(holds({ rows, cols, islands }, c => sea!.cells[c] === 1)).toBe(true)
        }
      },
    ),
    { numRuns: cases(60, 1000) },
  )
})

test('where reasoning comes no further, the cells that it leaves open are named', () => {
  // One island of two cells in the middle: four ways to lie.
  const sea = Uint8Array.from([1, 1, 1, 1, 0, 0, 1, 1, 1])
  const { difficulty, open } = reasoned({ rows: 3, cols: 3, islands: [{ cell: 4, size: 2 }], sea }, 'easy')
  expect(difficulty).toBeUndefined()
  expect(open).toEqual([1, 3, 5, 7])
})

test('waters are no heap of lone cells: fewer than half of the islands are one cell large', async () => {
  const islands = (await made({ rows: 8, cols: 8, band: 'middling' }, cases(8, 40))).flatMap(p => p.islands)
  expect(islands.filter(i => i.size === 1).length * 2).toBeLessThan(islands.length)
})
