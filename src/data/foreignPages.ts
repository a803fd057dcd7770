import { type Asset, hashOf } from '@/core/book'
import type { ForeignPage } from '@/core/pdf'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { fitting } from './room'
import { guarded } from './trouble'

/** Pixels that a point of a page counts as where pictures are counted: a page is sharp at any size. */
const PER_POINT = 10

/** A page of a PDF as a picture of a book; `at`: which of several it is. */
export const pageAsset = (
  { bytes, width, height, coloured, lacksFonts }: ForeignPage,
  name: string,
  at: number | undefined,
): Asset => ({
  id: hashOf(bytes),
  type: 'application/pdf',
  width: Math.round(width * PER_POINT),
  height: Math.round(height * PER_POINT),
  name: at === undefined ? name : `${name}, page ${at + 1}`,
  ...(coloured && { coloured }),
  ...(lacksFonts && { lacksFonts }),
})

/** Brings the pages of a PDF into a book, each a picture of its own that keeps its vectors and fonts. Throws a Fault where it cannot be read. */
export async function bringInPages(bookId: string, file: File): Promise<Asset[]> {
  const pages: ForeignPage[] = await press().foreignPages(new Uint8Array(await file.arrayBuffer()), file.name)
  const assets = pages.map((page, i) => pageAsset(page, file.name, pages.length > 1 ? i : undefined))
  const size = pages.reduce((n, p) => n + p.bytes.length, 0)
  await fitting(`“${file.name}”`, size, async () => {
    await guarded(() => putBlobs(assets.map((a, i) => [a.id, pages[i]!.bytes])))
    await commit(bookId, `Bring in ${file.name}`, r => {
      const known = new Set(r.assets.map(a => a.id))
      return { assets: [...r.assets, ...assets.filter(a => !known.has(a.id) && known.add(a.id))] }
    })
  })
  return assets
}
