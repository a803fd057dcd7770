import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { PagePlan, Run } from '../book'
import { answering, answerPlace, type AnswerPlace, fitted, kindOf, laidOut, withAnswers } from '.'

const run = (id: string, kind: string, patch: Partial<Run> = {}): Run => ({
  id,
  kind,
  pages: 8,
  seed: 1,
  params: { ...kindOf(kind)!.plain } as Run['params'],
  ...patch,
})
const plan: PagePlan = {
  runs: [
    run('r1', 'word-search'),
    run('r2', 'lined'),
    run('r3', 'sudoku', { each: 2 }),
    run('r4', 'blank', { behind: 's9' }),
  ],
}
const places: AnswerPlace[] = ['none', 'last', 'after', 'overleaf']

test('answers stand where they are asked to, however often they are moved, and nothing else moves', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom('r1', 'r3'), fc.constantFrom(...places)), { minLength: 1, maxLength: 8 }),
      moves => {
        let now = plan
        for (const [id, place] of moves) {
          now = fitted(withAnswers(now, id, place))
          const asked = now.runs.find(r => r.id === id)!
          expect(answerPlace(now, asked)).toBe(place)
          const key = answering(now, asked)
          expect(!!key).toBe(place === 'last' || place === 'after')
          if (key) {
            // Eight pages, of two puzzles each for r3: four to a page of answers.
            expect(key.pages).toBe(id === 'r3' ? 4 : 2)
            expect(key.behind).toBe(now.runs[now.runs.indexOf(key) - 1]!.behind)
          }
          expect(laidOut(now.runs).some(p => p.back && p.run!.id === id)).toBe(place === 'overleaf')
          const others = now.runs.filter(r => kindOf(r.kind)!.id !== 'answers')
          expect(others.map(r => r.id)).toEqual(['r1', 'r2', 'r3', 'r4'])
          expect(new Set(now.runs.map(r => r.id)).size).toBe(now.runs.length)
        }
      },
    ),
  )
})

test('answers keep what was said of them when they move; backs keep their ground', () => {
  const first = withAnswers(plan, 'r1', 'after')
  const key = answering(first, first.runs[0]!)!
  const told = {
    ...first,
    runs: first.runs.map(r =>
      r === key ? { ...r, heading: { words: 'Found' }, params: { ...r.params, count: '9' } } : r,
    ),
  }
  const moved = answering(withAnswers(told, 'r1', 'last'), told.runs[0]!)!
  expect([moved.heading, moved.params.count]).toEqual([{ words: 'Found' }, '9'])
  const toned = { ...plan, runs: [run('r1', 'sudoku', { backs: { answers: true, ground: { tone: 0.1 } } })] }
  expect(withAnswers(toned, 'r1', 'none').runs[0]!.backs).toEqual({ ground: { tone: 0.1 } })
  expect(withAnswers(withAnswers(plan, 'r3', 'overleaf'), 'r3', 'none').runs[2]!.backs).toBeUndefined()
  // What asks nothing has no answers.
  expect(withAnswers(plan, 'r2', 'last')).toBe(plan)
})
