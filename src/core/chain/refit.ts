import { coverRules, type Subject } from '../check'
import type { Cover } from '../cover'
import type { OutletProfile } from '../trade'

/** What a cover loses or gains when it is fitted anew: the spine, and in plain sentences what fitted before and does no more. */
export interface Refitted {
  /** Points. */
  spine: { from: number; to: number }
  noLonger: string[]
}

/** What of a cover is otherwise when it is drawn on another flat. */
export function refitted(before: Cover, after: Cover, profile: OutletProfile): Refitted {
  const gone = before.pieces
    .filter(p => !after.pieces.some(q => q.id === p.id))
    .map(p => `The ${p.name} has no place on the ${p.panel} any more.`)
  const known = new Set(troubles(before, profile).map(t => t.key))
  const fresh = troubles(after, profile).filter(t => !known.has(t.key))
  return {
    spine: { from: before.flat.panels.spine.width, to: after.flat.panels.spine.width },
    noLonger: [...gone, ...fresh.map(t => t.message)],
  }
}

/** What the drawing alone has against it: what is read on its ground is looked at when the pages have settled. */
function troubles(cover: Cover, profile: OutletProfile): { key: string; message: string }[] {
  const subject = { profile, print: { cover } } as unknown as Subject
  return coverRules.flatMap(rule =>
    rule(subject).map(f => ({ key: `${f.rule} ${f.place.kind === 'cover' ? f.place.piece : ''}`, message: f.message })),
  )
}
