import { fields } from '../../trade'
import { bandChoices } from '../difficulty'
import { bandField, stockControl, stockField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { DotToDot, DotValues } from './values'
import { rules } from './rules'

const { shape } = fields

/** Numbered dots that a line joins to a picture. */
export const dotToDot = aPuzzle<DotValues, DotToDot>({
  id: 'dot-to-dot',
  name: 'Dot to dot',
  says: 'join the dots in the order of their numbers to a picture',
  schema: () => shape({ outlines: stockField(), band: bandField() }) as never,
  plain: { outlines: [], band: 'middling' },
  sentence: 'Pictures of {outlines}, each out of {band} dots.',
  controls: {
    outlines: stockControl,
    band: {
      as: 'choice',
      says: 'Difficulty',
      choices: bandChoices.map(({ value }) => ({
        value,
        words: {
          gentle: '20 to 40',
          easy: '41 to 70',
          middling: '71 to 110',
          hard: '111 to 160',
          stubborn: '161 to 300',
        }[value],
      })),
    },
  },
  howTo: {
    rules,
    values: { band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
