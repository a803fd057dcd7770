import { describe, expect, test } from '@jest/globals'
import { bookOf, chapter, paragraph, shelf } from '../../../tests/support/core'
import { type WordOn, wordsOn } from '../../../tests/support/wordsOn'
import { fitted, kindOf, pageLooks, RunPress, withAnswers } from '../activity'
import type { PagePlan, Run } from '../book'
import { pathBox } from '../marks/path'
import { type Layer, layerBox, type PageMarks, visitPage } from '../marks'
import { harbourRoman, type Interior, Setter, withPlan } from '.'

const run = (id: string, kind: string, pages: number, patch: Partial<Run> = {}): Run => ({
  id,
  kind,
  pages,
  seed: 3,
  ...patch,
  params: { ...structuredClone(kindOf(kind)!.plain), ...patch.params },
})

async function setWith(plan: PagePlan, language = 'en-GB'): Promise<Interior> {
  const book = { ...bookOf([]), sections: [] }
  const own = { ...book, data: { ...book.data, language }, plan: fitted(plan) }
  const spec = { width: 432, height: 648, inside: 0, bleed: 9, planned: own.plan.runs }
  const front = await new Setter(shelf).set(own, harbourRoman, spec)
  const setting = { inside: 50, safe: 18, safeWithBleed: 27, runs: new RunPress(shelf), shelf }
  return withPlan(front, own, own.plan, setting)
}

const onPage = (page: PageMarks): WordOn[] =>
  page.layers.flatMap(({ layer, x, y }) => wordsOn(layer).map(w => ({ ...w, x: w.x + x, end: w.end + x, y: w.y + y })))
const textOf = (page: PageMarks): string =>
  onPage(page)
    .map(w => w.text)
    .join(' ')
/** The largest share of black that a page is filled with, and the box of it. */
function darkest(page: PageMarks): { tone: number; box: number[] } {
  let found = { tone: 0, box: [0, 0, 0, 0] }
  visitPage(page, v => {
    if (!('item' in v) || v.item.kind !== 'path' || !v.item.fill || !('k' in v.item.fill)) return
    const [x0, y0, x1, y1] = pathBox(v.item.path)
    if (v.item.fill.k >= found.tone) found = { tone: v.item.fill.k, box: [v.x + x0, v.y + y0, v.x + x1, v.y + y1] }
  })
  return found
}

