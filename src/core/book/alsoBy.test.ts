import { expect, test } from '@jest/globals'
import { bookOf } from '../../../tests/support/core'
import { alsoBy, type Book, docText, matterState, placeMatter } from '.'

const book = (id: string, title: string, series?: [string, number?], author = 'Orla Fenwright'): Book => {
  const b = bookOf([['x']], title)
  const data = { ...b.data, contributors: [{ name: author, role: 'aut' }] }
  return {
    ...b,
    id,
    data: series ? { ...data, series: { name: series[0], ...(series[1] && { number: series[1] }) } } : data,
  }
}
const all = [
  book('a', 'Ebb', ['Tides', 2]),
  book('b', 'Flood', ['Tides', 1]),
  book('c', 'Neap', ['Tides']),
  book('d', 'A Lamp'),
  book('e', 'Bees', ['Apiaries', 1]),
  book('f', 'By Another', undefined, 'Ned Tolley'),
]
const listOf = (b: Book): string[] => docText(alsoBy(b, all)!.doc).split('\n')

test('an author’s other books stand by series, the book’s own first, each in its order; those of others do not', () => {
  expect(listOf(all[0]!)).toEqual(['Tides', 'Flood', 'Neap', 'Apiaries', 'Bees', 'A Lamp'])
  expect(listOf(all[4]!)).toEqual(['Tides', 'Flood', 'Ebb', 'Neap', 'A Lamp'])
  expect(alsoBy(all[0]!, all)!.title).toBe('Also by Orla Fenwright')
  expect(alsoBy({ ...all[0]!, data: { ...all[0]!.data, language: 'fr' } }, all)!.title).toBe('Du même auteur')
  expect([alsoBy(all[5]!, all), alsoBy(all[0]!, [])]).toEqual([undefined, undefined])
})

test('a list that was placed is behind as soon as a book comes', () => {
  const placed = placeMatter(all[0]!, alsoBy(all[0]!, all)!)
  const section = placed.sections.find(s => s.matter)!
  expect(matterState(section, alsoBy(all[0]!, all))).toBe('as kept')
  expect(matterState(section, alsoBy(all[0]!, [...all, book('g', 'Springs', ['Tides', 3])]))).toBe('behind')
})
