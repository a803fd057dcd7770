// What leads to a word in a crossword, out of an open dictionary: another word for it, its meaning cut short, or either of the word it is
// a form of.

/** Letters of a clue. */
export const CLUE = 64
/** Letters that a shortened meaning keeps at least. */
const LEAST = 18

/** Whether a clue gives its answer away: one word's beginning is the other. */
const tells = (clue, word) =>
  clue
    .toLowerCase()
    .split(/[^a-z]+/)
    .some(w => {
      const least = Math.max(3, Math.min(w.length, word.length) - 2)
      return w.length > 2 && w.slice(0, least) === word.slice(0, least)
    })

/** Whether two words are one, spelt or begun another way: “authorised” and “authorized”, “aeroplane” and “airplane”. */
const kin = (a, b) => tells(a, b) || a.slice(-5) === b.slice(-5) || a.replaceAll('s', 'z') === b.replaceAll('s', 'z')

/** Where a meaning that is too long may end: before these it has said what the thing is; before the second ones, most of it. */
const breaks = [
  / (?=(?:that|which|who|whose|usually|especially|often|such as|and then|in order|when|where)\b)/,
  / (?=(?:as|or|and|with|by|for|over|from)\b)/,
]
/** What cannot end a clue. */
const DANGLING =
  /(?:,| (?:and|or|by|in|of|with|such|to|for|at|on|from|is|are|the|a|an|as|that|which|who|(?:that|which|who) [a-z]+))$/

/** A meaning in the length of a clue; nothing where it cannot be cut with sense. */
export function shortened(gloss) {
  const whole = gloss
    .replace(/; ".*$/s, '')
    .replace(/\([^)]*\)/g, '')
    .split(/[;:]/)[0]
    .replace(/\s+/g, ' ')
    .replace(/ ([,.])/g, '$1')
    .trim()
  if (whole.length < 6 || /["`]/.test(whole)) return undefined
  if (whole.length <= CLUE) return whole
  for (const where of breaks) {
    const parts = whole.split(where)
    while (parts.length > 1 && parts.join(' ').length > CLUE) parts.pop()
    let clue = parts.join(' ')
    while (DANGLING.test(clue)) clue = clue.replace(DANGLING, '')
    if (clue.length <= CLUE && clue.length >= LEAST) return clue
  }
  return undefined
}

const doubled = stem =>
  /[^aeiou][aeiouy][^aeiouwxy]$/.test(stem) || /^[aeiou][^aeiouwxy]$/.test(stem) ? stem + stem.at(-1) : stem
const oneSyllable = stem => (stem.match(/[aeiouy]+/g) ?? []).length === 1

/** A stem with an ending, as English spells it; two ways where its last letter may be doubled. */
function withEnd(stem, end) {
  if (/[^aeiou]y$/.test(stem) && end !== 'ing') return [stem.slice(0, -1) + (end === 's' ? 'ies' : `i${end}`)]
  if (end === 's') return [stem + (/(?:s|x|z|ch|sh)$/.test(stem) ? 'es' : 's')]
  if (stem.endsWith('e') && !/(?:ee|oe|ye)$/.test(stem)) return [stem.slice(0, -1) + end]
  if (stem.endsWith('e') && end !== 'ing') return [stem + end.slice(1)]
  const twice = doubled(stem) + end
  return oneSyllable(stem) ? [twice] : [stem + end, twice]
}

/** Forms of a word, by part of speech: how each ends, and what is said of it where its meaning stands for it. */
const forms = [
  { letter: 'n', end: 's', note: 'plural' },
  { letter: 'v', end: 's', note: 'he, she or it' },
  { letter: 'v', end: 'ed', note: 'in the past' },
  { letter: 'v', end: 'ing', note: 'with -ing' },
  { letter: 'a', end: 'er', note: 'more so' },
  { letter: 'a', end: 'est', note: 'most of all' },
]

/**
 * The clue of a word, from its senses `[{ id, used }]` by word, the synsets `{ words, gloss }` by id, how often each word is said, and what may
 * stand in a clue.
 */
export function cluesFrom({ senses, glosses, said, fit }) {
  const isName = (word, id) => glosses.get(id)?.words.some(w => w.toLowerCase() === word && /^[A-Z]/.test(w))
  /** Senses that are often meant, the most used first. */
  const meant = (word, letter) => {
    const own = (senses.get(word) ?? []).filter(s => !letter || s.id[0] === letter).sort((a, b) => b.used - a.used)
    return own.filter(({ id, used }) => used * 4 >= own[0].used && glosses.has(id) && !isName(word, id))
  }

  /** Another word that means this first of all, and that people know. */
  function others(word, id) {
    return glosses.get(id).words.filter(other => {
      if (!/^[a-z]{3,12}$/.test(other) || other === word || (said.get(other) ?? 0) < 100 || kin(other, word))
        return false
      return meant(other, id[0])[0]?.id === id && meant(other)[0]?.id === id && fit(other)
    })
  }
  const meaning = (word, id) => {
    const clue = shortened(glosses.get(id).gloss)
    return clue && !tells(clue, word) && fit(clue) ? clue : undefined
  }
  const capital = clue => clue[0].toUpperCase() + clue.slice(1)

  function own(word) {
    const all = meant(word)
    for (const { id } of all.slice(0, 1)) {
      const [other] = others(word, id)
      if (other) return capital(other)
    }
    for (const { id } of all) {
      const clue = meaning(word, id)
      if (clue) return capital(clue)
    }
    return undefined
  }

  /** By the word it is a form of, where that is meant so first of all. */
  function ofForm(word) {
    for (const { letter, end, note } of forms)
      for (const stem of stemsOf(word, end)) {
        const first = meant(stem)[0]
        if (first?.id[0] !== letter || !withEnd(stem, end).includes(word)) continue
        for (const other of others(stem, first.id))
          for (const form of withEnd(other, end))
            if ((said.get(form) ?? 0) >= 20 && !kin(form, word)) return capital(form)
        const clue = meaning(word, first.id)
        if (clue && clue.length + note.length + 3 <= CLUE) return `${capital(clue)} (${note})`
      }
    return undefined
  }
  /** What may stand before an ending. */
  function stemsOf(word, end) {
    if (!word.endsWith(end)) return []
    const rest = word.slice(0, -end.length)
    return [rest, `${rest}e`, rest.slice(0, -1), rest.replace(/i(?:e)?$/, 'y')].filter(
      s => s.length > 1 && senses.has(s),
    )
  }
  return word => own(word) ?? ofForm(word)
}