describe('leaves of planned pages', () => {
  test('fronts only: every printed page on the right, its back bare or on a ground of its own, neither numbered', async () => {
    for (const ground of [undefined, { tone: 0.2 }]) {
      const plan = {
        folios: 'outside' as const,
        runs: [
          run('a', 'lined', 1),
          run('b', 'sudoku', 4, { params: { size: '4', band: 'gentle' }, backs: { ...(ground && { ground }) } }),
        ],
      }
      const { pages, starts } = await setWith(plan)
      expect(starts.get('run:b')).toBe(2)
      for (let i = 0; i < 4; i++) {
        const [front, back] = [pages[2 + 2 * i]!, pages[3 + 2 * i]!]
        expect([front.side, back.side]).toEqual(['recto', 'verso'])
        expect(onPage(front).some(w => w.text === front.label)).toBe(true)
        expect(onPage(back)).toEqual([])
        expect(darkest(back).tone).toBeCloseTo(ground ? 0.2 : 0, 5)
      }
    }
  })
  test('answers overleaf stand on the back of what they answer, under its heading, and are numbered', async () => {
    const puzzles = run('p', 'sudoku', 3, {
      each: 2,
      heading: { words: 'Square', from: 9 },
      params: { size: '4', band: 'gentle' },
    })
    const { pages } = await setWith({ ...withAnswers({ runs: [puzzles] }, 'p', 'overleaf'), folios: 'outside' })
    expect(pages).toHaveLength(6)
    for (let i = 0; i < 3; i++) {
      const heads = [`Square ${9 + 2 * i}`, `Square ${10 + 2 * i}`]
      const [front, back] = [textOf(pages[2 * i]!), textOf(pages[2 * i + 1]!)]
      for (const head of heads) {
        expect(front).toContain(head)
        expect(back).toContain(head)
      }
      const digits = (text: string): number => text.replace(/Square \d+/g, '').match(/\b[1-4]\b/g)!.length
      expect(digits(back)).toBeGreaterThanOrEqual(32)
      expect(digits(front)).toBeLessThan(32)
      expect(onPage(pages[2 * i + 1]!).at(-1)!.text).toBe(String(2 * i + 2))
    }
  })
  test('references run both ways: each puzzle names the page of its answer, each answer that of its puzzle', async () => {
    const puzzles = run('p', 'word-search', 7, {
      heading: { words: 'Search', from: 1 },
      params: { rows: 9, cols: 9, count: 5 },
    })
    const key = run('k', 'answers', 1, { params: { of: 'p', count: '2' } })
    for (const [language, on, page] of [
      ['en-GB', /Answer on page (\d+)/, /Search (\d+) · page (\d+)/g],
      ['de', /Lösung auf Seite (\d+)/, /Search (\d+) · Seite (\d+)/g],
    ] as const) {
      const { pages, starts } = await setWith(
        { references: true, folios: 'outside', runs: [run('x', 'dot', 3), puzzles, key] },
        language,
      )
      const first = starts.get('run:p')!
      const answers = pages
        .slice(starts.get('run:k')!)
        .flatMap(p => [...textOf(p).matchAll(page)].map(m => [p.label, ...m.slice(1)]))
      expect(answers).toHaveLength(7)
      answers.forEach(([answerOn, number, puzzleOn]) => {
        const puzzle = pages.find(p => p.label === puzzleOn)!
        expect(textOf(puzzle)).toContain(`Search ${number}`)
        expect(on.exec(textOf(puzzle))![1]).toBe(answerOn)
      })
      expect(pages[first]!.label).toBe('4')
    }
    const silent = await setWith({ runs: [puzzles, key] })
    for (const p of silent.pages) expect(textOf(p)).not.toMatch(/page \d/)
  })
  test('a week on two pages faces itself, whatever stands before it', async () => {
    for (const before of [0, 1, 2, 3]) {
      const { pages, starts } = await setWith({
        runs: [run('x', 'dot', before), run('w', 'week', 1, { params: { count: 3 } })],
      })
      const first = starts.get('run:w')!
      expect(first % 2).toBe(1)
      for (let i = 0; i < 3; i++) {
        expect(textOf(pages[first + 2 * i]!)).toMatch(/Monday.*Tuesday.*Wednesday/)
        expect(textOf(pages[first + 2 * i + 1]!)).toMatch(/Thursday.*Friday.*Saturday.*Sunday/)
      }
    }
  })
  test('what is dealt in comes in turn, and each page is what it would be by itself', async () => {
    const [a, b] = [run('a', 'sudoku', 2, { params: { size: '4', band: 'gentle' } }), run('b', 'maze', 3)]
    const alone = await setWith({ runs: [a, b] })
    const dealt = await setWith({ runs: [a, { ...b, dealt: true }] })
    const drawn = (p: PageMarks): unknown => p.layers.map(l => [l.layer.items, l.layer.text?.glyphs])
    expect([0, 1, 2, 3, 4].map(i => drawn(dealt.pages[i]!))).toEqual([0, 2, 1, 3, 4].map(i => drawn(alone.pages[i]!)))
  })
  test('a ground covers the leaf and its bleed, and leaves the room clear where it is asked to', async () => {
    const { pages } = await setWith({ runs: [run('a', 'dot', 2, { ground: { tone: 0.3 } })] })
    expect(pages[0]!.bleed).toMatchObject({ top: 9, bottom: 9 })
    visitPage(pages[0]!, v => {
      if ('item' in v && v.item.kind === 'path' && v.item.fill && 'k' in v.item.fill && v.item.fill.k === 0.3)
        expect([...pathBox(v.item.path)]).toEqual([-pages[0]!.bleed.left, -9, 432 + pages[0]!.bleed.right, 657])
    })
    const cleared = await setWith({ runs: [run('a', 'dot', 2, { ground: { tone: 0.3, clear: true } })] })
    for (const p of cleared.pages.slice(0, 2)) {
      const white: number[][] = []
      visitPage(p, v => {
        if ('item' in v && v.item.kind === 'path' && v.item.fill && 'k' in v.item.fill && v.item.fill.k === 0)
          white.push([...pathBox(v.item.path)])
      })
      const inside = p.side === 'recto' ? 50 : 36
      expect(white[0]![0]).toBeLessThan(inside)
      expect(white[0]![2]).toBeGreaterThan(432 - (p.side === 'recto' ? 36 : 50))
    }
  })
  test('patterns come page by page in turn', async () => {
    const ground = { tone: 0.2, patterns: ['dots', 'waves', 'stars'] }
    const { pages } = await setWith({ runs: [run('a', 'blank', 6, { ground })] })
    const layers = pages.map(p => p.layers[0]!.layer)
    const drawing = (l: Layer): unknown => JSON.stringify(l.items)
    expect(drawing(layers[0]!)).not.toBe(drawing(layers[1]!))
    expect(layers[0]!.items.length).toBe(1)
    // The same pattern on the same side is one drawing for all its pages.
    expect(new Set(layers).size).toBe(6)
    const twelve = await setWith({ runs: [run('a', 'blank', 12, { ground })] })
    expect(new Set(twelve.pages.map(p => p.layers[0]!.layer)).size).toBe(6)
  })
})

