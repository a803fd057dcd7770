import { fields } from '../../../trade'
import { type Day, dateNames, daysInMonth, monthBegin, onDate, weekBegin, weekdayOf, yearOf } from '../../dates'
import { aKind, type DrawnPage } from '../../kind'
import { pageWords } from '../../../words'
import {
  type Dates,
  datesOf,
  firstOf,
  languageOf,
  plannerControls,
  plannerFields,
  plannerPlain,
  type PlannerValues,
} from '../../planner'
import { below, beside, type Box, type Sheet, sheetOn } from '../../sheet'

const { one, shape } = fields

interface YearValues extends PlannerValues {
  shows: 'months' | 'days' | 'squares'
}

const MOST = 20

/** A year on a page: its months as small calendars, all its days to plan in, or a square a day to colour. */
export const year = aKind<YearValues, Dates | undefined>({
  id: 'year',
  name: 'Years',
  says: 'small calendars, a line or a square for each day',
  family: 'dates',
  schema: () => shape({ ...plannerFields(MOST), shows: one('months', 'days', 'squares').required() }) as never,
  plain: { ...plannerPlain, from: '2027-01-01', count: 1, shows: 'months' },
  sentence:
    '{count} years {dated}[dated=dated: from {from}], as {shows}, weeks beginning on {starts}, in {language}[dated=dated:, with {holidays}], {tone} dark.',
  controls: {
    ...(plannerControls('years', MOST) as never as Record<keyof PlannerValues, never>),
    shows: {
      as: 'choice',
      says: 'What a year shows',
      choices: [
        { value: 'months', words: 'twelve small calendars' },
        { value: 'days', words: 'a line for each day' },
        { value: 'squares', words: 'a square for each day, to colour by mood' },
      ],
    },
  },
  alike: false,
  pagesFor: ({ count, shows }) => count * (shows === 'days' ? 2 : 1),
  begins: ({ shows }) => (shows === 'days' ? 'verso' : undefined),
  make: ({ params, language }) => datesOf(params, 'month', { days: 366 * params.count, language }),
  async draw(page) {
    const { params, index, made, room, top, language } = page
    const words = pageWords(languageOf(params, language))
    const sheet = await sheetOn(page, params.tone)
    const nth = params.shows === 'days' ? Math.floor(index / 2) : index
    const first = made ? monthBegin(made.first, 12 * nth) : undefined
    const y = top + sheet.size * 2
    if (first === undefined) sheet.field('year', words.year, { x: 0, y, width: room.width * 0.4 })
    else sheet.words(spanOf(first), { x: room.width / 2, y, align: 'centre' }, 'head', 1.4)
    const head = sheet.size * 3.4
    const body: Box = { x: 0, y: top + head, width: room.width, height: room.height - top - head }
    if (params.shows === 'squares') squares(sheet, page, body, first)
    else if (params.shows === 'days') dayLines(sheet, page, body, first)
    else {
      const across = room.width > room.height ? 4 : 3
      for (const [r, row] of below(body, Array<number>(12 / across).fill(1), sheet.size * 1.2).entries())
        for (const [c, box] of beside(row, Array<number>(across).fill(1), sheet.size * 1.6).entries())
          sheet.piece('month', own => small(own, page, box, { first, month: r * across + c }))
    }
    sheet.done()
  },
})

type Page = DrawnPage<YearValues, Dates | undefined>

/** "2027", or the two years that twelve months from another than January lie in. */
function spanOf(first: Day): string {
  const [from, to] = [yearOf(first), yearOf(monthBegin(first, 11))]
  return from === to ? String(from) : `${from} – ${to}`
}

/** The first of a month of a page; of a year without dates, of one that is like many. */
const beginOf = (first: Day | undefined, month: number): Day => monthBegin(first ?? onDate(2026, 0, 1), month)

/** Days of a month of a page; a year without dates has room for a leap day. */
const daysOf = (first: Day | undefined, month: number): number =>
  first === undefined && month === 1 ? 29 : daysInMonth(beginOf(first, month))

