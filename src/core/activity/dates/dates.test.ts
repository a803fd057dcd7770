import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { primaryTag, printedLanguages } from '../../book'
import { plannerLanguages } from '../planner'
import {
  countriesKnown,
  dateNames,
  dateOf,
  dayOf,
  daysInMonth,
  holidaysOf,
  isoOf,
  monthBegin,
  monthOf,
  onDate,
  readHolidays,
  regionsKnown,
  weekBegin,
  weekdayOf,
  weekNumber,
  yearOf,
} from '.'

const days = fc.integer({ min: -100_000, max: 100_000 })

describe('days', () => {
  test('go one by one through months and years', () => {
    fc.assert(
      fc.property(days, day => {
        expect(dayOf(isoOf(day))).toBe(day)
        expect(onDate(yearOf(day), monthOf(day), dateOf(day))).toBe(day)
        expect((weekdayOf(day) + 1) % 7).toBe(weekdayOf(day + 1))
        expect(dateOf(day + 1)).toBe(dateOf(day) === daysInMonth(day) ? 1 : dateOf(day) + 1)
        expect(monthBegin(day)).toBe(day - dateOf(day) + 1)
        expect(monthBegin(day, 12)).toBe(onDate(yearOf(day) + 1, monthOf(day), 1))
      }),
    )
  })
  test('are what calendars say', () => {
    // By hand: 2 September 1752 was no Wednesday of this calendar, 29 February 2000 a Tuesday.
    expect(weekdayOf(dayOf('2000-02-29')!)).toBe(2)
    expect(weekdayOf(dayOf('2027-01-01')!)).toBe(5)
    expect(daysInMonth(dayOf('1900-02-01')!)).toBe(28)
    for (const none of ['2027-02-29', '2027-13-01', '2027-00-10', '27-01-01', '2027-1-1', ''])
      expect(dayOf(none)).toBeUndefined()
  })
  test('lie in weeks that begin on any day; ISO weeks have numbers without gaps', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 6 }), (day, first) => {
        const begin = weekBegin(day, first)
        expect(weekdayOf(begin)).toBe(first)
        expect(day - begin).toBeGreaterThanOrEqual(0)
        expect(day - begin).toBeLessThan(7)
        const [now, next] = [weekNumber(day), weekNumber(day + 7)]
        expect(next === now + 1 || (next === 1 && now >= 52)).toBe(true)
        expect(weekNumber(weekBegin(day, 1))).toBe(now)
      }),
    )
    // ISO 8601: the week with 4 January is the first.
    expect([1999, 2005, 2020, 2026].map(y => weekNumber(onDate(y, 0, 4)))).toEqual([1, 1, 1, 1])
    expect([dayOf('2021-01-03')!, dayOf('2027-01-03')!].map(weekNumber)).toEqual([53, 53])
  })
  test('have names in the languages that are offered', () => {
    const monday = dayOf('2027-03-01')!
    const offered = plannerLanguages.map(l => l.value).filter(l => l !== 'book')
    expect(offered.map(l => dateNames(l).weekday(monday))).toEqual([
      'Monday',
      'Montag',
      'lundi',
      'lunes',
      'lunedì',
      'segunda-feira',
      'maandag',
      'måndag',
      'poniedziałek',
      'pondělí',
      'mandag',
      'mandag',
      'maanantai',
      'Δευτέρα',
      'понедельник',
    ])
    expect(offered.map(primaryTag).sort()).toEqual([...printedLanguages].sort())
    expect(dateNames('de').monthYear(monday)).toBe('März 2027')
    expect(dateNames('en-GB').span(monday, monday + 6)).toMatch(/^1\s?[–-]\s?7 March 2027$/)
    expect(dateNames('no such tag').month(monday)).toBe('March')
  })
})

describe('holidays', () => {
  const year = (y: number) => ({ from: onDate(y, 0, 1), to: onDate(y, 11, 31), language: 'de' })
  const named = async (source: Parameters<typeof holidaysOf>[0], y = 2027) =>
    [...(await holidaysOf(source, year(y)))].map(([d, name]) => `${isoOf(d)} ${name}`)

  test('are those of a country, more of them in some of its regions, moving with Easter', async () => {
    const all = await named({ country: 'DE', region: '', text: '' })
    expect(all).toContain('2027-10-03 Tag der Deutschen Einheit')
    // Easter 2027 is 28 March by the Gregorian computus.
    expect(all).toContain('2027-03-29 Ostermontag')
    const region = await named({ country: 'DE', region: 'BY', text: '' })
    expect(region).toContain('2027-01-06 Heilige Drei Könige')
    expect(region.length).toBeGreaterThan(all.length)
    expect(await named({ country: '', region: '', text: '' })).toEqual([])
  })
  test('are the author’s own from a table, and what is no day is counted', async () => {
    const text = 'date,name\n2027-05-04,"Orla’s day, all of it"\n2027-13-04,Never\nnonsense 12\n2026-05-04,Before'
    expect(await named({ country: '', region: '', text })).toEqual(['2027-05-04 Orla’s day, all of it'])
    expect(readHolidays(text)).toMatchObject({ not: 2, first: '2027-13-04,Never' })
  })
  test('are the author’s own from a calendar file, folded lines and yearly ones among them', async () => {
    const text = [
      'BEGIN:VCALENDAR',
      'BEGIN:VEVENT',
      'DTSTART;VALUE=DATE:20200606',
      'RRULE:FREQ=YEARLY',
      'SUMMARY:Harbour\\, feast',
      'END:VEVENT',
      'BEGIN:VEVENT',
      'SUMMARY:A very long',
      '  name',
      'DTSTART:20270710T090000Z',
      'END:VEVENT',
      'BEGIN:VEVENT',
      'SUMMARY:No day',
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n')
    expect(await named({ country: '', region: '', text })).toEqual([
      '2027-06-06 Harbour, feast',
      '2027-07-10 A very long name',
    ])
    expect(readHolidays(text)).toMatchObject({ not: 1, first: 'No day' })
  })
  test('an own name stands before a public one; countries and regions have names', async () => {
    const both = await named({ country: 'DE', region: '', text: '2027-10-03;Apfelfest' })
    expect(both.filter(h => h.startsWith('2027-10-03'))).toEqual(['2027-10-03 Apfelfest'])
    expect(await countriesKnown('en')).toContainEqual({ code: 'SE', name: 'Sweden' })
    expect((await regionsKnown('DE', 'de')).map(r => r.code)).toContain('BY')
    expect(await regionsKnown('SE', 'sv')).toEqual([])
  })
})
