import { expect, test } from '@jest/globals'
import { bookOf, chapter, paragraph } from '../../../tests/support/core'
import type { BlockJson, Book } from '@/core/book'
import { placeOf, sectionOf, wordsAt } from './place'

const note: BlockJson = {
  ...paragraph('p2', ''),
  content: [
    { type: 'text', text: 'Salt' },
    { type: 'footnote', attrs: { id: 'n1' }, content: [{ type: 'text', text: 'From the pans.' }] },
    { type: 'text', text: ' and  rope.' },
  ],
}
const quote: BlockJson = { type: 'quote', attrs: { id: 'q1' }, content: [paragraph('p3', 'Inside.')] }
const book: Book = {
  ...bookOf([]),
  sections: [
    chapter('s7', 'One', {
      type: 'doc',
      content: [paragraph('p1', 'Again.'), note, quote, paragraph('p4', 'Again.')],
    }),
  ],
}
const path = 'OEBPS/text/s7.xhtml'

test('words of an ebook are found where they are written, those that are said twice by their order', () => {
  expect(sectionOf(path)).toBe('s7')
  expect(placeOf(book, path, 'Again.', 0)).toEqual({ section: 's7', block: 'p1' })
  expect(placeOf(book, path, 'Again.', 1)).toEqual({ section: 's7', block: 'p4' })
  expect(placeOf(book, path, 'Salt and rope.')).toEqual({ section: 's7', block: 'p2' })
  expect(placeOf(book, path, 'Inside.')).toEqual({ section: 's7', block: 'p3' })
  expect(placeOf(book, path, 'Nobody wrote this.')).toEqual({ section: 's7' })
  expect(placeOf(book, 'OEBPS/text/nav.xhtml', 'Contents')).toBeUndefined()
})

test('what is written is found in the ebook by its words', () => {
  expect(wordsAt(book, 's7', 'p2')).toBe('Salt and rope.')
  expect(wordsAt(book, 's7', 'p9')).toBeUndefined()
})
