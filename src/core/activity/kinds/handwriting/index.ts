import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { lengthControl, lengthField, Lines, stacked, toneControl, toneField, within } from '../../ruling'

const { one, shape } = fields

/** The middle line is dashed: so long a dash, and as long a gap. */
const DASH = 4
/** Slanted guides stand so far apart, by the height of a line; degrees from upright. */
const APART = 1.2
const SLANTS = { none: 0, little: 10, some: 25, much: 38 } as const

/** Three lines for each line of writing: where tall letters end, where small ones do, and what they stand on. */
export const handwriting = aKind<{ height: number; gap: number; slant: keyof typeof SLANTS; tone: number }, undefined>({
  id: 'handwriting',
  name: 'Handwriting',
  says: 'guides to learn writing between',
  family: 'rulings',
  schema: () =>
    shape({
      height: lengthField(),
      gap: lengthField(),
      slant: one('none', 'little', 'some', 'much').required(),
      tone: toneField(),
    }) as never,
  plain: { height: 34, gap: 20, slant: 'none', tone: 0.5 },
  sentence: 'Lines {height} high with a dashed one in the middle, at least {gap} between them, {slant}, {tone} dark.',
  controls: {
    height: lengthControl('Height of a line', 10, 120),
    gap: lengthControl('Between lines', 4, 120),
    slant: {
      as: 'choice',
      says: 'Slanted guides',
      choices: [
        { value: 'none', words: 'upright' },
        { value: 'little', words: 'with guides that slant a little' },
        { value: 'some', words: 'with guides that slant' },
        { value: 'much', words: 'with guides that slant much' },
      ],
    },
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  draw({ out, params: { height, gap, slant, tone }, room: { width, height: whole }, top }) {
    const [lines, guides] = [new Lines(), new Lines()]
    const slope = SLANTS[slant] && -1 / Math.tan((SLANTS[slant] * Math.PI) / 180)
    for (const y of stacked(whole - top, height, gap)) {
      const head = top + y
      lines.across(0, width, head).across(0, width, head + height)
      for (let x = 0; x < width; x += 2 * DASH) lines.across(x, Math.min(width, x + DASH), head + height / 2)
      if (!slope) continue
      for (let x = height * APART; x < width + height; x += height * APART) {
        const ends = within([x, 0], slope, { width, height })
        if (ends) guides.along(ends.map(([px, py]) => [px, head + py] as const))
      }
    }
    lines.into(out, tone)
    guides.into(out, tone / 2)
  },
})
