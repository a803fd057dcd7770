import { PathBuilder } from '../../marks'
import { filled, type MotifKind } from './kind'

export const dots: MotifKind = {
  name: 'dots',
  says: '{kind}, {size} wide and {step} apart',
  values: {
    size: { least: 0.004, most: 0.15, usual: 0.025, share: true },
    step: { least: 0.02, most: 0.3, usual: 0.07, share: true },
  },
  colours: { accent: 'dots' },
  draw: ({ sheet, front, accent, length }) => {
    const [r, step] = [length('size') / 2, length('step')]
    const p = new PathBuilder()
    const first = front.x - Math.ceil((front.x - sheet.x) / step) * step
    let shifted = false
    for (let y = sheet.y; y < sheet.y + sheet.height + r; y += step * 0.866, shifted = !shifted)
      for (let x = first - step / 2; x < sheet.x + sheet.width + r; x += step)
        p.circle(x + (shifted ? step / 2 : 0), y, r)
    return [filled(p.build(), accent)]
  },
}
