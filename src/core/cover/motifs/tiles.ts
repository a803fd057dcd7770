import { PathBuilder } from '../../marks'
import { filled, type MotifKind } from './kind'

export const tiles: MotifKind = {
  name: 'tiles',
  says: '{kind}, {size} wide, laid by chance',
  values: { size: { least: 0.04, most: 0.5, usual: 0.16, share: true } },
  colours: { accent: 'quarters', light: 'quarters between' },
  scattered: true,
  draw: ({ sheet, front, accent, light, length, chance }) => {
    const size = length('size')
    const first = front.x - Math.ceil((front.x - sheet.x) / size) * size
    const [one, other] = [new PathBuilder(), new PathBuilder()]
    for (let y = sheet.y; y < sheet.y + sheet.height; y += size)
      for (let x = first; x < sheet.x + sheet.width; x += size) {
        const turn = Math.floor(chance() * 4)
        quarter(one, x, y, size, turn)
        quarter(other, x, y, size, turn + 2)
      }
    return [filled(one.build(), accent), filled(other.build(), light)]
  },
}

/** A quarter of a disc in a corner of a tile: 0 top left, on clockwise. */

function quarter(p: PathBuilder, x: number, y: number, size: number, corner: number): void {
  const [right, low] = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ][corner % 4]!
  const [cx, cy] = [x + right! * size, y + low! * size]
  const [dx, dy] = [right ? -1 : 1, low ? -1 : 1]
  const r = size * 0.62
  const k = r * 0.5522847498
  p.move(cx, cy)
    .line(cx + dx * r, cy)
    .cubic(cx + dx * r, cy + dy * k, cx + dx * k, cy + dy * r, cx, cy + dy * r)
    .close()
}
