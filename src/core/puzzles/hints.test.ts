import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Band, Difficulty } from './difficulty'
import { hintsFor, type Reasoning } from './hints'

/** A puzzle that is done when of each pair of its hints one is told. */
const reasoning = (pairs: readonly (readonly [number, number])[]): Reasoning<number> => {
  const told = new Set<number>()
  return {
    tell: hint => told.size !== told.add(hint).size,
    goOn: () => pairs.every(p => p.some(h => told.has(h))),
  }
}
const ends = (pairs: readonly (readonly [number, number])[], hints: readonly number[]): boolean => {
  const r = reasoning(pairs)
  for (const h of hints) r.tell(h)
  return r.goOn()
}

const puzzles = fc.integer({ min: 4, max: 30 }).chain(count =>
  fc.record({
    order: fc.shuffledSubarray([...Array(count).keys()], { minLength: count }),
    pairs: fc.array(fc.tuple(fc.nat(count - 1), fc.nat(count - 1)), { minLength: 1, maxLength: 12 }),
    atOnce: fc.double({ min: 0, max: 0.5, noNaN: true }),
    most: fc.integer({ min: 1, max: count }),
  }),
)

test('the hints lead to the end, none comes twice, and the puzzle is as hard as wanted: neither with fewer nor with more', () => {
  fc.assert(
    fc.property(puzzles, ({ order, pairs, atOnce, most }) => {
      // The fewer hints, the harder.
      const grade = (hints: readonly number[]): Difficulty | undefined =>
        ends(pairs, hints) ? { band: bandOf(hints.length, most), steps: {} } : undefined
      const least = hintsFor('stubborn', {
        order,
        atOnce,
        begin: () => reasoning(pairs),
        grade: h => ({ ...grade(h)!, band: 'stubborn' }),
      })!
      for (const band of ['hard', 'easy', 'gentle'] as const) {
        const made = hintsFor(band, { order, atOnce, begin: () => reasoning(pairs), grade })
        const possible = [...Array(order.length + 1).keys()].some(
          n => n >= least.hints.length && bandOf(n, most) === band,
        )
        expect([band, !!made]).toEqual([band, possible])
        if (!made) continue
        expect(ends(pairs, made.hints)).toBe(true)
        expect(new Set(made.hints).size).toBe(made.hints.length)
        expect(made.difficulty.band).toBe(band)
        // Those that are needed are among them.
        expect(made.hints.slice(0, least.hints.length)).toEqual(least.hints)
      }
    }),
  )
})

const bandOf = (count: number, most: number): Band => (count >= most + 2 ? 'gentle' : count >= most ? 'easy' : 'hard')

test('hints that do not lead to the end make no puzzle', () => {
  const begin = (): Reasoning<number> => ({ tell: () => true, goOn: () => false })
  expect(
    hintsFor('easy', { order: [1, 2, 3], atOnce: 0, begin, grade: () => ({ band: 'easy', steps: {} }) }),
  ).toBeUndefined()
})
