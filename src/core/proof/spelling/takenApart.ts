import { type Affix, type Affixes, type AffixesByAdded, byAdded } from './affixes'
import { reachOf } from './reach'

/** A form taken apart: the flags of its word, and what was put on it. */
export interface Taken {
  flags: readonly string[]
  start?: Affix
  /** One or two, the inner first. */
  ends: readonly Affix[]
}

const NOTHING: readonly Taken[] = []
const NO_LINES: readonly (readonly string[])[] = []

/** Whether a flag is among some; one that a dictionary does not name never is. */
export const has = (flags: readonly string[], flag: string | undefined): boolean =>
  flag !== undefined && flags.includes(flag)

/** Every way of taking forms apart: up to two affixes off the end, one off the beginning. */
export function takingsBy(rules: Affixes, words: ReadonlyMap<string, string>): (form: string) => Iterable<Taken> {
  const { names } = rules
  const reach = reachOf([...words.keys()], 'start')
  const ends = [...rules.ends.by.values()].flat().flatMap(({ affixes }) => affixes)
  const brought = new Set(ends.flatMap(a => a.then))
  /** Ends that another end brings along. */
  const outers = byAdded(
    ends.filter(a => brought.has(a.flag)),
    'end',
  )

  return form => {
    const far = reach(form)
    const mayEnd = outers.by.size > 0 || form.length - far <= rules.ends.reach(form)
    return mayEnd || rules.starts.reach(form) > 0 ? takings(form, far) : NOTHING
  }

  function* takings(form: string, far: number): Generator<Taken> {
    if (far === form.length) for (const flags of linesOf(words.get(form), rules)) yield { flags, ends: [] }
    yield* endsOff(form, far)
    for (const [base, starts] of undone(form, 'start', rules.starts))
      for (const start of starts) {
        for (const flags of linesOf(words.get(base), rules))
          if (flags.includes(start.flag) && !has(start.then, names.circumfix)) yield { flags, start, ends: [] }
        if (start.crosses) yield* endsOff(base, reach(base), start)
      }
  }

  function* endsOff(form: string, far: number, start?: Affix): Generator<Taken> {
    // What is left has to begin as some word does.
    for (const [base, alike] of undone(form, 'end', rules.ends, form.length - far))
      for (const flags of linesOf(words.get(base), rules))
        for (const end of alike) if (carries(flags, start, [end])) yield taken(flags, start, [end])
    for (const [base, alike] of undone(form, 'end', outers))
      for (const [root, inners] of undone(base, 'end', rules.ends, base.length - reach(base)))
        for (const flags of linesOf(words.get(root), rules))
          for (const outer of alike)
            for (const inner of inners)
              if (inner.then.includes(outer.flag) && carries(flags, start, [inner, outer]))
                yield taken(flags, start, [inner, outer])
  }

  /** Whether a word's flags allow what was put on it; of two ends the outer is brought by the inner. */
  function carries(flags: readonly string[], start: Affix | undefined, ends: readonly Affix[]): boolean {
    const [first] = ends
    const around = ends.some(a => has(a.then, names.circumfix))
    if (around !== !!(start && has(start.then, names.circumfix))) return false
    if (!flags.includes(first!.flag) && !start?.then.includes(first!.flag)) return false
    if (!start) return true
    return first!.crosses && (flags.includes(start.flag) || ends.some(a => a.then.includes(start.flag)))
  }
}

const taken = (flags: readonly string[], start: Affix | undefined, ends: readonly Affix[]): Taken =>
  start ? { flags, start, ends } : { flags, ends }

/** Ways of taking one affix off one side of a form: what is left, and the affixes that come to the form from it. At least `least` letters come off. */
function* undone(
  form: string,
  side: Affix['side'],
  { by, reach }: AffixesByAdded,
  least = 0,
): Generator<readonly [base: string, affixes: readonly Affix[]]> {
  for (let n = reach(form); n >= least; n--) {
    const alike = by.get(side === 'end' ? form.slice(form.length - n) : form.slice(0, n))
    if (!alike) continue
    const rest = side === 'end' ? form.slice(0, form.length - n) : form.slice(n)
    for (const { strip, affixes } of alike) {
      const base = side === 'end' ? rest + strip : strip + rest
      if (!base) continue
      const fitting = affixes.filter(a => !a.fits || a.fits.test(base))
      if (fitting.length) yield [base, fitting]
    }
  }
}

/** The flags of each line that a dictionary has of a word. */
export const linesOf = (written: string | undefined, rules: Affixes): readonly (readonly string[])[] =>
  written === undefined ? NO_LINES : written.split('\n').map(rules.flagsOf)
