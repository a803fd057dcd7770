import type { PagePlan, Run } from '../book'
import type { PageMarks } from '../marks'
import type { Control, RunKind } from './kind'
import { lookOf } from './looks'
import { pagesAsked } from './referred'
import { kindOf } from './registry'
import { newRun } from './run'
import type { RunPress } from './runPress'

/** A page on which a kind shows what it makes, points: its trim and its margins. */
export const SAMPLE = { width: 312, height: 416, margin: 26 }

/** What kinds that belong to another run are shown with. */
const ASKING = 'sudoku'

/** The page that shows best what a plan makes: the first of its longest run, that of puzzles where it has some. */
export async function samplePlan(press: RunPress, plan: PagePlan, language: string): Promise<PageMarks> {
  const [run] = [...plan.runs].sort((a, b) => weight(b) - weight(a))
  return paged(
    press,
    { ...plan, runs: plan.runs.map(r => (r === run ? { ...r, pages: Math.min(1, r.pages) } : r)) },
    run,
    language,
  )
}

const weight = (run: Run): number => run.pages * (kindOf(run.kind)?.answers ? 10 : 1)

/** A page of a kind as a new run of it begins, under its name. */
export async function samplePage(
  press: RunPress,
  kind: RunKind,
  { language, look }: { language: string; look?: string | undefined },
): Promise<PageMarks> {
  const runs: Run[] = []
  const plan: PagePlan = { runs }
  if (kind.refersTo) runs.push({ ...newRun(plan, kindOf(ASKING)!, 1), id: 'asking', pages: 4 })
  const run = newRun(plan, kind, 1, 1)
  // What is placed by hand has the whole page.
  const placed = Object.values(kind.controls as Record<string, Control>).some(c => c.as === 'placed')
  runs.push(placed ? run : { ...run, heading: { words: kind.name } })
  return paged(press, { runs, ...(look !== undefined && { look }) }, runs.at(-1), language)
}

/** The first page of a run of a plan: of a spread, its left one. */
async function paged(press: RunPress, plan: PagePlan, run: Run | undefined, language: string): Promise<PageMarks> {
  const { width, height, margin } = SAMPLE
  const { runs } = plan
  const first = (run && kindOf(run.kind)?.begins?.(run.params)) ?? 'recto'
  const room = { width: width - 2 * margin, height: height - 2 * margin }
  const drawing = { runs, room, language, look: lookOf(plan.look).id, sides: [first], isSample: true }
  const pages = run ? (kindOf(run.kind)?.example ? 1 : Math.min(1, pagesAsked(run, runs))) : 0
  const [layer] = run ? await press.layersOf({ ...run, pages }, drawing) : []
  return {
    width,
    height,
    bleed: { top: 0, right: 0, bottom: 0, left: 0 },
    layers: layer ? [{ layer, x: margin, y: margin }] : [],
    label: '1',
    side: first,
  }
}
