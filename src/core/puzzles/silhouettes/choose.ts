import { Fault, seeded, seedOf, shuffled } from '../../trade'
import type { InRun } from '../puzzle'
import { type Silhouette, silhouettes } from './silhouette'

/**
 * The silhouette that an outline's value names for a puzzle of a run: that one, or another each time, of those that suit. Nothing where
 * the grid is to be whole.
 */
export function silhouetteFor(
  outline: string,
  { index, run }: InRun,
  suits: (shape: Silhouette) => boolean,
): Silhouette | undefined {
  if (outline === 'none') return undefined
  const all = silhouettes()
  if (outline !== 'turn') return all.find(s => s.id === outline)
  const order = shuffled([...all], seeded(seedOf(`outlines/${run}`)))
  // From its own place in the order on, so that those that suit take turns.
  for (let i = 0; i < order.length; i++) {
    const shape = order[(index + i * 7) % order.length]!
    if (suits(shape)) return shape
  }
  throw new Fault('outline', 'No silhouette suits this grid: take a larger one, or ask for less in it.')
}
