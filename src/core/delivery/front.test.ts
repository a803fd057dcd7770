import { expect, test } from '@jest/globals'
import { shelf } from '../../../tests/support/core'
import { nodePorts } from '@/cli/ports'
import { drawCover, flatFor, lampOverTide } from '../cover'
import { profileOf, shippedProfiles } from '../outlets'
import { frontPicture, printSnapshot } from '.'
import type { DeliveryPorts, PaintedAs } from './ports'

const ostrevane = profileOf('ostrevane', shippedProfiles)
const flat = flatFor(ostrevane, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 200 })
const data = {
  title: 'The Long Ebb',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' as const }],
  language: 'en',
  imprint: { name: 'Saltgrass' },
  subjects: [],
}
const cover = await drawCover(flat, lampOverTide, data, { shelf })
const taking = (frontMb: number | undefined) => ({ ebook: { ...ostrevane.ebook!, frontMb } as never })

test('a front is as high as the outlet takes, as a JPEG or as a PNG', async () => {
  const small = { ebook: { ...ostrevane.ebook!, frontLeast: 300, frontMost: 400 } }
  const [jpeg, png] = [
    await frontPicture(cover, small, nodePorts(new Map())),
    await frontPicture(cover, small, nodePorts(new Map()), 'png'),
  ]
  expect([jpeg.height, png.height]).toEqual([400, 400])
  expect([...jpeg.bytes.subarray(0, 2)]).toEqual([0xff, 0xd8])
  expect([...png.bytes.subarray(1, 4)]).toEqual([0x50, 0x4e, 0x47])
})

test('a JPEG that is too heavy is made again with less kept of it, until it fits or would show its faults', async () => {
  const asked: (PaintedAs | undefined)[] = []
  const weighing = (weigh: (quality: number) => number): Pick<DeliveryPorts, 'paint'> => ({
    paint: async (_page, height, as) => {
      asked.push(as)
      return { bytes: new Uint8Array(weigh(as?.quality ?? 1)), width: 1, height }
    },
  })
  const half = weighing(q => 2e6 * q) as DeliveryPorts
  expect((await frontPicture(cover, taking(1.5), half)).bytes.length).toBeLessThanOrEqual(1.5e6)
  expect(asked.map(a => a?.quality)).toEqual([undefined, 0.82, 0.74])
  asked.length = 0
  // Nothing makes it fit: what is best of what is left goes out, and a rule says that it is too heavy.
  expect((await frontPicture(cover, taking(1), weighing(() => 9e6) as DeliveryPorts)).bytes).toHaveLength(9e6)
  expect(asked).toHaveLength(5)
  asked.length = 0
  await frontPicture(cover, taking(undefined), half)
  expect(asked).toHaveLength(1)
})

test('what an edition has of its own is part of its cover: a barcode with its price, a wrap made elsewhere', () => {
  const said = {
    text: { sections: [] },
    data,
    design: lampOverTide,
    draft: {},
    isbn: '',
    price: 1,
    otherPrices: undefined,
  }
  const printed = (edition: object) =>
    printSnapshot(
      said as never,
      { pages: 200, spine: 36, wrap: { width: 900 }, money: { earnings: [], cost: 1 }, edition } as never,
    )
  const plain = printed({})
  const [priced, wrapped] = [printed({ barcode: 'priced' }), printed({ wrap: { sheets: [{ asset: 'a' }] } })]
  expect(new Set([plain, priced, wrapped].map(s => s.cover)).size).toBe(3)
  expect(new Set([plain, priced, wrapped].map(s => s.interior)).size).toBe(1)
})
