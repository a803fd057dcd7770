import type { Part } from '@/core/compare'
import type { DifferenceKind } from './difference'
import { isStructural } from './hunks'
import type { Change } from './merged'
import { textOfTokens, type Token } from './tokens'

/** Words around a change that are shown with it, in tokens: words and the spaces between them. */
const AROUND = 12

/** A change as it is shown where it stands now: its words with a few around them, what it is, and its place. */
export function partsOf(
  now: readonly Token[],
  c: Change,
): { parts: Part[]; kind: DifferenceKind; block: string | undefined; offset: number } {
  const [before, behind] = [textOfTokens(inBlock(now, c.from)), textOfTokens(ahead(now, c.to))]
  const [gone, came] = [textOfTokens(c.yours), textOfTokens(c.theirs)]
  const same = gone === came
  const parts: Part[] = [
    { is: 'same', text: before },
    ...(same
      ? [{ is: 'same' as const, text: gone }]
      : [
          { is: 'gone' as const, text: gone },
          { is: 'new' as const, text: came },
        ]),
    { is: 'same', text: behind },
  ]
  return { parts: parts.filter(p => p.text), kind: same ? 'set' : 'words', ...placeOf(now, c.from) }
}

/** The words before a place, in its own paragraph. */
function inBlock(now: readonly Token[], at: number): Token[] {
  const before = now.slice(Math.max(0, at - AROUND), at)
  const begins = before.findLastIndex(t => isStructural([t]))
  return before.slice(begins + 1)
}

function ahead(now: readonly Token[], at: number): Token[] {
  const behind = now.slice(at, at + AROUND)
  const ends = behind.findIndex(t => isStructural([t]))
  return ends < 0 ? behind : behind.slice(0, ends)
}

/** The top-level block that a place is in, and the letter of its own words from which on. */
function placeOf(now: readonly Token[], at: number): { block: string | undefined; offset: number } {
  let depth = 0
  let block: string | undefined
  let offset = 0
  for (const [i, t] of now.entries()) {
    if (t.is === 'open' && depth === 0) {
      if (i >= at && block !== undefined) break
      block = t.node.attrs?.id as string | undefined
      offset = 0
    }
    if (i >= at && i > 0) break
    if (t.is === 'open') depth++
    else if (t.is === 'close') depth--
    else offset += t.is === 'word' ? t.text.length : 1
  }
  return { block, offset }
}
