import { fields } from '../../../trade'
import { type Day, dateNames, dateOf, isoOf, weekNumber } from '../../dates'
import { aKind, type DrawnPage } from '../../kind'
import { pageWords } from '../../../words'
import {
  type Dates,
  datesOf,
  languageOf,
  plannerControls,
  plannerFields,
  plannerPlain,
  type PlannerValues,
} from '../../planner'
import { lengthControl, lengthField } from '../../ruling'
import { below, beside, type Box, type Sheet, sheetOn } from '../../sheet'

const { one, shape } = fields

interface WeekValues extends PlannerValues {
  on: 'spread' | 'page'
  spacing: number
}

const MOST = 160
/** A day that weeks begin with where they have no dates: a Thursday's week that starts as the values say. */
const ANY_WEEK: Record<WeekValues['starts'], Day> = { monday: 4, sunday: 3, saturday: 2 }

/** A week on a page, or on the two pages of a spread. */
export const week = aKind<WeekValues, Dates | undefined>({
  id: 'week',
  name: 'Weeks',
  says: 'a week on one page or on two',
  family: 'dates',
  schema: () =>
    shape({ ...plannerFields(MOST), on: one('spread', 'page').required(), spacing: lengthField() }) as never,
  plain: { ...plannerPlain, count: 52, on: 'spread', spacing: 18 },
  sentence:
    '{count} weeks {dated}[dated=dated: from {from}], each on {on}, beginning on {starts}, in {language}[dated=dated:, with {holidays}]. Lines {spacing} apart, {tone} dark.',
  controls: {
    ...(plannerControls('weeks', MOST) as never as Record<keyof PlannerValues, never>),
    on: {
      as: 'choice',
      says: 'A week on',
      choices: [
        { value: 'spread', words: 'two facing pages' },
        { value: 'page', words: 'one page' },
      ],
    },
    spacing: lengthControl('Between lines', 12, 36),
  },
  alike: false,
  begins: ({ on }) => (on === 'spread' ? 'verso' : undefined),
  pagesFor: ({ count, on }) => count * (on === 'spread' ? 2 : 1),
  madeFrom: ({ on }, made, index) => {
    const [nth, half] = on === 'spread' ? [Math.floor(index / 2), index % 2] : [index, 0]
    return made && `${isoOf(made.first + 7 * nth)}${half ? ' …' : ''}`
  },
  make: ({ params, language }) => datesOf(params, 'week', { days: 7 * params.count, language }),
  async draw(page) {
    const { params, index, made, room, top } = page
    const sheet = await sheetOn(page, params.tone)
    const spread = params.on === 'spread'
    const nth = spread ? Math.floor(index / 2) : index
    const first = (made?.first ?? ANY_WEEK[params.starts]) + (made ? 7 * nth : 0)
    const half = spread ? index % 2 : undefined
    const head = drawHead(sheet, page, first, half)
    const body: Box = { x: 0, y: top + head, width: room.width, height: room.height - top - head }
    const days = Array.from({ length: 7 }, (_, i) => first + i)
    const gap = params.spacing * 0.6
    if (half === 0) {
      const boxes = below(body, [1, 1, 1], gap)
      days.slice(0, 3).forEach((day, i) => drawDay(sheet, page, day, boxes[i]!))
    } else if (half === 1) {
      const [fourth, fifth, last] = below(body, [1, 1, 1], gap)
      drawDay(sheet, page, days[3]!, fourth!)
      drawDay(sheet, page, days[4]!, fifth!)
      const [sixth, seventh] = beside(last!, [1, 1], gap)
      drawDay(sheet, page, days[5]!, sixth!)
      drawDay(sheet, page, days[6]!, seventh!)
    } else {
      const [main, side] = beside(body, [3, 1.2], params.spacing)
      below(main!, Array<number>(7).fill(1), gap).forEach((box, i) => drawDay(sheet, page, days[i]!, box))
      const words = pageWords(languageOf(params, page.language))
      const [first, toDo, notes] = below(side!, [3, 5, 5], gap)
      sheet.part('first', words.first, first!, (own, room) => own.ticks(room, params.spacing))
      sheet.part('toDo', words.toDo, toDo!, (own, room) => own.ticks(room, params.spacing))
      sheet.part('notes', words.notes, notes!, (own, room) => own.rule(room, params.spacing))
    }
    sheet.done()
  },
})

type Page = DrawnPage<WeekValues, Dates | undefined>

/** What week it is, at the outer edge of a spread; returns its height. */
function drawHead(sheet: Sheet, { params, made, room, top, language, side }: Page, first: Day, half?: number): number {
  const tag = languageOf(params, language)
  const [names, words] = [dateNames(tag), pageWords(tag)]
  const y = top + sheet.size * 2
  const outer = { x: side === 'recto' ? room.width : 0, y, align: side === 'recto' ? 'right' : 'left' } as const
  const inner = { x: side === 'recto' ? 0 : room.width, y, align: side === 'recto' ? 'left' : 'right' } as const
  const number = made ? `${words.week} ${weekNumber(first)}` : ''
  if (!made) {
    if (half !== 1) sheet.field('week', words.week, { x: 0, y, width: room.width * 0.5 })
  } else if (half === undefined) {
    const wide = sheet.widthOf(number) + sheet.size
    sheet.words(names.span(first, first + 6), { ...outer, width: room.width - wide }, 'head')
    sheet.words(number, inner)
  } else if (half) sheet.words(number, outer, 'head')
  else sheet.words(names.span(first, first + 6), { ...outer, width: room.width }, 'head')
  return sheet.size * 3
}

/** A day of a week, a piece by itself. */
const drawDay = (sheet: Sheet, page: Page, day: Day, box: Box): void =>
  sheet.piece('day', own => dayIn(own, page, day, box))

function dayIn(sheet: Sheet, { params, made, language }: Page, day: Day, box: Box): void {
  const names = dateNames(languageOf(params, language))
  const holiday = made?.holidays.get(day)
  const { x, y, width } = box
  const date = made ? String(dateOf(day)) : ''
  const dateWide = date ? sheet.widthOf('30', 'head') + sheet.size * 0.5 : 0
  const baseline = y + sheet.size * 1.5
  sheet.words(date, { x, y: baseline }, 'head')
  const weekday = names.weekday(day)
  sheet.words(weekday, { x: x + dateWide, y: baseline, width: width - dateWide }, 'bold')
  const named = dateWide + sheet.widthOf(weekday, 'bold') + sheet.size
  if (holiday) sheet.words(holiday, { x: x + width, y: baseline, width: width - named, align: 'right' }, 'label')
  const head = sheet.size * 2
  sheet.strong.across(x, x + width, y + head)
  sheet.rule({ ...box, y: y + head, height: box.height - head }, params.spacing)
}
