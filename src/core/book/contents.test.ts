import { expect, test } from '@jest/globals'
import { strFromU8, unzipSync } from 'fflate'
import { bookOf, setBook } from '../../../tests/support/core'
import { pageText } from '../marks'
import { writeEpub } from '../epub'
import { type Book, isListed, listsBareNumbers } from '.'

const plain = bookOf([['One.'], ['Two.'], ['Three.']])
const withIn = (id: string, patch: object): Book => ({
  ...plain,
  sections: plain.sections.map(s => (s.id === id ? { ...s, ...patch } : s)),
})
const contents = plain.sections.find(s => s.role === 'contents')!
const navOf = (book: Book): string => {
  const files = unzipSync(writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => undefined }))
  return strFromU8(Object.entries(files).find(([name]) => name.endsWith('nav.xhtml'))![1])
}

test('an entry that is left out is in no contents, of print or ebook; its section stays', async () => {
  const book = withIn('s2', { unlisted: true })
  const { pages, starts } = await setBook(book)
  const list = pageText(pages[starts.get(contents.id)!]!)
  expect([list.includes('Title 1'), list.includes('Title 2'), list.includes('Title 3')]).toEqual([true, false, true])
  expect(starts.has('s2')).toBe(true)
  const nav = navOf(book)
  expect([nav.includes('Title 1'), nav.includes('Title 2')]).toEqual([true, false])
  expect(book.sections.filter(isListed).map(s => s.id)).toEqual(['s1', 's3'])
})

test('contents that stay out of print are in the ebook', async () => {
  const book = withIn(contents.id, { unprinted: true })
  expect((await setBook(book)).starts.has(contents.id)).toBe(false)
  expect(navOf(book)).toContain('Title 2')
})

test('a list of numbers with hardly a title is known', () => {
  const untitled = (n: number): Book => ({
    ...plain,
    sections: plain.sections.map(s => (s.role === 'chapter' && Number(s.id.slice(1)) <= n ? { ...s, title: '' } : s)),
  })
  expect([0, 1, 2, 3].map(n => listsBareNumbers(untitled(n).sections, 'en'))).toEqual([false, false, true, true])
  expect(
    listsBareNumbers(
      plain.sections.map(s => ({ ...s, numbered: false, title: '' })),
      'en',
    ),
  ).toBe(false)
})
