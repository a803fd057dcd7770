import { type LayerBuilder, type Path, PathBuilder } from '../../marks'
import type { PageLook } from './look'

/** How far a frame keeps what it holds from its line, points. */
const INSET = 14
const THICK = 1.1
const FINE = 0.5
const DOT = { radius: 1.5, apart: 9 }
const ROUND = 16
const NOTCH = 12
/** Half of what stands at a corner, and how far from it lines end. */
const CORNER = { half: 5, clear: 15 }

/** Room that a frame takes on each side, points. */
export const frameInset = ({ frame }: PageLook): number => (frame.line === 'none' ? 0 : INSET)

/** Draws a frame along the edges of a room, points. */
export function drawFrame({ frame }: PageLook, out: LayerBuilder, width: number, height: number): void {
  const { line, tone, corner } = frame
  if (line === 'none' || width < 4 * INSET || height < 4 * INSET) return
  const colour = { k: tone }
  const stroke = (path: PathBuilder, thickness: number): void =>
    out.add({ kind: 'path', path: path.build(), stroke: { colour, width: thickness } })
  const e = THICK / 2
  const clear = corner === 'none' ? 0 : CORNER.clear
  if (line === 'dots') out.add({ kind: 'path', path: dots(width, height), fill: colour })
  else if (line === 'round') stroke(rounded(e, e, width - THICK, height - THICK), THICK)
  else if (line === 'notched') {
    stroke(notched(e, width, height, NOTCH), THICK)
    stroke(notched(e + 3.5, width, height, NOTCH), FINE)
  } else {
    stroke(sides(e, width, height, clear), THICK)
    if (line === 'double') stroke(sides(e + 4, width, height, Math.max(0, clear - 4)), FINE)
  }
  if (clear)
    for (const x of [e, width - e])
      for (const y of [e, height - e])
        out.add({ kind: 'path', path: cornerAt(corner, inward(x, width), inward(y, height)), fill: colour })
}

const inward = (at: number, whole: number): number => (at < whole / 2 ? CORNER.half : whole - CORNER.half)

function cornerAt(corner: PageLook['frame']['corner'], x: number, y: number): Path {
  const { half: r } = CORNER
  const path = new PathBuilder()
  if (corner === 'disc') return path.circle(x, y, r * 0.7).build()
  if (corner === 'lozenge')
    return path
      .move(x - r, y)
      .line(x, y - r)
      .line(x + r, y)
      .line(x, y + r)
      .close()
      .build()
  for (const [dx, dy] of [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
  ] as const)
    path.circle(x + dx * r * 0.55, y + dy * r * 0.55, r * 0.42)
  return path.build()
}

/** Four sides at a distance from the edge that end so far before their corners. */
function sides(at: number, width: number, height: number, clear: number): PathBuilder {
  const [x1, y1] = [width - at, height - at]
  if (!clear) return new PathBuilder().rect(at, at, width - 2 * at, height - 2 * at)
  return new PathBuilder()
    .move(at + clear, at)
    .line(x1 - clear, at)
    .move(x1, at + clear)
    .line(x1, y1 - clear)
    .move(x1 - clear, y1)
    .line(at + clear, y1)
    .move(at, y1 - clear)
    .line(at, at + clear)
}

function notched(at: number, width: number, height: number, notch: number): PathBuilder {
  const [x1, y1] = [width - at, height - at]
  return new PathBuilder()
    .move(at + notch, at)
    .line(x1 - notch, at)
    .quad(x1 - notch, at + notch, x1, at + notch)
    .line(x1, y1 - notch)
    .quad(x1 - notch, y1 - notch, x1 - notch, y1)
    .line(at + notch, y1)
    .quad(at + notch, y1 - notch, at, y1 - notch)
    .line(at, at + notch)
    .quad(at + notch, at + notch, at + notch, at)
    .close()
}

/** A box with rounded corners. */
export function rounded(x: number, y: number, width: number, height: number, radius = ROUND): PathBuilder {
  const [x1, y1, r] = [x + width, y + height, Math.min(radius, width / 2, height / 2)]
  return new PathBuilder()
    .move(x + r, y)
    .line(x1 - r, y)
    .quad(x1, y, x1, y + r)
    .line(x1, y1 - r)
    .quad(x1, y1, x1 - r, y1)
    .line(x + r, y1)
    .quad(x, y1, x, y1 - r)
    .line(x, y + r)
    .quad(x, y, x + r, y)
    .close()
}

/** Dots along all four sides, one at each corner. */
function dots(width: number, height: number): ReturnType<PathBuilder['build']> {
  const path = new PathBuilder()
  const { radius: r } = DOT
  const [w, h] = [width - 2 * r, height - 2 * r]
  const [across, down] = [Math.max(1, Math.round(w / DOT.apart)), Math.max(1, Math.round(h / DOT.apart))]
  for (let i = 0; i <= across; i++) for (const y of [r, height - r]) path.circle(r + (i * w) / across, y, r)
  for (let i = 1; i < down; i++) for (const x of [r, width - r]) path.circle(x, r + (i * h) / down, r)
  return path.build()
}
