import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { rounded } from '../../looks/frame'
import { placePicture } from '../../placePicture'
import { toneControl, toneField } from '../../ruling'

const { amount, list, one, shape, text } = fields

interface PictureValues {
  pictures: string[]
  fit: 'within' | 'fill'
  frame: 'none' | 'line' | 'round'
  line: number
  tone: number
}

/** Radius of a round frame's corners, points. */
const ROUND = 14

/** A picture a page: to colour, to look at, to tell a story by. */
export const pictures = aKind<PictureValues, undefined>({
  id: 'pictures',
  name: 'Pictures',
  says: 'a picture of yours a page',
  family: 'read',
  schema: () =>
    shape({
      pictures: list(text(80).required(), 600).required(),
      fit: one('within', 'fill').required(),
      frame: one('none', 'line', 'round').required(),
      line: amount(0.25, 8).required(),
      tone: toneField(),
    }) as never,
  plain: { pictures: [], fit: 'within', frame: 'none', line: 1, tone: 1 },
  sentence: '{pictures}, {fit} its page, {frame}, lines {line} thick and {tone} dark.',
  controls: {
    pictures: { as: 'pictures', says: 'Pictures' },
    fit: {
      as: 'choice',
      says: 'How a picture stands',
      choices: [
        { value: 'within', words: 'whole within' },
        { value: 'fill', words: 'filling' },
      ],
    },
    frame: {
      as: 'choice',
      says: 'Frame',
      choices: [
        { value: 'none', words: 'without a frame' },
        { value: 'line', words: 'in a frame' },
        { value: 'round', words: 'in a frame with round corners' },
      ],
    },
    line: { as: 'length', says: 'Thickness of the frame', least: 0.25, most: 6, step: 0.25 },
    tone: toneControl,
  },
  alike: false,
  pagesFor: ({ pictures: all }) => all.length,
  madeFrom: ({ pictures: all }, _made, index) => all[index],
  make: () => undefined,
  draw({ out, params, index, room, top, assets, place }) {
    const { frame, line, tone, fit } = params
    const inset = frame === 'none' ? 0 : line / 2
    const box = { x: inset, y: top + inset, width: room.width - 2 * inset, height: room.height - top - 2 * inset }
    const id = params.pictures[index]
    const asset = id === undefined ? undefined : assets?.get(id)
    const round = frame === 'round' ? ROUND : 0
    const { x, y, width, height } = placePicture(out, box, { id, asset, fit, round, place })
    if (!asset || frame === 'none') return
    const edge = rounded(x, y, width, height, round).build()
    out.add({ kind: 'path', path: edge, stroke: { colour: { k: tone }, width: line } })
  },
})
