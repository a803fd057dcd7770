import { describe, expect, test } from '@jest/globals'
import { profileOf, shippedProfiles } from '../outlets'
import { formatLength, IN } from '../trade'
import { areaOf, type CoverSpec, type Flat, flatFor, flatMeasures, sheetSize, zoneOf } from '.'

/** [outlet, binding, trim, paper, pages made] → inches worked out by hand from the printer's figures: sheet width, height, spine, words of the spine high. */
type Row = [string, CoverSpec['binding'], string, string, number, number, number, number, number?]
const MM_IN = 1 / 25.4

const table: Row[] = [
  // 0.125 + 6 + 80 × 0.00254 + 6 + 0.125: too few pages for words at 84.
  ['ostrevane', 'paperback', '6x9in', 'cream', 80, 12.4532, 9.25, 0.2032],
  // 200 × 0.00254 = 0.508; 0.508 − 2 × 0.07 = 0.368.
  ['ostrevane', 'paperback', '6x9in', 'cream', 200, 12.758, 9.25, 0.508, 0.368],
  ['ostrevane', 'paperback', '6x9in', 'cream', 700, 14.028, 9.25, 1.778, 1.638],
  // An odd page is followed by a blank: 202 × 0.00231.
  ['ostrevane', 'paperback', '5x8in', 'white', 201, 10.71662, 8.25, 0.46662, 0.32662],
  ['ostrevane', 'paperback', '8.5x11in', 'colour', 120, 17.5368, 11.25, 0.2868, 0.1468],
  // 2 × (0.55 + 0.12 + 6) + 200 × 0.00254 + 0.07 by 9 + 2 × 0.67.
  ['ostrevane', 'case', '6x9in', 'cream', 200, 13.918, 10.34, 0.578, 0.438],
  // 80 pages × 0.00254 + 0.07: boards do not bring the words sooner.
  ['ostrevane', 'case', '6x9in', 'cream', 80, 13.6132, 10.34, 0.2732],
  ['ostrevane', 'case', '8.5x11in', 'white', 480, 19.5188, 12.34, 1.1788, 1.0388],
  ['tarnbrook', 'paperback', '6x9in', 'cream', 80, 12.4556, 9.25, 0.2056],
  ['tarnbrook', 'paperback', '6x9in', 'cream', 200, 12.764, 9.25, 0.514, 0.374],
  ['tarnbrook', 'paperback', '6x9in', 'heavy', 700, 14.399, 9.25, 2.149, 2.009],
  // 2 × (0.68 + 0.13 + 5) + 0.09 + 200 × 0.00233 by 8 + 2 × 0.81; 198 made are 200 of fours.
  ['tarnbrook', 'case', '5x8in', 'white', 198, 12.176, 9.62, 0.556, 0.416],
  // No spine: 2 × 148 mm and 5 mm at each edge, by 210 + 10.
  ['tarnbrook', 'coil', 'A5', 'white', 80, (2 * 148 + 10) * MM_IN, 220 * MM_IN, 0],
  ['tarnbrook', 'coil', '8.5x11in', 'white', 200, 17 + 10 * MM_IN, 11 + 10 * MM_IN, 0],
  // A booklet: one fold, no spine.
  ['tarnbrook', 'saddle', 'A5', 'white', 24, 2 * 148 * MM_IN + 0.25, 210 * MM_IN + 0.25, 0],
  // Two sheets: fore edge 3 mm, holes 5 mm, head and foot 3 mm.
  ['harrowmere', 'coil', 'A5', 'cream', 80, (148 + 3 + 5) * MM_IN, 216 * MM_IN, 0],
  ['harrowmere', 'coil', 'A4', 'white', 200, (210 + 8) * MM_IN, 303 * MM_IN, 0],
  // 3 mm + 148 + 200 × 0.00246 in + 148 + 3 mm; words 2 mm from both folds.
  ['harrowmere', 'paperback', 'A5', 'cream', 200, 302 * MM_IN + 0.492, 216 * MM_IN, 0.492, 0.492 - 4 * MM_IN],
  ['harrowmere', 'paperback', '6x9in', 'white', 80, 12 + 6 * MM_IN + 0.1808, 9 + 6 * MM_IN, 0.1808],
  ['harrowmere', 'paperback', '6x9in', 'white', 700, 12 + 6 * MM_IN + 1.582, 9 + 6 * MM_IN, 1.582, 1.582 - 4 * MM_IN],
]

const near = (pt: number, inches: number): void => expect(Math.abs(pt / IN - inches)).toBeLessThan(0.0005)

