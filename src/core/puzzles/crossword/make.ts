import { Fault, seeded } from '../../trade'
import { type DealtWord, dealt, listsOf, meaningOf } from '../../words'
import type { Crossword } from '../lattice/crossword'
import { entriesOf } from '../lattice/lattice'
import { helped } from '../lattice/reason'
import type { Candidate, InRun } from '../puzzle'
import { nameOfCells } from '../turns'
import type { CrosswordValues } from './values'
import { weave } from './weave'

/** Weavings that are tried, of which the densest is taken; and how many before it is said that words have no place. */
const WEAVINGS = 80
const MOST = 150

/** Cells of the grid that one crossing outweighs. */
const DENSE = 6

/** Where the bands begin: bits that a clue has to tell. */
const begins = [0, 3, 4.5, 6, 7.2]

const clueOf = ({ clue, letters }: DealtWord): string | undefined => clue ?? meaningOf(letters)

/** Words dealt to this puzzle and woven, some letters given as the band wants. Throws a Fault where words have no clue, or no place. */
export function make(
  { words, count, deal, side, band }: CrosswordValues,
  seed: number,
  at: InRun,
): Candidate<Crossword> | undefined {
  const chance = seeded(seed)
  const taken = dealt(listsOf(words), {
    count,
    index: at.index,
    seed: at.run,
    once: deal === 'once',
    suits: w => w.letters.length >= 3 && w.letters.length <= side && !!clueOf(w),
    agree: (a, b) => a.letters !== b.letters && clueOf(a) !== clueOf(b),
  })
  const byLetters = new Map(taken.map(w => [w.letters, w]))
  let best: ReturnType<typeof weave> | undefined
  for (let i = 0; i < MOST && (i < WEAVINGS || best!.left.length); i++) {
    const next = weave([...byLetters.keys()], side, chance)
    const worth = ({ woven, left }: ReturnType<typeof weave>): number =>
      left.length * 10_000 + woven.rows * woven.cols + woven.letters.filter(Boolean).length * DENSE
    if (!best || worth(next) < worth(best)) best = next
  }
  const { woven, left } = best!
  if (left.length)
    throw noPlace(
      left.map(l => byLetters.get(l)!.word),
      side,
    )
  const open = Uint8Array.from(woven.letters, sign => (sign ? 1 : 0))
  const entries = entriesOf({ ...woven, open }, woven.letters).map(e => {
    const of = byLetters.get(e.answer)!
    return { ...e, clue: clueOf(of)!, word: of.word }
  })
  const help = helped(entries, { band, begins, chance })
  if (!help) return undefined
  const puzzle = { ...woven, open, entries, given: help.given, black: false }
  const { rows, cols, letters } = woven
  return { puzzle, difficulty: help.difficulty, twin: nameOfCells(rows, cols, (r, c) => letters[r * cols + c] || '.') }
}

function noPlace(words: string[], side: number): Fault {
  const named = words.slice(0, 4).map(w => `“${w}”`)
  return new Fault(
    'no-place',
    `${named.join(', ')} ${named.length > 1 ? 'find' : 'finds'} no place within ${side} by ${side}: more room or other words would help.`,
    undefined,
    side < 25
      ? {
          says: `Make it ${side + 3 > 25 ? 25 : side + 3} by ${side + 3 > 25 ? 25 : side + 3}`,
          values: { side: Math.min(25, side + 3) },
        }
      : undefined,
  )
}
