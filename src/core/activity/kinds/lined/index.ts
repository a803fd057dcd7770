import { PathBuilder } from '../../../marks'
import { fields } from '../../../trade'
import { evenly, HAIRLINE } from '../../evenly'
import { aKind } from '../../kind'

const { amount, shape } = fields

/** Lines to write on. They stand at the same heights on both sides of a leaf. */
export const lined = aKind<{ spacing: number; tone: number }, undefined>({
  id: 'lined',
  name: 'Lined',
  says: 'lines to write on',
  schema: () => shape({ spacing: amount(4, 400).required(), tone: amount(0, 1).required() }),
  plain: { spacing: 20, tone: 0.35 },
  sentence: 'Lines {spacing} apart, {tone} dark.',
  controls: {
    spacing: { as: 'length', says: 'Between lines', least: 8, most: 72, step: 0.5 },
    tone: { as: 'share', says: 'Tone', least: 0.1, most: 1, step: 0.05 },
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { spacing, tone }, room, top }) {
    const { count, start } = evenly(room.height - top, spacing)
    const lines = new PathBuilder()
    for (let i = 0; i <= count; i++) lines.rect(0, top + start + i * spacing - HAIRLINE / 2, room.width, HAIRLINE)
    out.add({ kind: 'path', path: lines.build(), fill: { k: tone } })
  },
})
