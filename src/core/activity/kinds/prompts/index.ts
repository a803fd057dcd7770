import { LayerBuilder } from '../../../marks'
import { fields } from '../../../trade'
import { setFrag, type TextStyle } from '../../../type'
import type { WordSource } from '../../../words'
import { evenly } from '../../evenly'
import { aKind, type DrawnPage } from '../../kind'
import { addPiece, wordedPiece } from '../../piece'
import { Lines, lengthControl, lengthField, toneControl, toneField } from '../../ruling'
import { wrapped } from '../../wrapped'

const { amount, one, shape, text } = fields

interface PromptValues {
  rows: WordSource
  stands: 'head' | 'middle' | 'foot'
  size: number
  below: 'lines' | 'dots' | 'nothing'
  spacing: number
  tone: number
}

/** Letters go down to so many points before a row would not fit its page; lines of them; between a row and what is below it. */
const LEAST = 8
const LEADING = 1.35
const CLEAR = 1.6
/** Of the page that a row may take where something is below it. */
const MOST = 0.5

/** A page a row of a list: a question, a task, a line to think about; room to write below it. */
export const prompts = aKind<PromptValues, string[]>({
  id: 'prompts',
  name: 'Prompts',
  says: 'a row of a list a page, room to answer',
  family: 'sheets',
  schema: () =>
    shape({
      rows: shape({ bank: text(40).defined(), text: text(400_000).defined() }).required(),
      stands: one('head', 'middle', 'foot').required(),
      size: amount(8, 60).required(),
      below: one('lines', 'dots', 'nothing').required(),
      spacing: lengthField(),
      tone: toneField(),
    }) as never,
  plain: { rows: { bank: 'sayings', text: '' }, stands: 'head', size: 18, below: 'lines', spacing: 22, tone: 0.35 },
  sentence:
    'A row a page of {rows}, {stands}, in letters of {size}, with {below} around it, {spacing} apart, {tone} dark.',
  controls: {
    rows: { as: 'words', says: 'Rows', clued: false, sayings: true, rows: true },
    stands: {
      as: 'choice',
      says: 'Where a row stands',
      choices: [
        { value: 'head', words: 'at the head' },
        { value: 'middle', words: 'in the middle' },
        { value: 'foot', words: 'at the foot' },
      ],
    },
    size: { as: 'length', says: 'Size of its letters', least: 9, most: 48, step: 0.5 },
    below: {
      as: 'choice',
      says: 'What is around it',
      choices: [
        { value: 'lines', words: 'lines to write on' },
        { value: 'dots', words: 'dots' },
        { value: 'nothing', words: 'nothing' },
      ],
    },
    spacing: lengthControl('Between lines', 12, 48),
    tone: toneControl,
  },
  alike: false,
  madeFrom: (_params, made, index) => made[index % made.length],
  async make({ params: { rows } }) {
    const { linesOf, sayings } = await import('../../../words')
    const lines = rows.bank ? sayings.map(s => s) : linesOf(rows.text)
    return lines.length ? lines : ['']
  },
  async draw(page) {
    const { params, made, index, room, top, look, place, out } = page
    const { below, spacing, stands } = params
    const height = room.height - top
    const row = made[index % made.length]!
    const words = page.words('row', row)
    const { style, lines } = await fittingIn(page, words, below === 'nothing' ? height : height * MOST)
    const size = style.size
    const taken = lines.length * size * LEADING
    const free = height - taken
    const y = stands === 'head' ? top : stands === 'foot' ? top + free : top + free * (below === 'nothing' ? 0.42 : 0.5)
    const drawn = new LayerBuilder()
    lines.forEach((line, i) => {
      const frag = style.frag(line)
      const x = look.head.at === 'centre' || stands === 'middle' ? (room.width - frag.width) / 2 : 0
      setFrag(drawn, frag, { x: Math.max(0, x), y: y + size * 0.85 + i * size * LEADING, place })
    })
    addPiece(out, wordedPiece('row', words, row), drawn)
    if (below === 'nothing') return
    const clear = size * CLEAR * (words ? 1 : 0)
    const ruled = new Lines(below === 'dots' ? 1.2 : undefined)
    const rule = (from: number, to: number): void => {
      const { count } = evenly(Math.max(0, to - from), spacing)
      for (let i = 0; i <= count; i++) {
        const at = to - i * spacing
        if (below === 'lines') ruled.across(0, room.width, at)
        else for (let x = (room.width % spacing) / 2; x <= room.width; x += spacing) ruled.across(x - 0.6, x + 0.6, at)
      }
    }
    if (stands !== 'foot') rule(y + taken + clear, room.height)
    if (stands !== 'head' && y - clear > top + spacing) rule(top + spacing, y - clear)
    const lined = new LayerBuilder()
    ruled.into(lined, params.tone)
    addPiece(out, { id: 'room' }, lined)
  },
})

/** Words in lines, as large as they are asked to be or as goes into a height. */
async function fittingIn(
  { params, room, look, print, styleOf }: DrawnPage<PromptValues, string[]>,
  words: string,
  height: number,
): Promise<{ style: TextStyle; lines: string[] }> {
  for (let size = params.size * Math.max(1, print * 0.8); ; size = Math.max(LEAST, size * 0.92)) {
    const style = await styleOf(look.head.face, size)
    const lines = words ? wrapped(style, words, room.width) : []
    if (lines.length * size * LEADING <= height || size <= LEAST) return { style, lines }
  }
}
