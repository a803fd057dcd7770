import { fields } from '../../trade'
import { bandControl, bandField, stockControl, stockField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { emptyShape, outlineChoices, ownSchema } from '../../silhouettes'
import { doorPlaces } from './ground'
import { type Maze, sizes } from './maze'
import type { MazeValues } from './values'
import { rules } from './rules'

const { one, optional, shape } = fields

type Size = keyof typeof sizes

/** A size and those above it. */
const larger = (size: Size): Size[] => {
  const all = Object.keys(sizes) as Size[]
  return all.slice(all.indexOf(size))
}

const [whole, ...silhouettes] = outlineChoices
const outlines = [whole!, { value: 'circle', words: 'a circle' }, ...silhouettes]

/** A way through walls, from a gap to another or to the middle. */
export const maze = aPuzzle<MazeValues, Maze>({
  id: 'maze',
  name: 'Maze',
  says: 'one way through its walls',
  schema: () =>
    shape({
      size: one(...Object.keys(sizes)).required(),
      // Runs from before there were silhouettes, or other ways in, do not say them.
      outline: optional(one(...outlines.map(o => o.value))),
      own: ownSchema(),
      outlines: stockField(),
      doors: optional(one(...doorPlaces)),
      ends: one('long', 'middling', 'short').required(),
      band: bandField(),
    }) as never,
  plain: {
    size: 'medium',
    outline: 'none',
    own: emptyShape,
    outlines: [],
    doors: 'across',
    ends: 'long',
    band: 'middling',
  },
  sentence:
    '{size} across, of {outline}[outline=turn:, out of {outlines}]{own}, {doors}; its dead ends {ends}, {band} to find through.',
  controls: {
    size: {
      as: 'choice',
      says: 'Size',
      choices: Object.entries(sizes).map(([value, [, cols]]) => ({ value, words: `${cols} cells` })),
    },
    outline: { as: 'choice', says: 'Outline', choices: outlines },
    outlines: stockControl,
    own: {
      as: 'shape',
      says: 'Shape of my own',
      grids: ({ size }: MazeValues) =>
        larger(size).map(s => ({ rows: sizes[s][0], cols: sizes[s][1], values: { size: s } })),
    },
    doors: {
      as: 'choice',
      says: 'Ways in and out',
      choices: [
        { value: 'across', words: 'in at the head, out at the foot' },
        { value: 'sideways', words: 'in at the left, out at the right' },
        { value: 'corners', words: 'in at one corner, out at the other' },
        { value: 'middle', words: 'in at the edge, on to the middle' },
      ],
    },
    ends: {
      as: 'choice',
      says: 'Dead ends',
      choices: [
        { value: 'long', words: 'few and long' },
        { value: 'middling', words: 'of middling length' },
        { value: 'short', words: 'many and short' },
      ],
    },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { size: 'small', band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
