import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import { parseXml } from '../files'
import { BLACK, type PageMarks, pageSvg, pageText, pathBox, visitPage } from '../marks'
import { TextStyle } from '../type'
import { templates } from '.'

const words = { trim: 'the trim', bleed: 'the bleed', safe: 'safe & sound', inside: 'the inside' }
let style: TextStyle
beforeAll(async () => {
  style = new TextStyle({ faces: [await shelf.face('figtree/regular')], size: 7.5, language: 'en', colour: BLACK })
})
const boxes = (p: PageMarks): { box: number[]; fill: boolean }[] => {
  const out: { box: number[]; fill: boolean }[] = []
  visitPage(
    p,
    v => 'item' in v && v.item.kind === 'path' && out.push({ box: [...pathBox(v.item.path)], fill: !!v.item.fill }),
  )
  return out
}

describe('blank templates', () => {
  test('any leaf: the pair has its margin at the spine, mirrored; the cautious one at both edges; bleed where the outlet prints it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 280, max: 640 }),
        fc.integer({ min: 400, max: 800 }),
        fc.constantFrom(0, 9),
        fc.boolean(),
        fc.integer({ min: 18, max: 36 }),
        fc.integer({ min: 20, max: 60 }),
        (width, height, bleed, bleedsInside, safe, inside) => {
          const [either, left, right] = templates(
            { width, height, bleed, bleedsInside, safe, inside },
            words,
            style,
          ).map(t => t.page) as [PageMarks, PageMarks, PageMarks]
          const inner = bleedsInside ? bleed : 0
          expect([either.bleed, left.bleed, right.bleed]).toEqual([
            { top: bleed, bottom: bleed, left: bleed, right: bleed },
            { top: bleed, bottom: bleed, left: bleed, right: inner },
            { top: bleed, bottom: bleed, left: inner, right: bleed },
          ])
          const shaded = (p: PageMarks): number[][] =>
            boxes(p)
              .filter(b => b.fill)
              .map(b => [b.box[0]!, b.box[2]!])
          expect([shaded(either), shaded(left), shaded(right)]).toEqual([
            [
              [0, inside],
              [width - inside, width],
            ],
            [[width - inside, width]],
            [[0, inside]],
          ])
          const safeBox = boxes(right).at(-1)!.box
          expect(safeBox).toEqual([Math.max(safe, inside), safe, width - safe, height - safe])
          expect(boxes(right).some(b => b.box.join() === [0, 0, width, height].join())).toBe(true)
          // What is said stands inside the safe zone.
          expect(pageText(right)).toContain('safe & sound')
        },
      ),
      { numRuns: 40 },
    )
  })
  test('as SVG: well-formed, in true size with its bleed, words as outlines', () => {
    const [either] = templates(
      { width: 432, height: 648, bleed: 9, bleedsInside: false, safe: 27, inside: 36 },
      words,
      style,
    )
    const svg = pageSvg(either!.page, 'Blank & bare')
    const root = parseXml(new TextEncoder().encode(svg), 'template')
    expect(root.attrs).toMatchObject({ width: '450pt', height: '666pt', viewBox: '0 0 450 666' })
    const paths = root.children.filter(c => typeof c !== 'string' && c.name === 'path')
    expect(paths.length).toBeGreaterThan(8)
    expect(svg).toContain('M9 9L441 9L441 657L9 657Z')
    expect(() =>
      pageSvg(
        {
          ...either!.page,
          layers: [{ x: 0, y: 0, layer: { items: [{ kind: 'image', asset: 'a', x: 0, y: 0, width: 1, height: 1 }] } }],
        },
        'x',
      ),
    ).toThrow(/drawings/)
  })
})
