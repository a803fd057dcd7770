import type { CoverPiece } from '../book'
import type { Flat } from './geometry'
import { areaOf, boxInArea, boxOnFlat } from './place'
import type { Rect } from './rect'

export const alignments = ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const
export type Alignment = (typeof alignments)[number]
export type Axis = 'across' | 'down'

/** New boxes by the ids of pieces, each in parts of its own area. */
export type Boxes = ReadonlyMap<string, CoverPiece['box']>

/** Pieces with where they stand on the flat; those that have no place on it, and those that are held, are left out. */
const standing = (flat: Flat, pieces: readonly CoverPiece[]): { piece: CoverPiece; rect: Rect }[] =>
  pieces.flatMap(piece => {
    const rect = piece.locked ? undefined : boxOnFlat(flat, piece)
    return rect ? [{ piece, rect }] : []
  })

const around = (rects: readonly Rect[]): Rect => {
  const [x, y] = [Math.min(...rects.map(r => r.x)), Math.min(...rects.map(r => r.y))]
  const right = Math.max(...rects.map(r => r.x + r.width))
  const bottom = Math.max(...rects.map(r => r.y + r.height))
  return { x, y, width: right - x, height: bottom - y }
}

/** Where each has been put, kept in its own area. */
const placed = (flat: Flat, put: readonly { piece: CoverPiece; rect: Rect }[]): Boxes =>
  new Map(
    put.flatMap(({ piece, rect }) => {
      const box = boxInArea(flat, piece, rect)
      return box ? [[piece.id, box] as const] : []
    }),
  )

/** Several pieces brought to one line: that of all of them together; one alone to that of its area. */
export function aligned(flat: Flat, pieces: readonly CoverPiece[], to: Alignment): Boxes {
  const on = standing(flat, pieces)
  const [only] = on
  if (!only) return new Map()
  const whole = on.length > 1 ? around(on.map(o => o.rect)) : areaOf(flat, only.piece)!
  const put = ({ x, y, width, height }: Rect): Rect => {
    switch (to) {
      case 'left':
        return { x: whole.x, y, width, height }
      case 'centre':
        return { x: whole.x + (whole.width - width) / 2, y, width, height }
      case 'right':
        return { x: whole.x + whole.width - width, y, width, height }
      case 'top':
        return { x, y: whole.y, width, height }
      case 'middle':
        return { x, y: whole.y + (whole.height - height) / 2, width, height }
      case 'bottom':
        return { x, y: whole.y + whole.height - height, width, height }
    }
  }
  return placed(
    flat,
    on.map(({ piece, rect }) => ({ piece, rect: put(rect) })),
  )
}

/** Three pieces or more with the same space between each and the next; the outermost stay. */
export function distributed(flat: Flat, pieces: readonly CoverPiece[], axis: Axis): Boxes {
  const on = standing(flat, pieces)
  if (on.length < 3) return new Map()
  const [from, size] = axis === 'across' ? (['x', 'width'] as const) : (['y', 'height'] as const)
  const sorted = [...on].sort((a, b) => a.rect[from] - b.rect[from])
  const [first, last] = [sorted[0]!.rect, sorted.at(-1)!.rect]
  const room = last[from] + last[size] - first[from] - sorted.reduce((sum, o) => sum + o.rect[size], 0)
  const gap = room / (sorted.length - 1)
  let at = first[from]
  const put = sorted.map(({ piece, rect }) => {
    const moved = { piece, rect: { ...rect, [from]: at } }
    at += rect[size] + gap
    return moved
  })
  return placed(flat, put)
}

/** Pieces moved together, points on the flat. */
export const moved = (flat: Flat, pieces: readonly CoverPiece[], by: { x: number; y: number }): Boxes =>
  placed(
    flat,
    standing(flat, pieces).map(({ piece, rect }) => ({
      piece,
      rect: { ...rect, x: rect.x + by.x, y: rect.y + by.y },
    })),
  )

/** A line that what is moved holds on to, and what it is a line of. */
export interface SnapLine {
  at: number
  of: string
}

export interface SnapLines {
  x: SnapLine[]
  y: SnapLine[]
}

/** The lines of a flat: edges and middles of its panels and of what is safe of them, of the spine, and of other pieces. */
export function snapLines(flat: Flat, others: readonly { name: string; rect: Rect }[]): SnapLines {
  const rects = [
    ...(['back', 'spine', 'front'] as const).flatMap(name =>
      flat.panels[name].width > 0 ? [{ name: `the ${name}`, rect: flat.panels[name] }] : [],
    ),
    ...flat.zones
      .filter(z => z.kind === 'safe' || z.kind === 'spine text' || z.kind === 'barcode')
      .map(z => ({ name: z.kind === 'barcode' ? 'the barcode' : `what is safe of the ${z.panel}`, rect: z.rect })),
    ...others,
  ]
  const lines = (from: 'x' | 'y', size: 'width' | 'height'): SnapLine[] =>
    rects.flatMap(({ name, rect }) => [
      { at: rect[from], of: `edge of ${name}` },
      { at: rect[from] + rect[size] / 2, of: `middle of ${name}` },
      { at: rect[from] + rect[size], of: `edge of ${name}` },
    ])
  return { x: lines('x', 'width'), y: lines('y', 'height') }
}

/** What is moved, held by the nearest line within reach on each axis, and by which lines. */
export function snapped(rect: Rect, lines: SnapLines, reach: number): { rect: Rect; x?: SnapLine; y?: SnapLine } {
  const along = (from: number, size: number, among: readonly SnapLine[]): { by: number; line?: SnapLine } => {
    let best: { by: number; line?: SnapLine } = { by: reach }
    for (const line of among)
      for (const own of [from, from + size / 2, from + size])
        if (Math.abs(line.at - own) < Math.abs(best.by)) best = { by: line.at - own, line }
    return best.line ? best : { by: 0 }
  }
  const [x, y] = [along(rect.x, rect.width, lines.x), along(rect.y, rect.height, lines.y)]
  return {
    rect: { ...rect, x: rect.x + x.by, y: rect.y + y.by },
    ...(x.line ? { x: x.line } : {}),
    ...(y.line ? { y: y.line } : {}),
  }
}
