import { fields } from '../../../trade'
import { evenly, HAIRLINE } from '../../evenly'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, toneControl, toneField } from '../../ruling'

const { one, shape } = fields

/** Squares, every fifth or tenth line of them stronger; square lies on square through the leaf. */
export const graph = aKind<{ spacing: number; tone: number; strong: 'none' | '5' | '10' }, undefined>({
  id: 'graph',
  name: 'Graph',
  says: 'squares to draw and reckon in',
  family: 'rulings',
  schema: () =>
    shape({ spacing: lengthField(), tone: toneField(), strong: one('none', '5', '10').required() }) as never,
  plain: { spacing: 14.4, tone: 0.3, strong: 'none' },
  sentence: 'Squares of {spacing}, {tone} dark, {strong} stronger.',
  controls: {
    spacing: lengthControl('Side of a square', 6, 72),
    tone: toneControl,
    strong: {
      as: 'choice',
      says: 'Stronger lines',
      choices: [
        { value: 'none', words: 'no line' },
        { value: '5', words: 'every fifth line' },
        { value: '10', words: 'every tenth line' },
      ],
    },
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { spacing, tone, strong }, room, top }) {
    const across = evenly(room.width, spacing)
    const down = evenly(room.height - top, spacing)
    const [width, height] = [across.count * spacing, down.count * spacing]
    const [fine, heavy] = [new Lines(), new Lines(HAIRLINE * 2)]
    // Counted from the middle, so that both sides of a leaf agree.
    const linesFor = (i: number, count: number): Lines =>
      strong !== 'none' && Math.abs(i - count / 2) % Number(strong) < 0.6 ? heavy : fine
    for (let i = 0; i <= across.count; i++)
      linesFor(i, across.count).down(across.start + i * spacing, top + down.start, top + down.start + height)
    for (let i = 0; i <= down.count; i++)
      linesFor(i, down.count).across(across.start, across.start + width, top + down.start + i * spacing)
    fine.into(out, tone)
    heavy.into(out, tone)
  },
})
