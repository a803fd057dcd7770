/** How hard a puzzle is, from the steps that a person needs: five bands. */
export const bands = ['gentle', 'easy', 'middling', 'hard', 'stubborn'] as const
export type Band = (typeof bands)[number]

export interface Difficulty {
  band: Band
  /** Named ways of reasoning, and how often each was needed. */
  steps: Record<string, number>
}

/** The bands as a value of a sentence. */
export const bandChoices = bands.map(value => ({ value, words: value }))
