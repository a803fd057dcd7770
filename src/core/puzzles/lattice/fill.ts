import { type Pattern, slotsOf } from './lattice'

/** Words of one length, and for each place and letter which of them have it there: a bit a word. */
interface Shelf {
  words: string[]
  has: Map<string, Uint32Array>[]
}

/** Words by length, ready to be looked up by their letters. */
export class WordStock {
  private readonly shelves = new Map<number, Shelf>()

  constructor(words: Iterable<string>) {
    for (const word of words) {
      let shelf = this.shelves.get(word.length)
      if (!shelf) this.shelves.set(word.length, (shelf = { words: [], has: [] }))
      shelf.words.push(word)
    }
    for (const [length, shelf] of this.shelves) {
      const bits = Math.ceil(shelf.words.length / 32)
      shelf.has = Array.from({ length }, () => new Map<string, Uint32Array>())
      shelf.words.forEach((word, w) =>
        Array.from(word).forEach((sign, i) => {
          let set = shelf.has[i]!.get(sign)
          if (!set) shelf.has[i]!.set(sign, (set = new Uint32Array(bits)))
          set[w >> 5]! |= 1 << (w & 31)
        }),
      )
    }
  }

  /** Words that have the letters that stand; '' where none does. */
  fitting(letters: readonly string[]): Uint32Array | undefined {
    const shelf = this.shelves.get(letters.length)
    if (!shelf) return undefined
    const out = new Uint32Array(Math.ceil(shelf.words.length / 32)).fill(0xffffffff)
    const over = shelf.words.length & 31
    if (over) out[out.length - 1] = 2 ** over - 1
    for (let i = 0; i < letters.length; i++) {
      if (!letters[i]) continue
      const set = shelf.has[i]!.get(letters[i]!)
      if (!set) return undefined
      for (let k = 0; k < out.length; k++) out[k]! &= set[k]!
    }
    return out
  }

  listed(length: number, set: Uint32Array): string[] {
    const { words } = this.shelves.get(length)!
    const out: string[] = []
    set.forEach((bits, k) => {
      for (let left = bits; left; left &= left - 1) out.push(words[k * 32 + (31 - Math.clz32(left & -left))]!)
    })
    return out
  }
}

export function countOf(set: Uint32Array | undefined): number {
  let n = 0
  if (set)
    for (let bits of set) {
      bits -= (bits >>> 1) & 0x55555555
      bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333)
      n += (((bits + (bits >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24
    }
  return n
}

/** Words that are set into a slot before another is tried; steps of one search. */
const WORDS = 14
const STEPS = 1500

/**
 * Fills a pattern with words of a stock, none twice: always the slot that the fewest words fit, by chance among those, as long as every
 * slot that crosses it keeps some. Letters by cell, or nothing within a number of steps.
 */
export function fillLattice(pattern: Pattern, stock: WordStock, chance: () => number): string[] | undefined {
  const slots = slotsOf(pattern)
  const letters = new Array<string>(pattern.open.length).fill('')
  const crossing = new Map<number, number[]>()
  slots.forEach((s, i) => s.cells.forEach(at => crossing.set(at, [...(crossing.get(at) ?? []), i])))
  const used = new Set<string>()
  const could = slots.map(s => stock.fitting(s.cells.map(() => '')))
  const open = new Set(slots.keys())
  let steps = 0
  const go = (): boolean => {
    if (!open.size) return true
    if (steps++ > STEPS) return false
    let [slot, fewest] = [-1, Infinity]
    for (const i of open) {
      const n = countOf(could[i])
      if (n < fewest) [slot, fewest] = [i, n]
    }
    if (!fewest) return false
    const { cells } = slots[slot]!
    const words = stock.listed(cells.length, could[slot]!).filter(w => !used.has(w))
    open.delete(slot)
    for (let k = 0; k < Math.min(WORDS, words.length); k++) {
      const pick = k + Math.floor(chance() * (words.length - k))
      ;[words[k], words[pick]] = [words[pick]!, words[k]!]
      const word = words[k]!
      const undo = put(cells, word, slot)
      if (undo) {
        used.add(word)
        if (go()) return true
        used.delete(word)
        undo()
      }
      if (steps > STEPS) break
    }
    open.add(slot)
    return false
  }
  /** Sets a word; gives what takes it back, or nothing where a crossing slot would be left without one. */
  const put = (cells: readonly number[], word: string, slot: number): (() => void) | undefined => {
    const fresh = cells.filter(at => !letters[at])
    const before = new Map<number, Uint32Array | undefined>()
    cells.forEach((at, i) => (letters[at] = word[i]!))
    const undo = (): void => {
      for (const at of fresh) letters[at] = ''
      for (const [i, set] of before) could[i] = set
    }
    for (const at of fresh)
      for (const i of crossing.get(at)!) {
        if (i === slot || !open.has(i)) continue
        before.set(i, could[i])
        could[i] = stock.fitting(slots[i]!.cells.map(c => letters[c]!))
        if (!countOf(could[i])) {
          undo()
          return undefined
        }
      }
    return undo
  }
  return go() ? letters : undefined
}
