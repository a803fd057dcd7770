import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf, shelf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { pathsOn, pieceOn } from '../../../tests/support/pathsOn'
import { wordsOn } from '../../../tests/support/wordsOn'
import {
  type Book,
  joinSections,
  type PagePlan,
  printedLanguages,
  removeSection,
  type Run,
  type Section,
} from '../book'
import { type Layer, layerBox, type PageMarks, pageText, visitPage } from '../marks'
import { pathBox } from '../marks/path'
import { harbourRoman, type Interior, pagesInAll, Setter, whole, withPlan } from '../pages'
import { Cancelled, Fault, type Ticker } from '../trade'
import { evenly, fitted, kindOf, newRun, planOrder, plannedPages, RunPress, runKinds, runsInOrder } from '.'

const run = (patch: Partial<Run> = {}): Run => ({
  id: 'r1',
  kind: 'lined',
  pages: 4,
  seed: 1,
  params: { spacing: 20, tone: 0.4 },
  ...patch,
})

/** The box of all paths of a layer; undefined where it has none. */
/** Half a hairline: what a line that is laid on an edge has beyond it, less than any outlet sees. */
const HALF_LINE = 0.2501

/** What is drawn on a layer, lines with their thickness. */
function boxOf(layer: Layer): [number, number, number, number] | undefined {
  const boxes = pathsOn(layer).map(({ path, stroke }) => {
    const [x0, y0, x1, y1] = pathBox(path)
    const half = (stroke?.width ?? 0) / 2
    return [x0 - half, y0 - half, x1 + half, y1 + half]
  })
  if (!boxes.length) return undefined
  const least = (k: number): number => Math.min(...boxes.map(b => b[k]!))
  const most = (k: number): number => Math.max(...boxes.map(b => b[k]!))
  return [least(0), least(1), most(2), most(3)]
}

test('a length is filled evenly, its rest shared by both ends', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 900, noNaN: true }),
      fc.double({ min: 4, max: 72, noNaN: true }),
      (length, spacing) => {
        const { count, start } = evenly(length, spacing)
        expect(start).toBeGreaterThanOrEqual(-1e-3)
        expect(start * 2 + count * spacing).toBeCloseTo(length, 6)
        expect(start * 2).toBeLessThan(spacing + 1e-3)
      },
    ),
  )
})

