import type { DesignPiece, Run } from '../book'

/** Values of runs that list pictures, or pieces that show one. */
const LISTS = ['pictures', 'right', 'left'] as const

/** Ids of the pictures that a run's values name, page by page; those placed by hand and those of its grounds come behind. */
export function picturesIn({ params, hand, ground, backs }: Run): string[] {
  const listed = LISTS.flatMap(name => (Array.isArray(params[name]) ? (params[name] as (string | DesignPiece)[]) : []))
  const placed = [...listed, ...(hand ?? []).flatMap(h => h.added ?? [])]
  return [
    ...placed.flatMap(p => (typeof p === 'string' ? p : String(p.params.picture ?? '') || [])),
    ...(ground?.pictures ?? []),
    ...(backs?.ground?.pictures ?? []),
  ]
}
