import { fields } from '../trade'
import { stockChoices } from '../silhouettes'
import { bandChoices, bands } from './difficulty'
import type { PuzzleControl } from './puzzle'

const { list, one, optional, whole } = fields

/** Schemas and controls of values that many kinds have: rows and columns of a grid, and the band. */
export const gridFields = (least: number, most: number) => ({
  rows: whole(least, most).required(),
  cols: whole(least, most).required(),
})

export const gridControls = (least: number, most: number) => ({
  rows: { as: 'count', says: 'Rows', least, most } satisfies PuzzleControl,
  cols: { as: 'count', says: 'Columns', least, most } satisfies PuzzleControl,
})

export const bandField = () => one(...bands).required()

export const bandControl: PuzzleControl = { as: 'choice', says: 'Difficulty', choices: bandChoices }

/** Which silhouettes are taken; runs from before they could be chosen do not say it. */
export const stockField = () => optional(list(one(...stockChoices.map(c => c.value)).required(), stockChoices.length))

export const stockControl: PuzzleControl = {
  as: 'several',
  says: 'Silhouettes',
  none: 'all that ship',
  choices: stockChoices,
}