describe.each(runKinds.map(k => [k.id, k] as const))('the kind “%s”', (_id, kind) => {
  const values = Object.keys(kind.plain)
  const controls = kind.controls as Record<string, (typeof kind.controls)[never]>
  test('begins in order, and says every value it has in its sentence once', () => {
    expect(kind.schema().isValidSync(kind.plain)).toBe(true)
    expect(kind.schema().isValidSync({ ...kind.plain, nothingOfTheKind: 1 })).toBe(false)
    expect(Object.keys(controls).sort()).toEqual([...values].sort())
    expect([...kind.sentence.matchAll(/\{(\w+)\}/g)].map(m => m[1]).sort()).toEqual([...values].sort())
    for (const c of Object.values(controls) as { says: string }[]) expect(c.says).toMatch(/^[A-Z]/)
  })
  test('takes no value that it cannot draw: what is missing or out of its range is refused', () => {
    for (const name of values) {
      const { [name as never]: _gone, ...rest } = kind.plain
      // What a kind has gained since runs were first kept may be missing.
      const gained = (kind.schema().describe().fields[name] as { optional: boolean }).optional
      expect(kind.schema().isValidSync(rest)).toBe(gained)
      expect(kind.schema().isValidSync({ ...kind.plain, [name]: -1 })).toBe(false)
    }
  })
  test('stays in its room at both ends of every range, with and without a heading', async () => {
    const press = new RunPress(shelf)
    await fc.assert(
      fc.asyncProperty(
        // A few sizes of room: each has sizes of letters of its own, which are shaped anew.
        fc.constantFrom(150, 247, 388, 600),
        fc.constantFrom(200, 331, 512, 700),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.boolean(),
        async (width, height, at, headed) => {
          const params = Object.fromEntries(
            values.map(name => {
              const c = controls[name] as unknown as { as: string; least?: number; most?: number }
              const plain = (kind.plain as Record<string, unknown>)[name]
              const value = c.least === undefined ? plain : c.least + at * (c.most! - c.least)
              return [name, c.as === 'count' ? Math.round(value as number) : value]
            }),
          )
          const heading = headed ? { heading: { words: 'Tides' } } : {}
          const layers = await press
            .layersOf(run({ kind: kind.id, pages: 3, params, ...heading }), {
              runs: [],
              room: { width, height },
              language: 'en-GB',
            })
            .catch(e => {
              // Words that lack, or have no place, are said; nothing else keeps a page from being drawn.
              if (e instanceof Fault && ['words', 'no-place', 'values'].includes(e.code)) return []
              throw e
            })
          if (!layers.length) return
          expect(layers).toHaveLength(3)
          for (const layer of new Set(layers)) {
            const [x0, y0, x1, y1] = boxOf(layer) ?? [0, 0, 0, 0]
            expect(Math.min(x0, y0)).toBeGreaterThanOrEqual(-HALF_LINE)
            expect(x1).toBeLessThanOrEqual(width + HALF_LINE)
            expect(y1).toBeLessThanOrEqual(height + HALF_LINE)
            for (const word of wordsOn(layer)) expect(word.x).toBeLessThanOrEqual(width)
          }
        },
      ),
      // What is made first takes its time; puzzles are drawn in boxes of any size by a test of their own.
      { numRuns: kind.answers ? cases(3, 10) : cases(12, 40) },
    )
  })
  test('makes and draws the same from the same seed', async () => {
    const drawn = async (): Promise<unknown> =>
      (
        await new RunPress(shelf).layersOf(
          run({ kind: kind.id, pages: 2, seed: 7, params: kind.plain as Run['params'] }),
          { runs: [], room: { width: 300, height: 500 }, language: 'en-GB' },
        )
      ).map(l => [pathsOn(l), wordsOn(l)])
    expect(await drawn()).toEqual(await drawn())
  })
})

describe('the press of runs', () => {
  const on = { runs: [], room: { width: 300, height: 500 }, language: 'en-GB' }
  const drawing = (): { press: RunPress; drawn: (r: Run) => Promise<{ layers: Layer[]; drawn: number }> } => {
    const press = new RunPress(shelf)
    return {
      press,
      drawn: async r => {
        let drawn = 0
        const layers = await press.layersOf(r, { ...on, ticker: () => void drawn++ })
        return { layers, drawn }
      },
    }
  }
  test('draws one page for all that are alike, and each where a number tells them apart', async () => {
    const { drawn } = drawing()
    const alike = await drawn(run({ pages: 50, heading: { words: 'Week' } }))
    expect([new Set(alike.layers).size, alike.drawn]).toEqual([1, 1])
    const numbered = await drawn(run({ pages: 50, heading: { words: 'Week', from: 1 } }))
    expect([new Set(numbered.layers).size, numbered.drawn]).toEqual([50, 50])
  })
  test('draws again only what has changed, whatever object says it', async () => {
    const { press, drawn } = drawing()
    const [a, b] = [run({ id: 'a' }), run({ id: 'b', heading: { words: 'Day', from: 3 } })]
    await drawn(a)
    await drawn(b)
    press.turn()
    expect((await drawn(structuredClone(a))).drawn).toBe(0)
    expect((await drawn(structuredClone(b))).drawn).toBe(0)
    expect((await drawn({ ...a, pages: 40 })).drawn).toBe(0)
    expect((await drawn({ ...a, params: { spacing: 21, tone: 0.4 } })).drawn).toBe(1)
    expect((await drawn({ ...b, seed: 2 })).drawn).toBe(4)
    // What two whole plans did not ask for is let go.
    press.turn()
    press.turn()
    expect((await drawn(a)).drawn).toBe(1)
  })
  test('stops when nobody waits any more, and goes on from where it was', async () => {
    const press = new RunPress(shelf)
    const week = run({ pages: 30, heading: { words: 'Week', from: 1 } })
    const stopping = press.layersOf(week, {
      ...on,
      ticker: p => {
        if (p.done === 12) throw new Cancelled()
      },
    })
    await expect(stopping).rejects.toThrow(Cancelled)
    const done: number[] = []
    await press.layersOf(week, { ...on, ticker: p => void done.push(p.done) })
    expect(done).toEqual(Array.from({ length: 18 }, (_, i) => i + 12))
  })
  test('says of which run it knows no kind', async () => {
    await expect(drawing().drawn(run({ kind: 'carved' }))).rejects.toThrow('no kind of page called “carved”')
  })
})

