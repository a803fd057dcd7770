import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf, setBook, shelf } from '../../../tests/support/core'
import { longText } from '../../../scripts/lib/longText'
import { visitPage } from '../marks'
import { boxOn, harbourRoman, pageOf, placeAt, Setter, wordAt } from '.'

describe('a place of the text in the pages', () => {
  test('any letter of any book: a click on its left half is its place, and the place is that letter again', async () => {
    await fc.assert(
      fc.asyncProperty(anyBook, fc.nat(), async (book, pick) => {
        const interior = await new Setter(shelf).set(book, harbourRoman, { width: 432, height: 648, inside: 0 })
        const glyphs: { page: number; x: number; y: number; section: string; block: string; text: string }[] = []
        interior.pages.forEach((p, page) =>
          visitPage(p, v => {
            if (!('text' in v)) return
            const t = v.text
            for (let r = 0; r < t.count; r++) {
              const place = t.places[t.place[r]!]!
              if (!place.block || place.again || place.label) continue
              const face = t.faces[t.face[r]!]!
              for (let g = t.start[r]!; g < t.start[r + 1]!; g++)
                if (/^[\p{L}\d]$/u.test(face.pairText(t.glyphs[g]!)))
                  glyphs.push({
                    page,
                    x: v.x + t.x[g]! + 0.2,
                    y: v.y + t.baseline[r]! - t.size[r]! * 0.3,
                    section: place.section,
                    block: place.block,
                    text: face.pairText(t.glyphs[g]!),
                  })
            }
          }),
        )
        if (!glyphs.length) return
        const g = glyphs[pick % glyphs.length]!
        const place = placeAt(interior, g.page, g.x, g.y)!
        const boxes = wordAt(interior, g.page, place)
        const holds = boxes.some(
          b => g.x >= b.x - 0.3 && g.x <= b.x + b.width + 0.3 && g.y >= b.y - 1 && g.y <= b.y + b.height,
        )
        expect({
          place: [place.section, place.block],
          page: pageOf(interior, g.section, g.block, place.chars),
          holds,
        }).toEqual({ place: [g.section, g.block], page: g.page, holds: true })
      }),
      { numRuns: 60 },
    )
  }, 60_000)
  test('a paragraph over two pages: its later letters are on the later page; its box is on each', async () => {
    const interior = await setBook(bookOf([longText(5000, 1)[0]!]))
    const spans = new Map<string, number[]>()
    interior.pages.forEach((p, i) =>
      visitPage(
        p,
        v =>
          'text' in v &&
          v.text.places.forEach(q => q.block && spans.set(q.block, [...new Set([...(spans.get(q.block) ?? []), i])])),
      ),
    )
    const [block, [first, second]] = [...spans].find(([, at]) => at.length === 2)! as [string, [number, number]]
    expect(pageOf(interior, 's1', block)).toBe(first)
    const { x, y, width } = boxOn(interior, second, 's1', block)!
    const place = placeAt(interior, second, x + width / 2, y + 4)!
    expect(place.chars).toBeGreaterThan(40)
    expect(pageOf(interior, 's1', block, place.chars)).toBe(second)
    expect(wordAt(interior, second, place).length).toBeGreaterThan(0)
    expect(boxOn(interior, first, 's1', block)).toBeDefined()
  })
  test('what is not there has no place', async () => {
    const interior = await setBook(bookOf([['Words.']]))
    expect(placeAt(interior, 999, 0, 0)).toBeUndefined()
    expect(pageOf(interior, 'nowhere')).toBeUndefined()
    expect(boxOn(interior, 0, 's1', 'b99')).toBeUndefined()
    expect(wordAt(interior, 999, { section: 's1', block: 'b1', chars: 0 })).toEqual([])
    // A block that is in no page is sent to its section's first.
    expect(pageOf(interior, 's1', 'b99')).toBe(interior.starts.get('s1'))
  })
})
