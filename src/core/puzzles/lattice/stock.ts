/** Words of one length, and for each place and letter which of them have it there: a bit a word. */
export interface Shelf {
  words: string[]
  /** By place and letter, `place * LETTERS + letter`. */
  has: Uint32Array[]
  /** All words of the shelf. */
  all: Uint32Array
}

/** Letters of a lattice: A to Z. */
export const LETTERS = 26
const letterOf = (sign: string): number => sign.charCodeAt(0) - 65

/** Words by length, of the letters A to Z, ready to be looked up by their letters. */
export class WordStock {
  private readonly shelves = new Map<number, Shelf>()

  constructor(words: Iterable<string>) {
    const byLength = new Map<number, string[]>()
    for (const word of words)
      if (/^[A-Z]+$/.test(word)) byLength.set(word.length, [...(byLength.get(word.length) ?? []), word])
    for (const [length, list] of byLength) this.shelves.set(length, shelfOf(list, length))
  }

  shelf(length: number): Shelf | undefined {
    return this.shelves.get(length)
  }

  /** How many words have the letters that stand; '' where none does. */
  fitting(letters: readonly string[]): number {
    const shelf = this.shelves.get(letters.length)
    if (!shelf) return 0
    const fits = shelf.all.slice()
    for (const [i, sign] of letters.entries()) {
      if (!sign) continue
      const has = shelf.has[i * LETTERS + letterOf(sign)]
      if (!has) return 0
      for (let k = 0; k < fits.length; k++) fits[k]! &= has[k]!
    }
    return bitsOf(fits)
  }
}

function shelfOf(words: string[], length: number): Shelf {
  const units = Math.ceil(words.length / 32)
  const has = Array.from({ length: length * LETTERS }, () => new Uint32Array(units))
  const all = new Uint32Array(units)
  words.forEach((word, w) => {
    all[w >> 5]! |= 1 << (w & 31)
    for (let i = 0; i < length; i++) has[i * LETTERS + letterOf(word[i]!)]![w >> 5]! |= 1 << (w & 31)
  })
  return { words, has, all }
}

/** How many of 32 bits are set. */
export function bitsIn(bits: number): number {
  bits -= (bits >>> 1) & 0x55555555
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333)
  return (((bits + (bits >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24
}

export function bitsOf(set: Uint32Array): number {
  let n = 0
  for (let k = 0; k < set.length; k++) n += bitsIn(set[k]!)
  return n
}

/** Places of the bits that are set. */
export function placesOf(set: Uint32Array): number[] {
  const out: number[] = []
  set.forEach((bits, k) => {
    for (let left = bits; left; left &= left - 1) out.push(k * 32 + lowest(left))
  })
  return out
}

/** Place of the lowest bit that is set. */
export const lowest = (bits: number): number => 31 - Math.clz32(bits & -bits)
