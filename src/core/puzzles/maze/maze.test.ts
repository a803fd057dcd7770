import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { LayerBuilder, type Path } from '../../marks'
import { pathBox } from '../../marks/path'
import { bands } from '../difficulty'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { E, type Maze, N, opposite, S, sizes, W, ways } from './grid'
import { prove } from './solve'

const kind = puzzleKind('maze')!
const names = Object.keys(sizes) as (keyof typeof sizes)[]

/** Shortest way by layers, and how many there are of any length: a third opinion, from what the record says. */
function waysThrough({ rows, cols, open, start, end }: Maze): number {
  const by = new Map([
    [E, [0, 1]],
    [S, [1, 0]],
    [W, [0, -1]],
    [N, [-1, 0]],
  ])
  let found = 0
  const seen = new Set<number>()
  const go = (cell: number): void => {
    if (cell === end) return void found++
    seen.add(cell)
    for (const way of ways)
      if (open[cell]! & way) {
        const [dr, dc] = by.get(way)!
        const [r, c] = [Math.floor(cell / cols) + dr!, (cell % cols) + dc!]
        if (r >= 0 && r < rows && c >= 0 && c < cols && !seen.has(r * cols + c) && found < 2) go(r * cols + c)
      }
    seen.delete(cell)
  }
  go(start)
  return found
}

describe.each(names.flatMap(size => (['long', 'short'] as const).map(ends => [size, ends] as const)))(
  '%s, dead ends %s',
  (size, ends) => {
    test.each(bands)('%s: each has one way through, its own; no two are twins', async band => {
      const count = cases(6, 200)
      const made = await makePuzzles(kind, { size, ends, band }, { seed: 3, count })
      expect(new Set(made.map(m => m.twin)).size).toBe(count)
      for (const { puzzle, difficulty } of made) {
        const maze = puzzle as Maze
        expect(difficulty.band).toBe(band)
        expect(prove(maze)).toEqual({ answers: 1, agrees: true })
        expect(waysThrough(maze)).toBe(1)
        expect([maze.rows, maze.cols]).toEqual(sizes[size])
        expect(maze.start).toBeLessThan(maze.cols)
        expect(maze.end).toBeGreaterThanOrEqual((maze.rows - 1) * maze.cols)
      }
    })
  },
)

test('in a silhouette: all its cells and no others, in from above and out below', async () => {
  for (const { puzzle } of await makePuzzles(
    kind,
    { ...kind.plain, outline: 'turn' },
    { seed: 3, count: cases(8, 200) },
  )) {
    const maze = puzzle as Maze
    const { inside, open, cols, rows, start, end } = maze
    expect(prove(maze)).toEqual({ answers: 1, agrees: true })
    expect(waysThrough(maze)).toBe(1)
    expect(inside.some(i => !i)).toBe(true)
    inside.forEach((i, at) => expect(open[at] !== 0).toBe(i === 1))
    expect([inside[start], inside[end]]).toEqual([1, 1])
    expect(start < cols || !inside[start - cols]).toBe(true)
    expect(end >= (rows - 1) * cols || !inside[end + cols]).toBe(true)
  }
})

test('a wall more cuts the sheet in two, a wall less makes a ring: neither is let pass', async () => {
  const [made] = await makePuzzles(kind, { size: 'small', ends: 'short', band: 'easy' }, { seed: 9, count: 1 })
  const maze = made!.puzzle as Maze
  const step = (way: number): number => (way === E ? 1 : way === W ? -1 : way === S ? maze.cols : -maze.cols)
  fc.assert(
    fc.property(fc.nat(maze.rows * maze.cols - 1), fc.constantFrom(...ways), (cell, way) => {
      const next = cell + step(way)
      const sideways = way === E || way === W
      fc.pre(next >= 0 && next < maze.open.length)
      fc.pre(!sideways || Math.floor(next / maze.cols) === Math.floor(cell / maze.cols))
      const open = maze.open.slice()
      const was = open[cell]! & way
      open[cell]! ^= way
      open[next]! ^= opposite(way)
      const proof = prove({ ...maze, open })
      const onTheWay = maze.path.includes(cell) && maze.path.includes(next)
      expect(proof).toEqual({ answers: !was ? 2 : onTheWay ? 0 : 1, agrees: false })
    }),
  )
})

test('the record names every passage from both sides, and the way cell by cell', async () => {
  const work = await kind.work()
  const [made] = await makePuzzles(kind, kind.plain, { seed: 1, count: 1 })
  const record = work.record(made!.puzzle) as {
    cells: { row: number; col: number; open: string[] }[]
    path: { row: number; col: number }[]
    start: object
    end: object
  }
  const at = new Map(record.cells.map(c => [`${c.row},${c.col}`, c]))
  for (const c of record.cells) {
    if (c.open.includes('E')) expect(at.get(`${c.row},${c.col + 1}`)!.open).toContain('W')
    if (c.open.includes('S')) expect(at.get(`${c.row + 1},${c.col}`)!.open).toContain('N')
  }
  expect(record.path[0]).toEqual(record.start)
  expect(record.path.at(-1)).toEqual(record.end)
})

test('is drawn within its box at any size, the way through only in the answer', async () => {
  const work = await kind.work()
  const [made] = await makePuzzles(kind, kind.plain, { seed: 2, count: 1 })
  for (const width of [60, 300, 560])
    for (const answer of [false, true]) {
      const out = new LayerBuilder()
      const height = width / work.ratio(made!.puzzle, false)
      await work.draw({
        out,
        puzzle: made!.puzzle,
        answer,
        width,
        height,
        place: {} as never,
        styleOf: undefined as never,
      })
      const paths = out.build().items.map(i => (i as { path: Path }).path)
      expect(paths).toHaveLength(answer ? 2 : 1)
      for (const p of paths) {
        const [x0, y0, x1, y1] = pathBox(p)
        expect(Math.min(x0, y0)).toBeGreaterThanOrEqual(-0.01)
        expect(x1).toBeLessThanOrEqual(width + 0.01)
        expect(y1).toBeLessThanOrEqual(height + 0.01)
      }
    }
})
