import { BLACK, type LayerBuilder, type Path, PathBuilder } from '../marks'
import type { InteriorStyle } from './style'

/** Draws the ornament of a scene break around a centre. `size` is the text's, points. */
export function drawOrnament(out: LayerBuilder, kind: InteriorStyle['breaks']['ornament'], cx: number, cy: number, size: number): void {
  if (kind === 'none') return
  const add = (path: Path) => out.add({ kind: 'path', path, fill: BLACK })
  if (kind === 'three lights') {
    for (const [dx, r] of [[-1.7, 0.15], [0, 0.2], [1.7, 0.15]] as const) add(light(cx + dx * size, cy, r * size))
  } else add(wave(cx, cy, size))
}

/** A four-pointed light with hollow flanks. */
function light(x: number, y: number, r: number): Path {
  const k = r * 0.16
  return new PathBuilder()
    .move(x, y - r * 1.5).quad(x + k, y - k, x + r, y).quad(x + k, y + k, x, y + r * 1.5).quad(x - k, y + k, x - r, y).quad(x - k, y - k, x, y - r * 1.5).close()
    .build()
}

/** A low swell that thins to its ends. */
function wave(x: number, y: number, s: number): Path {
  const w = s * 2.2
  const h = s * 0.28
  return new PathBuilder()
    .move(x - w, y).cubic(x - w * 0.5, y - h * 2, x - w * 0.2, y + h, x, y).cubic(x + w * 0.2, y - h, x + w * 0.5, y + h * 2, x + w, y)
    .cubic(x + w * 0.5, y + h * 1.2, x + w * 0.2, y - h * 1.9, x, y - h * 0.7).cubic(x - w * 0.2, y + h * 0.4, x - w * 0.5, y - h * 2.6, x - w, y).close()
    .build()
}
