import { PathBuilder } from '../../marks'
import { filled, type MotifKind } from './kind'

export const scales: MotifKind = {
  name: 'scales',
  says: '{kind}, {size} wide',
  values: { size: { least: 0.03, most: 0.4, usual: 0.12, share: true } },
  colours: { accent: 'scales', light: 'rims' },
  draw: ({ sheet, front, ground, accent, light, length }) => {
    const width = length('size')
    const r = width / 2
    const first = front.x - Math.ceil((front.x - sheet.x) / width + 1) * width
    const out = []
    let shifted = false
    // From the foot up: each row lies under the one above it.
    for (let y = sheet.y + sheet.height + r; y > sheet.y - r; y -= r / 2, shifted = !shifted) {
      const [rim, body, inner] = [new PathBuilder(), new PathBuilder(), new PathBuilder()]
      for (let x = first; x < sheet.x + sheet.width + width; x += width) {
        const cx = x + (shifted ? r : 0)
        rim.circle(cx, y, r)
        body.circle(cx, y, r * 0.93)
        inner.circle(cx, y, r * 0.55)
      }
      out.push(filled(rim.build(), light), filled(body.build(), ground), filled(inner.build(), accent))
    }
    return out
  },
}
