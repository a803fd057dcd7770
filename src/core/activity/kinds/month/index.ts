import { fields } from '../../../trade'
import {
  type Day,
  dateNames,
  dateOf,
  daysInMonth,
  monthBegin,
  monthOf,
  weekBegin,
  weekdayOf,
  weekNumber,
  yearOf,
  isoOf,
} from '../../dates'
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
import { lengthControl, lengthField } from '../../ruling'
import { beside, type Box, type Sheet, sheetOn } from '../../sheet'

const { one, shape } = fields

interface MonthValues extends PlannerValues {
  on: 'spread' | 'page'
  numbers: 'none' | 'weeks'
  spacing: number
}

const MOST = 60
/** Rows of a month's grid: at least so many, as many as the month takes. */
const LEAST_WEEKS = 5
/** Columns of a month on the left page of a spread; the others and the notes stand on the right one. */
const LEFT = 4

/** A month as a grid of days, on a page or on the two pages of a spread. */
export const month = aKind<MonthValues, Dates | undefined>({
  id: 'month',
  name: 'Months',
  says: 'a month as a grid of days',
  family: 'dates',
  schema: () =>
    shape({
      ...plannerFields(MOST),
      on: one('spread', 'page').required(),
      numbers: one('none', 'weeks').required(),
      spacing: lengthField(),
    }) as never,
  plain: { ...plannerPlain, from: '2027-01-01', count: 12, on: 'page', numbers: 'weeks', spacing: 18 },
  sentence:
    '{count} months {dated}[dated=dated: from {from}], each on {on}, weeks beginning on {starts}[dated=dated:, {numbers}], in {language}[dated=dated:, with {holidays}]. Lines for notes {spacing} apart, {tone} dark.',
  controls: {
    ...(plannerControls('months', MOST) as never as Record<keyof PlannerValues, never>),
    on: {
      as: 'choice',
      says: 'A month on',
      choices: [
        { value: 'page', words: 'one page' },
        { value: 'spread', words: 'two facing pages' },
      ],
    },
    numbers: {
      as: 'choice',
      says: 'Numbers of weeks',
      choices: [
        { value: 'weeks', words: 'with their numbers' },
        { value: 'none', words: 'without numbers' },
      ],
    },
    spacing: lengthControl('Between lines', 12, 36),
  },
  alike: false,
  begins: ({ on }) => (on === 'spread' ? 'verso' : undefined),
  pagesFor: ({ count, on }) => count * (on === 'spread' ? 2 : 1),
  madeFrom: ({ on }, made, index) => {
    const [nth, half] = on === 'spread' ? [Math.floor(index / 2), index % 2] : [index, 0]
    return made && `${isoOf(monthBegin(made.first, nth))}${half ? ' …' : ''}`
  },
  make: ({ params, language }) => datesOf(params, 'month', { days: 31 * params.count, language }),
  async draw(page) {
    const { params, index, made, room, top, language, side } = page
    const tag = languageOf(params, language)
    const [names, words] = [dateNames(tag), pageWords(tag)]
    const sheet = await sheetOn(page, params.tone)
    const spread = params.on === 'spread'
    const half = spread ? index % 2 : undefined
    const begin = made ? monthBegin(made.first, spread ? Math.floor(index / 2) : index) : undefined
    const outer = { x: side === 'recto' ? room.width : 0, align: side === 'recto' ? 'right' : 'left' } as const
    const y = top + sheet.size * 2
    if (begin === undefined) {
      if (half !== 1) sheet.field('month', words.month, { x: 0, y, width: room.width * 0.5 })
    } else if (half === undefined) sheet.words(names.monthYear(begin), { ...outer, y }, 'head', 1.4)
    else sheet.words(half ? String(yearOf(begin)) : names.month(begin), { ...outer, y }, 'head', 1.4)
    const head = sheet.size * 3
    const body: Box = { x: 0, y: top + head, width: room.width, height: room.height - top - head }
    if (half === undefined) {
      const notes = Math.min(body.height * 0.22, 6 * params.spacing)
      gridPiece(sheet, page, { begin, columns: [0, 7], box: { ...body, height: body.height - notes - sheet.size } })
      const under = { ...body, y: body.y + body.height - notes, height: notes }
      sheet.part('notes', words.notes, under, (own, room) => own.rule(room, params.spacing))
    } else if (half === 0) gridPiece(sheet, page, { begin, columns: [0, LEFT], box: body })
    else {
      const [days, notes] = beside(body, [7 - LEFT, 1], 0)
      gridPiece(sheet, page, { begin, columns: [LEFT, 7], box: days! })
      const within = { ...notes!, x: notes!.x + sheet.size, width: notes!.width - sheet.size }
      sheet.part('notes', words.notes, within, (own, room) => own.rule(room, params.spacing))
    }
    sheet.done()
  },
})

