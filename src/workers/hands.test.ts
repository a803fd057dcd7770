import '../../tests/support/browser'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { bookOf as made } from '../../tests/support/core'
import { changePage, changePiece } from '@/core/activity'
import type { Book, Edition, Run } from '@/core/book'
import { shippedProfiles } from '@/core/outlets'
import { hands } from './answers/hands'
import { bookOf, type BookUpdate, closeBook, openBook } from './openBooks'
import { setOutlets } from './outlets'
import { chainOf } from './chains'
import { firstLook, shown } from './firstLook'

/** What the room asks the press about single pages of runs: from a book at the press, as the room has it there. */
setOutlets(shippedProfiles)
const edition = {
  id: 'paperback',
  kind: 'paperback',
  outlets: ['ostrevane'],
  trim: '6x9in',
  paper: 'cream',
  ink: 'black',
  style: 'harbour-roman',
  prices: { USD: 1299 },
} as Edition
const ROWS = ['Rain on the roof', 'The long table', 'A letter from the coast', 'Low water']
const prompts = (rows: readonly string[], more: Partial<Run> = {}): Run => ({
  id: 'r1',
  kind: 'prompts',
  pages: rows.length,
  seed: 3,
  heading: { words: 'Today' },
  params: {
    rows: { bank: '', text: rows.join('\n') },
    stands: 'head',
    size: 18,
    below: 'lines',
    spacing: 22,
    tone: 0.35,
  },
  ...more,
})
let turn = 0
async function opened(...runs: Run[]): Promise<void> {
  const { sections: _none, ...head } = {
    ...made([]),
    editions: [edition],
    plan: { runs, folios: 'outside', margins: { head: 40, foot: 40, inside: 60, outside: 40 } },
  } as Book
  const update = { head, order: [], sections: [] } as unknown as Pick<BookUpdate, 'head' | 'order' | 'sections'>
  await openBook({ ...(JSON.parse(JSON.stringify(update)) as typeof update), after: turn, turn: ++turn })
}
const spread = (left: number) => hands.plannedPages('test', 'paperback', [left, left + 1])

describe('a page of a run at the press', () => {
  beforeEach(() => {
    closeBook('test')
    turn = 0
  })
  test('is told by its run, its place in it and what it is made from; its pieces lie on it', async () => {
    await opened(prompts(ROWS))
    const pages = await spread(1)
    expect(pages.map(p => [p.index, p.label, p.run, p.page, p.of])).toEqual([
      [1, '2', 'r1', 1, ROWS[1]],
      [2, '3', 'r1', 2, ROWS[2]],
    ])
    for (const { pieces, room } of pages) {
      expect(pieces.map(p => p.piece)).toEqual(['heading', 'body', 'body/row', 'body/room'])
      for (const p of pieces) {
        expect(p.x).toBeGreaterThanOrEqual(room.x - 1)
        expect(p.y).toBeGreaterThanOrEqual(room.y - 1)
        expect(p.x + p.width).toBeLessThanOrEqual(room.x + room.width + 1)
        expect(p.y + p.height).toBeLessThanOrEqual(room.y + room.height + 1)
      }
    }
    // The inside margin is on the right of a left page, on the left of a right one.
    expect(pages.map(p => [p.room.x, p.room.y])).toEqual([
      [40, 40],
      [60, 40],
    ])
    expect(await spread(40)).toEqual([])
  })
  test('what was changed by hand is known where its row stands now, and where that is gone it waits', async () => {
    const run = prompts(ROWS)
    const hand = changePage(run, { page: 1, of: ROWS[1]! }, h =>
      changePiece(h, 'row', { words: 'The short one', was: ROWS[1]! }),
    )
    await opened({ ...run, ...hand })
    expect(await hands.handsOn('test', 'paperback', 'r1')).toEqual({ on: [{ page: 1, label: '2' }], waiting: [] })
    await opened({ ...prompts(['New', ...ROWS]), ...hand })
    expect((await hands.handsOn('test', 'paperback', 'r1')).on).toEqual([{ page: 2, label: '3' }])
    const [moved] = (await spread(1)).slice(1)
    expect([moved!.of, moved!.kept]).toEqual([ROWS[1], { page: 1, of: ROWS[1] }])
    await opened({ ...prompts(ROWS.slice(2)), ...hand })
    expect(await hands.handsOn('test', 'paperback', 'r1')).toEqual({ on: [], waiting: hand.hand })
  })
  test('backs of leaves, and runs that could not be made, have no pieces to take hold of', async () => {
    await opened(prompts(ROWS, { backs: {} }))
    expect((await spread(1)).map(p => [p.index, p.page])).toEqual([[2, 1]])
    const wrong: Run = { id: 'r1', kind: 'sudoku', pages: 2, seed: 1, params: { size: '4', band: 'stubborn' } }
    await opened(wrong)
    expect(await spread(0)).toEqual([])
  })
  test('a run that is drawn by hand has its pieces alone', async () => {
    const piece = {
      id: 'own1',
      kind: 'frame',
      x: 0,
      y: 0,
      width: 0.5,
      height: 0.5,
      params: { line: 1, round: 0, fill: 0, tone: 1 },
    }
    const params = { forms: 'one', right: [piece], left: [], rows: { bank: '', text: '' } }
    await opened({ id: 'r1', kind: 'own', pages: 2, seed: 1, params })
    expect((await spread(1)).map(p => p.pieces.map(x => x.piece))).toEqual([['body/own1']])
  })
})

