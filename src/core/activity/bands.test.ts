import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Section } from '../book'
import { bandsOf, partId } from './bands'
import type { PlanPart } from './run'

const part = (id: string, pages: number | undefined): PlanPart =>
  pages === undefined
    ? { section: { id } as Section }
    : { run: { id, kind: 'lined', pages, seed: 1, params: { spacing: 20, tone: 0.4 } } }

/** A front, then parts of so many pages, each perhaps with blanks behind it: where they begin, and how many pages that makes. */
const books = fc
  .record({
    front: fc.nat(4),
    parts: fc.array(fc.record({ pages: fc.nat(9), blanks: fc.nat(2), written: fc.boolean() }), { maxLength: 8 }),
  })
  .map(({ front, parts }) => {
    let at = front
    const starts = new Map<string, number>()
    const order = parts.map(({ pages, blanks, written }, i) => {
      const own = part(`p${i}`, written ? undefined : pages)
      if (pages) starts.set(written ? `p${i}` : `run:p${i}`, at)
      at += pages + (pages ? blanks : 0)
      return own
    })
    return { order, starts, total: at, parts, front }
  })

test('every page is in one band, in order, and a run has no more than its own', () => {
  fc.assert(
    fc.property(books, ({ order, starts, total, parts, front }) => {
      const bands = bandsOf(order, starts, total)
      let at = 0
      for (const b of bands) {
        expect(b.from).toBe(at)
        expect(b.to).toBeGreaterThan(b.from)
        at = b.to
      }
      expect(at).toBe(total)
      parts.forEach(({ pages, blanks, written }, i) => {
        const own = bands.find(b => typeof b.of === 'object' && partId(b.of) === `p${i}`)
        expect(own ? own.to - own.from : 0).toBe(pages && (written ? pages + blanks : pages))
      })
      const named = bands.find(b => b.of === 'front')
      expect(named ? named.to : 0).toBe(starts.size ? front : total)
    }),
  )
})
