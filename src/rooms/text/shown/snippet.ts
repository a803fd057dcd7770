/** Letters that are shown around a place. */
const AROUND = 26

/** A place with the words around it, from a word's beginning to a word's end. */
export interface Snippet {
  /** Whether the line goes on before, and behind. */
  cutBefore: boolean
  cutBehind: boolean
  before: string
  found: string
  behind: string
}

const plain = (s: string): string => s.replace(/[\n\ufffc]/g, ' ')

/** A place of a line as lists show it. */
export function snippetOf(line: string, from: number, to: number): Snippet {
  const cutBefore = from > AROUND
  const cutBehind = line.length > to + AROUND
  const before = plain(line.slice(Math.max(0, from - AROUND), from))
  const behind = plain(line.slice(to, to + AROUND))
  return {
    cutBefore,
    cutBehind,
    before: cutBefore ? before.replace(/^\S+\s/, '') : before,
    found: plain(line.slice(from, to)),
    behind: cutBehind ? behind.replace(/\s\S*$/, '') : behind,
  }
}
