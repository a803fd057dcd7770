import type { Frag } from './textStyle'

/** Slots at first; always a power of two. */
const SLOTS = 64

/** A hash of a word is made letter by letter, as a text is read. */
export const nextHash = (hash: number, code: number): number => (Math.imul(hash, 31) + code) | 0

/**
 * Words that a style has met, found by where they stand in a text: a word that is known is not cut out of it first. Open addressing;
 * at most half of the slots are taken.
 */
export class WordTable {
  private frags = new Array<Frag | undefined>(SLOTS).fill(undefined)
  private hashes = new Int32Array(SLOTS)
  private count = 0

  /** The word at `from` to `to` of a text, whose letters hash to `hash`. */
  find(text: string, from: number, to: number, hash: number): Frag | undefined {
    const mask = this.frags.length - 1
    for (let slot = hash & mask; ; slot = (slot + 1) & mask) {
      const frag = this.frags[slot]
      if (!frag) return undefined
      if (this.hashes[slot] === hash && frag.text.length === to - from && text.startsWith(frag.text, from)) return frag
    }
  }

  /** Keeps a word that is not there yet. */
  add(hash: number, frag: Frag): void {
    if (++this.count * 2 > this.frags.length) this.grow()
    this.put(hash, frag)
  }

  private put(hash: number, frag: Frag): void {
    const mask = this.frags.length - 1
    let slot = hash & mask
    while (this.frags[slot]) slot = (slot + 1) & mask
    this.frags[slot] = frag
    this.hashes[slot] = hash
  }

  private grow(): void {
    const { frags, hashes } = this
    this.frags = new Array<Frag | undefined>(frags.length * 2).fill(undefined)
    this.hashes = new Int32Array(frags.length * 2)
    frags.forEach((frag, slot) => frag && this.put(hashes[slot]!, frag))
  }
}
