/** What two letters that changed places weigh, as though the word stood so many times in the book. */
const CHANGED_PLACES = 20

/** What a misspelt word may have been meant as, the likeliest first: what the book has oftener, and what two letters that changed places make of it. */
export const likeliest = (word: string, meant: readonly string[], count: (form: string) => number): string[] => {
  const weight = (w: string): number =>
    count(w) + count(w.toLowerCase()) + (isTransposed(word.toLowerCase(), w.toLowerCase()) ? CHANGED_PLACES : 0)
  return meant
    .map((w, i) => ({ w, i, weight: weight(w) }))
    .sort((a, b) => b.weight - a.weight || a.i - b.i)
    .map(({ w }) => w)
}

/** Whether two letters beside each other changed places, and nothing else did. */
export function isTransposed(a: string, b: string): boolean {
  if (a.length !== b.length || a === b) return false
  let at = 0
  while (a[at] === b[at]) at++
  return a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2)
}
