import type { ImageJson } from '../book'
import type { MarkPlace } from '../marks'
import type { BlockContext, NoteCounter, Setting } from './context'
import type { FlowItem } from './flow'
import { textItems } from './textItems'

/** Pixels an inch that a picture must have as printed. */
const IMAGE_PPI = 300

/** A picture in the measure with its caption below, as one item. */
export function addImage(out: FlowItem[], block: ImageJson, ctx: BlockContext, s: Setting, place: MarkPlace, notes: NoteCounter): void {
  const asset = ctx.assets.get(block.attrs.asset)
  const { leading } = ctx.style.text
  const caption = textItems(block.content, ctx, { base: ctx.bases.caption, left: s.left, right: s.right, indent: 0, align: 'center', hyphenate: false }, place, notes, { before: 0, after: 0, keepNext: false, breakable: false })[0]
  const captionLines = caption?.variants[0]!.lines ?? 0
  if (!asset) {
    if (caption) out.push({ ...caption, before: 1, after: 1, solid: true })
    return
  }
  const measure = ctx.measure - s.left - s.right
  // Never larger than its pixels allow in print, never higher than the page.
  let width = Math.min(measure * Math.min(1, Math.max(0.05, block.attrs.share)), (asset.width / IMAGE_PPI) * 72)
  let height = (width * asset.height) / asset.width
  const most = (ctx.lines - captionLines) * leading - 2
  if (height > most) {
    width *= most / height
    height = most
  }
  const rows = Math.ceil(height / leading - 1e-6)
  const total = rows + captionLines
  out.push({
    before: 1, after: 1, flex: 0, keepNext: false, breakable: false, solid: true,
    variants: [{ lines: total, cost: 0, notes: caption?.variants[0]!.notes?.map(n => ({ line: 0, note: n.note })) }],
    draw: (layer, _v, _f, _t, row, report) => {
      layer.add({ kind: 'image', asset: asset.id, x: s.left + (measure - width) / 2, y: row * leading + (rows * leading - height) / 2, width, height, alt: block.attrs.decoration ? '' : block.attrs.alt, place })
      caption?.draw(layer, 0, 0, captionLines, row + rows, report)
    },
  })
}
