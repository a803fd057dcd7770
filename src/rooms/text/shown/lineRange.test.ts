import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../../tests/support/arbitrary'
import { finderOf, hitsIn, linesOf, schema } from '@/core/book'
import { blockPlaces, lineRange } from './lineRange'

const find = (words: string) => {
  const made = finderOf({ words, cases: true, accents: true })
  if (!made || 'trouble' in made) throw new Error('no finder')
  return made.find
}

test('what was found stands in the editor where its own letters stand, in any book: verse, notes, captions, tables', () => {
  fc.assert(
    fc.property(anyBook, fc.constantFrom('the', 'a', 'tide', 'ö', '1'), (book, words) => {
      for (const { doc } of book.sections) {
        const node = schema.nodeFromJSON(doc)
        const places = blockPlaces(node)
        for (const hit of hitsIn(doc, find(words))) {
          const range = lineRange(places, { ...hit.in, from: hit.from, to: hit.to })!
          expect(node.textBetween(range.from, range.to)).toBe(words)
        }
      }
    }),
    { numRuns: 60 },
  )
})

test('a whole line is a whole line, whatever is in it', () => {
  fc.assert(
    fc.property(anyBook, book => {
      for (const { doc } of book.sections) {
        const node = schema.nodeFromJSON(doc)
        const places = blockPlaces(node)
        for (const of of linesOf(doc)) {
          const range = lineRange(places, { ...of, from: 0, to: of.text.length })
          if (!range || !of.text) continue
          const letters = (s: string): string => s.replace(/[\n\ufffc]/g, '')
          // What notes say stands inside of the line in the editor, and is a line of its own here.
          const within = node.slice(range.from, range.to)
          let said = ''
          within.content.descendants(n => {
            if (n.type.name === 'footnote') return false
            if (n.isText) said += n.text!
            return true
          })
          expect(letters(said)).toBe(letters(of.text))
        }
      }
    }),
    { numRuns: 60 },
  )
})

test('a place whose block went is nowhere', () => {
  const line = { kind: 'text' as const, block: 'gone', row: 0, text: 'Ebb' }
  expect(lineRange(new Map(), { ...line, from: 0, to: 3 })).toBeUndefined()
})
