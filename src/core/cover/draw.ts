import { type Asset, authorLine, type TitleData } from '../book'
import { type Colour, type Item, type Layer, LayerBuilder, type PageMarks, PathBuilder, rgb } from '../marks'
import {
  type BreakRules,
  breakParagraph,
  type BrokenParagraph,
  type FontShelf,
  linePieces,
  type Paragraph,
  ParagraphBuilder,
  setLine,
  splitLong,
  TextStyle,
} from '../type'
import { barcodeLayer } from './barcode'
import type { CoverDesign, CoverPiece, Field } from './design'
import { type Flat, type Rect, zoneOf } from './geometry'
import { besideLogo, logoLayer, logoPlaces } from './logo'
import { motifItems } from './motif'
import { spineBox, spineTransform } from './spineText'

/** A piece as it was set: for checks and views. */
export interface SetPiece {
  id: string
  panel: CoverPiece['panel']
  field: Field
  text: string
  /** The ink's box on the flat, points. */
  box: Rect
  size: number
  colour: Colour
  /** The text did not fit its box even at the least size. */
  tooLong: boolean
  /** Words with characters that no face has: an empty box would be printed. */
  missing: string[]
}

export interface Cover {
  /** The sheet as its pieces are placed on it: where there is a logo at the foot of the spine, text has the rest. */
  flat: Flat
  page: PageMarks
  pieces: SetPiece[]
  barcode: Rect | undefined
}

/** What a field of the book says on the cover. */
export function fieldText(data: TitleData, field: Field): string {
  switch (field) {
    case 'title':
      return data.title
    case 'subtitle':
      return data.subtitle ?? ''
    case 'author':
      return authorLine(data)
    case 'series':
      return data.series ? (data.series.number ? `${data.series.name} · ${data.series.number}` : data.series.name) : ''
    case 'imprint':
      return data.imprint.name
    case 'description':
      return data.description ?? ''
  }
}

/** What a cover is drawn with. */
interface CoverNeeds {
  /** No barcode without it. */
  isbn?: string | undefined
  shelf: FontShelf
  assets?: Asset[]
}

/** Draws a design on a flat for a book. The barcode stands where the profile says, if there is an ISBN. */
export async function drawCover(
  bare: Flat,
  design: CoverDesign,
  data: TitleData,
  { isbn, shelf, assets = [] }: CoverNeeds,
): Promise<Cover> {
  const barcode = isbn ? zoneOf(bare, 'barcode', 'back') : undefined
  const logo = logoPlaces(bare, design, data, { assets, barcode })
  const flat = logo?.spine ? besideLogo(bare, logo.spine) : bare
  const layers: Layer[] = [
    {
      items: [
        { kind: 'group', role: 'ground', layers: [{ items: motifItems(design, flat) }] },
        ...pictureItems(design, flat, assets),
      ],
    },
  ]
  if (logo) layers.push(logoLayer(logo))
  const pieces: SetPiece[] = []
  for (const p of design.pieces) {
    const text = fieldText(data, p.field)
    if (!text) continue
    const zone = p.panel === 'spine' ? zoneOf(flat, 'spine text', 'spine') : zoneOf(flat, 'safe', p.panel)
    if (!zone) continue
    const said = p.capitals ? text.toLocaleUpperCase(data.language) : text
    const set = await setPiece(p, said, { zone, flat, barcode }, data.language, shelf)
    layers.push(set.layer)
    pieces.push({ id: p.id, panel: p.panel, field: p.field, text, ...set.facts })
  }
  if (barcode)
    layers.push({
      items: [
        {
          kind: 'group',
          role: 'barcode',
          transform: [1, 0, 0, 1, barcode.x, barcode.y],
          layers: [await barcodeLayer(isbn!, await shelf.face('figtree/regular'))],
        },
      ],
    })
  const page: PageMarks = {
    width: flat.width,
    height: flat.height,
    bleed: flat.bleed,
    layers: layers.map(layer => ({ layer, x: 0, y: 0 })),
    label: 'cover',
    side: 'recto',
  }
  return { flat, page, pieces, barcode }
}

/** The design's picture: it covers its area to the bleed and is cut, never distorted. */
function pictureItems(design: CoverDesign, flat: Flat, assets: Asset[]): Item[] {
  const asset = design.picture && assets.find(a => a.id === design.picture!.asset)
  if (!asset) return []
  const { front } = flat.panels
  const left = design.picture!.over === 'front' ? front.x : -flat.bleed.left
  const area = {
    x: left,
    y: -flat.bleed.top,
    width: flat.width + flat.bleed.right - left,
    height: flat.height + flat.bleed.top + flat.bleed.bottom,
  }
  const scale = Math.max(area.width / asset.width, area.height / asset.height)
  const [width, height] = [asset.width * scale, asset.height * scale]
  const image: Item = {
    kind: 'image',
    asset: asset.id,
    x: area.x + (area.width - width) / 2,
    y: area.y + (area.height - height) / 2,
    width,
    height,
  }
  return [
    {
      kind: 'group',
      role: 'picture',
      clip: new PathBuilder().rect(area.x, area.y, area.width, area.height).build(),
      layers: [{ items: [image] }],
    },
  ]
}

/** Below this nothing on a cover can be read. */
const LEAST_SIZE = 6.5

