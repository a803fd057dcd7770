import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { pageWords } from '../../../words'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { beside, type Box, sheetOn } from '../../sheet'

const { shape, whole } = fields

interface IndexValues {
  columns: number
  spacing: number
  tone: number
}

/** Where what one writes is found again: a subject, and the page it stands on. */
export const indexPages = aKind<IndexValues, undefined>({
  id: 'index-pages',
  name: 'Index',
  says: 'subjects and their pages, to be filled in',
  family: 'sheets',
  schema: () => shape({ columns: whole(1, 2).required(), spacing: lengthField(), tone: toneField() }),
  plain: { columns: 1, spacing: 21, tone: 0.45 },
  sentence: '{columns} beside each other, rows {spacing} high, {tone} dark.',
  controls: {
    columns: { as: 'count', says: 'Columns', least: 1, most: 2 },
    spacing: lengthControl('Height of a row', 12, 48),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  async draw(page) {
    const { params, room, top, language } = page
    const { columns, spacing } = params
    const words = pageWords(language)
    const sheet = await sheetOn(page, params.tone)
    const all: Box = { x: 0, y: top, width: room.width, height: room.height - top }
    for (const box of beside(all, Array<number>(columns).fill(1), spacing)) {
      const pages = Math.min(box.width * 0.3, sheet.widthOf(words.pages, 'bold') + 2 * sheet.size)
      const head = sheet.size * 1.5
      sheet.words(words.topic, { x: box.x, y: box.y + sheet.size, width: box.width - pages }, 'bold')
      sheet.words(words.pages, { x: box.x + box.width, y: box.y + sheet.size, width: pages, align: 'right' }, 'bold')
      sheet.strong.across(box.x, box.x + box.width, box.y + head)
      const body = { ...box, y: box.y + head, height: box.height - head }
      sheet.rule(body, spacing)
      sheet.fine.down(box.x + box.width - pages, body.y, body.y + body.height)
    }
    sheet.done()
  },
})
