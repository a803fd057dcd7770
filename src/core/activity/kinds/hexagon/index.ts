import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, toneControl, toneField } from '../../ruling'

const { shape } = fields

/** Half the height of a cell by its side. */
const HALF = Math.sqrt(3) / 2

/** A comb of cells with six sides, an odd number of columns: it is the same seen through the leaf. */
export const hexagon = aKind<{ side: number; tone: number }, undefined>({
  id: 'hexagon',
  name: 'Hexagons',
  says: 'cells of six sides, for maps and molecules',
  family: 'rulings',
  schema: () => shape({ side: lengthField(), tone: toneField() }),
  plain: { side: 14.4, tone: 0.3 },
  sentence: 'Cells with sides of {side}, {tone} dark.',
  controls: { side: lengthControl('Side of a cell', 6, 72), tone: toneControl },
  alike: true,
  make: () => undefined,
  draw({ out, params: { side, tone }, room, top }) {
    const high = 2 * HALF * side
    const fit = Math.floor((room.width - side / 2) / (1.5 * side) + 1e-6)
    const cols = fit % 2 ? fit : fit - 1
    // Every other column stands half a cell lower.
    const rows = Math.floor((room.height - top - (cols > 1 ? high / 2 : 0)) / high + 1e-6)
    if (cols < 1 || rows < 1) return
    const [width, height] = [1.5 * side * cols + side / 2, high * rows + (cols > 1 ? high / 2 : 0)]
    const [x0, y0] = [(room.width - width) / 2, top + (room.height - top - height) / 2]
    const lines = new Lines()
    for (let c = 0; c < cols; c++)
      for (let r = 0; r < rows; r++) {
        const [x, y] = [x0 + side + 1.5 * side * c, y0 + high * (r + 0.5 + (c % 2) / 2)]
        const corner = (k: number): readonly [number, number] => [
          x + side * Math.cos((k * Math.PI) / 3),
          y + side * Math.sin((k * Math.PI) / 3),
        ]
        lines.along([0, 1, 2, 3, 4, 5, 6].map(corner))
      }
    lines.into(out, tone)
  },
})
