import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { schema } from '@/core/book'
import { anyDoc } from '../../../../tests/support/arbitrary'
import { spokenFrom, wordAt } from './spoken'

const text = (words: string) => ({ type: 'text', text: words })
const doc = schema.nodeFromJSON({
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      attrs: { id: 'b1' },
      content: [
        text('The bell'),
        { type: 'footnote', attrs: { id: 'n1' }, content: [text('Not said.')] },
        text(' rang'),
        { type: 'hard_break' },
        text('twice.'),
      ],
    },
    { type: 'scene_break', attrs: { id: 'b2' } },
    { type: 'paragraph', attrs: { id: 'b3' }, content: [text('— !')] },
    {
      type: 'verse',
      attrs: { id: 'b4' },
      content: [
        { type: 'line', content: [text('Low water,')] },
        { type: 'line', content: [text('high moon.')] },
      ],
    },
  ],
})

test('a voice says paragraphs and lines, without notes and what has no letters; from the cursor on, or what is chosen', () => {
  expect(spokenFrom(doc, 0).map(s => s.text)).toEqual(['The bell rang twice.', 'Low water,', 'high moon.'])
  const [first] = spokenFrom(doc, 0)
  expect(spokenFrom(doc, first!.at[9]!).map(s => s.text)[0]).toBe('rang twice.')
  expect(spokenFrom(doc, first!.at[4]!, first!.at[8]!).map(s => s.text)).toEqual(['bell'])
})

test('the word that is said stands where its letters stand', () => {
  const [first] = spokenFrom(doc, 0)
  const said = (index: number, length?: number): string => {
    const { from, to } = wordAt(first!, index, length)!
    return doc.textBetween(from, to)
  }
  expect([said(0), said(4), said(9), said(14), said(9, 4)]).toEqual(['The', 'bell', 'rang', 'twice', 'rang'])
  expect(wordAt(first!, 99)).toBeUndefined()
})

test('any text: each letter that is said is the letter that stands there', () => {
  fc.assert(
    fc.property(anyDoc, fc.nat(400), (json, from) => {
      const any = schema.nodeFromJSON(json)
      for (const { text: words, at } of spokenFrom(any, from)) {
        expect(at).toHaveLength(words.length)
        at.forEach((pos, i) => {
          const there = any.textBetween(pos, pos + 1)
          expect(there || ' ').toBe(words[i])
          expect(pos).toBeGreaterThanOrEqual(from)
        })
      }
    }),
    { numRuns: 60 },
  )
})