async function setPiece(
  p: CoverPiece,
  text: string,
  { zone, flat, barcode }: { zone: Rect; flat: Flat; barcode: Rect | undefined },
  language: string,
  shelf: FontShelf,
): Promise<{ layer: Layer; facts: Pick<SetPiece, 'box' | 'size' | 'colour' | 'tooLong' | 'missing'> }> {
  const face = await shelf.face(p.face)
  const fallback = await shelf.face('eb-garamond/regular')
  const colour = rgb(p.colour)
  const along = p.panel === 'spine'
  // Along the spine, the zone is as long as the book is high.
  const zw = along ? zone.height : zone.width
  const zh = along ? zone.width : zone.height
  const box = { x: p.box.x * zw, y: p.box.y * zh, width: p.box.width * zw, height: p.box.height * zh }
  if (barcode && p.panel === 'back') clearOf(box, barcode, zone)
  const scale = along ? 1 : Math.sqrt((flat.panels.front.width * flat.panels.front.height) / (432 * 648))
  const fit = fitText(
    text,
    size =>
      new TextStyle({
        faces: [face, fallback],
        size,
        features: ['-onum', 'lnum'],
        language,
        colour,
        tracking: p.tracking,
      }),
    p,
    box,
    p.size * scale,
  )
  const out = new LayerBuilder()
  const lead = fit.size * p.leading
  const count = fit.lines.reduce((n, l) => n + l.broken.count, 0)
  const cap = face.metrics.capHeight * fit.size
  const inkHeight = inkOf(count, fit.size, p, cap)
  const free = box.height - inkHeight
  const top = box.y + (p.vertical === 'middle' ? free / 2 : p.vertical === 'bottom' ? free : 0)
  let y = top + cap
  for (const l of fit.lines)
    for (let i = 0; i < l.broken.count; i++) {
      setLine(out, linePieces(l.paragraph, l.broken, i), l.rules, {
        x: box.x,
        y,
        place: { section: 'cover', block: p.id },
      })
      y += lead
    }
  const layer = out.build()
  const inZone: Rect = { x: box.x, y: top, width: box.width, height: inkHeight }
  const ink: Rect = along
    ? spineBox(zone, inZone, flat.spineReads)
    : { ...inZone, x: zone.x + inZone.x, y: zone.y + inZone.y }
  const transform: [number, number, number, number, number, number] = along
    ? spineTransform(zone, flat.spineReads)
    : [1, 0, 0, 1, zone.x, zone.y]
  return {
    layer: { items: [{ kind: 'group', role: p.id, transform, layers: [layer] }] },
    facts: {
      box: ink,
      size: fit.size,
      colour,
      tooLong: fit.tooLong,
      missing: fit.lines.flatMap(l => l.paragraph.missing),
    },
  }
}

/** From the first line's capitals to what hangs below the last; capitals have nothing that hangs. */
const inkOf = (lines: number, size: number, p: CoverPiece, cap: number): number =>
  cap + (lines - 1) * size * p.leading + (p.capitals ? 0.02 : 0.24) * size

/** Keeps a box on the back out of the barcode's place. */
function clearOf(box: { x: number; y: number; width: number; height: number }, barcode: Rect, zone: Rect): void {
  const bx = barcode.x - zone.x
  const by = barcode.y - zone.y
  const gap = 8
  const meets =
    box.x < bx + barcode.width + gap &&
    box.x + box.width > bx - gap &&
    box.y < by + barcode.height + gap &&
    box.y + box.height > by - gap
  if (!meets) return
  if (box.y < by - gap - 40) box.height = Math.min(box.height, by - gap - box.y)
  else if (box.x < bx) box.width = Math.min(box.width, bx - gap - box.x)
}

interface FittedLine {
  paragraph: Paragraph
  broken: BrokenParagraph
  rules: BreakRules
}

/** The largest size, down from the asked one, at which a text fits its box. */
function fitText(
  text: string,
  styleAt: (size: number) => TextStyle,
  p: CoverPiece,
  box: { width: number; height: number },
  most: number,
): { size: number; lines: FittedLine[]; tooLong: boolean } {
  let size = most
  for (;;) {
    const style = styleAt(size)
    const oneLine = p.panel === 'spine'
    let tooWide = false
    const lines = text
      .split(/\n+/)
      .filter(t => t.trim())
      .map((t): FittedLine => {
        const b = new ParagraphBuilder()
        b.text(t, style)
        const whole = b.build()
        if (whole.boxWidth.some(w => w > box.width)) tooWide = true
        const paragraph = splitLong(whole, box.width)
        const rules: BreakRules = {
          measure: box.width,
          indents: [],
          align: p.align,
          stretch: 0,
          shrink: 0,
          scaling: 0,
          tracking: 0,
          hyphenate: false,
          ladder: 0,
          leastLastLine: 0,
          optical: false,
        }
        return { paragraph, broken: breakParagraph(paragraph, rules)[0]!, rules }
      })
    const count = lines.reduce((n, l) => n + l.broken.count, 0)
    const fits =
      !tooWide &&
      (oneLine
        ? count === 1 && inkOf(1, size, p, style.face.metrics.capHeight * size) <= box.height
        : inkOf(count, size, p, style.face.metrics.capHeight * size) <= box.height)
    if (fits) return { size, lines, tooLong: false }
    if (size <= LEAST_SIZE) return { size, lines, tooLong: true }
    size = Math.max(LEAST_SIZE, size * 0.94)
  }
}

/** The front alone, as a page: for pictures of it. No bleed. */
export function frontPage(cover: Cover): PageMarks {
  const { front } = cover.flat.panels
  return {
    ...cover.page,
    width: front.width,
    height: front.height,
    bleed: { top: 0, right: 0, bottom: 0, left: 0 },
    layers: cover.page.layers.map(l => ({ ...l, x: l.x - front.x })),
  }
}