describe('looks of planned pages', () => {
  test.each(pageLooks.map(l => l.id))(
    '“%s”: heads, frames and folios stay within the margins on both sides',
    async look => {
      const plan: PagePlan = {
        look,
        folios: 'outside',
        margins: { head: 40, foot: 44, inside: 50, outside: 40 },
        runs: [
          run('a', 'sudoku', 2, {
            heading: { words: 'Of an afternoon', from: 118 },
            params: { size: '4', band: 'gentle' },
          }),
        ],
      }
      const { pages } = await setWith(plan)
      for (const p of pages.slice(0, 2)) {
        const [left, right] = p.side === 'recto' ? [50, 432 - 40] : [40, 432 - 50]
        for (const w of onPage(p)) {
          expect(w.x).toBeGreaterThanOrEqual(left - 0.5)
          expect(w.end).toBeLessThanOrEqual(right + 0.5)
        }
        visitPage(p, v => {
          if (!('item' in v) || v.item.kind !== 'path') return
          const [x0, y0, x1, y1] = pathBox(v.item.path)
          expect(v.x + x0).toBeGreaterThanOrEqual(left - 1)
          expect(v.x + x1).toBeLessThanOrEqual(right + 1)
          expect(v.y + y0).toBeGreaterThanOrEqual(39)
          expect(v.y + y1).toBeLessThanOrEqual(648 - 10)
        })
        const text = textOf(p)
        expect(text.toLowerCase()).toContain('of an afternoon')
        expect(text).toContain(p.side === 'recto' ? '118' : '119')
      }
    },
  )
  test('large print is larger: folios, references, headings over several, what is read', async () => {
    const plan: PagePlan = {
      folios: 'outside',
      references: true,
      runs: [
        run('h', 'how-to', 1, { params: { of: 'p' } }),
        run('p', 'sudoku', 2, {
          each: 2,
          heading: { words: 'Square', from: 1 },
          params: { size: '4', band: 'gentle' },
        }),
        run('k', 'answers', 1, { params: { of: 'p', count: '4' } }),
      ],
    }
    const [usual, large] = [await setWith(plan), await setWith({ ...plan, large: true })]
    const sizeOf = (set: Interior, is: RegExp): number => set.pages.flatMap(onPage).find(w => is.test(w.text))!.size
    for (const is of [/^Answer on page/, /^Square 1/])
      expect(sizeOf(large, is) / sizeOf(usual, is)).toBeGreaterThan(1.4)
    // A page's folio is set last.
    const folio = (set: Interior): WordOn => onPage(set.pages[1]!).at(-1)!
    expect([folio(usual).text, folio(large).text]).toEqual(['2', '2'])
    expect(folio(large).size).toBeCloseTo(folio(usual).size * 1.5, 5)
    // What is read on the page of rules.
    expect(onPage(large.pages[0]!)[1]!.size).toBeGreaterThan(onPage(usual.pages[0]!)[1]!.size)
  })
})

test('headings are named by their list, one list a puzzle in turn', async () => {
  const text = '# Ferns\nbracken\nhartstongue\npolypody\n# Reeds\nsedge\nbulrush\nsweetflag'
  const puzzles = run('p', 'word-search', 2, {
    heading: { words: '', from: 1, listed: true },
    params: { words: { bank: '', text }, count: 3, rows: 12, cols: 12 },
  })
  const { pages, unmade } = await setWith({ runs: [puzzles] })
  expect(unmade).toEqual([])
  expect(textOf(pages[0]!)).toContain('Ferns 1')
  expect(textOf(pages[1]!)).toContain('Reeds 2')
})

