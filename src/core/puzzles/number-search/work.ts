import { draw, ratio } from '../letter-grid/draw'
import { prove } from '../letter-grid/find'
import type { LetterGrid } from '../letter-grid/grid'
import { record } from '../letter-grid/record'
import type { PuzzleWork } from '../puzzle'
import type { NumberSearchValues } from './values'
import { make } from './make'

export const work: PuzzleWork<NumberSearchValues, LetterGrid> = { make, prove, ratio, draw, record }
