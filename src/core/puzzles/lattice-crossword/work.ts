import { type Crossword, crosswordRecord, proveCrossword } from '../lattice/crossword'
import { draw, ratio } from '../lattice/draw'
import type { PuzzleWork } from '../puzzle'
import { make } from './make'
import type { LatticeValues } from './values'

export const work: PuzzleWork<LatticeValues, Crossword> = {
  make,
  prove: proveCrossword,
  ratio,
  draw,
  record: crosswordRecord,
}
