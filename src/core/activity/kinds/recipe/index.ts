import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { pageWords } from '../../../words'
import { lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { below, beside, type Box, sheetOn } from '../../sheet'

const { one, shape } = fields

interface RecipeValues {
  on: '1' | '2'
  spacing: number
  tone: number
}

/** Rows that a recipe takes at least. */
const LEAST_ROWS = 9

/** Pages for recipes to be written down: what goes in, how it is done, what is to be kept in mind. */
export const recipe = aKind<RecipeValues, undefined>({
  id: 'recipe',
  name: 'Recipes',
  says: 'what goes in, how it is done',
  family: 'sheets',
  schema: () => shape({ on: one('1', '2').required(), spacing: lengthField(), tone: toneField() }) as never,
  plain: { on: '1', spacing: 19, tone: 0.45 },
  sentence: '{on} a page, lines {spacing} apart, {tone} dark.',
  controls: {
    on: {
      as: 'choice',
      says: 'Recipes on a page',
      choices: [
        { value: '1', words: 'One recipe' },
        { value: '2', words: 'Two recipes' },
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
    const spacing = Math.min(params.spacing, (room.height - top) / (LEAST_ROWS * Number(params.on)))
    const words = pageWords(language)
    const sheet = await sheetOn(page, params.tone)
    const gap = spacing * 1.1
    const whole: Box = { x: 0, y: top, width: room.width, height: room.height - top }
    for (const box of below(whole, params.on === '2' ? [1, 1] : [1], gap * 1.4)) {
      sheet.field('recipe', words.recipe, { x: box.x, y: box.y + spacing, width: box.width })
      const facts = beside({ ...box, y: box.y + 2 * spacing, height: 0 }, [1, 1, 1], sheet.size)
      for (const [i, fact] of (['serves', 'time', 'oven'] as const).entries()) sheet.field(fact, words[fact], facts[i]!)
      const rest = { ...box, y: box.y + 2.6 * spacing, height: box.height - 2.6 * spacing }
      const wide = room.width > 260
      const [upper, lower] = below(rest, params.on === '2' ? [1] : [5, 1], spacing * 0.7)
      const [left, right] = wide ? beside(upper!, [4, 7], gap) : below(upper!, [4, 6], spacing * 0.6)
      sheet.part('ingredients', words.ingredients, left!, (own, room) => own.ticks(room, spacing))
      sheet.part('method', words.method, right!, (own, room) => own.rule(room, spacing))
      if (lower) sheet.part('notes', words.notes, lower, (own, room) => own.rule(room, spacing))
    }
    sheet.done()
  },
})
