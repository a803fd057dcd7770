import nspell from 'nspell'
import type { Speller } from '../doubt'
import { BARE_AFFIXES } from './ownDictionary'
import { wordTable } from './wordTable'

/** A dictionary that is open: what is right by it, and what a wrong word may have been meant as. */
export interface Dictionary extends Speller {
  /** The likeliest first. */
  meant(word: string): string[]
  /** Words that stand in it, without their forms. */
  size: number
}

/** Rules of joining are the table’s: nspell looks for them anywhere in a word, and some would let every word pass. */
const JOINING = /^COMPOUNDRULE\b.*$/gm

/**
 * Opens a dictionary by its two texts; of a bare list of words the first is empty. Capitals, conversions and suggestions are nspell's; its words are looked up in our
 * table, where nspell by itself would spread all forms out (of Portuguese more than a minute, of French half a gigabyte).
 */
export function openDictionary(aff: string, dic: string): Dictionary {
  const rules = aff || BARE_AFFIXES
  const table = wordTable(rules, dic)
  const known = nspell(rules.replace(JOINING, ''), '')
  let suggesting = false
  // What nspell looks words up in: an object without a prototype that has each form by its flags.
  const data = new Proxy(Object.create(null) as object, {
    get: (_, word) =>
      typeof word !== 'string' ? undefined : suggesting ? table.simpleFlagsOf(word) : table.flagsOf(word),
  })
  Object.assign(known, { data })
  return {
    size: table.size,
    right: word => known.correct(word),
    meant(word) {
      suggesting = true
      try {
        return known.suggest(word)
      } finally {
        suggesting = false
      }
    },
  }
}
