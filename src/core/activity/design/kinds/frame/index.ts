import { fields } from '../../../../trade'
import { rounded } from '../../../looks/frame'
import { toneControl, toneField } from '../../../ruling'
import { aDesign } from '../../kind'

const { amount, shape } = fields

interface FrameValues {
  line: number
  round: number
  fill: number
  tone: number
}

/** A box to stand around other pieces, or behind them. */
export const frame = aDesign<FrameValues>({
  id: 'frame',
  name: 'Frame',
  schema: () =>
    shape({
      line: amount(0, 8).required(),
      round: amount(0, 100).required(),
      fill: amount(0, 1).required(),
      tone: toneField(),
    }) as never,
  plain: { line: 1, round: 8, fill: 0, tone: 1 },
  size: { width: 1, height: 0.3 },
  sentence: 'A frame {line} thick and {tone} dark, corners round by {round}, filled by {fill}.',
  controls: {
    line: { as: 'length', says: 'Thickness', least: 0, most: 6, step: 0.25 },
    round: { as: 'length', says: 'Roundness of its corners', least: 0, most: 60, step: 1 },
    fill: { as: 'share', says: 'Tone within', least: 0, most: 1, step: 0.05 },
    tone: toneControl,
  },
  draw({ out, params: { line, round, fill, tone }, width, height }) {
    const path = rounded(line / 2, line / 2, Math.max(1, width - line), Math.max(1, height - line), round).build()
    if (fill) out.add({ kind: 'path', path, fill: { k: fill } })
    if (line) out.add({ kind: 'path', path, stroke: { colour: { k: tone }, width: line } })
  },
})
