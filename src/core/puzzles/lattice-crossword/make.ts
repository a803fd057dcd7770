import { Fault, once, seeded } from '../../trade'
import { banks, dictionary, gridLetters, meaningOf } from '../../words'
import type { Crossword } from '../lattice/crossword'
import { fillLattice, WordStock } from '../lattice/fill'
import { entriesOf } from '../lattice/lattice'
import { symmetric } from '../lattice/pattern'
import { helped } from '../lattice/reason'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import type { LatticeValues } from './values'

/** How many words count as the most common. */
const COMMON = 8000
/** Side of a lattice all of whose letters cross that words can still fill. */
const ALL = 9
/** Where the bands begin: bits that a clue has to tell. */
const begins = [0, 1.6, 2.6, 3.6, 4.5]

const clues = once(() => {
  const of = new Map<string, string>()
  // What was written by hand goes before what a dictionary says.
  for (const { words } of banks)
    for (const { word, clue } of words) if (clue && !of.has(gridLetters(word))) of.set(gridLetters(word), clue)
  return of
})
const clueOf = (letters: string): string | undefined => clues().get(letters) ?? meaningOf(letters)
const wordsUpTo = (rank: number): string[] =>
  dictionary()
    .known.slice(0, rank)
    .filter(w => w.length >= 3 && clueOf(w))
const stocks = {
  known: once(() => new WordStock(wordsUpTo(Infinity))),
  common: once(() => new WordStock(wordsUpTo(COMMON))),
}

/** A pattern, filled, with letters given as the band wants. */
export function make(
  { rows, cols, crossing, words, band }: LatticeValues,
  seed: number,
): Candidate<Crossword> | undefined {
  if (crossing === 'all' && Math.max(rows, cols) > ALL)
    throw new Fault(
      'values',
      `Lattices in which all letters cross are made up to ${ALL} by ${ALL}: larger ones are not filled with words that people know.`,
      undefined,
      {
        says: `Make it ${Math.min(ALL, cols)} by ${Math.min(ALL, rows)}`,
        values: { rows: Math.min(ALL, rows), cols: Math.min(ALL, cols) },
      },
    )
  const chance = seeded(seed)
  const pattern = symmetric(rows, cols, crossing, chance)
  const letters = pattern && fillLattice(pattern, stocks[words](), chance)
  if (!letters) return undefined
  const entries = entriesOf(pattern, letters).map(e => ({ ...e, clue: clueOf(e.answer)!, word: e.answer }))
  if (new Set(entries.map(e => e.clue)).size < entries.length) return undefined
  const help = helped(entries, { band, begins, chance })
  if (!help) return undefined
  const puzzle = { ...pattern, letters, entries, given: help.given, black: true }
  return { puzzle, difficulty: help.difficulty, twin: nameOfCells(rows, cols, (r, c) => letters[r * cols + c] || '.') }
}
