import type { Affix, Affixes, JoinPart } from './affixes'
import { has, type Taken } from './takenApart'

/** What is known of the words that others are joined of. */
export interface Parts {
  takings: (form: string) => Iterable<Taken>
  /** Of a word that stands alone; undefined where it is none. */
  flagsOf: (form: string) => readonly string[] | undefined
  /** The flags of each line that the dictionary has of a word. */
  lines: (word: string) => readonly (readonly string[])[]
}

/** Where a part stands in a joined word. */
interface Place {
  begins: boolean
  ends: boolean
}

/** Longer words are not looked through. */
const LONGEST = 60

/** Whether a form is joined of words as its dictionary has them joined: by flags of its parts, or by its rules. */
export function joinedWords(rules: Affixes, parts: Parts): (form: string) => boolean {
  const { names } = rules
  const byFlags = [names.compound, names.compoundBegin, names.compoundEnd].some(f => f !== undefined)
  if (!byFlags && !rules.joins.length) return () => false
  return form =>
    form.length <= LONGEST &&
    ((byFlags && isJoinedByFlags(form)) || rules.joins.some(rule => fitsRule(form, rule, parts, rules.partMin)))

  function isJoinedByFlags(form: string): boolean {
    const known = new Map<string, readonly Taken[]>()
    const partAt = (from: number, to: number): readonly Taken[] => {
      const key = `${from} ${to}`
      let fit = known.get(key)
      if (!fit) known.set(key, (fit = fitAt(form.slice(from, to), { begins: from === 0, ends: to === form.length })))
      return fit
    }
    /** Whether the rest from a place on is parts, behind one that was found. */
    const goesOn = (from: number, before: string, left: readonly Taken[], more: number): boolean => {
      for (let to = from + rules.partMin; to <= form.length && more > 0; to++) {
        const part = form.slice(from, to)
        const last = to === form.length
        if ((last && from === 0) || (!last && form.length - to < rules.partMin)) continue
        if (from > 0 && !meets(before, part)) continue
        const fit = partAt(from, to).filter(t => from === 0 || left.some(l => !parted(before, l, part, t)))
        if (fit.length && (last || goesOn(to, part, fit, more - 1))) return true
      }
      return false
    }
    return goesOn(0, '', [], rules.partsMax) && !isMistake(form)
  }

  /** Whether two words may stand beside each other by their letters. */
  function meets(before: string, part: string): boolean {
    if (rules.noTwins && before === part) return false
    const [a, b] = [before.at(-1)!, part[0]!]
    if (rules.noTriples && a === b && (before.at(-2) === a || part[1] === a)) return false
    return !rules.noCapitals || (a === a.toLowerCase() && b === b.toLowerCase()) || a === '-' || b === '-'
  }

  /** Whether a rule keeps two words from standing beside each other. */
  function parted(before: string, l: Taken, part: string, r: Taken): boolean {
    return rules.apart.some(
      ({ end, endFlag, start, startFlag }) =>
        before.endsWith(end) &&
        part.startsWith(start) &&
        (endFlag === undefined || bears(l, endFlag)) &&
        (startFlag === undefined || bears(r, startFlag)),
    )
  }

  /** A word as it can stand at a place of a joined one; empty where it cannot. */
  function fitAt(part: string, { begins, ends }: Place): Taken[] {
    const wanted = begins ? names.compoundBegin : ends ? names.compoundEnd : names.compoundMiddle
    return [...parts.takings(part)].filter(t => {
      const on = t.start ? [...t.ends, t.start] : t.ends
      if (!bears(t, names.compound) && !bears(t, wanted)) return false
      if (has(t.flags, names.forbidden) || bears(t, names.compoundForbid)) return false
      if (on.length ? on.every(a => has(a.then, names.needAffix)) : has(t.flags, names.needAffix)) return false
      // Inside a joined word only some changes are allowed.
      return (ends || !t.ends.length || t.ends.some(permits)) && (begins || !t.start || permits(t.start))
    })
  }

  function permits(a: Affix): boolean {
    return has(a.then, names.compoundPermit)
  }

  /** Whether it is rather a word that is often written so. */
  function isMistake(form: string): boolean {
    return rules.mistakes.some(([wrong, right]) => {
      for (let at = form.indexOf(wrong); at >= 0; at = form.indexOf(wrong, at + 1))
        if (parts.flagsOf(form.slice(0, at) + right + form.slice(at + wrong.length))) return true
      return false
    })
  }
}

/** Whether a word has a flag, by itself or by what was put on it. */
const bears = ({ flags, start, ends }: Taken, flag: string | undefined): boolean =>
  has(flags, flag) || (!!start && has(start.then, flag)) || ends.some(a => has(a.then, flag))

/** Whether a form is words one behind another as a rule has them. */
function fitsRule(form: string, rule: readonly JoinPart[], parts: Parts, least: number): boolean {
  const is = (from: number, to: number, flag: string): boolean =>
    parts.lines(form.slice(from, to)).some(l => l.includes(flag))
  const dead = new Set<string>()
  const goesOn = (from: number, at: number, words: number): boolean => {
    const part = rule[at]
    if (!part) return from === form.length && words > 1
    const key = `${from} ${at} ${Math.min(words, 2)}`
    if (dead.has(key)) return false
    if (part.times !== 'one' && goesOn(from, at + 1, words)) return true
    for (let to = from + least; to <= form.length; to++)
      if (is(from, to, part.flag) && goesOn(to, part.times === 'any' ? at : at + 1, words + 1)) return true
    dead.add(key)
    return false
  }
  return goesOn(0, 0, 0)
}
