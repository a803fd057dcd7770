import { once, seeded } from '../../trade'
import { allBanks, type DealtWord, dealt, dictionary, gridLetters, listsOf, offences, plainLetters } from '../../words'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Candidate, InRun } from '../puzzle'
import { sharedName } from '../turns'
import type { MissingVowels, VowelValues } from './values'

/** How what is left of a word is given: with a dot for each vowel; in the words' own groups, in others, or in one; with the theme or without. */
interface Form {
  dots: boolean
  groups: 'own' | 'others' | 'one'
  theme: boolean
}
const forms: Record<Band, Form> = {
  gentle: { dots: true, groups: 'own', theme: true },
  easy: { dots: false, groups: 'own', theme: true },
  middling: { dots: false, groups: 'others', theme: true },
  hard: { dots: false, groups: 'others', theme: false },
  stubborn: { dots: false, groups: 'one', theme: false },
}
/** What each costs a person, in the mean of the words: a vowel without its place, or with it, groups that mislead, no theme; where the bands begin. */
const VOWEL = 0.3
const DOT = 0.05
const groupCosts: Record<Form['groups'], number> = { own: 0, others: 2.5, one: 4 }
const NO_THEME = 3
const begins = [0, 0.45, 2.6, 5.6, 7.35]
/** Vowels and consonants of a word that can be asked for. */
const MOST_VOWELS = 6
const LEAST = 3

const VOWELS = new Set(Array.from('AEIOUÀÁÂÃÄÅÆÈÉÊËÌÍÎÏÒÓÔÕÖØŒÙÚÛÜ'))
const consonants = (letters: string): string =>
  Array.from(letters)
    .filter(sign => !VOWELS.has(sign))
    .join('')
/** Known words that have the same consonants. */
const readings = once(() => {
  const of = new Map<string, number>()
  for (const word of dictionary().known) {
    const left = consonants(word)
    of.set(left, (of.get(left) ?? 0) + 1)
  }
  return of
})
const bad = once(() => new Set(offences()))

/** Takes the vowels out of words that can be told from the others of their list by what is left. */
export function make(
  { words, count, deal, band }: VowelValues,
  seed: number,
  at: InRun,
): Candidate<MissingVowels> | undefined {
  const chance = seeded(seed)
  const lists = listsOf(words)
  const list = lists[lists.length > 1 ? at.index % lists.length : 0]!
  const among = list.words.map(w => gridLetters(w.word))
  const sharing = new Map<string, number>()
  for (const w of among) sharing.set(consonants(w), (sharing.get(consonants(w)) ?? 0) + 1)
  const form = forms[band]
  // All that ships has nothing in common that could be said.
  const theme = form.theme && words.bank !== allBanks.id ? list.name : undefined
  const suits = ({ letters }: DealtWord): boolean => {
    const left = consonants(letters)
    if (left.length < LEAST || left.length === letters.length || sharing.get(left)! > 1) return false
    // Nothing but the letters to go by: no other known word may have them.
    const own = dictionary().rank.has(letters) ? 1 : 0
    if (theme === undefined && (readings().get(left) ?? 0) > own) return false
    const vowels = letters.length - left.length
    return vowels >= (form.dots ? 1 : 2) && vowels <= MOST_VOWELS
  }
  const taken = dealt(lists, { count, index: at.index, seed: at.run, once: deal === 'once', suits })
  const items = taken.map(({ word, letters }) => ({ word, letters, given: given(word, form, chance) }))
  if (items.some(i => i.given.split(' ').some(g => bad().has(plainLetters(g))))) return undefined
  const difficulty = measure(items, form)
  if (difficulty.band !== band) return undefined
  const puzzle = { theme, items, among }
  return {
    puzzle,
    difficulty,
    twin: sharedName([
      items
        .map(i => i.given)
        .sort()
        .join('/'),
    ]),
  }
}

/** What is left of a word, as it is printed. */
function given(word: string, { dots, groups }: Form, chance: () => number): string {
  if (groups === 'own')
    return word
      .split(/\s+/)
      .map(part => {
        const letters = gridLetters(part)
        return dots ? Array.from(letters, sign => (VOWELS.has(sign) ? '·' : sign)).join('') : consonants(letters)
      })
      .filter(Boolean)
      .join(' ')
  const left = consonants(gridLetters(word))
  if (groups === 'one') return left
  let out = ''
  for (let i = 0; i < left.length;) {
    // A single letter is never left over.
    let take = 2 + Math.floor(chance() * 2.5)
    if (left.length - i - take === 1) take++
    out += `${out && ' '}${left.slice(i, i + take)}`
    i += take
  }
  return out
}

function measure(items: MissingVowels['items'], form: Form): Difficulty {
  const vowels = items.reduce((n, { letters }) => n + letters.length - consonants(letters).length, 0)
  const mean = vowels / items.length
  const cost = mean * (form.dots ? DOT : VOWEL) + groupCosts[form.groups] + (form.theme ? 0 : NO_THEME)
  const steps = {
    [form.dots ? 'vowel at its dot' : 'vowel to be placed']: vowels,
    ...(form.groups !== 'own' && {
      [form.groups === 'one' ? 'letters in one group' : 'letters in other groups']: items.length,
    }),
    ...(!form.theme && { 'word without a theme': items.length }),
  }
  return { band: bands[begins.filter(b => cost >= b).length - 1]!, steps }
}
