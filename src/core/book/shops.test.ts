import { describe, expect, test } from '@jest/globals'
import { strFromU8 } from 'fflate'
import { bookOf, chapter } from '../../../tests/support/core'
import { buildEpub } from '../epub'
import { addressAt, alsoBy, type Book, isShops, matterState, placeMatter, schema, shopsIn, shopsOf } from '.'

const OST = 'https://ostrevane.example/books/flood'
const PEL = 'https://pellowick.example/9?b=flood'
const named = (id: string, title: string, more: Partial<Book> = {}): Book => {
  const b = bookOf([['x']], title)
  return { ...b, id, data: { ...b.data, contributors: [{ name: 'Orla Fenwright', role: 'aut' }] }, ...more }
}
const editions: Book['editions'] = [
  { id: 'paper', kind: 'paperback', outlets: ['ostrevane', 'tarnbrook'], style: 'harbour-roman' },
  { id: 'ebook', kind: 'ebook', outlets: ['ostrevane', 'pellowick'], style: 'harbour-roman' },
]
const flood = named('b', 'Flood', {
  editions,
  listings: {
    'paper/ostrevane': { address: 'https://ostrevane.example/books/flood-on-paper' },
    'ebook/ostrevane': { address: OST },
    'ebook/pellowick': { address: PEL },
  },
})
const ebb = named('a', 'Ebb')
const neap = named('c', 'Neap')

describe('where a book stands at outlets', () => {
  test('is what its listings say, the ebook’s page before that of paper', () => {
    expect(shopsOf(flood)).toBe(`ostrevane ${OST}\npellowick ${PEL}`)
    expect(shopsOf(neap)).toBe('')
    expect([addressAt(shopsOf(flood), 'pellowick'), addressAt(shopsOf(flood), 'tarnbrook')]).toEqual([PEL, undefined])
  })
  test('is a page in the web and nothing else', () => {
    for (const bad of ['', 'ostrevane', `Ostrevane ${OST}`, 'ostrevane javascript:alert(1)', `ostrevane ${OST}\nx`])
      expect(isShops(bad)).toBe(false)
    const doc = (at: string) => ({
      type: 'doc',
      content: [
        { type: 'paragraph', content: [{ type: 'text', text: 'x', marks: [{ type: 'shops', attrs: { at } }] }] },
      ],
    })
    expect(() => schema.nodeFromJSON(doc(`ostrevane ${OST}`)).check()).not.toThrow()
    expect(() => schema.nodeFromJSON(doc('ostrevane x')).check()).toThrow('an address that is none')
  })
})

describe('the list of an author’s other books', () => {
  const list = alsoBy(ebb, [ebb, flood, neap])!
  const placed = placeMatter({ ...ebb, sections: [chapter('s1', 'Tides', bookOf([['x']]).sections[0]!.doc)] }, list)
  const listIn = (outlet: string | undefined, linksTo?: string[]): string => {
    const epub = buildEpub(placed, {
      date: '2026-03-09T04:10:00Z',
      picture: () => undefined,
      ...(outlet ? { outlet } : {}),
      ...(linksTo ? { linksTo } : {}),
    })
    return epub.items.map(i => strFromU8(i.data)).find(t => t.includes('also-by'))!
  }
  test('leads in each outlet’s ebook to their pages there, and to no other shop', () => {
    expect(listIn('ostrevane')).toContain(`<a href="${OST}"><em>Flood</em></a>`)
    expect(listIn('pellowick', ['pellowick.example'])).toContain(`<a href="${PEL}"><em>Flood</em></a>`)
    for (const none of [listIn('tarnbrook'), listIn(undefined), listIn('ostrevane', ['elsewhere.example'])]) {
      expect(none).not.toContain('<a ')
      expect(none).toContain('<em>Flood</em>')
    }
    expect(listIn('ostrevane')).toContain('<em>Neap</em>')
    const docs = placed.sections.map(s => s.doc)
    expect([shopsIn(docs, 'ostrevane'), shopsIn(docs, 'tarnbrook')]).toEqual([
      { named: 1, led: 1 },
      { named: 1, led: 0 },
    ])
  })
  test('is behind as soon as a book has an address', () => {
    const section = placed.sections.find(s => s.matter)!
    expect(matterState(section, list)).toBe('as kept')
    const found = { ...neap, editions, listings: { 'ebook/ostrevane': { address: `${OST}-neap` } } }
    expect(matterState(section, alsoBy(ebb, [ebb, flood, found]))).toBe('behind')
  })
})
