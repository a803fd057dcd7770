import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../tests/support/deep'
import type { Asset } from '../book'
import { profileOf, shippedProfiles } from '../outlets'
import { IN } from '../trade'
import { type Flat, flatFor, frontOn, lampOverTide, type LyingSheet, onFlat, piecesShown, wrapOn } from '.'

const ostrevane = profileOf('ostrevane', shippedProfiles)
const flatOf = (pages: number): Flat =>
  flatFor(ostrevane, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages })
const assets: Asset[] = [
  { id: 'page', type: 'application/pdf', width: 9000, height: 6000 },
  { id: 'picture', type: 'image/png', width: 3600, height: 2400 },
]
const page = (width: number, height: number, over?: number) => ({
  asset: 'page',
  width,
  height,
  ...(over === undefined ? {} : { over: { top: over, right: over, bottom: over, left: over } }),
})
/** The sheet of a flat with its bleed, as a designer who goes by the template makes it. */
const asAsked = ({ width, height, bleed }: Flat, over?: number) =>
  page(width + 2 * bleed.left, height + 2 * bleed.top, over)
const right = (r: { x: number; width: number }): number => r.x + r.width

describe('a wrap on its flat', () => {
  test('one of the size that is asked for lies on it as it is, whether it says its trim or not', () => {
    const flat = flatOf(200)
    for (const sheet of [asAsked(flat), asAsked(flat, flat.bleed.left)]) {
      const [lying] = wrapOn({ sheets: [sheet] }, flat, assets)
      expect(lying!.off.width).toBeCloseTo(0, 9)
      expect(lying!.off.height).toBeCloseTo(0, 9)
      expect(lying!.spine! / IN).toBeCloseTo(0.508, 6)
      expect(lying!.slices[0]!.to).toMatchObject({ x: -flat.bleed.left, y: -flat.bleed.top })
    }
  })

  test('made without bleed it is as wide as the flat, and has nothing over', () => {
    const flat = flatOf(200)
    const [lying] = wrapOn({ sheets: [page(flat.width, flat.height)] }, flat, assets)
    expect(lying!.off.width).toBeCloseTo(0, 9)
    expect(lying!.made.over).toEqual({ top: 0, right: 0, bottom: 0, left: 0 })
  })

  test('a picture that says no size is as high as is asked, and is off by what its form is off', () => {
    const flat = flatOf(200)
    const [lying] = wrapOn({ sheets: [{ asset: 'picture' }] }, flat, assets)
    expect(lying!.made.height).toBeCloseTo(flat.height + 2 * flat.bleed.top, 9)
    expect(lying!.made.width / lying!.made.height).toBeCloseTo(3600 / 2400, 9)
    expect(lying!.pixels).toEqual({ width: 3600, height: 2400 })
  })

  test('of another trim its spine cannot be told, and its art follows nothing', () => {
    const other = flatFor(ostrevane, { binding: 'paperback', trim: '5.5x8.5in', paper: 'cream', pages: 200 })
    const [lying] = wrapOn({ sheets: [asAsked(other)], atFolds: 'widened' }, flatOf(200), assets)
    expect(lying!.spine).toBeUndefined()
    expect(lying!.slices).toHaveLength(1)
    expect(lying!.off.height / IN).toBeCloseTo(-0.5, 6)
  })

  test('two sheets lie apart, each on its own', () => {
    const harrowmere = profileOf('harrowmere', shippedProfiles)
    const flat = flatFor(harrowmere, { binding: 'coil', trim: 'A5', paper: 'cream', pages: 80 })
    const sheets = flat.sheets.map(({ rect, bleed }) => ({
      asset: 'page',
      width: rect.width + bleed.left + bleed.right,
      height: rect.height + bleed.top + bleed.bottom,
    }))
    const lying = wrapOn({ sheets }, flat, assets)
    expect(lying.map(l => l.trim)).toEqual([flat.panels.back, flat.panels.front])
    for (const l of lying) expect(Math.abs(l.off.width) + Math.abs(l.off.height)).toBeLessThan(1e-9)
    expect(lying[1]!.made.over.left).toBeCloseTo(flat.sheets[1]!.bleed.left, 9)
  })

  test('without its file there is nothing to lay', () => {
    expect(wrapOn({ sheets: [{ asset: 'gone' }] }, flatOf(200), assets)).toEqual([])
  })
})

