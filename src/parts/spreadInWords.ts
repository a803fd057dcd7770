import type { Spread } from '@/data/matter'

/** What came of a change everywhere: "Two other books say it now. “Soot” does not: it was changed there." */
export function spreadInWords({ books, left }: Spread): string {
  const reached =
    books === 0 ? 'It is kept.' : `It is kept, and ${books} other ${books === 1 ? 'book says' : 'books say'} it now.`
  return [reached, ...left.map(l => `“${l.title}” does not: ${l.why}.`)].join(' ')
}
