import { Fault, seeded } from '../../trade'
import { fill } from '../letter-grid/fill'
import { type LetterGrid, wholeBed } from '../letter-grid/grid'
import { lay } from '../letter-grid/lay'
import { measure, mixes } from '../letter-grid/measure'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import type { NumberSearchValues } from './values'

const FIGURES = Array.from('0123456789')
/** Share of the figures that stand in two numbers. */
const OVERLAP = 0.08
/** Figures by which a person thinks that a number begins: by three of them many seem to. */
const START = 4

/** Numbers by chance, no two alike nor one the other read backwards, laid as words are; the rest is filled with figures. */
export function make({ count, figures, rows, cols, band, marked }: NumberSearchValues, seed: number) {
  if (figures > Math.max(rows, cols))
    throw new Fault('no-place', `Numbers of ${figures} figures have no place in ${cols} by ${rows}.`)
  const chance = seeded(seed)
  const numbers = new Map<string, string>()
  while (numbers.size < count) {
    // No nought first: it would not be read as a number.
    const digits = Array.from({ length: figures }, (_, i) => Math.floor(chance() * (i ? 10 : 9)) + (i ? 0 : 1)).join('')
    const back = Array.from(digits).reverse().join('')
    if (!numbers.has(back)) numbers.set(digits, digits)
  }
  const bed = wholeBed(rows, cols)
  const words = [...numbers.keys()].map(word => ({ word, letters: word }))
  const laid = lay(bed, words, { mix: mixes[band], overlap: OVERLAP, chance })
  if ('homeless' in laid) {
    if (count * figures > rows * cols * 0.75)
      throw new Fault('no-place', `${count} numbers have no place in ${cols} by ${rows}: take fewer, or a larger grid.`)
    return undefined
  }
  const letters = fill(bed, laid, { pool: FIGURES, message: '', chance })
  if (!letters) return undefined
  const difficulty = measure(bed, laid.placed, letters, Math.min(START, figures))
  if (difficulty.band !== band) return undefined
  const puzzle: LetterGrid = { ...bed, letters, words: laid.placed, marked }
  const made: Candidate<LetterGrid> = {
    puzzle,
    difficulty,
    twin: nameOfCells(rows, cols, (r, c) => letters[r * cols + c]!),
  }
  return made
}
