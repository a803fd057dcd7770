import '../../tests/support/store'
import { beforeEach, describe, expect, jest, test } from '@jest/globals'
import { PDFDocument } from '@cantoo/pdf-lib'
import { bookOf } from '../../tests/support/core'
import { pngOf } from '../../tests/support/png'
import { lampOverTide } from '@/core/cover'
import { foreignPages } from '@/core/pdf'

// The press reads files as it does in its worker.
jest.unstable_mockModule('@/workers/client', () => ({
  press: () => ({
    foreignPages: (bytes: Uint8Array, name: string, as: 'with bleed') => foreignPages(bytes, name, undefined, as),
    checkPicture: async () => true,
  }),
}))
const { getBook, putBook } = await import('./books')
const { blobBytes } = await import('./blobs')
const { bringInFront, bringInWrap, takeOffWrap } = await import('./elsewhere')
const { undo } = await import('./changes')

const edition = (id: string) => ({
  id,
  kind: 'paperback' as const,
  trim: '6x9in',
  paper: 'cream',
  ink: 'black' as const,
  outlets: ['ostrevane'],
  style: 'harbour-roman',
})
beforeEach(async () => {
  const editions = [edition('paperback'), edition('other')]
  await putBook({ book: { ...bookOf([['x']]), id: 'ebb', editions }, pictures: new Map() })
})
const book = async () => (await getBook('ebb'))!.book

async function pdf(pages: number, trim = true): Promise<File> {
  const doc = await PDFDocument.create()
  for (let i = 0; i < pages; i++) {
    const page = doc.addPage([900 + i, 666])
    if (trim) page.setTrimBox(9, 9, 882 + i, 648)
    page.drawSquare({ x: 20 * i, y: 30, size: 50 })
  }
  return new File([new Uint8Array(await doc.save())], 'wrap.pdf')
}
const png = (perMetre?: number): File => new File([pngOf(600, 400, perMetre)], 'front.png')

describe('a cover made elsewhere', () => {
  test('is worn by its edition alone, with its file, its size and its trim; taken off and put on by steps that can be undone', async () => {
    await bringInWrap('ebb', await pdf(1), 'paperback', 1)
    const { editions, assets } = await book()
    const [sheet] = editions[0]!.wrap!.sheets
    expect(sheet).toEqual({
      asset: assets[0]!.id,
      width: 900,
      height: 666,
      over: { top: 9, right: 9, bottom: 9, left: 9 },
    })
    expect(assets[0]).toMatchObject({ type: 'application/pdf', width: 9000, height: 6660, name: 'wrap.pdf' })
    expect(await blobBytes(assets[0]!.id)).toBeDefined()
    expect(editions[1]!.wrap).toBeUndefined()
    await takeOffWrap('ebb', 'paperback')
    expect((await book()).editions[0]).toEqual(edition('paperback'))
    await undo('ebb')
    expect((await book()).editions[0]!.wrap!.sheets[0]).toEqual(sheet)
    await undo('ebb')
    expect(await book()).toMatchObject({ editions: [edition('paperback'), edition('other')], assets: [] })
  })

  test('of two pages is back and front apart; of as many as its printer does not take it is refused, and nothing is changed', async () => {
    await bringInWrap('ebb', await pdf(2), 'paperback', 2)
    expect((await book()).editions[0]!.wrap!.sheets.map(s => s.width)).toEqual([900, 901])
    expect((await book()).assets.map(a => a.name)).toEqual(['wrap.pdf, page 1', 'wrap.pdf, page 2'])
    const before = await book()
    await expect(bringInWrap('ebb', await pdf(3), 'paperback', 1)).rejects.toThrow(/has 3 pages: a wrap is one/)
    await expect(bringInWrap('ebb', await pdf(1), 'paperback', 2)).rejects.toThrow(/back and front apart/)
    await expect(bringInWrap('ebb', new File(['x'], 'notes.txt'), 'paperback', 1)).rejects.toThrow(/no picture/)
    expect(await book()).toEqual(before)
  })

  test('a newer file keeps whose barcode stands on it, and forgets what was said of the older one', async () => {
    await bringInWrap('ebb', await pdf(1), 'paperback', 1)
    const { commit } = await import('./changes')
    await commit('ebb', 'Barcode', r => ({
      editions: r.editions.map(e =>
        e.wrap ? { ...e, wrap: { ...e.wrap, barcode: 'in it' as const, atFolds: 'widened' as const } } : e,
      ),
    }))
    await bringInWrap('ebb', png(11811), 'paperback', 1)
    const { wrap } = (await book()).editions[0]!
    expect(wrap!.barcode).toBe('in it')
    expect(wrap!.atFolds).toBeUndefined()
    // 600 pixels of 300 an inch.
    expect(wrap!.sheets[0]!.width).toBeCloseTo(144, 1)
  })

  test('the same file twice is kept once', async () => {
    const file = await pdf(1)
    await bringInWrap('ebb', file, 'paperback', 1)
    await bringInWrap('ebb', file, 'other', 1)
    const { assets, editions } = await book()
    expect(assets).toHaveLength(1)
    expect(editions.map(e => e.wrap!.sheets[0]!.asset)).toEqual([assets[0]!.id, assets[0]!.id])
  })

  test('a front is the book’s design’s: its pieces stay, under it', async () => {
    await bringInFront('ebb', png(), lampOverTide)
    const { cover, assets } = await book()
    // A picture that says no size has none.
    expect(cover!.front).toEqual({ asset: assets[0]!.id })
    expect(cover!.pieces).toEqual(lampOverTide.pieces)
    await expect(bringInFront('ebb', await pdf(2), lampOverTide)).rejects.toThrow(/has 2 pages: a front is one/)
  })
})
