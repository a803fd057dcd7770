import type { Proof } from '../puzzle'
import { readings } from '../substitution/readings'
import type { Cryptogram } from './values'

/** Reads the cipher as one does who knows all words, those of the saying among them. */
export function prove({ letters, cipher, hints, key }: Cryptogram): Proof {
  const strip = (text: string): string[] => text.replace(/['’]/g, '').match(/[A-Z]+/g) ?? []
  const { count, key: found } = readings({
    words: [...new Set(strip(cipher))].map(w => Array.from(w)),
    given: new Map(Object.entries(key).filter(([, sign]) => hints.includes(sign))),
    also: strip(letters),
  })
  const read = Array.from(cipher, sign => (/[A-Z]/.test(sign) ? found.get(sign) : sign)).join('')
  return { answers: count, agrees: count === 1 && read === letters }
}
