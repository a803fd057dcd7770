import { expect, test } from '@jest/globals'
import { readManuscript } from '@/core/intake'
import { problemWith, saysOf, withSaid } from './says'

const typed = `<p style="text-align:center;font-size:28pt">The Salt Lamp</p><p>by Ada Pell</p><p>Copyright © 2021 Ada Pell. All rights reserved.</p><p>ISBN 978-0-00-000204-4</p><h1>Chapter One</h1><p>Salt was dear.</p><h1>Chapter Two</h1><p>Rope.</p>`

test('what typed pages say is offered: title, author, year, ISBN, rights; what is changed or emptied is so in the book', () => {
  const { book, isbn } = readManuscript('a.html', new TextEncoder().encode(typed))
  const says = saysOf(book, isbn)
  expect(says).toEqual({
    title: 'The Salt Lamp',
    author: 'Ada Pell',
    year: '2021',
    isbn: '9780000002044',
    rights: expect.stringContaining('All rights reserved'),
  })
  const editions = [
    { id: 'e', kind: 'ebook' as const, outlets: [], style: 's' },
    { id: 'p', kind: 'paperback' as const, outlets: [], style: 's' },
  ]
  const is = withSaid({ ...book, editions }, { ...says, author: 'Ada Pell; Corwin Hask', year: '', rights: '' })
  expect(is.data.contributors.map(c => [c.name, c.role])).toEqual([
    ['Ada Pell', 'aut'],
    ['Corwin Hask', 'aut'],
  ])
  expect(is.data).not.toHaveProperty('year')
  expect(is.data).not.toHaveProperty('rights')
  expect(is.editions.map(e => e.isbn)).toEqual([undefined, '9780000002044'])
  expect(withSaid({ ...book, editions }, says).data).toEqual(book.data)
})

test('what cannot be is said to be so', () => {
  expect(problemWith('title', ' ')).toMatch(/title/)
  expect(problemWith('year', '21')).toMatch(/four figures/)
  expect(problemWith('isbn', '978-0-00-000204-5')).toMatch(/no ISBN/)
  for (const [name, value] of [
    ['year', ''],
    ['isbn', ''],
    ['isbn', '978-0-00-000204-4'],
    ['year', '2021'],
    ['author', ''],
  ] as const)
    expect(problemWith(name, value)).toBeUndefined()
})
