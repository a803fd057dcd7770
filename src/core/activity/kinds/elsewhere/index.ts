import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { overEdge, placePicture } from '../../placePicture'
import { Lines } from '../../ruling'

const { list, one, shape, text } = fields

interface ElsewhereValues {
  pictures: string[]
  stands: 'leaf' | 'room'
  turn: 'once' | 'again'
}

/** The sheet of the sample: height by width, the corner's, the margin's share of the width, rows, line in points; and the boxes of its form. */
const SHEET = { ratio: 1.4, fold: 0.2, margin: 0.12, rows: 9, line: 0.75 }
const BOX = 8

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
  // A sheet with a corner turned down and a form on it.
  example({ out, room, top }) {
    const height = Math.min(room.height - top, room.width * SHEET.ratio)
    const width = height / SHEET.ratio
    const [x, y] = [(room.width - width) / 2, top + (room.height - top - height) / 2]
    const fold = width * SHEET.fold
    const sheet = new Lines(SHEET.line).along([
      [x + width - fold, y],
      [x, y],
      [x, y + height],
      [x + width, y + height],
      [x + width, y + fold],
      [x + width - fold, y],
    ])
    const corner = new Lines(SHEET.line).along([
      [x + width - fold, y],
      [x + width - fold, y + fold],
      [x + width, y + fold],
    ])
    sheet.into(out, 1)
    corner.into(out, 1)
    const form = new Lines(SHEET.line)
    const inner = width * SHEET.margin
    for (let row = 0; row < SHEET.rows; row++) {
      const at = y + fold + inner + ((height - fold - 2 * inner) * row) / (SHEET.rows - 1)
      form.box(x + inner, at - BOX, BOX, BOX).across(x + inner + 2 * BOX, x + width - inner, at)
    }
    form.into(out, 0.6)
  },
})
