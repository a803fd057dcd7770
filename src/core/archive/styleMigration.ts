import { isRecord } from './isRecord'

/**
 * From version 1 to 2 of a project (and of the store): the words that begin a chapter in small capitals were a count,
 * `openings.leadIn`; they are a choice and a count now. Walks any record, since histories hold editions inside changes. Pure.
 */
export function withLeadInAsChoice<T>(value: T): T {
  if (Array.isArray(value)) return value.map(withLeadInAsChoice) as T
  if (!isRecord(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, v]) => [
      key,
      key === 'styleChanges' ? renamed(v as Record<string, unknown>) : withLeadInAsChoice(v),
    ]),
  ) as T
}

function renamed(changes: Record<string, unknown> | undefined): Record<string, unknown> | undefined {
  if (!changes || !('openings.leadIn' in changes)) return changes
  const { 'openings.leadIn': words, ...rest } = changes
  const n = Math.round(Number(words))
  return n > 0
    ? { ...rest, 'firsts.leadIn': 'words', 'firsts.leadInWords': Math.min(12, n) }
    : { ...rest, 'firsts.leadIn': 'nothing' }
}
