import type { Run } from '../book'
import type { RunKind } from './kind'
import type { HeadWords } from './looks'

/** How many things a run asks: puzzles, a page each or several. */
export const askedOf = (run: Run): number => run.pages * (run.each ?? 1)

/** What a page of a run, or one of several things on it, is headed by; undefined where by nothing. */
export async function headingOf(
  { heading, params }: Run,
  kind: RunKind,
  index: number,
): Promise<HeadWords | undefined> {
  if (!heading) return undefined
  const { words, from, listed } = heading
  const named = listed ? await kind.listName?.(params, index) : undefined
  const number = from === undefined ? undefined : from + index
  return words || named || number !== undefined ? { words: named ?? words, number } : undefined
}

/** A heading as one line of text. */
export const headingText = ({ words, number }: HeadWords): string =>
  number === undefined ? words : `${words} ${number}`.trim()

/** All pages of a run have one heading. */
export const headedAlike = ({ heading }: Run): boolean => heading?.from === undefined && !heading?.listed
