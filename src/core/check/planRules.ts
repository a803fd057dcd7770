import { asking, kindOf, pagesAsked, referred, runName } from '../activity'
import type { Run } from '../book'
import type { Finding } from './finding'
import type { Rule } from './pageRules'
import type { Subject } from './subject'

/** Rules over the plan of a book of runs. */

/** Where a run begins, where it has pages. */
function placeOf(s: Subject, run: Run): Finding['place'] {
  const page = s.print?.interior.starts.get(`run:${run.id}`)
  return page === undefined
    ? { kind: 'edition' }
    : { kind: 'page', page, label: s.print!.interior.pages[page]?.label ?? '' }
}

/** Every puzzle has its answer, and every answer a page and a puzzle. */
export const answers: Rule = s => {
  const { plan } = s.book
  if (!plan || !s.print) return []
  const found = (run: Run, of: Pick<Finding, 'severity' | 'message' | 'remedy'>): Finding => ({
    rule: 'answers',
    place: placeOf(s, run),
    ...of,
  })
  const key = plan.runs.filter(r => kindOf(r.kind)?.answerPage)
  const astray = plan.runs.filter(r => kindOf(r.kind)?.refersTo && !key.includes(r) && !referred(r, plan.runs))
  const answered = new Set(key.map(r => referred(r, plan.runs)?.id))
  return [
    ...astray.map(run =>
      found(run, {
        severity: 'mend',
        message: `“${runName(run)}” belongs to puzzles that are not in the plan.`,
        remedy: 'choose the puzzles',
      }),
    ),
    ...key.flatMap(run => {
      if (!referred(run, plan.runs))
        return found(run, {
          severity: 'mend',
          message: `“${runName(run)}” are answers to no puzzles: these are not in the plan.`,
          remedy: 'choose the puzzles',
        })
      const lacking = pagesAsked(run, plan.runs) - run.pages
      return lacking > 0
        ? found(run, {
            severity: 'stop',
            message: `“${runName(run)}” lacks ${lacking === 1 ? 'a page' : `${lacking} pages`}: some answers are not printed.`,
            remedy: 'give the answers room',
          })
        : []
    }),
    ...asking(plan)
      .filter(r => r.pages && !r.backs?.answers && !answered.has(r.id))
      .map(run =>
        found(run, {
          severity: 'remark',
          message: `“${runName(run)}” asks for answers that the book does not give.`,
          remedy: 'add the answers',
        }),
      ),
  ]
}

/** Every run could be made. */
export const made: Rule = s => {
  const runs = s.book.plan?.runs ?? []
  return (s.print?.interior.unmade ?? []).flatMap(({ run: id, message }): Finding[] => {
    const run = runs.find(r => r.id === id)
    return run ? [{ rule: 'runs', severity: 'stop', place: placeOf(s, run), message, remedy: 'mend the run' }] : []
  })
}

/** Nothing that a run asks is asked by another of the author's books. */
export const doubles: Rule = s =>
  (s.print?.doubles ?? []).flatMap(({ run: id, pages, title }): Finding[] => {
    const run = s.book.plan?.runs.find(r => r.id === id)
    if (!run) return []
    const message = `${pages === 1 ? 'One page' : `${pages} pages`} of “${runName(run)}” ${pages === 1 ? 'stands' : 'stand'} in “${title}” as well.`
    return [{ rule: 'doubles', severity: 'remark', place: placeOf(s, run), message, remedy: 'take others' }]
  })
