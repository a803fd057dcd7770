import { once, seeded, shuffled } from '../../trade'
import { dictionary } from '../../words'
import { bands } from '../difficulty'
import { filledLattice } from '../lattice/filled'
import { entriesOf } from '../lattice/lattice'
import { WordStock } from '../lattice/stock'
import type { Candidate } from '../puzzle'
import { reason, untold } from '../substitution/reason'
import { nameOfCells } from '../turns'
import type { Codeword, CodewordValues } from './values'

/** The first so many known words fill the lattice. */
const WORDS = 14_000
/** Letters that a lattice has at the least; a small one has fewer. */
const LETTERS = 19
const CELLS_A_LETTER = 8
/** Where the bands begin, costs of reading. */
const begins = [0, 4, 7, 9.5, 12]

const stock = once(
  () =>
    new WordStock(
      dictionary()
        .known.slice(0, WORDS)
        .filter(w => w.length >= 3),
    ),
)

/** A filled lattice under numbers, with as many letters given as the band wants, and as many as must be for it to have one reading. */
export function make({ rows, cols, band }: CodewordValues, seed: number): Candidate<Codeword> | undefined {
  const chance = seeded(seed)
  const filled = filledLattice({ rows, cols, crossing: 'half' }, stock(), chance)
  if (!filled) return undefined
  const { letters } = filled
  const signs = [...new Set(letters.filter(Boolean))]
  if (signs.length < Math.min(LETTERS, (rows * cols) / CELLS_A_LETTER)) return undefined
  const words = entriesOf(filled, letters).map(e => e.answer)
  const given = untold(words)
  const order = shuffled(
    signs.filter(s => !given.includes(s)),
    chance,
  )
  let difficulty = reason(words, given, begins)
  while (bands.indexOf(difficulty.band) > bands.indexOf(band) && order.length) {
    given.push(order.pop()!)
    difficulty = reason(words, given, begins)
  }
  if (difficulty.band !== band) return undefined
  const numbered = shuffled([...signs], chance)
  const key = Object.fromEntries(numbered.map((sign, i) => [i + 1, sign]))
  const numbers = letters.map(sign => (sign ? numbered.indexOf(sign) + 1 : 0))
  const hints = given.map(sign => numbered.indexOf(sign) + 1).sort((a, b) => a - b)
  const puzzle = { ...filled, numbers, key, hints }
  return { puzzle, difficulty, twin: nameOfCells(rows, cols, (r, c) => letters[r * cols + c] || '.') }
}
