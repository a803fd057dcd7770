import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { bookText } from '@/core/book'
import { proposed, withStruck } from './understanding'

const words = (t: string): string[] => t.split(/\s+/).filter(Boolean).sort()

describe('what is proposed', () => {
  test('is every section that is not made, with how it begins; the first of a part cannot be struck', () => {
    const list = proposed(bookOf([['Once upon a tide.'], ['Then.'], ['Last.']]))
    expect(list.map(s => [s.begins, s.words, s.strikable])).toEqual([
      ['Once upon a tide.', 4, false],
      ['Then.', 1, true],
      ['Last.', 1, true],
    ])
  })
  test('struck, a section runs on in the one before, and no word of any book is lost', () => {
    const struck = withStruck(bookOf([['One.'], ['Two.'], ['Three.']]), new Set(['s2', 's3']))
    expect(struck.sections.filter(s => !s.made).map(s => s.doc.content.length)).toEqual([5])
    fc.assert(
      fc.property(anyBook, fc.array(fc.nat(8)), (book, picks) => {
        const ids = new Set(picks.map(i => book.sections[i]?.id).filter((x): x is string => !!x))
        expect(words(bookText(withStruck(book, ids)))).toEqual(words(bookText(book)))
      }),
      { numRuns: 60 },
    )
  })
})
