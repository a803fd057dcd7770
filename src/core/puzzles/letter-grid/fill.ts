import { offences, plainLetters } from '../../words'
import { type Bed, cellOf, directions, type PlacedWord, steps } from './grid'
import { Trie } from './trie'

/** Turns of changing letters until nothing is spelled that must not be: a grid that needs more is given up. */
const TURNS = 60

/** What the cells without a word are filled with. */
export interface Filling {
  /** Letters to draw from: what is in it twice comes twice as often. */
  pool: readonly string[]
  /** What the first of them say, in the order of reading. */
  message: string
  chance: () => number
}

/**
 * Fills the cells that no word has. Along no line, in no direction, stands then a word that offends, nor one of the list a second
 * time, but for what lies within a single word of the list, or of the message as it is read. Nothing where that does not come about.
 */
export function fill(
  bed: Bed,
  { placed, letters }: { placed: readonly PlacedWord[]; letters: readonly string[] },
  { pool, message, chance }: Filling,
): string[] | undefined {
  const full = [...letters]
  const free = [...full.keys()].filter(at => full[at] === '' && bed.open[at])
  const said = Array.from(message)
  if (said.length > free.length) return undefined
  const draw = (): string => pool[Math.floor(chance() * pool.length)]!
  free.forEach((at, i) => (full[at] = said[i] ?? draw()))
  const changeable = new Uint8Array(full.length)
  for (const at of free.slice(said.length)) changeable[at] = 1
  const order = new Map(free.slice(0, said.length).map((at, i) => [at, i]))
  /** A piece of the message as it is read, on or back: what it says was looked over by itself. */
  const isSaid = (line: readonly number[]): boolean => {
    const places = line.map(at => order.get(at) ?? NaN)
    return [1, -1].some(step => places.every((p, i) => p === places[0]! + i * step))
  }
  const watch = new Watch(bed, placed)
  watch.take(full, full.keys())
  let changed: number[] | undefined
  for (let turn = 0; turn < TURNS; turn++) {
    const wrong = watch.spelled(changed).filter(line => !isSaid(line))
    if (!wrong.length) return full
    changed = []
    for (const line of wrong) {
      const may = line.filter(at => changeable[at])
      if (!may.length) return undefined
      const at = may[Math.floor(chance() * may.length)]!
      full[at] = draw()
      watch.take(full, [at])
      changed.push(at)
    }
  }
  return undefined
}

let offending: Trie | undefined
/** Words that offend, letters from A as 0; one trie for all grids. */
const offence = (): Trie =>
  (offending ??= new Trie(
    26,
    offences().map(w => Array.from(w, ch => ch.charCodeAt(0) - 65)),
  ))

/** Watches what the lines of a grid spell. Its cells have a closed edge around them: what is read along a line ends there. */
class Watch {
  private readonly signs = new Map<string, number>()
  private readonly words: Trie
  private readonly wide: number
  /** Letters by cell, as the words' trie and the offending words' know them; -1 where no word goes on. */
  private readonly own: Int16Array
  private readonly plain: Int16Array
  /** Cells of each word of the list, from its first letter. */
  private readonly homes: number[][]
  /** The words of which each cell is a part. */
  private readonly partOf = new Map<number, number[]>()
  /** Letters of the longest word that is looked for. */
  private readonly longest: number

  constructor(
    private readonly bed: Bed,
    placed: readonly PlacedWord[],
  ) {
    for (const { letters } of placed)
      for (const sign of letters) if (!this.signs.has(sign)) this.signs.set(sign, this.signs.size)
    this.words = new Trie(
      Math.max(1, this.signs.size),
      placed.map(p => Array.from(p.letters, sign => this.signs.get(sign)!)),
    )
    this.wide = bed.cols + 2
    this.longest = Math.max(offence().longest, this.words.longest)
    this.own = new Int16Array(this.wide * (bed.rows + 2)).fill(-1)
    this.plain = this.own.slice()
    this.homes = placed.map(p => Array.from(p.letters, (_s, i) => cellOf(p, i, bed.cols)))
    this.homes.forEach((cells, w) => cells.forEach(at => this.partOf.set(at, [...(this.partOf.get(at) ?? []), w])))
  }

