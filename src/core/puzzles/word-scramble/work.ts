import { drawSheet, type SheetLine, sheetRatio } from '../lineSheet'
import type { PuzzleWork } from '../puzzle'
import { make } from './make'
import { prove } from './solve'
import type { Scramble, ScrambleValues } from './values'

const linesOf = ({ items }: Scramble, answer: boolean): SheetLine[] =>
  items.map(({ letters, mixed }) => ({ given: mixed, boxes: Array.from(letters, sign => (answer ? sign : '')) }))

export const work: PuzzleWork<ScrambleValues, Scramble> = {
  make,
  prove,
  ratio: puzzle => sheetRatio(linesOf(puzzle, false)),
  draw: on => drawSheet(on, linesOf(on.puzzle, on.answer)),
  record: ({ items }) => ({ words: items.map(({ word, letters, mixed }) => ({ word: letters, print: word, mixed })) }),
}
