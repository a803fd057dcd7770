import type { Run } from '../../../book'
import { LayerBuilder } from '../../../marks'
import { fields } from '../../../trade'
import { setFrag } from '../../../type'
import { aKind, type MadeRun } from '../../kind'

const { one, shape, text } = fields

const counts = ['1', '2', '4', '6', '9', '12'] as const
interface AnswerValues {
  of: string
  count: (typeof counts)[number]
}

/** Between answers, wider on a wide page, and the heading over each; points. */
const gapOf = (width: number): number => Math.max(14, width * 0.045)
const HEADING = { face: 'fraunces/bold', size: 9, height: 15 }

/** How many answers stand beside each other and under each other: as it leaves each the most room. */
function layOut(count: number, width: number, height: number, ratio: number): { across: number; down: number } {
  const gap = gapOf(width)
  let best = { across: 1, down: count, side: 0 }
  for (let across = 1; across <= count; across++) {
    const down = Math.ceil(count / across)
    const [w, h] = [(width - (across - 1) * gap) / across, (height - (down - 1) * gap) / down - HEADING.height]
    const side = Math.min(w, h * ratio)
    if (side > best.side) best = { across, down, side }
  }
  return best
}

/** What an answer is headed by: what its page is. */
const headingOf = ({ heading }: Run, index: number): string =>
  !heading ? String(index + 1) : heading.from === undefined ? heading.words : `${heading.words} ${heading.from + index}`

/** Answers to what the pages of another run ask, several to a page, each under its page's heading. */
export const answers = aKind<AnswerValues, MadeRun | undefined>({
  id: 'answers',
  name: 'Answers',
  says: 'answers to the puzzles of another run',
  schema: () => shape({ of: text(40).required(), count: one(...counts).required() }) as never,
  plain: { of: 'none', count: '4' },
  sentence: 'Of {of}, {count} to a page.',
  controls: {
    of: { as: 'run', says: 'Of which run' },
    count: { as: 'choice', says: 'On a page', choices: counts.map(value => ({ value, words: value })) },
  },
  givesAnswers: true,
  alike: false,
  refersTo: ({ of }) => of,
  pagesFor: ({ count }, other) => (other ? Math.ceil(other.pages / Number(count)) : 0),
  make: ({ other }) => (other?.kind.answers ? other : undefined),
  async draw({ out, params, made: other, index, room, top, place, styleOf }) {
    if (!other) return
    const asked = other.kind.answers!
    const count = Number(params.count)
    const first = index * count
    if (first >= other.run.pages) return
    const style = await styleOf(HEADING.face, HEADING.size)
    const { across, down } = layOut(count, room.width, room.height - top, await asked.ratio(other.made, first))
    const gap = gapOf(room.width)
    const width = (room.width - (across - 1) * gap) / across
    const height = (room.height - top - (down - 1) * gap) / down
    for (let i = first; i < Math.min(first + count, other.run.pages); i++) {
      const [column, row] = [(i - first) % across, Math.floor((i - first) / across)]
      const [x, y] = [column * (width + gap), top + row * (height + gap)]
      const frag = style.frag(headingOf(other.run, i))
      setFrag(out, frag, { x: x + Math.max(0, (width - frag.width) / 2), y: y + HEADING.size, place })
      const own = new LayerBuilder()
      await asked.draw(other.made, i, { out: own, place, styleOf, width, height: height - HEADING.height })
      out.add({ kind: 'group', transform: [1, 0, 0, 1, x, y + HEADING.height], layers: [own.build()] })
    }
  },
})
