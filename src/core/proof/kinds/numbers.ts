import { numberWords, primaryTag } from '@/core/book'
import type { PlacedSeen, ProofKind, Seen } from '../doubt'
import { beginsThere, casedAs, isCapital } from '../readLine'

const LEAST = 2
const MOST = 99
/** Up to here books that give figures to larger numbers still say words. */
const SMALL = 12
/** So often a habit shows before its exceptions are doubted. */
const HABIT = 3
// A number that stands by itself: no date, time, price, measure, part of another.
const FIGURE =
  /(?<![\p{L}\p{N}#.,:/–-])(?<!\p{Sc}\s?)(?<!(?:^|\s)\p{L}{1,4}\.\s)\d{1,2}(?![\p{L}\p{N}%‰°:/–-]|[.,]\d|\s?(?:%|°|\p{Sc}))/gu

interface Said {
  pattern: RegExp
  numbers: ReadonlyMap<string, number>
}
const byLanguage = new Map<string, Said | undefined>()

/** A language's words for numbers, without those of one: that is an article in most. */
function saidIn(language: string): Said | undefined {
  const tag = primaryTag(language)
  if (byLanguage.has(tag)) return byLanguage.get(tag)
  const words = numberWords(language)
  const numbers = new Map<string, number>()
  if (words)
    for (let n = LEAST; n <= MOST; n++) {
      const word = words.alone(n)[0]?.toLowerCase()
      if (word && !numbers.has(word)) numbers.set(word, n)
    }
  const longestFirst = [...numbers.keys()].sort((a, b) => b.length - a.length)
  const said = numbers.size
    ? {
        numbers,
        pattern: new RegExp(`(?<![\\p{L}\\p{M}\\p{N}-])(?:${longestFirst.join('|')})(?![\\p{L}\\p{M}\\p{N}-])`, 'giu'),
      }
    : undefined
  byLanguage.set(tag, said)
  return said
}

/** Numbers that are written otherwise than the book mostly does: in words or in figures, small and larger ones apart. */
export const numbers: ProofKind = {
  id: 'numbers',
  name: ['number in words or figures', 'numbers in words or figures'],
  looksAt:
    'A number of two to ninety-nine is in figures where the book mostly says words, or the other way round; small and larger numbers apart.',
  look: ({ of, text }, language) => {
    if ((of.kind !== 'text' && of.kind !== 'note') || of.within === 'table') return []
    const said = saidIn(language)
    if (!said) return []
    const out: Seen[] = []
    if (/\d/.test(text))
      for (const m of text.matchAll(FIGURE)) {
        const n = Number(m[0])
        const words = n >= LEAST && n <= MOST ? numberWords(language)!.alone(n)[0] : undefined
        if (words && String(n) === m[0] && !isNamed(text, m.index) && !isCounted(text, m, language))
          out.push({
            from: m.index,
            to: m.index + m[0].length,
            as: kindOf('figures', n),
            remedies: [words.toLowerCase()],
          })
      }
    for (const m of text.matchAll(said.pattern)) {
      const n = said.numbers.get(m[0].toLowerCase())!
      out.push({
        from: m.index,
        to: m.index + m[0].length,
        as: kindOf('words', n),
        remedies: [casedAs(String(n), m[0])],
      })
    }
    return out
  },
  judge: seen => {
    const out: PlacedSeen[] = []
    for (const small of [true, false]) {
      const [asWords, asFigures] = (['words', 'figures'] as const).map(how =>
        seen.filter(s => s.as === kindOf(how, small ? SMALL : MOST)),
      ) as [PlacedSeen[], PlacedSeen[]]
      const [rare, habit] = asWords.length < asFigures.length ? [asWords, 'figures'] : [asFigures, 'words']
      const most = Math.max(asWords.length, asFigures.length)
      if (most < HABIT || rare.length === most) continue
      for (const s of rare)
        out.push({ ...s, says: `${most.toLocaleString('en')} such numbers are in ${habit}`, about: s.remedies![0]! })
    }
    return out
  },
}

/** Whether a number belongs to a name before it: Room 9, June 5. */
function isNamed(text: string, at: number): boolean {
  const before = /(\p{L}[\p{L}.]*)\s$/u.exec(text.slice(Math.max(0, at - 40), at))
  return !!before && isCapital(before[1]![0]!) && !beginsThere(text, at - before[0].length)
}

/** Languages that write the first as 1. */
const ordinalDots = new Set(['de', 'da', 'nb', 'fi', 'cs', 'pl'])

/** Whether a number counts off what follows: the first of a list, 5 June, 5. Juni. */
function isCounted(text: string, { index: from, 0: { length } }: RegExpExecArray, language: string): boolean {
  const behind = text.slice(from + length)
  const tag = primaryTag(language)
  if (!from && /^[.)]/.test(behind)) return true
  // German nouns have capitals.
  return (tag !== 'de' && /^\s\p{Lu}/u.test(behind)) || (ordinalDots.has(tag) && /^\.\s?\p{L}/u.test(behind))
}

const kindOf = (how: 'words' | 'figures', n: number): string => `${n <= SMALL ? 'small' : 'larger'} ${how}`