  /** Takes the letters of some cells. */
  take(full: readonly string[], cells: Iterable<number>): void {
    for (const at of cells) {
      const here = this.edged(at)
      const sign = full[at]!
      this.own[here] = this.signs.get(sign) ?? -1
      this.plain[here] = sign ? plainCode(sign) : -1
    }
  }

  private edged(at: number): number {
    return (Math.floor(at / this.bed.cols) + 1) * this.wide + (at % this.bed.cols) + 1
  }

  /** Lines of cells that spell what they must not; of those that any of the changed cells lies on, where these are named. */
  spelled(changed?: readonly number[]): number[][] {
    const out: number[][] = []
    const offending = offence()
    const [{ cols }, { wide }] = [this.bed, this]
    const line = (at: number, right: number, down: number, length: number): number[] =>
      Array.from({ length }, (_, i) => at + (down * cols + right) * i)
    for (const direction of directions) {
      const [down, right] = steps[direction]
      const step = down * wide + right
      let start = 0
      const ofList = (length: number, word: number): void => {
        const cells = line(start, right, down, length)
        if (!this.isHome(cells, word)) out.push(cells)
      }
      const offends = (length: number): void => {
        const cells = line(start, right, down, length)
        if (!this.isWithin(cells)) out.push(cells)
      }
      for (start of this.startsTo(changed, down, right)) {
        const from = this.edged(start)
        reads(this.own, this.words, from, step, ofList)
        reads(this.plain, offending, from, step, offends)
      }
    }
    return out
  }

  /** Cells from which a line that goes so may spell a word that reaches one of the changed cells: all of them where none are named. */
  private startsTo(changed: readonly number[] | undefined, down: number, right: number): Iterable<number> {
    const { rows, cols } = this.bed
    if (!changed) return Array(rows * cols).keys()
    const starts = new Set<number>()
    for (const at of changed) {
      let [row, col] = [Math.floor(at / cols), at % cols]
      for (let i = 0; i < this.longest && row >= 0 && col >= 0 && row < rows && col < cols; i++) {
        starts.add(row * cols + col)
        row -= down
        col -= right
      }
    }
    return starts
  }

  /** Whether cells are those that the word was laid on: read either way where it is the same both ways. */
  private isHome(cells: readonly number[], word: number): boolean {
    const home = this.homes[word]!
    return (
      (cells[0] === home[0] && cells.at(-1) === home.at(-1)) || (cells[0] === home.at(-1) && cells.at(-1) === home[0])
    )
  }

  /** Whether all cells belong to one word of the list: what its author wrote is his. */
  private isWithin(cells: readonly number[]): boolean {
    return (this.partOf.get(cells[0]!) ?? []).some(w => cells.every(at => this.partOf.get(at)?.includes(w)))
  }
}

/** Reads from a cell as long as some word goes on, and says what ends on the way: how many letters, and which word. */
function reads(
  codes: Int16Array,
  trie: Trie,
  from: number,
  step: number,
  ends: (length: number, word: number) => void,
): void {
  let node = 0
  for (let at = from, length = 1; ; at += step, length++) {
    const code = codes[at]!
    if (code < 0) return
    node = trie.step(node, code)
    if (!node) return
    const word = trie.end(node)
    if (word >= 0) ends(length, word)
  }
}

const codes = new Map<string, number>()
/** A letter from A as 0, without its accents; -1 for all others. */
function plainCode(sign: string): number {
  let code = codes.get(sign)
  if (code === undefined) {
    const plain = plainLetters(sign)
    code = plain.length === 1 && plain >= 'A' && plain <= 'Z' ? plain.charCodeAt(0) - 65 : -1
    codes.set(sign, code)
  }
  return code
}
