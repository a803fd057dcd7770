import { fields } from '../../../trade'
import { HAIRLINE } from '../../evenly'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, toneControl, toneField } from '../../ruling'

const { amount, shape } = fields

/** Lines for notes, a column beside them for what to ask oneself, a space below for the sum of it. */
export const cornell = aKind<{ spacing: number; cue: number; foot: number; tone: number }, undefined>({
  id: 'cornell',
  name: 'Cornell notes',
  says: 'notes, questions beside them, a summary below',
  family: 'rulings',
  schema: () =>
    shape({ spacing: lengthField(), cue: amount(0.1, 0.6).required(), foot: lengthField(), tone: toneField() }),
  plain: { spacing: 20, cue: 0.3, foot: 100, tone: 0.4 },
  sentence: 'Lines {spacing} apart, {cue} of the width beside them, {foot} below for a summary, {tone} dark.',
  controls: {
    spacing: lengthControl('Between lines', 8, 72),
    cue: { as: 'share', says: 'Column beside the notes', least: 0.1, most: 0.6, step: 0.05 },
    foot: lengthControl('Summary', 20, 300),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { spacing, cue, foot, tone }, room: { width, height }, top }) {
    const [strong, fine] = [new Lines(HAIRLINE * 2), new Lines()]
    // The summary takes what whole lines leave.
    const count = Math.max(1, Math.floor((height - foot - top) / spacing))
    const end = Math.min(height, top + count * spacing)
    const x = width * cue
    strong.across(0, width, end).down(x, top, end)
    for (let i = 1; i < count; i++) fine.across(x, width, top + i * spacing)
    fine.into(out, tone)
    strong.into(out, tone)
  },
})
