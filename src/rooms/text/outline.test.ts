import { expect, test } from '@jest/globals'
import { addSection, newSection } from '@/core/book'
import { bookOf, paragraph } from '../../../tests/support/core'
import { sameOutline } from './useOutline'

test('an outline stays while words change, and is another as soon as anything else does', () => {
  const book = bookOf([['One.'], ['Two.']])
  const worded = {
    ...book,
    lastId: 99,
    sections: book.sections.map(s => ({ ...s, doc: { type: 'doc' as const, content: [paragraph('x', 'Other.')] } })),
  }
  expect(sameOutline(book, worded)).toBe(true)
  const first = book.sections[0]!
  for (const other of [
    addSection(book, newSection(book, 'chapter')),
    { ...book, sections: [...book.sections].reverse() },
    { ...book, sections: [{ ...first, title: 'Another' }, ...book.sections.slice(1)] },
    { ...book, sections: [{ ...first, unlisted: true as const }, ...book.sections.slice(1)] },
    { ...book, data: { ...book.data, language: 'de' } },
  ])
    expect(sameOutline(book, other)).toBe(false)
})
