import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { slugOf } from '.'

test('a slug keeps a word whole, whatever stands over its letters', () => {
  expect(slugOf('Élan', 'book')).toBe('elan')
  expect(slugOf('The Tidewarden’s Almanac', 'book')).toBe('the-tidewardens-almanac')
  expect(slugOf('Über Straßen & Öl', 'book')).toBe('uber-strassen-ol')
  expect(slugOf('潮', 'book')).toBe('book')
  expect(slugOf('a '.repeat(50), 'book', 10)).toBe('a-a-a-a-a')
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.integer({ min: 1, max: 60 }), (t, most) => {
      const s = slugOf(t, 'x', most)
      expect(s).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/)
      expect(s.length).toBeLessThanOrEqual(most)
      expect(slugOf(s, 'x', most)).toBe(s)
    }),
  )
})
