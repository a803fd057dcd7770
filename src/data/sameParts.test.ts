import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { withSameParts } from './sameParts'

const copy = (v: unknown): unknown => JSON.parse(JSON.stringify(v))

/** What a stored record may be: JSON knows no zero below zero. */
const record = fc.jsonValue().map(copy)

test('says what the new one says, and is the old one where that says the same', () => {
  fc.assert(
    fc.property(record, record, (old, fresh) => {
      const said = copy(fresh)
      expect(withSameParts(old, fresh)).toEqual(said)
      expect(withSameParts(old, copy(old))).toBe(old)
    }),
  )
})

test('one run changed: the others are the objects that they were', () => {
  const runs = [1, 2, 3].map(id => ({ id, params: { words: ['a', 'b'], n: id } }))
  const old = { plan: { runs, look: 'plain' }, data: { title: 'A' } }
  const fresh = copy(old) as typeof old
  fresh.plan.runs[1]!.params.n = 7
  const now = withSameParts(old, fresh)
  expect(now.data).toBe(old.data)
  expect(now.plan).not.toBe(old.plan)
  expect(now.plan.runs.map((r, i) => r === runs[i])).toEqual([true, false, true])
  expect(now.plan.runs[1]!.params.words).toBe(runs[1]!.params.words)
})

test('a part that is called as what every object has is compared with such a part alone', () => {
  const fresh = JSON.parse('{"__proto__":{},"constructor":{}}') as object
  const now = withSameParts({}, fresh) as Record<string, unknown>
  expect(JSON.stringify(now)).toBe('{"__proto__":{},"constructor":{}}')
  expect(Object.is(Object.getOwnPropertyDescriptor(now, '__proto__')!.value, Object.prototype)).toBe(false)
})

test('a part that is gone, or that has come, is another', () => {
  expect(withSameParts({ a: 1, b: undefined }, { a: 1 })).toEqual({ a: 1 })
  const old = { a: 1 }
  expect(Object.keys(withSameParts(old, { a: 1, b: undefined } as object))).toEqual(['a', 'b'])
  expect(withSameParts([1, 2], { 0: 1, 1: 2 })).toEqual({ 0: 1, 1: 2 })
})
