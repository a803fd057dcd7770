import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import type { Run } from '../book'
import { cellsOf } from './cells'
import { headedAlike, headingOf, headingText } from './heading'
import { kindOf } from './registry'
import { smallPrint } from './runPress'
import { below, beside } from './sheet'
import { wrapped } from './wrapped'

const side = fc.double({ min: 80, max: 700, noNaN: true })

test('things that share a page stand within it, none over another, all as large as any other order would leave them', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      side,
      side,
      fc.double({ min: 0.4, max: 2.5, noNaN: true }),
      (count, width, height, ratio) => {
        const over = 15
        const cells = cellsOf(count, { width, height }, { over, ratio })
        expect(cells).toHaveLength(count)
        for (const c of cells) {
          expect([c.x >= -1e-6, c.y >= -1e-6, c.x + c.width <= width + 1e-6, c.y + c.height <= height + 1e-6]).toEqual([
            true,
            true,
            true,
            true,
          ])
          for (const d of cells)
            if (c !== d)
              expect(
                Math.max(c.x - d.x - d.width, d.x - c.x - c.width, c.y - d.y - d.height, d.y - c.y - c.height),
              ).toBeGreaterThan(-1e-6)
        }
        const size = (c: { width: number; height: number }): number => Math.min(c.width, (c.height - over) * ratio)
        const gap = Math.max(14, width * 0.045)
        for (let across = 1; across <= count; across++) {
          const down = Math.ceil(count / across)
          const other = { width: (width - (across - 1) * gap) / across, height: (height - (down - 1) * gap) / down }
          expect(size(cells[0]!)).toBeGreaterThanOrEqual(size(other) - 1e-6)
        }
      },
    ),
  )
})

test('boxes beside and below each other share what there is, gaps never more than a third of it', () => {
  const shares = fc.array(fc.double({ min: 0.2, max: 9, noNaN: true }), { minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(shares, side, side, fc.double({ min: 0, max: 90, noNaN: true }), (of, width, height, gap) => {
      const box = { x: 7, y: 11, width, height }
      const [row, column] = [beside(box, of, gap), below(box, of, gap)]
      expect(row.at(-1)!.x + row.at(-1)!.width).toBeCloseTo(7 + width, 6)
      expect(column.at(-1)!.y + column.at(-1)!.height).toBeCloseTo(11 + height, 6)
      const whole = of.reduce((n, s) => n + s, 0)
      const taken = row.reduce((n, b) => n + b.width, 0)
      expect(taken).toBeGreaterThanOrEqual(width * (2 / 3) - 1e-6)
      row.forEach((b, i) => expect(b.width / taken).toBeCloseTo(of[i]! / whole, 6))
    }),
  )
})

test('sentences are wrapped without losing a word, no line wider than its room but a single long word', async () => {
  const style = await smallPrint('figtree/regular', 12, 'en-GB', shelf)
  const word = fc.string({ minLength: 1, maxLength: 12, unit: fc.constantFrom('a', 'm', 'i', 'W', 't') })
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 20 }), fc.integer({ min: 20, max: 300 }), (words, width) => {
      const lines = wrapped(style, words.join(' '), width)
      expect(lines.join(' ')).toBe(words.join(' '))
      for (const line of lines) if (line.includes(' ')) expect(style.frag(line).width).toBeLessThanOrEqual(width)
    }),
  )
})

test('headings: words, a number, both, or none; by the list of each where it is asked for', async () => {
  const of = (heading: Run['heading'], params: object = {}): Run => ({
    id: 'r',
    kind: 'word-search',
    pages: 3,
    seed: 1,
    params: { ...kindOf('word-search')!.plain, ...params },
    ...(heading && { heading }),
  })
  const said = async (run: Run, i: number): Promise<string | undefined> => {
    const heading = await headingOf(run, kindOf(run.kind)!, i)
    return heading && headingText(heading)
  }
  expect(await said(of(undefined), 0)).toBeUndefined()
  expect(await said(of({ words: '' }), 0)).toBeUndefined()
  expect(await said(of({ words: 'Tides' }), 2)).toBe('Tides')
  expect(await said(of({ words: 'Tides', from: 5 }), 2)).toBe('Tides 7')
  expect(await said(of({ words: '', from: 0 }), 2)).toBe('2')
  expect(await said(of({ words: 'Tides', listed: true }), 1)).toBe('The harbour')
  const lists = { words: { bank: '', text: '# Moss\nfern\n# Sand\ndune' } }
  expect(await Promise.all([0, 1, 2].map(i => said(of({ words: '', listed: true }, lists), i)))).toEqual([
    'Moss',
    'Sand',
    'Moss',
  ])
  expect(
    [of(undefined), of({ words: 'a' }), of({ words: 'a', from: 1 }), of({ words: 'a', listed: true })].map(headedAlike),
  ).toEqual([true, true, false, false])
})
