import { type Day, utc } from './day'

/** Names of days and months in a language, as `Intl` has them. */
export interface DateNames {
  weekday(day: Day, form?: 'long' | 'short' | 'narrow'): string
  month(day: Day, form?: 'long' | 'short' | 'narrow'): string
  /** "January 2027". */
  monthYear(day: Day): string
  /** "4 January". */
  dayMonth(day: Day): string
  /** "4 – 10 January 2027". */
  span(from: Day, to: Day): string
}

const kept = new Map<string, DateNames>()

/** Names in a language; those of English where the tag is none. */
export function dateNames(language: string): DateNames {
  let names = kept.get(language)
  if (!names) kept.set(language, (names = make(language)))
  return names
}

function make(language: string): DateNames {
  const tag = knownTag(language)
  const formats = new Map<string, Intl.DateTimeFormat>()
  const format = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat => {
    const key = JSON.stringify(options)
    let f = formats.get(key)
    if (!f)
      formats.set(
        key,
        (f = new Intl.DateTimeFormat(tag, {
          ...options,
          timeZone: 'UTC',
          calendar: 'gregory',
          numberingSystem: 'latn',
        })),
      )
    return f
  }
  const said = (day: Day, options: Intl.DateTimeFormatOptions): string => plain(format(options).format(utc(day)))
  return {
    weekday: (day, form = 'long') => said(day, { weekday: form }),
    // A month by itself is said otherwise than in a date in some languages.
    month: (day, form = 'long') => said(day, { month: form }),
    monthYear: day => said(day, { month: 'long', year: 'numeric' }),
    dayMonth: day => said(day, { day: 'numeric', month: 'long' }),
    span: (from, to) =>
      plain(format({ day: 'numeric', month: 'long', year: 'numeric' }).formatRange(utc(from), utc(to))),
  }
}

/** Thin and unbreakable spaces as plain ones: every face has these. */
const plain = (words: string): string => words.replace(/[\u2009\u202f\u00a0]/g, ' ')

function knownTag(language: string): string {
  try {
    return Intl.getCanonicalLocales(language)[0] ?? 'en'
  } catch {
    // A tag that is none: English is better than no page.
    return 'en'
  }
}
