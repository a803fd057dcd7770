/** How far the order of words may stray from their lengths, letters. */
const LOOSE = 4

/** Words in a grid that hang together. */
export interface Woven {
  rows: number
  cols: number
  letters: string[]
}

interface Place {
  row: number
  col: number
  down: boolean
  crossings: number
}

/** A sheet that words are laid on, its middle anywhere: cut to what stands on it at the end. */
class Sheet {
  private readonly letters: string[]
  private readonly wide: number
  /** Which way words go through each cell: 1 across, 2 down. */
  private readonly ways: Uint8Array
  private box = { top: Infinity, left: Infinity, bottom: -1, right: -1 }

  constructor(private readonly side: number) {
    // Room for the grid to grow to any side of the first word, and an edge.
    this.wide = 2 * side + 2
    this.letters = new Array<string>(this.wide ** 2).fill('')
    this.ways = new Uint8Array(this.wide ** 2)
  }

  first(word: readonly string[], down: boolean): void {
    this.put(word, { row: this.side, col: this.side, down, crossings: 0 })
  }

  put(word: readonly string[], { row, col, down }: Place): void {
    word.forEach((sign, i) => {
      const at = (row + (down ? i : 0)) * this.wide + col + (down ? 0 : i)
      this.letters[at] = sign
      this.ways[at]! |= down ? 2 : 1
    })
    this.box = this.grown(word.length, { row, col, down, crossings: 0 })
  }

  private grown(length: number, { row, col, down }: Place) {
    const { top, left, bottom, right } = this.box
    return {
      top: Math.min(top, row),
      left: Math.min(left, col),
      bottom: Math.max(bottom, row + (down ? length - 1 : 0)),
      right: Math.max(right, col + (down ? 0 : length - 1)),
    }
  }

  /** The place of a word with the most crossings, and then the least growth; by chance among equals. */
  best(word: readonly string[], chance: () => number): Place | undefined {
    let [best, most, equals]: [Place | undefined, number, number] = [undefined, -Infinity, 0]
    const { top, left, bottom, right } = this.box
    for (let r = top; r <= bottom; r++)
      for (let c = left; c <= right; c++) {
        const sign = this.letters[r * this.wide + c]
        if (!sign) continue
        for (let i = 0; i < word.length; i++) {
          if (word[i] !== sign) continue
          for (const down of [false, true]) {
            const place = this.fits(word, { row: down ? r - i : r, col: down ? c : c - i, down, crossings: 0 })
            if (!place) continue
            const box = this.grown(word.length, place)
            const [high, broad] = [box.bottom - box.top + 1, box.right - box.left + 1]
            if (high > this.side || broad > this.side) continue
            const growth = high * broad - (bottom - top + 1) * (right - left + 1)
            const worth = place.crossings * 24 - growth
            if (worth < most) continue
            if (worth > most) [most, equals] = [worth, 0]
            if (chance() * ++equals < 1) best = place
          }
        }
      }
    return best
  }

  /** Whether a word can lie somewhere: its letters where letters are, and beside no other word but those that it crosses. */
  private fits(word: readonly string[], place: Place): Place | undefined {
    const { row, col, down } = place
    const { wide, letters, ways } = this
    const [step, side] = down ? [wide, 1] : [1, wide]
    if (row < 1 || col < 1 || row + (down ? word.length : 1) >= wide || col + (down ? 1 : word.length) >= wide)
      return undefined
    const from = row * wide + col
    if (letters[from - step] || letters[from + step * word.length]) return undefined
    let crossings = 0
    for (let i = 0, at = from; i < word.length; i++, at += step) {
      if (letters[at]) {
        if (letters[at] !== word[i] || ways[at]! & (down ? 2 : 1)) return undefined
        crossings++
      } else if (letters[at - side] || letters[at + side]) return undefined
    }
    return crossings ? { ...place, crossings } : undefined
  }

  cut(): Woven {
    const { top, left, bottom, right } = this.box
    const [rows, cols] = [bottom - top + 1, right - left + 1]
    return {
      rows,
      cols,
      letters: Array.from(
        { length: rows * cols },
        (_, i) => this.letters[(top + Math.floor(i / cols)) * this.wide + left + (i % cols)]!,
      ),
    }
  }
}

/** Weaves words into a grid of no more than so many cells a side; words that found no place are left over. */
export function weave(words: readonly string[], side: number, chance: () => number): { woven: Woven; left: string[] } {
  const order = words.map(word => ({ word, signs: Array.from(word), chance: chance() }))
  // Longer ones first, but not always: other orders leave other room.
  const weight = (o: (typeof order)[number]): number => o.signs.length + o.chance * LOOSE
  order.sort((a, b) => weight(b) - weight(a))
  const sheet = new Sheet(side)
  sheet.first(order[0]!.signs, chance() < 0.5)
  let open = order.slice(1)
  // What has no place yet may have one when more words lie.
  for (let laid = true; laid && open.length;) {
    laid = false
    open = open.filter(({ signs }) => {
      const place = sheet.best(signs, chance)
      if (!place) return true
      sheet.put(signs, place)
      laid = true
      return false
    })
  }
  return { woven: sheet.cut(), left: open.map(o => o.word) }
}
