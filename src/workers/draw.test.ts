import '../../tests/support/browser'
import { expect, test } from '@jest/globals'
import { LayerBuilder, type PageMarks, PathBuilder } from '@/core/marks'
import { afterGain, draw, drawSmall, TINY_GAIN } from './draw'

test('a picture laid over itself comes to its gain', () => {
  for (const gain of [1, 1.4, 2, 3, TINY_GAIN, 16]) {
    const light = 1e-6
    expect(afterGain(light, gain) / light).toBeCloseTo(gain, 3)
  }
})

/** A page of one bar of each tone, from white to black, 40 points wide, each so many lines one below the other, and a hairline under them. */
function bars(tones: readonly number[], lines: number): PageMarks {
  const out = new LayerBuilder()
  const add = (y: number, height: number, k: number): void =>
    out.add({ kind: 'path', path: new PathBuilder().rect(0, y, 40, height).build(), fill: { k } })
  const high = 10 / lines
  tones.forEach((k, i) => {
    for (let n = 0; n < lines; n++) add(i * 10 + n * high, high, k)
  })
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
  const page = bars(tones, 5)
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

test('small pages: a broad wash of tone is as dark as on the page itself', () => {
  const tones = [0, 0.05, 0.12, 0.3, 0.6, 1]
  const page = bars(tones, 1)
  const rows = (c: OffscreenCanvas): number[] =>
    tones.map((_, i) => c.getContext('2d')!.getImageData(10, Math.round((i * 10 + 4) * 0.5), 1, 1).data[0]!)
  for (const gain of [1.4, TINY_GAIN]) {
    const [small, plain] = [
      rows(drawSmall(page, 0.5, () => undefined, { gain })),
      rows(draw(page, 0.5, () => undefined)),
    ]
    // Light tones that are multiplied lose a few steps of the canvas's eight bits.
    small.forEach((v, i) => expect(Math.abs(v - plain[i]!)).toBeLessThanOrEqual(gain))
  }
})
