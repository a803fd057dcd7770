import { PathBuilder } from '../../marks'
import { filled, type MotifKind } from './kind'

export const stripes: MotifKind = {
  name: 'stripes',
  says: '{kind}, {width} wide, leaning {lean}°',
  values: {
    width: { least: 0.01, most: 0.3, usual: 0.06, share: true },
    lean: { least: -60, most: 60, usual: 0 },
  },
  colours: { accent: 'stripes' },
  draw: ({ sheet, front, accent, length, value }) => {
    const width = length('width')
    const slip = Math.tan((value('lean') * Math.PI) / 180) * sheet.height
    const p = new PathBuilder()
    // They are counted from the front's own left edge, so that a wider spine moves none of them there.
    const first = front.x - Math.ceil((front.x - sheet.x + Math.abs(slip)) / (2 * width)) * 2 * width
    for (let x = first; x < sheet.x + sheet.width + Math.abs(slip); x += 2 * width)
      p.move(x + slip / 2, sheet.y)
        .line(x + width + slip / 2, sheet.y)
        .line(x + width - slip / 2, sheet.y + sheet.height)
        .line(x - slip / 2, sheet.y + sheet.height)
        .close()
    return [filled(p.build(), accent)]
  },
}
