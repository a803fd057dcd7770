import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import type { TitleData } from '../book'
import { profileOf, shippedProfiles } from '../outlets'
import { areaOf, drawCover, flatFor, frontPage, lampOverTide, sheetSize, zoneOf, fromSpineBox, spineBox } from '.'
import { BARCODE } from './geometry'
import { addOnOf, barcodeLayer } from './barcode'

const spec = { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 218 } as const
const data: TitleData = {
  title: 'The Tidewarden’s Almanac',
  subtitle: 'A mystery',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
  language: 'en-GB',
  imprint: { name: 'Saltgrass Lane Press' },
  subjects: [],
  series: { name: 'The Merrow Sound Mysteries', number: 1 },
  description:
    'In the harbour town of Merrow Sound the bell rings seven times on a still morning, and nobody has touched the rope. '.repeat(
      3,
    ),
}

describe('the flat, by hand', () => {
  test('paperback: 0.125 + 6 + 0.55372 + 6 + 0.125 = 12.80372 by 9.25 in', () => {
    const s = sheetSize(flatFor(profileOf('ostrevane', shippedProfiles), spec))
    expect(s.width / 72).toBeCloseTo(12.80372, 5)
    expect(s.height / 72).toBeCloseTo(9.25, 6)
  })
  test('case at Ostrevane: 2 × (0.55 + 0.12 + 6) + 0.55372 + 0.07 by 9 + 2 × 0.67', () => {
    const f = flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, binding: 'case' })
    expect(sheetSize(f).width / 72).toBeCloseTo(2 * 6.67 + 0.62372, 5)
    expect(sheetSize(f).height / 72).toBeCloseTo(9 + 2 * 0.67, 5)
    expect(zoneOf(f, 'hinge', 'front')!.width / 72).toBeCloseTo(0.44, 6)
  })
  test('coil at Tarnbrook: no spine, 5 mm of bleed, a clear strip', () => {
    const f = flatFor(profileOf('tarnbrook', shippedProfiles), {
      binding: 'coil',
      trim: 'A5',
      paper: 'white',
      pages: 120,
    })
    expect(sheetSize(f).width).toBeCloseTo(((148 * 2 + 10) / 25.4) * 72, 4)
    expect(f.panels.spine.width).toBe(0)
    expect(zoneOf(f, 'holes', 'front')).toBeDefined()
    expect(f.spineText).toBe(false)
  })
  test('spine text from the page that the outlet says', () => {
    expect(flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages: 82 }).spineText).toBe(false)
    expect(flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages: 84 }).spineText).toBe(true)
  })
  test('panels tile the flat and zones lie in their panels, whatever the book', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shippedProfiles.filter(p => p.print)),
        fc.integer({ min: 40, max: 480 }),
        fc.nat(50),
        (p, pages, pick) => {
          const binding = p.print!.bindings[pick % p.print!.bindings.length]!
          const f = flatFor(p, {
            binding: binding.kind,
            trim: binding.trims[pick % binding.trims.length]!,
            paper: p.print!.papers[0]!.id,
            pages,
          })
          expect(f.panels.spine.x).toBeCloseTo(f.panels.back.width, 6)
          // Sheets of their own have their bleeds between them.
          const between = f.sheets.length === 2 ? f.sheets[0]!.bleed.right + f.sheets[1]!.bleed.left : 0
          expect(f.panels.front.x).toBeCloseTo(f.panels.spine.x + f.panels.spine.width + between, 6)
          expect(f.panels.front.x + f.panels.front.width).toBeCloseTo(f.width, 6)
          for (const z of f.zones.filter(z => z.kind !== 'drift')) {
            const panel = f.panels[z.panel]
            expect(z.rect.x).toBeGreaterThanOrEqual(panel.x - 1e-6)
            expect(z.rect.x + z.rect.width).toBeLessThanOrEqual(panel.x + panel.width + 1e-6)
            expect(z.rect.y + z.rect.height).toBeLessThanOrEqual(f.height + 1e-6)
          }
        },
      ),
    )
  })
})

