import { once } from '../../trade'
import { dictionary } from '../../words'
import type { Proof } from '../puzzle'
import type { Scramble } from './values'

/** Known words by their length. */
const byLength = once(() => {
  const of = new Map<number, string[]>()
  for (const word of dictionary().known) of.set(word.length, [...(of.get(word.length) ?? []), word])
  return of
})

/** Whether a word can be laid with the letters, each taken once. */
function laidWith(word: string, letters: string): boolean {
  let rest = letters
  for (const sign of word) {
    const at = rest.indexOf(sign)
    if (at < 0) return false
    rest = rest.slice(0, at) + rest.slice(at + 1)
  }
  return rest === ''
}

/** Tries every known word of a length, and the words of the puzzle, on the letters of each. */
export function prove({ items }: Scramble): Proof {
  let [most, least, agrees] = [1, 1, true]
  for (const { letters, mixed } of items) {
    const found = new Set(
      [...(byLength().get(mixed.length) ?? []), ...items.map(i => i.letters)].filter(w => laidWith(w, mixed)),
    )
    most = Math.max(most, found.size)
    least = Math.min(least, found.size)
    agrees &&= found.has(letters)
  }
  const answers = least < 1 ? 0 : most > 1 ? 2 : 1
  return { answers, agrees: answers === 1 && agrees }
}