describe('a changed run at the press', () => {
  const sudoku = (more: Partial<Run> = {}): Run => ({
    id: 'r1',
    kind: 'sudoku',
    pages: 12,
    seed: 5,
    each: 2,
    heading: { words: 'Sudoku', from: 1 },
    params: { size: '4', band: 'gentle' },
    ...more,
  })
  const answers: Run = { id: 'r2', kind: 'answers', pages: 6, seed: 1, params: { of: 'r1', count: '4' } }
  const interior = () => chainOf('test', 'paperback').get('interior')
  async function lookedAt(...runs: Run[]): Promise<void> {
    await opened(...runs)
    shown('test', 'paperback', { interior: await interior(), plan: bookOf('test').book.plan })
  }
  beforeEach(() => {
    closeBook('test')
    turn = 0
  })

  test('is seen on the open spread first, drawn as it stays', async () => {
    await lookedAt(sudoku(), answers)
    const changed = sudoku({ params: { size: '6', band: 'gentle' }, heading: { words: 'Six', from: 3 } })
    await opened(changed, answers)
    const seen = await firstLook('test', 'paperback', [5, 6])
    expect(chainOf('test', 'paperback').runs('interior')).toBe(1)
    const whole = await interior()
    expect(seen.map(s => s.page)).toEqual([5, 6])
    for (const { page, marks } of seen) expect(marks).toEqual(whole.pages[page])
  })
  test('nothing is seen early of pages that it does not concern, or that there are none of any more', async () => {
    await lookedAt(sudoku(), answers)
    await opened(sudoku(), { ...answers, heading: { words: 'Solved' } })
    expect(await firstLook('test', 'paperback', [5, 6])).toEqual([])
    expect(await firstLook('test', 'paperback', [12])).toHaveLength(1)
    await opened(sudoku({ pages: 2 }), answers)
    expect((await firstLook('test', 'paperback', [11])).map(s => s.page)).toEqual([])
  })
  test('a look or a margin of the whole plan is seen on every page', async () => {
    await lookedAt(sudoku(), answers)
    const plan = { ...bookOf('test').book.plan!, look: 'guildhall' }
    const { sections: _none, ...head } = { ...bookOf('test').book, plan }
    await openBook({ head, order: [], sections: [], after: turn, turn: ++turn })
    const seen = await firstLook('test', 'paperback', [1, 2])
    const whole = await interior()
    for (const { page, marks } of seen) expect(marks).toEqual(whole.pages[page])
    expect(seen).toHaveLength(2)
  })
})
