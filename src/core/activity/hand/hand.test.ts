import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../../tests/support/core'
import { cases } from '../../../../tests/support/deep'
import { wordsOn } from '../../../../tests/support/wordsOn'
import type { DesignPiece, HandPage, Run } from '../../book'
import type { Layer, PageMarks } from '../../marks'
import { designKinds } from '../design'
import { kindOf, runKinds } from '../registry'
import { RunPress } from '../runPress'
import { changePage, changePiece, handOf, layOn, moved, piecesOn, putBack } from '.'

const room = { width: 330, height: 500 }
const language = 'en-GB'
const run = (kind: string, patch: Partial<Run> = {}): Run => ({
  id: 'r1',
  kind,
  pages: 3,
  seed: 5,
  heading: { words: 'Tides' },
  params: structuredClone(kindOf(kind)!.plain) as Run['params'],
  ...patch,
})
const press = new RunPress(shelf)
const drawn = (r: Run, more: { look?: string; runs?: Run[] } = {}): Promise<Layer[]> =>
  press.layersOf(r, { runs: [r], room, language, ...more })
const pagesOf = (layer: Layer): PageMarks => ({ layers: [{ layer, x: 0, y: 0 }] }) as never as PageMarks
const boxes = (layer: Layer) => new Map(piecesOn(pagesOf(layer)).map(p => [p.piece, p]))
const byHand = (r: Run, page: number, of: string, next: (h: HandPage) => HandPage): Run => ({
  ...r,
  ...changePage(r, { page, of }, next),
})
const prompts = (rows: string[], patch: Partial<Run> = {}): Run => {
  const plain = run('prompts')
  return {
    ...plain,
    pages: rows.length,
    ...patch,
    params: { ...plain.params, rows: { bank: '', text: rows.join('\n') } },
  }
}
const textOf = (layer: Layer): string =>
  wordsOn(layer)
    .map(w => w.text)
    .join(' ')

/** Kinds whose pages can be drawn by themselves. */
const alone = runKinds.filter(k => !k.bare && !k.refersTo && k.id !== 'pictures')

