import type { Band } from '../difficulty'
import type { Pattern } from '../lattice/lattice'

export interface CodewordValues {
  rows: number
  cols: number
  band: Band
}

/** A lattice whose letters are numbers, each always the same. */
export interface Codeword extends Pattern {
  letters: string[]
  /** By cell, 0 where it is blocked. */
  numbers: number[]
  /** Letter of each number, from 1. */
  key: Record<number, string>
  /** Numbers whose letters are given. */
  hints: number[]
}
