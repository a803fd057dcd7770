import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { pageWords } from '../../../words'
import { toneControl, toneField } from '../../ruling'
import { sheetOn } from '../../sheet'

const { one, shape, whole } = fields

interface PlateValues {
  lines: number
  dates: 'with' | 'without'
  tone: number
}

/** Whose book it is: a page to put one's name on. */
export const bookplate = aKind<PlateValues, undefined>({
  id: 'bookplate',
  name: 'Bookplate',
  says: 'whose book it is, from when to when',
  family: 'read',
  schema: () =>
    shape({ lines: whole(1, 6).required(), dates: one('with', 'without').required(), tone: toneField() }) as never,
  plain: { lines: 2, dates: 'with', tone: 0.6 },
  sentence: 'To be signed on {lines} lines, {dates} the days it was begun and finished, {tone} dark.',
  controls: {
    lines: { as: 'count', says: 'Lines to sign on', least: 1, most: 6 },
    dates: {
      as: 'choice',
      says: 'Its days',
      choices: [
        { value: 'with', words: 'with' },
        { value: 'without', words: 'without' },
      ],
    },
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  async draw(page) {
    const { params, room, top, language } = page
    const words = pageWords(language)
    const sheet = await sheetOn(page, params.tone)
    const high = room.height - top
    const line = Math.min(30, high / 14)
    const [x, width] = [room.width * 0.14, room.width * 0.72]
    let y = top + high * 0.32
    const head = { x: room.width / 2, y, align: 'centre' } as const
    sheet.worded('belongsTo', words.belongsTo, (own, said) => own.words(said, head, 'head', 1.4))
    y += line * 1.6
    for (let i = 0; i < params.lines; i++, y += line) sheet.strong.across(x, x + width, y)
    if (params.dates === 'with') {
      y += line * 0.6
      sheet.field('begun', words.begun, { x, y, width: width * 0.47 })
      sheet.field('finished', words.finished, { x: x + width * 0.53, y, width: width * 0.47 })
    }
    sheet.done()
  },
})
