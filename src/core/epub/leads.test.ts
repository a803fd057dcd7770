import { describe, expect, test } from '@jest/globals'
import { strFromU8 } from 'fflate'
import { bookOf, chapter } from '../../../tests/support/core'
import type { ParagraphJson } from '../book'
import { buildEpub } from './build'
import { hrefOf, linksLeftOut } from './leads'

const places = new Map([['s1', 's1.xhtml']])

describe('links that an outlet lets in', () => {
  const own = { places, linksTo: ['pellowick.example'] }
  test.each([
    ['https://pellowick.example/title/7', true],
    ['https://books.Pellowick.example/7', true],
    ['https://somebody@pellowick.example:8080/7', true],
    ['https://notpellowick.example/7', false],
    ['https://pellowick.example.elsewhere.example/7', false],
    ['https://elsewhere.example/?to=pellowick.example', false],
    ['https://pellowick.example@elsewhere.example/', false],
    ['mailto:orla@fenwright.example', true],
    ['#s1', true],
  ])('%s: %s', (href, stays) => {
    expect(hrefOf(href, own) !== undefined).toBe(stays)
    expect(hrefOf(href, { places })).toBeDefined()
  })

  test('those that it does not become plain words, and are counted', () => {
    const link = (text: string, href: string) => ({
      type: 'text' as const,
      text,
      marks: [{ type: 'link' as const, attrs: { href } }],
    })
    const paragraph: ParagraphJson = {
      type: 'paragraph',
      attrs: { id: 'b9', align: null },
      content: [
        link('mine', 'https://elsewhere.example/me'),
        { type: 'text', text: ' and ' },
        link('shop', 'https://pellowick.example/'),
      ],
    }
    const plain = bookOf([])
    const book = {
      ...plain,
      sections: [...plain.sections, chapter('s9', 'Links', { type: 'doc', content: [paragraph] })],
    }
    const written = (linksTo?: string[]): string => {
      const epub = buildEpub(book, {
        date: '2026-01-01T00:00:00Z',
        picture: () => undefined,
        ...(linksTo && { linksTo }),
      })
      return strFromU8(epub.items.find(i => i.path.endsWith('s9.xhtml'))!.data)
    }
    const leading = (xhtml: string): string[] => [...xhtml.matchAll(/<a href="(http[^"]+)"/g)].map(m => m[1]!)
    expect(leading(written())).toEqual(['https://elsewhere.example/me', 'https://pellowick.example/'])
    expect(leading(written(['pellowick.example']))).toEqual(['https://pellowick.example/'])
    expect(leading(written([]))).toEqual([])
    expect(written([])).toContain('mine and shop')
    expect([undefined, ['pellowick.example'], []].map(l => linksLeftOut(book.sections, l))).toEqual([0, 1, 2])
  })
})
