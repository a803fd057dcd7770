/** Slots at first; always a power of two. */
const SLOTS = 64
/** Slots that are looked at for one word: a text made of words with one hash costs no more than any other. */
const PROBES = 16

/** A hash of a word is made letter by letter, as a text is read. */
export const nextHash = (hash: number, code: number): number => (Math.imul(hash, 31) + code) | 0

/**
 * Words that a style has met, found by where they stand in a text: a word that is known is not cut out of it first. Open addressing;
 * at most half of the slots are taken. Words whose slots are full are not kept: they are found in another way.
 */
export class WordTable<W extends { text: string }> {
  private words = new Array<W | undefined>(SLOTS).fill(undefined)
  private hashes = new Int32Array(SLOTS)
  private count = 0

  /** The word at `from` to `to` of a text, whose letters hash to `hash`. */
  find(text: string, from: number, to: number, hash: number): W | undefined {
    const mask = this.words.length - 1
    for (let probe = 0; probe < PROBES; probe++) {
      const slot = (hash + probe) & mask
      const word = this.words[slot]
      if (!word) return undefined
      if (this.hashes[slot] === hash && word.text.length === to - from && text.startsWith(word.text, from)) return word
    }
    return undefined
  }

  /** Keeps a word that is not there yet, where there is room for it. */
  add(hash: number, word: W): void {
    if ((this.count + 1) * 2 > this.words.length) this.grow()
    if (this.put(hash, word)) this.count++
  }

  private put(hash: number, word: W): boolean {
    const mask = this.words.length - 1
    for (let probe = 0; probe < PROBES; probe++) {
      const slot = (hash + probe) & mask
      if (this.words[slot]) continue
      this.words[slot] = word
      this.hashes[slot] = hash
      return true
    }
    return false
  }

  private grow(): void {
    const { words, hashes } = this
    this.words = new Array<W | undefined>(words.length * 2).fill(undefined)
    this.hashes = new Int32Array(words.length * 2)
    words.forEach((word, slot) => word && this.put(hashes[slot]!, word))
  }
}
