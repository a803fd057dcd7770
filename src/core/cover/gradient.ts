import { type Colour, type Item, type Path, PathBuilder } from '../marks'
import { mix } from './mix'
import type { Rect } from './rect'

/** Steps of a gradient: finer than an eye tells apart. */
const STEPS = 64

/** A shape filled from one colour to another along an angle (degrees, 0 from its head to its foot, 90 from left to right); `begins`: behind so much of its way. */
export function gradientIn(
  clip: Path,
  box: Rect,
  { from, to, angle, begins = 0 }: { from: Colour; to: Colour; angle: number; begins?: number },
): Item {
  const turn = (angle * Math.PI) / 180
  const [dx, dy] = [Math.sin(turn), Math.cos(turn)]
  const reach = (Math.abs(dx) * box.width + Math.abs(dy) * box.height) / 2
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2]
  const far = box.width + box.height
  const items = Array.from({ length: STEPS }, (_, i): Item => {
    // Each band reaches under all that follow: no hair of another colour stands between two.
    const along = i ? -reach + 2 * reach * (begins + ((1 - begins) * i) / STEPS) : -far
    const at = (s: number, t: number): [number, number] => [cx + dx * s - dy * t, cy + dy * s + dx * t]
    const path = new PathBuilder()
      .move(...at(along, -far))
      .line(...at(far, -far))
      .line(...at(far, far))
      .line(...at(along, far))
      .close()
      .build()
    return { kind: 'path', path, fill: mix(from, to, i / (STEPS - 1)) }
  })
  return { kind: 'group', clip, layers: [{ items }] }
}
