import type { PlacedSeen, ProofKind } from '../doubt'
import { isCapital } from '../readLine'
import { isTransposed } from '../likeliest'
import { bareWord } from '../rightWord'

/** Letters of the shortest name that is held against others. */
const SHORTEST = 4
/** The commoner of two stands so much oftener. */
const COMMONER = 3

/** Names that differ by a letter from one that stands much oftener. */
export const names: ProofKind = {
  id: 'names',
  name: ['name that is nearly another', 'names that are nearly another'],
  looksAt: 'A name differs by one letter, or by two that changed places, from one that stands three times as often.',
  judge: (_seen, book, reading) => {
    const counts = new Map<string, number>()
    const formsOf = new Map<string, string[]>()
    for (const [form, count] of book.forms) {
      if (!isCapital(form[0]!) || !book.inside.has(form)) continue
      const name = bareWord(form)
      if (name.length < SHORTEST || book.count(name.toLowerCase())) continue
      counts.set(name, (counts.get(name) ?? 0) + count)
      formsOf.set(name, [...(formsOf.get(name) ?? []), form])
    }
    const out: PlacedSeen[] = []
    for (const [rare, common] of nearPairs(counts)) {
      if (reading.known(rare)) continue
      for (const form of formsOf.get(rare)!)
        for (const at of book.placesOf(form))
          out.push({
            ...at,
            says: `“${common}” stands ${counts.get(common)!.toLocaleString('en')} times`,
            remedies: [common + form.slice(rare.length).replace("'", '’')],
            about: `${rare} ${common}`,
          })
    }
    return out
  },
}

/** Pairs of a rarer and a much commoner name that are one letter apart, or have two that changed places. */
function nearPairs(counts: ReadonlyMap<string, number>): Map<string, string> {
  // Names that share what is left when one letter is taken out are near: so each is held against few.
  const left = new Map<string, string[]>()
  for (const name of counts.keys())
    for (const less of new Set([name, ...[...name].map((_, i) => name.slice(0, i) + name.slice(i + 1))]))
      left.set(less, [...(left.get(less) ?? []), name])
  const pairs = new Map<string, string>()
  for (const near of left.values())
    for (const rare of near)
      for (const common of near) {
        if (counts.get(common)! < COMMONER * counts.get(rare)! || !isNear(rare, common)) continue
        const best = pairs.get(rare)
        if (!best || counts.get(common)! > counts.get(best)!) pairs.set(rare, common)
      }
  return pairs
}

/** One letter more, less or other, or two that changed places. A plural is another word. */
function isNear(a: string, b: string): boolean {
  if (isTransposed(a, b)) return true
  if (a === b || a + 's' === b || b + 's' === a || Math.abs(a.length - b.length) > 1) return false
  let from = 0
  while (a[from] === b[from] && from < a.length) from++
  let end = 0
  while (end < Math.min(a.length, b.length) - from && a.at(-1 - end) === b.at(-1 - end)) end++
  const [x, y] = [a.slice(from, a.length - end), b.slice(from, b.length - end)]
  return x.length <= 1 && y.length <= 1
}
