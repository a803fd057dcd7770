import { once, seeded } from '../../trade'
import { banks, dictionary, gridLetters, meaningOf } from '../../words'
import type { Crossword } from '../lattice/crossword'
import { filledLattice } from '../lattice/filled'
import { entriesOf } from '../lattice/lattice'
import { helped } from '../lattice/reason'
import { WordStock } from '../lattice/stock'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import type { LatticeValues } from './values'

/** How many words count as the most common. */
const COMMON = 8000
/** Where the bands begin: bits that a clue has to tell; letters that all cross tell more of each other. */
const begins = { half: [0, 1.6, 2.6, 3.6, 4.5], all: [0, 0.9, 1.5, 2.1, 2.6] }

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
  const chance = seeded(seed)
  const filled = filledLattice({ rows, cols, crossing }, stocks[words](), chance, w => clueOf(w)!)
  if (!filled) return undefined
  const { letters } = filled
  const entries = entriesOf(filled, letters).map(e => ({ ...e, clue: clueOf(e.answer)!, word: e.answer }))
  const help = helped(entries, { band, begins: begins[crossing], chance })
  if (!help) return undefined
  const puzzle = { ...filled, entries, given: help.given, black: true }
  return { puzzle, difficulty: help.difficulty, twin: nameOfCells(rows, cols, (r, c) => letters[r * cols + c] || '.') }
}
