import { diffArrays } from 'diff'
import { type InlineJson, inlineText, type MarkJson } from '@/core/book'
import { tokensOf } from '@/core/compare'
import { joinedInline } from '@/core/intake'
import { inMarkOrder } from './ride'

/** Marks that no word-processor file says: whoever changes it cannot have changed them. In notes no comments can stand. */
const UNSAID: ReadonlySet<MarkJson['type']> = new Set(['language', 'shops'])
const UNSAID_IN_NOTES: ReadonlySet<MarkJson['type']> = new Set(['language', 'shops', 'remark'])

const OTHER = '\ufffc'
const letters = (content: readonly InlineJson[]): string =>
  content.map(n => (n.type === 'text' ? n.text : OTHER)).join('')

/** Words that came back with what their file could not say: marks that the same words had when they went out, and the names of notes. */
export function withUnsaid(sent: readonly InlineJson[], back: readonly InlineJson[], inNote = false): InlineJson[] {
  const named = withNoteNames(sent, back)
  const silent = inNote ? UNSAID_IN_NOTES : UNSAID
  const had = sent.flatMap(n => {
    const marks = (n.marks ?? []).filter(m => silent.has(m.type) || n.type !== 'text')
    return Array.from({ length: n.type === 'text' ? n.text.length : 1 }, () => marks)
  })
  if (!had.some(m => m.length)) return named
  const own = marksOf(letters(sent), letters(named), had)
  const out: InlineJson[] = []
  let at = 0
  for (const n of named) {
    const length = n.type === 'text' ? n.text.length : 1
    let from = 0
    for (let i = 1; i <= length; i++) {
      if (i < length && sameMarks(own[at + i]!, own[at + from]!)) continue
      out.push(marked(n.type === 'text' ? { ...n, text: n.text.slice(from, i) } : n, own[at + from]!))
      from = i
    }
    at += length
  }
  return joinedInline(out.map(inMarkOrder))
}

const sameMarks = (a: readonly MarkJson[], b: readonly MarkJson[]): boolean => JSON.stringify(a) === JSON.stringify(b)

const marked = <N extends InlineJson>(n: N, marks: readonly MarkJson[]): N => {
  const all = [...(n.marks ?? []).filter(m => !marks.some(o => o.type === m.type)), ...marks]
  return all.length ? { ...n, marks: all } : n
}

/** The marks of each letter: those that it had where it stayed; what came between two letters that have the same has it, too. */
function marksOf(before: string, after: string, had: readonly (readonly MarkJson[])[]): (readonly MarkJson[])[] {
  const out: (readonly MarkJson[])[] = []
  let at = 0
  for (const run of diffArrays(tokensOf(before), tokensOf(after))) {
    const length = run.value.join('').length
    if (run.added) {
      const [left, right] = [had[at - 1] ?? [], had[at] ?? []]
      const both = left.filter(m => right.some(o => JSON.stringify(o) === JSON.stringify(m)))
      for (let i = 0; i < length; i++) out.push(both)
      continue
    }
    if (!run.removed) for (let i = 0; i < length; i++) out.push(had[at + i] ?? [])
    at += length
  }
  return out
}

/** Notes by the names that they went out with: programs may lose the bookmark at a call. */
function withNoteNames(sent: readonly InlineJson[], back: readonly InlineJson[]): InlineJson[] {
  const notes = sent.filter(n => n.type === 'footnote')
  const there = new Set(back.flatMap(n => (n.type === 'footnote' ? [n.attrs.id] : [])))
  const waiting = notes.filter(n => !there.has(n.attrs.id))
  const nameless = back.filter(n => n.type === 'footnote' && !n.attrs.id)
  const names = new Map<InlineJson, string>()
  const take = (n: InlineJson, i: number): void => {
    if (i >= 0) names.set(n, waiting.splice(i, 1)[0]!.attrs.id)
  }
  const says = (n: InlineJson): string => (n.type === 'footnote' ? inlineText(n.content) : '')
  for (const n of nameless)
    take(
      n,
      waiting.findIndex(w => says(w) === says(n)),
    )
  // As many as went and came nameless are those that went, in their order.
  const rest = nameless.filter(n => !names.has(n))
  if (rest.length === waiting.length) for (const n of rest) take(n, 0)
  return back.map(n => {
    if (n.type !== 'footnote') return n
    const id = names.get(n) ?? n.attrs.id
    const was = notes.find(w => w.attrs.id === id)
    const content = n.content && was?.content ? withUnsaid(was.content, n.content, true) : n.content
    return { ...n, attrs: { id }, ...(content && { content: content as typeof n.content }) }
  })
}