describe('pieces of a page', () => {
  test.each(alone.map(k => [k.id]))(
    '“%s”: one that is moved by hand is moved so far, and no other with it',
    async id => {
      const made = run(id)
      const before = boxes((await drawn(made))[1]!)
      expect(before.get('heading')).toMatchObject({ words: 'Tides' })
      await fc.assert(
        fc.asyncProperty(
          fc.constantFrom(...before.keys()),
          fc.integer({ min: -90, max: 90 }),
          fc.integer({ min: -90, max: 90 }),
          async (piece, x, y) => {
            const of = await press.sourceAt(made, 1, { runs: [made], language })
            const layers = await drawn(byHand(made, 1, of, h => changePiece(h, piece, { x, y })))
            const after = boxes(layers[1]!)
            expect([...after.keys()].sort()).toEqual([...before.keys()].sort())
            for (const [name, was] of before) {
              const inIt = name === piece || name.startsWith(`${piece}/`)
              // A piece that holds the moved one grows with it.
              if (!inIt && piece.startsWith(`${name}/`)) continue
              const now = after.get(name)!
              expect(now.x).toBeCloseTo(was.x + (inIt ? x : 0), 2)
              expect(now.y).toBeCloseTo(was.y + (inIt ? y : 0), 2)
              expect(now.width).toBeCloseTo(was.width, 2)
            }
            expect(boxes(layers[0]!).get(piece)).toEqual(boxes((await drawn(made))[0]!).get(piece))
          },
        ),
        { numRuns: cases(3, 20) },
      )
    },
  )
  test('one that is sized grows about its left top: letters too, so that checks of print find them', async () => {
    const made = run('lined')
    const [was] = (await drawn(made)).slice(0, 1)
    const [now] = await drawn(byHand(made, 0, '', h => changePiece(h, 'heading', { size: 1.5 })))
    const [a, b] = [boxes(was!).get('heading')!, boxes(now!).get('heading')!]
    expect([b.x, b.y]).toEqual([expect.closeTo(a.x, 3), expect.closeTo(a.y, 3)])
    expect([b.width / a.width, b.height / a.height]).toEqual([expect.closeTo(1.5, 3), expect.closeTo(1.5, 3)])
    const size = (l: Layer): number => wordsOn(l).find(w => w.text === 'Tides')!.size
    expect(size(now!) / size(was!)).toBeCloseTo(1.5, 3)
  })
  test('one is left out, others stand; the order is as said, and what is not named stays behind', async () => {
    const made = prompts(['Where does the lane end?'])
    const of = 'Where does the lane end?'
    const [bare] = await drawn(byHand(made, 0, of, h => changePiece(h, 'body/room', { hidden: true })))
    expect([...boxes(bare!).keys()]).toEqual(['heading', 'body', 'body/row'])
    const [turned] = await drawn(byHand(made, 0, of, h => ({ ...h, order: ['body', 'heading'] })))
    const outer = (l: Layer): string[] => [...boxes(l).keys()].filter(k => !k.includes('/'))
    expect(outer(turned!)).toEqual(['body', 'heading'])
    const look = 'guildhall'
    const [framed] = await drawn(
      byHand(made, 0, of, h => ({ ...h, order: ['body', 'heading'] })),
      { look },
    )
    expect(outer(framed!)).toEqual(['body', 'heading'])
    expect(moved(['a', 'b', 'c'], 'a', 1)).toEqual(['b', 'a', 'c'])
    expect(moved(['a', 'b', 'c'], 'a', -1)).toEqual(['a', 'b', 'c'])
  })
  test.each(alone.map(k => [k.id]))('“%s”: whatever says something is reworded by the name it has', async id => {
    const made = run(id)
    const before = boxes((await drawn(made))[1]!)
    for (const [piece, { words }] of before) {
      if (words === undefined) continue
      const of = await press.sourceAt(made, 1, { runs: [made], language })
      const layers = await drawn(byHand(made, 1, of, h => changePiece(h, piece, { words: 'Otherwise', was: words })))
      expect(boxes(layers[1]!).get(piece)).toMatchObject({ words: 'Otherwise', made: words })
      expect(textOf(layers[1]!)).toContain('Otherwise')
      expect(textOf(layers[0]!)).not.toContain('Otherwise')
    }
  })
  test('days, months, rows of a page and parts with a label are pieces by themselves', async () => {
    const names = async (kind: string, params: object = {}) => {
      const plain = run(kind)
      return [...boxes((await drawn({ ...plain, params: { ...plain.params, ...params } }))[0]!).keys()]
    }
    expect(await names('week', { on: 'page' })).toEqual([
      'heading',
      'body',
      ...Array.from({ length: 7 }, (_, i) => (i ? `body/day-${i + 1}` : 'body/day')),
      'body/first',
      'body/toDo',
      'body/notes',
    ])
    expect((await names('year')).filter(n => n.startsWith('body/month'))).toHaveLength(12)
    expect(await names('recipe', { on: '2' })).toEqual(expect.arrayContaining(['body/method', 'body/method-2']))
    expect(await names('codeword')).toEqual(expect.arrayContaining(['body/grid', 'body/key']))
  })
  test('other pages of the run are not drawn again', async () => {
    const made = run('prompts')
    const before = await drawn(made)
    const of = await press.sourceAt(made, 2, { runs: [made], language })
    const after = await drawn(byHand(made, 2, of, h => changePiece(h, 'heading', { x: 3 })))
    expect(after.map((l, i) => l === before[i])).toEqual([true, true, false])
  })
})

