import { compact, patchesBetween, readSteps, type Section, writeSteps } from '@/core/book'
import type { ChangeRecord, SectionChange } from './records'
import { sectionChange } from './sectionChange'

/** A change as the store kept it up to version 4: whole records and whole sections, before and after. */
export interface OldChange {
  id?: number
  book: string
  at: number
  label: string
  before: Record<string, unknown>
  after: Record<string, unknown>
  sections?: { id: string; before?: Section; after?: Section }[]
  text?: { section: string; forward: unknown[]; inverse: unknown[] }
  undone: boolean
}

/** The same change as differences. Steps that cannot be read any more stay as they are: undoing them says so. */
export function asSteps(c: OldChange): ChangeRecord {
  const record = patchesBetween(c.before, c.after)
  const sections = c.sections?.map(s => sectionChange(s.id, s.before, s.after)).filter((s): s is SectionChange => !!s)
  return {
    ...(c.id === undefined ? {} : { id: c.id }),
    book: c.book,
    state: c.undone ? 1 : 0,
    at: c.at,
    label: c.label,
    ...(record.length ? { record } : {}),
    ...(sections?.length ? { sections } : {}),
    ...(c.text
      ? { text: { section: c.text.section, forward: shortened(c.text.forward), inverse: shortened(c.text.inverse) } }
      : {}),
  }
}

function shortened(steps: unknown[]): unknown[] {
  try {
    return writeSteps(compact(readSteps(steps)))
  } catch {
    return steps
  }
}
