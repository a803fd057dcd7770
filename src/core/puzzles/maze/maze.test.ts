import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { LayerBuilder, type Path } from '../../marks'
import { pathBox } from '../../marks/path'
import { bands } from '../difficulty'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { circleGround } from './circle'
import { gridGround } from './grid'
import { doorPlaces, MIDDLE } from './ground'
import { twinOf } from './make'
import { type Maze, sizes } from './maze'
import { prove } from './solve'

const kind = puzzleKind('maze')!
const names = Object.keys(sizes) as (keyof typeof sizes)[]

type Place = { row: number; col: number } | { ring: number; sector: number }
interface Recorded {
  shape: string
  sectors?: number[]
  cells: (Place & { open: string[] })[]
  start: Place
  end: Place
  path: Place[]
}
const keyOf = (at: Place): string => ('row' in at ? `${at.row},${at.col}` : `${at.ring},${at.sector}`)

/** The cells that those which the record names E and S of a cell lead to. */
function onward(cell: Recorded['cells'][number], sectors: number[] | undefined): string[] {
  const to = (way: string): string => {
    if ('row' in cell) return way === 'E' ? `${cell.row},${cell.col + 1}` : `${cell.row + 1},${cell.col}`
    const n = sectors![cell.ring]!
    if (way === 'E') return `${cell.ring},${(cell.sector + 1) % n}`
    return `${cell.ring - 1},${Math.floor((cell.sector * sectors![cell.ring - 1]!) / n)}`
  }
  return cell.open.filter(way => way === 'E' || way === 'S').map(to)
}

/** Each cell's passages by what a record says, and nothing else of ours. Throws where one is said from one side only. */
function passagesOf({ cells, sectors }: Recorded): Map<string, string[]> {
  const all = new Map(cells.map(c => [keyOf(c), [] as string[]]))
  const from = new Map<string, string[]>()
  for (const cell of cells)
    for (const next of onward(cell, sectors)) {
      all.get(keyOf(cell))!.push(next)
      all.get(next)!.push(keyOf(cell))
      from.set(next, [...(from.get(next) ?? []), keyOf(cell)])
    }
  for (const cell of cells) {
    const back = new Set(cell.open.filter(way => way === 'W' || way === 'N'))
    if (from.has(keyOf(cell)) !== back.size > 0) throw new Error(`${keyOf(cell)} is led into from one side only`)
  }
  return all
}

/** Ways from one cell to another without a cell twice, two at most: a third opinion. */
function waysThrough(record: Recorded): number {
  const all = passagesOf(record)
  const end = keyOf(record.end)
  const seen = new Set<string>()
  let found = 0
  const go = (cell: string): void => {
    if (cell === end) return void found++
    seen.add(cell)
    for (const next of all.get(cell)!) if (!seen.has(next) && found < 2) go(next)
    seen.delete(cell)
  }
  go(keyOf(record.start))
  return found
}

interface Told {
  maze: Maze
  record: Recorded
  twin: string
  band: string
}

const made = async (values: object, count: number, seed = 3): Promise<Told[]> => {
  const work = await kind.work()
  const all = await makePuzzles(kind, { ...kind.plain, ...values }, { seed, count })
  return all.map(m => ({
    maze: m.puzzle as Maze,
    record: work.record(m.puzzle) as Recorded,
    twin: m.twin,
    band: m.difficulty.band,
  }))
}

describe.each(names.flatMap(size => (['long', 'middling', 'short'] as const).map(ends => [size, ends] as const)))(
  '%s, dead ends %s',
  (size, ends) => {
    test.each(bands)('%s: each has one way through, its own; no two are twins', async band => {
      const count = cases(4, 200)
      const all = await made({ size, ends, band }, count)
      expect(new Set(all.map(m => m.twin)).size).toBe(count)
      for (const { maze, record, band: found } of all) {
        const [rows, cols] = sizes[size]
        expect(found).toBe(band)
        expect(prove(maze)).toEqual({ answers: 1, agrees: true })
        expect(waysThrough(record)).toBe(1)
        expect(record.cells).toHaveLength(rows * cols)
        expect(record.start).toHaveProperty('row', 0)
        expect(record.end).toHaveProperty('row', rows - 1)
      }
    })
  },
)

describe.each(['none', 'circle', 'turn'])('outline %s', outline => {
  test.each(doorPlaces)('ways in and out %s: they lie where it says, and one way joins them', async doors => {
    for (const { maze, record } of await made({ size: 'small', outline, doors }, cases(6, 200))) {
      expect(prove(maze)).toEqual({ answers: 1, agrees: true })
      expect(waysThrough(record)).toBe(1)
      expect(record.cells.every(c => c.open.length > 0)).toBe(true)
      const { near, sides } = maze.ground
      // A door opens on nothing.
      expect(near[maze.start.cell * sides + maze.start.side]).toBe(-1)
      if (doors === 'middle') expect(maze.end.side).toBe(MIDDLE)
      else expect(near[maze.end.cell * sides + maze.end.side]).toBe(-1)
      const [rows, cols] = sizes.small
      if (outline === 'none' && doors === 'sideways') {
        expect(record.start).toHaveProperty('col', 0)
        expect(record.end).toHaveProperty('col', cols - 1)
      }
      if (outline === 'none' && doors === 'corners') {
        expect(record.start).toEqual({ row: 0, col: 0 })
        expect(record.end).toEqual({ row: rows - 1, col: cols - 1 })
      }
      if (outline === 'circle') {
        const rim = record.sectors!.length - 1
        expect(record.start).toHaveProperty('ring', rim)
        expect(record.end).toHaveProperty('ring', doors === 'middle' ? 0 : rim)
      }
    }
  })
})

