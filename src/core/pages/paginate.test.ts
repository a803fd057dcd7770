import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type FlowItem, itemOf, ofLines } from './flow'
import { type CutPage, paginate } from './paginate'

describe('cutting into pages', () => {
  const line = (lines: number, more: Partial<FlowItem> = {}): FlowItem =>
    itemOf({ breakable: true, variants: ofLines(lines), draw: () => undefined, ...more })
  const either = (lines: number, ...others: [lines: number, cost: number][]) => [
    ...ofLines(lines),
    ...others.map(([lines, cost]) => ({ ...ofLines(lines)[0]!, cost })),
  ]
  const frame = { lines: 20, leading: 14, noteRule: 9, first: 'recto' as const }

  test('after opening plates, pages stand as they do without them: a shorter spread has its cost there, too', () => {
    const plate = itemOf({ leaf: { draw: () => undefined } as never, variants: ofLines(0), draw: () => undefined })
    for (const mayBeLong of [false, true])
      for (const plates of [2, 4])
        for (let lines = 19; lines < 110; lines++)
          for (const high of [1, 2, 4]) {
            const text = Array.from({ length: Math.ceil(lines / high) }, () => line(high, { breakable: high > 3 }))
            const shorts = (leaves: number): number[] =>
              paginate([...Array.from({ length: leaves }, () => plate), ...text], { ...frame, mayBeLong })
                .pages.filter(p => p.placements.some(x => x.to > x.from))
                .map(p => p.short)
            expect([lines, high, shorts(plates)]).toEqual([lines, high, shorts(0)])
          }
  })
  test('every line is placed once, in order, inside the page', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 1, max: 45 }),
            fc.integer({ min: 0, max: 2 }),
            fc.boolean(),
            fc.constantFrom(0, 0, 0, 1, 2),
          ),
          { minLength: 1, maxLength: 40 },
        ),
        specs => {
          const items = specs.map(([n, before, head, alt]) =>
            line(head ? 1 : n, {
              before,
              keepNext: head,
              breakable: !head,
              variants: alt && !head && n > 3 ? either(n, [n + (alt === 1 ? 1 : -1), 60]) : ofLines(head ? 1 : n),
            }),
          )
          const { pages, unmet } = paginate(items, frame)
          const done = items.map(() => 0)
          let lastItem = -1
          for (const p of pages) {
            let row = -1
            for (const s of p.placements) {
              expect(s.from).toBe(done[s.item])
              expect(s.item).toBeGreaterThanOrEqual(lastItem)
              expect(s.row).toBeGreaterThan(row - (s.from === s.to ? 1 : 0))
              expect(s.row + s.to - s.from).toBeLessThanOrEqual(frame.lines - p.short)
              done[s.item] = s.to
              lastItem = s.item
              row = s.row + s.to - s.from - 1
            }
          }
          pages.forEach(p =>
            p.placements.forEach(s => {
              if (s.to === done[s.item]) expect(done[s.item]).toBe(items[s.item]!.variants[s.variant]!.lines)
            }),
          )
          // Two headings running at a page's foot, or a chapter that ends in a heading, have no better place.
          if (!specs.some(([, , head], i) => head && (i === specs.length - 1 || specs[i + 1]![2])))
            expect(unmet).toMatchObject({ widows: 0, strandedHeads: 0 })
        },
      ),
      { numRuns: 300 },
    )
  })

  test('what cannot be parted and is higher than a page is set all the same, and loses nothing', () => {
    const { pages } = paginate([line(3), line(50, { breakable: false }), line(3)], frame)
    expect(pages.flatMap(p => p.placements.map(s => [s.item, s.to - s.from]))).toEqual([
      [0, 3],
      [1, 50],
      [2, 3],
    ])
  })

  test('a note stands on the page that calls it, and the text makes room', () => {
    const note = { height: 40, draw: () => undefined }
    const items = [line(18), line(6, { variants: ofLines(6, [{ line: 1, note }]) }), line(10)]
    const { pages } = paginate(items, frame)
    const calls = pages.findIndex(p => p.placements.some(s => s.item === 1 && s.from <= 1 && s.to > 1))
    expect(pages[calls]!.notes).toEqual([note])
    expect(pages[calls]!.filled * 14 + 40 + 9).toBeLessThanOrEqual(20 * 14)
  })

  test('facing pages end on the same line where a paragraph can help', () => {
    // 3-line paragraphs cannot be parted: 20 lines a page leave 2 over unless a spread runs short or one is set longer.
    const items = [...Array(40)].map(() => line(3, { variants: either(3, [4, 100]) }))
    expect(paginate(items, frame).unmet.unevenSpreads).toBe(0)
  })

  test('linear in the length', () => {
    const many = (n: number) =>
      [...Array(n)].map((_, i) =>
        line(1 + ((i * 7) % 9), { variants: either(1 + ((i * 7) % 9), [2 + ((i * 7) % 9), 80]) }),
      )
    expect(paginate(many(2000), frame).pages.length).toBeGreaterThan(400)
  })

  /** What a cutting fails in, in the order of the wishes: forbidden line and page ends, lines by which pages end short, lines that the last page lacks. */
  type Failings = [forbidden: number, uneven: number, lastPage: number]
  const worse = (a: Failings, b: Failings): boolean =>
    a[0] !== b[0] ? a[0] > b[0] : a[1] !== b[1] ? a[1] > b[1] : a[2] > b[2]

  /** The least that any cutting fails in: every length of every paragraph, every place to turn, every spread a line short, every gap a line wider. */
  function leastFailings(items: FlowItem[], lines: number, first: 'recto' | 'verso'): Failings {
    const recto = (page: number): boolean => (page % 2 === 0) === (first === 'recto')
    let best: Failings = [Infinity, 0, 0]
    const next = (
      i: number,
      page: number,
      fill: number,
      short: number,
      keep: boolean,
      owed: number,
      f: number,
      u: number,
    ): void => {
      if (!worse(best, [f, u, 0])) return
      if (i === items.length) {
        const found: Failings = [f, u, page > 0 && fill > 0 && fill < 5 ? 5 - fill : 0]
        if (worse(best, found)) best = found
        return
      }
      const item = items[i]!
      for (const v of item.variants)
        for (let flex = 0; flex <= (fill > 0 ? item.flex : 0); flex++)
          lay(i, v.lines, 0, page, fill + (fill > 0 ? Math.max(owed, item.before) + flex : 0), fill, short, keep, f, u)
    }
    // Lines `done` to `all` of an item are to be laid from a row on; the page was filled to `before` when its turn came.
    const lay = (
      i: number,
      all: number,
      done: number,
      page: number,
      row: number,
      before: number,
      short: number,
      keep: boolean,
      f: number,
      u: number,
    ): void => {
      const item = items[i]!
      const cap = lines - short
      const rest = all - done
      if (row + rest <= cap) next(i + 1, page, row + rest, short, item.keepNext, item.after, f, u)
      const begins = done === 0 && before > 0
      for (let k = begins ? 0 : 1; k < rest && (k === 0 || row + k <= cap); k++) {
        if (k > 0 && !item.breakable) break
        const torn = k > 0 && ((done + k < 2 && all > 1) || rest - k < 2)
        const stranded = keep && begins && k < Math.min(2, all)
        const left = Math.max(0, cap - (k ? row + k : before))
        for (const s of recto(page + 1) ? [short] : [0, 1])
          lay(i, all, done + k, page + 1, 0, 0, s, keep, f + (torn ? 1 : 0) + (stranded ? 1 : 0), u + left)
      }
    }
    for (const short of [0, 1]) next(0, 0, 0, short, false, 0, 0, 0)
    return best
  }
  const failingsOf = (pages: CutPage[], unmet: ReturnType<typeof paginate>['unmet'], lines: number): Failings => {
    const last = pages.length - 1
    const filled = pages[last]!.filled
    return [
      unmet.widows + unmet.strandedHeads,
      pages.slice(0, last).reduce((n, p) => n + Math.max(0, lines - p.short - p.filled), 0),
      last > 0 && filled < 5 ? 5 - filled : 0,
    ]
  }

  test('no widow, orphan or stranded head that any way of cutting avoids; where all pages can end level they do, and the last has its lines', () => {
    const spec = fc.record({
      lines: fc.integer({ min: 1, max: 6 }),
      before: fc.integer({ min: 0, max: 1 }),
      head: fc.boolean(),
      whole: fc.boolean(),
      flex: fc.integer({ min: 0, max: 1 }),
      other: fc.constantFrom(0, 0, 1, -1),
    })
    let [forced, level] = [0, 0]
    fc.assert(
      fc.property(
        fc.array(spec, { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 8, max: 10 }),
        fc.constantFrom<'recto' | 'verso'>('recto', 'verso'),
        (specs, lines, first) => {
          const items = specs.map(s =>
            s.head
              ? line(1, { before: s.before, keepNext: true, breakable: false })
              : line(s.lines, {
                  before: s.before,
                  flex: s.flex,
                  breakable: !s.whole,
                  variants: s.other && s.lines > 2 ? either(s.lines, [s.lines + s.other, 60]) : ofLines(s.lines),
                }),
          )
          const { pages, unmet } = paginate(items, { ...frame, lines, first })
          const least = leastFailings(items, lines, first)
          const found = failingsOf(pages, unmet, lines)
          expect(found[0]).toBe(least[0])
          if (least[0] + least[1] === 0) expect(found).toEqual(least)
          if (least[0]) forced++
          else if (!least[1] && pages.length > 1) level++
        },
      ),
      { numRuns: 600 },
    )
    // Some have no faultless way at all, and some can be level.
    expect(Math.min(forced, level)).toBeGreaterThan(0)
  })
})
