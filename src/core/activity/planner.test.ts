import { describe, expect, test } from '@jest/globals'
import { shelf } from '../../../tests/support/core'
import { wordsOn } from '../../../tests/support/wordsOn'
import type { Run } from '../book'
import { kindOf, pagesAsked, RunPress, saidFor } from '.'
import { dateOf, dayOf, daysInMonth, onDate, weekdayOf } from './dates'

const planner = (kind: string, params: object): Run => {
  const run: Run = { id: 'r1', kind, pages: 1, seed: 1, params: { ...kindOf(kind)!.plain, ...params } }
  return { ...run, pages: pagesAsked(run, [run]) }
}
const drawn = async (run: Run, language = 'en-GB', first: 'recto' | 'verso' = 'recto'): Promise<string[]> =>
  (
    await new RunPress(shelf).layersOf(run, {
      runs: [run],
      room: { width: 400, height: 560 },
      language,
      sides: Array.from({ length: run.pages }, (_, i) => ((i % 2 === 0) === (first === 'recto') ? 'recto' : 'verso')),
    })
  ).map(l =>
    wordsOn(l)
      .map(w => w.text)
      .join(' '),
  )

describe('dated planners', () => {
  test('a month shows each of its days once, under the days of its weeks', async () => {
    const pages = await drawn(planner('month', { from: '2027-01-15', count: 24, numbers: 'none' }))
    expect(pages).toHaveLength(24)
    pages.forEach((page, i) => {
      const begin = onDate(2027, i, 1)
      const dates = page
        .match(/\d+/g)!
        .map(Number)
        .filter(n => n < 40)
      expect(dates.sort((a, b) => a - b)).toEqual(Array.from({ length: daysInMonth(begin) }, (_, d) => d + 1))
      for (const day of ['Monday', 'Sunday']) expect(page).toMatch(new RegExp(`${day}|${day.slice(0, 3)}`))
    })
    expect(pages[1]).toContain('February 2027')
  })
  test('weeks follow one another without a gap, on one page or on two, begin as they are asked to', async () => {
    for (const [starts, first] of [
      ['monday', 1],
      ['sunday', 0],
      ['saturday', 6],
    ] as const)
      for (const on of ['page', 'spread'] as const) {
        const run = planner('week', { from: '2027-02-17', count: 30, starts, on })
        const pages = await drawn(run, 'en-GB', on === 'spread' ? 'verso' : 'recto')
        expect(pages).toHaveLength(on === 'spread' ? 60 : 30)
        // Each day is named, its date before it: they go on one by one.
        const dates = pages
          .join('\n')
          .match(/\b\d{1,2}(?=\s*(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day)/g)!
          .map(Number)
        expect(dates).toHaveLength(210)
        let day = dayOf('2027-02-17')!
        while (weekdayOf(day) !== first) day--
        expect(dates).toEqual(dates.map((_, i) => dateOf(day + i)))
      }
  })
  test('a year of pages says every day, its holidays among them, in any of the languages', async () => {
    const holidays = { country: 'DE', region: '', text: '2027-06-11, Imkertag' }
    const pages = await drawn(planner('day', { from: '2027-01-01', count: 365, language: 'de', holidays }))
    expect(pages).toHaveLength(365)
    expect(pages[161]).toMatch(/11[^]*Freitag[^]*Juni 2027 · Imkertag/)
    expect(pages[0]).toContain('Neujahr')
    expect(pages.filter(p => p.includes('Sonntag'))).toHaveLength(52)
  })
  test('the days of a year stand in its small calendars, and as a line each', async () => {
    for (const shows of ['months', 'days'] as const) {
      const text = (await drawn(planner('year', { from: '2028-01-01', shows }))).join(' ')
      const numbers = text.match(/(?<!\d)\d{1,2}(?!\d)/g)!
      expect(numbers).toHaveLength(366)
      expect(numbers.filter(n => n === '29')).toHaveLength(12)
    }
  })
  test('a day that there is not is said', async () => {
    await expect(drawn(planner('day', { from: '2027-02-30', count: 2 }))).rejects.toThrow('There is no day 2027-02-30')
  })
})

test('undated pages have no date, and their names stand in the book’s language', async () => {
  for (const kind of ['day', 'week', 'month', 'year']) {
    const pages = await drawn(planner(kind, { dated: 'undated', count: 2 }), 'fr')
    expect(pages.join(' ')).not.toMatch(/20\d\d/)
  }
  expect((await drawn(planner('week', { dated: 'undated', count: 1 }), 'fr')).join(' ')).toContain('lundi')
})

test('what holds only for dated pages is said of these alone', () => {
  const { sentence, plain } = kindOf('week')!
  expect(saidFor(sentence, { ...plain })).toContain('from {from}')
  const undated = saidFor(sentence, { ...plain, dated: 'undated' })
  expect(undated).not.toContain('{from}')
  expect(undated).toContain('{starts}')
  expect(undated).not.toMatch(/[[\]=]/)
})
