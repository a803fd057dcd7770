import type { PuzzleWork } from '../puzzle'
import { draw, ratio } from './draw'
import { make } from './make'
import { prove } from './solve'
import type { GuessSheet, GuessValues } from './values'

export const work: PuzzleWork<GuessValues, GuessSheet> = {
  make,
  prove,
  ratio,
  draw,
  record: ({ theme, lamps, rounds }) => ({
    ...(theme !== undefined && { theme }),
    lamps,
    words: rounds.map(({ word, letters }) => ({ word: letters, print: word })),
  }),
}
