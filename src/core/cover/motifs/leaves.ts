import { type Path, PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

export const leaves: MotifKind = {
  name: 'leaves',
  says: '{kind}, {size} long, {many} of them on the front',
  values: {
    size: { least: 0.05, most: 0.6, usual: 0.2, share: true },
    many: { least: 5, most: 300, usual: 60 },
  },
  colours: { accent: 'leaves', dark: 'leaves below', light: 'their veins' },
  scattered: true,
  draw: ({ sheet, front, accent, dark, light, length, value, chance }) => {
    const size = length('size')
    const n = Math.round((value('many') * sheet.width * sheet.height) / (front.width * front.height))
    return Array.from({ length: n }, (_, i) => {
      const at = {
        x: sheet.x + chance() * sheet.width,
        y: sheet.y + chance() * sheet.height,
        turn: chance() * 2 * Math.PI,
        long: size * (0.7 + 0.6 * chance()),
      }
      const green = mix(dark, accent, i / n)
      return [filled(leaf(at), green), filled(vein(at), mix(green, light, 0.45))]
    }).flat()
  },
}

interface At {
  x: number
  y: number
  /** Radians. */
  turn: number
  long: number
}

/** A point so far along a leaf and beside its middle, in parts of its length. */
const on = ({ x, y, turn, long }: At, along: number, beside: number): [number, number] => [
  x + long * (along * Math.cos(turn) - beside * Math.sin(turn)),
  y + long * (along * Math.sin(turn) + beside * Math.cos(turn)),
]

const leaf = (at: At): Path =>
  new PathBuilder()
    .move(...on(at, -0.5, 0))
    .cubic(...on(at, -0.2, -0.3), ...on(at, 0.25, -0.22), ...on(at, 0.5, 0))
    .cubic(...on(at, 0.25, 0.22), ...on(at, -0.2, 0.3), ...on(at, -0.5, 0))
    .close()
    .build()

/** The middle vein, and those that leave it. */
function vein(at: At): Path {
  const p = new PathBuilder()
  const line = (a: [number, number], b: [number, number], c: [number, number]): void =>
    void p
      .move(...on(at, ...a))
      .line(...on(at, ...b))
      .line(...on(at, ...c))
      .close()
  line([-0.62, -0.008], [0.46, 0], [-0.62, 0.008])
  for (const t of [-0.3, -0.14, 0.02, 0.18])
    for (const side of [-1, 1]) line([t, 0.006 * side], [t + 0.15, 0.16 * side * (1 - Math.abs(t))], [t + 0.014, 0])
  return p.build()
}
