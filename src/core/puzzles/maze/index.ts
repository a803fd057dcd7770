import { fields } from '../../trade'
import { bandChoices, bands } from '../difficulty'
import { aPuzzle } from '../puzzle'
import { outlineChoices } from '../silhouettes/choices'
import { type Maze, sizes } from './grid'
import type { MazeValues } from './values'

const { one, optional, shape } = fields

/** A way through walls from the head of the page to its foot. */
export const maze = aPuzzle<MazeValues, Maze>({
  id: 'maze',
  name: 'Maze',
  says: 'one way through from head to foot',
  schema: () =>
    shape({
      size: one(...Object.keys(sizes)).required(),
      // Runs from before there were silhouettes do not say it.
      outline: optional(one(...outlineChoices.map(o => o.value))),
      ends: one('long', 'short').required(),
      band: one(...bands).required(),
    }) as never,
  plain: { size: 'medium', outline: 'none', ends: 'long', band: 'middling' },
  sentence: 'Of {size}, of {outline}, dead ends {ends}, {band} to find through.',
  controls: {
    size: {
      as: 'choice',
      says: 'Size',
      choices: Object.entries(sizes).map(([value, [rows, cols]]) => ({ value, words: `${cols} by ${rows} cells` })),
    },
    outline: { as: 'choice', says: 'Outline', choices: outlineChoices },
    ends: {
      as: 'choice',
      says: 'Dead ends',
      choices: [
        { value: 'long', words: 'few and long' },
        { value: 'short', words: 'many and short' },
      ],
    },
    band: { as: 'choice', says: 'Difficulty', choices: bandChoices },
  },
  howTo: {
    words: ['Find the way from the gap at the head to the one at the foot. There is one.'],
    values: { size: 'small', band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
