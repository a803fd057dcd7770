import { Fault, seeded } from '../../trade'
import { type DealtWord, dealt, listsOf } from '../../words'
import { type Bed, type CellBox, type Direction, directions, type LetterGrid, wholeBed } from '../letter-grid/grid'
import { fill } from '../letter-grid/fill'
import { largestBox, ringOf, squarely } from '../letter-grid/hollow'
import { type Laid, lay } from '../letter-grid/lay'
import { measure, mixes, reaches } from '../letter-grid/measure'
import { pool } from '../letter-grid/pool'
import type { Candidate, InRun } from '../puzzle'
import { cellsIn, likeness, OWN, type Silhouette, silhouetteFor } from '../../silhouettes'
import { nameOfCells } from '../turns'
import { held, messageFor } from './sayings'
import { MOST, type WordSearchValues } from './values'

/** Layings that are tried before it is said that a word has no place. */
const LAYINGS = 12

const allowed: Record<WordSearchValues['directions'], readonly Direction[]> = {
  band: directions,
  forward: ['E', 'S'],
  slanting: ['E', 'S', 'SE', 'NE'],
  all: directions,
}

/** Words dealt to this puzzle, laid, and the rest filled. Throws a Fault where words lack, or find no place. */
export function make(values: WordSearchValues, seed: number, at: InRun): Candidate<LetterGrid> | undefined {
  const chance = seeded(seed)
  const words = dealt(listsOf(values.words), {
    count: values.count,
    index: at.index,
    seed: at.run,
    once: values.deal === 'once',
    suits: w => w.letters.length >= 3 && w.letters.length <= longest(values),
    agree: apart,
  })
  const { bed, box, laid } = layAll(values, words, {
    shape: silhouetteFor(values, at, s => roomy(s, values, words)),
    chance,
  })
  const free = bed.open.filter((open, cell) => open && laid.letters[cell] === '').length
  const message = values.message === 'saying' ? messageFor(free, values, at, chance) : undefined
  const letters = fill(bed, laid, { pool: pool(words, values.band), message: message?.letters ?? '', chance })
  if (!letters) return undefined
  const difficulty = measure(bed, laid.placed, letters)
  if (difficulty.band !== values.band) return undefined
  const hollow = box && { box, holds: held(values, at) }
  const puzzle = { ...bed, letters, words: laid.placed, marked: values.marked, message, hollow }
  return { puzzle, difficulty, twin: nameOfCells(bed.rows, bed.cols, (r, c) => letters[r * bed.cols + c]!) }
}

const longest = ({ rows, cols, size }: WordSearchValues): number => (size === 'grown' ? MOST : Math.max(rows, cols))

/** A word that stands inside another, forth or back, would be found there as well. */
function apart(a: DealtWord, b: DealtWord): boolean {
  const [short, long] = a.letters.length < b.letters.length ? [a, b] : [b, a]
  return !long.letters.includes(short.letters) && !long.letters.includes(turnedRound(short))
}
const backwards = (letters: string): string => Array.from(letters).reverse().join('')

/** Words from their last letter to the first: each is asked for beside all others of its list. */
const turned = new WeakMap<DealtWord, string>()
function turnedRound(word: DealtWord): string {
  let back = turned.get(word)
  if (back === undefined) turned.set(word, (back = backwards(word.letters)))
  return back
}

/** Lays the words in a grid as large as said, or grown until they fit. */
function layAll(
  values: WordSearchValues,
  words: DealtWord[],
  { shape, chance }: { shape: Silhouette | undefined; chance: () => number },
) {
  const letters = lettersOf(words)
  const bedOf = (more: number) => hollowed(bedFor(values, more, shape), values, letters)
  const mix = { ...mixes[values.band] }
  for (const d of directions)
    if (!allowed[values.directions].includes(d)) mix[d] = 0
    // All eight: those that the band does without come now and then.
    else if (values.directions === 'all') mix[d] = Math.max(mix[d], 1)
  if (directions.every(d => !mix[d]) || !reaches(mix, values.band))
    throw new Fault(
      'band',
      `Words that read only so are never ${values.band} to find: choose other directions.`,
      undefined,
      { says: 'Let them read as the difficulty asks', values: { directions: 'band' } },
    )
  const laying = { mix, overlap: values.overlap / 100, chance }
  const tryAt = (more: number): { laid?: Extract<Laid, { placed: unknown }>; homeless: string[] } => {
    const { bed, box } = bedOf(more)
    // Where a hollow is asked for, a grid without room for it will not do.
    if (!box && (values.hollow ?? 'none') !== 'none') return { homeless: [] }
    const homeless: string[] = []
    for (let i = 0; i < LAYINGS; i++) {
      const laid = lay(bed, words, laying)
      if ('placed' in laid) return { laid, homeless }
      homeless.push(laid.homeless)
    }
    return { homeless }
  }
  const most = MOST - Math.max(values.rows, values.cols)
  for (let more = 0; more <= most; more++) {
    const { laid, homeless } = tryAt(more)
    if (laid && (more === 0 || values.size === 'grown')) return { ...bedOf(more), laid }
    if (laid || more === most)
      throw noPlace([...new Set(values.size === 'grown' ? homeless : tryAt(0).homeless)], values, laid ? more : 0)
  }
  throw noPlace([], values, 0)
}