describe('a design on a flat', () => {
  test('stays in its zones at every page count, trim and binding', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 40, max: 480 }),
        fc.constantFrom('5x8in', '6x9in', '8.5x11in'),
        async (pages, trim) => {
          const flat = flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages, trim })
          const cover = await drawCover(flat, lampOverTide, data, { isbn: '9780000000002', shelf })
          for (const p of cover.pieces) {
            const zone = areaOf(flat, p)!
            expect(p.box.x).toBeGreaterThanOrEqual(zone.x - 0.5)
            expect(p.box.y).toBeGreaterThanOrEqual(zone.y - 0.5)
            expect(p.box.x + p.box.width).toBeLessThanOrEqual(zone.x + zone.width + 0.5)
            expect(p.box.y + p.box.height).toBeLessThanOrEqual(zone.y + zone.height + 0.5)
            if (p.panel === 'back')
              expect(p.box.x + p.box.width <= cover.barcode!.x || p.box.y + p.box.height <= cover.barcode!.y).toBe(true)
          }
        },
      ),
      { numRuns: 12 },
    )
  })
  test('the imprint’s logo stands at the foot of the spine and over its name on the back, clear of words and barcode', async () => {
    const assets = [{ id: 'logo', type: 'image/png' as const, width: 300, height: 450 }]
    const withLogo = { ...data, imprint: { name: 'Saltgrass', logo: 'logo' } }
    for (const language of ['en-GB', 'de'])
      for (const trim of ['5x8in', '8.5x11in']) {
        const flat = flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages: 300, trim, language })
        const isbn = '9780000000002'
        const cover = await drawCover(flat, lampOverTide, { ...withLogo, language }, { isbn, shelf, assets })
        const logos = cover.page.layers.flatMap(l => l.layer.items).filter(i => i.kind === 'image')
        expect(logos).toHaveLength(2)
        const [spine, back] = logos as [(typeof logos)[0], (typeof logos)[0]]
        const text = zoneOf(flat, 'spine text', 'spine')!
        const safe = zoneOf(flat, 'safe', 'back')!
        for (const [logo, zone] of [
          [spine, text],
          [back, safe],
        ] as const) {
          expect(logo.width / logo.height).toBeCloseTo(300 / 450, 6)
          expect(logo.x).toBeGreaterThanOrEqual(zone.x)
          expect(logo.y + logo.height).toBeLessThanOrEqual(zone.y + zone.height + 1e-6)
        }
        expect(spine.y + spine.height).toBeCloseTo(text.y + text.height, 6)
        const meets = (a: { x: number; y: number; width: number; height: number }, b: typeof a): boolean =>
          a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height
        for (const p of cover.pieces)
          expect([p.id, meets(p.box, spine), meets(p.box, back)]).toEqual([p.id, false, false])
        expect(meets(back, cover.barcode!)).toBe(false)
      }
    // Too thin for words, too thin for a logo.
    const thin = flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages: 60 })
    const { page } = await drawCover(thin, lampOverTide, withLogo, { shelf, assets })
    expect(page.layers.flatMap(l => l.layer.items).filter(i => i.kind === 'image')).toHaveLength(thin.spineText ? 2 : 1)
  })
  test('spines run down, and up where the language area reads them so; boxes are found again on the flat', async () => {
    const setIn = async (language: string) => {
      const flat = flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages: 300, language })
      return drawCover(flat, lampOverTide, { ...data, language }, { shelf })
    }
    for (const [language, reads] of [
      ['en-GB', 'down'],
      ['sv', 'down'],
      ['de-AT', 'up'],
      ['fr', 'up'],
    ] as const) {
      const { flat, page, pieces } = await setIn(language)
      expect(flat.spineReads).toBe(reads)
      const zone = zoneOf(flat, 'spine text', 'spine')!
      const piece = pieces.find(p => p.panel === 'spine')!
      const group = page.layers.flatMap(l => l.layer.items).find(i => i.kind === 'group' && i.role === piece.id)
      const [, b, , , dx, dy] = (group as { transform: number[] }).transform
      // Where the words begin: at the head and turned clockwise, or at the foot and turned the other way.
      expect(b).toBe(reads === 'down' ? 1 : -1)
      expect(dx! - zone.x).toBeCloseTo(reads === 'down' ? zone.width : 0, 6)
      expect(dy! - zone.y).toBeCloseTo(reads === 'down' ? 0 : zone.height, 6)
      for (const p of pieces.filter(x => x.panel === 'spine')) {
        const inZone = fromSpineBox(zone, p.box, reads)
        expect(spineBox(zone, inZone, reads).x).toBeCloseTo(p.box.x, 9)
        expect(p.box.x).toBeGreaterThanOrEqual(zone.x - 0.5)
        expect(p.box.y + p.box.height).toBeLessThanOrEqual(zone.y + zone.height + 0.5)
      }
    }
    fc.assert(
      fc.property(
        fc.record({ x: fc.nat(90), y: fc.nat(90), width: fc.nat(90), height: fc.nat(90) }),
        fc.record({ x: fc.nat(90), y: fc.nat(90), width: fc.nat(90), height: fc.nat(90) }),
        fc.constantFrom('up' as const, 'down' as const),
        (zone, inside, reads) => expect(fromSpineBox(zone, spineBox(zone, inside, reads), reads)).toEqual(inside),
      ),
    )
  })
  test('a refit keeps what was placed: the same parts of the panel, the same words', async () => {
    const at = async (pages: number) =>
      drawCover(flatFor(profileOf('ostrevane', shippedProfiles), { ...spec, pages }), lampOverTide, data, { shelf })
    const [a, b] = [await at(218), await at(300)]
    expect(b.pieces.map(p => [p.id, p.text])).toEqual(a.pieces.map(p => [p.id, p.text]))
    const front = (c: typeof a, id: string) => c.pieces.find(p => p.id === id)!.box.x - c.flat.panels.front.x
    expect(front(b, 'title')).toBeCloseTo(front(a, 'title'), 6)
    expect(b.pieces.find(p => p.id === 'title')!.size).toBe(a.pieces.find(p => p.id === 'title')!.size)
  })
  test('a title that is far too long is said, not cut', async () => {
    const cover = await drawCover(
      flatFor(profileOf('ostrevane', shippedProfiles), spec),
      lampOverTide,
      { ...data, title: 'Tide '.repeat(1800) },
      { shelf },
    )
    expect(cover.pieces.find(p => p.id === 'title')!.tooLong).toBe(true)
  })
  test('the front alone is the front panel', async () => {
    const cover = await drawCover(flatFor(profileOf('ostrevane', shippedProfiles), spec), lampOverTide, data, { shelf })
    const f = frontPage(cover)
    expect([f.width, f.height]).toEqual([432, 648])
    expect(f.layers[0]!.x).toBeCloseTo(-cover.flat.panels.front.x)
  })
  test('the barcode has its nominal size and 30 bars', async () => {
    const layer = await barcodeLayer({ isbn: '9780000000002' }, await shelf.face('figtree/regular'))
    expect((BARCODE.width / 72) * 25.4).toBeCloseTo(37.29, 2)
    const bars = layer.items[1]!
    expect(bars.kind === 'path' && bars.path.ops.filter(o => o === 0).length).toBe(30)
    await expect(barcodeLayer({ isbn: '123' }, layer.text!.faces[0] as never)).rejects.toThrow(/thirteen/)
  })
  test('a price is said in five figures: its currency’s, and the amount; none where there is none to say', () => {
    expect(addOnOf({ amount: 1399, currency: 'USD' })).toBe('51399')
    expect(addOnOf({ amount: 899, currency: 'GBP' })).toBe('00899')
    expect(addOnOf({ amount: 12_000, currency: 'CAD' })).toBe('69999')
    expect(addOnOf({ amount: 1399, currency: 'EUR' })).toBe('90000')
    expect(addOnOf(undefined)).toBe('90000')
  })
  test('the add-on stands at the standard’s distance beside the symbol, within its own quiet zone', async () => {
    const layer = await barcodeLayer({ isbn: '9780000000002', addOn: '51399' }, await shelf.face('figtree/regular'))
    const bars = layer.items[1]!
    if (bars.kind !== 'path') throw new Error('bars are a path')
    const lefts = [...bars.path.xy].filter((_, i) => i % 2 === 0).map(x => x / BARCODE.module)
    // Eleven modules of quiet, 95 of the symbol, nine between, 47 of the add-on, five of quiet.
    expect(Math.min(...lefts)).toBeCloseTo(11, 4)
    expect(Math.max(...lefts)).toBeCloseTo(11 + 95 + 9 + 47, 4)
    expect(BARCODE.withAddOn / BARCODE.module).toBeCloseTo(167, 6)
    expect(lefts.some(x => x > 106 + 1e-4 && x < 115 - 1e-4)).toBe(false)
  })
})
