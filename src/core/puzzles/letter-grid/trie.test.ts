import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { Trie } from './trie'

const words = fc.uniqueArray(fc.array(fc.nat(3), { minLength: 1, maxLength: 6 }), {
  maxLength: 400,
  selector: w => w.join(),
})

test('a trie ends where a word ends, and goes on where one goes on', () => {
  fc.assert(
    fc.property(words, fc.array(fc.nat(3), { maxLength: 7 }), (all, text) => {
      const trie = new Trie(4, all)
      expect(trie.longest).toBe(Math.max(0, ...all.map(w => w.length)))
      let node = 0
      for (const [i, sign] of text.entries()) {
        node = trie.step(node, sign)
        const said = text.slice(0, i + 1).join()
        expect(node > 0).toBe(all.some(w => w.slice(0, i + 1).join() === said))
        if (!node) return
        expect(trie.end(node)).toBe(all.findIndex(w => w.join() === said))
      }
    }),
  )
})
