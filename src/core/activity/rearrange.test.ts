import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { PagePlan, Run } from '../book'
import { askedOf, bandsOf, canSplit, doubleRun, kindOf, laidOut, partId, recipeOf, splitRun } from '.'

const run = (id: string, kind: string, patch: Partial<Run> = {}): Run => ({
  id,
  kind,
  pages: 6,
  seed: 3,
  params: structuredClone(kindOf(kind)!.plain) as Run['params'],
  ...patch,
})
const plan: PagePlan = {
  runs: [run('r1', 'lined'), run('r2', 'sudoku', { each: 2, heading: { words: 'Square', from: 5 } }), run('r3', 'dot')],
}

test('a run that is split has as many pages as before, its numbers without a gap, its second part another chance', () => {
  fc.assert(
    fc.property(fc.constantFrom('r1', 'r2', 'r3'), fc.integer({ min: -3, max: 12 }), (id, at) => {
      const { runs } = splitRun(plan, id, at)
      expect(runs).toHaveLength(4)
      const i = runs.findIndex(r => r.id === id)
      const [first, second] = [runs[i]!, runs[i + 1]!]
      expect([first.pages >= 1, second.pages >= 1, first.pages + second.pages]).toEqual([true, true, 6])
      expect(second.seed).not.toBe(first.seed)
      expect(new Set(runs.map(r => r.id)).size).toBe(4)
      if (id === 'r2') expect(second.heading!.from).toBe(5 + askedOf(first))
    }),
  )
  const weeks: PagePlan = { runs: [run('w', 'week', { pages: 104 })] }
  expect(canSplit(weeks.runs[0]!)).toBe(false)
  expect(splitRun(weeks, 'w', 10).runs).toEqual(weeks.runs)
})

test('a run that is doubled stands behind itself with its numbers going on', () => {
  const { runs } = doubleRun(plan, 'r2')
  expect(runs.map(r => r.kind)).toEqual(['lined', 'sudoku', 'sudoku', 'dot'])
  expect([runs[2]!.heading!.from, runs[2]!.pages, runs[2]!.seed === runs[1]!.seed]).toEqual([17, 6, false])
})

test('what was changed by hand stays with its page when a run is split, and is not doubled', () => {
  const hand = [1, 4].map(page => ({ page, of: '', pieces: [{ piece: 'heading', x: page }] }))
  const by: PagePlan = { runs: [run('r1', 'lined', { hand })] }
  const [first, second] = splitRun(by, 'r1', 3).runs
  expect([first!.hand, second!.hand]).toEqual([[hand[0]], [{ ...hand[1], page: 1 }]])
  const twice = doubleRun(by, 'r1').runs
  expect(twice.map(r => r.hand)).toEqual([hand, undefined])
  expect(recipeOf(by, { id: 'x', name: 'X' }).plan.runs[0]).not.toHaveProperty('hand')
})

test('runs that are dealt in come one of each in turn, and their pages are one band', () => {
  const mixed = [
    run('a', 'lined', { pages: 2 }),
    run('b', 'dot', { pages: 3, dealt: true }),
    run('c', 'graph', { pages: 1, dealt: true }),
  ]
  const laid = laidOut([...mixed, run('d', 'blank', { pages: 1 })])
  expect(laid.map(p => `${p.run!.id}${p.index}`)).toEqual(['a0', 'b0', 'c0', 'a1', 'b1', 'b2', 'd0'])
  const order = [...mixed, run('d', 'blank', { pages: 1 })].map(r => ({ run: r }))
  const starts = new Map([
    ['run:a', 2],
    ['run:b', 3],
    ['run:c', 4],
    ['run:d', 8],
  ])
  const bands = bandsOf(order, starts, 10)
  expect(bands.map(b => [typeof b.of === 'string' ? b.of : partId(b.of), b.from, b.to])).toEqual([
    ['front', 0, 2],
    ['a', 2, 8],
    ['d', 8, 9],
    ['blank', 9, 10],
  ])
  // Behind another section than the run before, a run stands by itself.
  expect(laidOut([mixed[0]!, { ...mixed[1]!, behind: 's2' }]).map(p => p.run!.id)).toEqual(['a', 'a', 'b', 'b', 'b'])
})
