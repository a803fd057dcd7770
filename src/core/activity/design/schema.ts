import { lazy } from 'yup'
import { fields } from '../../trade'
import { designKinds, designOf } from './registry'

const { amount, list, one, shape, text, yesNo } = fields

/** So many pieces may be placed on a page; so far from its room they may stand, by its size. */
const MOST = 200
const FAR = 10
const LEAST = 0.001

const pieceSchema = () =>
  shape({
    id: text(40).required(),
    kind: one(...designKinds.map(k => k.id)).required(),
    name: text(80),
    x: amount(-FAR, FAR).required(),
    y: amount(-FAR, FAR).required(),
    width: amount(LEAST, FAR).required(),
    height: amount(LEAST, FAR).required(),
    locked: yesNo(),
    // Each kind says what its own values are.
    params: lazy(
      (_v, { parent }: { parent?: { kind?: string } }) => designOf(String(parent?.kind))?.schema() ?? shape({}),
    ) as never,
  })

/** The shape of pieces that an author placed on a page. */
export const designSchema = () => list(pieceSchema(), MOST)
