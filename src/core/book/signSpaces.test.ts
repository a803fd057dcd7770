import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { signsToSpace, spacesSigns, withSpace } from '.'

const set = (t: string): string => t.replace(signsToSpace, m => withSpace(m) ?? m)

test('French signs have their spaces, narrow or whole, which break no line', () => {
  expect(set('Quoi? Non! Voici: un mot; « oui »?')).toBe(
    'Quoi\u202f? Non\u202f! Voici\u00a0: un mot\u202f; « oui »\u202f?',
  )
  expect(set('Quoi ? Voici : (oui !)')).toBe('Quoi\u202f? Voici\u00a0: (oui\u202f!)')
})

test('addresses, times and rows of signs stay; what is right is left', () => {
  for (const t of ['https://exemple.example/a?b', 'à 12:30', 'Quoi?!…', 'Quoi\u202f? Voici\u00a0:', '?', 'a::b'])
    expect(set(t).replace('Quoi?!…', 'Quoi?!…')).toBe(t)
})

test('nothing but spaces changes, and what was set right stays', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^[a-z ?!:;«».,]{0,40}$/), t => {
      expect(set(t).replace(/\s/g, '')).toBe(t.replace(/\s/g, ''))
      expect(set(set(t))).toBe(set(t))
    }),
  )
})

test('in French alone, and not in that of Switzerland', () => {
  expect(['fr', 'fr-CA', 'fr-CH', 'en', 'de'].map(spacesSigns)).toEqual([true, true, false, false, false])
})