describe('answers', () => {
  const puzzles = run({
    id: 'p',
    kind: 'sudoku',
    pages: 6,
    seed: 5,
    params: { size: '4', band: 'gentle' },
    heading: { words: 'Square', from: 7 },
  })
  const key = run({ id: 'k', kind: 'answers', pages: 2, params: { of: 'p', count: '4' } })
  const drawn = (runs: Run[], which: Run, press = new RunPress(shelf), ticker?: Ticker): Promise<Layer[]> =>
    press.layersOf(which, { runs, room: { width: 300, height: 500 }, language: 'en-GB', ticker })
  const textOf = (layer: Layer): string => pageText({ layers: [{ layer, x: 0, y: 0 }] } as unknown as PageMarks)

  test('repeat the heading of each puzzle and show all of its numbers', async () => {
    const pages = (await drawn([puzzles, key], key)).map(textOf)
    const asked = (await drawn([puzzles, key], puzzles)).map(textOf)
    expect(pages).toHaveLength(2)
    expect(pages.join(' ').match(/Square \d+/g)).toEqual([7, 8, 9, 10, 11, 12].map(n => `Square ${n}`))
    expect(
      pages
        .join(' ')
        .replace(/Square \d+/g, '')
        .match(/\d/g),
    ).toHaveLength(6 * 16)
    for (const page of asked) expect(page.replace(/Square \d+/, '').match(/\d/g)!.length).toBeLessThan(16)
  })
  test('follow the puzzles of their run, which has none of those that a run before it has', async () => {
    const second = { ...puzzles, id: 'q' }
    const runs = [puzzles, second, { ...key, params: { of: 'q', count: '4' } }]
    const [first, then] = [await drawn(runs, puzzles), await drawn(runs, second)].map(pages => pages.map(textOf))
    // Both began with the same seed: what the first has stays, the second has others.
    expect(first).toEqual((await drawn([puzzles], puzzles)).map(textOf))
    for (const page of then!) expect(first).not.toContain(page)
    const answers = (await drawn(runs, runs[2]!)).map(textOf).join(' ')
    const alone = (await drawn([puzzles, key], key)).map(textOf).join(' ')
    expect(answers).not.toBe(alone)
    // One that cannot be made keeps no other from being drawn.
    const never = { ...puzzles, params: { size: '4', band: 'stubborn' } }
    expect((await drawn([never, second], second)).map(textOf)).toEqual(first)
  })
  test('are made from the puzzles as they stand: once for both, anew when these change', async () => {
    const press = new RunPress(shelf)
    let made = 0
    const count: Ticker = p => void (/^Making/.test(p.stage) && p.done === 0 && made++)
    await drawn([puzzles, key], puzzles, press, count)
    const first = await drawn([puzzles, key], key, press, count)
    expect(made).toBe(1)
    const other = { ...puzzles, seed: 6 }
    const then = await drawn([other, key], key, press, count)
    expect(made).toBe(2)
    expect(then.map(textOf)).not.toEqual(first.map(textOf))
    expect((await drawn([puzzles, key], key, press, count)).map(textOf)).toEqual(first.map(textOf))
  })
  test('take as many pages as the puzzles need, and none where these are gone', () => {
    const pagesOf = (p: PagePlan): number[] => fitted(p).runs.map(r => r.pages)
    expect(pagesOf({ runs: [puzzles, key] })).toEqual([6, 2])
    expect(pagesOf({ runs: [{ ...puzzles, pages: 13 }, key] })).toEqual([13, 4])
    expect(pagesOf({ runs: [key] })).toEqual([0])
    // Answers to answers, or to themselves, are none.
    const odd = { ...key, id: 'o', params: { of: 'k', count: '4' } }
    expect(pagesOf({ runs: [puzzles, key, odd] })).toEqual([6, 2, 0])
  })
  test('begin as those of the last puzzles that have none', () => {
    const more = { ...puzzles, id: 'q' }
    expect(newRun({ runs: [puzzles, more, key] }, kindOf('answers')!, 1).params.of).toBe('q')
    expect(newRun({ runs: [puzzles, key] }, kindOf('answers')!, 1).params.of).toBe('p')
    expect(newRun({ runs: [] }, kindOf('answers')!, 1).params.of).toBe('none')
  })
})

