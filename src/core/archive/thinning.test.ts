import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { thinnedOut, type VersionKind } from '.'

const DAY = 24 * 3600 * 1000
const NOW = 20_000 * DAY
const dayOf = (at: number): number => Math.floor(at / DAY)

test('all of two days, one a day for a month, one a week for a year, then one a month; the last of each', () => {
  const ages = [0.1, 1.9, 2.2, 2.4, 2.6, 10.1, 10.5, 40, 41, 42, 300, 700, 702, 760]
  const versions = ages.map(a => ({ at: NOW - a * DAY, kind: 'sitting' as const, a }))
  expect(thinnedOut(versions, NOW, dayOf).map(v => v.a)).toEqual([2.4, 2.6, 10.5, 41, 42, 702])
})

test('what was named or sent stays; thinning twice takes no more; of what goes something newer near it stays', () => {
  const version = fc.record({
    at: fc.double({ min: 0, max: 900, noNaN: true }).map(a => NOW - a * DAY),
    kind: fc.constantFrom<VersionKind | undefined>('sitting', 'before', 'sent', undefined),
  })
  fc.assert(
    fc.property(fc.array(version, { maxLength: 60 }), versions => {
      const going = new Set(thinnedOut(versions, NOW, dayOf))
      const left = versions.filter(v => !going.has(v))
      expect(thinnedOut(left, NOW, dayOf)).toEqual([])
      for (const v of going) {
        expect(['sitting', 'before']).toContain(v.kind)
        expect(NOW - v.at).toBeGreaterThanOrEqual(2 * DAY)
        expect(left.some(l => l.at >= v.at && l.at - v.at <= 31 * DAY)).toBe(true)
      }
    }),
  )
})
