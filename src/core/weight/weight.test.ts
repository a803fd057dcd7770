import { beforeAll, describe, expect, test } from '@jest/globals'
import { type Canvas, createCanvas, loadImage } from '@napi-rs/canvas'
import fc from 'fast-check'
import { imageSize } from 'image-size'
import { nodePorts } from '@/cli/ports'
import type { Asset } from '../book'
import { jpegHeader, type Pixels } from '../pdf'
import { Cancelled, seeded } from '../trade'
import { lightenBook, type LightAim, type Lightener, type LightPicture } from '.'
import { withoutMetadata } from './metadata'
import { likenessOf } from './quality'
import { SCREENS, sizeInEbook, usualScreen } from './lighten'
import type { Study } from './study'

const ASIDE = 480
const ACROSS = 1600

/** A canvas with light that varies from the coarse to the fine, as photographs have it. */
function photograph(width: number, height: number, { grey = false, seed = 1 } = {}) {
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  const image = ctx.createImageData(width, height)
  const chance = seeded(seed)
  const waves = Array.from({ length: 24 }, (_, i) => ({
    x: (chance() - 0.5) * 0.02 * (i + 1),
    y: (chance() - 0.5) * 0.02 * (i + 1),
    high: 60 / (i + 1),
    turn: chance() * 6,
  }))
  for (let y = 0, k = 0; y < height; y++)
    for (let x = 0; x < width; x++, k += 4) {
      const light = 128 + waves.reduce((n, w) => n + w.high * Math.sin(w.x * x + w.y * y + w.turn), 0) + chance() * 4
      image.data[k] = light + (grey ? 0 : 40)
      image.data[k + 1] = light
      image.data[k + 2] = light - (grey ? 0 : 30)
      image.data[k + 3] = 255
    }
  ctx.putImageData(image, 0, 0)
  return canvas
}

/** Lines and a round on white, or on nothing. */
function drawing(width: number, height: number, ground?: string) {
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  if (ground) {
    ctx.fillStyle = ground
    ctx.fillRect(0, 0, width, height)
  }
  ctx.lineWidth = 5
  for (let i = 0; i < 12; i++) {
    ctx.beginPath()
    ctx.arc(width / 2, height / 2, 20 + i * 22, 0, 7)
    ctx.stroke()
  }
  return canvas
}

const asset = (id: string, type: Asset['type'], width: number, height: number): Asset => ({ id, type, width, height })

async function pixelsOf(bytes: Uint8Array): Promise<Pixels> {
  const image = await loadImage(Buffer.from(bytes))
  const canvas = createCanvas(image.width, image.height)
  const ctx = canvas.getContext('2d')
  ctx.drawImage(image, 0, 0)
  const { data } = ctx.getImageData(0, 0, image.width, image.height)
  return { width: image.width, height: image.height, rgba: new Uint8ClampedArray(data.buffer) }
}

const samePixels = async (a: Uint8Array, b: Uint8Array): Promise<boolean> =>
  Buffer.from((await pixelsOf(a)).rgba.buffer).equals(Buffer.from((await pixelsOf(b)).rgba.buffer))

const files: Record<string, Uint8Array> = {}
beforeAll(async () => {
  const jpeg = async (c: Canvas, quality: number) => new Uint8Array(await c.encode('jpeg', quality))
  const png = async (c: Canvas) => new Uint8Array(await c.encode('png'))
  files.photo = await jpeg(photograph(ASIDE, 360), 97)
  files.grey = await png(photograph(ASIDE, 360, { grey: true }))
  files.drawing = await png(drawing(ASIDE, 360, 'white'))
  files.clear = await png(drawing(ASIDE, 360))
  const large = createCanvas(2000, 1500)
  large.getContext('2d').drawImage(photograph(ASIDE, 360), 0, 0, 2000, 1500)
  files.large = await jpeg(large, 92)
})
const ports = () => nodePorts(new Map(Object.entries(files)))
const at = (likeness: number): LightAim => ({ likeness, across: ACROSS })
const lightened = (id: string, likeness = 0.95, type: Asset['type'] = 'image/jpeg'): Promise<LightPicture> =>
  ports().lightener.lighten(
    asset(id, type, ...((id === 'large' ? [2000, 1500] : [ASIDE, 360]) as [number, number])),
    at(likeness),
  )