describe('planned pages', () => {
  const plan: PagePlan = {
    runs: [
      run({ id: 'r1', pages: 5 }),
      run({
        id: 'r2',
        kind: 'log',
        pages: 4,
        params: { spacing: 20, tone: 0.4, columns: [{ name: 'Date', share: 1 }] },
      }),
      run({ id: 'r3', kind: 'blank', pages: 2, params: {} }),
    ],
  }
  const setWith = async (p: PagePlan, safe = 20): Promise<Interior> => {
    const book = bookOf([])
    const spec = { width: 432, height: 648, inside: 0, bleed: 9 }
    const front = await new Setter(shelf).set({ ...book, sections: [] }, harbourRoman, { ...spec, planned: p.runs })
    return withPlan(front, book, p, { inside: 50, safe, safeWithBleed: safe, runs: new RunPress(shelf), shelf })
  }
  /** The left and right of what is ruled on a page, from the trim. */
  const ruled = (set: Interior, page: number): [number, number] => {
    let box: [number, number] = [0, 0]
    visitPage(set.pages[page]!, v => {
      if ('item' in v && v.item.kind === 'path') {
        const [x0, , x1] = pathBox(v.item.path)
        box = [v.x + x0, v.x + x1]
      }
    })
    return box
  }
  test('stand behind the front pages, numbered from 1, mirrored, even in all; lines lie on lines through the leaf', async () => {
    const set = await setWith(plan)
    expect(plannedPages(plan)).toBe(11)
    expect(set.pages.map(p => p.label)).toEqual(Array.from({ length: 12 }, (_, i) => String(i + 1)))
    const [recto, verso] = [set.pages[0]!, set.pages[1]!]
    expect(recto.layers[0]!.layer).toBe(verso.layers[0]!.layer)
    expect([recto.layers[0]!.x, verso.layers[0]!.x]).toEqual([50, 36])
    // The ruling's left edge on the recto is its right edge on the verso, seen through the paper.
    expect(432 - ruled(set, 0)[1]).toBeCloseTo(ruled(set, 1)[0], 3)
    // Blank runs are meant: they are not empty pages of an accident.
    expect(set.pages[9]!.layers).toHaveLength(1)
    expect([...set.starts]).toEqual(
      expect.arrayContaining([
        ['run:r1', 0],
        ['run:r2', 5],
        ['run:r3', 9],
      ]),
    )
    expect(set.pages.every(p => p.bleed.top === 0)).toBe(true)
  })
  test('of which one run cannot be made: its pages stay blank, the others are drawn, nothing of it is handed on', async () => {
    const never = run({ id: 'never', kind: 'sudoku', pages: 3, params: { size: '4', band: 'stubborn' } })
    const strange = run({ id: 'strange', kind: 'from elsewhere', pages: 1, params: {} })
    const set = await setWith({ runs: [plan.runs[0]!, never, strange, plan.runs[1]!] })
    expect(set.pages.map(p => p.layers.length > 0)).toEqual([
      ...Array.from({ length: 5 }, () => true),
      ...Array.from({ length: 4 }, () => false),
      ...Array.from({ length: 4 }, () => true),
      // To an even number.
      false,
    ])
    expect(set.unmade.map(u => u.run)).toEqual(['never', 'strange'])
    expect(set.unmade[0]!.message).toContain('A sudoku of 4 by 4 is never stubborn')
    expect(() => whole(set)).toThrow('A sudoku of 4 by 4 is never stubborn')
    const good = await setWith(plan)
    expect(whole(good)).toBe(good)
  })
  test('keep the margins they are given, and never less than binding and outlet ask', async () => {
    const set = await setWith({ ...plan, margins: { head: 90, foot: 0, inside: 10, outside: 70 } }, 30)
    expect(set.block).toEqual({ x: 50, y: 90, width: 432 - 50 - 70, height: 648 - 90 - 34 })
    expect(ruled(set, 0)[0]).toBeCloseTo(50, 3)
    expect(ruled(set, 1)[0]).toBeCloseTo(70, 3)
  })
  test('print their folios outside or in the middle, within the safe zone, and none where nothing is printed', async () => {
    for (const folios of ['outside', 'centre'] as const) {
      const set = await setWith({ ...plan, folios })
      const folioOf = (i: number): Layer | undefined => set.pages[i]!.layers[1]?.layer
      for (const i of [0, 1, 8]) {
        const { x, baseline } = folioOf(i)!.text!
        expect(baseline[0]!).toBeLessThanOrEqual(648 - 24)
        expect(baseline[0]!).toBeGreaterThan(648 - 36)
        const outer = i % 2 === 0 ? x[0]! > 300 : x[0]! < 130
        expect(outer).toBe(folios === 'outside')
      }
      expect(folioOf(9)).toBeUndefined()
    }
  })
  test('of which one run has a ground, all have the bleed, and the ground fills leaf and edge', async () => {
    const grounded = { ...plan, runs: plan.runs.map(r => (r.id === 'r2' ? { ...r, ground: { tone: 0.1 } } : r)) }
    const set = await setWith(grounded)
    for (const p of set.pages) {
      expect([p.bleed.top, p.bleed.bottom]).toEqual([9, 9])
      expect([p.bleed.left, p.bleed.right].sort()).toEqual([0, 9])
    }
    const page = set.pages[5]!
    expect(boxOf(page.layers[0]!.layer)).toEqual([-9, -9, 432, 657])
    expect(set.pages[7]!.layers[0]!.layer).toBe(page.layers[0]!.layer)
    expect(set.pages[0]!.layers).toHaveLength(1)
  })
  test('stand between front and back: what comes after begins on the right, is numbered on, and prints those numbers', async () => {
    for (const planned of [11, 12]) {
      const runs = [run({ pages: planned })]
      const made = bookOf([['The tide went out.'], ['It came in again.']])
      const [one, two] = made.sections.filter(x => x.role === 'chapter') as [Section, Section]
      const sections: Section[] = [
        {
          id: 's8',
          part: 'front',
          role: 'preface',
          title: 'How to',
          numbered: false,
          made: false,
          doc: one.doc,
        },
        { ...two, part: 'back', role: 'about-author', title: 'Orla Fenwright' },
      ]
      const book = { ...made, sections, plan: { runs } }
      const spec = { width: 432, height: 648, inside: 0, planned: runs }
      const alone = await new Setter(shelf).set(book, harbourRoman, spec)
      const set = await withPlan(alone, book, book.plan, {
        inside: 50,
        safe: 20,
        safeWithBleed: 20,
        runs: new RunPress(shelf),
        shelf,
      })
      const [front, first, back] = ['s8', 'run:r1', two.id].map(id => set.starts.get(id)!)
      expect(front).toBe(0)
      expect(first! % 2).toBe(0)
      expect(back).toBe(first! + 12)
      expect(set.pages.map(p => p.side)).toEqual(set.pages.map((_, i) => (i % 2 ? 'verso' : 'recto')))
      expect(set.pages.slice(first).map(p => p.label)).toEqual(set.pages.slice(first).map((_, i) => String(i + 1)))
      expect(set.pages.length).toBe(alone.pages.length + 12)
      const words = (page: number): string => pageText(set.pages[page]!)
      expect(words(front!)).toContain('The tide went out.')
      expect(words(back!)).toContain('It came in again.')
    }
  })
  test('stand behind any section: what is written keeps its side and words, numbers go on through all of it', async () => {
    const page = fc.record({ behind: fc.constantFrom(undefined, 's2', 's3', 'gone'), pages: fc.nat(5) })
    await fc.assert(
      fc.asyncProperty(fc.array(page, { maxLength: 4 }), fc.boolean(), async (asked, recto) => {
        const runs = asked.map(({ behind, pages }, i) =>
          run({ id: `r${i + 1}`, pages, ...(behind === undefined ? {} : { behind }) }),
        )
        const made = bookOf([['The tide went out.'], ['It came in again.'], ['And stood.']])
        const sections = made.sections.filter(x => x.role === 'chapter')
        const book = { ...made, sections, plan: { runs } }
        const style = { ...harbourRoman, openings: { ...harbourRoman.openings, recto } }
        const spec = { width: 432, height: 648, inside: 0, planned: runs }
        const alone = await new Setter(shelf).set(book, style, spec)
        const tools = { inside: 50, safe: 20, safeWithBleed: 20, runs: new RunPress(shelf), shelf }
        const set = await withPlan(alone, book, book.plan, tools)
        expect(set.pages.length).toBe(pagesInAll(alone))
        expect(set.pages.length % 2).toBe(0)
        expect(set.pages.map(p => p.label)).toEqual(set.pages.map((_, i) => String(i + 1)))
        expect(set.pages.map(p => p.side)).toEqual(set.pages.map((_, i) => (i % 2 ? 'verso' : 'recto')))
        const starts = [...set.starts].map(([, at]) => at)
        expect(starts).toEqual([...starts].sort((a, b) => a - b))
        for (const s of sections) {
          const at = set.starts.get(s.id)!
          expect(at % 2).toBe(alone.starts.get(s.id)! % 2)
          expect(pageText(set.pages[at]!)).toBe(pageText(alone.pages[alone.starts.get(s.id)!]!))
        }
        // In the order that the plan says, each run from a right-hand page on or right behind another run.
        const order = planOrder(book.plan, sections).flatMap(part =>
          'section' in part ? [part.section.id] : part.run.pages ? [`run:${part.run.id}`] : [],
        )
        expect([...set.starts.keys()]).toEqual(order)
      }),
      { numRuns: cases(12, 200) },
    )
  })
  test('an order and the runs that say it are the same thing', () => {
    const sections = ['s1', 's2', 's3'].map(id => ({ id, part: id === 's1' ? 'front' : 'body' }) as Section)
    const runs = [run({ id: 'r1', behind: 's3' }), run({ id: 'r2' }), run({ id: 'r3', behind: 's2' })]
    const order = planOrder({ runs }, sections)
    expect(order.map(p => ('run' in p ? p.run.id : p.section.id))).toEqual(['r2', 's2', 'r3', 's3', 'r1'])
    const said = runsInOrder(order)
    expect(said.map(r => [r.id, r.behind])).toEqual([
      ['r2', undefined],
      ['r3', 's2'],
      ['r1', 's3'],
    ])
    expect(planOrder({ runs: said }, sections)).toEqual(order)
    // A run goes on where it stood, whatever becomes of its section.
    const book = { ...bookOf([['One.'], ['Two.']]), plan: { runs: [run({ id: 'r1' })] } } as Book
    const [one, two] = book.sections.filter(s => s.part === 'body').map(s => s.id) as [string, string]
    const at = (b: Book): string | undefined => b.plan!.runs[0]!.behind
    const behind = (id: string): Book => ({ ...book, plan: { runs: [run({ id: 'r1', behind: id })] } })
    expect(at(removeSection(behind(two), two))).toBe(one)
    expect(at(removeSection(behind(one), one))).toBeUndefined()
    expect(at(joinSections(behind(two), two))).toBe(one)
    expect(at(joinSections(behind(one), two))).toBe(one)
  })
  test('a new run of each kind has an id of its own and begins as its kind does', () => {
    let p: PagePlan = { runs: [] }
    for (const kind of runKinds) p = { runs: [...p.runs, newRun(p, kind, 9)] }
    expect(new Set(p.runs.map(r => r.id)).size).toBe(runKinds.length)
    for (const r of p.runs) {
      // Answers begin as those of the puzzles that are there.
      const { of: _run, ...own } = r.params
      expect({ ...kindOf(r.kind)!.plain, ...own }).toEqual(kindOf(r.kind)!.plain)
      expect(r.params).not.toBe(kindOf(r.kind)!.plain)
    }
  })
})

