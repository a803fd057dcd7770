import { areaOf, type Cover, type Examined, type LyingSheet, onFlat, type Rect } from '../cover'
import type { WordsAt } from '../pdf'
import type { Edges, PageMarks } from '../marks'
import { isPdf } from '../trade'
import type { DeliveryPorts } from './ports'
import { type GreyPixels, readBarcode } from './readBarcode'
import { SeenPixels } from './seenPixels'

type Looking = Pick<DeliveryPorts, 'pixels' | 'pictures' | 'pageWords' | 'pagePictures'>

/** Pixels across a sheet that is looked at: half a point each on the usual wrap. */
const ACROSS = 1800

/** Looks over what of a cover was made elsewhere. Undefined where nothing was. What cannot be read is said, and stops nothing. */
export async function examineElsewhere(cover: Cover, ports: Looking): Promise<Examined | undefined> {
  const { elsewhere, flat, barcode } = cover
  if (!elsewhere) return undefined
  const out: Examined = {
    words: [],
    pictures: [],
    fonts: [],
    seenThrough: false,
    colours: [],
    bare: [],
    busy: 0,
    unread: [],
  }
  for (const sheet of elsewhere.sheets) {
    const bytes = await ports.pictures.bytes(sheet.asset)
    if (!bytes) out.unread.push('its file is gone')
    else if (isPdf(bytes)) await readPage(sheet, bytes, ports, out)
    else if (sheet.pixels) out.pictures.push({ ppi: ppiOf(sheet, sheet.pixels), box: onFlat(sheet, ALL) })
  }
  const seen = await painted(cover, ports)
  out.bare = elsewhere.sheets.flatMap(s => bareEdges(s, seen))
  if (elsewhere.what === 'wrap' && barcode) out.busy = seen.finelyDrawn(barcode)
  if (elsewhere.ownBarcode) out.barcode = (await readBarcode(await backOf(cover, ports))) ?? 'none'
  const [wrap] = elsewhere.sheets
  if (wrap?.spine) {
    const drift = flat.zones.find(z => z.kind === 'drift')?.rect.width ?? 0
    const at = await paintedAlone(wrap, ports)
    const left = wrap.made.over.left + flat.panels.back.width
    out.folds = { left: at.plainAcross(left, drift), right: at.plainAcross(left + wrap.spine, drift) }
  }
  return out
}

async function readPage(sheet: LyingSheet, bytes: Uint8Array, ports: Looking, out: Examined): Promise<void> {
  const { joinedRuns, pageFacts } = await import('../pdf')
  const read = async <T>(what: string, from: () => Promise<T>, take: (found: T) => void): Promise<void> =>
    from().then(take, (e: Error) => void out.unread.push(`${what}: ${e.message}`))
  await read(
    'its fonts and colours',
    () => pageFacts(bytes),
    facts => {
      out.fonts.push(...facts.fonts)
      out.seenThrough ||= facts.seenThrough
      out.colours = [...new Set([...out.colours, ...facts.colours])].sort()
    },
  )
  await read(
    'its words',
    () => ports.pageWords(bytes),
    words => {
      for (const w of joinedRuns(words, sheet.made.width / sheet.made.height))
        out.words.push({ text: w.words, box: onFlat(sheet, boxOf(w, sheet.made)) })
    },
  )
  await read(
    'its pictures',
    () => ports.pagePictures(bytes),
    pictures => out.pictures.push(...pictures.map(({ ppi, ...box }) => ({ ppi, box: onFlat(sheet, box) }))),
  )
}

/** How far capitals reach above their line, ems. */
const ASCENT = 0.72

/** The box of words in parts of their page. Letters stand on their line, and reach above it by most of their size. */
function boxOf({ x, baseline, width, size, turn = 0 }: WordsAt, page: { width: number; height: number }): Rect {
  const [long, high] = [width * page.width, size * ASCENT * page.height]
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)]
  // The four corners, the line's beginning first.
  const xs = [0, long * cos, high * sin, long * cos + high * sin]
  const ys = [0, long * sin, -high * cos, long * sin - high * cos]
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  return {
    x: x + left / page.width,
    y: baseline + top / page.height,
    width: (Math.max(...xs) - left) / page.width,
    height: (Math.max(...ys) - top) / page.height,
  }
}
const ALL = { x: 0, y: 0, width: 1, height: 1 }