/** A month as a small calendar. */
function small(
  sheet: Sheet,
  { params, made, language }: Page,
  { x, y, width, height }: Box,
  of: { first: Day | undefined; month: number },
): void {
  const names = dateNames(languageOf(params, language))
  const begin = beginOf(of.first, of.month)
  sheet.words(names.month(begin), { x, y: y + sheet.size * 1.2, width }, 'head')
  const [wide, high] = [width / 7, (height - sheet.size * 1.8) / 7]
  const start = weekBegin(begin, firstOf(params))
  const at = (column: number, row: number) =>
    ({
      x: x + (column + 0.5) * wide,
      y: y + sheet.size * 1.8 + (row + 0.75) * high,
      width: wide,
      align: 'centre',
    }) as const
  for (let c = 0; c < 7; c++) sheet.words(names.weekday(start + c, 'narrow'), at(c, 0), 'label', 0.85)
  sheet.fine.across(x, x + width, y + sheet.size * 1.8 + high)
  if (of.first === undefined) return
  for (let i = 0; i < daysInMonth(begin); i++) {
    const cell = begin - start + i
    const marked = made?.holidays.has(begin + i) || weekdayOf(begin + i) === 0
    sheet.words(String(i + 1), at(cell % 7, 1 + Math.floor(cell / 7)), marked ? 'bold' : 'label', 0.85)
  }
}

/** Half a year on a page: a column a month, a line a day. */
function dayLines(sheet: Sheet, page: Page, body: Box, first: Day | undefined): void {
  beside(body, [1, 1, 1, 1, 1, 1], sheet.size * 0.6).forEach((box, i) =>
    sheet.piece('month', own => monthLines(own, page, box, { first, month: (page.index % 2) * 6 + i })),
  )
}

/** A month as a line a day. */
function monthLines(
  sheet: Sheet,
  { params, made, language }: Page,
  box: Box,
  { first, month }: { first: Day | undefined; month: number },
): void {
  const names = dateNames(languageOf(params, language))
  const begin = beginOf(first, month)
  sheet.words(names.month(begin, 'long'), { x: box.x, y: box.y + sheet.size, width: box.width }, 'bold')
  const head = sheet.size * 1.5
  sheet.strong.across(box.x, box.x + box.width, box.y + head)
  const high = (box.height - head) / 31
  const days = daysOf(first, month)
  for (let d = 0; d < days; d++) {
    const foot = box.y + head + (d + 1) * high
    const day = begin + d
    sheet.fine.across(box.x, box.x + box.width, foot)
    const rest = first !== undefined && (weekdayOf(day) === 0 || made?.holidays.has(day))
    if (rest) sheet.tint({ x: box.x, y: foot - high, width: box.width, height: high })
    const letter = first === undefined ? '' : names.weekday(day, 'narrow')
    const wide = sheet.widthOf('30', 'label', 0.85) + 3
    sheet.words(String(d + 1), { x: box.x + wide - 3, y: foot - high * 0.28, align: 'right' }, 'label', 0.85)
    sheet.words(letter, { x: box.x + wide, y: foot - high * 0.28 }, rest ? 'bold' : 'label', 0.85)
  }
}

/** A square a day, months across, days down. */
function squares(sheet: Sheet, { params, language }: Page, body: Box, first: Day | undefined): void {
  const names = dateNames(languageOf(params, language))
  const words = pageWords(languageOf(params, language))
  const key = sheet.size * 4
  const margin = sheet.size * 2
  const heads = sheet.size * 1.6
  const side = Math.min((body.width - margin) / 12, (body.height - heads - key) / 31)
  const left = body.x + (body.width - margin - 12 * side) / 2 + margin
  const y0 = body.y + heads
  for (let m = 0; m < 12; m++) {
    const begin = beginOf(first, m)
    const at = { x: left + (m + 0.5) * side, y: body.y + sheet.size, width: side - 1, align: 'centre' as const }
    sheet.words(names.month(begin, side > 4 * sheet.size ? 'short' : 'narrow'), at, 'bold')
    const days = daysOf(first, m)
    for (let d = 0; d < days; d++) {
      sheet.fine.across(left + m * side, left + (m + 1) * side, y0 + d * side)
      sheet.fine.down(left + m * side, y0 + d * side, y0 + (d + 1) * side)
      sheet.fine.down(left + (m + 1) * side, y0 + d * side, y0 + (d + 1) * side)
    }
    sheet.fine.across(left + m * side, left + (m + 1) * side, y0 + days * side)
  }
  for (let d = 0; d < 31; d++) {
    const at = { x: left - sheet.size * 0.5, y: y0 + (d + 0.7) * side, align: 'right' as const }
    sheet.words(String(d + 1), at, 'label', 0.85)
  }
  const foot = body.y + body.height
  sheet.words(words.mood, { x: body.x, y: foot - sheet.size * 2.2 }, 'bold')
  beside({ ...body, y: foot, height: 0 }, [1, 1, 1, 1, 1], sheet.size).forEach(box => {
    sheet.fine.box(box.x + 0.5, foot - sheet.size * 1.3, sheet.size, sheet.size)
    sheet.fine.across(box.x + sheet.size * 1.6, box.x + box.width, foot - 1)
  })
}
