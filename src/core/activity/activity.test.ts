import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf, shelf } from '../../../tests/support/core'
import { harbourRoman, Setter, withPlan } from '../pages'
import type { Run } from '../book'
import { visitPage } from '../marks'
import { pathBox } from '../marks/path'
import { evenly, newRun, plannedPages, rulingLayer, runKinds } from '.'

const run = (patch: Partial<Run>): Run => ({ id: 'r1', kind: 'lined', pages: 4, spacing: 20, tone: 0.4, ...patch })

describe('rulings', () => {
  test('fill their length evenly', () => {
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
  test('of every kind stay in their room, whatever the columns say', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom<Run['kind']>('lined', 'dot', 'log', 'blank'),
        fc.integer({ min: 150, max: 600 }),
        fc.integer({ min: 200, max: 700 }),
        fc.integer({ min: 9, max: 60 }),
        fc.array(
          fc.record({
            name: fc.string({ maxLength: 14, unit: fc.constantFrom('a', 'W', ' ', 'm') }),
            share: fc.double({ min: 0.5, max: 6, noNaN: true }),
          }),
          { minLength: 1, maxLength: 7 },
        ),
        async (kind, width, height, spacing, columns) => {
          const layer = await rulingLayer(
            run({ kind, spacing, columns, heading: 'Tides' }),
            { width, height },
            'en-GB',
            shelf,
          )
          for (const i of layer.items)
            if (i.kind === 'path') {
              const [x0, y0, x1, y1] = pathBox(i.path)
              expect(x0).toBeGreaterThanOrEqual(-0.6)
              expect(y0).toBeGreaterThanOrEqual(-0.6)
              expect(x1).toBeLessThanOrEqual(width + 0.6)
              expect(y1).toBeLessThanOrEqual(height + 0.6)
            }
          const t = layer.text
          for (let i = 0; t && i < t.glyphs.length; i++) expect(t.x[i]!).toBeLessThanOrEqual(width)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('planned pages', () => {
  const plan = {
    runs: [
      run({ id: 'r1', pages: 5 }),
      run({ id: 'r2', kind: 'log', pages: 4, columns: [{ name: 'Date', share: 1 }] }),
      run({ id: 'r3', kind: 'blank', pages: 2 }),
    ],
  }
  test('stand behind the front pages, numbered from 1, mirrored, even in all; lines lie on lines through the leaf', async () => {
    const book = bookOf([])
    const front = await new Setter(shelf).set({ ...book, sections: [] }, harbourRoman, {
      width: 432,
      height: 648,
      inside: 0,
    })
    const set = await withPlan(front, book, plan, 50, 20, shelf)
    expect(plannedPages(plan)).toBe(11)
    expect(set.pages.length).toBe(12)
    expect(set.pages.map(p => p.label)).toEqual(Array.from({ length: 12 }, (_, i) => String(i + 1)))
    const [recto, verso] = [set.pages[0]!, set.pages[1]!]
    expect(recto.layers[0]!.layer).toBe(verso.layers[0]!.layer)
    expect([recto.layers[0]!.x, verso.layers[0]!.x]).toEqual([50, 36])
    // The ruling's left edge on the recto is its right edge on the verso, seen through the paper.
    const box = (p: typeof recto): number[] => {
      let b: number[] = []
      visitPage(p, v => {
        if ('item' in v && v.item.kind === 'path') {
          const [x0, , x1] = pathBox(v.item.path)
          b = [v.x + x0, v.x + x1]
        }
      })
      return b
    }
    expect(432 - box(recto)[1]!).toBeCloseTo(box(verso)[0]!, 3)
    // Blank runs are meant: they are not empty pages of an accident.
    expect(set.pages[9]!.layers).toHaveLength(1)
    expect([...set.starts]).toEqual(
      expect.arrayContaining([
        ['run:r1', 0],
        ['run:r2', 5],
        ['run:r3', 9],
      ]),
    )
  })
  test('a new run of each kind has an id of its own', () => {
    let p = { runs: [] as Run[] }
    for (const kind of Object.keys(runKinds) as Run['kind'][]) p = { runs: [...p.runs, newRun(p, kind)] }
    expect(new Set(p.runs.map(r => r.id)).size).toBe(4)
  })
})
