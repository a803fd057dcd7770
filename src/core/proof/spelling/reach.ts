/** Letters that are looked at: further in, few words part. */
const FAR = 14
/** Bits for each beginning that is kept: one that no word has passes by chance once in a dozen times. */
const BITS_EACH = 12
const MOST_BITS = 1 << 26

/** How many letters of a form, from its start or from its end, some word has there: at least so many as are true, seldom more. */
export type Reach = (form: string) => number

/**
 * Told by a set of bits (a Bloom filter). Of the thousands of forms that are tried for a suggestion nearly all are seen to be none
 * after a few letters.
 */
export function reachOf(words: readonly string[], from: 'start' | 'end'): Reach {
  const all = words.reduce((n, w) => n + Math.min(w.length, FAR), 0)
  const size = Math.min(MOST_BITS, 1 << Math.ceil(Math.log2(Math.max(1024, all * BITS_EACH))))
  const bits = new Uint32Array(size >> 5)
  const step = from === 'start' ? 1 : -1
  const letter = (word: string, i: number): number => word.charCodeAt(step > 0 ? i : word.length - 1 - i)
  const next = (hash: number, code: number): number => Math.imul(hash ^ code, 0x01000193)
  const bit = (hash: number): number => (hash ^ (hash >>> 15)) & (size - 1)
  for (const word of words) {
    let hash = 0x811c9dc5
    for (let i = 0; i < word.length && i < FAR; i++) {
      hash = next(hash, letter(word, i))
      const at = bit(hash)
      bits[at >> 5]! |= 1 << (at & 31)
    }
  }
  return form => {
    let hash = 0x811c9dc5
    for (let i = 0; i < form.length && i < FAR; i++) {
      hash = next(hash, letter(form, i))
      const at = bit(hash)
      if (!(bits[at >> 5]! & (1 << (at & 31)))) return i
    }
    return form.length
  }
}
