import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { type PageWord, pageWords } from '../../../words'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { below, beside, type Box, sheetOn } from '../../sheet'

const { shape, whole } = fields

interface ReadingValues {
  books: number
  spacing: number
  tone: number
}

/** Rows that a book takes at least. */
const LEAST_ROWS = 7

/** Pages about books that were read: who wrote them, when, what stays. */
export const readingLog = aKind<ReadingValues, undefined>({
  id: 'reading-log',
  name: 'Books read',
  says: 'a place for each book that was read',
  family: 'sheets',
  schema: () => shape({ books: whole(1, 4).required(), spacing: lengthField(), tone: toneField() }),
  plain: { books: 2, spacing: 19, tone: 0.45 },
  sentence: '{books} a page, lines {spacing} apart, {tone} dark.',
  controls: {
    books: { as: 'count', says: 'Books on a page', least: 1, most: 4 },
    spacing: lengthControl('Between lines', 12, 36),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  async draw(page) {
    const { params, room, top, language } = page
    const { books } = params
    // A small page has room for its heads before all else.
    const spacing = Math.min(params.spacing, (room.height - top) / (LEAST_ROWS * books))
    const words = pageWords(language)
    const sheet = await sheetOn(page, params.tone)
    const all: Box = { x: 0, y: top, width: room.width, height: room.height - top }
    for (const box of below(all, Array<number>(books).fill(1), spacing * 1.5)) {
      sheet.field('title', words.title, { x: box.x, y: box.y + spacing, width: box.width })
      sheet.field('author', words.author, { x: box.x, y: box.y + 2 * spacing, width: box.width })
      const [begun, finished, stars] = beside({ ...box, y: box.y + 3 * spacing, height: 0 }, [5, 5, 4], sheet.size)
      sheet.field('begun', words.begun, begun!)
      sheet.field('finished', words.finished, finished!)
      sheet.stars(5, stars!)
      const rest = { ...box, y: box.y + 3.6 * spacing, height: box.height - 3.6 * spacing }
      const parts: PageWord[] = rest.height > 9 * spacing ? ['thoughts', 'lines'] : ['thoughts']
      const boxes = below(rest, parts.length > 1 ? [5, 3] : [1], spacing * 0.6)
      parts.forEach((part, i) => sheet.part(part, words[part], boxes[i]!, (own, room) => own.rule(room, spacing)))
    }
    sheet.done()
  },
})