describe('how to solve', () => {
  test('every kind says its rules in every language that is offered, as many sentences, no two languages alike', () => {
    for (const kind of runKinds.filter(k => k.howTo)) {
      const { rules } = kind.howTo!
      expect([kind.id, Object.keys(rules).sort()]).toEqual([kind.id, [...printedLanguages].sort()])
      for (const l of printedLanguages) {
        expect([kind.id, l, rules[l]!.length]).toEqual([kind.id, l, rules.en.length])
        for (const sentence of rules[l]!)
          expect([kind.id, l, sentence]).toEqual([kind.id, l, expect.stringMatching(/[.]$/)])
      }
      expect(new Set(printedLanguages.map(l => JSON.stringify(rules[l]))).size).toBe(printedLanguages.length)
    }
  })
  // What is asked is the same in every language: one press makes it once.
  const taughtBy = new RunPress(shelf)
  test.each(['de', 'fi', 'el', 'ru'])(
    'rules stand whole on their page in a language of long words: %s',
    async language => {
      for (const kind of runKinds.filter(k => k.howTo)) {
        const other = run({ id: 'p', kind: kind.id, params: kind.plain as never })
        const taught = run({ id: 'h', kind: 'how-to', pages: 1, params: { of: 'p' } })
        const on = { runs: [other, taught], room: { width: 300, height: 440 }, language }
        const [layer] = await taughtBy.layersOf(taught, on)
        const bare = (t: string): string => t.replace(/\s+/g, '')
        const text = bare(pageText({ layers: [{ layer: layer!, x: 0, y: 0 }] } as PageMarks))
        for (const sentence of kind.howTo!.rules[language]!)
          expect([kind.id, text]).toEqual([kind.id, expect.stringContaining(bare(sentence))])
        const [, , x1, y1] = layerBox(pieceOn(layer!, 'body'))
        expect([kind.id, x1! <= 301, y1! <= 441]).toEqual([kind.id, true, true])
      }
    },
  )
  test.each(runKinds.filter(k => k.answers).map(k => [k.id, k] as const))(
    '%s: its rules, a small one and its answer, each in its place on the page',
    async (_id, kind) => {
      const other = run({ id: 'p', kind: kind.id, params: kind.plain as never })
      const taught = run({ id: 'h', kind: 'how-to', pages: 1, params: { of: 'p' }, heading: { words: 'How to solve' } })
      const on = { runs: [other, taught], room: { width: 300, height: 440 }, language: 'en-GB' }
      const [layer] = await new RunPress(shelf).layersOf(taught, on)
      const text = pageText({ layers: [{ layer: layer!, x: 0, y: 0 }] } as PageMarks).replace(/\s+/g, ' ')
      for (const sentence of kind.howTo!.rules.en) expect(text).toContain(sentence)
      expect(text).toContain('An example')
      const drawings = pieceOn(layer!, 'body').items.filter(i => i.kind === 'group')
      expect(drawings.map(d => d.piece?.id)).toEqual(['rules', 'example', 'answer'])
      expect(drawings[1]).not.toEqual(drawings[2])
      const [rules, example, answer] = drawings.map(d => layerBox({ items: [d] }))
      for (const [x0, y0, x1, y1] of [rules!, example!, answer!])
        expect([x0 > -2, y0 > 0, x1 < 302, y1 < 442]).toEqual([true, true, true, true])
      expect(Math.min(example![1], answer![1])).toBeGreaterThan(rules![3])
      // Beside each other, or one below the other.
      expect(answer![0] >= example![2] - 1 || answer![1] >= example![3] - 1).toBe(true)
    },
  )
  test('for a run that is gone it takes no page, and that is found', () => {
    const gone = run({ id: 'h', kind: 'how-to', pages: 1, params: { of: 'x' } })
    expect(fitted({ runs: [gone] }).runs[0]!.pages).toBe(0)
  })
})
