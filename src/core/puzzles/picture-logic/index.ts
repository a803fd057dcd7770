import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields, stockControl, stockField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { LEAST, MOST, type PictureLogic, type PictureValues } from './picture'
import { rules } from './rules'

const { one, optional, shape } = fields

/** A picture in cells, told by the lengths of its filled stretches along each row and column. */
export const pictureLogic = aPuzzle<PictureValues, PictureLogic>({
  id: 'picture-logic',
  name: 'Picture logic',
  says: 'fill cells by the lengths along rows and columns until a picture stands',
  schema: () =>
    shape({
      ...gridFields(LEAST, MOST),
      // Runs from before there were silhouettes do not say it.
      pictures: optional(one('blots', 'silhouettes')),
      outlines: stockField(),
      band: bandField(),
    }) as never,
  plain: { rows: 15, cols: 15, pictures: 'silhouettes', outlines: [], band: 'middling' },
  sentence: 'Pictures of {cols} by {rows} cells, {pictures}[pictures=silhouettes:, of {outlines}], {band} to find.',
  controls: {
    ...gridControls(LEAST, MOST),
    pictures: {
      as: 'choice',
      says: 'What they show',
      choices: [
        { value: 'blots', words: 'blots of chance' },
        { value: 'silhouettes', words: 'silhouettes' },
      ],
    },
    outlines: stockControl,
    band: bandControl,
  },
  howTo: {
    rules,
    values: { rows: 8, cols: 8, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
