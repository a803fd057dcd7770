import { diffArrays } from 'diff'
import type { Section } from '@/core/book'
import { type Layout, standsBehind } from './layout'

/** A thing that stands elsewhere than it stood: in which section, behind what of those that stood in it before. */
export interface Move {
  id: string
  section: string
}

/** Blocks of both states that stand elsewhere in the later one: in another section, or in another order among those that stayed. */
export function movesBetween(before: Layout, after: Layout): Move[] {
  const out: Move[] = []
  for (const [id, section] of after.sections) {
    const was = before.sections.get(id)
    if (was?.doc === section.doc) continue
    const ids = (s: Section | undefined, other: Layout): string[] =>
      (s?.doc.content ?? []).map(b => b.attrs.id).filter(b => other.blocks.get(b)?.section === id)
    const [a, b] = [ids(was, after), ids(section, before)]
    for (const run of diffArrays(a, b)) if (run.added) out.push(...run.value.map(block => ({ id: block, section: id })))
    for (const { attrs } of section.doc.content) {
      const from = before.blocks.get(attrs.id)?.section
      if (from !== undefined && from !== id) out.push({ id: attrs.id, section: id })
    }
  }
  return out
}

/** Whether a block stands in another state as it does in one: in the same section, behind the same of those that both have. */
export function standsAlike(id: string, one: Layout, other: Layout): boolean {
  const [a, b] = [one.blocks.get(id), other.blocks.get(id)]
  if (!a || !b || a.section !== b.section) return false
  const shared = (x: string): boolean => one.blocks.has(x) && other.blocks.has(x)
  return (
    standsBehind(one.sections.get(a.section)!, id, shared) === standsBehind(other.sections.get(b.section)!, id, shared)
  )
}
