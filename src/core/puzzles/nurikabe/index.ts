import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { LEAST, MOST, type Nurikabe, type NurikabeValues } from './waters'

const { shape } = fields

/** Islands of known sizes in a sea that hangs together and has no pool of four cells. */
export const nurikabe = aPuzzle<NurikabeValues, Nurikabe>({
  id: 'nurikabe',
  name: 'Nurikabe',
  says: 'islands of known sizes, and one sea around all of them',
  schema: () =>
    shape({
      ...gridFields(LEAST, MOST),
      band: bandField(),
    }) as never,
  plain: { rows: 8, cols: 8, band: 'middling' },
  sentence: 'Waters of {cols} by {rows} cells, {band} to chart.',
  controls: {
    ...gridControls(LEAST, MOST),
    band: bandControl,
  },
  howTo: {
    words: [
      'Shade cells to be the sea; what stays white are islands. Each island has one number, and as many cells.',
      'Islands touch only at corners; the sea hangs together, and nowhere fills a square of four cells.',
    ],
    values: { rows: 5, cols: 5, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
