import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { CoverPiece } from '../book'
import { profileOf, shippedProfiles } from '../outlets'
import { aligned, alignments, boxOnFlat, distributed, flatFor, moved, snapLines, snapped } from '.'

const flat = flatFor(profileOf('ostrevane', shippedProfiles), {
  binding: 'paperback',
  trim: '6x9in',
  paper: 'cream',
  pages: 218,
})
const piece = (id: string, box: CoverPiece['box'], more: Partial<CoverPiece> = {}): CoverPiece =>
  ({ id, kind: 'shape', form: 'rectangle', colour: '#123456', panel: 'front', box, ...more }) as CoverPiece

const part = () => fc.double({ min: 0.05, max: 0.65, noNaN: true })
const size = () => fc.double({ min: 0.02, max: 0.3, noNaN: true })
const pieces = () =>
  fc
    .array(fc.tuple(part(), part(), size(), size()), { minLength: 2, maxLength: 9 })
    .map(all => all.map(([x, y, width, height], i) => piece(`p${i}`, { x, y, width, height })))
const rectOf = (of: readonly CoverPiece[], boxes: ReadonlyMap<string, CoverPiece['box']>) =>
  of.map(p => boxOnFlat(flat, { ...p, box: boxes.get(p.id) ?? p.box })!)

describe('pieces brought in line', () => {
  test('share the line that is asked, keep their sizes, and do not move the other way', () => {
    fc.assert(
      fc.property(pieces(), fc.constantFrom(...alignments), (of, to) => {
        const before = rectOf(of, new Map())
        const after = rectOf(of, aligned(flat, of, to))
        const line = after.map(r =>
          to === 'left'
            ? r.x
            : to === 'centre'
              ? r.x + r.width / 2
              : to === 'right'
                ? r.x + r.width
                : to === 'top'
                  ? r.y
                  : to === 'middle'
                    ? r.y + r.height / 2
                    : r.y + r.height,
        )
        for (const v of line) expect(v).toBeCloseTo(line[0]!, 6)
        const across = to === 'left' || to === 'centre' || to === 'right'
        after.forEach((r, i) => {
          expect(r.width).toBeCloseTo(before[i]!.width, 6)
          expect(r.height).toBeCloseTo(before[i]!.height, 6)
          expect(across ? r.y : r.x).toBeCloseTo(across ? before[i]!.y : before[i]!.x, 6)
        })
      }),
    )
  })
  test('one alone is brought in line with what is safe of its panel; a held one stays', () => {
    const one = piece('a', { x: 0.1, y: 0.2, width: 0.2, height: 0.1 })
    expect(aligned(flat, [one], 'centre').get('a')).toMatchObject({
      x: expect.closeTo(0.4, 6),
      y: expect.closeTo(0.2, 6),
    })
    expect(aligned(flat, [{ ...one, locked: true }], 'left').size).toBe(0)
  })
  test('stand with one space between them all, the outermost where they were', () => {
    fc.assert(
      fc.property(pieces(), fc.constantFrom('across' as const, 'down' as const), (of, axis) => {
        fc.pre(of.length > 2)
        const starts = of.map(p => (axis === 'across' ? p.box.x : p.box.y)).sort((a, b) => a - b)
        fc.pre(starts.every((v, i) => i === 0 || v - starts[i - 1]! > 0.01))
        const [from, wide] = axis === 'across' ? (['x', 'width'] as const) : (['y', 'height'] as const)
        const before = rectOf(of, new Map()).sort((a, b) => a[from] - b[from])
        // What is wider together than the space between the outermost would be pushed out of its area, and is kept in it.
        const [first, last] = [before[0]!, before.at(-1)!]
        fc.pre(last[from] + last[wide] - first[from] >= before.reduce((sum, r) => sum + r[wide], 0))
        const byStart = [...of].sort((a, b) => a.box[from] - b.box[from])
        const after = rectOf(byStart, distributed(flat, of, axis))
        expect(after[0]![from]).toBeCloseTo(before[0]![from], 6)
        const gaps = after.slice(1).map((r, i) => r[from] - after[i]![from] - after[i]![wide])
        for (const g of gaps) expect(g).toBeCloseTo(gaps[0]!, 4)
      }),
    )
  })
  test('are moved together by so many points', () => {
    const of = [
      piece('a', { x: 0.1, y: 0.1, width: 0.2, height: 0.1 }),
      piece('b', { x: 0.3, y: 0.5, width: 0.2, height: 0.1 }),
    ]
    const [a, b] = rectOf(of, moved(flat, of, { x: 10, y: -4 }))
    const [a0, b0] = rectOf(of, new Map())
    expect([a!.x - a0!.x, a!.y - a0!.y, b!.x - b0!.x, b!.y - b0!.y].map(v => Math.round(v * 1e6) / 1e6)).toEqual([
      10, -4, 10, -4,
    ])
  })
})

describe('what is moved holds on to lines', () => {
  test('of the panels, of what is safe, of other pieces; the nearest within reach, and none beyond', () => {
    const other = boxOnFlat(flat, piece('o', { x: 0.2, y: 0.2, width: 0.3, height: 0.2 }))!
    const lines = snapLines(flat, [{ name: 'the sun', rect: other }])
    const near = { x: other.x + 2.5, y: other.y + other.height + 40, width: 60, height: 30 }
    const held = snapped(near, lines, 4)
    expect(held.rect.x).toBeCloseTo(other.x, 6)
    expect(held.x!.of).toBe('edge of the sun')
    expect(held.y).toBeUndefined()
    const middle = flat.panels.front.x + flat.panels.front.width / 2
    const centred = snapped({ x: middle - 31, y: 300, width: 60, height: 30 }, lines, 4)
    expect(centred.rect.x + 30).toBeCloseTo(middle, 6)
    expect(
      snapped(
        { x: middle - 30 - 9, y: 300, width: 60, height: 30 },
        { x: lines.x.filter(l => l.at === middle), y: [] },
        4,
      ).x,
    ).toBeUndefined()
  })
  test('never moves anything further than its reach', () => {
    const lines = snapLines(flat, [])
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 800, noNaN: true }),
        fc.double({ min: 0, max: 600, noNaN: true }),
        size(),
        (x, y, w) => {
          const { rect } = snapped({ x, y, width: w * 400, height: w * 300 }, lines, 5)
          expect(Math.abs(rect.x - x)).toBeLessThanOrEqual(5)
          expect(Math.abs(rect.y - y)).toBeLessThanOrEqual(5)
        },
      ),
    )
  })
})
