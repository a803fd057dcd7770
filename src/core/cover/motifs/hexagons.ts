import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

/** Shades between the two colours of the cells. */
const SHADES = 5

export const hexagons: MotifKind = {
  name: 'cells',
  says: '{kind}, {size} wide',
  values: { size: { least: 0.03, most: 0.4, usual: 0.13, share: true } },
  colours: { accent: 'cells', light: 'lit cells' },
  scattered: true,
  draw: ({ sheet, front, ground, accent, light, length, chance }) => {
    const width = length('size')
    const r = (width / Math.sqrt(3)) * 0.93
    const step = (width * Math.sqrt(3)) / 2
    const first = front.x - Math.ceil((front.x - sheet.x) / width) * width
    const shades = Array.from({ length: SHADES + 1 }, () => new PathBuilder())
    let shifted = false
    for (let y = sheet.y; y < sheet.y + sheet.height + width; y += step, shifted = !shifted)
      for (let x = first - width / 2; x < sheet.x + sheet.width + width; x += width) {
        const by = chance()
        // A few are lit; of the others some stay as the ground is.
        const shade = by > 0.93 ? SHADES : Math.floor(by * SHADES)
        if (shade > 0) cell(shades[shade]!, x + (shifted ? width / 2 : 0), y, r)
      }
    return shades.flatMap((p, i) =>
      i ? [filled(p.build(), i === SHADES ? light : mix(ground, accent, i / (SHADES - 1)))] : [],
    )
  },
}

function cell(p: PathBuilder, x: number, y: number, r: number): void {
  for (let k = 0; k < 6; k++) {
    const a = ((k + 0.5) * Math.PI) / 3
    const [px, py] = [x + r * Math.cos(a), y + r * Math.sin(a)]
    if (k) p.line(px, py)
    else p.move(px, py)
  }
  p.close()
}
