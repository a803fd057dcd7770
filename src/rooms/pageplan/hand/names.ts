import { designOf, kindOf, pageWords } from '@/core/activity'
import type { DesignPiece, HandPage, Run } from '@/core/book'

const NAMES: Record<string, string> = {
  heading: 'Heading',
  reference: 'Reference',
  answer: 'Answer',
  grid: 'Grid',
  words: 'Words',
  clues: 'Clues',
  row: 'Row',
  rules: 'Rules',
  example: 'Example',
  room: 'Room to write',
  key: 'Key',
  message: 'Message',
}

/** Labels of a page are called as they are printed in English. */
const LABELS: Partial<Record<string, string>> = pageWords('en')

/** What a piece of a page is called: by the author, or by what it is; one of several with its number. */
export function pieceCalled(piece: string, run: Run, hand: HandPage, placed: readonly DesignPiece[]): string {
  const given = hand.pieces.find(p => p.piece === piece)?.name
  if (given) return given
  const [id, nth] = piece
    .split('/')
    .at(-1)!
    .split(/-(\d+)$/) as [string, string?]
  const own = placed.find(p => p.id === id)
  const name = own
    ? own.name || (designOf(own.kind)?.name ?? own.kind)
    : id === 'body'
      ? (kindOf(run.kind)?.name ?? run.kind)
      : (NAMES[id] ?? LABELS[id] ?? id)
  return nth ? `${name} ${nth}` : name
}
