import { fields } from '../../../trade'
import { evenly } from '../../evenly'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, toneControl, toneField, within } from '../../ruling'

const { shape } = fields

/** Of triangles with equal sides, one of them upright: how far apart upright lines are, and how the others slope. */
const APART = Math.sqrt(3) / 2
const SLOPE = 1 / Math.sqrt(3)

/** Upright lines and two that slope, for drawing in three directions; the same seen through the leaf. */
export const isometric = aKind<{ side: number; tone: number }, undefined>({
  id: 'isometric',
  name: 'Isometric',
  says: 'triangles to draw bodies in',
  family: 'rulings',
  schema: () => shape({ side: lengthField(), tone: toneField() }),
  plain: { side: 18, tone: 0.3 },
  sentence: 'Triangles with sides of {side}, {tone} dark.',
  controls: { side: lengthControl('Side of a triangle', 8, 72), tone: toneControl },
  alike: true,
  make: () => undefined,
  draw({ out, params: { side, tone }, room: { width, height: whole }, top }) {
    const height = whole - top
    const lines = new Lines()
    const upright = evenly(width, side * APART)
    for (let i = 0; i <= upright.count; i++) lines.down(upright.start + i * side * APART, top, whole)
    // Sloping lines meet where the middle upright line, or the one that would be there, is divided.
    const odd = upright.count % 2 ? side / 2 : 0
    const reach = Math.ceil((height + width * SLOPE) / side)
    for (let k = -reach; k <= reach; k++)
      for (const slope of [SLOPE, -SLOPE]) {
        const ends = within([width / 2, height / 2 + odd / 2 + k * side], slope, { width, height })
        if (ends) lines.along(ends.map(([x, y]) => [x, y + top] as const))
      }
    lines.into(out, tone)
  },
})
