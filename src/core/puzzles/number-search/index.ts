import { fields } from '../../trade'
import { type LetterGrid, marked, markedChoices } from '../letter-grid/grid'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { NumberSearchValues } from './values'
import { rules } from './rules'

const { one, shape, whole } = fields

/** Numbers to be found in a grid of figures. */
export const numberSearch = aPuzzle<NumberSearchValues, LetterGrid>({
  id: 'number-search',
  name: 'Number search',
  says: 'find the numbers of a list among the figures',
  schema: () =>
    shape({
      count: whole(3, 80).required(),
      figures: whole(3, 9).required(),
      ...gridFields(6, 40),
      band: bandField(),
      marked: one(...marked).required(),
    }) as never,
  plain: { count: 18, figures: 6, rows: 15, cols: 15, band: 'middling', marked: 'tone' },
  sentence: '{count} numbers of {figures} figures in grids of {cols} by {rows}, {band} to find. Answers have {marked}.',
  controls: {
    count: { as: 'count', says: 'Numbers in a puzzle', least: 3, most: 80 },
    figures: { as: 'count', says: 'Figures of a number', least: 3, most: 9 },
    ...gridControls(6, 40),
    band: bandControl,
    marked: { as: 'choice', says: 'Marks of an answer', choices: markedChoices },
  },
  howTo: {
    rules,
    values: { rows: 8, cols: 8, count: 5, figures: 4, band: 'easy' },
  },
  work: async () => (await import('./work')).work,
})
