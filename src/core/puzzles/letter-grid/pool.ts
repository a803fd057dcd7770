import type { Band } from '../difficulty'

/** Letters of English texts in a hundred and more: what the rest of a grid looks like where it is to be easy. */
const COMMON = Array.from(
  'EEEEEEEEEEEETTTTTTTTTAAAAAAAAOOOOOOOOIIIIIIINNNNNNNSSSSSSHHHHHHRRRRRRDDDDLLLLCCCUUUMMMWWFFGGYYPPBBVKJXQZ',
)

/**
 * What the cells without a word are drawn from: common letters; the harder it is to be, the more of the words' own, so that many a
 * word seems to begin. Words in another script have their own letters only.
 */
export function pool(words: readonly { letters: string }[], band: Band): string[] {
  const own = words.flatMap(w => Array.from(w.letters))
  if (own.some(sign => !/[A-Z]/.test(sign.normalize('NFD')[0]!))) return own
  const times = { gentle: 0, easy: 0, middling: 1, hard: 2, stubborn: 4 }[band]
  const enough = Math.ceil((COMMON.length * times) / Math.max(1, own.length))
  return [...COMMON, ...Array.from({ length: enough }, () => own).flat()]
}