describe('what was changed by hand stays with what its page was made from', () => {
  const rows = ['Rain on the roof', 'The long table', 'A letter from the coast']
  const reworded = byHand(prompts(rows), 1, rows[1]!, h =>
    changePiece(h, 'body/row', { words: 'The short table', was: rows[1]! }),
  )
  const with_ = (list: string[]): Run => ({ ...prompts(list), hand: reworded.hand! })
  const hands = (r: Run) => press.handsOf(r, { runs: [r], language })
  test('it follows a row that moves, waits for one that is gone, and can be laid elsewhere or forgotten', async () => {
    expect(textOf((await drawn(reworded))[1]!)).toContain('The short table')
    const later = with_(['New first', ...rows])
    expect([...(await hands(later)).on.keys()]).toEqual([2])
    expect(textOf((await drawn(later))[2]!)).toContain('The short table')
    expect(textOf((await drawn(later))[1]!)).toContain('Rain on the roof')
    const gone = with_([rows[0]!, rows[2]!])
    expect((await hands(gone)).waiting).toEqual(reworded.hand)
    expect((await drawn(gone)).map(textOf).join()).not.toContain('short table')
    const laid = { ...gone, ...layOn(gone, reworded.hand![0]!, { page: 0, of: rows[0]! }) }
    expect(textOf((await drawn(laid))[0]!)).toContain('The short table')
    expect(putBack(laid, laid.hand![0]!)).toEqual({ hand: [] })
  })
  test('rows come and go in any order: each change is on its row or waits, none is lost and none stands elsewhere', async () => {
    const all = Array.from({ length: 8 }, (_, i) => `Row ${'abcdefgh'[i]}`)
    await fc.assert(
      fc.asyncProperty(
        fc.shuffledSubarray(all, { minLength: 1 }),
        fc.subarray(all, { minLength: 1 }),
        async (now, changed) => {
          let r = prompts(all)
          for (const row of changed)
            r = byHand(r, all.indexOf(row), row, h => changePiece(h, 'body/row', { words: `${row} by hand`, was: row }))
          const later: Run = { ...prompts(now), hand: r.hand! }
          const { on, waiting } = await hands(later)
          for (const [page, hand] of on) expect(hand.of).toBe(now[page])
          expect([...on.values()].map(h => h.of).sort()).toEqual(changed.filter(c => now.includes(c)).sort())
          expect(waiting.map(h => h.of).sort()).toEqual(changed.filter(c => !now.includes(c)).sort())
        },
      ),
      { numRuns: cases(20, 200) },
    )
  })
  test('a page that only its place tells keeps its changes while the run is long enough', async () => {
    const made = byHand(run('lined', { pages: 6 }), 5, '', h =>
      changePiece(h, 'heading', { words: 'Notes', was: 'Tides' }),
    )
    expect([...(await hands(made)).on.keys()]).toEqual([5])
    expect(textOf((await drawn(made))[5]!)).toContain('Notes')
    expect(textOf((await drawn(made))[4]!)).toContain('Tides')
    expect((await hands({ ...made, pages: 4 })).waiting).toHaveLength(1)
  })
  test('a heading that was reworded heads the answer, too', async () => {
    const asked = byHand(run('sudoku', { id: 'p', pages: 2, heading: { words: 'Nines', from: 1 } }), 1, '', h =>
      changePiece(h, 'heading', { words: 'The last', was: 'Nines' }),
    )
    const answers: Run = { id: 'a', kind: 'answers', pages: 1, seed: 1, params: { of: 'p', count: '4' } }
    const [layer] = await drawn(answers, { runs: [asked, answers] })
    expect(textOf(layer!)).toContain('Nines 1')
    expect(textOf(layer!)).toContain('The last 2')
  })
  test('changes that follow each other before the page was shown again are one hand, none is lost', () => {
    const at = { page: 1, of: rows[1]! }
    let r = prompts(rows)
    for (const [piece, x] of [
      ['heading', 4],
      ['row', 5],
      ['heading', 9],
    ] as const)
      r = { ...r, ...changePage(r, at, h => changePiece(h, piece, { x })) }
    expect(r.hand).toEqual([
      {
        ...at,
        pieces: [
          { piece: 'row', x: 5 },
          { piece: 'heading', x: 9 },
        ],
      },
    ])
    // It has followed its row, and is changed twice by somebody who knows its old place.
    const moved = { page: 2, of: rows[1]!, kept: at }
    for (const y of [1, 2]) r = { ...r, ...changePage(r, moved, h => changePiece(h, 'row', { y })) }
    expect(r.hand).toHaveLength(1)
    expect(r.hand![0]).toMatchObject({
      page: 2,
      pieces: [
        { piece: 'heading', x: 9 },
        { piece: 'row', x: 5, y: 2 },
      ],
    })
  })
  test('what waits is laid over what was done to a page already: both stay, pieces of both names too', () => {
    const piece = (x: number): DesignPiece => ({ id: 'own1', kind: 'frame', x, y: 0, width: 1, height: 1, params: {} })
    const wait = { page: 7, of: 'gone' }
    let r = prompts(rows)
    r = { ...r, ...changePage(r, wait, h => ({ ...changePiece(h, 'row', { x: 1 }), added: [piece(0.1)] })) }
    const at = { page: 0, of: rows[0]! }
    r = { ...r, ...changePage(r, at, h => ({ ...changePiece(h, 'heading', { x: 2 }), added: [piece(0.2)] })) }
    const [laid, ...others] = layOn(r, wait, { ...at, kept: at }).hand!
    expect(others).toEqual([])
    expect(laid!.pieces.map(p => p.piece)).toEqual(['heading', 'row'])
    expect(laid!.added!.map(p => [p.id, p.x])).toEqual([
      ['own1', 0.2],
      ['own2', 0.1],
    ])
    expect(layOn(r, { page: 99, of: '' }, at).hand).toEqual(r.hand)
  })
  test('what is as made is not kept', () => {
    const at = { page: 0, of: '' }
    const once = byHand(run('lined'), 0, '', h => changePiece(h, 'heading', { x: 4, words: 'Ebb', was: 'Tides' }))
    expect(once.hand).toHaveLength(1)
    const back = changePage(once, { ...at, kept: at }, h =>
      changePiece(h, 'heading', { x: 0, words: undefined, was: undefined }),
    )
    expect(back.hand).toEqual([])
    expect(handOf(once, { ...at, kept: at }).pieces).toEqual(once.hand![0]!.pieces)
  })
})

