import '../../tests/support/browser'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas'
import { unzipSync } from 'fflate'
import { bookOf as made } from '../../tests/support/core'
import { sender } from '../../tests/support/press'
import { type Asset, type Book, type CoverDesign, type Edition, hashOf } from '@/core/book'
import { flatFor, lampOverTide, treatmentWord } from '@/core/cover'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { covers } from './answers/covers'
import { delivery } from './answers/delivery'
import { files } from './answers/files'
import { closeBook } from './openBooks'
import { setOutlets } from './outlets'

setOutlets(shippedProfiles)
const ostrevane = profileOf('ostrevane', shippedProfiles)
const edition: Edition = {
  id: 'paperback',
  kind: 'paperback',
  outlets: ['ostrevane'],
  trim: '6x9in',
  paper: 'cream',
  ink: 'black',
  style: 'harbour-roman',
  prices: { USD: 1299 },
  isbn: '9780000001030',
}
/** A picture that somebody drew, as it comes into a book. */
function picture(
  width: number,
  height: number,
  draw: (ctx: SKRSContext2D) => void,
): { asset: Asset; bytes: Uint8Array } {
  const canvas = createCanvas(width, height)
  draw(canvas.getContext('2d'))
  const bytes = new Uint8Array(canvas.toBuffer('image/png'))
  return { asset: { id: hashOf(bytes), type: 'image/png', width, height, name: 'wrap.png' }, bytes }
}
const text = Array.from({ length: 12 }, () =>
  Array.from({ length: 20 }, () => 'The tide went out and nobody saw it. '.repeat(8)),
)
const bookWith = (more: Partial<Book>, own: Partial<Edition> = {}): Book => ({
  ...made(text),
  cover: lampOverTide,
  editions: [{ ...edition, ...own }],
  ...more,
})
/** Colours of a place of a bitmap, in parts of it. */
function at(bitmap: unknown, x: number, y: number): number[] {
  const canvas = bitmap as { width: number; height: number; getContext(k: '2d'): SKRSContext2D }
  const [px, py] = [Math.floor(canvas.width * x), Math.floor(canvas.height * y)]
  return [...canvas.getContext('2d').getImageData(px, py, 1, 1).data].slice(0, 3)
}

beforeEach(() => closeBook('test'))

describe('a cover made elsewhere, at the press', () => {
  /** A wrap for 300 pages: its left half green, its right half violet, its spine's middle white. */
  const made300 = flatFor(ostrevane, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 300 })
  const [wide, high] = [made300.width + 18, made300.height + 18].map(v => Math.round(v * 2)) as [number, number]
  const wrapped = picture(wide, high, ctx => {
    ctx.fillStyle = '#1e6b3a'
    ctx.fillRect(0, 0, wide / 2, high)
    ctx.fillStyle = '#4b2a6b'
    ctx.fillRect(wide / 2, 0, wide / 2, high)
    ctx.fillStyle = '#ffffff'
    ctx.fillRect(wide / 2 - 12, 0, 24, high)
  })
  const wrap = { sheets: [{ asset: wrapped.asset.id, width: wide / 2, height: high / 2 }] }
  const open = (own: Partial<Edition>) =>
    sender()(bookWith({ assets: [wrapped.asset] }, own), new Map([[wrapped.asset.id, wrapped.bytes]]))

  test('is seen, measured and looked over; what it shows are its own colours', async () => {
    await open({ wrap })
    const cover = await covers.cover('test', 'paperback')
    const [sheet] = cover.elsewhere!.sheets
    expect(cover.pieces).toEqual([])
    expect(sheet!.spine).toBeCloseTo(made300.panels.spine.width, 0)
    const examined = (await covers.examinedCover('test', 'paperback'))!
    expect(examined.pictures[0]!.ppi).toBeCloseTo(144, 0)
    expect(examined.folds).toEqual({ left: 1, right: 1 })
    const front = await covers.paintCover('test', 'paperback', 'front', 0.5)
    expect(at(front, 0.5, 0.5)).toEqual([0x4b, 0x2a, 0x6b])
    const sheetSeen = await covers.paintCover('test', 'paperback', 'sheet', 0.5)
    expect(at(sheetSeen, 0.1, 0.2)).toEqual([0x1e, 0x6b, 0x3a])
  })

  test('as it was made and along the folds are two pictures, and the second keeps its edges', async () => {
    await open({ wrap })
    const { asMade, followed } = (await covers.followedOf('test', 'paperback', { height: 300 }))!
    expect([asMade.width, asMade.height]).toEqual([followed.width, followed.height])
    for (const both of [asMade, followed]) {
      expect(at(both, 0.02, 0.5)).toEqual([0x1e, 0x6b, 0x3a])
      expect(at(both, 0.98, 0.5)).toEqual([0x4b, 0x2a, 0x6b])
    }
    // What is in the middle of the spine is there in both.
    for (const both of [asMade, followed]) expect(at(both, 0.5, 0.5).every(v => v > 200)).toBe(true)
    await open({})
    expect(await covers.followedOf('test', 'paperback', { height: 300 })).toBeUndefined()
  })

  test('its designer is sent a template, and what has changed', async () => {
    await open({ wrap })
    const { bytes } = await delivery.coverTemplate('test', 'paperback')
    const files = unzipSync(bytes)
    expect(new TextDecoder().decode(files['changes.txt'])).toMatch(
      /Spine: was 0\.76\d in .*\n\nWhat was found.*\n1\. /s,
    )
    await open({})
    expect(Object.keys(unzipSync((await delivery.coverTemplate('test', 'paperback')).bytes))).not.toContain(
      'changes.txt',
    )
  })

  test('a design is looked at by itself, whatever is worn over it', async () => {
    await open({ wrap })
    const plain: CoverDesign = { ...lampOverTide, motif: { ...lampOverTide.motif, kind: 'plain' }, pieces: [] }
    const front = await covers.designFront('test', 'paperback', { ...plain, ground: { colour: '#aa5500' } }, 90)
    expect(at(front, 0.5, 0.5)).toEqual([0xaa, 0x55, 0x00])
  })
})