describe('art that follows the spine', () => {
  const counts = fc.integer({ min: 40, max: 800 })
  const following = (made: number, now: number): { lying: LyingSheet; from: Flat; to: Flat } => {
    const [from, to] = [flatOf(made), flatOf(now)]
    const [lying] = wrapOn({ sheets: [asAsked(from)], atFolds: 'widened' }, to, assets)
    return { lying: lying!, from, to }
  }

  test('covers the sheet from bleed to bleed without a gap, whatever the count was and is', () => {
    fc.assert(
      fc.property(counts, counts, (made, now) => {
        const { lying, to } = following(made, now)
        const { slices } = lying
        expect(slices[0]!.to.x).toBeCloseTo(-to.bleed.left, 6)
        expect(right(slices.at(-1)!.to)).toBeCloseTo(to.width + to.bleed.right, 6)
        for (const [i, s] of slices.entries()) {
          expect(s.from.width).toBeGreaterThan(0)
          expect(s.to.width).toBeGreaterThan(0)
          if (i) expect(s.to.x).toBeCloseTo(right(slices[i - 1]!.to), 6)
        }
      }),
      { numRuns: cases(60, 2000) },
    )
  })

  test('keeps back and front where they stood from their own edges, and what is in the middle of the spine there', () => {
    fc.assert(
      fc.property(counts, counts, fc.double({ min: 0.05, max: 0.4, noNaN: true }), (made, now, part) => {
        const { lying, from, to } = following(made, now)
        const at = (x: number): number => onFlat(lying, { x: x / lying.made.width, y: 0, width: 0, height: 0 }).x
        const over = from.bleed.left
        // On the back: as far from the left edge; on the front: as far from the right one.
        const back = part * from.panels.back.width
        expect(at(over + back)).toBeCloseTo(back, 6)
        const front = from.width - part * from.panels.front.width
        expect(to.width - at(over + front)).toBeCloseTo(from.width - front, 6)
        const middle = from.panels.spine.x + from.panels.spine.width / 2
        expect(at(over + middle)).toBeCloseTo(to.panels.spine.x + to.panels.spine.width / 2, 6)
      }),
      { numRuns: cases(60, 2000) },
    )
  })
})

describe('a front on its panel', () => {
  const flat = flatOf(200)
  const { width, height } = flat.panels.front
  const bleed = flat.bleed.right

  test.each([
    ['cut at three edges', page(width + bleed, height + 2 * bleed), 0],
    ['cut at four', page(width + 2 * bleed, height + 2 * bleed), bleed],
  ])('%s it fills the panel', (_, sheet, left) => {
    const lying = frontOn(sheet, flat, assets)!
    expect(Math.abs(lying.off.width) + Math.abs(lying.off.height)).toBeLessThan(1e-9)
    expect(lying.slices[0]!.to.x).toBeCloseTo(flat.panels.front.x - left, 9)
    expect(right(lying.slices[0]!.to)).toBeCloseTo(flat.width + bleed, 9)
  })

  test('it stands in the place of what the design has there, and under what its author adds', () => {
    const badge = { ...lampOverTide.pieces[0]!, id: 'badge', panel: 'front' as const, own: true as const }
    const design = { ...lampOverTide, pieces: [...lampOverTide.pieces, badge], front: page(1, 1) }
    const shown = piecesShown(design)
    expect(shown.filter(p => p.panel === 'front').map(p => p.id)).toEqual(['badge'])
    expect(shown.filter(p => p.panel !== 'front')).toEqual(lampOverTide.pieces.filter(p => p.panel !== 'front'))
    expect(piecesShown(lampOverTide)).toBe(lampOverTide.pieces)
  })
})
