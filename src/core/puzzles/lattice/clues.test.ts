import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { clueBlocks, columnsWith } from './clues'
import type { Crossword } from './crossword'

type Entry = Crossword['entries'][number]
const entry = (number: number, way: Entry['way'], clue: string, word: string): Entry => ({
  number,
  way,
  clue,
  word,
  answer: word.replaceAll(' ', ''),
  row: 0,
  col: 0,
  cells: [],
})
const words = fc.array(fc.stringMatching(/^[a-z]{1,9}$/), { minLength: 1, maxLength: 9 })
const puzzles = fc
  .array(fc.record({ clue: words, word: fc.stringMatching(/^[A-Z]{2,7}( [A-Z]{2,5})?$/), down: fc.boolean() }), {
    minLength: 2,
    maxLength: 40,
  })
  .map(all => all.map((e, i) => entry(i + 1, e.down ? 'down' : 'across', e.clue.join(' '), e.word)))
const widthOf = (text: string): number => text.length
const names = { across: 'Across', down: 'Down' }

test('every word of every clue stands once, in order, on lines no wider than their room', () => {
  fc.assert(
    fc.property(puzzles, fc.integer({ min: 20, max: 40 }), (entries, room) => {
      const lines = clueBlocks({ entries }, { room, widthOf, names }).flat()
      const inOrder = [...entries.filter(e => e.way === 'across'), ...entries.filter(e => e.way === 'down')]
      const said = inOrder.map(
        e =>
          `${e.clue} (${e.word
            .split(' ')
            .map(w => w.length)
            .join(', ')})`,
      )
      expect(
        lines
          .filter(l => !l.heading)
          .map(l => l.text)
          .join(' '),
      ).toBe(said.join(' '))
      expect(lines.flatMap(l => (l.number ? [l.number] : []))).toEqual(inOrder.map(e => String(e.number)))
      for (const { text } of lines) {
        expect(text.length).toBeLessThanOrEqual(room)
        // A length keeps the last word of its clue.
        expect(text).not.toMatch(/^\(/)
      }
    }),
  )
})

test('columns hold all blocks in order and none is broken; none could be lower', () => {
  fc.assert(
    fc.property(puzzles, fc.integer({ min: 1, max: 4 }), (entries, count) => {
      const blocks = clueBlocks({ entries }, { room: 26, widthOf, names })
      const columns = columnsWith(blocks, count)
      expect(columns.length).toBeLessThanOrEqual(count)
      const flat = columns.flatMap(c => c.lines.map(({ at: _at, ...line }) => line))
      expect(flat).toEqual(blocks.flat())
      for (const { lines, height } of columns) {
        const [first] = lines
        expect(first!.number ?? first!.heading).toBeTruthy()
        expect(lines.at(-1)!.heading).toBeUndefined()
        lines.forEach((l, i) => i && expect(l.at - lines[i - 1]!.at).toBeGreaterThanOrEqual(1))
        expect(lines.at(-1)!.at + 1).toBeCloseTo(height)
      }
      const highest = Math.max(...columns.map(c => c.height))
      const total = blocks.flat().length
      // By the pigeonhole no columns are lower than a share of all lines, nor than the highest block.
      expect(highest).toBeGreaterThanOrEqual(Math.max(total / count, ...blocks.map(b => b.length)) - 1e-9)
      expect(highest).toBeLessThanOrEqual(total / count + Math.max(...blocks.map(b => b.length)) + 2)
    }),
  )
})