test('planned pages stand among written ones, on their sides, and folios go on through both', async () => {
  const written = chapter('s1', 'Between', { type: 'doc', content: [paragraph('b1', 'A few words.')] })
  const book = { ...bookOf([]), sections: [written] }
  const runs = [
    run('a', 'sudoku', 1, { backs: {}, params: { size: '4', band: 'gentle' } }),
    run('b', 'week', 2, { behind: 's1', params: { count: 1 } }),
  ]
  const plan: PagePlan = { folios: 'outside', runs }
  const spec = { width: 432, height: 648, inside: 0, planned: runs }
  const front = await new Setter(shelf).set({ ...book, plan }, harbourRoman, spec)
  const set = await withPlan(front, book, plan, {
    inside: 50,
    safe: 18,
    safeWithBleed: 27,
    runs: new RunPress(shelf),
    shelf,
  })
  expect(set.starts.get('s1')! % 2).toBe(0)
  expect(set.starts.get('run:b')! % 2).toBe(1)
  expect(set.pages.length % 2).toBe(0)
  expect(set.pages.map(p => p.label)).toEqual(set.pages.map((_, i) => String(i + 1)))
})

test('a picture lies under the whole leaf with its bleed, others in turn; one that is gone leaves the page itself whole', async () => {
  const own = { ...bookOf([]), sections: [] }
  const plan: PagePlan = { runs: [run('r1', 'lined', 4, { ground: { tone: 0.2, pictures: ['a', 'gone'] } })] }
  const assets = [{ id: 'a', type: 'image/png' as const, width: 300, height: 300 }]
  const spec = { width: 432, height: 648, inside: 0, bleed: 9, planned: plan.runs }
  const book = { ...own, assets, plan: fitted(plan) }
  const front = await new Setter(shelf).set(book, harbourRoman, spec)
  const setting = { inside: 50, safe: 18, safeWithBleed: 27, runs: new RunPress(shelf), shelf }
  const { pages } = await withPlan(front, book, book.plan, setting)
  const images = (page: PageMarks): string[] => {
    const found: string[] = []
    visitPage(page, v => {
      if (!('item' in v) || v.item.kind !== 'image') return
      const { asset, width, height, tone } = v.item
      expect([v.x + v.item.x <= 0, width >= 441, height >= 666, tone]).toEqual([true, true, true, 0.2])
      found.push(asset)
    })
    return found
  }
  expect(pages.map(images)).toEqual([['a'], [], ['a'], []])
  expect(pages.map(p => p.layers.length)).toEqual([2, 2, 2, 2])
})

test('words of one’s own that may offend are told with their run; what ships is not looked at', async () => {
  const source = (bank: string, text: string) => ({ params: { words: { bank, text }, count: 3 } })
  const { offending } = await setWith({
    runs: [
      run('r1', 'word-search', 1, source('', 'harbour\nlantern\nbastard\nanchor\nbollard\nlighthouse\nrope\noar')),
      run('r2', 'word-search', 1, source('', 'harbour\nlantern\nanchor\nbollard\nlighthouse\nrope\noar')),
      run('r3', 'lined', 1),
    ],
  })
  expect(offending).toEqual([{ run: 'r1', words: ['bastard'] }])
})

test('a folio stands below what it numbers, in every look and print, however far from the edge print must stay', async () => {
  for (const look of pageLooks)
    for (const large of [false, true]) {
      const own = { ...bookOf([]), sections: [] }
      const plan: PagePlan = {
        runs: [run('r1', 'checklist', 2)],
        look: look.id,
        large,
        folios: 'outside',
        margins: { head: 36, foot: 30, inside: 40, outside: 36 },
      }
      const spec = { width: 420, height: 595, inside: 0, planned: plan.runs }
      const book = { ...own, plan: fitted(plan) }
      const front = await new Setter(shelf).set(book, harbourRoman, spec)
      const setting = { inside: 40, safe: 27, safeWithBleed: 27, runs: new RunPress(shelf), shelf }
      const { pages, planned } = await withPlan(front, book, book.plan, setting)
      const [page, at] = [pages[0]!, planned.get(0)!]
      const [, top] = layerBox(page.layers.at(-1)!.layer)
      expect([look.id, large, top >= at.room.y + at.room.height + 3]).toEqual([look.id, large, true])
    }
})
