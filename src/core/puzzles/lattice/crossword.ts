import { type Entry, entriesOf, inOnePiece, type Pattern } from './lattice'
import type { Proof } from '../puzzle'

/** A crossword, as it is printed: letters by cell, empty where it is blocked; a clue an entry. */
export interface Crossword extends Pattern {
  letters: string[]
  entries: (Entry & { clue: string; word: string })[]
  /** Cells whose letters are given. */
  given: number[]
  /** Blocked cells are printed black; otherwise nothing is printed there. */
  black: boolean
}

/** What is printed of it for other programs. */
export const crosswordRecord = ({ rows, cols, entries, given }: Crossword): object => ({
  rows,
  cols,
  entries: entries.map(({ number, way, row, col, answer, clue }) => ({
    number,
    direction: way,
    row,
    col,
    answer,
    clue,
  })),
  given: given.map(at => ({ row: Math.floor(at / cols), col: at % cols })),
})

/**
 * Writes every answer into an empty grid and reads what stands there, line by line: the same letters where words cross, no words but
 * the entries, numbers as they are read, all in one piece, and no clue that two answers have.
 */
export function proveCrossword({ rows, cols, entries, letters, given }: Crossword): Proof {
  const grid = new Array<string>(rows * cols).fill('')
  let fits = entries.length > 0
  for (const { way, row, col, answer } of entries)
    Array.from(answer).forEach((sign, i) => {
      const [r, c] = way === 'across' ? [row, col + i] : [row + i, col]
      if (r >= rows || c >= cols || (grid[r * cols + c] && grid[r * cols + c] !== sign)) fits = false
      else grid[r * cols + c] = sign
    })
  const read: string[] = []
  const lines = (count: number, length: number, at: (line: number, i: number) => number): void => {
    for (let line = 0; line < count; line++) {
      let word = ''
      for (let i = 0; i <= length; i++) {
        const sign = i < length ? grid[at(line, i)]! : ''
        if (sign) word += sign
        else {
          if (word.length > 1) read.push(word)
          word = ''
        }
      }
    }
  }
  lines(rows, cols, (r, i) => r * cols + i)
  lines(cols, rows, (c, i) => i * cols + c)
  const answers = entries.map(e => e.answer)
  const same = [...read].sort().join() === [...answers].sort().join()
  const open = Uint8Array.from(grid, sign => (sign ? 1 : 0))
  const numbers = entriesOf({ rows, cols, open }, grid).map(e => `${e.number}${e.way}${e.answer}`)
  const told = entries.map(e => `${e.number}${e.way}${e.answer}`)
  const clues = new Set(entries.map(e => e.clue))
  const one = fits && same && inOnePiece({ rows, cols, open }) && clues.size === entries.length
  return {
    answers: one ? 1 : fits ? 2 : 0,
    agrees:
      one &&
      grid.join() === letters.join() &&
      given.every(at => grid[at]) &&
      numbers.sort().join() === told.sort().join() &&
      new Set(answers).size === answers.length,
  }
}
