import { fields } from '../../trade'
import { type LetterGrid, marked, markedChoices } from '../letter-grid/grid'
import { emptyShape, outlineChoices, ownSchema } from '../../silhouettes'
import { sourceSchema } from '../../words'
import { bandControl, bandField, gridControls, gridFields, stockControl, stockField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls, wordFields } from '../wordValues'
import { hollows, LEAST, MOST, ways, type WordSearchValues } from './values'
import { rules } from './rules'

const { one, optional, shape, whole } = fields

/** Words to be found in a grid of letters, along its lines in up to eight directions. */
export const wordSearch = aPuzzle<WordSearchValues, LetterGrid>({
  id: 'word-search',
  name: 'Word search',
  says: 'find the words of a list among the letters',
  schema: () =>
    shape({
      ...wordFields(3, 80),
      ...gridFields(LEAST, MOST),
      size: one('held', 'grown').required(),
      directions: one(...ways).required(),
      overlap: whole(0, 40).required(),
      outline: one(...outlineChoices.map(o => o.value)).required(),
      own: ownSchema(),
      outlines: stockField(),
      side: one('inside', 'outside').required(),
      hollow: optional(one(...hollows)),
      message: one('none', 'saying').required(),
      sayings: optional(sourceSchema()),
      band: bandField(),
      marked: one(...marked).required(),
    }) as never,
  plain: {
    words: { bank: 'harbour', text: '' },
    count: 15,
    deal: 'again',
    rows: 15,
    cols: 15,
    size: 'held',
    directions: 'band',
    overlap: 10,
    outline: 'none',
    own: emptyShape,
    outlines: [],
    side: 'inside',
    hollow: 'none',
    message: 'none',
    sayings: { bank: 'sayings', text: '' },
    band: 'middling',
    marked: 'tone',
  },
  sentence:
    '{count} words of {words}, {deal}, in grids of {cols} by {rows} letters {size}, {hollow}, {side} {outline}[outline=turn:, out of {outlines}]{own}. They read {directions}, {overlap} in a hundred of their letters crossed, {band} to find. The letters left over {message}; what is said comes from {sayings}. Answers have {marked}.',
  controls: {
    ...wordControls(3, 80),
    words: { as: 'words', says: 'Words', clued: false, apart: true },
    ...gridControls(LEAST, MOST),
    size: {
      as: 'choice',
      says: 'Size of the grid',
      choices: [
        { value: 'held', words: 'and no more' },
        { value: 'grown', words: 'or as many as the words want' },
      ],
    },
    directions: {
      as: 'choice',
      says: 'Directions',
      choices: [
        { value: 'band', words: 'as the difficulty asks' },
        { value: 'forward', words: 'along and down' },
        { value: 'slanting', words: 'along, down and slanting' },
        { value: 'all', words: 'in all eight directions' },
      ],
    },
    overlap: { as: 'count', says: 'Crossed letters in a hundred', least: 0, most: 40 },
    outline: { as: 'choice', says: 'Outline', choices: outlineChoices },
    outlines: stockControl,
    own: {
      as: 'shape',
      says: 'Shape of my own',
      grids: ({ rows, cols }: WordSearchValues) =>
        [0, 5, 10, 15, 20]
          .map(more => ({ rows: rows + more, cols: cols + more }))
          .filter(g => Math.max(g.rows, g.cols) <= MOST)
          .map(g => ({ ...g, values: g })),
    },
    side: {
      as: 'choice',
      says: 'Side of the outline',
      choices: [
        { value: 'inside', words: 'inside' },
        { value: 'outside', words: 'around' },
      ],
    },
    hollow: {
      as: 'choice',
      says: 'Middle of the grid',
      choices: [
        { value: 'none', words: 'solid' },
        { value: 'bare', words: 'hollow' },
        { value: 'saying', words: 'with a saying in the middle' },
        { value: 'silhouette', words: 'with a silhouette in the middle' },
      ],
    },
    message: {
      as: 'choice',
      says: 'Letters left over',
      choices: [
        { value: 'none', words: 'say nothing' },
        { value: 'saying', words: 'begin with a saying' },
      ],
    },
    sayings: { as: 'words', says: 'Sayings', clued: false, sayings: true },
    band: bandControl,
    marked: { as: 'choice', says: 'Marks of an answer', choices: markedChoices },
  },
  howTo: {
    rules,
    values: { words: { bank: 'fruit', text: '' }, rows: 8, cols: 8, size: 'grown', count: 5, band: 'easy' },
  },
  work: async () => (await import('./work')).work,
})
