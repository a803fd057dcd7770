export { makePuzzles } from './makePuzzles'
export type { Made, PuzzleKind } from './puzzle'
export { puzzleKind, puzzleKinds } from './registry'
