import { type Asset, type BlockJson, type ImageJson, shownOf } from '../book'
import { type LayerBuilder, type MarkPlace, PathBuilder } from '../marks'
import { baselineIn, type NoteCounter, type Setting, type Spot } from './context'
import { type Beside, type FlowItem, itemOf, type LeafFrame, ofLines, type Report, wholeAt } from './flow'
import { isContinuation } from './notes'
import { altOf, sharpWidth } from './smallPictures'
import { textItems } from './textItems'

/** A picture and its caption where it stands. One beside the text waits in the setting for the paragraphs that follow. */
export function addImage(out: FlowItem[], block: ImageJson, spot: Spot, s: Setting, following?: BlockJson): void {
  const asset = spot.ctx.assets.get(block.attrs.asset)
  if (!asset) {
    const caption = captionOf(block, spot, s)
    if (caption) out.push({ ...caption, before: 1, after: 1, solid: true })
    return
  }
  const { stands = 'measure', leads } = block.attrs
  const shown = shownOf(asset, block.attrs.crop)
  const picture: Picture = { block, asset, shown, place: leads ? { ...spot.place, href: leads } : spot.place }
  if (stands === 'page' || stands === 'plate') out.push(leafItem(picture, spot))
  else {
    const beside =
      stands !== 'measure' && following?.type === 'paragraph' && !s.beside
        ? besideText(picture, stands, spot, s)
        : undefined
    if (beside) s.beside = beside
    else out.push(inMeasure(picture, spot, s))
  }
}

/** A picture's block with the picture. */
interface Picture {
  block: ImageJson
  asset: Asset
  /** What of it is shown, in its pixels. */
  shown: { x: number; y: number; width: number; height: number }
  /** Its place in the book, and where it leads. */
  place: MarkPlace
}

/** Draws what is shown of a picture into a box: the whole picture, or behind a frame that leaves the rest out. */
function addShown(layer: LayerBuilder, { block, asset, shown, place }: Picture, box: Box): void {
  const scale = box.width / shown.width
  const whole = {
    kind: 'image',
    asset: asset.id,
    x: box.x - shown.x * scale,
    y: box.y - shown.y * scale,
    width: asset.width * scale,
    height: asset.height * scale,
    alt: altOf(block.attrs),
    place,
  } as const
  if (!block.attrs.crop) return layer.add({ ...whole, ...box })
  const clip = new PathBuilder().rect(box.x, box.y, box.width, box.height).build()
  layer.add({ kind: 'group', role: 'cropped', clip, layers: [{ items: [whole] }] })
}

/** Points from the layer's top left. */
interface Box {
  x: number
  y: number
  width: number
  height: number
}

/** What stands under a picture, between insets in points. */
const captionOf = (
  block: ImageJson,
  spot: Spot,
  { left, right }: Pick<Setting, 'left' | 'right'>,
): FlowItem | undefined =>
  textItems(
    block.content,
    spot,
    { base: spot.ctx.bases.caption, left, right, indent: 0, align: 'center', hyphenate: false },
    { before: 0, after: 0, keepNext: false, breakable: false },
  )[0]

const drawCaption = (caption: FlowItem | undefined, out: LayerBuilder, row: number, report: Report): void =>
  caption?.draw(out, wholeAt(caption, row), report)

const linesOf = (caption: FlowItem | undefined): number => caption?.variants[0]!.lines ?? 0

/** The notes that a caption calls; what a long one has beyond its first part waits for the text behind. */
function notesOf(caption: FlowItem | undefined, counter: NoteCounter): Beside['notes'] {
  const all = caption?.variants[0]!.notes ?? []
  counter.waiting?.unshift(...all.filter(n => isContinuation(n.note)).map(n => n.note))
  return all.filter(n => !isContinuation(n.note)).map(n => ({ line: 0, note: n.note }))
}

/** On lines of its own, with its caption below. */
function inMeasure(picture: Picture, spot: Spot, s: Setting): FlowItem {
  const { block, shown } = picture
  const { ctx } = spot
  const { leading } = ctx.style.text
  const caption = captionOf(block, spot, s)
  const measure = ctx.measure - s.left - s.right
  // Never larger than its pixels allow in print, never higher than the page.
  let width = Math.min(measure * Math.min(1, Math.max(0.05, block.attrs.share)), sharpWidth(shown))
  let height = (width * shown.height) / shown.width
  const most = (ctx.lines - linesOf(caption)) * leading - 2
  if (height > most) {
    width *= most / height
    height = most
  }
  const rows = Math.ceil(height / leading - 1e-6)
  const called = notesOf(caption, spot.notes)
  return itemOf({
    before: 1,
    after: 1,
    solid: true,
    variants: ofLines(rows + linesOf(caption), called),
    draw: (layer, { row }, report) => {
      addShown(layer, picture, {
        x: s.left + (measure - width) / 2,
        y: row * leading + (rows * leading - height) / 2,
        width,
        height,
      })
      drawCaption(caption, layer, row + rows, report)
    },
  })
}

/** Least width of a line beside a picture, ems: narrower ones cannot be justified. */
const LEAST_BESIDE = 11

/**
 * Beside the text: its top level with the first line's capitals, its foot on a baseline. Undefined where the lines beside
 * it would be too narrow, or the page too low.
 */
