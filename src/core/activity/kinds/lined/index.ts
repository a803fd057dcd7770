import { fields } from '../../../trade'
import { evenly } from '../../evenly'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, toneControl, toneField } from '../../ruling'

const { shape } = fields

/** Lines to write on. They stand at the same heights on both sides of a leaf. */
export const lined = aKind<{ spacing: number; tone: number }, undefined>({
  id: 'lined',
  name: 'Lined',
  says: 'lines to write on',
  family: 'rulings',
  schema: () => shape({ spacing: lengthField(), tone: toneField() }),
  plain: { spacing: 20, tone: 0.35 },
  sentence: 'Lines {spacing} apart, {tone} dark.',
  controls: {
    spacing: lengthControl('Between lines', 8, 72),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { spacing, tone }, room, top }) {
    const { count, start } = evenly(room.height - top, spacing)
    const lines = new Lines()
    for (let i = 0; i <= count; i++) lines.across(0, room.width, top + start + i * spacing)
    lines.into(out, tone)
  },
})