/** Cells for each letter that words want between outlines, and in a ring; and how well an outline must read on its grid. */
const ROOM = 1.7
const RING = 2.3
const READS = 0.7
/** A ring of letters is so many cells wide at least; what stands in it has so many each way at least. */
const WIDE = 3
const WITHIN = 3

/** Whether an outline leaves room for words, and still reads. */
function roomy(shape: Silhouette, values: WordSearchValues, words: readonly DealtWord[]): boolean {
  if (likeness(shape, values.rows, values.cols) < READS) return false
  return values.size === 'grown' || count(bedFor(values, 0, shape).open) >= lettersOf(words) * ROOM
}

const count = (cells: Uint8Array): number => cells.reduce((n, c) => n + c, 0)
const lettersOf = (words: readonly DealtWord[]): number => words.reduce((n, w) => n + w.letters.length, 0)

/** The grid, so many cells larger than said; closed on the other side of an outline. */
function bedFor({ rows, cols, side, outline }: WordSearchValues, more: number, shape: Silhouette | undefined): Bed {
  const bed = wholeBed(rows + more, cols + more)
  if (!shape) return bed
  // An outline that ships leaves letters all around it; the author's own lies where the author laid it.
  const margin = side === 'outside' && outline !== OWN ? Math.ceil(bed.rows / 10) : 0
  const inside = cellsIn(shape, bed.rows, bed.cols, margin)
  return { ...bed, open: side === 'inside' ? inside : inside.map(cell => 1 - cell) }
}

/** A grid that is hollow where it is to be: as wide a ring as the words want; around an outline, the outline itself is the hollow. */
function hollowed(bed: Bed, values: WordSearchValues, letters: number): { bed: Bed; box?: CellBox } {
  const { hollow = 'none', side, outline } = values
  if (hollow === 'none') return { bed }
  const around = side === 'outside' && outline !== 'none'
  let ring = bed
  for (let wide = WIDE; !around; wide++) {
    ring = ringOf(bed, wide)
    if (count(ring.open) === count(bed.open) || count(ring.open) >= letters * RING) break
  }
  const closed = around ? bed.open.map(o => 1 - o) : bed.open.map((o, at) => o - ring.open[at]!)
  const box = largestBox(closed, bed, hollow === 'silhouette' ? squarely : undefined)
  return box && Math.min(box.rows, box.cols) >= WITHIN ? { bed: ring, box } : { bed }
}

/** Which words, and what would help: a grid that was tried and takes them. */
function noPlace(
  homeless: readonly string[],
  { rows, cols, directions: way, hollow = 'none' }: WordSearchValues,
  more: number,
): Fault {
  const named = homeless.slice(0, 4).map(w => `“${w}”`)
  const which = named.length ? named.join(', ') : hollow === 'none' ? 'Some words' : 'Around a hollow these words'
  return new Fault(
    'no-place',
    `${which} ${named.length > 1 || !named.length ? 'find' : 'finds'} no place in ${cols} by ${rows}: ${
      more ? `${cols + more} by ${rows + more} takes them; so may fewer words` : 'fewer words would help'
    }${way === 'forward' || way === 'slanting' ? ', or more directions' : ''}.`,
    undefined,
    more
      ? { says: `Make it ${cols + more} by ${rows + more}`, values: { rows: rows + more, cols: cols + more } }
      : undefined,
  )
}