describe('one picture', () => {
  test('a photograph becomes a JPEG that is as like it as asked, whole and not in its samples alone', async () => {
    const before = await pixelsOf(files.photo!)
    const sizes: number[] = []
    for (const likeness of [0.8, 0.9, 0.96]) {
      const light = await lightened('photo', likeness)
      expect(light.type).toBe('image/jpeg')
      expect(light.likeness).toBeGreaterThanOrEqual(likeness)
      expect(likenessOf(before, await pixelsOf(light.bytes))).toBeGreaterThan(likeness - 0.02)
      sizes.push(light.bytes.length)
    }
    expect(sizes).toEqual([...sizes].sort((a, b) => a - b))
    expect(sizes[2]).toBeLessThan(files.photo!.length)
  })
  test('a photograph that came as PNG becomes a JPEG; a grey one of light and dark alone', async () => {
    const light = await lightened('grey', 0.95, 'image/png')
    expect(jpegHeader(light.bytes)).toMatchObject({ components: 1, width: ASIDE, height: 360 })
    expect(light.bytes.length).toBeLessThan(files.grey!.length / 2)
  })
  test('a drawing stays a PNG, each pixel as it was, with as few bits as it needs', async () => {
    const light = await lightened('drawing', 0.95, 'image/png')
    expect(light).toMatchObject({ type: 'image/png', likeness: 1 })
    expect(await samePixels(light.bytes, files.drawing!)).toBe(true)
    // Its header's colour type: 0 is greys, 3 a palette.
    expect([0, 3]).toContain(light.bytes[25])
    expect(light.bytes.length).toBeLessThan(files.drawing!.length)
  })
  test('one that lets the ground through keeps that', async () => {
    const light = await lightened('clear', 0.9, 'image/png')
    expect(light.type).toBe('image/png')
    expect(await samePixels(light.bytes, files.clear!)).toBe(true)
  })
  test('one that is light already goes as it came', async () => {
    files.spare = (await lightened('photo', 0.8)).bytes
    const light = await lightened('spare', 0.99)
    expect(light).toMatchObject({ own: true, likeness: 1 })
    expect(await samePixels(light.bytes, files.spare)).toBe(true)
  })
  test('one with more pixels than screens show is made smaller, and says so', async () => {
    const light = await lightened('large')
    expect(light).toMatchObject({ width: 1600, height: 1200, from: { width: 2000, height: 1500 } })
    expect(imageSize(light.bytes)).toMatchObject({ width: 1600, height: 1200 })
  })
  test('one that its Exif turns is upright in the ebook', async () => {
    // Its top left is dark, and it lies on its side: turned to the right it is at the top right.
    const lying = photograph(ASIDE, 360)
    lying.getContext('2d').fillStyle = 'black'
    lying.getContext('2d').fillRect(0, 0, 120, 120)
    files.lying = withoutMetadata(new Uint8Array(await lying.encode('jpeg', 97)), 6)
    const light = await ports().lightener.lighten(asset('lying', 'image/jpeg', 360, ASIDE), at(0.9))
    const { width, height, rgba } = await pixelsOf(light.bytes)
    expect([width, height]).toEqual([360, ASIDE])
    const dark = (x: number, y: number): boolean => rgba[(y * width + x) * 4 + 1]! < 30
    expect([dark(300, 60), dark(60, 60), dark(60, 420), dark(300, 420)]).toEqual([true, false, false, false])
  })
  test('a size is never larger than its own, keeps its form, and fits the screen', () => {
    const side = fc.integer({ min: 1, max: 12_000 })
    fc.assert(
      fc.property(side, side, (width, height) => {
        const size = sizeInEbook({ width, height }, ACROSS)
        expect(size.width).toBeLessThanOrEqual(Math.min(width, ACROSS))
        expect(size.height).toBeLessThanOrEqual(Math.min(height, ACROSS * 1.5))
        if (width <= ACROSS && height <= ACROSS * 1.5) expect(size).toEqual({ width, height })
        // A pixel more or less is rounding.
        expect(Math.abs(size.width * height - size.height * width)).toBeLessThanOrEqual(Math.max(width, height))
      }),
    )
  })
  test('what was made once is not decoded again', async () => {
    let read = 0
    const { lightener } = nodePorts(
      new (class extends Map<string, Uint8Array> {
        override get(id: string) {
          read++
          return super.get(id)
        }
      })(Object.entries(files)),
    )
    const photo = asset('photo', 'image/jpeg', ASIDE, 360)
    const first = await lightener.lighten(photo, at(0.95))
    expect(await lightener.lighten(photo, at(0.95))).toBe(first)
    expect(read).toBe(1)
    await lightener.lighten(photo, at(0.9))
    expect(read).toBe(2)
  })
})

