import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { patchesBetween, patched } from '.'

const record = fc.dictionary(
  fc.constantFrom('data', 'editions', 'cover', 'words'),
  fc.jsonValue({ maxDepth: 4 }) as fc.Arbitrary<unknown>,
)
const bare = (v: unknown): unknown => JSON.parse(JSON.stringify(v))

test('patches lead from any record to any other, and back', () => {
  fc.assert(
    fc.property(record, record, (a, b) => {
      const patches = patchesBetween(a, b)
      expect(bare(patched(a, patches))).toEqual(bare(b))
      expect(bare(patched(b, patches, true))).toEqual(bare(a))
      expect(patchesBetween(a, bare(a))).toEqual([])
    }),
  )
})
test('they say the deepest place that changed, and share the rest', () => {
  const a = {
    data: { title: 'A', subjects: ['x'], description: 'long '.repeat(500) },
    editions: [{ id: 'p', price: 1 }, { id: 'e' }],
  }
  const b = { ...a, data: { ...a.data, title: 'B' }, editions: [a.editions[0]!, { id: 'e', price: 499 }] }
  const patches = patchesBetween(a, b)
  expect(patches).toEqual([
    { path: ['data', 'title'], before: 'A', after: 'B' },
    { path: ['editions', 1, 'price'], after: 499 },
  ])
  expect(patched(a, patches).data.subjects).toBe(a.data.subjects)
})
test('keys of every object are places like others, never its prototype', () => {
  const patches = patchesBetween({}, JSON.parse('{"__proto__": {"polluted": 1}, "constructor": 2}'))
  patched({}, patches)
  expect(({} as Record<string, unknown>).polluted).toBeUndefined()
})
