import { expect, test } from '@jest/globals'
import { profileOf, shippedProfiles } from '../outlets'
import { type CoverSpec, flatFor, folded } from '.'

const of = (outlet: string, spec: CoverSpec) => {
  const flat = flatFor(profileOf(outlet, shippedProfiles), spec)
  return { flat, book: folded(flat) }
}

test('a paperback is as thick as its pages, its spine on its left', () => {
  const { flat, book } = of('ostrevane', { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 218 })
  const [cover] = book.solids
  expect(book.solids).toHaveLength(1)
  expect(cover!.size[0] / 72).toBeCloseTo(6, 6)
  // 218 × 0.00254 in, and two sheets of cover of a hundredth of an inch.
  expect(cover!.size[2] / 72).toBeCloseTo(0.55372, 1)
  expect(cover!.faces).toEqual({ front: flat.panels.front, back: flat.panels.back, left: flat.panels.spine })
})
test('a case has two boards, a hinge in each, and pages within its boards', () => {
  const { flat, book } = of('ostrevane', { binding: 'case', trim: '6x9in', paper: 'cream', pages: 218 })
  const named = (name: string) => book.solids.find(s => s.name === name)!
  const [front, hinge, pages] = [named('front board'), named('front hinge'), named('pages')]
  // Board and hinge together show the whole front, side by side.
  expect(front.faces.front!.width + hinge.faces.front!.width).toBeCloseTo(flat.panels.front.width, 6)
  expect(hinge.faces.front!.width / 72).toBeCloseTo(0.44, 6)
  expect(named('back board').faces.back!.x).toBe(flat.panels.back.x)
  expect(named('back hinge').faces.back!.x + named('back hinge').faces.back!.width).toBeCloseTo(
    flat.panels.back.width,
    6,
  )
  expect(pages.size[1]).toBeCloseTo(9 * 72, 6)
  expect(front.size[1]).toBeGreaterThan(pages.size[1])
  expect(book.depth / 72).toBeCloseTo(0.55372 + 0.07, 4)
})
test('a coil has rings along its holes, four to the inch, around its pages', () => {
  const { book } = of('tarnbrook', { binding: 'coil', trim: 'A5', paper: 'white', pages: 120 })
  expect(book.rings.length).toBeGreaterThan(28)
  const gaps = book.rings.slice(1).map((r, i) => r.at[1] - book.rings[i]!.at[1])
  for (const g of gaps) expect(g).toBeCloseTo(18, 6)
  for (const r of book.rings) {
    expect(2 * r.radius).toBeGreaterThan((120 * 0.00233 * 72) as number)
    expect(Math.abs(r.at[1])).toBeLessThan(book.height / 2)
  }
})
test('a booklet is two sheets and what is between them', () => {
  const { book } = of('tarnbrook', { binding: 'saddle', trim: 'A5', paper: 'white', pages: 24 })
  expect(book.solids.map(s => s.name)).toEqual(['front board', 'pages', 'back board'])
  expect(book.rings).toEqual([])
})