describe('likeness', () => {
  test('a picture is like itself, and the less so the more it is disturbed', async () => {
    const before = await pixelsOf(files.photo!)
    const chance = seeded(4)
    const disturbed = (by: number): Pixels => ({
      ...before,
      rgba: before.rgba.map((v: number) => v + (chance() - 0.5) * by),
    })
    const all = [0, 8, 30, 90].map(by => likenessOf(before, disturbed(by)))
    expect(all[0]).toBeCloseTo(1, 6)
    expect(all).toEqual([...all].sort((a, b) => b - a))
    expect(all[3]).toBeLessThan(0.8)
  })
})

/** Puts a segment behind a JPEG's first two bytes. */
const withSegment = (jpeg: Uint8Array, marker: number, text: Uint8Array): Uint8Array => {
  const length = text.length + 2
  return Uint8Array.of(0xff, 0xd8, 0xff, marker, length >> 8, length & 255, ...text, ...jpeg.subarray(2))
}

describe('what a picture says beside itself', () => {
  const words = new TextEncoder().encode('taken at 54.32 north by somebody')
  const says = (bytes: Uint8Array): boolean => Buffer.from(bytes).includes(Buffer.from(words))

  test('is left out of a JPEG, its pixels as they were', async () => {
    const told = withSegment(withSegment(files.photo!, 0xe1, words), 0xfe, words)
    expect(says(told)).toBe(true)
    const plain = withoutMetadata(told)
    expect(says(plain)).toBe(false)
    expect(await samePixels(plain, files.photo!)).toBe(true)
  })
  test('is left out of what stands behind it, and of lists of that, a profile of its colours is not', async () => {
    const latin = (text: string): Uint8Array => Uint8Array.from(Buffer.from(text, 'latin1'))
    const photo = withSegment(files.photo!, 0xe2, latin('ICC_PROFILE\0\x01\x01colours'))
    const listed = withSegment(photo, 0xe2, Uint8Array.of(...latin('MPF\0'), ...words))
    const told = new Uint8Array(Buffer.concat([listed, withSegment(files.photo!, 0xe1, words)]))
    const plain = withoutMetadata(told)
    expect(Buffer.from(plain).equals(photo)).toBe(true)
    expect(await samePixels(plain, files.photo!)).toBe(true)
  })
  test('but for which way up it stands', () => {
    for (const orientation of [3, 6, 8])
      expect(imageSize(withoutMetadata(files.photo!, orientation)).orientation).toBe(orientation)
  })
  test('is left out of a PNG', async () => {
    const chunk = Buffer.concat([Buffer.from([0, 0, 0, words.length]), Buffer.from('tEXt'), words, Buffer.alloc(4)])
    const told = new Uint8Array(Buffer.concat([files.drawing!.subarray(0, 33), chunk, files.drawing!.subarray(33)]))
    const plain = withoutMetadata(told)
    expect(says(plain)).toBe(false)
    expect(Buffer.from(plain).equals(files.drawing!)).toBe(true)
  })
  test('torn files are left as they are', () => {
    fc.assert(
      fc.property(fc.constantFrom('photo', 'drawing'), fc.double({ min: 0, max: 0.999, noNaN: true }), (name, part) => {
        const torn = files[name]!.subarray(0, Math.floor(files[name]!.length * part))
        const out = withoutMetadata(torn)
        // They say nothing beside themselves: nothing goes, wherever they end.
        expect(Buffer.from(out).equals(torn)).toBe(true)
      }),
    )
  })
})

