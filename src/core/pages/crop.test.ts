import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf, chapter, paragraph, setBook } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import {
  type Asset,
  type BlockJson,
  type Book,
  type Crop,
  type ImageStand,
  imageStands,
  isCrop,
  shownOf,
  withSide,
} from '../book'
import { readAsset, readManuscript } from '../intake'
import { type Corners, type ImageMark, shownBox, visitPage } from '../marks'
import { writeEpub } from '../epub'
import { type Interior, printedPicture } from '.'

const asset: Asset = { id: 'wide', type: 'image/png', width: 2400, height: 1500 }
const picture = (stands: ImageStand, crop: Crop | null, share = 0.5, leads = ''): BlockJson => ({
  type: 'image',
  attrs: { id: 'i1', asset: asset.id, alt: 'A lamp', decoration: false, share, stands, crop, leads },
})
const long = Array.from({ length: 6 }, (_, i) =>
  paragraph(`p${i}`, 'The lamp at the end of the mole burned. '.repeat(9)),
)
const bookWith = (block: BlockJson): Book => ({
  ...bookOf([['x']]),
  assets: [asset],
  sections: [chapter('s1', 'Lamps', { type: 'doc', content: [...long.slice(0, 2), block, ...long.slice(2)] })],
})
/** The picture as it is drawn, and the box in which it shows. */
function drawn({ pages }: Interior): { item: ImageMark; shows: Corners } {
  const out: { item: ImageMark; shows: Corners }[] = []
  for (const page of pages)
    visitPage(page, v => {
      if ('item' in v && v.item.kind === 'image') out.push({ item: v.item, shows: shownBox({ ...v, item: v.item }) })
    })
  expect(out).toHaveLength(1)
  return out[0]!
}

const bytes = new Uint8Array(readFileSync('demo/tide-curve.png'))
const size = readAsset(bytes)!

const part = fc.integer({ min: 0, max: 450 }).map(n => n / 1000)
const anyCrop = fc.record({ top: part, right: part, bottom: part, left: part })

describe('a picture of which a part is shown', () => {
  test('shows that part, undistorted, wherever it stands, and is as sharp as its pixels are', async () => {
    await fc.assert(
      fc.asyncProperty(
        anyCrop,
        fc.constantFrom(...imageStands),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        async (crop, stands, share) => {
          expect(isCrop(crop)).toBe(true)
          const book = bookWith(picture(stands, crop, share))
          const interior = await setBook(book)
          const { item, shows } = drawn(interior)
          const [width, height] = [shows[2] - shows[0], shows[3] - shows[1]]
          const shown = shownOf(asset, crop)
          // The whole picture keeps its shape, and is as much larger than what shows as it has more pixels.
          expect(item.width / item.height).toBeCloseTo(asset.width / asset.height, 4)
          if (stands !== 'plate') {
            expect(width / height).toBeCloseTo(shown.width / shown.height, 3)
            expect(item.width / width).toBeCloseTo(asset.width / shown.width, 3)
            expect(width).toBeLessThanOrEqual(interior.block.width + 0.01)
          }
          const printed = printedPicture(interior, book, 's1', 'i1')!
          expect(printed.width).toBeCloseTo(width, 3)
          if (stands !== 'plate') expect(printed.ppi).toBeCloseTo((shown.width / width) * 72, 0)
        },
      ),
      { numRuns: cases(40, 600) },
    )
  })

  test('a side is held so that something is left to see; nothing left out is no crop', () => {
    fc.assert(
      fc.property(
        anyCrop,
        fc.constantFrom('top' as const, 'right' as const, 'bottom' as const, 'left' as const),
        fc.double({ min: -1, max: 3, noNaN: true }),
        (crop, side, to) => {
          const next = withSide(crop, side, to)
          expect(next === null || isCrop(next)).toBe(true)
          for (const other of ['top', 'right', 'bottom', 'left'] as const)
            if (other !== side) expect(next?.[other] ?? 0).toBe(crop[other])
        },
      ),
    )
    expect(withSide({ top: 0.2, right: 0, bottom: 0, left: 0 }, 'top', 0)).toBeNull()
    expect(isCrop({ top: 0.5, right: 0, bottom: 0.5, left: 0 })).toBe(false)
  })

  test('goes through an ebook and back with the part that it shows, and where it leads', () => {
    fc.assert(
      fc.property(anyCrop, fc.constantFrom('', '#p4', 'https://example.org/lamp'), (crop, leads) => {
        const book = { ...bookWith(picture('measure', crop, 0.5, leads)), assets: [{ ...size, id: asset.id }] }
        const epub = writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => bytes })
        const back = readManuscript('x.epub', epub).book.sections.flatMap(s => s.doc.content)
        const at = back.findIndex(b => b.type === 'image')
        const { attrs } = back[at] as Extract<BlockJson, { type: 'image' }>
        const nothing = Object.values(crop).every(n => n === 0)
        for (const side of ['top', 'right', 'bottom', 'left'] as const)
          expect((attrs.crop ?? { top: 0, right: 0, bottom: 0, left: 0 })[side]).toBeCloseTo(
            nothing ? 0 : crop[side],
            2,
          )
        expect(attrs.alt).toBe('A lamp')
        const target = leads === '#p4' ? `#${back[at + 3]!.attrs.id}` : leads
        expect(attrs.leads ?? '').toBe(target)
      }),
      { numRuns: cases(25, 300) },
    )
  })
})
