import { type Corners, type ImageMark, type Layer, layerBox, type PageMarks } from '../marks'
import type { PictureSource, Pixels } from '../pdf'
import { IMAGE_PPI } from '../trade'
import type { DeliveryPorts } from './ports'

const PIXELS_A_POINT = IMAGE_PPI / 72

/** What a file may not let through. */
export interface NotThrough {
  /** What covers only in part. */
  opacity: boolean
  /** Pictures that may be clear in places: files show such over white paper. */
  pictures: ReadonlySet<string>
}

const seenThrough = ({ items }: Layer, not: NotThrough): boolean =>
  items.some(i => {
    if (i.kind === 'image') return not.pictures.has(i.asset)
    if (i.kind !== 'group') return false
    return (not.opacity && i.opacity !== undefined && i.opacity < 1) || i.layers.some(l => seenThrough(l, not))
  })

/** Pages in which nothing is seen through, and where their pictures come from. */
export interface FlatPages {
  pages: PageMarks[]
  pictures: PictureSource
}

/**
 * Pages for files that may not let things through: where something is seen through, it and all that lies under it there become a
 * picture of 300 pixels an inch. All else stays as it is drawn, the words over it too.
 */
export async function flatPages(
  pages: PageMarks[],
  not: NotThrough,
  ports: Pick<DeliveryPorts, 'pixels' | 'pictures'>,
): Promise<FlatPages> {
  const made = new Map<string, Pixels>()
  const out: PageMarks[] = []
  for (const page of pages) out.push(await flatPage(page, not, made, ports))
  const { pictures } = ports
  return {
    pages: out,
    pictures: {
      // What is made here has no file: it is known by its name alone.
      bytes: async asset => (made.has(asset) ? new Uint8Array(1) : pictures.bytes(asset)),
      decode: async (bytes, asset) => made.get(asset) ?? pictures.decode(bytes, asset),
    },
  }
}

async function flatPage(
  page: PageMarks,
  not: NotThrough,
  made: Map<string, Pixels>,
  { pixels }: Pick<DeliveryPorts, 'pixels'>,
): Promise<PageMarks> {
  const layers = [...page.layers]
  for (const [i, { layer, x, y }] of layers.entries()) {
    if (!seenThrough(layer, not)) continue
    const box = onSheet(page, layerBox(layer), x, y)
    if (!box) continue
    // What was made flat before lies under it as it is drawn.
    const under = page.layers.slice(0, i + 1).map(l => ({ ...l, x: l.x - box.x, y: l.y - box.y }))
    const part = { ...page, ...NO_BLEED, width: box.width, height: box.height, layers: under }
    const { width, height, rgba } = await pixels(part, PIXELS_A_POINT, 'originals')
    const asset = `flat ${not.opacity ? 'of all' : 'of pictures'} ${made.size + 1}`
    made.set(asset, { width, height, rgba: Uint8ClampedArray.from(rgba) })
    const image: ImageMark = { kind: 'image', asset, ...box }
    layers[i] = { layer: { items: [image] }, x: 0, y: 0 }
  }
  return { ...page, layers }
}

const NO_BLEED = { bleed: { top: 0, right: 0, bottom: 0, left: 0 } }

/** A box on whole pixels, cut at the bleed; none where nothing of it is on the sheet. */
function onSheet({ width, height, bleed }: PageMarks, [x0, y0, x1, y1]: Corners, x: number, y: number) {
  const down = (v: number): number => Math.floor(v * PIXELS_A_POINT) / PIXELS_A_POINT
  const up = (v: number): number => Math.ceil(v * PIXELS_A_POINT) / PIXELS_A_POINT
  const left = Math.max(-bleed.left, down(x0 + x))
  const top = Math.max(-bleed.top, down(y0 + y))
  const right = Math.min(width + bleed.right, up(x1 + x))
  const bottom = Math.min(height + bleed.bottom, up(y1 + y))
  return right > left && bottom > top ? { x: left, y: top, width: right - left, height: bottom - top } : undefined
}
