import type { Edition } from '../book'
import { Fault, type OutletProfile } from '../trade'
import harrowmere from './profiles/harrowmere.json' with { type: 'json' }
import ostrevane from './profiles/ostrevane.json' with { type: 'json' }
import pellowick from './profiles/pellowick.json' with { type: 'json' }
import tarnbrook from './profiles/tarnbrook.json' with { type: 'json' }

/** The four simulated outlets that ship with the app, in the order in which they are offered. A test reads each by the schema; doing so at every start cost a press 70 ms. */
export const shippedProfiles = [ostrevane, pellowick, harrowmere, tarnbrook] as unknown as OutletProfile[]

/** A profile by id, or a Fault that lists those there are. */
export function profileOf(id: string, profiles: readonly OutletProfile[]): OutletProfile {
  const found = profiles.find(p => p.id === id)
  if (!found)
    throw new Fault(
      'no-outlet',
      `There is no outlet “${id.slice(0, 60)}”: known are ${profiles.map(p => p.id).join(', ')}.`,
    )
  return found
}

/** Where an edition is made for when it names no outlet: the first that takes its kind, or else the first. */
export function homeOutlet(
  { kind, outlets }: Pick<Edition, 'kind' | 'outlets'>,
  known: readonly OutletProfile[],
): string {
  const [own] = outlets
  if (own) return own
  const taker = known.find(p => (kind === 'ebook' ? p.ebook : p.print?.bindings.some(b => b.kind === kind)))
  return (taker ?? known[0]!).id
}
