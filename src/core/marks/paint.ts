import { type Colour, type Layer, type PageMarks } from './marks'
import { Op, type Path } from './path'

/** What the painter needs of a canvas: the common part of the browser's and the server's 2D contexts. */
export interface Canvas2D {
  save(): void
  restore(): void
  beginPath(): void
  closePath(): void
  moveTo(x: number, y: number): void
  lineTo(x: number, y: number): void
  quadraticCurveTo(x1: number, y1: number, x: number, y: number): void
  bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number): void
  fill(): void
  stroke(): void
  clip(): void
  transform(a: number, b: number, c: number, d: number, e: number, f: number): void
  fillRect(x: number, y: number, w: number, h: number): void
  drawImage(image: never, x: number, y: number, w: number, h: number): void
  fillStyle: unknown
  strokeStyle: unknown
  lineJoin: string
  lineWidth: number
  globalAlpha: number
}

/** Pictures by asset id, decoded; undefined where one is not there yet (a grey box stands in its place). */
export type Pictures = (asset: string) => unknown

/**
 * Paints a page: outlines are filled, no system font is asked. The context's unit must be one point with the origin at
 * the trim's top left; the caller sets scale and offset.
 */
export function paintPage(ctx: Canvas2D, page: PageMarks, pictures: Pictures, paper = '#fff'): void {
  const { bleed: b } = page
  ctx.fillStyle = paper
  ctx.fillRect(-b.left, -b.top, page.width + b.left + b.right, page.height + b.top + b.bottom)
  for (const p of page.layers) {
    ctx.save()
    ctx.transform(1, 0, 0, 1, p.x, p.y)
    paintLayer(ctx, p.layer, pictures)
    ctx.restore()
  }
}

function paintLayer(ctx: Canvas2D, layer: Layer, pictures: Pictures): void {
  for (const item of layer.items) {
    if (item.kind === 'path') {
      trace(ctx, item.path, item.stroke !== undefined)
      if (item.fill) {
        ctx.fillStyle = css(item.fill)
        ctx.fill()
      }
      if (item.stroke) {
        ctx.strokeStyle = css(item.stroke.colour)
        ctx.lineWidth = item.stroke.width
        ctx.lineJoin = item.stroke.round ? 'round' : 'miter'
        ctx.stroke()
      }
    } else if (item.kind === 'image') {
      const picture = pictures(item.asset)
      if (picture) {
        const alpha = ctx.globalAlpha
        // Seen through on paper it is lighter by as much.
        if (item.tone !== undefined) ctx.globalAlpha = alpha * item.tone
        ctx.drawImage(picture as never, item.x, item.y, item.width, item.height)
        ctx.globalAlpha = alpha
      } else {
        // A marked box, as the press gets it.
        ctx.strokeStyle = '#808080'
        ctx.lineWidth = 0.75
        ctx.beginPath()
        ctx.moveTo(item.x, item.y)
        ctx.lineTo(item.x + item.width, item.y)
        ctx.lineTo(item.x + item.width, item.y + item.height)
        ctx.lineTo(item.x, item.y + item.height)
        ctx.closePath()
        ctx.lineTo(item.x + item.width, item.y + item.height)
        ctx.moveTo(item.x + item.width, item.y)
        ctx.lineTo(item.x, item.y + item.height)
        ctx.stroke()
      }
    } else {
      ctx.save()
      if (item.transform) ctx.transform(...item.transform)
      if (item.clip) {
        trace(ctx, item.clip)
        ctx.clip()
      }
      const alpha = ctx.globalAlpha
      if (item.opacity !== undefined) ctx.globalAlpha = alpha * item.opacity
      for (const inner of item.layers) paintLayer(ctx, inner, pictures)
      ctx.globalAlpha = alpha
      ctx.restore()
    }
  }
  const t = layer.text
  if (!t) return
  for (let i = 0; i < t.count; i++) {
    const face = t.faces[t.face[i]!]!
    const scale = t.size[i]! / face.unitsPerEm
    ctx.fillStyle = css(t.colours[t.colour[i]!]!)
    ctx.beginPath()
    for (let g = t.start[i]!; g < t.start[i + 1]!; g++)
      draw(ctx, face.outline(face.pairGlyph(t.glyphs[g]!)), {
        x: t.x[g]!,
        y: t.baseline[i]!,
        sx: scale * t.stretch[i]!,
        sy: -scale,
      })
    ctx.fill()
  }
}

function trace(ctx: Canvas2D, p: Path, stroked = false): void {
  ctx.beginPath()
  draw(ctx, p, { ...AS_IT_IS, stroked })
}

/** Where a path's origin stands, and what its coordinates are multiplied with; whether its outline is drawn, too. */
interface Placed {
  x: number
  y: number
  sx: number
  sy: number
  stroked?: boolean
}
const AS_IT_IS: Placed = { x: 0, y: 0, sx: 1, sy: 1 }

function draw(ctx: Canvas2D, p: Path, { x, y, sx, sy, stroked }: Placed): void {
  const c = p.xy
  let k = 0
  for (let i = 0; i < p.ops.length; i++) {
    switch (p.ops[i]) {
      case Op.move:
        ctx.moveTo(x + c[k]! * sx, y + c[k + 1]! * sy)
        k += 2
        break
      case Op.line:
        ctx.lineTo(x + c[k]! * sx, y + c[k + 1]! * sy)
        k += 2
        break
      case Op.quad:
        ctx.quadraticCurveTo(x + c[k]! * sx, y + c[k + 1]! * sy, x + c[k + 2]! * sx, y + c[k + 3]! * sy)
        k += 4
        break
      case Op.cubic:
        ctx.bezierCurveTo(
          x + c[k]! * sx,
          y + c[k + 1]! * sy,
          x + c[k + 2]! * sx,
          y + c[k + 3]! * sy,
          x + c[k + 4]! * sx,
          y + c[k + 5]! * sy,
        )
        k += 6
        break
      default:
        // What is filled closes by itself; browsers measure the whole path at each call, a line's glyphs would cost their square.
        if (stroked || (i + 1 < p.ops.length && p.ops[i + 1] !== Op.move)) ctx.closePath()
    }
  }
}

/** A colour for the screen. */
export function css(c: Colour): string {
  if ('k' in c) {
    const v = Math.round(255 * (1 - c.k))
    return `rgb(${v},${v},${v})`
  }
  return `rgb(${Math.round(c.r * 255)},${Math.round(c.g * 255)},${Math.round(c.b * 255)})`
}
