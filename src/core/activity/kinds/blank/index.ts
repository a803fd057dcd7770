import { fields } from '../../../trade'
import { aKind } from '../../kind'

const { shape } = fields

/** Pages on which nothing is printed. */
export const blank = aKind<object, undefined>({
  id: 'blank',
  name: 'Blank',
  says: 'nothing printed',
  family: 'rulings',
  schema: () => shape({}),
  plain: {},
  sentence: 'Nothing is printed on them.',
  controls: {},
  alike: true,
  bare: true,
  make: () => undefined,
  draw: () => undefined,
})
