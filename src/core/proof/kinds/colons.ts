import type { PlacedSeen, ProofKind } from '../doubt'
import { casedAs, isCapital } from '../readLine'

const HABIT = 3
const BEHIND = /:\s+(\p{L}[\p{L}\p{M}'’]*)/gu

/** Capitals behind colons where the book mostly has small letters, or the other way round. Names, and what is said in quotes, are left alone. */
export const colons: ProofKind = {
  id: 'colons',
  name: ['letter behind a colon', 'letters behind colons'],
  looksAt: 'A word behind a colon has a capital where the book mostly has a small letter, or the other way round.',
  look: ({ of, text }) =>
    of.kind === 'text' && text.includes(':')
      ? [...text.matchAll(BEHIND)].map(m => ({
          from: m.index + m[0].length - m[1]!.length,
          to: m.index + m[0].length,
          as: m[1]!.replaceAll('’', "'"),
        }))
      : [],
  judge: (seen, book) => {
    // A word that the book has with a small letter, too, is no name.
    const told = seen.filter(s => !isCapital(s.as![0]!) || book.count(s.as!.charAt(0).toLowerCase() + s.as!.slice(1)))
    const capitals = told.filter(s => isCapital(s.as![0]!))
    const small = told.filter(s => !isCapital(s.as![0]!))
    const [rare, most] = capitals.length < small.length ? [capitals, small] : [small, capitals]
    if (most.length < HABIT || rare.length === most.length) return []
    const habit = most === small ? 'a small letter' : 'a capital'
    return rare.map((s): PlacedSeen => {
      const word = s.as!.replaceAll("'", '’')
      return {
        ...s,
        says: `${most.length.toLocaleString('en')} colons have ${habit} behind them`,
        remedies: [most === small ? word.charAt(0).toLowerCase() + word.slice(1) : casedAs(word, 'Aa')],
        about: s.as!,
      }
    })
  },
}
