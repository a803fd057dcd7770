import type { Node } from '@tiptap/pm/model'

/** What stands in the inner margin, at the line that it concerns. */
export interface MarginItem {
  /** Tells it from the others, whatever moves. */
  key: string
  /** Where it concerns the text: a position in the document. */
  pos: number
  kind: 'note' | 'doubt' | 'finding' | 'remark'
  /** The sign before its words: a note's number. */
  sign?: string
  words: string
}

/** A finding on a block of the section. */
export interface BlockFinding {
  block: string
  words: string
}

/** Letters of a note that are shown beside its line. */
const SHOWN = 110

/**
 * Notes, remarks, doubts and findings of a section, in the order of its text. `isThere` says whether a link inside the book leads to
 * something; what is typed this moment has it told at once.
 */
export function marginItems(
  doc: Node,
  findings: readonly BlockFinding[],
  isThere: (id: string) => boolean,
): MarginItem[] {
  const out: MarginItem[] = []
  const found = new Map<string, BlockFinding[]>()
  for (const f of findings) found.set(f.block, [...(found.get(f.block) ?? []), f])
  const own = new Set<string>()
  doc.descendants(n => void (typeof n.attrs.id === 'string' && own.add(n.attrs.id)))
  let notes = 0
  doc.descendants((n, pos) => {
    const id = n.attrs.id as string | undefined
    if (n.type.name === 'footnote') {
      const words = n.textContent.trim()
      out.push({ key: `n${id ?? pos}`, pos, kind: 'note', sign: String(++notes), words: shortened(words) })
      return false
    }
    found
      .get(id ?? '')
      ?.forEach((f, i) => out.push({ key: `f${id}/${i}`, pos: pos + 1, kind: 'finding', words: f.words }))
    if (!n.inlineContent) return true
    const typed = typedQuotes(n)
    if (typed)
      out.push({
        key: `q${id ?? pos}`,
        pos: pos + 1 + typed.at,
        kind: 'doubt',
        words: typed.count === 1 ? 'a quote as typed' : `${typed.count} quotes as typed`,
      })
    for (const r of remarksIn(n))
      out.push({ key: `r${id ?? pos}/${r.at}`, pos: pos + 1 + r.at, kind: 'remark', words: shortened(r.words) })
    for (const at of brokenAt(n, to => own.has(to) || isThere(to)))
      out.push({ key: `l${id ?? pos}/${at}`, pos: pos + 1 + at, kind: 'finding', words: 'this link leads nowhere' })
    return true
  })
  return out
}

const shortened = (words: string): string => (words.length > SHOWN ? `${words.slice(0, SHOWN).trimEnd()} …` : words)

/** Quotes of a block's own words that stand as they were typed; those of its notes are the notes'. */
function typedQuotes(block: Node): { count: number; at: number } | undefined {
  let [count, at] = [0, 0]
  block.forEach((n, offset) => {
    const here = n.isText ? n.text!.match(/["']/g)?.length : 0
    if (!here) return
    if (!count) at = offset + n.text!.search(/["']/)
    count += here
  })
  return count ? { count, at } : undefined
}

/** The author's remarks on words of a block, each where its words begin. */
function remarksIn(block: Node): { at: number; words: string }[] {
  const out: { at: number; words: string }[] = []
  let last: string | undefined
  block.forEach((n, offset) => {
    const words = n.marks.find(m => m.type.name === 'remark')?.attrs.words as string | undefined
    if (words !== undefined && words !== last) out.push({ at: offset, words })
    last = words
  })
  return out
}

/** Offsets in a block at which links into the book begin that lead nowhere. */
function brokenAt(block: Node, isThere: (id: string) => boolean): number[] {
  const out: number[] = []
  let last: string | undefined
  block.forEach((n, offset) => {
    const href = n.marks.find(m => m.type.name === 'link')?.attrs.href as string | undefined
    if (href !== last && href?.startsWith('#') && !isThere(href.slice(1))) out.push(offset)
    last = href
  })
  return out
}
