import { PathBuilder } from '../../marks'
import { filled, type MotifKind } from './kind'

export const rows: MotifKind = {
  name: 'rows',
  says: '{kind}, {step} apart',
  values: { step: { least: 0.01, most: 0.12, usual: 9 / 432, share: true } },
  colours: { accent: 'rows' },
  draw: ({ sheet, accent, length }) => {
    const step = length('step')
    const p = new PathBuilder()
    for (let y = sheet.y; y < sheet.y + sheet.height; y += step) p.rect(sheet.x, y, sheet.width, step * 0.28)
    return [filled(p.build(), accent)]
  },
}
