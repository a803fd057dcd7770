import { codeword } from './codeword'
import { crossword } from './crossword'
import { cryptogram } from './cryptogram'
import { dotToDot } from './dot-to-dot'
import { guessTheWord } from './guess-the-word'
import { inequality } from './inequality'
import { kakuro } from './kakuro'
import { latticeCrossword } from './lattice-crossword'
import { loop } from './loop'
import { maze } from './maze'
import { mines } from './mines'
import { missingVowels } from './missing-vowels'
import { nurikabe } from './nurikabe'
import { pictureLogic } from './picture-logic'
import { numberSearch } from './number-search'
import type { PuzzleKind } from './puzzle'
import { scramble } from './word-scramble'
import { shadeByNumber } from './shade-by-number'
import { sudoku } from './sudoku'
import { wordLadder } from './word-ladder'
import { wordSearch } from './word-search'

/** Every kind of puzzle there is, in the order they are offered. A new one is a folder of its own and a line here. */
export const puzzleKinds: readonly PuzzleKind[] = [
  wordSearch,
  crossword,
  latticeCrossword,
  codeword,
  scramble,
  missingVowels,
  cryptogram,
  wordLadder,
  guessTheWord,
  numberSearch,
  sudoku,
  kakuro,
  inequality,
  loop,
  nurikabe,
  mines,
  pictureLogic,
  maze,
  dotToDot,
  shadeByNumber,
]

const byId = new Map(puzzleKinds.map(k => [k.id, k]))
export const puzzleKind = (id: string): PuzzleKind | undefined => byId.get(id)
