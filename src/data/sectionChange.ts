import { difference, type DocJson, patchesBetween, schema, type Section, writeSteps } from '@/core/book'
import type { SectionChange, StepsBothWays } from './records'

/** Steps from one document to another, and back. */
export function stepsBetween(before: DocJson, after: DocJson): StepsBothWays {
  const [from, to] = [schema.nodeFromJSON(before), schema.nodeFromJSON(after)]
  const forward = difference(from, to)
  return { forward: writeSteps(forward), inverse: writeSteps(forward.map(s => s.invert(from))) }
}

/** What happened to a section, as small as it can be said; undefined where nothing did. */
export function sectionChange(
  id: string,
  before: Section | undefined,
  after: Section | undefined,
): SectionChange | undefined {
  if (!before || !after)
    return before || after
      ? { id, ...(before ? { removed: before } : {}), ...(after ? { added: after } : {}) }
      : undefined
  const { doc: from, ...head } = before
  const { doc: to, ...next } = after
  const fields = patchesBetween(head, next)
  const moved = from !== to && JSON.stringify(from) !== JSON.stringify(to)
  if (!fields.length && !moved) return undefined
  return { id, ...(fields.length ? { fields } : {}), ...(moved ? { text: stepsBetween(from, to) } : {}) }
}
