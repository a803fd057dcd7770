export { makePuzzles } from './makePuzzles'
export type { Made, PuzzleControl, PuzzleKind, ShapeGrid } from './puzzle'
export { puzzleKind, puzzleKinds } from './registry'
export { type Rules, rulesIn } from './rules'
