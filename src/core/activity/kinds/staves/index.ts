import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, stacked, toneControl, toneField } from '../../ruling'

const { one, shape } = fields

/** Staves to write music on, or six lines for the strings of a guitar; they fill the page evenly. */
export const staves = aKind<{ lines: '5' | '6' | '4'; space: number; gap: number; tone: number }, undefined>({
  id: 'staves',
  name: 'Staves',
  says: 'lines for notes, or for strings',
  family: 'rulings',
  schema: () =>
    shape({
      lines: one('5', '6', '4').required(),
      space: lengthField(),
      gap: lengthField(),
      tone: toneField(),
    }) as never,
  plain: { lines: '5', space: 6, gap: 26, tone: 0.6 },
  sentence: 'Staves of {lines}, {space} from line to line, at least {gap} between them, {tone} dark.',
  controls: {
    lines: {
      as: 'choice',
      says: 'Lines of a stave',
      choices: [
        { value: '5', words: 'five lines' },
        { value: '6', words: 'six strings' },
        { value: '4', words: 'four strings' },
      ],
    },
    space: lengthControl('From line to line', 4, 24),
    gap: lengthControl('Between staves', 8, 144),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { lines: count, space, gap, tone }, room, top }) {
    const high = (Number(count) - 1) * space
    const lines = new Lines()
    for (const y of stacked(room.height - top, high, gap)) {
      for (let i = 0; i < Number(count); i++) lines.across(0, room.width, top + y + i * space)
      lines.down(0, top + y, top + y + high).down(room.width, top + y, top + y + high)
    }
    lines.into(out, tone)
  },
})
