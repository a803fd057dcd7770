import { PathBuilder } from '../../../marks'
import { fields } from '../../../trade'
import { evenly } from '../../evenly'
import { aKind } from '../../kind'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'

const { shape } = fields

/** Radius of a dot, points. */
const DOT = 0.55

/** A grid of dots, symmetric across: dot lies on dot through the leaf. */
export const dot = aKind<{ spacing: number; tone: number }, undefined>({
  id: 'dot',
  name: 'Dot grid',
  says: 'a grid of dots',
  family: 'rulings',
  schema: () => shape({ spacing: lengthField(), tone: toneField() }),
  plain: { spacing: 14.4, tone: 0.45 },
  sentence: 'Dots {spacing} apart both ways, {tone} dark.',
  controls: {
    spacing: lengthControl('Between dots', 8, 72),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { spacing, tone }, room, top }) {
    // Dots stand on the room's edges, not over them.
    const across = evenly(room.width - 2 * DOT, spacing)
    const down = evenly(room.height - top - 2 * DOT, spacing)
    const dots = new PathBuilder()
    for (let j = 0; j <= down.count; j++)
      for (let i = 0; i <= across.count; i++)
        dots.circle(DOT + across.start + i * spacing, top + DOT + down.start + j * spacing, DOT)
    out.add({ kind: 'path', path: dots.build(), fill: { k: tone } })
  },
})
