import type { ProofKind } from '../doubt'
import { wordsIn } from '../readLine'

/** So many sentences in a row that begin alike are noticed. */
const IN_A_ROW = 3
const BETWEEN = /[.!?…]["”’»]?\s+(?=["“„«‘(]?\p{Lu})/gu

/** Sentences in a row that begin with the same word. */
export const alike: ProofKind = {
  id: 'alike',
  name: ['row of sentences that start alike', 'rows of sentences that start alike'],
  looksAt: 'Three sentences of a paragraph, or more, begin with the same word.',
  look: ({ of, text }) => {
    if (of.kind !== 'text' || of.within) return []
    const begins = [0, ...[...text.matchAll(BETWEEN)].map(m => m.index + m[0].length)]
    const firsts = begins.flatMap(at => {
      const word = wordsIn(text.slice(at, at + 40))[0]
      return word ? [{ from: at + word.from, to: at + word.to, word: word.form.toLowerCase() }] : []
    })
    let row = 0
    return firsts.flatMap((f, i) => {
      row = f.word === firsts[i - 1]?.word ? row + 1 : 1
      const ends = f.word !== firsts[i + 1]?.word
      return row >= IN_A_ROW && ends
        ? [{ from: f.from, to: f.to, says: `${row} sentences in a row start so`, about: f.word }]
        : []
    })
  },
}
