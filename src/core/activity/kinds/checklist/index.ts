import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { beside, type Box, sheetOn } from '../../sheet'

const { shape, whole } = fields

interface ChecklistValues {
  columns: number
  spacing: number
  tone: number
}

/** Small squares to tick, a line behind each. */
export const checklist = aKind<ChecklistValues, undefined>({
  id: 'checklist',
  name: 'Checklists',
  says: 'squares to tick, a line behind each',
  family: 'sheets',
  schema: () => shape({ columns: whole(1, 4).required(), spacing: lengthField(), tone: toneField() }),
  plain: { columns: 1, spacing: 21, tone: 0.45 },
  sentence: '{columns} beside each other, rows {spacing} high, {tone} dark.',
  controls: {
    columns: { as: 'count', says: 'Lists beside each other', least: 1, most: 4 },
    spacing: lengthControl('Height of a row', 12, 48),
    tone: toneControl,
  },
  alike: true,
  make: () => undefined,
  async draw(page) {
    const { params, room, top } = page
    const sheet = await sheetOn(page, params.tone)
    const all: Box = { x: 0, y: top, width: room.width, height: room.height - top }
    for (const box of beside(all, Array<number>(params.columns).fill(1), params.spacing))
      sheet.ticks(box, params.spacing)
    sheet.done()
  },
})
