import type { Crossword } from './crossword'

/** From one line of clues to the next, sizes of their type. */
export const LEADING = 1.24
/** Above a heading that stands below clues, lines. */
const ABOVE = 0.5

/** A line of clues: a heading, or words of a clue, the first with its number. */
export interface ClueLine {
  text: string
  number?: string
  heading?: boolean
}

/** Lines that stand together: a clue, or a heading with the first clue under it. */
export type ClueBlock = readonly ClueLine[]

/** A column of clues: its lines, each so many lines below the column's head, and how many lines high it is. */
export interface ClueColumn {
  lines: (ClueLine & { at: number })[]
  height: number
}

/** How long an answer is, as a clue says it: "7", or "3, 4" where it is two words. */
const lengthOf = ({ word, answer }: Crossword['entries'][number]): string =>
  word.includes(' ')
    ? word
        .split(' ')
        .map(w => w.length)
        .join(', ')
    : String(Array.from(answer).length)

/** All clues, across and down, broken into lines no wider than their room. The length never stands on a line by itself. */
export function clueBlocks(
  { entries }: Pick<Crossword, 'entries'>,
  {
    room,
    widthOf,
    names,
  }: { room: number; widthOf: (words: string) => number; names: Record<'across' | 'down', string> },
): ClueBlock[] {
  return (['across', 'down'] as const).flatMap(way =>
    entries
      .filter(e => e.way === way)
      .map((e, i) => {
        const words = e.clue.split(' ')
        words.push(`${words.pop()} (${lengthOf(e)})`)
        const lines: ClueLine[] = []
        let line = ''
        for (const word of words) {
          const longer = line ? `${line} ${word}` : word
          if (line && widthOf(longer) > room) {
            lines.push({ text: line })
            line = word
          } else line = longer
        }
        lines.push({ text: line })
        lines[0]!.number = String(e.number)
        return i ? lines : [{ text: names[way], heading: true }, ...lines]
      }),
  )
}

/** Blocks in so many columns, in order, none broken; the highest column as low as it can be. */
export function columnsWith(blocks: readonly ClueBlock[], count: number): ClueColumn[] {
  const lines = blocks.reduce((n, b) => n + b.length, 0)
  for (let most = Math.max(1, lines / count); ; most += 0.5) {
    const columns = filled(blocks, most)
    if (columns.length <= count) return columns
  }
}

/** Columns filled one after the other, none higher than may be unless one block is. */
function filled(blocks: readonly ClueBlock[], most: number): ClueColumn[] {
  const out: ClueColumn[] = []
  let column: ClueColumn | undefined
  for (const block of blocks) {
    const above = column && block[0]!.heading ? ABOVE : 0
    if (!column || column.height + above + block.length > most) out.push((column = { lines: [], height: 0 }))
    else column.height += above
    for (const line of block) column.lines.push({ ...line, at: column.height++ })
  }
  return out
}
