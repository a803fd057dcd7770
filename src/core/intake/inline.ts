import type { FootnoteJson, InlineJson, MarkJson, TextJson } from '../book'

/** Whether two texts are formatted alike. */
export function sameMarks(a: MarkJson[] | undefined, b: MarkJson[]): boolean {
  const x = a ?? []
  return (
    x.length === b.length &&
    x.every((m, i) => m.type === b[i]!.type && (!('attrs' in m) || JSON.stringify(m) === JSON.stringify(b[i])))
  )
}

/** Inline content in which neighbours of one formatting are one. */
export function joinedInline(content: InlineJson[]): InlineJson[] {
  const out: InlineJson[] = []
  for (const n of content) {
    const last = out.at(-1)
    if (n.type === 'text' && last?.type === 'text' && sameMarks(last.marks, n.marks ?? []))
      out[out.length - 1] = { ...last, text: last.text + n.text }
    else out.push(n)
  }
  return out
}

/** Without spaces at the ends and without empty texts. */
export function trimInline(content: InlineJson[]): InlineJson[] {
  const out = content.filter(n => n.type !== 'text' || n.text)
  while (
    out.length &&
    (out[0]!.type === 'hard_break' || (out[0]!.type === 'text' && !(out[0] as TextJson).text.trim()))
  )
    out.shift()
  while (
    out.length &&
    (out[out.length - 1]!.type === 'hard_break' ||
      (out[out.length - 1]!.type === 'text' && !(out[out.length - 1] as TextJson).text.trim()))
  )
    out.pop()
  const first = out[0]
  if (first?.type === 'text') out[0] = { ...first, text: first.text.replace(/^[ \u3000]+/, '') }
  const last = out[out.length - 1]
  if (last?.type === 'text') out[out.length - 1] = { ...last, text: last.text.replace(/ +$/, '') }
  return out
}

/** The words of a note, without spaces at their ends. */
export const trimNote = (content: NoteJson): NoteJson => trimInline(content) as NoteJson

/** Without control characters, which cannot be printed, and byte-order marks, which mean nothing inside text. */
export const cleanText = (t: string): string =>
  t.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufeff]/g, '').replace(/[\t\n\r]/g, ' ')

/** Letters of a remark that are kept. */
const MOST_REMARK = 10_000

/** Comments on the same words, as one remark on them. */
export const remarkOf = (comments: readonly string[]): MarkJson => ({
  type: 'remark',
  attrs: { words: comments.join('\n').slice(0, MOST_REMARK) },
})

/** What may stand in a note. */
export type NoteJson = NonNullable<FootnoteJson['content']>
