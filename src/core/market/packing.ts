import type { PhraseFigures } from './market'
import { wordsOf } from './words'

/** What was packed: the slots, which phrases they cover, and which stayed outside, with the reason. */
export interface Packed {
  slots: string[]
  covered: { phrase: string; demand: number; by: string }[]
  lost: { phrase: string; demand: number; why: string }[]
}

/** What stands between two keywords where an outlet has one field for all of them. */
export const KEYWORDS_APART = ', '

/**
 * Packs phrases into the room an outlet has for keywords, so that the demand covered is great: greedily by demand for each new character, a
 * phrase's words whole where they fit, never a word that title or another slot already says. A phrase is covered when all
 * its words stand somewhere.
 */
export function packSlots(
  phrases: Pick<PhraseFigures, 'phrase' | 'demand'>[],
  rules: { count: number; characters: number; inAll?: number },
  said: string,
): Packed {
  const spent = new Set(wordsOf(said))
  const slots: string[] = []
  const lost: Packed['lost'] = []
  const missing = (p: string): string[] =>
    p.split(/\s+/).filter(w => !spent.has(wordsOf(w)[0] ?? '') && !/^(the|a|of|in|with|for|and)$/i.test(w))
  let open = phrases.map(p => ({ ...p, words: missing(p.phrase) }))
  for (;;) {
    open = open.map(p => ({ ...p, words: missing(p.phrase) })).filter(p => p.words.length)
    if (!open.length) break
    open.sort(
      (a, b) =>
        b.demand / b.words.join(' ').length - a.demand / a.words.join(' ').length || (a.phrase < b.phrase ? -1 : 1),
    )
    const p = open.shift()!
    const text = p.words.join(' ')
    // Of one field for all of them, what stands between two of them is a part.
    const left = (rules.inAll ?? Infinity) - slots.join(KEYWORDS_APART).length
    // The slot with the least room that still takes it.
    let at = -1
    slots.forEach((s, i) => {
      const fits = s.length + 1 + text.length <= rules.characters && 1 + text.length <= left
      if (fits && (at < 0 || s.length > slots[at]!.length)) at = i
    })
    const own = (slots.length ? KEYWORDS_APART.length : 0) + text.length
    if (slots.length < rules.count && text.length <= rules.characters && own <= left) {
      slots.push(text)
    } else if (at >= 0) slots[at] += ' ' + text
    else {
      lost.push({
        phrase: p.phrase,
        demand: p.demand,
        why: text.length > rules.characters ? 'longer than a slot' : 'no slot has room for it',
      })
      continue
    }
    for (const w of p.words) spent.add(wordsOf(w)[0] ?? '')
  }
  const titleWords = new Set(wordsOf(said))
  const covered = phrases
    .filter(p => !missing(p.phrase).length)
    .map(p => ({
      phrase: p.phrase,
      demand: p.demand,
      by: wordsOf(p.phrase).every(w => titleWords.has(w)) ? 'the title' : 'slots',
    }))
  const done = new Set(covered.map(c => c.phrase))
  return { slots, covered, lost: lost.filter(l => !done.has(l.phrase)) }
}