describe('a front as a file', () => {
  test('has the size and the kind that are asked, and says what it may weigh', async () => {
    await sender()(bookWith({}))
    const jpeg = await covers.frontFile('test', 'paperback', 'jpeg')
    expect(jpeg).toMatchObject({ height: 2560, most: 20, name: 'a-book-front.jpg' })
    expect([...jpeg.bytes.subarray(0, 2)]).toEqual([0xff, 0xd8])
    const png = await covers.frontFile('test', 'paperback', 'png')
    expect(png.name).toBe('a-book-front.png')
    expect([...png.bytes.subarray(1, 4)]).toEqual([0x50, 0x4e, 0x47])
  })
})

describe('a picture at the press', () => {
  const round = picture(120, 80, ctx => {
    ctx.fillStyle = '#f4f1ea'
    ctx.fillRect(0, 0, 120, 80)
    ctx.fillStyle = '#7a1f2b'
    ctx.fillRect(40, 20, 40, 40)
  })
  const cut = { tolerance: 0.1, soft: 0, holes: 'kept' } as const

  test('is treated as a cover asks, and its cover shows what was made', async () => {
    const pictures = new Map([[round.asset.id, round.bytes]])
    const piece = {
      id: 'p',
      kind: 'picture' as const,
      panel: 'front' as const,
      within: 'panel' as const,
      asset: round.asset.id,
      box: { x: 0, y: 0, width: 1, height: 1 },
      cut,
    }
    const plain: CoverDesign = {
      ...lampOverTide,
      ground: { colour: '#00aa00' },
      motif: { ...lampOverTide.motif, kind: 'plain' },
      pieces: [piece],
    }
    const send = sender()
    await send(bookWith({ assets: [round.asset], cover: plain }), pictures)
    const made = (await files.treatPicture(round.asset.id, { cut }))!
    expect(made).toMatchObject({ type: 'image/png', width: 120, height: 80 })
    const id = hashOf(made.bytes)
    const asset: Asset = { id, type: 'image/png', width: 120, height: 80, made: true }
    const known = { ...round.asset, cleaned: [{ how: treatmentWord({ cut })!, id }] }
    await send(bookWith({ assets: [known, asset], cover: plain }), new Map([...pictures, [id, made.bytes]]))
    const front = await covers.paintCover('test', 'paperback', 'front', 0.5)
    // Its middle is the thing, its rim the cover's own ground.
    expect(at(front, 0.5, 0.5)).toEqual([0x7a, 0x1f, 0x2b])
    expect(at(front, 0.5, 0.05)).toEqual([0, 0xaa, 0])
  })

  test('is shown by itself as large as it is wanted; what is nowhere is treated by nobody', async () => {
    await sender()(bookWith({ assets: [round.asset] }), new Map([[round.asset.id, round.bytes]]))
    const seen = await covers.pictureAt(round.asset.id, 60, 40)
    expect([seen.width, seen.height]).toEqual([60, 40])
    expect(at(seen, 0.5, 0.5)).toEqual([0x7a, 0x1f, 0x2b])
    expect(await files.treatPicture('0'.repeat(64), { cut })).toBeUndefined()
  })
})
