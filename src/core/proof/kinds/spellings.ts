import { primaryTag } from '@/core/book'
import type { PlacedSeen, ProofKind } from '../doubt'
import { casedAs } from '../readLine'

/** What a language spells in two ways: what each is taken for, so that both ways of a word are the same. */
const ways: Record<string, readonly (readonly [RegExp, string])[]> = {
  en: [
    [/\p{M}/gu, ''],
    [/(?<=\p{L}{3})is(e|es|ed|ing|er|ers|ation|ations)$/u, 'iz$1'],
    [/(?<=\p{L}{2})ys(e|es|ed|ing)$/u, 'yz$1'],
    [/(?<=\p{L}{2})our(?=s?$|ed$|ing$|ful$|able$|less$|ite|y$|hood$)/u, 'or'],
    [/ll(?=ed$|ing$|er$|ers$)/u, 'l'],
    [/^grey/u, 'gray'],
    [/(?<=\p{L}{3})tre(?=s?$)/u, 'ter'],
    [/^(to|up|down|back|for|after)wards$/u, '$1ward'],
    [/ogue(?=s?$)/u, 'og'],
    [/(?<=\p{L}{2})ence$/u, 'ense'],
    [/^whilst$/u, 'while'],
    [/^amongst$/u, 'among'],
    [/(?<=^(?:learn|burn|dream|spell|spoil|lean|leap))t$/u, 'ed'],
  ],
  de: [
    [/ph/gu, 'f'],
    [/(?<=\p{L}{3})t(?=iell|ial)/gu, 'z'],
  ],
}
/** Pairs that are two words. */
const apart = new Set([
  'prize',
  'size',
  'filed',
  'filing',
  'resume',
  'expose',
  'rose',
  'pate',
  'tiler',
  'lame',
  'sense',
])

const known = new Map<string, string>()

/** A word as all its spellings have it. */
function common(form: string, rules: (typeof ways)[string]): string {
  const there = known.get(form)
  if (there !== undefined) return there
  let is = form.normalize('NFD')
  for (const [way, becomes] of rules) is = is.replace(way, becomes)
  is = apart.has(is) ? form : is
  if (known.size > MOST_KNOWN) known.clear()
  known.set(form, is)
  return is
}
const MOST_KNOWN = 100_000

/** Words that the book spells in two ways. */
export const spellings: ProofKind = {
  id: 'spellings',
  name: ['word spelt in two ways', 'words spelt in two ways'],
  looksAt:
    'The book has a word in two spellings that are both right: -ise and -ize, grey and gray, with an accent and without.',
  judge: (_seen, book, reading) => {
    const rules = ways[primaryTag(reading.language)]
    if (!rules) return []
    const groups = new Map<string, Map<string, number>>()
    for (const [form, count] of book.forms) {
      if (form.length < 4) continue
      const low = form.toLowerCase()
      const key = common(low, rules)
      const there = groups.get(key) ?? groups.set(key, new Map()).get(key)!
      there.set(low, (there.get(low) ?? 0) + count)
    }
    const rarer = new Map<string, { best: string; times: number }>()
    for (const forms of groups.values()) {
      if (forms.size < 2) continue
      const [[best, times], ...others] = [...forms].sort((a, b) => b[1] - a[1]) as [
        [string, number],
        ...[string, number][],
      ]
      for (const [form] of others) rarer.set(form, { best, times })
    }
    const out: PlacedSeen[] = []
    if (!rarer.size) return out
    for (const form of book.forms.keys()) {
      const is = rarer.get(form.toLowerCase())
      if (!is || reading.known(form)) continue
      for (const at of book.placesOf(form))
        out.push({
          ...at,
          says: `“${is.best}” stands ${is.times.toLocaleString('en')} ${is.times === 1 ? 'time' : 'times'}`,
          remedies: [casedAs(is.best, form)],
          about: `${form.toLowerCase()} ${is.best}`,
        })
    }
    return out
  },
}
