import type { Asset, CoverDesign, CoverPiece, ElsewhereSheet, Wrap } from '../book'
import { type Edges, type Item, type Layer, PathBuilder } from '../marks'
import { type Flat, zoneOf } from './geometry'
import type { Rect } from './rect'

/** A part of a sheet, where it was made and where it stands on the flat. */
export interface Slice {
  from: Rect
  to: Rect
}

/** A sheet that was made elsewhere as it lies on a flat. Points; the sheet's own origin is its top left. */
export interface LyingSheet {
  asset: string
  /** Of a picture. */
  pixels?: { width: number; height: number }
  /** As it was made, and what of it stands over where it is cut. */
  made: { width: number; height: number; over: Edges }
  /** Where the flat is cut, and what is to stand over there. */
  trim: Rect
  bleed: Edges
  /** What is cut of it is so much wider and higher than the flat; less than nothing where it is smaller. */
  off: { width: number; height: number }
  /** The spine that it was made for, where that can be told. */
  spine?: number
  slices: Slice[]
}

/** Heights nearer to each other than this are of one trim, points: the most that a printer lets pass. */
const SAME_TRIM = 2.2

/** Widths nearer to each other than this share of them are of one form. */
const SAME_FORM = 0.01

const NONE: Edges = { top: 0, right: 0, bottom: 0, left: 0 }

/** All that is of a wrap on a flat: one sheet, or two. A sheet without its file is not there. */
export function wrapOn(wrap: Wrap, flat: Flat, assets: readonly Asset[]): LyingSheet[] {
  return wrap.sheets.slice(0, flat.sheets.length).flatMap((sheet, i) => {
    const asset = assets.find(a => a.id === sheet.asset)
    if (!asset) return []
    const { rect, bleed } = flat.sheets[i]!
    const lying = laid(sheet, asset, { trim: rect, bleed, mayHave: [bleed, NONE] })
    if (flat.sheets.length > 1 || !(flat.panels.spine.width > 0)) return [lying]
    const spine = lying.made.width - lying.made.over.left - lying.made.over.right - 2 * flat.panels.front.width
    // Of another height, it was made for another trim: what is between its panels cannot be told.
    const told = spine > 0 && Math.abs(lying.off.height) < SAME_TRIM ? { ...lying, spine } : lying
    return [wrap.atFolds === 'widened' && told.spine ? { ...told, slices: widened(told, spine, flat) } : told]
  })
}

/** A front on a flat. It may have been made to be cut at three edges or at four, or with nothing over. */
export function frontOn(sheet: ElsewhereSheet, flat: Flat, assets: readonly Asset[]): LyingSheet | undefined {
  const asset = assets.find(a => a.id === sheet.asset)
  if (!asset) return undefined
  const bleed = flat.sheets.find(s => s.name === 'front')?.bleed ?? { ...flat.bleed, left: 0 }
  const mayHave = [bleed, { ...bleed, left: bleed.right }, NONE]
  return laid(sheet, asset, { trim: flat.panels.front, bleed, mayHave })
}

/** The pieces that are seen: a front that was made elsewhere stands in the place of the design's own, and under what its author adds. */
export const piecesShown = ({ front, pieces }: CoverDesign): CoverPiece[] =>
  front ? pieces.filter(p => p.panel !== 'front' || p.own) : pieces

interface Place {
  trim: Rect
  bleed: Edges
  /** What may stand over where a file does not say. */
  mayHave: Edges[]
}

/** A sheet with its middle where that of the flat's is. */
function laid(sheet: ElsewhereSheet, asset: Asset, { trim, bleed, mayHave }: Place): LyingSheet {
  const made = madeAs(sheet, asset, trim, mayHave)
  const { over } = made
  const cut = { width: made.width - over.left - over.right, height: made.height - over.top - over.bottom }
  const off = { width: cut.width - trim.width, height: cut.height - trim.height }
  const to = {
    x: trim.x - off.width / 2 - over.left,
    y: trim.y - off.height / 2 - over.top,
    width: made.width,
    height: made.height,
  }
  const { width, height, type } = asset
  return {
    asset: asset.id,
    ...(type === 'application/pdf' ? {} : { pixels: { width, height } }),
    made,
    trim,
    bleed,
    off,
    slices: [{ from: { ...to, x: 0, y: 0 }, to }],
  }
}

