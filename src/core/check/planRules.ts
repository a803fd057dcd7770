import {
  asking,
  type Cleaning,
  cleaningOf,
  kindOf,
  pagesAsked,
  picturesIn,
  referred,
  runName,
  uncleaned,
} from '../activity'
import type { Run } from '../book'
import { visitPage } from '../marks'
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

/** The least size that is read with good eyes, of what is only looked up, and of what is solved in large print; points. */
const LEAST_PRINT = 6
const LEAST_REPEATED = 4.5
const LEAST_LARGE = 14

/** Nothing on planned pages is too small to be read; in large print, nothing that is solved is smaller than that. */
export const smallPrint: Rule = s => {
  const { plan } = s.book
  if (!plan || !s.print) return []
  const smallest = new Map<string, { size: number; page: number }>()
  s.print.interior.pages.forEach((page, index) =>
    visitPage(page, v => {
      if (!('text' in v)) return
      const t = v.text
      for (let i = 0; i < t.count; i++) {
        const { section, block } = t.places[t.place[i]!]!
        if (!section.startsWith('run:') || block !== 'page' || t.start[i] === t.start[i + 1]) continue
        const id = section.slice('run:'.length)
        // What is set narrower is as hard to read as what is set smaller.
        const size = t.size[i]! * Math.min(1, t.stretch[i]!)
        if (size < (smallest.get(id)?.size ?? Infinity)) smallest.set(id, { size, page: index })
      }
    }),
  )
  return plan.runs.flatMap((run): Finding[] => {
    const found = smallest.get(run.id)
    const kind = kindOf(run.kind)
    const least = kind?.refersTo ? LEAST_REPEATED : plan.large && kind?.answers ? LEAST_LARGE : LEAST_PRINT
    if (!found || found.size >= least - 0.05) return []
    const amount = `${found.size.toFixed(1)} pt`
    return [
      {
        rule: 'small print',
        severity: 'mend',
        place: { kind: 'page', page: found.page, label: s.print!.interior.pages[found.page]!.label },
        amount,
        message: `The smallest print of “${runName(run)}” has ${amount}${least === LEAST_LARGE ? ': large print has 14 or more' : ', too small to be read'}.`,
        remedy: 'give it room',
      },
    ]
  })
}

/** The least tone of a hairline that is seen on paper. */
const LEAST_TONE = 0.15

/** Lines of rulings, tables and planners are dark enough to be seen. */
export const faint: Rule = s =>
  (s.book.plan?.runs ?? []).flatMap((run): Finding[] => {
    const tone = run.params.tone
    if (!run.pages || typeof tone !== 'number' || tone >= LEAST_TONE) return []
    const amount = `${Math.round(tone * 100)} %`
    return [
      {
        rule: 'faint lines',
        severity: 'mend',
        place: placeOf(s, run),
        amount,
        message: `The lines of “${runName(run)}” are ${amount} dark: on paper they are hardly seen.`,
        remedy: 'darken the lines',
      },
    ]
  })

/** So many words are named in a finding. */
const NAMED = 3

/** No word of the author's own lists is likely to offend. */
export const offence: Rule = s =>
  (s.print?.interior.offending ?? []).flatMap(({ run: id, words }): Finding[] => {
    const run = s.book.plan?.runs.find(r => r.id === id)
    if (!run) return []
    const named = words.slice(0, NAMED).map(w => `“${w}”`)
    const more = words.length > NAMED ? ` and ${words.length - NAMED} more` : ''
    const message = `${named.join(', ')}${more} in the words of “${runName(run)}” may offend a reader.`
    return [{ rule: 'offence', severity: 'remark', place: placeOf(s, run), message, remedy: 'read the words again' }]
  })

/** What the author changed by hand on a page has its page. */
export const waiting: Rule = s =>
  (s.print?.interior.byHand ?? []).flatMap(({ run: id, waiting: hands }): Finding[] => {
    const run = s.book.plan?.runs.find(r => r.id === id)
    if (!run || !hands.length) return []
    const many = hands.length === 1 ? 'Changes of one page wait' : `Changes of ${hands.length} pages wait`
    const why = hands[0]!.of ? `“${hands[0]!.of.slice(0, 60)}” is gone from the run` : 'the run is shorter now'
    const message = `${many} in “${runName(run)}”: ${why}.`
    return [{ rule: 'by hand', severity: 'mend', place: placeOf(s, run), message, remedy: 'lay the changes' }]
  })

/** Pictures of runs are there, and what was made elsewhere can be printed as the book is. */
export const shown: Rule = s => {
  const assets = new Map(s.book.assets.map(a => [a.id, a]))
  return (s.book.plan?.runs ?? []).flatMap((run): Finding[] => {
    if (!run.pages) return []
    const all = picturesIn(run)
    const found = (n: number, [one, many]: [string, string], of: Pick<Finding, 'severity' | 'remedy'>): Finding[] => {
      const message = `“${runName(run)}”: ${n === 1 ? `one page ${one}` : `${n} pages ${many}`}.`
      return n ? [{ rule: 'pictures', place: placeOf(s, run), message, ...of }] : []
    }
    const count = (is: (id: string) => unknown): number => all.filter(is).length
    return [
      ...found(
        count(id => !assets.has(id)),
        [
          'has a picture that is gone: a crossed box is printed',
          'have pictures that are gone: crossed boxes are printed',
        ],
        { severity: 'stop', remedy: 'bring the picture in' },
      ),
      ...found(
        uncleaned(run, cleaningOf(run.params as Partial<Cleaning>), s.book.assets).length,
        [
          'has a drawing that is still to be cleaned: it is printed as it is',
          'have drawings that are still to be cleaned: they are printed as they are',
        ],
        { severity: 'mend', remedy: 'clean the drawings' },
      ),
      ...found(
        count(id => assets.get(id)?.lacksFonts),
        ['prints with a font that is not in its PDF', 'print with fonts that are not in their PDF'],
        { severity: 'stop', remedy: 'save the fonts with it' },
      ),
      ...found(
        count(id => assets.get(id)?.coloured),
        [
          'asks for colours: in black ink they are greys of the printer’s choice',
          'ask for colours: in black ink they are greys of the printer’s choice',
        ],
        { severity: 'remark', remedy: 'save it in greys' },
      ),
    ]
  })
}
