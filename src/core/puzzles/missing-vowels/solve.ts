import { dictionary } from '../../words'
import type { Proof } from '../puzzle'
import type { MissingVowels } from './values'

const VOWELS = 'AEIOUÀÁÂÃÄÅÆÈÉÊËÌÍÎÏÒÓÔÕÖØŒÙÚÛÜ'

/** Looks through all words of the list, and where no theme is said all known words, for those that what is given can be read as. */
export function prove({ theme, items, among }: MissingVowels): Proof {
  let [most, least, agrees] = [1, 1, true]
  const some = theme === undefined ? new Set([...dictionary().known, ...among]) : new Set(among)
  for (const { letters, given } of items) {
    const left = Array.from(given.replace(/[ ·]/g, ''))
    const form = new RegExp(`^[${VOWELS}]*${left.map(sign => `${sign}[${VOWELS}]*`).join('')}$`, 'u')
    const dotted = given.includes('·')
      ? new RegExp(`^${Array.from(given.replace(/ /g, ''), s => (s === '·' ? `[${VOWELS}]` : s)).join('')}$`, 'u')
      : undefined
    const found = [...some].filter(w => form.test(w) && (dotted?.test(w) ?? true))
    most = Math.max(most, found.length)
    least = Math.min(least, found.length)
    agrees &&= found.includes(letters)
  }
  const answers = least < 1 ? 0 : most > 1 ? 2 : 1
  return { answers, agrees: answers === 1 && agrees }
}
