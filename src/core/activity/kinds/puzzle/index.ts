import { LayerBuilder, type MarkPlace } from '../../../marks'
import { type Made, makePuzzles, type PuzzleKind } from '../../../puzzles'
import type { TextStyle } from '../../../type'
import type { WordSource } from '../../../words'
import { aKind, type Control, type Room, type RunKind } from '../../kind'

/** Of the height that a puzzle leaves free, this much stands above it: the eye's middle is higher than a ruler's. */
const ABOVE = 0.4

/** Where a puzzle or its answer goes: the largest drawing of its shape in a room. */
interface Placed extends Room {
  out: LayerBuilder
  place: MarkPlace
  styleOf(face: string, size: number): Promise<TextStyle>
  language: string
}

/** Pages of a kind of puzzle: one a page, as large as the page allows. */
export function puzzleRun(kind: PuzzleKind): RunKind {
  const drawIn = async (
    made: Made,
    { out, place, styleOf, language, ...room }: Placed,
    answer: boolean,
    top = 0,
  ): Promise<void> => {
    const work = await kind.work()
    const ratio = work.ratio(made.puzzle, answer)
    const width = Math.min(room.width, (room.height - top) * ratio)
    const height = width / ratio
    const own = new LayerBuilder()
    await work.draw({ out: own, puzzle: made.puzzle, answer, width, height, place, styleOf, language })
    // An answer stands under its heading.
    const free = answer ? 0 : room.height - top - height
    const [x, y] = [(room.width - width) / 2, top + free * ABOVE]
    out.add({ kind: 'group', transform: [1, 0, 0, 1, x, y], layers: [own.build()] })
  }
  // The words of a run are its first: others are what comes beside them.
  const source = Object.entries(kind.controls as Record<string, Control>).find(([, c]) => c.as === 'words')?.[0]
  return aKind<object, Made[]>({
    id: kind.id,
    name: kind.name,
    says: kind.says,
    family: 'puzzles',
    schema: kind.schema,
    plain: kind.plain,
    sentence: kind.sentence,
    controls: kind.controls as Record<string, Control> as never,
    howTo: kind.howTo,
    ...(source && {
      // Words are loaded when they are first wanted: they are large.
      listName: async (params: object, index: number) => {
        const { listsOf } = await import('../../../words')
        const lists = listsOf((params as Record<string, WordSource>)[source]!)
        return lists[index % lists.length]?.name
      },
    }),
    alike: false,
    singly: true,
    make: ({ params, ...making }) => makePuzzles(kind, params, making),
    ratio: async (made, index) => (await kind.work()).ratio(made[index]!.puzzle, false),
    twins: made => made.map(m => m.twin),
    draw: ({ made, index, out, place, styleOf, language, room, top }) =>
      drawIn(made[index]!, { out, place, styleOf, language, ...room }, false, top),
    answers: {
      ratio: async (made, index) => (await kind.work()).ratio((made as Made[])[index]!.puzzle, true),
      draw: (made, index, on) => drawIn((made as Made[])[index]!, on, true),
    },
  })
}
