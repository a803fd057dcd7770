import type { PagePlan, Section } from '../book'
import { partId } from './bands'
import { dealtGroups } from './laying'
import { planOrder, type PlanPart, runsInOrder } from './run'

/** Places of a planned book in order: its sections, and its runs each with those that are dealt in with it. */
function placesOf(plan: PagePlan, sections: readonly Section[]): PlanPart[][] {
  const places: PlanPart[][] = []
  const groups = new Map(dealtGroups(plan.runs).flatMap(group => group.map(r => [r.id, group] as const)))
  for (const part of planOrder(plan, sections)) {
    const before = places.at(-1)?.[0]
    const together = 'run' in part && before && 'run' in before && groups.get(part.run.id) === groups.get(before.run.id)
    if (together) places.at(-1)!.push(part)
    else places.push([part])
  }
  return places
}

/** A plan with a run, and those that are dealt in with it, where `to` puts it among the other places. */
function moved(
  plan: PagePlan,
  sections: readonly Section[],
  id: string,
  to: (others: PlanPart[][], from: number) => number,
): PagePlan {
  const isRun = (part: PlanPart | undefined): boolean => !!part && 'run' in part && part.run.id === id
  const together = placesOf(plan, sections)
  // What is dealt in with another is moved by itself.
  const places = together.some(([first]) => isRun(first)) ? together : planOrder(plan, sections).map(part => [part])
  const from = places.findIndex(([first]) => isRun(first))
  if (from < 0) return plan
  const others = places.toSpliced(from, 1)
  const at = Math.max(0, Math.min(others.length, to(others, from)))
  return { ...plan, runs: runsInOrder(others.toSpliced(at, 0, places[from]!).flat()) }
}

/** A run, with those that are dealt in with it, before another run or a section; at the end where that is not named. */
export const moveRunBefore = (
  plan: PagePlan,
  sections: readonly Section[],
  id: string,
  before: string | undefined,
): PagePlan =>
  moved(plan, sections, id, (others, from) => {
    const at = others.findIndex(place => place.some(part => partId(part) === before))
    if (at >= 0) return at
    // Before itself, or what moves with it, it stands already.
    return planOrder(plan, sections).some(part => partId(part) === before) ? from : others.length
  })

/** A run so many places later, or earlier. */
export const moveRunBy = (plan: PagePlan, sections: readonly Section[], id: string, by: number): PagePlan =>
  moved(plan, sections, id, (_others, from) => from + by)
