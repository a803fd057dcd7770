import { fields } from '../../../../trade'
import { setFrag } from '../../../../type'
import { toneControl, toneField } from '../../../ruling'
import { wrapped } from '../../../wrapped'
import { aDesign } from '../../kind'

const { amount, one, shape, text } = fields

const FACES = {
  plain: 'figtree/regular',
  strong: 'figtree/bold',
  book: 'eb-garamond/regular',
  slanted: 'eb-garamond/italic',
}

interface WordValues {
  words: string
  face: 'head' | keyof typeof FACES
  size: number
  align: 'left' | 'centre' | 'right'
  stands: 'top' | 'middle' | 'bottom'
  tone: number
}

const LEADING = 1.35
/** Letters become no smaller than this so that words go into their box, points; smaller each time by. */
const LEAST = 6
const SMALLER = 0.94

/** Words of the author's, in lines within their box; as large as asked for, or as goes in. */
export const words = aDesign<WordValues>({
  id: 'words',
  name: 'Words',
  schema: () =>
    shape({
      words: text(4000).defined(),
      face: one('head', ...Object.keys(FACES)).required(),
      size: amount(4, 120).required(),
      align: one('left', 'centre', 'right').required(),
      stands: one('top', 'middle', 'bottom').required(),
      tone: toneField(),
    }) as never,
  plain: { words: 'Your words', face: 'head', size: 16, align: 'left', stands: 'top', tone: 1 },
  size: { width: 0.6, height: 0.12 },
  sentence: '{words} in {face}, letters of {size}, {align}, {stands} of its box, {tone} dark.',
  controls: {
    words: { as: 'text', says: 'What it says' },
    face: {
      as: 'choice',
      says: 'Its letters',
      choices: [
        { value: 'head', words: 'the letters of headings' },
        { value: 'plain', words: 'plain letters' },
        { value: 'strong', words: 'strong letters' },
        { value: 'book', words: 'book letters' },
        { value: 'slanted', words: 'slanted book letters' },
      ],
    },
    size: { as: 'length', says: 'Size of its letters', least: 6, most: 72, step: 0.5 },
    align: {
      as: 'choice',
      says: 'How lines stand',
      choices: [
        { value: 'left', words: 'from the left' },
        { value: 'centre', words: 'centred' },
        { value: 'right', words: 'to the right' },
      ],
    },
    stands: {
      as: 'choice',
      says: 'Where in its box',
      choices: [
        { value: 'top', words: 'at the top' },
        { value: 'middle', words: 'in the middle' },
        { value: 'bottom', words: 'at the foot' },
      ],
    },
    tone: toneControl,
  },
  async draw({ out, params, width, height, look, styleOf, place, fields: known }) {
    // Braces that name nothing are kept as they were written.
    const said = params.words.replace(/\{([^{}]+)\}/g, (whole, name: string) => known[name.trim()] ?? whole)
    const face = params.face === 'head' ? look.head.face : FACES[params.face]
    for (let size = params.size; ; size = Math.max(LEAST, size * SMALLER)) {
      const style = await styleOf(face, size, params.tone)
      const lines = said.split('\n').flatMap(line => wrapped(style, line, width))
      const high = lines.length * size * LEADING
      if (high > height && size > LEAST) continue
      const top = params.stands === 'top' ? 0 : (height - high) * (params.stands === 'middle' ? 0.5 : 1)
      lines.forEach((line, i) => {
        const frag = style.frag(line)
        const free = width - frag.width
        const x = params.align === 'left' ? 0 : params.align === 'right' ? free : free / 2
        setFrag(out, frag, { x, y: top + size * 0.95 + i * size * LEADING, place })
      })
      return
    }
  },
})
