import { type Pattern, type Slot, slotsOf } from './lattice'
import { bitsIn, bitsOf, LETTERS, lowest, placesOf, type Shelf, type WordStock } from './stock'

/** Words that are set into a slot before another is tried. */
const WORDS = 8
/** Any letter. */
const ANY = 2 ** LETTERS - 1

/**
 * Fills a pattern with words of a stock, no two of one clue. Of each slot the words that still fit are kept, of each cell the letters; what one
 * rules out of the other goes on until nothing more goes (arc consistency), so a dead end is seen before it is filled. The slot comes
 * next that few words fit and that often failed.
 */
export class Filling {
  readonly slots: readonly Slot[]
  private readonly shelves: (Shelf | undefined)[]
  private readonly fits: Uint32Array[]
  /** Letters that a cell can have, a bit a letter. */
  private readonly could: Int32Array
  /** The slots that a cell is in, and its place in each. */
  private readonly at: { slot: number; place: number }[][]
  /** Places of a slot whose letters became fewer since its words were looked through, a bit a place. */
  private readonly stale: Int32Array
  /** Where a word that has a letter at a place was found last. */
  private readonly found: Uint16Array[]
  private readonly failed: Float64Array
  private readonly done: Uint8Array
  /** Clues of the words that stand. */
  private readonly used = new Set<string>()
  /** What was before, to go back to. */
  private readonly wordsBefore: [slot: number, fits: Uint32Array][] = []
  private readonly lettersBefore: [cell: number, could: number][] = []
  /** Words that have one of some letters at a place. */
  private readonly some: Uint32Array
  /** Units of a slot's words in which there are any. */
  private readonly live: Uint16Array
  private steps = 0

  constructor(
    private readonly pattern: Pattern,
    stock: WordStock,
    private readonly chance: () => number,
    private readonly clueOf: (word: string) => string,
  ) {
    this.slots = slotsOf(pattern)
    this.shelves = this.slots.map(s => stock.shelf(s.cells.length))
    this.fits = this.shelves.map(s => s?.all ?? new Uint32Array(0))
    this.found = this.shelves.map(s => new Uint16Array(s?.has.length ?? 0))
    this.could = new Int32Array(pattern.open.length).fill(ANY)
    this.at = Array.from({ length: pattern.open.length }, () => [])
    this.slots.forEach((s, slot) => s.cells.forEach((cell, place) => this.at[cell]!.push({ slot, place })))
    this.some = new Uint32Array(Math.max(0, ...this.fits.map(f => f.length)))
    this.live = new Uint16Array(this.some.length)
    this.stale = new Int32Array(this.slots.length)
    this.failed = new Float64Array(this.slots.length).fill(1)
    this.done = new Uint8Array(this.slots.length)
  }

  /** Letters by cell, '' where none stands; nothing where the slots cannot be filled, or not in so many steps. */
  letters(steps: number): string[] | undefined {
    this.steps = steps
    if (this.shelves.includes(undefined) || !this.narrow([...this.slots.keys()]) || !this.go()) return undefined
    return Array.from(this.could, (bits, cell) =>
      this.pattern.open[cell] ? String.fromCharCode(65 + lowest(bits)) : '',
    )
  }

  /** Slots, those first in which words failed most often. */
  hardest(): Slot[] {
    const hard = Array.from(this.failed, f => f * (1 + this.chance()))
    return [...this.slots.keys()].sort((a, b) => hard[b]! - hard[a]!).map(i => this.slots[i]!)
  }

  private next(): number {
    let [slot, least] = [-1, Infinity]
    for (let i = 0; i < this.slots.length; i++) {
      if (this.done[i]) continue
      const n = bitsOf(this.fits[i]!)
      const cost = n === 1 ? -1 : Math.log(n) / this.failed[i]!
      if (cost < least) [slot, least] = [i, cost]
    }
    return slot
  }

