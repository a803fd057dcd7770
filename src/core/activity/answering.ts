import type { PagePlan, Run } from '../book'
import { referred } from './referred'
import { kindOf, runKinds } from './registry'
import { newRun } from './run'

/** Where what a run asks is answered: nowhere, behind all runs, behind the run itself, on the backs of its own leaves. */
export type AnswerPlace = 'none' | 'last' | 'after' | 'overleaf'

/** The run that answers another. */
export const answering = ({ runs }: PagePlan, run: Run): Run | undefined =>
  runs.find(r => kindOf(r.kind)?.answerPage && referred(r, runs)?.id === run.id)

/** Where a run of a plan is answered. */
export function answerPlace(plan: PagePlan, run: Run): AnswerPlace {
  if (run.backs?.answers) return 'overleaf'
  const key = answering(plan, run)
  if (!key) return 'none'
  const { runs } = plan
  const between = runs.slice(runs.indexOf(run) + 1, runs.indexOf(key))
  return runs.indexOf(key) > runs.indexOf(run) && !between.length ? 'after' : 'last'
}

/** The plan with the answers to a run in another place; the run that gives them is kept where there is one. */
export function withAnswers(plan: PagePlan, id: string, place: AnswerPlace): PagePlan {
  const run = plan.runs.find(r => r.id === id)
  if (!run || !kindOf(run.kind)?.answers) return plan
  const key = answering(plan, run)
  const { backs, ...rest } = run
  const { answers: _answers, ...plainBacks } = backs ?? {}
  const asking: Run =
    place === 'overleaf'
      ? { ...rest, backs: { answers: true } }
      : // Backs that had answers alone have nothing left: both sides are printed again.
        { ...rest, ...(backs && (!backs.answers || backs.ground) && { backs: plainBacks }) }
  const runs = plan.runs.filter(r => r !== key).map(r => (r === run ? asking : r))
  if (place === 'none' || place === 'overleaf') return { ...plan, runs }
  const at = place === 'after' ? runs.indexOf(asking) + 1 : runs.length
  const { behind: _was, ...given } = key ?? fresh(plan, asking)
  const { behind } = runs[at - 1]!
  runs.splice(at, 0, { ...given, ...(behind !== undefined && { behind }) })
  return { ...plan, runs }
}

/** A run of answers to another, under its kind's name. */
function fresh(plan: PagePlan, { id }: Run): Run {
  const kind = runKinds.find(k => k.answerPage)!
  const run = newRun(plan, kind, 1)
  return { ...run, params: { ...run.params, of: id } }
}
