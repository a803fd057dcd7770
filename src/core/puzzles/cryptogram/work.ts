import type { PuzzleWork } from '../puzzle'
import { draw, ratio } from './draw'
import { make } from './make'
import { prove } from './solve'
import type { Cryptogram, CryptogramValues } from './values'

export const work: PuzzleWork<CryptogramValues, Cryptogram> = {
  make,
  prove,
  ratio,
  draw,
  record: ({ letters, cipher, key, hints, plain }) => ({ plain: letters, print: plain, cipher, key, hints }),
}
