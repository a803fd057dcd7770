import { fields } from '../../../../trade'
import { placePicture } from '../../../placePicture'
import { aDesign } from '../../kind'

const { amount, one, shape, text } = fields

interface PictureValues {
  picture: string
  fit: 'within' | 'fill'
  round: number
}

/** A picture of the book's in a box. */
export const picture = aDesign<PictureValues>({
  id: 'picture',
  name: 'Picture',
  schema: () =>
    shape({
      picture: text(80).defined(),
      fit: one('within', 'fill').required(),
      round: amount(0, 100).required(),
    }) as never,
  plain: { picture: '', fit: 'within', round: 0 },
  size: { width: 0.5, height: 0.3 },
  sentence: '{picture}, {fit} its box, corners round by {round}.',
  controls: {
    picture: { as: 'picture', says: 'Picture' },
    fit: {
      as: 'choice',
      says: 'How it stands',
      choices: [
        { value: 'within', words: 'whole within' },
        { value: 'fill', words: 'filling' },
      ],
    },
    round: { as: 'length', says: 'Roundness of its corners', least: 0, most: 60, step: 1 },
  },
  draw({ out, params, width, height, assets, place }) {
    const { picture: id, fit, round } = params
    placePicture(out, { x: 0, y: 0, width, height }, { id, asset: assets?.get(id), fit, round, place })
  },
})
