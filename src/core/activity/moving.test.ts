import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { PagePlan, Run, Section } from '../book'
import { moveRunBefore, moveRunBy, partId, planOrder } from '.'

const run = (id: string, more: Partial<Run> = {}): Run => ({
  id,
  kind: 'lined',
  pages: 2,
  seed: 1,
  params: {},
  ...more,
})
const section = (id: string): Section => ({ id, part: 'body', role: 'chapter', title: id }) as unknown as Section
const sections = [section('s1'), section('s2')]
const plan: PagePlan = {
  runs: [
    run('a'),
    run('b', { behind: 's1' }),
    run('c', { behind: 's1' }),
    run('d', { behind: 's1', dealt: true }),
    run('e', { behind: 's2' }),
  ],
}
const order = (p: PagePlan): string => planOrder(p, sections).map(partId).join(' ')

test('a run stands before what it is put before, and at the end where that is nothing', () => {
  expect(order(plan)).toBe('a s1 b c d s2 e')
  expect(order(moveRunBefore(plan, sections, 'e', 'a'))).toBe('e a s1 b c d s2')
  expect(order(moveRunBefore(plan, sections, 'a', 's2'))).toBe('s1 b c d a s2 e')
  expect(order(moveRunBefore(plan, sections, 'b', undefined))).toBe('a s1 c d s2 e b')
  expect(order(moveRunBefore(plan, sections, 'b', 'b'))).toBe(order(plan))
  expect(moveRunBefore(plan, sections, 'gone', 'a')).toBe(plan)
})

test('what is dealt in with a run moves with it, and nothing comes between them', () => {
  expect(order(moveRunBefore(plan, sections, 'c', 's1'))).toBe('a c d s1 b s2 e')
  expect(order(moveRunBefore(plan, sections, 'e', 'd'))).toBe('a s1 b e c d s2')
  expect(order(moveRunBy(plan, sections, 'c', 1))).toBe('a s1 b s2 c d e')
  expect(order(moveRunBy(plan, sections, 'b', 1))).toBe('a s1 c d b s2 e')
  expect(order(moveRunBefore(plan, sections, 'c', 'd'))).toBe(order(plan))
  expect(order(moveRunBefore(plan, sections, 'd', 'b'))).toBe('a s1 d b c s2 e')
})

test('however runs are moved, none is lost, sections keep their order, and a step back undoes a step', () => {
  fc.assert(
    fc.property(fc.constantFrom('a', 'b', 'c', 'e'), fc.integer({ min: -8, max: 8 }), (id, by) => {
      const now = moveRunBy(plan, sections, id, by)
      expect(now.runs.map(r => r.id).sort()).toEqual(['a', 'b', 'c', 'd', 'e'])
      expect(
        order(now)
          .split(' ')
          .filter(p => p.startsWith('s')),
      ).toEqual(['s1', 's2'])
      expect(order(now)).toContain('c d')
      const there = moveRunBy(plan, sections, id, 1)
      if (order(there) !== order(plan)) expect(order(moveRunBy(there, sections, id, -1))).toBe(order(plan))
    }),
  )
})
