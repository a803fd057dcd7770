import { once } from '../../trade'
import { dictionary } from '../../words'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Entry } from './lattice'
import { WordStock } from './stock'

const stock = once(() => new WordStock(dictionary().known))
/** Answers that no list has are one among so many. */
const RARE = 64

/**
 * How hard a crossword is for a person who always goes on with the entry that the fewest words fit. `given`: cells whose letters are told;
 * `begins`: where the bands begin, bits in the mean that a clue has to tell besides what letters tell.
 */
export function reason(entries: readonly Entry[], given: Iterable<number>, begins: readonly number[]): Difficulty {
  const known = new Set(given)
  const open = new Set(entries)
  const could = new Map<Entry, number>()
  const count = (e: Entry): number => {
    const signs = Array.from(e.answer)
    if (e.cells.every(at => known.has(at))) return 1
    const fits = stock().fitting(e.cells.map((at, i) => (known.has(at) ? signs[i]! : '')))
    return Math.max(
      fits,
      dictionary().rank.has(e.answer) ? 1 : Math.max(2, RARE >> signs.filter((_s, i) => known.has(e.cells[i]!)).length),
    )
  }
  for (const e of open) could.set(e, count(e))
  const steps: Record<string, number> = {}
  let bits = 0
  while (open.size) {
    const next = [...open].reduce((a, b) => (could.get(b)! < could.get(a)! ? b : a))
    open.delete(next)
    const n = could.get(next)!
    bits += Math.log2(n)
    const way =
      n === 1
        ? 'answer by its letters'
        : next.cells.some(at => known.has(at))
          ? 'answer by clue and letters'
          : 'answer by its clue alone'
    steps[way] = (steps[way] ?? 0) + 1
    const fresh = new Set(next.cells.filter(at => !known.has(at)))
    for (const at of fresh) known.add(at)
    for (const e of open) if (e.cells.some(at => fresh.has(at))) could.set(e, count(e))
  }
  const mean = bits / entries.length
  return { band: bands[begins.filter(b => mean >= b).length - 1]!, steps }
}

/** Letters that make a crossword as easy as the band: given by chance, one after the other. Nothing where it is easier without any. */
export function helped(
  entries: readonly Entry[],
  { band, begins, chance }: { band: Band; begins: readonly number[]; chance: () => number },
): { given: number[]; difficulty: Difficulty } | undefined {
  const cells = [...new Set(entries.flatMap(e => e.cells))]
  const given: number[] = []
  let difficulty = reason(entries, given, begins)
  while (bands.indexOf(difficulty.band) > bands.indexOf(band)) {
    // A few at once as long as much is open.
    for (let i = 0; i < Math.ceil(cells.length / 24) && cells.length; i++)
      given.push(...cells.splice(Math.floor(chance() * cells.length), 1))
    difficulty = reason(entries, given, begins)
  }
  return difficulty.band === band ? { given: given.sort((a, b) => a - b), difficulty } : undefined
}
