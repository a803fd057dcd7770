import {
  type BlockJson,
  type Book,
  eachInline,
  type InlineJson,
  inlineText,
  joinedRemarks,
  type Remark,
  type Section,
} from '@/core/book'
import { layoutOf } from './merge/layout'

/** What is said of words of a block: the words, and from which letter of their line they begin. */
interface SaidOf {
  section: string
  block: string
  words: string
  offset: number
  remark: Remark
}

const isText = (n: InlineJson): n is Extract<InlineJson, { type: 'text' }> => n.type === 'text'

/** Two remarks that began alike are the same, whatever was answered. */
const began = (a: Remark, b: Remark): boolean =>
  a.words === b.words && (a.by ?? '') === (b.by ?? '') && (a.when ?? 0) === (b.when ?? 0)

/** All that is said of a book's text, in order. */
function saidIn(book: Book): SaidOf[] {
  const out: SaidOf[] = []
  for (const s of book.sections)
    if (!s.made)
      for (const b of s.doc.content)
        eachInline(b, content => {
          let offset = 0
          let last: SaidOf | undefined
          for (const n of content) {
            const remark = n.marks?.find(m => m.type === 'remark')?.attrs
            const words = inlineText([n])
            if (!remark) last = undefined
            else if (last && began(last.remark, remark)) last.words += words
            else out.push((last = { section: s.id, block: b.attrs.id, words, offset, remark }))
            offset += words.length
          }
        })
  return out
}

/**
 * The book with what others said of it: each at its words, or at its paragraph where those have gone, or at the one before where
 * that has gone. What was said already has the answers that came. Gives how many came, and how many of them stand elsewhere.
 */
export function withRemarks(now: Book, sent: Book, back: Book): { book: Book; came: number; elsewhere: number } {
  const known = saidIn(sent)
  const grown = (r: Remark): number => (r.answers ?? []).length
  const fresh = saidIn(back).filter(({ remark }) => {
    const was = known.find(k => began(k.remark, remark))
    return !was || grown(remark) > grown(was.remark)
  })
  let book = now
  let elsewhere = 0
  for (const said of fresh) {
    if (saidIn(book).some(o => began(o.remark, said.remark))) {
      book = withEach(book, remark => (began(remark, said.remark) ? joinedRemarks(remark, said.remark) : remark))
      continue
    }
    const place = placeOf(book, back, said)
    if (!place) {
      elsewhere++
      continue
    }
    if (!place.exact) elsewhere++
    book = withBlock(book, place.block, b => marked(b, place.words, said))
  }
  return { book, came: fresh.length, elsewhere }
}

/** The block that what is said stands at now. */
function placeOf(now: Book, back: Book, said: SaidOf): { block: string; words: string; exact: boolean } | undefined {
  const own = layoutOf(now)
  const { content } = layoutOf(back).sections.get(said.section)!.doc
  const at = content.findIndex(b => b.attrs.id === said.block)
  for (let i = at; i >= 0; i--) {
    const there = own.blocks.get(content[i]!.attrs.id)
    if (!there || !saysSomething(there.block)) continue
    const exact = i === at && has(there.block, said.words)
    return { block: there.id, words: exact ? said.words : '', exact }
  }
  // None before it is left: the first of its section, or of the book, that says something.
  const all = [...own.blocks.values()].filter(b => saysSomething(b.block))
  const first = all.find(b => b.section === said.section) ?? all[0]
  return first && { block: first.id, words: '', exact: false }
}

const linesIn = (block: BlockJson): InlineJson[][] => {
  const out: InlineJson[][] = []
  eachInline(block, content => out.push(content))
  return out
}
const saysSomething = (block: BlockJson): boolean => linesIn(block).some(l => inlineText(l).trim())
const has = (block: BlockJson, words: string): boolean =>
  !!words && linesIn(block).some(l => inlineText(l).includes(words))

/** A block with a remark on words of it, where they stand nearest to where they stood; on its first line, where there are none. */
function marked(block: BlockJson, words: string, { remark, offset }: SaidOf): BlockJson {
  const lines = linesIn(block)
  const line = words ? lines.find(l => inlineText(l).includes(words))! : lines.find(l => inlineText(l).trim())!
  const text = inlineText(line)
  const from = words ? nearest(text, words, offset) : 0
  const to = words ? from + words.length : text.length
  return replacing(block, line, said(line, from, to, remark))
}

function nearest(text: string, words: string, offset: number): number {
  let best = text.indexOf(words)
  for (let at = best; at >= 0; at = text.indexOf(words, at + 1))
    if (Math.abs(at - offset) < Math.abs(best - offset)) best = at
  return best
}

/** A line with a remark from one of its letters up to another; what is said there already stands in one thread with it. */
function said(line: readonly InlineJson[], from: number, to: number, remark: Remark): InlineJson[] {
  let at = 0
  return line.flatMap((n): InlineJson[] => {
    const words = inlineText([n])
    const [begin, end] = [at, (at += words.length)]
    if (!isText(n) || end <= from || begin >= to) return [n]
    const [a, b] = [Math.max(0, from - begin), Math.min(words.length, to - begin)]
    const before = n.marks?.find(m => m.type === 'remark')
    const attrs = before ? joinedRemarks(before.attrs, remark) : remark
    const marks = [...(n.marks ?? []).filter(m => m.type !== 'remark'), { type: 'remark' as const, attrs }]
    return [
      ...(a > 0 ? [{ ...n, text: words.slice(0, a) }] : []),
      { ...n, text: words.slice(a, b), marks },
      ...(b < words.length ? [{ ...n, text: words.slice(b) }] : []),
    ]
  })
}

type AnyNode = { content?: unknown[] }

/** A node in which one list of content stands for another. */
function replacing<N extends object>(node: N, old: readonly unknown[], fresh: unknown[]): N {
  const content = (node as AnyNode).content
  if (!content) return node
  if (content === old) return { ...node, content: fresh }
  const next = content.map(c => replacing(c as object, old, fresh))
  return next.every((c, i) => c === content[i]) ? node : { ...node, content: next }
}

const withBlock = (book: Book, id: string, make: (b: BlockJson) => BlockJson): Book => ({
  ...book,
  sections: book.sections.map(s =>
    !s.made && s.doc.content.some(b => b.attrs.id === id)
      ? { ...s, doc: { ...s.doc, content: s.doc.content.map(b => (b.attrs.id === id ? make(b) : b)) } }
      : s,
  ),
})

/** The book with each of its remarks made another; what none of is in stays the very same. */
function withEach(book: Book, make: (r: Remark) => Remark): Book {
  const inline = (n: InlineJson): InlineJson => {
    const marks = n.marks?.map(m => {
      const next = m.type === 'remark' ? make(m.attrs) : undefined
      return m.type === 'remark' && next !== m.attrs ? { ...m, attrs: next! } : m
    })
    return marks?.some((m, i) => m !== n.marks![i]) ? { ...n, marks } : n
  }
  const block = (b: BlockJson): BlockJson =>
    linesIn(b).reduce((out, line) => {
      const next = line.map(inline)
      return next.every((n, i) => n === line[i]) ? out : replacing(out, line, next)
    }, b)
  const section = (s: Section): Section => {
    const content = s.doc.content.map(block)
    return content.every((b, i) => b === s.doc.content[i]) ? s : { ...s, doc: { ...s.doc, content } }
  }
  return { ...book, sections: book.sections.map(s => (s.made ? s : section(s))) }
}
