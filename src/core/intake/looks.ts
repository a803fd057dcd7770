import type { MarkJson } from '../book'
import type { DropCounter } from './raw'

/** How a file says that letters look; undefined means "as inherited". */
export interface LetterLook {
  bold?: boolean
  italic?: boolean
  caps?: boolean
  smallCaps?: boolean
  underline?: boolean
  strike?: boolean
  /** A colour of its own for letters, and behind them. */
  coloured?: boolean
  marked?: boolean
  hidden?: boolean
  vertical?: 'superscript' | 'subscript' | 'baseline'
}

/** The marks that a book keeps of a look, those of links first. */
export function marksOf(look: LetterLook, links: readonly MarkJson[] = []): MarkJson[] {
  const marks: MarkJson[] = [...links]
  if (look.bold) marks.push({ type: 'strong' })
  if (look.italic) marks.push({ type: 'em' })
  if (look.smallCaps) marks.push({ type: 'small_caps' })
  if (look.strike) marks.push({ type: 'strike' })
  if (look.vertical && look.vertical !== 'baseline') marks.push({ type: look.vertical })
  return marks
}

/** Counts what a book does not keep of a look; the words themselves are kept. `near`: where. */
export function countLook(look: LetterLook, near: string, dropped: DropCounter): void {
  if (look.underline) dropped.add('underlines', near)
  if (look.coloured) dropped.add('colours of letters', near)
  if (look.marked) dropped.add('colours behind words', near)
}
