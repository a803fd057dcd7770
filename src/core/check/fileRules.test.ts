import { expect, test } from '@jest/globals'
import { shippedProfiles } from '../outlets'
import { heavyFiles, remedyWords } from '.'

test('files that are heavier than the outlet takes stop, by so much; what is as heavy as it takes does not', () => {
  const profile = shippedProfiles.find(p => p.print)!
  const { interiorMb, coverMb } = profile.print!
  const found = (interior: number, cover: number) => heavyFiles(profile, { interior, cover })
  expect(found(interiorMb * 1e6, coverMb * 1e6)).toEqual([])
  const [pages, wrap] = found(interiorMb * 1e6 + 1_500_000, coverMb * 1e6 + 1)
  expect(pages).toMatchObject({ severity: 'stop', amount: '1.5 MB', place: { kind: 'edition' } })
  expect(wrap).toMatchObject({ severity: 'stop', place: { kind: 'cover' } })
  expect(new Set([pages, wrap].map(f => remedyWords(f!))).size).toBe(2)
  expect(heavyFiles({ ...profile, print: undefined }, { interior: 1e12, cover: 1e12 })).toEqual([])
})

test('what a remedy speaks of stands in its words as it is, signs and all', () => {
  expect(remedyWords({ remedy: 'raise the price', remedyValue: '$&3.99' })).toBe('Raise the price to $&3.99 or more.')
})
