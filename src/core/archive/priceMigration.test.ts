import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { patched } from '../book'
import { withPricesByCurrency } from './priceMigration'

const edition = (price?: number) => ({
  id: 'p',
  kind: 'paperback',
  outlets: ['a'],
  style: 's',
  ...(price ? { price } : {}),
})
const old = { editions: [edition(1399), edition()], words: [{ phrase: 'tide', price: 3 }] }

describe('prices of earlier versions', () => {
  test('are prices in dollars; a price of anything else stays what it is', () => {
    const now = withPricesByCurrency(old)
    expect(now.editions[0]).toEqual({ id: 'p', kind: 'paperback', outlets: ['a'], style: 's', prices: { USD: 1399 } })
    expect(now.editions[1]).toEqual(old.editions[1])
    expect(now.words).toEqual(old.words)
    expect(withPricesByCurrency(now)).toEqual(now)
  })
  test('are changed back and forth by their histories as before', () => {
    const patches = [
      { path: ['editions', 0, 'price'], before: 1399, after: 1499 },
      { path: ['editions', 1, 'price'], after: 99 },
      { path: ['editions', 0, 'outlets'], before: ['a'], after: ['b'] },
    ]
    fc.assert(
      fc.property(fc.subarray(patches), some => {
        const now = withPricesByCurrency(old)
        const change = withPricesByCurrency({ id: 3, record: some })
        expect(patched(now, change.record)).toEqual(withPricesByCurrency(patched(old, some)))
        expect(patched(patched(now, change.record), change.record, true)).toEqual(now)
      }),
    )
  })
})
