import { PathBuilder } from '../../marks'
import type { MotifKind } from './kind'

export const knots: MotifKind = {
  name: 'a net of rope',
  says: '{kind}, its meshes {size} wide',
  values: { size: { least: 0.05, most: 0.4, usual: 0.14, share: true } },
  colours: { accent: 'rope', dark: 'its edges' },
  draw: ({ sheet, front, accent, dark, length }) => {
    const size = length('size')
    const first = front.x - Math.ceil((front.x - sheet.x) / size + 1) * size
    const rope = new PathBuilder()
    for (let y = sheet.y - size; y < sheet.y + sheet.height + size; y += size)
      for (let x = first; x < sheet.x + sheet.width + size; x += size) {
        // Two strands cross, and a ring holds them.
        rope.move(x, y).cubic(x + size * 0.3, y, x + size * 0.2, y + size, x + size * 0.5, y + size)
        rope.move(x + size, y).cubic(x + size * 0.7, y, x + size * 0.8, y + size, x + size * 0.5, y + size)
        rope.move(x + size * 0.5, y).cubic(x + size * 0.8, y, x + size * 0.7, y + size, x + size, y + size)
        rope.move(x + size * 0.5, y).cubic(x + size * 0.2, y, x + size * 0.3, y + size, x, y + size)
        rope.circle(x, y, size * 0.11).circle(x + size * 0.5, y, size * 0.11)
      }
    const path = rope.build()
    return [
      { kind: 'path', path, stroke: { colour: dark, width: size * 0.09 } },
      { kind: 'path', path, stroke: { colour: accent, width: size * 0.05 } },
    ]
  },
}
