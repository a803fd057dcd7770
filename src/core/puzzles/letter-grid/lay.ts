import { type Bed, type Direction, directions, type PlacedWord, steps } from './grid'

/** How words are to lie. */
export interface Laying {
  /** How often each direction is wanted, against the others; 0: never. */
  mix: Record<Direction, number>
  /** Share of the words' letters that stand in a cell of another word, 0 to 1: as near as the words allow. */
  overlap: number
  chance: () => number
}

/** Words as they were laid, the letters where they stand; or the first word that found no place. */
export type Laid = { placed: PlacedWord[]; letters: string[] } | { homeless: string }

/** A word to be laid. */
export interface ToLay {
  word: string
  letters: string
}

/** Lays words in a bed, the longest first, each where it crosses about as many letters as are wanted. */
export function lay(bed: Bed, words: readonly ToLay[], { mix, overlap, chance }: Laying): Laid {
  const letters = new Array<string>(bed.rows * bed.cols).fill('')
  const codes = new Map<string, number>()
  const codeOf = (sign: string): number => codes.get(sign) ?? (codes.set(sign, codes.size + 1), codes.size)
  const sheet = Int16Array.from(bed.open, open => (open ? FREE : CLOSED))
  const placed: PlacedWord[] = []
  const used = Object.fromEntries(directions.map(d => [d, 0])) as Record<Direction, number>
  const wanted = directions.reduce((n, d) => n + mix[d], 0)
  let [laid, shared] = [0, 0]
  const order = words.map(w => ({ ...w, chance: chance() }))
  order.sort((a, b) => b.letters.length - a.letters.length || a.chance - b.chance)
  for (const { word, letters: of } of order) {
    const signs = Array.from(of)
    const said = Int16Array.from(signs, codeOf)
    laid += signs.length
    const crossings = Math.max(0, Math.round(overlap * laid) - shared)
    // The direction that is furthest behind its share first; a little chance among those that are even.
    const behind = (d: Direction): number => (mix[d] / wanted) * (placed.length + 1) - used[d] + chance() * 0.5
    const ways = directions.filter(d => mix[d] > 0).map(d => ({ d, behind: behind(d) }))
    ways.sort((a, b) => b.behind - a.behind)
    let best: { row: number; col: number; direction: Direction; crossed: number } | undefined
    for (const { d } of ways) {
      best = place(bed, sheet, { said, direction: d, crossings, chance })
      if (best) break
    }
    if (!best) return { homeless: word }
    const [down, right] = steps[best.direction]
    signs.forEach((sign, i) => {
      const at = (best.row + down * i) * bed.cols + best.col + right * i
      letters[at] = sign
      sheet[at] = said[i]!
    })
    placed.push({ word, letters: of, row: best.row, col: best.col, direction: best.direction })
    used[best.direction]++
    shared += best.crossed
  }
  return { placed, letters }
}

/** What stands in a cell while words are laid: nothing yet, or nothing ever; a letter by a number of its own, from 1. */
const FREE = 0
const CLOSED = -1

/** The place in a direction whose crossings are nearest to those wanted; by chance among equals. */
function place(
  { rows, cols }: Bed,
  sheet: Int16Array,
  want: { said: Int16Array; direction: Direction; crossings: number; chance: () => number },
) {
  const { said, direction, crossings, chance } = want
  const [down, right] = steps[direction]
  const length = said.length
  const [firstRow, lastRow] = [down < 0 ? length - 1 : 0, down > 0 ? rows - length : rows - 1]
  const [firstCol, lastCol] = [right < 0 ? length - 1 : 0, right > 0 ? cols - length : cols - 1]
  const step = down * cols + right
  let best: { row: number; col: number; direction: Direction; crossed: number } | undefined
  let [bestMiss, equals] = [Infinity, 0]
  for (let row = firstRow; row <= lastRow; row++)
    for (let col = firstCol; col <= lastCol; col++) {
      let crossed = 0
      for (let i = 0, at = row * cols + col; i < length; i++, at += step) {
        const there = sheet[at]!
        if (there === FREE) continue
        if (there !== said[i]) {
          crossed = -1
          break
        }
        crossed++
      }
      // A word all of whose letters are there already has no place of its own.
      if (crossed < 0 || crossed === length) continue
      const miss = Math.abs(crossed - crossings)
      if (miss > bestMiss) continue
      if (miss < bestMiss) [bestMiss, equals] = [miss, 0]
      equals++
      if (chance() * equals < 1) best = { row, col, direction, crossed }
    }
  return best
}
