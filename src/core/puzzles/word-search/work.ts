import { draw, ratio } from '../letter-grid/draw'
import { prove } from '../letter-grid/find'
import type { LetterGrid } from '../letter-grid/grid'
import { record } from '../letter-grid/record'
import type { PuzzleWork } from '../puzzle'
import { make } from './make'
import type { WordSearchValues } from './values'

export const work: PuzzleWork<WordSearchValues, LetterGrid> = { make, prove, ratio, draw, record }