describe('pieces that the author places', () => {
  test.each(designKinds.map(k => [k.id, k] as const))(
    '“%s” stays in its box, wherever it stands',
    async (_id, kind) => {
      const r = run('blank', { kind: 'lined', heading: undefined as never })
      await fc.assert(
        fc.asyncProperty(
          fc.double({ min: 0, max: 0.5, noNaN: true }),
          fc.double({ min: 0, max: 0.5, noNaN: true }),
          fc.double({ min: 0.2, max: 0.5, noNaN: true }),
          async (x, y, side) => {
            const piece: DesignPiece = {
              id: 'own1',
              kind: kind.id,
              x,
              y,
              width: side,
              height: side,
              params: kind.plain as never,
            }
            const [layer] = await drawn(byHand(r, 0, '', h => ({ ...h, added: [piece] })))
            const box = boxes(layer!).get('own1')!
            expect(box.x).toBeGreaterThanOrEqual(x * room.width - 1)
            expect(box.y).toBeGreaterThanOrEqual(y * room.height - 1)
            expect(box.x + box.width).toBeLessThanOrEqual((x + side) * room.width + 1)
            expect(box.y + box.height).toBeLessThanOrEqual((y + side) * room.height + 1)
            expect(box.width * box.height).toBeGreaterThan(20)
          },
        ),
        { numRuns: cases(15, 100) },
      )
    },
  )
  test.each(designKinds.map(k => [k.id, k] as const))('“%s” begins in order and says every value once', (_id, kind) => {
    const values = Object.keys(kind.plain)
    expect(kind.schema().isValidSync(kind.plain)).toBe(true)
    for (const name of values) expect(kind.schema().isValidSync({ ...kind.plain, [name]: -1 })).toBe(false)
    expect(Object.keys(kind.controls).sort()).toEqual([...values].sort())
    expect([...kind.sentence.matchAll(/\{(\w+)\}/g)].map(m => m[1]).sort()).toEqual([...values].sort())
  })
  test('a run drawn by hand has its pieces on all pages, each with its row; left pages their own where they have', async () => {
    const own = run('own')
    const words = (text: string): DesignPiece => ({
      ...(own.params.right as DesignPiece[])[0]!,
      params: { ...(own.params.right as DesignPiece[])[0]!.params, words: text },
    })
    const text = 'name;task\nAnna;sweep\nBert;mend\nCora;bake'
    const r: Run = {
      ...own,
      params: {
        forms: 'two',
        right: [words('{name}: {2}')],
        left: [words('{n} {task} {nothing}')],
        rows: { bank: '', text },
      },
    }
    expect((await drawn(r)).map(l => textOf(l).replace('Tides ', ''))).toEqual([
      'Anna: sweep',
      '2 mend {nothing}',
      'Cora: bake',
    ])
  })
})
