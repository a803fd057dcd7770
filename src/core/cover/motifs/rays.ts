import { PathBuilder } from '../../marks'
import { filled, type MotifKind } from './kind'

export const rays: MotifKind = {
  name: 'rays',
  says: '{count} {kind}, from {across} across and {down} down the front',
  values: {
    count: { least: 4, most: 90, usual: 24 },
    across: { least: -0.5, most: 1.5, usual: 0.5 },
    down: { least: -0.5, most: 1.5, usual: 0.62 },
  },
  colours: { accent: 'rays', light: 'sun' },
  draw: ({ sheet, front, accent, light, value }) => {
    const cx = front.x + front.width * value('across')
    const cy = front.y + front.height * value('down')
    const far = 2 * (sheet.width + sheet.height)
    const count = Math.round(value('count'))
    const p = new PathBuilder()
    for (let i = 0; i < count; i++) {
      const [a, b] = [(i / count) * 2 * Math.PI, ((i + 0.5) / count) * 2 * Math.PI]
      p.move(cx, cy)
        .line(cx + far * Math.cos(a), cy + far * Math.sin(a))
        .line(cx + far * Math.cos(b), cy + far * Math.sin(b))
        .close()
    }
    return [filled(p.build(), accent), filled(new PathBuilder().circle(cx, cy, front.width * 0.13).build(), light)]
  },
}
