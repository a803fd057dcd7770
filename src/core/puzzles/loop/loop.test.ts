import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { latticeOf, type Loop } from './lattice'
import { reason } from './reason'
import { prove } from './solve'

const kind = puzzleKind('loop')!
const made = async (params: object, count: number): Promise<Loop[]> =>
  (await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 6, count })).map(m => m.puzzle as Loop)

/** Every closed line of a size, drawn on from its first side: sets of sides as bits. */
function allLoops(rows: number, cols: number): number[] {
  const { sides, pointsOfSide, sidesOfPoint } = latticeOf(rows, cols)
  const found = new Set<number>()
  const drawOn = (set: number, at: number, home: number, seen: Set<number>): void => {
    for (const side of sidesOfPoint[at]!) {
      if (set & (1 << side)) continue
      const to = pointsOfSide[side]!.find(p => p !== at)!
      if (to === home) found.add(set | (1 << side))
      else if (!seen.has(to)) drawOn(set | (1 << side), to, home, new Set([...seen, to]))
    }
  }
  for (let s = 0; s < sides; s++) drawOn(1 << s, pointsOfSide[s]![1], pointsOfSide[s]![0], new Set(pointsOfSide[s]))
  return [...found]
}

const loops = new Map(
  [
    [1, 1],
    [1, 3],
    [2, 2],
    [3, 2],
    [3, 3],
  ].map(([rows, cols]) => [`${rows}x${cols}`, { rows: rows!, cols: cols!, all: allLoops(rows!, cols!) }]),
)
const said = (rows: number, cols: number, set: number): number[] =>
  latticeOf(rows, cols).sidesOfCell.map(own => own.filter(s => set & (1 << s)).length)

const sheet = fc.constantFrom(...loops.keys()).chain(key => {
  const { rows, cols, all } = loops.get(key)!
  return fc
    .tuple(fc.nat(all.length - 1), fc.array(fc.boolean(), { minLength: rows * cols, maxLength: rows * cols }))
    .map(([which, shown]) => {
      const clues = Int8Array.from(said(rows, cols, all[which]!), (n, c) => (shown[c] ? n : -1))
      const line = Uint8Array.from({ length: latticeOf(rows, cols).sides }, (_, s) => (all[which]! >> s) & 1)
      const answers = all.filter(set => said(rows, cols, set).every((n, c) => clues[c]! < 0 || clues[c] === n)).length
      return { puzzle: { rows, cols, clues, line }, answers: Math.min(2, answers) }
    })
})

test('there is one loop of one cell, and thirteen of two by two: as many as drawing them by hand gives', () => {
  expect(loops.get('1x1')!.all).toHaveLength(1)
  expect(loops.get('2x2')!.all).toHaveLength(13)
})

test('drawing every closed line comes to the same, with any numbers said', () => {
  fc.assert(
    fc.property(sheet, ({ puzzle, answers }) => {
      expect(prove(puzzle)).toEqual({ answers, agrees: answers === 1 })
    }),
    { numRuns: cases(300, 5000) },
  )
})

test('reasoning ends only where there is one answer', () => {
  fc.assert(
    fc.property(sheet, ({ puzzle, answers }) => {
      if (reason(puzzle.rows, puzzle.cols, puzzle.clues, 'stubborn')) expect(answers).toBe(1)
    }),
    { numRuns: cases(300, 5000) },
  )
})

test('a line with a side less, or two rings, is no loop', async () => {
  for (const loop of await made({ rows: 6, cols: 8, band: 'gentle' }, 3)) {
    const open = loop.line.slice()
    open[open.indexOf(1)] = 0
    expect(prove({ ...loop, line: open }).agrees).toBe(false)
  }
  // Two cells at opposite corners, each with a ring of its own, say what one ring cannot.
  const { sidesOfCell, sides } = latticeOf(3, 3)
  const rings = new Uint8Array(sides)
  for (const s of [...sidesOfCell[0]!, ...sidesOfCell[8]!]) rings[s] = 1
  const clues = Int8Array.from(sidesOfCell, own => own.reduce((n, s) => n + rings[s]!, 0))
  expect(prove({ rows: 3, cols: 3, clues, line: rings })).toEqual({ answers: 0, agrees: false })
})

test.each([
  [5, 14],
  [14, 5],
  [12, 12],
])('%i by %i: the record walks one closed line, side by side, that says its numbers', async (rows, cols) => {
  const work = await kind.work()
  for (const loop of await made({ rows, cols, band: 'easy' }, cases(1, 20))) {
    expect(prove(loop)).toEqual({ answers: 1, agrees: true })
    const record = work.record(loop) as { clues: (number | '?')[][]; loop: [number, number][] }
    const taken = new Set(
      record.loop.map((p, i) =>
        [p, record.loop[(i + 1) % record.loop.length]!]
          .map(q => q.join())
          .sort()
          .join(' '),
      ),
    )
    expect(taken.size).toBe(record.loop.length)
    for (const [i, [r, c]] of record.loop.entries()) {
      const [r2, c2] = record.loop[(i + 1) % record.loop.length]!
      expect(Math.abs(r - r2) + Math.abs(c - c2)).toBe(1)
    }
    const has = (a: string, b: string): number => (taken.has([a, b].sort().join(' ')) ? 1 : 0)
    record.clues.forEach((row, r) =>
      row.forEach((clue, c) => {
        if (clue === '?') return
        const [nw, ne, sw, se] = [`${r},${c}`, `${r},${c + 1}`, `${r + 1},${c}`, `${r + 1},${c + 1}`]
        expect(has(nw, ne) + has(ne, se) + has(sw, se) + has(nw, sw)).toBe(clue)
      }),
    )
  }
})
