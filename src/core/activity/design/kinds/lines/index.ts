import { fields } from '../../../../trade'
import { lengthControl, lengthField, Lines, toneControl, toneField } from '../../../ruling'
import { aDesign } from '../../kind'

const { one, shape } = fields

interface LineValues {
  draws: 'lines' | 'dots' | 'squares'
  spacing: number
  tone: number
}

const DOT = 1.2

/** Room to write or draw: lines, dots or squares that fill their box from its foot. */
export const lines = aDesign<LineValues>({
  id: 'lines',
  name: 'Room to write',
  schema: () =>
    shape({ draws: one('lines', 'dots', 'squares').required(), spacing: lengthField(), tone: toneField() }) as never,
  plain: { draws: 'lines', spacing: 22, tone: 0.35 },
  size: { width: 1, height: 0.3 },
  sentence: 'Room with {draws}, {spacing} apart, {tone} dark.',
  controls: {
    draws: {
      as: 'choice',
      says: 'What is drawn',
      choices: [
        { value: 'lines', words: 'lines' },
        { value: 'dots', words: 'dots' },
        { value: 'squares', words: 'squares' },
      ],
    },
    spacing: lengthControl('Apart', 8, 60),
    tone: toneControl,
  },
  draw({ out, params: { draws, spacing, tone }, width, height }) {
    const ruled = new Lines(draws === 'dots' ? DOT : undefined)
    const [across, down] = [Math.floor(width / spacing + 1e-6), Math.floor(height / spacing + 1e-6)]
    const [x0, y0] = [(width - across * spacing) / 2, height - down * spacing]
    for (let i = 0; i <= down; i++) {
      const y = y0 + i * spacing
      if (draws === 'lines') ruled.across(0, width, y)
      else if (draws === 'squares') ruled.across(x0, width - x0, y)
      else for (let j = 0; j <= across; j++) ruled.across(x0 + j * spacing - DOT / 2, x0 + j * spacing + DOT / 2, y)
    }
    if (draws === 'squares') for (let j = 0; j <= across; j++) ruled.down(x0 + j * spacing, y0, height)
    ruled.into(out, tone)
  },
})
