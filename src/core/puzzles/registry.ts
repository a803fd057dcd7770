import { inequality } from './inequality'
import { kakuro } from './kakuro'
import { loop } from './loop'
import { maze } from './maze'
import { mines } from './mines'
import { nurikabe } from './nurikabe'
import { pictureLogic } from './picture-logic'
import { numberSearch } from './number-search'
import type { PuzzleKind } from './puzzle'
import { sudoku } from './sudoku'
import { wordSearch } from './word-search'

/** Every kind of puzzle there is, in the order they are offered. A new one is a folder of its own and a line here. */
export const puzzleKinds: readonly PuzzleKind[] = [
  wordSearch,
  numberSearch,
  sudoku,
  kakuro,
  inequality,
  loop,
  nurikabe,
  mines,
  pictureLogic,
  maze,
]

const byId = new Map(puzzleKinds.map(k => [k.id, k]))
export const puzzleKind = (id: string): PuzzleKind | undefined => byId.get(id)