describe('a book', () => {
  /** Pictures whose weight follows from their likeness by a rule, and is reckoned wrongly by so much beforehand. */
  function simulated(heaviness: number[], wrong: number): Lightener & { asked: number[] } {
    const weight = (id: string, likeness: number): number =>
      Math.round((Number(id) * 1000) / Math.max(0.004, 1 - likeness) ** 0.8)
    const asked: number[] = []
    return {
      atOnce: 3,
      asked,
      async study(p): Promise<Study> {
        const tries = [0.7, 0.8, 0.9, 0.96, 0.99].map((likeness, i) => ({
          quality: 30 + i * 16,
          likeness,
          bytes: weight(p.id, likeness) * wrong,
        }))
        return { width: 9, height: 9, grey: false, clear: false, drawn: false, times: 1, tries }
      },
      async lighten(p, { likeness }): Promise<LightPicture> {
        if (p.name === 'torn') throw new Error('It is damaged.')
        asked.push(likeness)
        const bytes = new Uint8Array(weight(p.id, likeness))
        return { bytes, type: 'image/jpeg', width: 9, height: 9, was: heaviness.length, likeness, quality: 80 }
      },
    }
  }
  const pictures = (heaviness: number[]): Asset[] => heaviness.map(h => asset(String(h), 'image/jpeg', 9, 9))

  test('whatever weight is asked is met, or nothing lighter was to be had; and not by much', async () => {
    const REST = 50_000
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 60_000, max: 4_000_000 }),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        async (heaviness, weight, wrong) => {
          const lightener = simulated(heaviness, wrong)
          const made = await lightenBook(pictures(heaviness), { weight }, REST, lightener, () => undefined)
          const is = REST + [...made.pictures.values()].reduce((n, p) => n + p.bytes.length, 0)
          const least = Math.min(...lightener.asked)
          if (is > weight) expect(made.likeness).toBeCloseTo(0.7, 6)
          else expect(made.likeness).toBe(Math.max(...lightener.asked.filter(l => l <= made.likeness)))
          // All pictures are equally like theirs, and few ways were tried.
          expect(new Set([...made.pictures.values()].map(p => p.likeness))).toEqual(new Set([made.likeness]))
          expect(new Set(lightener.asked).size).toBeLessThan(16)
          expect(least).toBeLessThanOrEqual(made.likeness)
        },
      ),
    )
  })
  test('one that cannot be read stops no other, and is named', async () => {
    const all = [
      ...pictures([3, 4]),
      { ...asset('9', 'image/jpeg', 9, 9), name: 'torn' },
      asset('5', 'image/gif', 9, 9),
    ]
    const made = await lightenBook(all, { likeness: 0.9 }, 0, simulated([3, 4, 9], 1), () => undefined)
    expect([...made.pictures.keys()]).toEqual(['3', '4'])
    expect(made.failed).toEqual([{ asset: '9', why: 'It is damaged.' }])
  })
  test('it says how far it is, and stops where it is told to', async () => {
    const told: number[] = []
    const lightener = simulated([1, 2, 3, 4, 5, 6], 1)
    const stop = lightenBook(pictures([1, 2, 3, 4, 5, 6]), { likeness: 0.9 }, 0, lightener, p => {
      told.push(p.done / p.of)
      if (p.done >= 3) throw new Cancelled()
    })
    await expect(stop).rejects.toBeInstanceOf(Cancelled)
    expect(told.slice(0, 3)).toEqual([1 / 6, 2 / 6, 3 / 6])
    expect(lightener.asked.length).toBeLessThan(6)
  })
})

describe('the screens that pictures are made for', () => {
  const photos = (n: number) => Array.from({ length: n }, () => ({ width: 4000, height: 3000 }))
  test('are the largest there are; of very many pictures smaller ones, that they are written within a minute', () => {
    expect([0, 1, 100, 150, 300, 3000].map(n => usualScreen(photos(n)))).toEqual([2732, 2732, 2732, 2048, 1600, 1600])
  })
  test('grow no larger by one picture more', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ width: fc.integer({ min: 1, max: 9000 }), height: fc.integer({ min: 1, max: 9000 }) }), {
          maxLength: 400,
        }),
        all => {
          expect(SCREENS).toContain(usualScreen(all))
          expect(usualScreen([...all, ...photos(1)])).toBeLessThanOrEqual(usualScreen(all))
        },
      ),
      { numRuns: 30 },
    )
  })
})
