import { type Band, bands } from '../difficulty'

export const sizes = ['4', '6', '9', '16'] as const
export interface SudokuValues {
  size: (typeof sizes)[number]
  band: Band
}

/** Bands that grids of a size reach: small ones fall to single numbers. */
export const hardestOf = (size: SudokuValues['size']): readonly Band[] =>
  size === '4' ? bands.slice(0, 1) : size === '6' ? bands.slice(0, 3) : bands
