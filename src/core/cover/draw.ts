import { type Asset, type CoverPiece, isWords, type TitleData, type Wrap } from '../book'
import { type Colour, type Edges, type Item, type Layer, type PageMarks, PathBuilder } from '../marks'
import type { FontShelf } from '../type'
import { addOnOf, barcodeLayer, type BarcodeWords, type ListPrice } from './barcode'
import type { CoverDesign } from './designs'
import { elsewhereItems, frontOn, type LyingSheet, piecesShown, wrapOn } from './elsewhere'
import { BARCODE, type Flat, type Rect, zoneOf } from './geometry'
import { besideLogo, logoLayer, logoPlaces } from './logo'
import { motifItems } from './motifs'
import { covering, drawPiece, type PieceDrawing, type WordsSet } from './pieces'
import { areaOf, sheetOf, sizeIn } from './place'
import { spineBox, spineTransform } from './spineText'
import { settledOn } from './tied'
import { type Matrix, middleOf, onto, turnAbout } from './turn'

/** A piece of words as it was set: for checks and views. */
export interface SetPiece {
  id: string
  panel: CoverPiece['panel']
  within: NonNullable<CoverPiece['within']>
  /** What it is called: "title", or as the author calls it. */
  name: string
  text: string
  /** The ink's box on the flat, points. */
  box: Rect
  /** Of its letters, where they do not fill that. */
  spots?: Rect[]
  size: number
  colour: Colour
  /** The text did not fit its box even at the least size. */
  tooLong: boolean
  /** Words with characters that no face has: an empty box would be printed. */
  missing: string[]
}

export interface Cover {
  design: CoverDesign
  /** The sheet as its pieces are placed on it: where there is a logo at the foot of the spine, text has the rest. */
  flat: Flat
  page: PageMarks
  pieces: SetPiece[]
  /** Where it stands, or the place that is kept clear for the printer's own. */
  barcode: Rect | undefined
  /** The same sheet without its words: what they are read on. */
  ground: PageMarks
  /** What of it was made elsewhere, as it lies there: the whole cover, or the front of the book's design. */
  elsewhere?: { what: 'wrap' | 'front'; sheets: LyingSheet[]; ownBarcode?: true }
}

/** What a cover is drawn with. */
interface CoverNeeds {
  /** No barcode of ours without it. */
  isbn?: string | undefined
  /** The price that stands beside the barcode, where it is asked for. */
  price?: ListPrice | undefined
  shelf: FontShelf
  assets?: Asset[]
  /** Made elsewhere: it is printed in the place of the design. */
  wrap?: Wrap | undefined
}

/** Draws a design on a flat for a book. The barcode stands where the profile says, if there is an ISBN. */
export async function drawCover(
  bare: Flat,
  asked: CoverDesign,
  data: TitleData,
  { isbn, price, shelf, assets = [], wrap }: CoverNeeds,
): Promise<Cover> {
  const design = settledOn(asked, bare)
  const ours = bare.barcodeBy === 'author'
  const barcode = wrap?.barcode !== 'in it' && (isbn || !ours) ? zoneOf(bare, 'barcode', 'back') : undefined
  const code =
    ours && barcode ? [await barcodeAt({ isbn: isbn!, addOn: addOnWhere(barcode, price) }, barcode, shelf)] : []
  if (wrap) {
    const cover = wrapped(bare, { ...design, pieces: [] }, { barcode, code, sheets: wrapOn(wrap, bare, assets) })
    return wrap.barcode === 'in it' ? { ...cover, elsewhere: { ...cover.elsewhere!, ownBarcode: true } } : cover
  }
  const logo = logoPlaces(bare, design, data, { assets, barcode })
  const flat = logo?.spine ? besideLogo(bare, logo.spine) : bare
  const drawing: PieceDrawing = { flat, data, barcode, shelf, assets }
  const under: Layer[] = [
    {
      items: [
        { kind: 'group', role: 'ground', layers: [{ items: motifItems(design, flat) }] },
        ...pictureItems(design, flat, assets),
      ],
    },
  ]
  const front = design.front && frontOn(design.front, flat, assets)
  if (front) under.push({ items: [elsewhereItems(front, areaOf(flat, ON_FRONT)!)] })
  if (logo) under.push(logoLayer(logo))
  // What a logo leaves of the spine is another area.
  const shown = settledOn({ ...design, pieces: piecesShown(design) }, flat)
  const over = await Promise.all(shown.pieces.map(p => placed(p, drawing)))
  const drawn = over.filter(p => p !== undefined)
  return {
    design: shown,
    flat,
    page: pageOf(flat, [...under, ...drawn.map(d => d.layer), ...code]),
    pieces: drawn.flatMap(d => d.set ?? []),
    barcode,
    ground: pageOf(flat, [...under, ...drawn.flatMap(d => d.ground ?? [])]),
    ...(front ? { elsewhere: { what: 'front', sheets: [front] } } : {}),
  }
}

const ON_FRONT = { panel: 'front', within: 'panel' } as const

const pageOf = ({ width, height, bleed }: Flat, layers: Layer[]): PageMarks => ({
  width,
  height,
  bleed,
  layers: layers.map(layer => ({ layer, x: 0, y: 0 })),
  label: 'cover',
  side: 'recto',
})

/** A cover that was made elsewhere, whole. */
function wrapped(
  flat: Flat,
  design: CoverDesign,
  { barcode, code, sheets }: { barcode: Rect | undefined; code: Layer[]; sheets: LyingSheet[] },
): Cover {
  const under = flat.sheets.flatMap(({ rect, bleed }, i): Layer[] => {
    const sheet = sheets[i]
    return sheet ? [{ items: [elsewhereItems(sheet, sheetOf({ ...rect, bleed }))] }] : []
  })
  const page = pageOf(flat, [...under, ...code])
  return { design, flat, page, pieces: [], barcode, ground: pageOf(flat, under), elsewhere: { what: 'wrap', sheets } }
}

