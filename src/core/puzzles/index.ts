export { type Band, bandChoices, bands, type Difficulty } from './difficulty'
export { type Making, makePuzzles } from './makePuzzles'
export type { Candidate, Choice, Made, Proof, PuzzleBox, PuzzleKind, PuzzleWork } from './puzzle'
export { puzzleKind, puzzleKinds } from './registry'
