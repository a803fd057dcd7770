import { LayerBuilder } from '../../../marks'
import { fields } from '../../../trade'
import { setFrag } from '../../../type'
import { aKind, type MadeRun } from '../../kind'
import { wrapped } from '../../wrapped'

const { shape, text } = fields

interface HowToValues {
  of: string
}

/** What is shown: the run that it belongs to, and its example. */
interface Taught {
  other: MadeRun
  example: unknown
}

/** Words, their leading; the gap before the example and between it and its answer; points. Half a page is the most they take. */
const SIZE = { most: 11.5, least: 8 }
const LEADING = 1.42
const GAP = 18
const LABEL = 16
const HALF = 0.56
/** How much higher than its answer a puzzle may stand, with what is printed under it. */
const LISTED = 1.4

/** How the puzzles of another run are solved: its rules in a few sentences, a small one, and its answer beside it. */
export const howTo = aKind<HowToValues, Taught | undefined>({
  id: 'how-to',
  name: 'How to solve',
  says: 'rules of another run’s puzzles with an example',
  family: 'puzzles',
  schema: () => shape({ of: text(40).required() }) as never,
  plain: { of: 'none' },
  sentence: 'For {of}.',
  controls: { of: { as: 'run', says: 'For which run' } },
  alike: false,
  refersTo: ({ of }) => of,
  pagesFor: (_params, other) => (other ? 1 : 0),
  async make({ other, language, ticker }) {
    const taught = other?.kind.howTo
    if (!other || !taught) return undefined
    const params = { ...other.kind.plain, ...taught.values }
    return { other, example: await other.kind.make({ params, seed: 1, count: 1, language, ticker }) }
  },
  async draw({ made, ...page }) {
    const { out, room, top, place, styleOf, look } = page
    if (!made) return
    const { kind } = made.other
    const size = Math.min(SIZE.most, Math.max(SIZE.least, room.width / 32)) * page.print
    const [style, label] = [await styleOf(look.text.face, size), await styleOf(look.head.face, size * 0.85)]
    let y = top + size
    for (const sentence of kind.howTo!.words) {
      for (const line of wrapped(style, sentence, room.width)) {
        setFrag(out, style.frag(line), { x: 0, y, place })
        y += size * LEADING
      }
      y += size * 0.4
    }
    y += GAP - size
    const width = (room.width - GAP) / 2
    const most = Math.max(width * 0.6, room.height * HALF - (y - top) - LABEL)
    // As high as the answer and its list below: both begin at one line.
    const height = Math.min(most, (width / (await kind.answers!.ratio(made.example, 0))) * LISTED)
    const on = { ...page, width, height }
    const example = { ...page, params: kind.plain, made: made.example, index: 0, room: { width, height }, top: 0 }
    for (const [i, says] of ['An example', 'Its answer'].entries()) {
      const x = i * (width + GAP)
      setFrag(out, label.frag(says), { x, y, place })
      const own = new LayerBuilder()
      if (i) await kind.answers!.draw(made.example, 0, { ...on, out: own })
      else await kind.draw({ ...example, out: own })
      out.add({ kind: 'group', transform: [1, 0, 0, 1, x, y + LABEL * 0.6], layers: [own.build()] })
    }
  },
})
