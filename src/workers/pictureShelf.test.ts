import '../../tests/support/browser'
import '../../tests/support/store'
import { describe, expect, test } from '@jest/globals'
import { createCanvas } from '@napi-rs/canvas'
import { hashOf } from '@/core/book'
import { carry, carried } from './faults'
import { Cancelled, Fault } from '@/core/trade'
import { LayerBuilder, type PageMarks } from '@/core/marks'

const { lend, pixelsHeld, withPreviews } = await import('./pictureShelf')

/** A page with pictures on it. */
const pageOf = (...ids: string[]): PageMarks => {
  const layer = new LayerBuilder()
  for (const asset of ids) layer.add({ kind: 'image', asset, x: 0, y: 0, width: 100, height: 100, alt: '' })
  return {
    label: '1',
    width: 432,
    height: 648,
    bleed: { left: 0, right: 0, top: 0, bottom: 0 },
    layers: [{ layer: layer.build(), x: 0, y: 0 }],
  } as unknown as PageMarks
}
async function picture(n: number, width: number, height: number): Promise<string> {
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  ctx.fillStyle = `rgb(${n}, 90, 40)`
  ctx.fillRect(0, 0, width, height)
  const bytes = new Uint8Array(await canvas.encode('png'))
  lend(new Map([[hashOf(bytes), bytes]]))
  return hashOf(bytes)
}

describe('pictures at the press', () => {
  test('screens get previews: large pictures small, small ones as they are, broken ones and absent ones not at all', async () => {
    const [large, small] = [await picture(1, 3000, 2000), await picture(2, 300, 200)]
    const broken = hashOf(Uint8Array.of(9, 9))
    lend(new Map([[broken, Uint8Array.of(9, 9)]]))
    const seen = await withPreviews([pageOf(large, small, broken, 'nowhere')], pictures =>
      [large, small, broken, 'nowhere'].map(id => pictures(id) as { width: number; height: number } | undefined),
    )
    expect(seen.map(p => p && [p.width, p.height])).toEqual([[1400, 933], [300, 200], undefined, undefined])
  })
  test('what is held stays under its budget, however many there are; those of the page at hand are there', async () => {
    for (let i = 0; i < 20; i++) {
      const id = await picture(10 + i, 1400, 1400)
      expect(await withPreviews([pageOf(id)], pictures => !!pictures(id))).toBe(true)
      expect(pixelsHeld()).toBeLessThanOrEqual(40e6 + 1400 * 1400 * 4)
    }
    expect(pixelsHeld()).toBeGreaterThan(30e6)
  })
  test('pages that are asked for at the same time do not hold all their pictures together', async () => {
    const ids = await Promise.all(Array.from({ length: 15 }, (_, i) => picture(60 + i, 1390, 1390)))
    let most = 0
    const watch = (): number => (most = Math.max(most, pixelsHeld()))
    const pages = Array.from({ length: 5 }, (_, i) => ids.slice(3 * i, 3 * i + 3))
    const seen = await Promise.all(
      pages.map(on => withPreviews([pageOf(...on)], p => (watch(), on.every(id => !!p(id))))),
    )
    expect(seen).toEqual(pages.map(() => true))
    expect(most).toBeLessThanOrEqual(40e6 + 3 * 1390 * 1390 * 4)
  })
  test('a page without pictures does not wait for those of others', async () => {
    const order: string[] = []
    const id = await picture(90, 1380, 1380)
    await Promise.all([
      withPreviews([pageOf(id)], () => order.push('picture')),
      withPreviews([pageOf()], () => order.push('plain')),
    ])
    expect(order).toEqual(['plain', 'picture'])
  })
  test('originals are opened one at a time', async () => {
    let [open, most] = [0, 0]
    const real = globalThis.createImageBitmap
    globalThis.createImageBitmap = (async (blob: Blob) => {
      most = Math.max(most, ++open)
      const b = (await real(blob)) as ImageBitmap & { close?: () => void }
      return Object.assign(b, { close: () => void open-- })
    }) as never
    const { decodedWhole } = await import('./decoding')
    const bytes = new Uint8Array(await createCanvas(600, 600).encode('png'))
    await Promise.all(Array.from({ length: 8 }, () => decodedWhole('one', bytes, b => b.width)))
    globalThis.createImageBitmap = real
    expect([most, open]).toEqual([1, 0])
  })
})

test('what is thrown crosses between page and worker with code, place and sentence', () => {
  const fault = carried(structuredClone(carry(new Fault('gap', 'A sentence.', 'here'))) as never) as Fault
  expect([fault instanceof Fault, fault.code, fault.place, fault.message]).toEqual([true, 'gap', 'here', 'A sentence.'])
  expect(carried(carry(new Cancelled()) as never)).toBeInstanceOf(Cancelled)
  expect(carried(carry(new TypeError('x')) as never)).toMatchObject({ name: 'TypeError', message: 'x' })
  expect(carried(carry('text') as never)).toBe('text')
})
