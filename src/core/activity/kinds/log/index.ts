import { PathBuilder } from '../../../marks'
import { fields } from '../../../trade'
import { setFrag } from '../../../type'
import { evenly, HAIRLINE } from '../../evenly'
import { aKind } from '../../kind'

const { amount, list, shape, text } = fields

/** A column of a log table: its heading and its share of the width. */
export interface LogColumn {
  name: string
  share: number
}

interface LogParams {
  /** Height of a row, points. */
  spacing: number
  tone: number
  columns: LogColumn[]
}

/** Heads of columns, points. */
const COLUMN = { size: 8.5, least: 6.5, height: 20, pad: 4 }

/** A table to write into: columns by share, rows of one height, a headed first row. */
export const log = aKind<LogParams, undefined>({
  id: 'log',
  name: 'Log table',
  says: 'a table with your own columns',
  family: 'sheets',
  schema: () =>
    shape({
      spacing: amount(4, 400).required(),
      tone: amount(0, 1).required(),
      columns: list(shape({ name: text(200).defined(), share: amount(0.01, 1000).required() }), 60)
        .min(1, '${path} has no entry')
        .required(),
    }) as never,
  plain: {
    spacing: 22,
    tone: 0.5,
    columns: [
      { name: 'Date', share: 1 },
      { name: 'What', share: 3 },
      { name: 'Notes', share: 3 },
    ],
  },
  sentence: 'Rows {spacing} high, ruled {tone} dark, under {columns}.',
  controls: {
    spacing: { as: 'length', says: 'Height of a row', least: 8, most: 72, step: 0.5 },
    tone: { as: 'share', says: 'Tone', least: 0.1, most: 1, step: 0.05 },
    columns: { as: 'columns', says: 'Columns', most: 12 },
  },
  alike: true,
  make: () => undefined,
  async draw({ out, params: { spacing, tone, columns }, room, top, place, styleOf }) {
    const whole = columns.reduce((n, c) => n + c.share, 0)
    const rows = evenly(room.height - top - COLUMN.height, spacing)
    const y0 = top + rows.start * 2
    const foot = y0 + COLUMN.height + rows.count * spacing
    const lines = new PathBuilder()
    lines.rect(0, y0, room.width, HAIRLINE * 2)
    for (let i = 0; i <= rows.count; i++)
      lines.rect(0, y0 + COLUMN.height + i * spacing - HAIRLINE / 2, room.width, HAIRLINE)
    // In a column too narrow for its padding the words get half of it.
    const roomOf = (c: LogColumn): number => {
      const width = (c.share / whole) * room.width
      return Math.max(width / 2, width - 2 * COLUMN.pad)
    }
    const full = await styleOf('figtree/bold', COLUMN.size)
    // Where one heading is wider than its column all are set smaller alike; below the least size a long one is set narrower.
    const fits = columns.map(c => roomOf(c) / Math.max(1, full.frag(c.name || ' ').width))
    const size = Math.max(COLUMN.least, COLUMN.size * Math.min(1, ...fits))
    const style = await styleOf('figtree/bold', size)
    let x = 0
    for (const [i, c] of columns.entries()) {
      const width = (c.share / whole) * room.width
      if (i) lines.rect(x - HAIRLINE / 2, y0, HAIRLINE, foot - y0)
      if (c.name) {
        const words = style.frag(c.name)
        const narrowed = Math.min(1, roomOf(c) / words.width)
        setFrag(out, words, {
          x: x + (width - roomOf(c)) / 2,
          y: y0 + COLUMN.height - 6,
          place,
          scale: narrowed,
        })
      }
      x += width
    }
    out.add({ kind: 'path', path: lines.build(), fill: { k: tone } })
  },
})
