import type { PlacedSeen, ProofKind } from '../doubt'
import { rightWord } from '../rightWord'

const COMPOUND = /[\p{L}\p{M}'’]+(?:[-‐‑][\p{L}\p{M}'’]+)+/gu
const DROPPED = /[\p{L}\p{M}]+in(?=['’](?![\p{L}\p{M}]))/gu

/** Words that neither the dictionary, nor the book, nor the author knows. What may stand instead is looked up when it is asked for. */
export const spelling: ProofKind = {
  id: 'spelling',
  name: ['word that is in no list', 'words that are in no list'],
  looksAt: 'Each word is looked up in the dictionary, in the book’s own words and in yours.',
  look: ({ text }) => [
    ...(/[-‐‑]/.test(text) ? [...text.matchAll(COMPOUND)] : []).map(m => ({
      from: m.index,
      to: m.index + m[0].length,
      as: m[0].replace(/[‐‑]/g, '-').replaceAll('’', "'"),
    })),
    // A dropped g, as it is spoken.
    ...(/in['’]/.test(text) ? [...text.matchAll(DROPPED)] : []).map(m => ({
      from: m.index,
      to: m.index + m[0].length,
      as: `${m[0]}g`,
    })),
  ],
  judge: (seen, book, reading) => {
    const { speller } = reading
    if (!speller) return []
    const excused = seen.filter(s => speller.right(s.as!) || reading.known(s.as!))
    const isExcused = (p: PlacedSeen): boolean =>
      excused.some(e => e.section === p.section && e.line === p.line && e.from <= p.from && e.to >= p.to)
    const out: PlacedSeen[] = []
    const wrong = new Set([...book.forms.keys()].filter(form => !rightWord(form, reading)))
    for (const section of book.order)
      for (const [form, at] of book.section(section)?.places ?? [])
        if (wrong.has(form))
          for (let i = 0; i < at.length; i += 3) {
            const place = { section, line: at[i]!, from: at[i + 1]!, to: at[i + 2]! }
            if (!isExcused(place)) out.push({ ...place, says: 'in no list of words', about: form })
          }
    return out
  },
}