test('in a shape of one’s own: its largest part that hangs together', async () => {
  const turned = [{ rows: 4, cols: 3, cells: [0, 1, 3, 4, 6, 7, 11] }]
  const own = { says: '', rings: [], scale: 100, right: 0, down: 0, turned }
  const [{ record }] = (await made({ size: 'small', outline: 'own', own }, 1)) as [Told]
  // Of the sheet of 16 by 12 the six cells on the left are so many; the one at the foot stands alone.
  expect(record.cells).toHaveLength(12 * 8)
  expect(waysThrough(record)).toBe(1)
})

test('cells of a circle are about as wide as high, and all sides are shared by two', () => {
  fc.assert(
    fc.property(fc.integer({ min: 6, max: 36 }), across => {
      const { rings, near, back, sides } = circleGround(across)
      rings.sectors.forEach((n, ring) => {
        if (!ring) return
        const wide = (2 * Math.PI * (rings.radius + ring - 0.5)) / n
        expect(wide).toBeGreaterThan(0.6)
        expect(wide).toBeLessThan(1.8)
      })
      expect(rings.radius + rings.sectors.length - 1).toBe(across / 2)
      const shared = near.every((next, at) => next < 0 || near[next * sides + back[at]!] === Math.floor(at / sides))
      expect(shared).toBe(true)
    }),
  )
})

test.each([
  ['a grid', gridGround(6, 9)],
  ['a square', gridGround(7, 7)],
  ['a circle', circleGround(14)],
])('every form of %s lays it onto itself: each cell on one, and what lies side by side stays so', (_name, ground) => {
  const { cells, sides, near, forms } = ground
  for (const { to, side } of forms) {
    expect(new Set(to).size).toBe(cells)
    near.forEach((next, at) => {
      const cell = to[Math.floor(at / sides)]!
      if (next >= 0) expect(near[cell * sides + side[at]!]).toBe(to[next])
    })
  }
  const said = forms.map(f => f.to.join())
  expect(new Set(said).size).toBe(forms.length)
})

test.each(['none', 'circle'])('a maze turned or mirrored is its twin: outline %s', async outline => {
  for (const { maze, twin } of await made({ size: 'small', outline }, 4)) {
    const { ground, open, start, end } = maze
    for (const { to, side } of ground.forms) {
      const turned = new Uint16Array(open.length)
      open.forEach((bits, cell) => {
        for (let k = 0; k < ground.sides; k++)
          if (bits & (1 << k)) turned[to[cell]!]! |= 1 << side[cell * ground.sides + k]!
      })
      const door = (d: typeof start): typeof start => ({ ...d, cell: to[d.cell]! })
      expect(twinOf(ground, turned, door(start), door(end))).toBe(twin)
      expect(twinOf(ground, turned, door(end), door(start))).toBe(twin)
    }
  }
})

test.each(['none', 'circle'])(
  'a wall more cuts the sheet in two, a wall less makes a ring: outline %s',
  async outline => {
    const [{ maze }] = (await made({ size: 'small', ends: 'short', band: 'easy', outline }, 1, 9)) as [Told]
    const { near, back, sides } = maze.ground
    fc.assert(
      fc.property(fc.nat(near.length - 1), at => {
        const [cell, next] = [Math.floor(at / sides), near[at]!]
        fc.pre(next >= 0)
        const open = maze.open.slice()
        const was = open[cell]! & (1 << (at % sides))
        open[cell]! ^= 1 << (at % sides)
        open[next]! ^= 1 << back[at]!
        const proof = prove({ ...maze, open })
        const onTheWay = maze.path.includes(cell) && maze.path.includes(next)
        expect(proof).toEqual({ answers: !was ? 2 : onTheWay ? 0 : 1, agrees: false })
      }),
    )
  },
)

test.each(['none', 'circle'])('a passage said from one side only is no maze: outline %s', async outline => {
  const [{ maze }] = (await made({ size: 'small', outline }, 1)) as [Told]
  const open = maze.open.slice()
  open[maze.path[3]!] = 0
  expect(prove({ ...maze, open })).toEqual({ answers: 0, agrees: false })
})

test('the record names the way cell by cell', async () => {
  for (const outline of ['none', 'circle']) {
    const [{ record }] = (await made({ outline }, 1, 1)) as [Told]
    const all = passagesOf(record)
    expect(record.path[0]).toEqual(record.start)
    expect(record.path.at(-1)).toEqual(record.end)
    record.path.slice(1).forEach((at, i) => expect(all.get(keyOf(record.path[i]!))).toContain(keyOf(at)))
  }
})

test.each(['none', 'circle', 'turn'])(
  'outline %s: drawn within its box at any size, the way only in the answer',
  async outline => {
    const work = await kind.work()
    for (const doors of ['across', 'middle']) {
      const [{ maze }] = (await made({ outline, doors }, 1, 2)) as [Told]
      const dots = doors === 'middle' ? 1 : 0
      for (const width of [60, 300, 560])
        for (const answer of [false, true]) {
          const out = new LayerBuilder()
          const height = width / work.ratio(maze, false)
          await work.draw({
            out,
            puzzle: maze,
            answer,
            width,
            height,
            place: {} as never,
            styleOf: undefined as never,
            language: 'en',
          })
          const paths = out.build().items.map(i => (i as { path: Path }).path)
          expect(paths).toHaveLength((answer ? 2 : 1) + dots)
          for (const p of paths) {
            const [x0, y0, x1, y1] = pathBox(p)
            expect(Math.min(x0, y0)).toBeGreaterThanOrEqual(-0.01)
            expect(x1).toBeLessThanOrEqual(width + 0.01)
            expect(y1).toBeLessThanOrEqual(height + 0.01)
          }
        }
    }
  },
)
