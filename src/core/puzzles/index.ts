export { makePuzzles } from './makePuzzles'
export type { Made, PuzzleControl, PuzzleKind } from './puzzle'
export { puzzleKind, puzzleKinds } from './registry'
