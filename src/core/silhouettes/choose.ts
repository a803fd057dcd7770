import { Fault, seeded, seedOf, shuffled } from '../trade'
import { OWN } from './choices'
import { type OwnShape, silhouetteOf } from './own'
import { type Silhouette, silhouettes } from './silhouette'

/** What says which silhouette a puzzle is to have: an outline's value, and the author's own shape where it is that. */
export interface Outlined {
  outline?: string | undefined
  own?: OwnShape | undefined
  /** Silhouettes that are taken in turn; all that ship where none is named. */
  outlines?: readonly string[] | undefined
}

/** The silhouettes that are named, in their order; all that ship where none is. */
export function stockOf(named: readonly string[] | undefined): readonly Silhouette[] {
  const all = silhouettes()
  const chosen = (named ?? []).flatMap(id => all.find(s => s.id === id) ?? [])
  return chosen.length ? chosen : all
}

/** How often one is taken out of its turn: no puzzle comes of some. */
const ASTRAY = 0.1

/** A silhouette for a puzzle of a run: of those that are named each in its turn, as far as puzzles come of them; any that ships where none is named. */
export function silhouetteInTurn(
  named: readonly string[] | undefined,
  index: number,
  chance: () => number,
): Silhouette {
  const stock = stockOf(named)
  const any = stock[Math.floor(chance() * stock.length)]!
  return !named?.length || chance() < ASTRAY ? any : stock[index % stock.length]!
}

/**
 * The silhouette of a puzzle of a run: the one that is named, the author's own, or another each time: of those that are chosen, or of all
 * that suit. Nothing where the grid is to be whole. Throws a Fault where there is none.
 */
export function silhouetteFor(
  { outline = 'none', own, outlines }: Outlined,
  { index, run }: { index: number; run: number },
  suits: (shape: Silhouette) => boolean,
): Silhouette | undefined {
  if (outline === 'none') return undefined
  if (outline === OWN) {
    if (!own || (!own.rings.length && !own.turned.some(t => t.cells.length)))
      throw new Fault('outline', 'The shape of your own is still empty: trace a word, or open its cells.')
    return silhouetteOf(own)
  }
  const all = silhouettes()
  if (outline !== 'turn') return all.find(s => s.id === outline)
  if (outlines?.length) {
    const chosen = stockOf(outlines)
    return chosen[index % chosen.length]
  }
  const order = shuffled([...all], seeded(seedOf(`outlines/${run}`)))
  // From its own place in the order on, so that those that suit take turns.
  for (let i = 0; i < order.length; i++) {
    const shape = order[(index + i * 7) % order.length]!
    if (suits(shape)) return shape
  }
  throw new Fault('outline', 'No silhouette suits this grid: take a larger one, or ask for less in it.')
}
