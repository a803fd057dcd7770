import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { type CoverPiece, tiesAcross, tiesDown } from '../book'
import { profileOf, shippedProfiles } from '../outlets'
import { areaOf, boxOnFlat, type CoverDesign, drawCover, flatFor, lampOverTide, settledOn, tiedOn } from '.'

const ostrevane = profileOf('ostrevane', shippedProfiles)
const flatOf = (trim: string, pages = 200, binding: 'paperback' | 'case' = 'paperback') =>
  flatFor(ostrevane, { binding, trim, paper: 'cream', pages })
const flats = fc
  .tuple(fc.constantFrom('5x8in', '5.5x8.5in', '6x9in', '8.5x11in'), fc.integer({ min: 120, max: 700 }))
  .map(([trim, pages]) => flatOf(trim, pages))
const part = (most: number) => fc.double({ min: 0, max: most, noNaN: true })
const piece = fc
  .record({
    panel: fc.constantFrom('front' as const, 'back' as const, 'spine' as const),
    across: fc.constantFrom(...tiesAcross),
    down: fc.constantFrom(...tiesDown),
    x: part(0.5),
    y: part(0.5),
    width: part(0.4),
    height: part(0.4),
  })
  .map(({ panel, across, down, ...box }) => ({
    tie: { across, down },
    piece: { id: 's', kind: 'shape', form: 'star', colour: '#aabbcc', panel, box } as CoverPiece,
  }))
const designOf = (p: CoverPiece): CoverDesign => ({ ...lampOverTide, pieces: [p] })

describe('a piece that is tied', () => {
  test('keeps its size and its distance from what it is tied to, on every flat, and comes back where it was', () => {
    fc.assert(
      fc.property(piece, flats, flats, ({ piece: p, tie }, home, other) => {
        const tied = { ...p, tied: tiedOn(p, home, tie)! }
        const [moved] = settledOn(designOf(tied), other).pieces
        const [from, to] = [boxOnFlat(home, tied)!, boxOnFlat(other, moved!)!]
        const [was, is] = [areaOf(home, tied)!, areaOf(other, moved!)!]
        expect(to.width).toBeCloseTo(from.width, 6)
        expect(to.height).toBeCloseTo(from.height, 6)
        if (p.panel !== 'spine') {
          const gaps = (a: typeof was, b: typeof from) => ({
            left: b.x - a.x,
            middle: b.x + b.width / 2 - a.x - a.width / 2,
            right: a.x + a.width - b.x - b.width,
          })
          expect(gaps(is, to)[tie.across]).toBeCloseTo(gaps(was, from)[tie.across], 6)
          const foot = (a: typeof was, b: typeof from): number =>
            tie.down === 'head'
              ? b.y - a.y
              : tie.down === 'foot'
                ? a.y + a.height - b.y - b.height
                : b.y + b.height / 2 - a.y - a.height / 2
          expect(foot(is, to)).toBeCloseTo(foot(was, from), 6)
        }
        const [back] = settledOn(designOf(moved!), home).pieces
        for (const key of ['x', 'y', 'width', 'height'] as const) expect(back!.box[key]).toBeCloseTo(p.box[key], 9)
      }),
      { numRuns: cases(150, 3000) },
    )
  })

  test('is drawn so: as large on a case of another trim as on the paperback, the others in proportion', async () => {
    const home = flatOf('6x9in')
    const star = {
      id: 'star',
      kind: 'shape',
      form: 'star',
      colour: '#aabbcc',
      panel: 'front',
      box: { x: 0.7, y: 0.05, width: 0.2, height: 0.15 },
    } as CoverPiece
    const tied = { ...star, id: 'tied', tied: tiedOn(star, home, { across: 'right', down: 'head' })! }
    const data = { title: 'Ebb', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] }
    const large = flatOf('8.5x11in', 200)
    const { design, flat } = await drawCover(large, { ...lampOverTide, pieces: [star, tied] }, data, { shelf })
    const [grown, kept] = design.pieces.map(p => boxOnFlat(flat, p)!)
    const was = boxOnFlat(home, star)!
    expect(kept!.width).toBeCloseTo(was.width, 6)
    expect(grown!.width).toBeGreaterThan(was.width * 1.3)
  })

  test('what is in proportion stays as it is said', () => {
    expect(settledOn(lampOverTide, flatOf('8.5x11in'))).toBe(lampOverTide)
  })
})