const ppiOf = ({ made }: LyingSheet, { width, height }: { width: number; height: number }): number =>
  72 * Math.min(width / made.width, height / made.height)

/** The cover as it is seen. */
async function painted({ ground, flat }: Cover, ports: Looking): Promise<SeenPixels> {
  const whole = areaOf(flat, { panel: 'sheet', within: 'panel' })!
  const scale = ACROSS / whole.width
  return new SeenPixels(await ports.pixels(ground, scale), scale, { x: whole.x, y: whole.y })
}

/** Pixels a point at which bars of the nominal size can be told apart. */
const FINE = 3

/** The back in greys, as fine as bars ask. */
async function backOf({ ground, flat }: Cover, ports: Looking): Promise<GreyPixels> {
  const { width, height, rgba } = await ports.pixels(ground, FINE, 'originals')
  const across = Math.min(width, Math.ceil((flat.bleed.left + flat.panels.back.width) * FINE))
  const light = new Uint8ClampedArray(across * height)
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0, k = y * width * 4; x < across; x++, k += 4)
      light[i++] = (rgba[k]! * 54 + rgba[k + 1]! * 183 + rgba[k + 2]! * 19) >> 8
  return { width: across, height, light }
}

/** A sheet by itself, as it was made. */
async function paintedAlone({ asset, made }: LyingSheet, ports: Looking): Promise<SeenPixels> {
  const page: PageMarks = {
    width: made.width,
    height: made.height,
    bleed: { top: 0, right: 0, bottom: 0, left: 0 },
    label: '',
    side: 'recto',
    layers: [{ layer: { items: [{ kind: 'image', asset, x: 0, y: 0, ...sizeOf(made) }] }, x: 0, y: 0 }],
  }
  const scale = ACROSS / made.width
  return new SeenPixels(await ports.pixels(page, scale), scale, { x: 0, y: 0 })
}
const sizeOf = ({ width, height }: LyingSheet['made']) => ({ width, height })

/** Inside of the trim by so much, points, lies what would reach over it. */
const INSIDE = 1.5

/** Edges at which something is printed inside of the trim and bare paper lies in the bleed beside it. */
function bareEdges({ trim, bleed }: LyingSheet, seen: SeenPixels): Examined['bare'] {
  const { x, y, width, height } = trim
  const edges: Record<keyof Edges, (along: number, out: number) => [number, number]> = {
    top: (along, out) => [x + along * width, y - out],
    right: (along, out) => [x + width + out, y + along * height],
    bottom: (along, out) => [x + along * width, y + height + out],
    left: (along, out) => [x - out, y + along * height],
  }
  const strips: Record<keyof Edges, { x: number; y: number; width: number; height: number }> = {
    top: { x, y: y - bleed.top, width, height: bleed.top },
    right: { x: x + width, y, width: bleed.right, height },
    bottom: { x, y: y + height, width, height: bleed.bottom },
    left: { x: x - bleed.left, y, width: bleed.left, height },
  }
  return (['top', 'right', 'bottom', 'left'] as const).flatMap(edge => {
    if (!(bleed[edge] > 0)) return []
    let bare = 0
    for (let i = 0; i < LOOKS; i++) {
      const along = (i + 0.5) / LOOKS
      // Near its outer end, where art that was stretched a little would still be missing.
      if (!seen.paper(...edges[edge](along, -INSIDE)) && seen.paper(...edges[edge](along, bleed[edge] * 0.8))) bare++
    }
    return bare ? [{ edge, share: bare / LOOKS, box: strips[edge] }] : []
  })
}

/** Places along an edge that are looked at. */
const LOOKS = 400