interface PlacedPiece {
  layer: Layer
  /** What of it words are read on. */
  ground: Layer | undefined
  set?: SetPiece
}

/** A piece where it stands on the flat. Undefined where this flat has no place for it, or the book nothing to say there. */
async function placed(piece: CoverPiece, drawing: PieceDrawing): Promise<PlacedPiece | undefined> {
  const { flat } = drawing
  const area = areaOf(flat, piece)
  if (!area) return undefined
  const { width, height } = sizeIn(area, piece.panel)
  const { box: b } = piece
  const box = { x: b.x * width, y: b.y * height, width: b.width * width, height: b.height * height }
  const drawn = await drawPiece(piece, { area, box }, drawing)
  if (!drawn) return undefined
  const onFlat: Matrix = piece.panel === 'spine' ? spineTransform(area, flat.spineReads) : [1, 0, 0, 1, area.x, area.y]
  const transform = piece.turn ? onto(onFlat, turnAbout(piece.turn, middleOf(box))) : onFlat
  const layerOf = (layer: Layer): Layer => ({ items: [{ kind: 'group', role: piece.id, transform, layers: [layer] }] })
  const { words } = drawn
  return {
    layer: layerOf(drawn.layer),
    ground: words ? words.under && layerOf(words.under) : layerOf(drawn.layer),
    ...(words ? { set: setPiece(piece, words, { area, box, flat }) } : {}),
  }
}

function setPiece(
  piece: CoverPiece,
  { ink, spots, under: _u, ...facts }: WordsSet,
  { area, box, flat }: { area: Rect; box: Rect; flat: Flat },
): SetPiece {
  const lie = (r: Rect): Rect => {
    const lies = piece.turn ? turnedBox(r, piece.turn, box) : r
    return piece.panel === 'spine'
      ? spineBox(area, lies, flat.spineReads)
      : { ...lies, x: area.x + lies.x, y: area.y + lies.y }
  }
  return {
    ...facts,
    id: piece.id,
    panel: piece.panel,
    within: piece.within ?? 'safe',
    name: nameOf(piece),
    box: lie(ink),
    ...(spots ? { spots: spots.map(lie) } : {}),
  }
}

/** What a piece is called. */
export function nameOf(piece: CoverPiece): string {
  if (piece.name) return piece.name
  if (isWords(piece)) return piece.field === 'own' ? 'words' : piece.field
  return piece.kind === 'shape' ? piece.form : piece.kind
}

/** The least upright box around one that is turned about the middle of another. */
function turnedBox(of: Rect, turn: number, about: Rect): Rect {
  const [a, b, c, d, e, f] = turnAbout(turn, middleOf(about))
  const corners = [
    [of.x, of.y],
    [of.x + of.width, of.y],
    [of.x, of.y + of.height],
    [of.x + of.width, of.y + of.height],
  ].map(([x, y]) => ({ x: a * x! + c * y! + e, y: b * x! + d * y! + f }))
  const [xs, ys] = [corners.map(p => p.x), corners.map(p => p.y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y }
}

/** The design's picture: it covers its area to the bleed and is cut, never distorted. */
function pictureItems(design: CoverDesign, flat: Flat, assets: Asset[]): Item[] {
  const asset = design.picture && assets.find(a => a.id === design.picture!.asset)
  if (!asset) return []
  const sheet = sheetOf(flat)
  const left = design.picture!.over === 'front' ? flat.panels.front.x : sheet.x
  const area = { ...sheet, x: left, width: sheet.x + sheet.width - left }
  const image: Item = { kind: 'image', asset: asset.id, ...covering(area, asset, {}) }
  const clip = new PathBuilder().rect(area.x, area.y, area.width, area.height).build()
  return [{ kind: 'group', role: 'picture', clip, layers: [{ items: [image] }] }]
}

/** Its place on the flat is wide enough for a price only where one was asked for. */
const addOnWhere = ({ width }: Rect, price: ListPrice | undefined): string | undefined =>
  width > BARCODE.width ? addOnOf(price) : undefined

const barcodeAt = async (code: BarcodeWords, { x, y }: Rect, shelf: FontShelf): Promise<Layer> => ({
  items: [
    {
      kind: 'group',
      role: 'barcode',
      transform: [1, 0, 0, 1, x, y],
      layers: [await barcodeLayer(code, await shelf.face('figtree/regular'))],
    },
  ],
})

/** A part of the flat as a page of its own. */
const partOf = (page: PageMarks, { x, width, height }: Rect, bleed: Edges): PageMarks => ({
  ...page,
  width,
  height,
  bleed,
  layers: page.layers.map(l => ({ ...l, x: l.x - x })),
})

const NO_BLEED: Edges = { top: 0, right: 0, bottom: 0, left: 0 }

/** The front alone, as a page: for pictures of it. No bleed. */
export const frontPage = ({ flat, page }: Pick<Cover, 'flat' | 'page'>): PageMarks =>
  partOf(page, flat.panels.front, NO_BLEED)

/** The pages of the file that a printer takes: the whole flat, or back and front apart. */
export const sheetPages = ({ flat, page }: { flat: Flat; page: PageMarks }): PageMarks[] =>
  flat.sheets.length === 1
    ? [page]
    : flat.sheets.map(s => ({ ...partOf(page, s.rect, s.bleed), label: `${page.label}, ${s.name}` }))
