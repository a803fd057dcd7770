import { type Asset, type CoverDesign, type Edition, type ElsewhereSheet, LARGEST_SHEET, type Wrap } from '@/core/book'
import { pixelsAnInch } from '@/core/intake'
import { Fault, isPdf } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { pageAsset } from './foreignPages'
import { readPicture } from './pictures'
import { fitting } from './room'
import { guarded } from './trouble'

/** What a file picker offers as a cover that was made elsewhere. */
export const coverFileTypes = 'application/pdf,image/png,image/jpeg'

/** A sheet that comes in, with its file. */
interface Incoming {
  sheet: ElsewhereSheet
  asset: Asset
  bytes: Uint8Array<ArrayBuffer>
}

/** Makes a file the cover of an edition, in the place of the book's design; `sheets`: how many its printer takes. Throws a Fault where it cannot be. */
export async function bringInWrap(bookId: string, file: File, editionId: string, sheets: number): Promise<void> {
  const incoming = await sheetsOf(file)
  if (incoming.length !== sheets)
    throw new Fault(
      'wrap',
      sheets === 1
        ? `“${file.name}” has ${incoming.length} pages: a wrap is one, with back, spine and front.`
        : `“${file.name}” has one page: this printer takes back and front apart, as a PDF of two pages.`,
    )
  const wrap: Wrap = { sheets: incoming.map(i => i.sheet) }
  await keep(bookId, file, incoming, 'Wear a cover made elsewhere', r => ({
    editions: r.editions.map(e => (e.id === editionId ? { ...e, wrap: { ...barcodeOf(e.wrap), ...wrap } } : e)),
  }))
}

/** Whose barcode stands on it is kept when a newer file comes. */
const barcodeOf = (wrap: Wrap | undefined): Pick<Wrap, 'barcode'> => (wrap?.barcode ? { barcode: wrap.barcode } : {})

/** Makes a file the front of a book's design; `design`: the one that is worn where the book has none of its own yet. Throws a Fault where it cannot be. */
export async function bringInFront(bookId: string, file: File, design: CoverDesign): Promise<void> {
  const incoming = await sheetsOf(file)
  const [front] = incoming
  if (incoming.length !== 1 || !front)
    throw new Fault('wrap', `“${file.name}” has ${incoming.length} pages: a front is one.`)
  await keep(bookId, file, incoming, 'Wear a front made elsewhere', r => ({
    cover: { ...(r.cover ?? design), front: front.sheet },
  }))
}

type Change = Parameters<typeof commit>[2]

async function keep(bookId: string, file: File, incoming: Incoming[], label: string, also: Change): Promise<void> {
  const size = incoming.reduce((n, i) => n + i.bytes.length, 0)
  await fitting(`“${file.name}”`, size, async () => {
    await guarded(() => putBlobs(incoming.map(i => [i.asset.id, i.bytes])))
    await commit(bookId, label, r => {
      const known = new Set(r.assets.map(a => a.id))
      const fresh = incoming.map(i => i.asset).filter(a => !known.has(a.id) && known.add(a.id))
      return { assets: [...r.assets, ...fresh], ...also(r) }
    })
  })
}

async function sheetsOf(file: File): Promise<Incoming[]> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  if (!isPdf(bytes)) return [await asPicture(file)]
  const pages = await press().foreignPages(bytes, file.name, 'with bleed')
  for (const { width, height, over } of pages)
    if (!fits({ width, height }) || Object.values(over ?? {}).some(v => v > LARGEST_SHEET.over)) throw tooLarge(file)
  return pages.map((page, i) => {
    const asset = pageAsset(page, file.name, pages.length > 1 ? i : undefined)
    const { width, height, over } = page
    return {
      asset,
      bytes: page.bytes as Incoming['bytes'],
      sheet: { asset: asset.id, width, height, ...(over ? { over } : {}) },
    }
  })
}

async function asPicture(file: File): Promise<Incoming> {
  const { asset, bytes } = await readPicture(file)
  const ppi = pixelsAnInch(bytes)
  const size = ppi ? { width: (asset.width / ppi) * 72, height: (asset.height / ppi) * 72 } : undefined
  // A picture that says a size no sheet has says nothing of how large it is printed.
  return { asset, bytes, sheet: { asset: asset.id, ...(size && fits(size) ? size : {}) } }
}

const fits = ({ width, height }: { width: number; height: number }): boolean =>
  Math.min(width, height) >= 1 && Math.max(width, height) <= LARGEST_SHEET.side

const tooLarge = (file: File): Fault =>
  new Fault('wrap', `“${file.name}” is of a size that no cover has: a side may be a hundred inches long at most.`)

/** Takes what was made elsewhere off an edition: the design is worn again as it was. */
export const takeOffWrap = (bookId: string, editionId: string): Promise<unknown> =>
  commit(bookId, 'Take the cover made elsewhere off', r => ({
    editions: r.editions.map(e => (e.id === editionId ? withoutWrap(e) : e)),
  }))

const withoutWrap = ({ wrap: _wrap, ...edition }: Edition): Edition => edition
