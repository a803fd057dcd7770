import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

export const paperCut: MotifKind = {
  name: 'cut paper',
  says: '{kind} in {sheets} sheets around an opening {open} wide',
  values: {
    sheets: { least: 2, most: 12, usual: 6 },
    open: { least: 0.1, most: 1.2, usual: 0.5, share: true },
  },
  colours: { accent: 'nearest sheet', dark: 'shadows', light: 'what shines through' },
  scattered: true,
  draw: ({ sheet, front, ground, accent, dark, light, length, value, chance }) => {
    const sheets = Math.round(value('sheets'))
    const cx = front.x + front.width / 2
    const cy = front.y + front.height * 0.56
    const open = length('open') / 2
    const out = [filled(new PathBuilder().rect(sheet.x, sheet.y, sheet.width, sheet.height).build(), light)]
    for (let i = 0; i < sheets; i++) {
      const t = (i + 1) / sheets
      const r = open * (0.7 + 0.9 * t)
      const edge = outline(r, chance)
      const around = (dx: number, dy: number): ReturnType<PathBuilder['build']> => {
        // The sheet with its opening: the hole runs the other way round.
        const p = new PathBuilder().rect(sheet.x, sheet.y, sheet.width, sheet.height)
        hole(p, edge, cx + dx, cy + dy)
        return p.build()
      }
      const colour = mix(ground, accent, t)
      const lift = front.width * 0.006
      out.push(filled(around(-lift, -lift * 1.4), mix(colour, dark, 0.55)), filled(around(0, 0), colour))
    }
    return out
  },
}

/** Knots of an edge around an opening. */
const KNOTS = 14

/** How far an edge lies from the middle, knot by knot. */
const outline = (r: number, chance: () => number): number[] =>
  Array.from({ length: KNOTS }, () => r * (0.84 + 0.32 * chance()))

/** Counterclockwise, rounded through its knots. */
function hole(p: PathBuilder, edge: number[], cx: number, cy: number): void {
  const at = (k: number): [number, number] => {
    const i = ((k % KNOTS) + KNOTS) % KNOTS
    const a = (-i / KNOTS) * 2 * Math.PI
    return [cx + edge[i]! * Math.cos(a), cy + edge[i]! * 1.25 * Math.sin(a)]
  }
  const middle = (k: number): [number, number] => {
    const [[ax, ay], [bx, by]] = [at(k), at(k + 1)]
    return [(ax + bx) / 2, (ay + by) / 2]
  }
  p.move(...middle(-1))
  for (let k = 0; k < KNOTS; k++) p.quad(...at(k), ...middle(k))
  p.close()
}