describe('flats worked out by hand, to half a thousandth of an inch', () => {
  test.each(table)('%s: %s of %s on %s, %i pages', (...row: Row) => {
    const [outlet, binding, trim, paper, pages, width, height, spine, words] = row
    const flat = flatFor(profileOf(outlet, shippedProfiles), { binding, trim, paper, pages })
    near(sheetSize(flat).width, width)
    near(sheetSize(flat).height, height)
    near(flat.panels.spine.width, spine)
    const zone = zoneOf(flat, 'spine text', 'spine')
    expect(zone !== undefined).toBe(words !== undefined)
    if (zone) {
      near(zone.width, words!)
      // Clear of both folds alike.
      expect(zone.x - flat.panels.spine.x).toBeCloseTo(flat.panels.front.x - zone.x - zone.width, 6)
    }
  })
})

describe('bindings that have no spine', () => {
  const harrow = (trim: string) =>
    flatFor(profileOf('harrowmere', shippedProfiles), { binding: 'coil', trim, paper: 'white', pages: 100 })
  test('two sheets lie apart by both inner bleeds, and each keeps its strip along the holes bare', () => {
    const flat = harrow('A5')
    expect(flat.sheets.map(s => s.name)).toEqual(['back', 'front'])
    near(flat.panels.front.x, (148 + 10) * MM_IN)
    const [back, front] = flat.sheets
    expect(back!.bleed).toMatchObject({ left: front!.bleed.right, right: front!.bleed.left })
    near(front!.bleed.left, 5 * MM_IN)
    near(zoneOf(flat, 'safe', 'front')!.x - flat.panels.front.x, 14 * MM_IN)
    near(zoneOf(flat, 'safe', 'back')!.x, 7 * MM_IN)
    expect(flat.zones.some(z => z.kind === 'fold' || z.kind === 'drift')).toBe(false)
    // A ground of one panel reaches to all four of its sheet's edges.
    const area = areaOf(flat, { panel: 'front', within: 'panel' })!
    near(area.x, (148 + 5) * MM_IN)
    near(area.width, (148 + 8) * MM_IN)
  })
  test('a booklet has one fold, and its drift to both sides', () => {
    const flat = flatFor(profileOf('tarnbrook', shippedProfiles), {
      binding: 'saddle',
      trim: 'A5',
      paper: 'white',
      pages: 24,
    })
    expect(flat.zones.filter(z => z.kind === 'fold')).toHaveLength(1)
    const drift = zoneOf(flat, 'drift', 'spine')!
    near(drift.x + drift.width / 2, 148 * MM_IN)
    near(drift.width, 0.12)
  })
})

describe('the barcode’s place', () => {
  const at = (barcode?: CoverSpec['barcode']): Flat =>
    flatFor(profileOf('ostrevane', shippedProfiles), {
      binding: 'paperback',
      trim: '6x9in',
      paper: 'cream',
      pages: 200,
      barcode,
    })
  test('37.29 by 25.93 mm in the lower right of what is safe, 55.11 wide with a price', () => {
    const [bare, priced] = [zoneOf(at(), 'barcode', 'back')!, zoneOf(at('priced'), 'barcode', 'back')!]
    near(bare.width, 37.29 * MM_IN)
    near(bare.height, 25.93 * MM_IN)
    near(priced.width, 55.11 * MM_IN)
    near(bare.x + bare.width, 6 - 0.28)
    near(priced.x + priced.width, 6 - 0.28)
    near(bare.y + bare.height, 9 - 0.28)
  })
  test('left clear, it is the printer’s', () => {
    expect(at().barcodeBy).toBe('author')
    expect(at('left clear').barcodeBy).toBe('printer')
  })
})

test('every measure is what its worked line comes to', () => {
  for (const profile of shippedProfiles.filter(p => p.print))
    for (const binding of profile.print!.bindings) {
      const spec = {
        binding: binding.kind,
        trim: binding.trims[0]!,
        paper: profile.print!.papers[0]!.id,
        ink: 'black' as const,
      }
      const flat = flatFor(profile, { ...spec, pages: binding.leastPages })
      const measures = flatMeasures(profile, spec, flat)
      expect(measures.map(m => m.name)).toEqual(expect.arrayContaining(['back', 'front', 'width', 'height']))
      for (const m of measures) {
        expect(`${m.name} ${formatLength(workedOut(m.worked), 'in')}`).toBe(`${m.name} ${formatLength(m.pt, 'in')}`)
      }
    }
})

/** A worked line worked out again: sums of products of lengths in inches and millimetres. */
const workedOut = (line: string): number =>
  [...line.matchAll(/(^|[+−×] )([\d.]+)( mm)?/g)].reduce<{ sum: number; term: number; sign: number }>(
    (at, [, op, figure, mm], i, all) => {
      const n = Number(figure) * (mm ? MM_IN : 1)
      const term = op === '× ' ? at.term * n : n
      const sign = op === '× ' ? at.sign : op === '− ' ? -1 : 1
      const last = i + 1 === all.length || all[i + 1]![1] !== '× '
      return last ? { sum: at.sum + sign * term, term, sign } : { sum: at.sum, term, sign }
    },
    { sum: 0, term: 0, sign: 1 },
  ).sum * IN
