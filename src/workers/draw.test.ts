import '../../tests/support/browser'
import { expect, test } from '@jest/globals'
import { LayerBuilder, type PageMarks, PathBuilder } from '@/core/marks'
import { draw, drawSmall, gains, TINY_GAIN } from './draw'

test('a picture laid over itself comes to its gain', () => {
  for (const gain of [1, 1.4, 2, 3, TINY_GAIN, 16]) {
    const light = 1e-6
    const made = gains(gain).reduce((v, a) => v * (1 - a) + a * v * v, 1 - light)
    expect((1 - made) / light).toBeCloseTo(gain, 3)
  }
})

/** A page of one bar of each tone, from white to black, 40 points wide, and a hairline under them. */
function bars(tones: readonly number[]): PageMarks {
  const out = new LayerBuilder()
  const add = (y: number, height: number, k: number): void =>
    out.add({ kind: 'path', path: new PathBuilder().rect(0, y, 40, height).build(), fill: { k } })
  tones.forEach((k, i) => add(i * 10, 10, k))
  add(tones.length * 10 + 5, 0.25, 1)
  const none = { top: 0, right: 0, bottom: 0, left: 0 }
  return {
    width: 40,
    height: tones.length * 10 + 10,
    bleed: none,
    layers: [{ layer: out.build(), x: 0, y: 0 }],
    label: '1',
    side: 'recto',
  }
}

test('small pages: paper and black stay, what is fine becomes darker, and the order of tones is kept', () => {
  const tones = [0, 0.05, 0.1, 0.2, 0.4, 0.7, 1]
  const page = bars(tones)
  for (const gain of [1.4, TINY_GAIN]) {
    const scale = 0.5
    const valueAt = (canvas: OffscreenCanvas, y: number): number[] => [
      ...canvas
        .getContext('2d')!
        .getImageData(10, Math.round(y * scale), 1, 1)
        .data.slice(0, 3),
    ]
    const small = drawSmall(page, scale, () => undefined, { gain })
    const plain = draw(page, scale, () => undefined)
    expect([small.width, small.height]).toEqual([plain.width, plain.height])
    const seen = tones.map((_, i) => valueAt(small, i * 10 + 4)[0]!)
    const asDrawn = tones.map((_, i) => valueAt(plain, i * 10 + 4)[0]!)
    expect(valueAt(small, 4)).toEqual([255, 254, 251])
    expect(seen.at(-1)).toBeLessThanOrEqual(asDrawn.at(-1)! + 2)
    for (let i = 1; i < seen.length; i++) expect(seen[i]).toBeLessThanOrEqual(seen[i - 1]!)
    for (let i = 1; i < seen.length - 1; i++) expect(seen[i]).toBeLessThan(asDrawn[i]!)
    const darkest = (c: OffscreenCanvas): number =>
      Math.min(...[-1, 0, 1].map(d => valueAt(c, tones.length * 10 + 5 + d / scale)[0]!))
    expect(255 - darkest(small)).toBeGreaterThan((255 - darkest(plain)) * Math.min(gain, 2) * 0.9)
  }
})