/** How large a sheet was made, and with what over: of what it may have, what comes nearest. A picture without a size is as high as asked. */
function madeAs(
  { width, height, over }: ElsewhereSheet,
  asset: Asset,
  trim: Rect,
  mayHave: Edges[],
): LyingSheet['made'] {
  const sized = (o: Edges) => {
    if (width && height) return { width, height, over: o }
    const high = trim.height + o.top + o.bottom
    return { width: (high * asset.width) / asset.height, height: high, over: o }
  }
  if (over) return sized(over)
  const offBy = ({ over: o, ...m }: LyingSheet['made']) => ({
    across: Math.abs(m.width - o.left - o.right - trim.width),
    down: Math.abs(m.height - o.top - o.bottom - trim.height),
  })
  // A wrap may be for another spine, and fits by its height; a picture without a size is as high as any.
  const fits = (m: LyingSheet['made']): boolean =>
    offBy(m).down < SAME_TRIM && (!!height || offBy(m).across < trim.width * SAME_FORM)
  const ways = mayHave.map(sized)
  const [first = ways[0]!, ...others] = ways.filter(fits)
  return others.reduce((best, next) => (offBy(next).across < offBy(best).across ? next : best), first)
}

/** The whole of a sheet in five parts: back, spine and front as they were made, and between them strips along the folds that take what the spine has more or less. */
function widened({ made, trim, slices: [whole] }: LyingSheet, spine: number, flat: Flat): Slice[] {
  const more = flat.panels.spine.width - spine
  const drift = (zoneOf(flat, 'drift', 'spine')?.width ?? 0) / 2
  const strip = Math.max(Math.min(drift, spine / 4), Math.min(spine / 4, Math.abs(more) / 2))
  const left = made.over.left + flat.panels.back.width
  const right = left + spine
  const ends = [0, left - strip, left + strip, right - strip, right + strip, made.width]
  const moved = [0, 0, more / 2, more / 2, more, more]
  const start = trim.x - made.over.left
  return ends.slice(1).map((end, i) => {
    const from = ends[i]!
    const [x, until] = [from + moved[i]!, end + moved[i + 1]!]
    const { y, height } = whole!.to
    return {
      from: { x: from, y: 0, width: end - from, height: made.height },
      to: { x: start + x, y, width: until - x, height },
    }
  })
}

/** Parts reach so far under those beside them, points: no line of paper shows between, however small they are painted. */
const UNDER = 9

/** A sheet as it is drawn, cut at `within`. Strips that are made wider lie under what is as it was made. */
export function elsewhereItems({ asset, made, slices }: LyingSheet, within: Rect): Item {
  const stretched = ({ from, to }: Slice): boolean => Math.abs(from.width - to.width) > 1e-9
  const lowestFirst = [...slices.filter(stretched), ...slices.filter(s => !stretched(s))]
  const part = (slice: Slice): Layer => ({
    items: [sliceItem(asset, { ...slice, whole: made.width }, stretched(slice) ? UNDER : 0)],
  })
  const clip = new PathBuilder().rect(within.x, within.y, within.width, within.height).build()
  return { kind: 'group', role: ELSEWHERE, clip, layers: lowestFirst.map(part) }
}

/** What findings and drawings call it. */
export const ELSEWHERE = 'elsewhere'

function sliceItem(asset: string, { from, to, whole }: Slice & { whole: number }, under: number): Item {
  const scale = to.width / from.width
  const [x, width] = [to.x - from.x * scale, whole * scale]
  const clip = new PathBuilder().rect(to.x - under, to.y, to.width + 2 * under, to.height).build()
  return { kind: 'group', clip, layers: [{ items: [{ kind: 'image', asset, x, y: to.y, width, height: to.height }] }] }
}

/** Where a box of a sheet, in parts of its width and height, lies on the flat. */
export function onFlat({ made, slices }: LyingSheet, box: Rect): Rect {
  const across = (part: number): number => {
    const x = part * made.width
    const { from, to } = slices.find(s => x <= s.from.x + s.from.width) ?? slices.at(-1)!
    return to.x + ((x - from.x) * to.width) / from.width
  }
  const { to } = slices[0]!
  const x = across(box.x)
  return { x, y: to.y + box.y * to.height, width: across(box.x + box.width) - x, height: box.height * to.height }
}
