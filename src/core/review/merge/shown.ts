import type { Part } from '@/core/compare'
import type { DifferenceKind, LinePlace } from './difference'
import { isStructural } from './hunks'
import type { Change } from './merged'
import { textOfTokens, type Token } from './tokens'

/** Words around a change that are shown with it, in tokens: words and the spaces between them. */
const AROUND = 12

/** A change as it is shown where it stands now: its words with a few around them, what it is, and its place. */
export function partsOf(now: readonly Token[], c: Change): Shown {
  let shown = known.get(c)
  if (!shown) known.set(c, (shown = shownOf(now, c)))
  return shown
}

interface Shown {
  parts: Part[]
  kind: DifferenceKind
  place: LinePlace | undefined
}

const known = new WeakMap<Change, Shown>()

function shownOf(now: readonly Token[], c: Change): Shown {
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
  return {
    parts: parts.filter(p => p.text),
    kind: same ? 'set' : 'words',
    place: placeOf(now, c.from, textIn(c.yours)),
  }
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

const LINES = new Set(['paragraph', 'heading', 'image', 'line', 'footnote'])

/** The line that a place is in, and from which letter to which what changes reaches there. */
function placeOf(now: readonly Token[], at: number, length: number): LinePlace | undefined {
  const open: { type: string; id: string; row: number; letters: number; lines: number }[] = []
  for (const [i, t] of now.entries()) {
    if (i >= at && open.some(o => LINES.has(o.type))) break
    if (t.is === 'close') {
      open.pop()
      const line = open.at(-1)
      if (line && LINES.has(line.type)) line.letters++
    } else if (t.is === 'open') {
      const holder = open.at(-1)
      const { type, attrs } = t.node
      // A line of verse goes by its verse.
      const [id, row] = type === 'line' ? [holder!.id, holder!.lines++] : [(attrs?.id as string | undefined) ?? '', 0]
      open.push({ type, id, row, letters: 0, lines: 0 })
    } else open.at(-1)!.letters += t.is === 'word' ? t.text.length : 1
  }
  const line = open.findLast(o => LINES.has(o.type))
  return line?.id ? { block: line.id, row: line.row, from: line.letters, to: line.letters + length } : undefined
}

/** Letters of the first line that tokens reach over. */
function textIn(tokens: readonly Token[]): number {
  const end = tokens.findIndex(t => t.is === 'close' || t.is === 'open')
  return tokens.slice(0, end < 0 ? undefined : end).reduce((n, t) => n + (t.is === 'word' ? t.text.length : 1), 0)
}
