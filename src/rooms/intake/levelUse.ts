import type { Section } from '@/core/book'
import { type Candidate, type Decisions, isMapped, type LevelUse, sectionOfCandidate } from '@/core/intake'

/** Headings of a reading with their levels. */
export interface Levelled {
  sections: readonly Section[]
  levels: Readonly<Record<string, number>>
  candidates: readonly Candidate[]
}

/** How many headings stand at a level, of those that are mapped, and what most of them are just now. */
export function levelUse(
  { sections, levels, candidates }: Levelled,
  level: number,
  decisions: Decisions,
): { count: number; use: LevelUse } {
  const votes: Record<LevelUse, number> = { part: 0, chapter: 0, inside: 0 }
  const vote = (id: string, taken: boolean, role: string): void => {
    const d = decisions.get(id)
    votes[!taken || d?.runsOn ? 'inside' : (d?.role ?? role) === 'part' ? 'part' : 'chapter']++
  }
  for (const s of sections) if (levels[s.id] === level && isMapped(s.role)) vote(s.id, true, s.role)
  for (const c of candidates)
    if (c.level === level) vote(sectionOfCandidate(c), !!decisions.get(sectionOfCandidate(c))?.taken, c.role)
  const use = (['part', 'chapter', 'inside'] as const).reduce((most, u) => (votes[u] > votes[most] ? u : most))
  return { count: votes.part + votes.chapter + votes.inside, use }
}
