import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { nextHash, WordTable } from './wordTable'

const hashOf = (word: string): number => [...word].reduce((h, _c, i) => nextHash(h, word.charCodeAt(i)), 0)
const words = fc.uniqueArray(fc.string({ unit: fc.constantFrom('a', 'b', 'é'), minLength: 1, maxLength: 8 }), {
  minLength: 1,
  maxLength: 300,
})

test('a word is found where it stands in a text once it was added, and no other in its place', () => {
  fc.assert(
    fc.property(words, fc.nat(), (all, chosen) => {
      const table = new WordTable<{ text: string }>()
      const known = all.slice(0, 1 + (chosen % all.length))
      for (const word of known) table.add(hashOf(word), { text: word })
      let lost = 0
      for (const word of all) {
        const found = table.find(`a ${word}b`, 2, 2 + word.length, hashOf(word))
        // One whose slots were full is not kept; nothing is found in another's place.
        if (found) expect([found.text, known.includes(word)]).toEqual([word, true])
        else if (known.includes(word)) lost++
      }
      expect(lost).toBeLessThanOrEqual(known.length / 10)
    }),
  )
})

test('two words with the same hash are told apart', () => {
  // 31 · 98 + 0 = 31 · 97 + 31
  const [one, other] = ['b\u0000', 'a\u001f']
  expect(hashOf(one)).toBe(hashOf(other))
  const table = new WordTable<{ text: string }>()
  table.add(hashOf(one), { text: one })
  expect(table.find(other, 0, 2, hashOf(other))).toBeUndefined()
  table.add(hashOf(other), { text: other })
  expect(table.find(one, 0, 2, hashOf(one))!.text).toBe(one)
  expect(table.find(other, 0, 2, hashOf(other))!.text).toBe(other)
})

test('ten thousand words with one hash cost no more than others', () => {
  const table = new WordTable<{ text: string }>()
  const start = performance.now()
  for (let i = 0; i < 16384; i++) {
    const word = Array.from({ length: 14 }, (_, k) => (i & (1 << k) ? 'Aa' : 'BB')).join('')
    if (!table.find(word, 0, word.length, hashOf(word))) table.add(hashOf(word), { text: word })
    if (i < 16) expect(table.find(word, 0, word.length, hashOf(word))!.text).toBe(word)
  }
  expect(performance.now() - start).toBeLessThan(2000)
})