type MonthPage = DrawnPage<MonthValues, Dates | undefined>

interface GridOf {
  /** The first of the month; without one the squares have no dates. */
  begin: Day | undefined
  columns: [from: number, to: number]
  box: Box
}

/** The days of a month in rows of weeks, or some of their columns: a piece by itself. */
const gridPiece = (sheet: Sheet, page: MonthPage, of: GridOf): void => sheet.piece('grid', own => grid(own, page, of))

function grid(sheet: Sheet, page: MonthPage, { begin, columns, box }: GridOf): void {
  const { params, made, language } = page
  const names = dateNames(languageOf(params, language))
  const first = begin === undefined ? weekBegin(4, firstOf(params)) : weekBegin(begin, firstOf(params))
  const [from, to] = columns
  const weeks = begin === undefined ? 6 : Math.max(LEAST_WEEKS, Math.ceil((begin - first + daysInMonth(begin)) / 7))
  const numbers = begin !== undefined && params.numbers === 'weeks' && from === 0
  const margin = numbers ? sheet.size * 1.8 : 0
  const heads = sheet.size * 1.6
  const wide = (box.width - margin) / (to - from)
  const high = (box.height - heads) / weeks
  const x = (column: number): number => box.x + margin + (column - from) * wide
  const y = (row: number): number => box.y + heads + row * high
  for (let c = from; c < to; c++) {
    const at = { x: x(c) + wide / 2, y: box.y + sheet.size, width: wide - 2, align: 'centre' as const }
    const long = names.weekday(first + c)
    sheet.words(sheet.widthOf(long, 'bold') < wide - 4 ? long : names.weekday(first + c, 'short'), at, 'bold')
    // The end of a week is tinted, wherever weeks begin.
    if ([0, 6].includes(weekdayOf(first + c))) sheet.tint({ x: x(c), y: y(0), width: wide, height: weeks * high })
  }
  for (let r = 0; r <= weeks; r++) sheet.fine.across(x(from), x(to), y(r))
  for (let c = from; c <= to; c++) sheet.fine.down(x(c), y(0), y(weeks))
  if (begin === undefined) return
  for (let r = 0; r < weeks; r++) {
    const monday = first + 7 * r
    const shown = Array.from({ length: 7 }, (_, c) => monday + c).filter(d => monthOf(d) === monthOf(begin))
    if (numbers && shown.length) {
      const at = { x: box.x + margin - sheet.size * 0.6, y: y(r) + sheet.size * 1.2, align: 'right' as const }
      sheet.words(String(weekNumber(monday + ((4 - weekdayOf(monday) + 7) % 7))), at, 'label', 0.85)
    }
    for (let c = from; c < to; c++) {
      const day = monday + c
      if (monthOf(day) !== monthOf(begin)) continue
      sheet.words(String(dateOf(day)), { x: x(c) + 3, y: y(r) + sheet.size * 1.35 }, 'bold', 1.4)
      const holiday = made?.holidays.get(day)
      if (holiday) sheet.lines(holiday, { x: x(c) + 3, y: y(r + 1) - 4, width: wide - 6, most: 3 }, 'label', 0.85)
    }
  }
}
