import { expect, test } from '@jest/globals'
import { createCanvas, GlobalFonts } from '@napi-rs/canvas'
import fc from 'fast-check'
import { join } from 'node:path'
import { shelf } from '../../../tests/support/core'
import { shippedFonts } from '../type'
import { cellsIn, coverOf } from './cover'
import { coverOn } from './coverOn'
import { plainTracing, shapeOfPicture } from './ofPicture'
import { shapeOfText } from './ofText'
import { emptyShape, type OwnShape, ownSchema, silhouetteOf, withTurned } from './own'
import { silhouetteFor } from './choose'

const cellsOn = (own: OwnShape, rows: number, cols: number): Uint8Array => cellsIn(silhouetteOf(own), rows, cols, 0)
const count = (cells: Uint8Array): number => cells.reduce((n, c) => n + c, 0)

test.each([
  ['O', 'figtree/bold'],
  ['Sea', 'eb-garamond/regular'],
  ['&', 'fraunces/bold'],
])('“%s” in %s covers a grid as another drawing of it does', async (words, face) => {
  const own = await shapeOfText(words, face, shelf)
  expect(ownSchema().isValidSync(own)).toBe(true)
  const [rows, cols, fine] = [16, 22, 12]
  GlobalFonts.registerFromPath(join('public/fonts', shippedFonts[face]!), face)
  const canvas = createCanvas(cols * fine, rows * fine)
  const g = canvas.getContext('2d')
  g.font = `100px "${face}"`
  const m = g.measureText(words)
  const [left, up] = [m.actualBoundingBoxLeft, m.actualBoundingBoxAscent]
  const [width, height] = [left + m.actualBoundingBoxRight, up + m.actualBoundingBoxDescent]
  const unit = Math.min((cols * fine) / width, (rows * fine) / height)
  g.translate((cols * fine - width * unit) / 2, (rows * fine - height * unit) / 2)
  g.scale(unit, unit)
  g.fillText(words, left, up)
  const { data } = g.getImageData(0, 0, cols * fine, rows * fine)
  const { share } = coverOf(silhouetteOf(own), rows, cols)
  let apart = 0
  for (let at = 0; at < rows * cols; at++) {
    let sum = 0
    for (let y = 0; y < fine; y++)
      for (let x = 0; x < fine; x++)
        sum += data[4 * ((Math.floor(at / cols) * fine + y) * cols * fine + (at % cols) * fine + x) + 3]! / 255
    apart += Math.abs(share[at]! - sum / fine ** 2)
  }
  expect(apart / (rows * cols)).toBeLessThan(0.05)
})

test('signs that a face does not have are said, and nothing is no shape', async () => {
  await expect(shapeOfText('海', 'figtree/bold', shelf)).rejects.toThrow('This face has no “海”')
  await expect(shapeOfText(' ', 'figtree/bold', shelf)).rejects.toThrow('Type a letter or a word')
})

/** A dark ring, and a pale dot beside it. */
function drawn(): { width: number; height: number; data: Uint8ClampedArray } {
  const canvas = createCanvas(120, 80)
  const g = canvas.getContext('2d')
  g.lineWidth = 16
  g.beginPath()
  g.arc(40, 40, 30, 0, 2 * Math.PI)
  g.stroke()
  g.fillStyle = '#999'
  g.fillRect(96, 30, 20, 20)
  return { width: 120, height: 80, data: g.getImageData(0, 0, 120, 80).data }
}

test('a picture is traced by what is dark in it or not clear, with its holes and parts as asked', () => {
  const traced = (how: object): Uint8Array => {
    const own = shapeOfPicture('ring.png', drawn(), { ...plainTracing, ...how })
    expect(ownSchema().isValidSync(own)).toBe(true)
    return cellsOn(own, 24, 24)
  }
  const middle = 12 * 24 + 12
  const ring = traced({})
  expect([ring[middle], ring[12 * 24 + 1]]).toEqual([0, 1])
  expect(traced({ holes: false })[middle]).toBe(1)
  // The area of a ring of this width, by hand.
  expect(count(ring) / 24 ** 2).toBeCloseTo((Math.PI * (38 ** 2 - 22 ** 2)) / 76 ** 2, 1)
  // Of both parts the ring is the larger; the dot is not dark enough until it is asked less.
  expect(count(traced({ largest: false }))).toBe(count(ring))
  const both = traced({ largest: false, by: 'opaque' })
  expect(both[12 * 24 + 22]).toBe(1)
  expect(() =>
    shapeOfPicture('white.png', { width: 2, height: 2, data: new Uint8ClampedArray(16) }, plainTracing),
  ).toThrow('Nothing in white.png is so dark')
})

test('half as large covers a quarter; moved, it lies there', async () => {
  const own = await shapeOfText('H', 'figtree/bold', shelf)
  const sum = (o: OwnShape): number => coverOf(silhouetteOf(o), 20, 20).share.reduce((a, b) => a + b, 0)
  // Lines are read at quarters of a cell.
  expect(Math.abs((4 * sum({ ...own, scale: 50 })) / sum(own) - 1)).toBeLessThan(0.05)
  const centre = (o: OwnShape): number => {
    const { share } = coverOf(silhouetteOf(o), 20, 20)
    return share.reduce((n, s, at) => n + s * (at % 20), 0) / share.reduce((a, b) => a + b, 0)
  }
  const small = { ...own, scale: 40 }
  expect(centre({ ...small, right: 20 }) - centre(small)).toBeCloseTo(4, 1)
})

test('a cell turned twice is as it was; on another grid it is as the outline says', async () => {
  const own = await shapeOfText('TIDE', 'figtree/bold', shelf)
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(15 * 15 - 1), { minLength: 1, maxLength: 20 }), cells => {
      const shown = cellsOn(own, 15, 15)
      const once = withTurned(own, { rows: 15, cols: 15, shown }, cells)
      const now = cellsOn(once, 15, 15)
      now.forEach((open, at) => expect(open).toBe(cells.includes(at) ? 1 - shown[at]! : shown[at]))
      expect(cellsOn(withTurned(once, { rows: 15, cols: 15, shown: now }, cells), 15, 15)).toEqual(shown)
      expect(cellsOn(once, 16, 16)).toEqual(cellsOn(own, 16, 16))
    }),
  )
})

test('what is drawn by hand goes over to a grid twice as fine, and is drawn on there', () => {
  const hand = withTurned(emptyShape, { rows: 4, cols: 4, shown: new Uint8Array(16) }, [5, 6, 9])
  const fine = cellsOn(hand, 8, 8)
  expect(count(fine)).toBe(12)
  const more = withTurned(hand, { rows: 8, cols: 8, shown: fine }, [0])
  expect(count(cellsOn(more, 8, 8))).toBe(13)
  expect(count(cellsOn(more, 4, 4))).toBe(3)
  expect(coverOn('own', hand, [{ rows: 4, cols: 4 }])![0]!.alike).toBe(1)
})

test('an empty shape of one’s own is said to be empty', () => {
  expect(() => silhouetteFor({ outline: 'own' }, { index: 0, run: 1 }, () => true)).toThrow('is still empty')
  expect(coverOn('turn', undefined, [])).toBeUndefined()
})
