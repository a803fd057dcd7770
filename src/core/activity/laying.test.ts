import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Run } from '../book'
import { facesOf, kindOf, laidOut, plannedPages } from '.'

const kinds = ['lined', 'word-search', 'week', 'blank']
const runs = fc.array(
  fc.record({ kind: fc.constantFrom(...kinds), pages: fc.integer({ min: 0, max: 9 }), fronts: fc.boolean() }),
  { maxLength: 6 },
)

test('every page of every run is laid once, in order, each run on the side it asks for, its backs behind its fronts', () => {
  fc.assert(
    fc.property(runs, all => {
      const plan: Run[] = all.map(({ kind, pages, fronts }, i) => ({
        id: `r${i}`,
        kind,
        pages,
        seed: 1,
        params: structuredClone(kindOf(kind)!.plain) as Run['params'],
        ...(fronts && { backs: {} }),
      }))
      const laid = laidOut(plan)
      for (const run of plan) {
        const own = laid.flatMap((p, at) => (p.run === run ? [{ ...p, at }] : []))
        expect(own).toHaveLength(facesOf(run))
        expect(own.filter(p => !p.back).map(p => p.index)).toEqual(Array.from({ length: run.pages }, (_, i) => i))
        own.forEach((p, i) => expect(p.at).toBe(own[0]!.at + i))
        for (const p of own) if (run.backs) expect(p.at % 2 === 1).toBe(!!p.back)
        if (own[0] && !run.backs && run.kind === 'week') expect(own[0].at % 2).toBe(1)
      }
      const blanks = laid.filter(p => !p.run).length
      expect(laid.length - blanks).toBe(plannedPages({ runs: plan }))
      // No more than one blank before each run that asks for a side.
      expect(blanks).toBeLessThanOrEqual(plan.filter(r => r.pages && (r.backs ?? r.kind === 'week')).length)
    }),
  )
})
