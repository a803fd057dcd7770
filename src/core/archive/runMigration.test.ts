import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { patched } from '../book'
import { withRunParams } from './runMigration'

const columns = [{ name: 'Date', share: 1 }]
const old = {
  plan: {
    runs: [
      { id: 'r1', kind: 'lined', pages: 4, heading: 'Tides', spacing: 20, tone: 0.3 },
      { id: 'r2', kind: 'log', pages: 2, spacing: 22, tone: 0.5, columns },
      { id: 'r3', kind: 'blank', pages: 2, spacing: 20, tone: 0 },
      { id: 'r4', kind: 'log', pages: 1, spacing: 22, tone: 0.5 },
    ],
  },
}

describe('runs of earlier versions', () => {
  test('keep everything that they said, under their kind', () => {
    expect(withRunParams(old).plan.runs).toEqual([
      {
        id: 'r1',
        kind: 'lined',
        pages: 4,
        heading: { words: 'Tides' },
        seed: 1,
        params: { spacing: 20, tone: 0.3 },
      },
      { id: 'r2', kind: 'log', pages: 2, seed: 1, params: { spacing: 22, tone: 0.5, columns } },
      { id: 'r3', kind: 'blank', pages: 2, seed: 1, params: {} },
      {
        id: 'r4',
        kind: 'log',
        pages: 1,
        seed: 1,
        params: { spacing: 22, tone: 0.5, columns: [{ name: '', share: 1 }] },
      },
    ])
    expect(withRunParams(withRunParams(old))).toEqual(withRunParams(old))
  })
  test('a table without columns has the one that it was drawn with', () => {
    const bare = { kind: 'log', pages: 1, spacing: 22, tone: 0.5, columns: [] }
    expect(withRunParams(bare)).toMatchObject({ params: { columns: [{ name: '', share: 1 }] } })
  })
  test('are changed back and forth by their histories as before', () => {
    const patches = [
      { path: ['plan', 'runs', 0, 'spacing'], before: 20, after: 24 },
      { path: ['plan', 'runs', 1, 'columns', 0, 'name'], before: 'Date', after: 'Day' },
      { path: ['plan', 'runs', 0, 'heading'], before: 'Tides', after: 'Moons' },
      { path: ['plan', 'runs', 1, 'heading'], after: 'Log' },
      { path: ['plan', 'runs', 1, 'pages'], before: 2, after: 9 },
      { path: ['plan', 'runs', 3], before: old.plan.runs[3] },
    ]
    fc.assert(
      fc.property(fc.subarray(patches), some => {
        const now = withRunParams(old)
        const change = withRunParams({ id: 3, record: some })
        // As it is stored: an entry taken out of a list leaves a gap in both.
        const stored = (v: unknown): unknown => JSON.parse(JSON.stringify(v))
        expect(stored(patched(now, change.record))).toEqual(stored(withRunParams(patched(old, some))))
        expect(patched(patched(now, change.record), change.record, true)).toEqual(now)
      }),
    )
  })
  test('are told from everything else: what is of no run, and bytes, stay the same', () => {
    const other = { path: ['data', 'title'], before: 'a', after: 'b', bytes: Uint8Array.of(1, 2), kind: 'lined' }
    expect(withRunParams(other)).toEqual(other)
    expect(withRunParams(other).bytes).toBe(other.bytes)
  })
})
