import { fields } from '../trade'
import { sourceSchema } from '../words'
import type { PuzzleControl } from './puzzle'

const { one, whole } = fields

/** Schemas and controls of what kinds have in common that are made of words: a source, how many of them, how often they come. */
export const wordFields = (least: number, most: number) => ({
  words: sourceSchema(),
  count: whole(least, most).required(),
  deal: one('once', 'again').required(),
})

export const wordControls = (least: number, most: number, clued = false) => ({
  words: { as: 'words', says: 'Words', clued } satisfies PuzzleControl,
  count: { as: 'count', says: 'Words in a puzzle', least, most } satisfies PuzzleControl,
  deal: {
    as: 'choice',
    says: 'How often words come',
    choices: [
      { value: 'again', words: 'all of them before one comes again' },
      { value: 'once', words: 'each only once' },
    ],
  } satisfies PuzzleControl,
})
