import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { nodePorts } from '@/cli/ports'
import { rgb } from '../marks'
import { type Lcms, loadInks, proofed, Separation } from '.'

const ports = nodePorts(new Map())
const inks = await ports.inks()
const sum = (cmyk: readonly number[]): number => cmyk.reduce((a, b) => a + b, 0)
const byte = () => fc.integer({ min: 0, max: 255 })

describe('colours as inks', () => {
  test('paper is paper, and black is as much ink as the profile was made for', () => {
    expect(inks.name).toBe('Coated offset, from characterisation data')
    expect([...inks.separate(Uint8Array.of(255, 255, 255))]).toEqual([0, 0, 0, 0])
    // Black of a screen is black of all four inks, as much of them as the profile was made for: 300 %.
    const black = sum([...inks.separate(Uint8Array.of(0, 0, 0))]) / 255
    expect(black).toBeGreaterThan(2.5)
    expect(black).toBeLessThanOrEqual(3.01)
  })
  test('nowhere more ink than the limit, and black never gives way', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ minLength: 3, maxLength: 300 }),
        fc.integer({ min: 180, max: 300 }),
        (bytes, percent) => {
          const rgbs = bytes.subarray(0, bytes.length - (bytes.length % 3))
          const bare = inks.separate(rgbs)
          const held = new Separation(inks, percent / 100).pixels(rgbs)
          for (let i = 0; i < held.length; i += 4) {
            expect(sum([...held.subarray(i, i + 4)])).toBeLessThanOrEqual(Math.max((percent / 100) * 255, bare[i + 3]!))
            expect(held[i + 3]).toBe(bare[i + 3])
            for (let c = 0; c < 3; c++) expect(held[i + c]).toBeLessThanOrEqual(bare[i + c]!)
          }
        },
      ),
    )
  })
  test('a flat colour and the same colour in a picture are the same inks', () => {
    const separation = new Separation(inks, 2.4)
    fc.assert(
      fc.property(byte(), byte(), byte(), (r, g, b) => {
        const flat = separation.area({ r: r / 255, g: g / 255, b: b / 255 }).map(v => Math.round(v * 255))
        expect([...separation.pixels(Uint8Array.of(r, g, b))]).toEqual(flat)
      }),
    )
  })
  test('black and grey words are black ink alone; coloured ones are not', () => {
    const separation = new Separation(inks)
    expect(separation.words(rgb('#000000'))).toEqual([0, 0, 0, 1])
    expect(separation.words({ k: 0.4 })).toEqual([0, 0, 0, 0.4])
    const grey = separation.words(rgb('#808080'))
    expect(grey.slice(0, 3)).toEqual([0, 0, 0])
    expect(grey[3]).toBeCloseTo(0.498, 2)
    expect(separation.words(rgb('#15343d'))).toEqual(separation.area(rgb('#15343d')))
    // White words are the paper.
    expect(separation.words(rgb('#ffffff'))[3]).toBeCloseTo(0, 9)
  })
  test('a proof of what lies within the press’s colours is what was sent; pure blue is not within', () => {
    const separation = new Separation(inks)
    const off = (hex: number[]): number =>
      Math.max(...separation.proof(Uint8Array.from(hex)).map((v, i) => Math.abs(v - hex[i]!)))
    expect(off([246, 239, 223])).toBeLessThan(8)
    expect(off([120, 110, 100])).toBeLessThan(8)
    expect(off([0, 0, 255])).toBeGreaterThan(40)
  })
  test('a proof marks what is beyond the press, and that alone, and says how much it is', () => {
    // Three pixels of paper’s own colours and one of a screen’s blue.
    const rgba = Uint8ClampedArray.of(246, 239, 223, 255, 120, 110, 100, 255, 0, 0, 255, 255, 60, 90, 90, 255)
    const separation = new Separation(inks)
    const plain = { width: 4, rgba: rgba.slice() }
    expect(proofed(plain, separation)).toBe(0.25)
    expect(plain.rgba[10]!).toBeLessThan(220)
    const marked = { width: 4, rgba: rgba.slice() }
    proofed(marked, separation, true)
    expect([...marked.rgba.slice(8, 11)].every(v => v === 0 || v === 255)).toBe(true)
    expect([...marked.rgba.slice(0, 8)]).toEqual([...plain.rgba.slice(0, 8)])
  })
  test('many pixels are turned as single ones are', () => {
    const row = Uint8Array.from({ length: 3 * 999 }, (_, i) => (i * 37) % 256)
    const all = inks.separate(row)
    expect(all.length).toBe(4 * 999)
    for (const at of [0, 500, 998]) {
      const one = inks.separate(row.subarray(at * 3, at * 3 + 3))
      expect([...all.subarray(at * 4, at * 4 + 4)]).toEqual([...one])
    }
  })
  test('what is no profile of inks is refused', async () => {
    const { readFile } = await import('node:fs/promises')
    const wasm = new Uint8Array(await readFile('node_modules/lcms-wasm/dist/lcms.wasm'))
    const { greyProfile } = await import('../pdf')
    const lcms = (await import('lcms-wasm')) as unknown as Lcms
    await expect(loadInks(greyProfile('grey', 0.2), lcms, wasm)).rejects.toThrow(/no colour profile of four inks/)
  })
})
