import { type Asset, type Book } from '../book'
import { type ImageMark, visitPage } from '../marks'
import type { Interior } from './interior'
import { pageOf } from './places'

/** Pixels an inch that a picture has as printed, the lesser of its two ways. */
export const printedPpi = (asset: Pick<Asset, 'width' | 'height'>, mark: Pick<ImageMark, 'width' | 'height'>): number =>
  Math.min(asset.width / (mark.width / 72), asset.height / (mark.height / 72))

/** How a picture of the text is printed: the folio of its page, how wide it shows in points, and its pixels an inch. */
export interface PrintedPicture {
  label: string
  width: number
  ppi: number
}

/** How the picture of a block is printed; undefined where it is on no page. */
export function printedPicture(
  interior: Pick<Interior, 'pages' | 'starts'>,
  { assets }: Pick<Book, 'assets'>,
  section: string,
  block: string,
): PrintedPicture | undefined {
  const page = interior.pages[pageOf(interior, section, block) ?? -1]
  let found: PrintedPicture | undefined
  if (page)
    visitPage(page, v => {
      if (!('item' in v) || v.item.kind !== 'image') return
      const { place, asset: id, width } = v.item
      const asset = place?.section === section && place.block === block && assets.find(a => a.id === id)
      if (!asset) return
      const shows = v.within ? Math.min(v.within[2] - v.within[0], width) : width
      found = { label: page.label, width: shows, ppi: printedPpi(asset, v.item) }
    })
  return found
}
