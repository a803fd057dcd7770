import type { PagePlan, Run } from '../book'
import type { Side } from './kind'
import { kindOf } from './registry'

/** A page that planned runs take: which printed page of which run it is, or the back of it; without a run a blank one, so that the next begins on its side. */
export interface LaidPage {
  run?: Run
  index?: number
  back?: boolean
}

/** Pages that a run takes of the book: backs that it does not print on are counted. */
export const facesOf = (run: Run): number => run.pages * (run.backs ? 2 : 1)

/** Pages that the runs of a plan take, blanks between them not counted. */
export const plannedPages = (plan: PagePlan): number => plan.runs.reduce((n, r) => n + facesOf(r), 0)

/** Runs in groups: each with those that are dealt in with it. */
export function dealtGroups(runs: readonly Run[]): Run[][] {
  const groups: Run[][] = []
  for (const run of runs) {
    const last = groups.at(-1)
    // What is dealt in stands behind the same section as what it is dealt in with.
    if (run.dealt && last && last[0]!.behind === run.behind) last.push(run)
    else groups.push([run])
  }
  return groups
}

/**
 * Runs one behind the other from a right-hand page, those that are dealt in with another page by page in turn. What prints on fronts only
 * begins on a front; a run by itself begins on the side that its kind asks for.
 */
export function laidOut(runs: readonly Run[]): LaidPage[] {
  const pages: LaidPage[] = []
  const put = (run: Run, index: number, begins: Side | undefined): void => {
    const side = run.backs ? 'recto' : begins
    if (side && (pages.length % 2 === 0 ? 'recto' : 'verso') !== side) pages.push({})
    pages.push({ run, index })
    if (run.backs) pages.push({ run, index, back: true })
  }
  for (const group of dealtGroups(runs)) {
    const [only] = group
    const longest = Math.max(...group.map(r => r.pages))
    for (let index = 0; index < longest; index++)
      for (const run of group)
        if (index < run.pages) {
          const asked = group.length === 1 && index === 0 ? kindOf(only!.kind)?.begins?.(only!.params) : undefined
          put(run, index, asked)
        }
  }
  return pages
}
