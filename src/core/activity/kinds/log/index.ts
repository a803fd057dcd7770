import { fields } from '../../../trade'
import { evenly, HAIRLINE } from '../../evenly'
import { aKind } from '../../kind'
import { Lines } from '../../ruling'
import { type Label, labelsOf } from './labels'

const { amount, list, one, shape, text } = fields

export interface LogColumn {
  name: string
  /** Of the width of its page. */
  share: number
  /** What is counted in it, in small print under its name: "°C". */
  unit?: string
  /** A head over it and those beside it that have the same. */
  under?: string
}

interface LogParams {
  spacing: number
  tone: number
  columns: LogColumn[]
  on?: 'page' | 'spread'
}

/** Height of a line of heads, and what stays free beside them; points. */
const LINE = 20
const UNIT = 11
const PAD = 4

/** A table to write into: columns by share on one page or on two, rows of one height, heads of one, two or three lines. */
export const log = aKind<LogParams, undefined>({
  id: 'log',
  name: 'Log table',
  says: 'a table with your own columns',
  family: 'sheets',
  schema: () =>
    shape({
      spacing: amount(4, 400).required(),
      tone: amount(0, 1).required(),
      on: one('page', 'spread'),
      columns: list(
        shape({
          name: text(200).defined(),
          share: amount(0.01, 1000).required(),
          unit: text(40),
          under: text(200),
        }),
        60,
      )
        .min(1, '${path} has no entry')
        .required(),
    }) as never,
  plain: {
    spacing: 22,
    tone: 0.5,
    on: 'page',
    columns: [
      { name: 'Date', share: 1 },
      { name: 'What', share: 3 },
      { name: 'Notes', share: 3 },
    ],
  },
  sentence: 'Rows {spacing} high, ruled {tone} dark, over {on}, under {columns}.',
  controls: {
    spacing: { as: 'length', says: 'Height of a row', least: 8, most: 72, step: 0.5 },
    tone: { as: 'share', says: 'Tone', least: 0.1, most: 1, step: 0.05 },
    on: {
      as: 'choice',
      says: 'A row over',
      choices: [
        { value: 'page', words: 'one page' },
        { value: 'spread', words: 'two facing pages' },
      ],
    },
    columns: { as: 'columns', says: 'Columns', most: 24 },
  },
  alike: false,
  begins: ({ on }) => (on === 'spread' ? 'verso' : undefined),
  make: () => undefined,
  async draw(page) {
    const { params, index, room, top, out } = page
    const { spacing, tone } = params
    const columns = columnsOn(params, index)
    // Both pages of a spread have heads of one height: their rows are level.
    const has = (key: 'under' | 'unit'): boolean => params.columns.some(c => c[key])
    const upper = has('under') ? LINE * 0.8 : 0
    const heads = upper + LINE + (has('unit') ? UNIT : 0)
    const rows = evenly(room.height - top - heads, spacing)
    const y0 = top + rows.start * 2
    const foot = y0 + heads + rows.count * spacing
    const [fine, strong] = [new Lines(), new Lines(HAIRLINE * 2)]
    // The line over the heads stands within the room.
    strong.across(0, room.width, y0 + HAIRLINE)
    for (let i = 0; i <= rows.count; i++) fine.across(0, room.width, y0 + heads + i * spacing)
    const boxes = boxesOf(columns, room.width)
    boxes.forEach(({ x }, i) => {
      // Columns under one head are parted below it.
      if (i) fine.down(x, sameHead(columns[i - 1]!, columns[i]!) ? y0 + upper : y0, foot)
    })
    const name: Label[] = columns.map((c, i) => ({ words: c.name, ...boxes[i]!, y: y0 + upper + LINE - 6 }))
    await labelsOf(page, name, { pad: PAD, size: 8.5, face: 'figtree/bold' })
    const unit: Label[] = columns.map((c, i) => ({ words: c.unit ?? '', ...boxes[i]!, y: y0 + heads - 5 }))
    await labelsOf(page, unit, { pad: PAD, size: 7.5, face: 'figtree/regular' })
    if (upper) {
      const over = headsOver(columns, boxes)
      for (const { x, width } of over) fine.across(x, x + width, y0 + upper)
      const labels = over.map(o => ({ ...o, y: y0 + upper - 5 }))
      await labelsOf(page, labels, { pad: PAD, size: 8.5, face: 'figtree/bold' })
    }
    fine.into(out, tone)
    strong.into(out, tone)
  },
})

/** The columns of a page: of a spread, those of its first half or those of its second, as near to half the width as they part. */
function columnsOn({ columns, on }: LogParams, index: number): LogColumn[] {
  if (on !== 'spread' || columns.length < 2) return columns
  const whole = columns.reduce((n, c) => n + c.share, 0)
  let [best, left] = [1, 0]
  let nearest = Infinity
  columns.slice(0, -1).forEach((c, i) => {
    left += c.share
    const off = Math.abs(left - whole / 2)
    if (off < nearest) [best, nearest] = [i + 1, off]
  })
  return index % 2 ? columns.slice(best) : columns.slice(0, best)
}

function boxesOf(columns: readonly LogColumn[], width: number): { x: number; width: number }[] {
  const whole = columns.reduce((n, c) => n + c.share, 0)
  let x = 0
  return columns.map(c => {
    const box = { x, width: (c.share / whole) * width }
    x += box.width
    return box
  })
}

const sameHead = (a: LogColumn, b: LogColumn): boolean => !!a.under && a.under === b.under

/** Heads over neighbours that have the same. */
function headsOver(
  columns: readonly LogColumn[],
  boxes: readonly { x: number; width: number }[],
): { words: string; x: number; width: number }[] {
  const heads: { words: string; x: number; width: number }[] = []
  columns.forEach((c, i) => {
    if (i && sameHead(columns[i - 1]!, c)) heads.at(-1)!.width += boxes[i]!.width
    else if (c.under) heads.push({ words: c.under, ...boxes[i]! })
  })
  return heads
}
