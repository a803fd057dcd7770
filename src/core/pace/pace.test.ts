import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Pace } from '../book'
import { dayOf, isoOf } from '../activity'
import {
  type DayTally,
  emptyTally,
  netOf,
  phaseOf,
  plotOf,
  SITTING_ENDS,
  standingOf,
  tallied,
  together,
  writingDays,
} from '.'

const day = (iso: string, wrote: number, cut = 0, came = 0): DayTally => ({ ...emptyTally(iso), wrote, cut, came })
// 30 November 2026 is a Monday.
const weekdays: Pace = { target: 10_000, by: '2026-12-11', since: '2026-11-30', days: [1, 2, 3, 4, 5] }

describe('a day’s tally', () => {
  test('what is written, cut and brought in is told apart; what is taken back is not counted twice', () => {
    const at = 1_000_000
    let t = tallied(emptyTally('2026-11-30'), { by: 100, how: 'writing' }, at)
    t = tallied(t, { by: -30, how: 'writing' }, at + 1)
    t = tallied(t, { by: 500, how: 'act' }, at + 2)
    expect(t).toMatchObject({ wrote: 100, cut: 30, came: 500 })
    t = tallied(t, { by: -100, how: 'writing', back: true }, at + 3)
    expect(t).toMatchObject({ wrote: 0, cut: 30, came: 500 })
    t = tallied(t, { by: 30, how: 'writing', back: true }, at + 4)
    expect(t).toMatchObject({ wrote: 0, cut: 0, came: 500 })
    // More is taken back than the day has: it was written on another day.
    t = tallied(t, { by: -700, how: 'act', back: true }, at + 5)
    expect(t).toMatchObject({ wrote: 0, cut: 200, came: 0 })
  })
  test('sittings end with a rest', () => {
    let t = emptyTally('2026-11-30')
    for (const [at, by] of [
      [0, 10],
      [SITTING_ENDS - 1, 20],
      [3 * SITTING_ENDS, 5],
      [3 * SITTING_ENDS + 60_000, -2],
    ] as const)
      t = tallied(t, { by, how: 'writing' }, at)
    expect(t.sittings).toEqual([
      { from: 0, to: SITTING_ENDS - 1, wrote: 30, cut: 0 },
      { from: 3 * SITTING_ENDS, to: 3 * SITTING_ENDS + 60_000, wrote: 5, cut: 2 },
    ])
  })
  test('whatever happens, the day’s words add up, and sittings hold no more than the day', () => {
    const change = fc.record({
      by: fc.integer({ min: -400, max: 400 }),
      how: fc.constantFrom('writing', 'act'),
      back: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(fc.tuple(change, fc.nat(2 * SITTING_ENDS))), changes => {
        let at = 0
        let t = emptyTally('2026-11-30')
        for (const [c, later] of changes) t = tallied(t, c as never, (at += later))
        expect(netOf(t)).toBe(changes.reduce((n, [{ by }]) => n + by, 0))
        expect(Math.min(t.wrote, t.cut, t.came)).toBeGreaterThanOrEqual(0)
        for (const [i, s] of t.sittings.entries()) {
          expect(s.to).toBeGreaterThanOrEqual(s.from)
          if (i) expect(s.from - t.sittings[i - 1]!.to).toBeGreaterThanOrEqual(SITTING_ENDS)
        }
      }),
    )
  })
  test('days of several books are one', () => {
    const sat = (at: number) => ({ from: at, to: at + 5, wrote: 1, cut: 0 })
    const a = { ...day('2026-11-30', 10, 2), sittings: [sat(50)] }
    const b = { ...day('2026-11-30', 5, 1, 7), sittings: [sat(10)] }
    expect(together([day('2026-12-01', 1), a, b])).toEqual([
      { day: '2026-11-30', wrote: 15, cut: 3, came: 7, sittings: [sat(10), sat(50)] },
      day('2026-12-01', 1),
    ])
  })
})

