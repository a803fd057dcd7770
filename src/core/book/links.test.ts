import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { safeHref, schema } from '.'

describe('addresses a book may carry', () => {
  test('the web, mail and places in the book; no script, data or files, however they are dressed', () => {
    for (const ok of [
      'https://merrow.example/a',
      'http://x',
      'mailto:a@b.example',
      'tel:+1',
      '#s3',
      'chapter-2.html',
      '/a:b',
    ])
      expect(safeHref(ok)).toBe(ok)
    for (const bad of [
      'javascript:alert(1)',
      ' JavaScript:x',
      'java\nscript:x',
      '\u0001javascript:x',
      'data:text/html,x',
      'file:///etc',
      'vbscript:x',
      'blob:x',
      '',
    ])
      expect(safeHref(bad)).toBeUndefined()
  })
  test('a document with any other is not in order', () => {
    const doc = (href: string) =>
      schema.nodeFromJSON({
        type: 'doc',
        content: [
          {
            type: 'paragraph',
            attrs: { id: 'b1', align: null },
            content: [{ type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href } }] }],
          },
        ],
      })
    expect(() => doc('https://x.example').check()).not.toThrow()
    fc.assert(
      fc.property(fc.constantFrom('javascript', 'data', 'vbscript', 'file'), fc.string(), (scheme, rest) => {
        expect(() => doc(`${scheme}:${rest}`).check()).toThrow()
      }),
    )
  })
})