function besideText(picture: Picture, side: 'left' | 'right', spot: Spot, s: Setting): Beside | undefined {
  const { block, shown } = picture
  const { ctx } = spot
  const { leading, size } = ctx.style.text
  const measure = ctx.measure - s.left - s.right
  const caps = ctx.faces.of(s.base).face.metrics.capHeight * s.base.size
  const space = size * 1.1
  const widest = Math.min(
    measure * Math.min(1, Math.max(0.05, block.attrs.share)),
    sharpWidth(shown),
    measure - space - LEAST_BESIDE * size,
  )
  const ratio = shown.height / shown.width
  const lines = Math.min(Math.floor((widest * ratio - caps) / leading) + 1, Math.floor(ctx.lines * 0.75))
  if (lines < 2) return undefined
  const height = (lines - 1) * leading + caps
  const width = height / ratio
  const x = side === 'left' ? s.left : ctx.measure - s.right - width
  const caption = captionOf(block, spot, { left: x, right: ctx.measure - x - width })
  return {
    rows: lines + linesOf(caption),
    side,
    room: width + space,
    notes: notesOf(caption, spot.notes),
    draw: (layer, { row }, report) => {
      addShown(layer, picture, { x, y: row * leading + baselineIn(leading) - caps, width, height })
      drawCaption(caption, layer, row + lines, report)
    },
  }
}

/** A paragraph's items with the picture beside them: lines beside it are not parted from it, and what is left of it waits for the next. */
export function standBeside(items: FlowItem[], s: Setting, next: BlockJson | undefined): FlowItem[] {
  const { beside } = s
  const item = items[0]
  if (!beside || !item) return items
  const { draw, notes } = beside
  const rows = beside.rows
  const ends = item.variants.every(v => v.lines >= rows)
  const variants = (ends ? item.variants : [item.variants[0]!]).map(v =>
    notes.length ? { ...v, notes: [...notes, ...(v.notes ?? [])] } : v,
  )
  const taken = variants[0]!.lines + item.after
  s.beside = ends || taken >= rows ? undefined : { ...beside, rows: rows - taken, draw: undefined, notes: [] }
  // What follows on the same rows stands on the same page.
  const holds = !!s.beside
  const set: FlowItem = {
    ...item,
    variants,
    solid: !!draw || item.solid,
    keepNext: holds || item.keepNext,
    breakable: !holds && ends && item.breakable,
    // One line may stand at a page's foot if the picture's last row does.
    keepFirst: ends ? (item.keepFirst > 2 ? Math.max(rows, item.keepFirst) : rows) : item.keepFirst,
    draw: (layer, part, report) => {
      if (part.from === 0) draw?.(layer, part, report)
      item.draw(layer, part, report)
    },
  }
  return holds && next?.type !== 'paragraph' ? [set, ...items.slice(1), ...restBeside(s)] : [set, ...items.slice(1)]
}

/** Empty rows down to the foot of the picture, where no more text stands beside it. */
export function restBeside(s: Setting): FlowItem[] {
  const { beside } = s
  s.beside = undefined
  if (!beside) return []
  return [
    itemOf({
      after: 1,
      solid: true,
      variants: ofLines(beside.rows, beside.notes),
      draw: (layer, part, report) => beside.draw?.(layer, part, report),
    }),
  ]
}

/** A page of its own: in the text block with its caption, or as a plate over the edges of the leaf (down to its caption, where it has one). */
function leafItem(picture: Picture, spot: Spot): FlowItem {
  const { block, shown } = picture
  const { ctx, notes } = spot
  const { leading } = ctx.style.text
  const caption = captionOf(block, spot, { left: 0, right: 0 })
  // Notes that the caption calls stand under the text that follows: the leaf has no foot of its own.
  notes.waiting?.push(...(caption?.variants[0]!.notes ?? []).map(n => n.note))
  const bleeds = block.attrs.stands === 'plate'
  const room = (ctx.lines - linesOf(caption) - (caption ? 1 : 0)) * leading
  return itemOf({
    solid: true,
    variants: ofLines(0),
    draw: () => undefined,
    leaf: {
      ...(bleeds ? { ground: (layer, on) => plate(layer, picture, on, caption ? on.top + room : undefined) } : {}),
      draw: (layer, report) => {
        if (!bleeds) {
          const width = Math.min(
            ctx.measure * Math.min(1, Math.max(0.05, block.attrs.share)),
            sharpWidth(shown),
            (room * shown.width) / shown.height,
          )
          const height = (width * shown.height) / shown.width
          addShown(layer, picture, { x: (ctx.measure - width) / 2, y: (room - height) / 2, width, height })
        }
        drawCaption(caption, layer, ctx.lines - linesOf(caption), report)
      },
    },
  })
}

/** A picture that fills the leaf and its bleed: scaled to cover, cut evenly, never distorted. */
function plate(
  layer: LayerBuilder,
  { block, asset, shown, place }: Picture,
  { width, height, bleed }: LeafFrame,
  foot: number | undefined,
): void {
  const x0 = -bleed.left
  const y0 = -bleed.top
  const w = width + bleed.left + bleed.right
  const h = (foot ?? height + bleed.bottom) + bleed.top
  const scale = Math.max(w / shown.width, h / shown.height)
  layer.add({
    kind: 'group',
    role: 'plate',
    clip: new PathBuilder().rect(x0, y0, w, h).build(),
    layers: [
      {
        items: [
          {
            kind: 'image',
            asset: asset.id,
            x: x0 + (w - shown.width * scale) / 2 - shown.x * scale,
            y: y0 + (h - shown.height * scale) / 2 - shown.y * scale,
            width: asset.width * scale,
            height: asset.height * scale,
            alt: altOf(block.attrs),
            place,
          },
        ],
      },
    ],
  })
}
