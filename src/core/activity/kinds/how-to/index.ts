import { LayerBuilder } from '../../../marks'
import { rulesIn } from '../../../puzzles'
import { fields } from '../../../trade'
import { setFrag } from '../../../type'
import { pageWords } from '../../../words'
import { aKind, type MadeRun, type RunKind } from '../../kind'
import { addPiece } from '../../piece'
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

/** Words and their leading; the gap before the example and between it and its answer; the height of a label; points. */
const SIZE = { most: 13.5, least: 8, share: 1 / 34 }
const LEADING = 1.42
const GAP = 20
const LABEL = 20
/** Of the height that is left over, this much stands above the example. */
const ABOVE = 0.35
/** An example is no more than so much larger than it would be in half the width. */
const LARGEST = 1.25

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
    const { out, room, top, place, styleOf, look, language } = page
    if (!made) return
    const words = pageWords(language)
    const { kind } = made.other
    const size = Math.min(SIZE.most, Math.max(SIZE.least, room.width * SIZE.share)) * page.print
    const [style, label] = [await styleOf(look.text.face, size), await styleOf(look.head.face, size * 0.9)]
    let y = top + size
    const rules = new LayerBuilder()
    for (const sentence of rulesIn(kind.howTo!.rules, language)) {
      for (const line of wrapped(style, sentence, room.width)) {
        setFrag(rules, style.frag(line), { x: 0, y, place })
        y += size * LEADING
      }
      y += size * 0.4
    }
    addPiece(out, { id: 'rules' }, rules)
    const ratios = await ratiosOf(kind, made.example)
    const free = { width: room.width, height: room.height - (y - size) - GAP }
    const named = LABEL * page.print
    const { width, stacked, high } = arranged(ratios, free, named)
    const begin = y - size + GAP + Math.max(0, free.height - high) * ABOVE
    let at = { x: stacked ? (room.width - width) / 2 : 0, y: begin }
    for (const [i, says] of [words.example, words.itsAnswer].entries()) {
      const height = width / ratios[i]!
      const piece = new LayerBuilder()
      setFrag(piece, label.frag(says), { x: 0, y: size, place })
      const own = new LayerBuilder()
      if (i) await kind.answers!.draw(made.example, 0, { ...page, width, height, out: own })
      else
        await kind.draw({
          ...page,
          params: kind.plain,
          made: made.example,
          index: 0,
          room: { width, height },
          top: 0,
          out: own,
        })
      piece.add({ kind: 'group', transform: [1, 0, 0, 1, 0, named], layers: [own.build()] })
      addPiece(out, { id: i ? 'answer' : 'example' }, piece, at.x, at.y)
      at = stacked ? { x: at.x, y: at.y + named + height + GAP } : { x: room.width - width, y: at.y }
    }
  },
})

/** Width by height of the example, and of its answer. */
async function ratiosOf(kind: RunKind, example: unknown): Promise<[number, number]> {
  const answer = await kind.answers!.ratio(example, 0)
  return [(await kind.ratio?.(example, 0)) ?? answer, answer]
}

/** The example and its answer in a room, equally wide, each under a label so high: beside each other, or one below the other where that makes them larger. */
function arranged(
  [example, answer]: readonly [number, number],
  room: { width: number; height: number },
  label: number,
): { width: number; stacked: boolean; high: number } {
  const half = (room.width - GAP) / 2
  const beside = Math.max(1, Math.min(half, (room.height - label) * Math.min(example, answer)))
  const below = Math.max(
    1,
    Math.min(room.width, half * LARGEST, (room.height - 2 * label - GAP) / (1 / example + 1 / answer)),
  )
  const stacked = below > beside
  return stacked
    ? { width: below, stacked, high: 2 * label + GAP + below / example + below / answer }
    : { width: beside, stacked, high: label + beside / Math.min(example, answer) }
}
