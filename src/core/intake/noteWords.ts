import { inlineText } from '../book'
import { type NoteJson, trimNote } from './inline'
import { type DropCounter, type RawBlock, stretchesOf } from './raw'

/** What a note says, out of its blocks: each stretch on a line of its own. What a note cannot hold is counted; `near`: where. `exactly`: letter for letter. */
export function wordsOfNote(
  blocks: readonly RawBlock[],
  dropped: DropCounter,
  near: string,
  exactly = false,
): NoteJson {
  const out: NoteJson = []
  for (const b of blocks) {
    const stretches = stretchesOf(b)
    if (b.type === 'table')
      dropped.add('tables in notes: their words are kept as text', inlineText(stretches[0]) || near)
    if (b.type === 'picture') dropped.add('pictures in notes', b.alt || near)
    for (const part of stretches) {
      if (out.length && part.length) out.push({ type: 'hard_break' })
      for (const n of part) {
        if (n.type === 'text' || n.type === 'hard_break') out.push(n)
        else if (n.type === 'sign') dropped.add('pictures in notes', n.attrs.alt || near)
      }
    }
  }
  return exactly ? withoutLead(out) : trimNote(out)
}

/** Without the space that programs set behind a note's number. */
function withoutLead([first, ...rest]: NoteJson): NoteJson {
  if (first?.type !== 'text') return first ? [first, ...rest] : []
  const text = first.text.replace(/^[\t ]+/, '')
  return text ? [{ ...first, text }, ...rest] : rest
}
