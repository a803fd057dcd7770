import type { PagePlan, Run } from '../book'
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

/** Runs one behind the other from a right-hand page. Those that print on fronts only begin on one, a kind may ask for a side of its own. */
export function laidOut(runs: readonly Run[]): LaidPage[] {
  const pages: LaidPage[] = []
  for (const run of runs) {
    if (!run.pages) continue
    const begins = run.backs ? 'recto' : kindOf(run.kind)?.begins?.(run.params)
    if (begins && (pages.length % 2 === 0 ? 'recto' : 'verso') !== begins) pages.push({})
    for (let index = 0; index < run.pages; index++) {
      pages.push({ run, index })
      if (run.backs) pages.push({ run, index, back: true })
    }
  }
  return pages
}
