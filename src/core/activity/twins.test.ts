import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import type { Run } from '../book'
import { kindOf } from '.'
import { RunPress } from './runPress'
import { doublesAmong, freshSeed } from './twins'

const run = (patch: Partial<Run> = {}): Run => ({
  id: 'r1',
  kind: 'sudoku',
  pages: 3,
  seed: 11,
  params: { ...kindOf('sudoku')!.plain } as Run['params'],
  ...patch,
})

const among = (...runs: Run[]) => ({ runs, language: 'en-GB' })

test('the same seed asks the same in two books, each name under its kind; a page of lines asks nothing', async () => {
  const press = new RunPress(shelf)
  const names = await press.twinsOf(run(), among(run()))
  expect(new Set(names).size).toBe(3)
  for (const name of names) expect(name).toMatch(/^sudoku\/./)
  expect(await press.twinsOf(run({ id: 'other' }), among(run({ id: 'other' })))).toEqual(names)
  const lines = run({ kind: 'lined', params: { spacing: 20, tone: 0.4 } })
  expect(await press.twinsOf(lines, among(lines))).toEqual([])
})

test('a fresh seed shares nothing where others are left, and the same comes of the same', async () => {
  const press = new RunPress(shelf)
  const elsewhere = new Map((await press.twinsOf(run(), among(run()))).map(n => [n, 'Another Book']))
  const seed = await freshSeed(run(), { ...among(run()), press, elsewhere })
  expect(seed).not.toBe(11)
  const fresh = run({ seed: seed! })
  expect((await press.twinsOf(fresh, among(fresh))).filter(n => elsewhere.has(n))).toEqual([])
  expect(await freshSeed(run(), { ...among(run()), press, elsewhere })).toBe(seed)
})

test('where no seed shares less, there is none to take', async () => {
  const press = new RunPress(shelf)
  // Whatever it asks, another book has it.
  const all = { has: () => true } as unknown as ReadonlyMap<string, string>
  expect(await freshSeed(run({ pages: 2 }), { ...among(run({ pages: 2 })), press, elsewhere: all })).toBeUndefined()
  expect(await freshSeed(run(), { ...among(run()), press, elsewhere: new Map() })).toBeUndefined()
})

test('of each run: how many pages stand in the book that it shares most with', () => {
  const letters = fc.constantFrom(...'abcdefgh')
  fc.assert(
    fc.property(
      fc.array(fc.uniqueArray(letters), { maxLength: 4 }),
      fc.dictionary(letters, fc.constantFrom('One', 'Two', 'Three')),
      (runs, titles) => {
        const elsewhere = new Map(Object.entries(titles))
        const found = doublesAmong(
          runs.map((names, i) => ({ run: `r${i}`, names })),
          elsewhere,
        )
        runs.forEach((names, i) => {
          const counts = ['One', 'Two', 'Three'].map(t => names.filter(n => titles[n] === t).length)
          const double = found.find(d => d.run === `r${i}`)
          if (!Math.max(...counts)) return expect(double).toBeUndefined()
          expect(double!.pages).toBe(Math.max(...counts))
          expect(names.filter(n => titles[n] === double!.title)).toHaveLength(double!.pages)
        })
      },
    ),
  )
})
