import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { pageWords } from '../../../words'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { below, beside, type Box, sheetOn } from '../../sheet'

const { one, shape } = fields

interface TravelValues {
  picture: 'none' | 'half' | 'third'
  spacing: number
  tone: number
}

const PICTURE = { none: 0, third: 1 / 3, half: 1 / 2 } as const

/** Rows that a page takes at least. */
const LEAST_ROWS = 10

/** Pages of a journey: where, when, with whom; a frame for a picture or a drawing; what was seen. */
export const travelLog = aKind<TravelValues, undefined>({
  id: 'travel-log',
  name: 'Journeys',
  says: 'where, when, with whom, what was seen',
  family: 'sheets',
  schema: () =>
    shape({ picture: one('none', 'half', 'third').required(), spacing: lengthField(), tone: toneField() }) as never,
  plain: { picture: 'third', spacing: 19, tone: 0.45 },
  sentence: 'With {picture}, lines {spacing} apart, {tone} dark.',
  controls: {
    picture: {
      as: 'choice',
      says: 'Frame for a picture',
      choices: [
        { value: 'third', words: 'a third of the page for a picture' },
        { value: 'half', words: 'half the page for a picture' },
        { value: 'none', words: 'no picture' },
      ],
    },
    spacing: lengthControl('Between lines', 12, 36),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  async draw(page) {
    const { params, room, top, language } = page
    // A small page has room for its heads before all else.
    const spacing = Math.min(params.spacing, (room.height - top) / LEAST_ROWS)
    const words = pageWords(language)
    const sheet = await sheetOn(page, params.tone)
    const at = (row: number, shares: number[]): Box[] =>
      beside({ x: 0, y: top + row * spacing, width: room.width, height: 0 }, shares, sheet.size)
    const [place, date] = at(1, [3, 2])
    sheet.field('place', words.place, place!)
    sheet.field('date', words.date, date!)
    const [companions, weather] = at(2, [3, 2])
    sheet.field('with', words.with, companions!)
    sheet.field('weather', words.weather, weather!)
    const rest: Box = { x: 0, y: top + 2.8 * spacing, width: room.width, height: room.height - top - 2.8 * spacing }
    const share = PICTURE[params.picture]
    const [picture, written] = share ? below(rest, [share, 1 - share], spacing * 0.8) : [undefined, rest]
    if (picture) sheet.frame(picture, 6)
    const [saw, lower] = below(written!, [5, 3], spacing * 0.7)
    sheet.part('saw', words.saw, saw!, (own, room) => own.rule(room, spacing))
    const [ate, keep] = beside(lower!, [1, 1], spacing)
    sheet.part('ate', words.ate, ate!, (own, room) => own.rule(room, spacing))
    sheet.part('keep', words.keep, keep!, (own, room) => own.rule(room, spacing))
    sheet.done()
  },
})
