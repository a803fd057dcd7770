import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { pageWords } from '../../../words'
import { toneControl, toneField } from '../../ruling'
import { type Box, sheetOn } from '../../sheet'

const { one, shape, whole } = fields

interface HabitValues {
  habits: number
  days: '7' | '31'
  tone: number
}

/** Share of the width that names of habits have. */
const NAMES = 0.26
const WEEKS_GAP = 1.4

/** What one does, or not, day by day: a row a habit, a square a day. */
export const habits = aKind<HabitValues, undefined>({
  id: 'habits',
  name: 'Habits',
  says: 'a row a habit, a square a day',
  family: 'sheets',
  schema: () => shape({ habits: whole(1, 40).required(), days: one('7', '31').required(), tone: toneField() }) as never,
  plain: { habits: 16, days: '31', tone: 0.5 },
  sentence: '{habits} habits over {days}, {tone} dark.',
  controls: {
    habits: { as: 'count', says: 'Habits', least: 4, most: 30 },
    days: {
      as: 'choice',
      says: 'Over how long',
      choices: [
        { value: '31', words: 'a month' },
        { value: '7', words: 'four weeks, one below the other' },
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
    const month = params.days === '31'
    const head = sheet.size * 2.4
    const over = month ? 'month' : 'week'
    sheet.field(over, words[over], { x: 0, y: top + sheet.size * 1.4, width: room.width * 0.6 })
    const blocks = month ? 1 : 4
    const days = month ? 31 : 7
    const all: Box = { x: 0, y: top + head, width: room.width, height: room.height - top - head }
    const perBlock = month ? params.habits : Math.max(1, Math.round(params.habits / 2))
    const row = all.height / (blocks * (perBlock + 1) + (blocks - 1) * WEEKS_GAP)
    for (let b = 0; b < blocks; b++) {
      const y = all.y + b * (perBlock + 1 + WEEKS_GAP) * row
      const x0 = room.width * NAMES
      const wide = (room.width - x0) / days
      for (let d = 0; d < days; d++) {
        const at = { x: x0 + (d + 0.5) * wide, y: y + row * 0.75, width: wide * 0.96, align: 'centre' } as const
        sheet.words(month ? String(d + 1) : '', at, 'label', 0.85)
        sheet.fine.down(x0 + d * wide, y + row, y + (perBlock + 1) * row)
      }
      sheet.words(words.habit, { x: 0, y: y + row * 0.75, width: x0 }, 'bold')
      for (let i = 0; i <= perBlock; i++) (i ? sheet.fine : sheet.strong).across(0, room.width, y + (i + 1) * row)
      sheet.fine.down(room.width - 0.25, y + row, y + (perBlock + 1) * row)
    }
    sheet.done()
  },
})
