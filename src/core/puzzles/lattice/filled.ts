import { type Pattern } from './lattice'
import { type Crossing, mirrored, symmetric } from './pattern'
import { Filling } from './fill'
import type { WordStock } from './stock'

/** Steps of one search; searches at the most, each in a lattice with one more block. */
const STEPS = 400
const ROUNDS = 30
/** Share of the cells that are blocked at the most. */
const BLOCKED = 0.3

/**
 * A symmetric lattice with words in it, no two of one clue: letters by cell. Where all letters cross and no words are found, a block
 * cuts a word that failed most often, until the lattice can be filled: it becomes as open as the stock allows.
 */
export function filledLattice(
  { rows, cols, crossing }: { rows: number; cols: number; crossing: Crossing },
  stock: WordStock,
  chance: () => number,
  clueOf = (word: string): string => word,
): (Pattern & { letters: string[] }) | undefined {
  const pattern = symmetric(rows, cols, crossing, chance)
  if (!pattern) return undefined
  for (let round = 0; round < ROUNDS; round++) {
    const filling = new Filling(pattern, stock, chance, clueOf)
    const letters = filling.letters(STEPS)
    if (letters) return { ...pattern, letters }
    if (crossing === 'half' || pattern.open.filter(o => !o).length > BLOCKED * rows * cols) return undefined
    const cut = filling.hardest().some(({ cells }) => {
      const from = Math.floor(chance() * cells.length)
      return cells.some((_c, i) => mirrored(pattern, cells[(from + i) % cells.length]!))
    })
    if (!cut) return undefined
  }
  return undefined
}
