import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { inCase, nextCase } from '.'

test('capitals, small letters and titles follow the language', () => {
  expect(inCase('the bell of the harbour-master’s quay', 'title', 'en-GB')).toBe(
    'The Bell of the Harbour-Master’s Quay',
  )
  expect(inCase('DIE GROSSE GLOCKE', 'title', 'de')).toBe('Die grosse glocke')
  expect(inCase('ijs op het water', 'title', 'nl')).toBe('IJs op het water')
  expect(inCase('straße', 'capitals', 'de')).toBe('STRASSE')
  expect(inCase('ΠΟΛΗ', 'small', 'el')).toBe('πολη')
})

test('one after the other, and round again', () => {
  const told: string[] = []
  for (let t = 'the bell', i = 0; i < 4; i++) told.push((t = inCase(t, nextCase(t, 'en'), 'en')))
  expect(told).toEqual(['The Bell', 'THE BELL', 'the bell', 'The Bell'])
})

test('nothing but the case of letters changes', () => {
  fc.assert(
    fc.property(
      fc.stringMatching(/^[a-zA-Zéü ,.’-]{0,40}$/),
      fc.constantFrom('title' as const, 'small' as const, 'capitals' as const),
      (t, as) => {
        expect(inCase(t, as, 'en').toLowerCase()).toBe(t.toLowerCase())
      },
    ),
  )
})
