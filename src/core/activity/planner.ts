import { type Control } from './kind'
import { type Day, dayOf, type Holidays, type HolidaySource, holidaysOf, monthBegin, weekBegin } from './dates'
import { fields, Fault } from '../trade'
import { toneControl, toneField } from './ruling'

/** What all planners have in common: dated or not, from when, how many, first day of a week, language, holidays, tone. */

const { like, one, shape, text, whole } = fields

export interface PlannerValues {
  dated: 'dated' | 'undated'
  /** "2027-01-04". */
  from: string
  count: number
  starts: 'monday' | 'sunday' | 'saturday'
  /** A tag, or "book": that of the book. */
  language: string
  holidays: HolidaySource
  tone: number
}

/** Languages in which days and months are offered, in their own words. */
export const plannerLanguages = [
  { value: 'book', words: 'the book’s language' },
  { value: 'en-GB', words: 'English' },
  { value: 'de', words: 'Deutsch' },
  { value: 'fr', words: 'français' },
  { value: 'es', words: 'español' },
  { value: 'it', words: 'italiano' },
  { value: 'pt', words: 'português' },
  { value: 'nl', words: 'Nederlands' },
  { value: 'sv', words: 'svenska' },
  { value: 'pl', words: 'polski' },
  { value: 'cs', words: 'čeština' },
  { value: 'da', words: 'dansk' },
  { value: 'nb', words: 'norsk' },
  { value: 'fi', words: 'suomi' },
  { value: 'el', words: 'ελληνικά' },
  { value: 'ru', words: 'русский' },
] as const

const FIRST = { sunday: 0, monday: 1, saturday: 6 } as const
export const firstOf = ({ starts }: Pick<PlannerValues, 'starts'>): number => FIRST[starts]
export const languageOf = ({ language }: Pick<PlannerValues, 'language'>, book: string): string =>
  language === 'book' ? book : language

export const plannerFields = (most: number) => ({
  dated: one('dated', 'undated').required(),
  from: like(/^(1[6-9]|2\d)\d\d-\d\d-\d\d$/, 'is no date like 2027-01-04').required(),
  count: whole(1, most).required(),
  starts: one('monday', 'sunday', 'saturday').required(),
  language: one(...plannerLanguages.map(l => l.value)).required(),
  holidays: shape({ country: text(3).defined(), region: text(10).defined(), text: text(200_000).defined() }).required(),
  tone: toneField(),
})

export const plannerPlain: Omit<PlannerValues, 'count'> = {
  dated: 'dated',
  from: '2027-01-04',
  starts: 'monday',
  language: 'book',
  holidays: { country: '', region: '', text: '' },
  tone: 0.45,
}

export const plannerControls = (
  what: string,
  most: number,
): Record<'dated' | 'from' | 'count' | 'starts' | 'language' | 'holidays' | 'tone', Control> => ({
  dated: {
    as: 'choice',
    says: 'Dated or not',
    choices: [
      { value: 'dated', words: 'dated' },
      { value: 'undated', words: 'without dates' },
    ],
  },
  from: { as: 'date', says: 'From' },
  count: { as: 'count', says: `How many ${what}`, least: 1, most },
  starts: {
    as: 'choice',
    says: 'A week begins on',
    choices: [
      { value: 'monday', words: 'Monday' },
      { value: 'sunday', words: 'Sunday' },
      { value: 'saturday', words: 'Saturday' },
    ],
  },
  language: { as: 'choice', says: 'Language of days and months', choices: plannerLanguages },
  holidays: { as: 'holidays', says: 'Holidays' },
  tone: toneControl,
})

/** The first day of a planner's weeks, days or months; a Fault where its date is none. */
export function firstDay({ from, starts }: PlannerValues, unit: 'day' | 'week' | 'month'): Day {
  const day = dayOf(from)
  if (day === undefined) throw new Fault('values', `There is no day ${from}: choose another.`)
  return unit === 'week' ? weekBegin(day, firstOf({ starts })) : unit === 'month' ? monthBegin(day) : day
}

/** What a planner's pages show: its first day and the holidays from there; nothing where it is undated. */
export interface Dates {
  first: Day
  holidays: Holidays
}

export async function datesOf(
  values: PlannerValues,
  unit: 'day' | 'week' | 'month',
  { days, language }: { days: number; language: string },
): Promise<Dates | undefined> {
  if (values.dated !== 'dated') return undefined
  const first = firstDay(values, unit)
  const asked = { from: first, to: first + days, language: languageOf(values, language) }
  return { first, holidays: await holidaysOf(values.holidays, asked) }
}
