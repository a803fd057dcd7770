import { fields, seeded } from '../../../trade'
import { aKind } from '../../kind'
import { Lines, toneControl, toneField } from '../../ruling'

const { amount, one, shape, whole } = fields

interface ComicValues {
  rows: number
  most: number
  pages: 'same' | 'varied'
  gutter: number
  line: number
  tone: number
}

/** The shares that frames of a row may have: even ones, or one that is larger. */
const SHARES: Record<number, number[][]> = {
  1: [[1]],
  2: [
    [1, 1],
    [3, 2],
    [2, 3],
  ],
  3: [
    [1, 1, 1],
    [2, 1, 1],
    [1, 2, 1],
    [1, 1, 2],
  ],
  4: [[1, 1, 1, 1]],
}
/** Heights of rows of a varied page: all alike, or one that is higher. */
const HIGHER = 1.7

/** A page of frames: for each row its height and its frames' widths, as shares. */
interface Frames {
  height: number
  widths: number[]
}

/** Frames to draw a story in, no two pages divided alike. */
export const comic = aKind<ComicValues, Frames[][]>({
  id: 'comic',
  name: 'Comic frames',
  says: 'frames of many sizes for a drawn story',
  family: 'rulings',
  schema: () =>
    shape({
      rows: whole(1, 6).required(),
      most: whole(1, 4).required(),
      pages: one('same', 'varied').required(),
      gutter: amount(1, 40).required(),
      line: amount(0.25, 6).required(),
      tone: toneField(),
    }) as never,
  plain: { rows: 3, most: 3, pages: 'varied', gutter: 9, line: 1.5, tone: 1 },
  sentence: '{rows} rows of up to {most} frames, {pages}, {gutter} between them, lines {line} thick, {tone} dark.',
  controls: {
    rows: { as: 'count', says: 'Rows', least: 1, most: 6 },
    most: { as: 'count', says: 'Most frames in a row', least: 1, most: 4 },
    pages: {
      as: 'choice',
      says: 'How pages are divided',
      choices: [
        { value: 'varied', words: 'each page divided otherwise' },
        { value: 'same', words: 'all pages alike' },
      ],
    },
    gutter: { as: 'length', says: 'Between frames', least: 3, most: 24, step: 0.5 },
    line: { as: 'length', says: 'Thickness of lines', least: 0.5, most: 4, step: 0.25 },
    tone: toneControl,
  },
  alike: false,
  make({ params: { rows, most, pages }, seed, count }) {
    const chance = seeded(seed)
    const one = (): Frames[] => {
      const higher = pages === 'varied' && chance() < 0.6 ? Math.floor(chance() * rows) : -1
      return Array.from({ length: rows }, (_, i) => {
        const frames = pages === 'same' ? most : 1 + Math.floor(chance() * most)
        const of = SHARES[frames]!
        const widths = pages === 'same' ? of[0]! : of[Math.floor(chance() * of.length)]!
        return { height: i === higher ? HIGHER : 1, widths }
      })
    }
    const first = one()
    return Array.from({ length: count }, (_, i) => (i && pages === 'varied' ? one() : first))
  },
  draw({ out, made, index, params: { gutter, line, tone }, room, top }) {
    const lines = new Lines(line)
    const rows = made[index]!
    const whole = rows.reduce((n, r) => n + r.height, 0)
    const high = room.height - top - line - gutter * (rows.length - 1)
    let y = top + line / 2
    for (const { height, widths } of rows) {
      const shares = widths.reduce((n, w) => n + w, 0)
      const wide = room.width - line - gutter * (widths.length - 1)
      const tall = Math.max(0, (high * height) / whole)
      let x = line / 2
      for (const share of widths) {
        const width = Math.max(0, (wide * share) / shares)
        lines.box(x, y, width, tall)
        x += width + gutter
      }
      y += tall + gutter
    }
    lines.into(out, tone)
  },
})
