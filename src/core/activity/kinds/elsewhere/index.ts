import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { overEdge, placePicture } from '../../placePicture'

const { list, one, shape, text } = fields

interface ElsewhereValues {
  pictures: string[]
  stands: 'leaf' | 'room'
  turn: 'once' | 'again'
}

/** Pages that were made elsewhere, as they are: of a PDF or pictures, each once, or again and again, as a left and a right form are. */
export const elsewhere = aKind<ElsewhereValues, undefined>({
  id: 'elsewhere',
  name: 'Made elsewhere',
  says: 'pages of a PDF, as they are',
  family: 'read',
  schema: () =>
    shape({
      pictures: list(text(80).required(), 600).required(),
      stands: one('leaf', 'room').required(),
      turn: one('once', 'again').required(),
    }) as never,
  plain: { pictures: [], stands: 'leaf', turn: 'once' },
  sentence: '{pictures}, {stands}, {turn}.',
  controls: {
    pictures: { as: 'pictures', says: 'Pages', one: 'page' },
    stands: {
      as: 'choice',
      says: 'Where they stand',
      choices: [
        { value: 'leaf', words: 'each on the whole leaf and over its edge' },
        { value: 'room', words: 'each whole within the margins' },
      ],
    },
    turn: {
      as: 'choice',
      says: 'How often',
      choices: [
        { value: 'once', words: 'once' },
        { value: 'again', words: 'in turn, again and again' },
      ],
    },
  },
  alike: false,
  sided: true,
  bleeds: ({ stands, pictures }) => stands === 'leaf' && pictures.length > 0,
  pagesFor: ({ pictures, turn }) => (turn === 'once' ? pictures.length : undefined),
  madeFrom: ({ pictures }, _made, index) => pictures[index % pictures.length],
  make: () => undefined,
  draw({ out, params: { pictures, stands }, index, room, leaf, top, assets, place }) {
    if (!pictures.length) return
    const id = pictures[index % pictures.length]!
    const asset = assets?.get(id)
    if (stands === 'room')
      return void placePicture(
        out,
        { x: 0, y: top, width: room.width, height: room.height - top },
        { id, asset, fit: 'within', place },
      )
    // A page that was cut elsewhere has what is cut off with it: its trim is laid on ours.
    const cut = asset?.type === 'application/pdf'
    placePicture(out, cut ? leaf : overEdge(leaf), { id, asset, fit: cut ? 'within' : 'fill', place })
  },
})
