import { type FlagNames, readAffixes } from './affixes'
import { joinedWords } from './joinedWords'
import { readWords } from './readWords'
import { has, linesOf, type Taken, takingsBy } from './takenApart'

/**
 * The words of a dictionary and all their forms, found by taking a form apart: what begins and ends it comes off until a word is left
 * that the dictionary has. Nothing is spread out: some dictionaries come to tens of millions of forms.
 */
export interface WordTable {
  /** The flags of a word as the dictionary has it, none of a form or of joined words; undefined where it is no word. */
  flagsOf(form: string): readonly string[] | undefined
  /** As `flagsOf`, without words that are joined of others: they are no suggestions, and take their time. */
  simpleFlagsOf(form: string): readonly string[] | undefined
  /** Words that stand in the dictionary, without their forms. */
  size: number
}

const BARE: readonly string[] = []

/** `aff` and `dic`: the two files of a dictionary, decoded. */
export function wordTable(aff: string, dic: string): WordTable {
  const rules = readAffixes(aff)
  const words = readWords(dic)
  const { names } = rules
  const takings = takingsBy(rules, words)
  const simpleFlagsOf = (form: string): readonly string[] | undefined => {
    const written = words.get(form)
    if (written !== undefined) {
      const lines = linesOf(written, rules)
      const barred = lines.find(l => has(l, names.forbidden))
      if (barred) return barred
      const alone = lines.filter(l => !has(l, names.needAffix) && !has(l, names.onlyInCompound))
      if (alone.length) return alone.length === 1 ? alone[0] : alone.flat()
    }
    for (const t of takings(form)) if (t.ends.length + (t.start ? 1 : 0) && standsAlone(t, names)) return BARE
    return undefined
  }
  const isJoined = joinedWords(rules, { takings, flagsOf: simpleFlagsOf, lines: w => linesOf(words.get(w), rules) })
  return {
    simpleFlagsOf,
    flagsOf: form => simpleFlagsOf(form) ?? (isJoined(form) ? BARE : undefined),
    size: words.size,
  }
}

/** Whether a form that was taken apart is a word by itself. */
function standsAlone({ flags, start, ends }: Taken, names: FlagNames): boolean {
  const put = start ? [...ends, start] : ends
  const is = (flag: string | undefined): boolean => has(flags, flag) || put.some(a => has(a.then, flag))
  return !is(names.onlyInCompound) && !has(flags, names.forbidden) && !put.every(a => has(a.then, names.needAffix))
}
