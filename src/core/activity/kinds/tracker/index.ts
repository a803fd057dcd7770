import { fields, seeded, seedOf } from '../../../trade'
import { setFrag } from '../../../type'
import { aKind } from '../../kind'
import { toneControl, toneField } from '../../ruling'
import { sheetOn } from '../../sheet'
import { fills } from './shapes'

const { one, shape, whole } = fields

interface TrackerValues {
  count: number
  shape: keyof typeof fills
  numbers: 'numbered' | 'bare'
  key: number
  tone: number
}

const MOST = 400
/** Colours of a key, side by side at the foot: their height by that of labels, and how many to a row. */
const KEY = { row: 2.2, across: 4, box: 1.1 }
/** Numbers by the width that a shape leaves them, points: no smaller than can be read, and none where they would crowd it. */
const NUMBER = { share: 0.62, most: 11, least: 6, crowded: 4.8 }
/** Outlines, points. */
const LINE = 0.75

/** Shapes to colour in one by one: days and their moods, books that were read, miles, coins. */
export const tracker = aKind<TrackerValues, { seed: number }>({
  id: 'tracker',
  name: 'Tracker',
  says: 'shapes to colour in, one for each day, book or mile',
  family: 'sheets',
  schema: () =>
    shape({
      count: whole(1, MOST).required(),
      shape: one(...Object.keys(fills)).required(),
      numbers: one('numbered', 'bare').required(),
      key: whole(0, 12).required(),
      tone: toneField(),
    }) as never,
  plain: { count: 100, shape: 'books', numbers: 'numbered', key: 4, tone: 0.6 },
  sentence: '{count} {shape} to a page, {numbers}, with a key of {key} colours, {tone} dark.',
  controls: {
    count: { as: 'count', says: 'How many', least: 1, most: MOST },
    shape: {
      as: 'choice',
      says: 'What is coloured in',
      choices: Object.entries(fills).map(([value, { words }]) => ({ value, words })),
    },
    numbers: {
      as: 'choice',
      says: 'Numbers',
      choices: [
        { value: 'numbered', words: 'numbered' },
        { value: 'bare', words: 'without numbers' },
      ],
    },
    key: { as: 'count', says: 'Colours of the key', least: 0, most: 12 },
    tone: toneControl,
  },
  alike: false,
  make: ({ seed }) => ({ seed }),
  async draw(page) {
    const { params, made, index, out, room, top, place, look, styleOf } = page
    const sheet = await sheetOn(page, params.tone)
    const rows = Math.ceil(params.key / KEY.across)
    const foot = rows * KEY.row * sheet.size
    // Outlines stand on the room's edges, not over them.
    const box = {
      x: LINE / 2,
      y: top + LINE / 2,
      width: room.width - LINE,
      height: Math.max(1, room.height - top - foot - (rows ? sheet.size : 0) - LINE),
    }
    // Each page has books of its own.
    const chance = seeded(seedOf(`tracker/${made.seed}/${index}`))
    const all = fills[params.shape].fill(box, params.count, chance)
    const stroke = { colour: { k: params.tone }, width: LINE }
    for (const { outline } of all) out.add({ kind: 'path', path: outline.build(), stroke })
    const widest = String(params.count).length
    const fitting = (Math.min(...all.map(s => s.width)) * NUMBER.share * 2) / widest
    const size = Math.min(NUMBER.most, Math.max(NUMBER.least, fitting))
    if (params.numbers === 'numbered' && fitting >= NUMBER.crowded) {
      const style = await styleOf(look.folio.face, size, 0.75)
      all.forEach(({ x, y }, i) => {
        const frag = style.frag(String(i + 1))
        setFrag(out, frag, { x: x - frag.width / 2, y: y + size * 0.36, place })
      })
    }
    const across = Math.min(KEY.across, params.key)
    for (let i = 0; i < params.key; i++) {
      const wide = room.width / across
      const [x, y] = [(i % across) * wide, room.height - foot + (Math.floor(i / across) + 1) * KEY.row * sheet.size]
      const side = sheet.size * KEY.box
      sheet.fine.box(x, y - side, side, side).across(x + side * 1.5, x + wide - side, y)
    }
    sheet.done()
  },
})
