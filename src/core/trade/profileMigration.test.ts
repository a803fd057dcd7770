import { describe, expect, test } from '@jest/globals'
import { currentProfile, readProfile } from '.'
import { shippedProfiles } from '../outlets'

/** A profile of version 1, as a shop of ebooks and print wrote it. */
const old = {
  format: 'porchlight-outlet',
  version: 1,
  currency: 'USD',
  exchange: { USD: '1', EUR: '0.92' },
  id: 'old',
  name: 'Old Quay',
  kind: 'shop',
  vat: { US: '0', DE: '0.07', XX: '0.2' },
  print: {
    ...shippedProfiles[0]!.print,
    proof: undefined,
    finishes: ['matt', 'gloss'],
    bindings: shippedProfiles[0]!.print!.bindings.map(b => ({ ...b, coverAs: 'one sheet' })),
  },
  royalty: { print: [{ channel: 'own shop', share: '0.5' }], ebook: [] },
  listing: { neverChanged: ['isbn'] },
  review: { first: { least: 1, most: 2 }, revision: { least: 1, most: 2 } },
  shops: ['Sandpiper'],
  notes: ['Low-content books take one category and no partner shops.'],
}

describe('profiles of version 1', () => {
  test('are read, and keep what they say', () => {
    const now = readProfile(JSON.parse(JSON.stringify(old)))
    expect(now).toMatchObject({
      version: 2,
      name: 'Old Quay',
      exchange: old.exchange,
      territories: [
        { code: 'US', currency: 'USD', vat: '0' },
        { code: 'DE', currency: 'EUR', vat: '0.07' },
        { code: 'XX', name: 'XX', currency: 'USD', vat: '0.2' },
      ],
      reach: { shops: ['Sandpiper'], each: false },
      revisions: { fee: 0 },
      notes: old.notes,
    })
    expect(now.print!.finishes).toEqual([{ name: 'matt' }, { name: 'gloss' }])
    // A note is for the eye: no rule is made of it.
    expect(now.listing.lowContentCategories).toBeUndefined()
  })
  test('of this version, and anything else, stays the very same', () => {
    for (const v of [shippedProfiles[0], { version: 1 }, null, 'x', [old]]) expect(currentProfile(v)).toBe(v)
    const once = currentProfile(old)
    expect(currentProfile(once)).toBe(once)
  })
  test('a shop without tax or a table of shops sells at home', () => {
    const { vat: _vat, shops: _shops, print: _print, ...bare } = old
    expect(readProfile(JSON.parse(JSON.stringify(bare)))).toMatchObject({
      territories: [{ code: 'US', currency: 'USD', vat: '0' }],
    })
  })
})
