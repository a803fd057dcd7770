import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { blockIds, type Book, bookText, withOwnIds } from '.'
import { highestId, renameIds } from './identity'

const all = (b: Pick<Book, 'sections'>): string[] => b.sections.flatMap(s => [s.id, ...blockIds(s.doc)])

describe('ids', () => {
  test('whatever ids a book bears, they become its own: each once, those that were first keep theirs, no word moves', () => {
    fc.assert(
      fc.property(anyBook, fc.integer({ min: 1, max: 6 }), (book, few) => {
        let n = 0
        // As books were: the same few ids in every section, some empty.
        const doubled = {
          ...book,
          lastId: undefined as never,
          sections: book.sections.map(s => ({
            ...s,
            doc: renameIds(s.doc, () => (n++ % 5 ? `b${1 + (n % few)}` : '')),
          })),
        }
        const own = withOwnIds(doubled)
        const ids = all(own)
        expect(ids.every(Boolean)).toBe(true)
        expect(new Set(ids).size).toBe(ids.length)
        expect(own.lastId).toBeGreaterThanOrEqual(highestId(own.sections))
        expect(bookText(own)).toBe(bookText(doubled))
        const first = doubled.sections
          .filter(s => !s.made)
          .flatMap(s => blockIds(s.doc))
          .find(Boolean)
        if (first) expect(own.sections.filter(s => !s.made).flatMap(s => blockIds(s.doc))).toContain(first)
        // A sound book comes back the very same, and ids that are taken away are not given again.
        expect(withOwnIds(own)).toBe(own)
        const fewer = withOwnIds({ ...own, sections: own.sections.slice(1) })
        expect(fewer.lastId).toBe(own.lastId)
      }),
      { numRuns: 60 },
    )
  })
  test('an id of a length that no counter reaches does not break the counter', () => {
    expect(
      highestId([
        { id: 's99999999999999999999', doc: { type: 'doc', content: [{ type: 'scene_break', attrs: { id: 'b7' } }] } },
      ]),
    ).toBe(7)
  })
})
