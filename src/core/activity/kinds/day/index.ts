import { fields } from '../../../trade'
import { dateNames, dateOf, isoOf } from '../../dates'
import { aKind } from '../../kind'
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
import { below, beside, type Box, sheetOn } from '../../sheet'

const { one, shape, whole } = fields

interface DayValues extends PlannerValues {
  plan: 'hours' | 'lines'
  opens: number
  closes: number
  spacing: number
}

const MOST = 800

/** A page a day: its hours, what is to be done, what is to be kept. */
export const day = aKind<DayValues, Dates | undefined>({
  id: 'day',
  name: 'Days',
  says: 'a page a day, with or without hours',
  family: 'dates',
  schema: () =>
    shape({
      ...plannerFields(MOST),
      plan: one('hours', 'lines').required(),
      opens: whole(0, 12).required(),
      closes: whole(12, 24).required(),
      spacing: lengthField(),
    }) as never,
  plain: { ...plannerPlain, from: '2027-01-01', count: 31, plan: 'hours', opens: 7, closes: 20, spacing: 19 },
  sentence:
    '{count} days {dated}[dated=dated: from {from}], with {plan}[plan=hours: from {opens} to {closes} o’clock], weeks beginning on {starts}, in {language}[dated=dated:, with {holidays}]. Lines {spacing} apart, {tone} dark.',
  controls: {
    ...(plannerControls('days', MOST) as never as Record<keyof PlannerValues, never>),
    plan: {
      as: 'choice',
      says: 'How a day is divided',
      choices: [
        { value: 'hours', words: 'its hours' },
        { value: 'lines', words: 'lines alone' },
      ],
    },
    opens: { as: 'count', says: 'First hour', least: 0, most: 12 },
    closes: { as: 'count', says: 'Last hour', least: 12, most: 24 },
    spacing: lengthControl('Between lines', 12, 36),
  },
  alike: false,
  pagesFor: ({ count }) => count,
  madeFrom: (_params, made, index) => made && isoOf(made.first + index),
  make: ({ params, language }) => datesOf(params, 'day', { days: params.count, language }),
  async draw(page) {
    const { params, index, made, room, top, language, side } = page
    const sheet = await sheetOn(page, params.tone)
    const tag = languageOf(params, language)
    const [names, words] = [dateNames(tag), pageWords(tag)]
    const { spacing } = params
    const outer = side === 'recto'
    const large = sheet.size * 3.3
    const at = (indent: number) =>
      ({ x: outer ? room.width - indent : indent, align: outer ? 'right' : 'left' }) as const
    if (made) {
      const today = made.first + index
      const date = String(dateOf(today))
      sheet.words(date, { ...at(0), y: top + large * 0.8 }, 'head', 2.2)
      const indent = sheet.widthOf('30', 'head', 2.2) + sheet.size
      const width = room.width - indent
      sheet.words(names.weekday(today), { ...at(indent), y: top + large * 0.38, width }, 'head')
      const holiday = made.holidays.get(today)
      const month = names.monthYear(today)
      sheet.words(holiday ? `${month} · ${holiday}` : month, { ...at(indent), y: top + large * 0.8, width })
    } else sheet.field('date', words.date, { x: 0, y: top + large * 0.7, width: room.width * 0.6 })
    const body: Box = { x: 0, y: top + large + sheet.size, width: room.width, height: 0 }
    body.height = room.height - body.y
    const [main, rest] = beside(body, [3, 2], spacing)
    if (params.plan === 'hours') {
      const hours = params.closes - params.opens + 1
      const label = sheet.widthOf('00') + sheet.size * 0.6
      const high = main!.height / hours
      for (let h = 0; h < hours; h++) {
        const y = main!.y + h * high
        const clock = { x: main!.x + label - sheet.size * 0.6, y: y + sheet.size, align: 'right' as const }
        sheet.words(String(params.opens + h), clock, 'bold')
        sheet.strong.across(main!.x, main!.x + main!.width, y)
        if (high > 22) sheet.fine.across(main!.x + label, main!.x + main!.width, y + high / 2)
      }
      sheet.strong.across(main!.x, main!.x + main!.width, main!.y + main!.height - 0.5)
    } else sheet.rule(main!, spacing)
    const [first, toDo, notes] = below(rest!, [3, 6, 5], spacing * 0.8)
    sheet.part('first', words.first, first!, (own, room) => own.ticks(room, spacing))
    sheet.part('toDo', words.toDo, toDo!, (own, room) => own.ticks(room, spacing))
    sheet.part('notes', words.notes, notes!, (own, room) => own.rule(room, spacing))
    sheet.done()
  },
})
