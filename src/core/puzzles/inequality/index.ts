import { fields } from '../../trade'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { type Inequality, type InequalityValues, sizes } from './grid'
import { rules } from './rules'

const { one, shape } = fields

/** Each number once in every row and column, and signs between neighbours that say which is the greater. */
export const inequality = aPuzzle<InequalityValues, Inequality>({
  id: 'inequality',
  name: 'Inequality square',
  says: 'each number once in every line, and signs that say which is greater',
  schema: () => shape({ size: one(...sizes).required(), band: bandField() }) as never,
  plain: { size: '5', band: 'middling' },
  sentence: 'Squares of {size}, {band} to solve.',
  controls: {
    size: { as: 'choice', says: 'Size', choices: sizes.map(value => ({ value, words: `${value} by ${value}` })) },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { size: '4', band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
