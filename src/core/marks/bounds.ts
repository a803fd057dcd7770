import type { Layer, TextTable } from './marks'
import { pathBox } from './path'

/** The corners of a box: left, top, right, bottom; points. */
export type Corners = [x0: number, y0: number, x1: number, y1: number]

/** How far letters reach over and under their baseline, by their size. */
const OVER = 0.78
const UNDER = 0.24

/**
 * The least box around what a layer draws, the width of lines included; what is clipped is within its clip. Letters count with the
 * usual reach of their face, not outline by outline. Where nothing is drawn its right is left of its left.
 */
export function layerBox({ items, text }: Layer): Corners {
  const box: Corners = [Infinity, Infinity, -Infinity, -Infinity]
  const add = ([x0, y0, x1, y1]: Corners, by = 0): void => {
    box[0] = Math.min(box[0], x0 - by)
    box[1] = Math.min(box[1], y0 - by)
    box[2] = Math.max(box[2], x1 + by)
    box[3] = Math.max(box[3], y1 + by)
  }
  for (const item of items)
    if (item.kind === 'path') add(pathBox(item.path), item.stroke?.width ?? 0)
    else if (item.kind === 'image') add([item.x, item.y, item.x + item.width, item.y + item.height])
    else {
      const [a, b, c, d, dx, dy] = item.transform ?? [1, 0, 0, 1, 0, 0]
      const inner = item.clip ? [pathBox(item.clip)] : item.layers.map(layerBox)
      for (const [x0, y0, x1, y1] of inner)
        if (x1 >= x0)
          for (const [x, y] of [
            [x0, y0],
            [x1, y0],
            [x0, y1],
            [x1, y1],
          ] as const) {
            const at = { x: a * x + c * y + dx, y: b * x + d * y + dy }
            add([at.x, at.y, at.x, at.y])
          }
    }
  if (text) addText(text, add)
  return box
}

function addText(t: TextTable, add: (box: Corners) => void): void {
  for (let i = 0; i < t.count; i++) {
    const face = t.faces[t.face[i]!]!
    const [size, y] = [t.size[i]!, t.baseline[i]!]
    const unit = (size * t.stretch[i]!) / face.unitsPerEm
    for (let g = t.start[i]!; g < t.start[i + 1]!; g++) {
      const x = t.x[g]!
      add([x, y - size * OVER, x + face.advance(face.pairGlyph(t.glyphs[g]!)) * unit, y + size * UNDER])
    }
  }
}
