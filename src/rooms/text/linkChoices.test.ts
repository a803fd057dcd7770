import { expect, test } from '@jest/globals'
import { bookOf } from '../../../tests/support/core'
import type { Book } from '@/core/book'
import { linkChoices, placeName } from './linkChoices'

const plain = bookOf([
  ['The bell of Merrow Sound hung in an iron cage at the seaward corner of the quay, and had a rope.'],
  ['Soot fell.'],
])
const book: Book = {
  ...plain,
  sections: plain.sections.map(s =>
    s.id === 's2'
      ? {
          ...s,
          title: 'The Bell Again',
          doc: {
            ...s.doc,
            content: [
              ...s.doc.content,
              { type: 'heading', attrs: { id: 'h1', level: 1 }, content: [{ type: 'text', text: 'Of bells' }] },
            ],
          },
        }
      : s,
  ),
}

test('places are found by their words: sections, then headings, then where the words stand', () => {
  expect(linkChoices(book, 'BELL').map(c => [c.kind, c.name.slice(0, 14), c.within])).toEqual([
    ['section', 'The Bell Again', undefined],
    ['heading', 'Of bells', 'The Bell Again'],
    ['place', 'The bell of Me', 'Title 1'],
  ])
  expect(linkChoices(book, 'rope').map(c => c.name)).toEqual([expect.stringMatching(/^… .*had a rope\.$/)])
  // Two letters stand everywhere: only names are searched for them.
  expect(linkChoices(book, 'so')).toEqual([])
  expect(linkChoices(book, '', 2)).toHaveLength(2)
  expect(linkChoices(book, 'nothing like it')).toEqual([])
})

test('what a link leads to has a name, as long as it is there, in a quotation, too', () => {
  const quoted: Book = {
    ...book,
    sections: book.sections.map(s =>
      s.id === 's1'
        ? {
            ...s,
            doc: {
              type: 'doc',
              content: [
                {
                  type: 'quote',
                  attrs: { id: 'q1' },
                  content: [
                    { type: 'paragraph', attrs: { id: 'q2' }, content: [{ type: 'text', text: 'Said once.' }] },
                  ],
                },
              ],
            },
          }
        : s,
    ),
  }
  expect(placeName(quoted, 'q2')).toBe('Said once.')
  expect([placeName(book, 's2'), placeName(book, 'h1'), placeName(book, 'gone')]).toEqual([
    'The Bell Again',
    'Of bells',
    undefined,
  ])
})
