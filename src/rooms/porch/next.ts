import type { EditionOutlook, Outlook } from '@/core/chain'
import type { LampState } from '@/parts/Lamp'
import { editionLamp, type Pair } from '@/parts/pairs'
import type { Look } from './looks'
import type { Entry } from './useEntries'

/** An entry's pairs with what the press found of them. */
export const pairsWith = (entry: Entry, look: Look): Pair[] =>
  entry.pairs.map(p => ({ ...p, differences: look.drifts?.[p.key] ?? [] }))

/** How far an edition is before anything is sent: nothing in it, something stops it, ready. */
const readiness = (o: Outlook, e: EditionOutlook): 'dark' | 'dim' | 'lit' =>
  o.words + o.planned === 0 ? 'dark' : e.stops ? 'dim' : 'lit'

export const lampFor = (pairs: Pair[], o: Outlook, e: EditionOutlook): { lamp: LampState; word: string } =>
  editionLamp(
    pairs.filter(p => p.edition.id === e.id),
    readiness(o, e),
  )

/** What a book needs of its author. */
export interface Need {
  words: string
  /** The room for it. */
  stage: 'pages' | 'text' | 'listings' | 'check'
  /** What was sent and wants the author comes before what is begun, and that before what is ready. */
  after: 0 | 1 | 2
}

/** What a book needs next; undefined where it is in order. */
export function nextFor(entry: Entry, pairs: Pair[], o: Outlook): Need | undefined {
  if (entry.readFor) return { words: `Read it for ${entry.readFor}`, stage: 'text', after: 1 }
  const begun = entry.pairs.some(p => p.events.length) ? 0 : 2
  if (o.words + o.planned === 0)
    return entry.planned
      ? { words: 'Plan its pages', stage: 'pages', after: 1 }
      : { words: 'Write something first', stage: 'text', after: 1 }
  const drifted = pairs.find(p => p.state.live && p.differences.length && !p.state.pending)
  if (drifted) {
    const moved = drifted.differences.slice(0, 3).map(d => d.what)
    return { words: `Moved on since it was sent: ${moved.join(', ')}`, stage: 'listings', after: begun }
  }
  const returned = pairs.find(p => p.state.status === 'returned')
  if (returned) return { words: `Returned: ${returned.state.returned!.reasons[0]!}`, stage: 'listings', after: begun }
  const asks = o.editions.find(e => e.asks)
  if (asks) return { words: asks.asks!, stage: 'check', after: 1 }
  if (pairs.some(p => p.state.status !== 'draft')) return undefined
  return { words: 'Ready for its listing', stage: 'listings', after: begun }
}