describe('a pace', () => {
  const at = (today: string, words: number, tallies: DayTally[] = []) => standingOf(weekdays, { today, words, tallies })
  test('what is to go is shared among the writing days that are left, anew each day', () => {
    expect(at('2026-11-30', 5000)).toMatchObject({ left: 5000, days: 10, share: 500, done: 0, after: 500 })
    // A day without a word: the others have more to do.
    expect(at('2026-12-01', 5000)).toMatchObject({ days: 9, share: 556 })
    // No writing day.
    expect(at('2026-12-05', 7000)).toMatchObject({ days: 5, share: 0, after: 600 })
  })
  test('what was cut is told: it is to be written again', () => {
    const tallies = [day('2026-11-30', 800, 600)]
    expect(at('2026-11-30', 5200, tallies)).toMatchObject({ share: 500, done: 200, left: 4800, after: 500 })
    expect(at('2026-11-30', 6000, [day('2026-11-30', 1000)])).toMatchObject({ share: 500, done: 1000, after: 445 })
  })
  test('it is there, or over', () => {
    expect(at('2026-12-02', 10_000).state).toBe('there')
    expect(at('2026-12-12', 9000)).toMatchObject({ state: 'over', days: 0, after: undefined, left: 1000 })
    expect(at('2026-12-11', 9000)).toMatchObject({ state: 'under way', days: 1, share: 1000, after: undefined })
  })
  test('when it would be done as the last weeks went', () => {
    const tallies = [day('2026-11-30', 400), day('2026-12-01', 600), day('2026-12-02', 500, 300)]
    // 1,200 in three writing days: 400 a day, 2,000 to go, five writing days from the Thursday on.
    expect(at('2026-12-02', 8000, tallies).endsOn).toBe('2026-12-09')
    expect(at('2026-12-02', 8000).endsOn).toBeUndefined()
  })
  test('whoever writes each day’s share is done on the last writing day, and not before', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 50_000 }),
        fc.integer({ min: 1, max: 200 }),
        fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }),
        (target, length, days) => {
          const first = dayOf('2026-11-30')!
          const pace: Pace = { target, by: isoOf(first + length), since: '2026-11-30', days }
          const all = writingDays(pace, first, first + length)
          let words = 0
          let wrote = 0
          for (let d = first; d <= first + length; d++) {
            const { share } = standingOf(pace, { today: isoOf(d), words, tallies: [] })
            if (share && ++wrote < all && target >= all) expect(words).toBeLessThan(target)
            words += share
          }
          expect(words >= target).toBe(all > 0)
          expect(words - target).toBeLessThanOrEqual(0 + (all > 0 ? all : target))
        },
      ),
    )
  })
})

describe('the picture', () => {
  test('each day has what it brought and what it was to bring; days before the pace, and without writing, have no line', () => {
    const tallies = [day('2026-11-28', 1000), day('2026-11-30', 500), day('2026-12-01', 0, 100)]
    const days = plotOf(tallies, {
      from: dayOf('2026-11-28')!,
      to: dayOf('2026-12-14')!,
      today: '2026-12-01',
      pace: weekdays,
      words: 5400,
    })
    expect(days.map(d => d.needed)).toEqual([
      undefined,
      undefined,
      // 5,000 were there on Monday, 5,500 on Tuesday.
      ...[500, 500, 500, 500, 500],
      ...[undefined, undefined],
      ...[500, 500, 500, 500, 500],
      ...[undefined, undefined, undefined],
    ])
    expect(days.slice(0, 4).map(d => [d.wrote, d.cut])).toEqual([
      [1000, 0],
      [0, 0],
      [500, 0],
      [0, 100],
    ])
  })
})

test('a timed sitting is written, then rested, then over', () => {
  const sitting = { begun: 1_000_000, minutes: 25, rest: 5 }
  const at = (minutes: number) => phaseOf(sitting, sitting.begun + minutes * 60_000)
  expect([at(0), at(24.99), at(25), at(29.99), at(30)]).toEqual([
    { at: 'writing', left: 1500 },
    { at: 'writing', left: 1 },
    { at: 'resting', left: 300 },
    { at: 'resting', left: 1 },
    undefined,
  ])
  expect(phaseOf({ ...sitting, rest: 0 }, sitting.begun + 25 * 60_000)).toBeUndefined()
})
