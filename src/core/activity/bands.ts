import { dealtGroups, facesOf } from './laying'
import type { PlanPart } from './run'

/** Pages of a book that belong together, `from` up to `to`, which is not one of them. */
export interface Band {
  of: PlanPart | 'front' | 'blank'
  from: number
  to: number
}

/** What a run or section is called where they are told apart. */
export const partId = (part: PlanPart): string => ('run' in part ? part.run.id : part.section.id)

/**
 * All pages of a set book in bands, in order: front pages, each run and section that has pages, blanks where nothing else stands. `starts`: the
 * index at which each begins, a run's under `run:` and its id.
 */
export function bandsOf(order: readonly PlanPart[], starts: ReadonlyMap<string, number>, total: number): Band[] {
  const runs = order.flatMap(of => ('run' in of ? [of.run] : []))
  const groups = new Map(dealtGroups(runs).map(group => [group[0]!.id, group]))
  const begun = order
    .flatMap(of => {
      // What is dealt in with another is part of its band.
      if ('run' in of && !groups.has(of.run.id)) return []
      const from = starts.get('run' in of ? `run:${of.run.id}` : of.section.id)
      return from === undefined ? [] : [{ of, from }]
    })
    .sort((a, b) => a.from - b.from)
  const out: Band[] = []
  const add = (of: Band['of'], from: number, to: number): void => {
    if (to > from) out.push({ of, from, to })
  }
  const first = begun[0]?.from ?? total
  add('front', 0, first)
  begun.forEach(({ of, from }, i) => {
    const next = begun[i + 1]?.from ?? total
    const to = 'run' in of ? Math.min(next, from + groups.get(of.run.id)!.reduce((n, r) => n + facesOf(r), 0)) : next
    add(of, from, to)
    add('blank', to, next)
  })
  return out
}
