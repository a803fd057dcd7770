import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { LEAST, MOST, type Nurikabe, type NurikabeValues } from './waters'
import { rules } from './rules'

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
    rules,
    values: { rows: 5, cols: 5, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