  private go(): boolean {
    const slot = this.next()
    if (slot < 0) return true
    const { words } = this.shelves[slot]!
    const fits = placesOf(this.fits[slot]!).filter(w => !this.used.has(this.clueOf(words[w]!)))
    this.done[slot] = 1
    for (let k = 0; k < Math.min(WORDS, fits.length) && this.steps > 0; k++) {
      this.steps--
      const pick = k + Math.floor(this.chance() * (fits.length - k))
      ;[fits[k], fits[pick]] = [fits[pick]!, fits[k]!]
      const clue = this.clueOf(words[fits[k]!]!)
      const [w, l] = [this.wordsBefore.length, this.lettersBefore.length]
      this.used.add(clue)
      if (this.set(slot, fits[k]!) && this.go()) return true
      this.used.delete(clue)
      this.back(w, l)
    }
    this.done[slot] = 0
    return false
  }

  private set(slot: number, word: number): boolean {
    this.wordsBefore.push([slot, this.fits[slot]!])
    const only = new Uint32Array(this.fits[slot]!.length)
    only[word >> 5] = 1 << (word & 31)
    this.fits[slot] = only
    return this.narrow([slot])
  }

  private back(words: number, letters: number): void {
    while (this.wordsBefore.length > words) {
      const [slot, fits] = this.wordsBefore.pop()!
      this.fits[slot] = fits
    }
    while (this.lettersBefore.length > letters) {
      const [cell, could] = this.lettersBefore.pop()!
      this.could[cell] = could
    }
    this.stale.fill(0)
  }

  /** Looks through slots until none rules out a letter any more; false where one is left without a word. */
  private narrow(queue: number[]): boolean {
    const waits = new Set(queue)
    for (const slot of waits) {
      waits.delete(slot)
      if (this.stale[slot] && !this.dropWords(slot)) {
        this.failed[slot]! += 1
        return false
      }
      this.dropLetters(slot, waits)
    }
    return true
  }

  /** Words go that have a letter which its cell cannot have; whether some are left. */
  private dropWords(slot: number): boolean {
    const { has } = this.shelves[slot]!
    const fits = this.fits[slot]!.slice()
    for (let places = this.stale[slot]!; places; places &= places - 1) {
      const place = lowest(places)
      const could = this.could[this.slots[slot]!.cells[place]!]!
      // Taken away letter by letter, or put together, whichever are fewer.
      const away = ANY & ~could
      const fewer = bitsIn(away) < bitsIn(could)
      if (!fewer) this.some.fill(0, 0, fits.length)
      for (let left = fewer ? away : could; left; left &= left - 1) {
        const set = has[place * LETTERS + lowest(left)]!
        if (fewer) for (let k = 0; k < fits.length; k++) fits[k]! &= ~set[k]!
        else for (let k = 0; k < fits.length; k++) this.some[k]! |= set[k]!
      }
      if (!fewer) for (let k = 0; k < fits.length; k++) fits[k]! &= this.some[k]!
    }
    this.stale[slot] = 0
    this.wordsBefore.push([slot, this.fits[slot]!])
    this.fits[slot] = fits
    return fits.some(unit => unit !== 0)
  }

  /** Letters go that no word has there; the slots whose cells they are wait to be looked through. */
  private dropLetters(slot: number, waits: Set<number>): void {
    const { cells } = this.slots[slot]!
    const fits = this.fits[slot]!
    let lives = 0
    for (let k = 0; k < fits.length; k++) if (fits[k]) this.live[lives++] = k
    for (let place = 0; place < cells.length; place++) {
      const cell = cells[place]!
      const could = this.could[cell]!
      const left = this.lettersAt(slot, place, could, lives)
      if (left === could) continue
      this.lettersBefore.push([cell, could])
      this.could[cell] = left
      for (const other of this.at[cell]!) {
        if (other.slot === slot) continue
        this.stale[other.slot]! |= 1 << other.place
        waits.add(other.slot)
      }
    }
  }

  /** Those of some letters that a word of a slot has at a place. */
  private lettersAt(slot: number, place: number, could: number, lives: number): number {
    const { has } = this.shelves[slot]!
    const fits = this.fits[slot]!
    const found = this.found[slot]!
    let left = 0
    for (let bits = could; bits; bits &= bits - 1) {
      const letter = lowest(bits)
      const at = place * LETTERS + letter
      const set = has[at]!
      let k = found[at]!
      if (!(set[k]! & fits[k]!)) {
        let i = 0
        while (i < lives && !(set[this.live[i]!]! & fits[this.live[i]!]!)) i++
        if (i === lives) continue
        k = this.live[i]!
        found[at] = k
      }
      left |= 1 << letter
    }
    return left
  }
}
