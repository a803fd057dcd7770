import { fields } from '../../../trade'
import { HAIRLINE } from '../../evenly'
import { aKind } from '../../kind'
import { Lines, stacked, toneControl, toneField } from '../../ruling'

const { one, shape, whole } = fields

/** Width by height of a frame. */
const RATIOS = { wide: 16 / 9, picture: 4 / 3, square: 1 } as const
/** Between frames side by side, and the least under one; from line to line of what is written below it; points. */
const BESIDE = 14
const BELOW = 16
const LINE = 16

/** Frames to draw a story in, lines under each for what is said. */
export const storyboard = aKind<{ across: number; ratio: keyof typeof RATIOS; lines: number; tone: number }, undefined>(
  {
    id: 'storyboard',
    name: 'Storyboard',
    says: 'frames for a story, lines under each',
    family: 'rulings',
    schema: () =>
      shape({
        across: whole(1, 4).required(),
        ratio: one('wide', 'picture', 'square').required(),
        lines: whole(0, 6).required(),
        tone: toneField(),
      }) as never,
    plain: { across: 2, ratio: 'wide', lines: 2, tone: 0.6 },
    sentence: '{across} frames beside each other, {ratio}, {lines} lines under each, {tone} dark.',
    controls: {
      across: { as: 'count', says: 'Frames beside each other', least: 1, most: 4 },
      ratio: {
        as: 'choice',
        says: 'Shape of a frame',
        choices: [
          { value: 'wide', words: 'wide as a screen' },
          { value: 'picture', words: 'a little wider than high' },
          { value: 'square', words: 'square' },
        ],
      },
      lines: { as: 'count', says: 'Lines under a frame', least: 0, most: 6 },
      tone: toneControl,
    },
    alike: true,
    make: () => undefined,
    draw({ out, params: { across, ratio, lines: count, tone }, room, top }) {
      // Frames stand on the room's edges, not over them.
      const edge = HAIRLINE
      const width = (room.width - 2 * edge - (across - 1) * BESIDE) / across
      if (width <= 0) return
      const high = width / RATIOS[ratio]
      const [frames, fine] = [new Lines(HAIRLINE * 2), new Lines()]
      for (const y of stacked(room.height - top - 2 * edge, high + count * LINE, BELOW))
        for (let i = 0; i < across; i++) {
          const [x, head] = [edge + i * (width + BESIDE), top + edge + y]
          frames.box(x, head, width, high)
          for (let k = 1; k <= count; k++) fine.across(x, x + width, head + high + k * LINE)
        }
      frames.into(out, tone)
      fine.into(out, tone)
    },
  },
)
