import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { pageWords } from '../../../words'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { below, type Box, type Sheet, sheetOn } from '../../sheet'

const { shape } = fields

interface BudgetValues {
  spacing: number
  tone: number
}

/** Rows that a page takes at least. */
const LEAST_ROWS = 14
/** Shares of a table's width: what it is, planned, actual. */
const COLUMNS = [3, 1, 1]

/** A month's money: what comes in, what goes out, what is left. */
export const budget = aKind<BudgetValues, undefined>({
  id: 'budget',
  name: 'Budget',
  says: 'a month’s money: in, out, left over',
  family: 'sheets',
  schema: () => shape({ spacing: lengthField(), tone: toneField() }),
  plain: { spacing: 18, tone: 0.45 },
  sentence: 'Rows {spacing} high, {tone} dark.',
  controls: { spacing: lengthControl('Height of a row', 12, 36), tone: toneControl },
  alike: true,
  make: () => undefined,
  async draw(page) {
    const { params, room, top, language } = page
    // A small page has room for its heads before all else.
    const spacing = Math.min(params.spacing, (room.height - top) / LEAST_ROWS)
    const words = pageWords(language)
    const sheet = await sheetOn(page, params.tone)
    const head = spacing * 1.8
    sheet.field('month', words.month, { x: 0, y: top + spacing, width: room.width * 0.6 })
    const foot = spacing * 1.4
    const all: Box = { x: 0, y: top + head, width: room.width, height: room.height - top - head - foot }
    const parts = ['income', 'fixed', 'spending'] as const
    below(all, [3, 5, 8], spacing * 0.7).forEach((box, i) =>
      sheet.worded(parts[i]!, words[parts[i]!], (own, said) =>
        table(own, box, [said, words.planned, words.actual], { spacing, total: words.total }),
      ),
    )
    sheet.field('left', words.left, { x: room.width * 0.4, y: room.height - 1, width: room.width * 0.6 })
    sheet.done()
  },
})

function table(
  sheet: Sheet,
  { x, y, width, height }: Box,
  heads: string[],
  { spacing, total }: { spacing: number; total: string },
): void {
  const taken = sheet.size * 1.5
  const whole = COLUMNS.reduce((n, c) => n + c, 0)
  const rows = Math.max(1, Math.floor((height - taken) / spacing + 1e-6))
  const foot = y + taken + rows * spacing
  let at = x
  COLUMNS.forEach((share, i) => {
    const wide = (width * share) / whole
    const align = i ? 'right' : 'left'
    sheet.words(
      heads[i]!,
      { x: i ? at + wide : at, y: y + sheet.size, width: wide - sheet.size, align },
      i ? 'label' : 'bold',
    )
    if (i) sheet.fine.down(at, y + taken, foot)
    at += wide
  })
  sheet.strong.across(x, x + width, y + taken)
  for (let i = 1; i <= rows; i++)
    (i >= rows - 1 ? sheet.strong : sheet.fine).across(x, x + width, y + taken + i * spacing)
  sheet.words(total, { x, y: foot - spacing * 0.32, width: (width * COLUMNS[0]!) / whole - sheet.size }, 'label')
}
