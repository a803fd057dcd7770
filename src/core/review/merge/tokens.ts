import { type BlockJson, type InlineJson, type MarkJson, schema } from '@/core/book'
import { tokensOf as wordsAndSpaces } from '@/core/compare'

/** A piece of text as it is merged: a word, space or sign with its marks; a thing in the line; where something begins that holds others, and where it ends. */
export type Token =
  | { is: 'word'; key: string; text: string; marks?: MarkJson[] }
  | { is: 'thing'; key: string; node: InlineJson }
  | { is: 'open'; key: string; node: { type: string; attrs?: Record<string, unknown>; marks?: MarkJson[] } }
  | { is: 'close'; key: '>' }

interface AnyNode {
  type: string
  attrs?: Record<string, unknown>
  content?: AnyNode[]
  marks?: MarkJson[]
  text?: string
}

/** What is said of words is no part of what they say: tokens that differ in nothing else are the same. */
const keyOf = (what: unknown, marks: readonly MarkJson[] | undefined): string =>
  JSON.stringify([what, (marks ?? []).filter(m => m.type !== 'remark')])

const CLOSE: Token = { is: 'close', key: '>' }

/** Blocks as tokens, one behind the other. */
export const tokensOf = (blocks: readonly BlockJson[]): Token[] =>
  blocks.flatMap(b => walked(schema.nodeFromJSON(b).toJSON() as AnyNode))

/** What stands in a node: neighbouring texts that are formatted alike are one, whatever is said of parts of them. */
function inside(content: readonly AnyNode[]): Token[] {
  const out: Token[] = []
  let alike: AnyNode[] = []
  const flush = (): void => {
    out.push(...words(alike))
    alike = []
  }
  for (const n of content) {
    if (n.type !== 'text' || (alike.length && !sameMarks(bare(alike[0]!.marks), bare(n.marks)))) flush()
    if (n.type === 'text') alike.push(n)
    else out.push(...walked(n))
  }
  flush()
  return out
}

const bare = (marks: readonly MarkJson[] | undefined): MarkJson[] => (marks ?? []).filter(m => m.type !== 'remark')

/** Words of texts that are formatted alike; what is said of a part of one is said of it. */
function words(texts: readonly AnyNode[]): Token[] {
  const own = bare(texts[0]?.marks)
  const remarks = texts.map(t => t.marks?.find(m => m.type === 'remark'))
  const ends: number[] = []
  for (const t of texts) ends.push((ends.at(-1) ?? 0) + t.text!.length)
  let at = 0
  return wordsAndSpaces(texts.map(t => t.text!).join('')).map(text => {
    const [from, to] = [at, (at += text.length)]
    const remark = remarks.find((r, i) => r && ends[i]! > from && (ends[i - 1] ?? 0) < to)
    const marks = remark ? [...own, remark] : own
    return { is: 'word', key: keyOf(text, own), text, ...(marks.length && { marks }) }
  })
}

function walked({ type, attrs, content, marks }: AnyNode): Token[] {
  if (type === 'hard_break' || type === 'sign') {
    const node = { type, ...(attrs && { attrs }), ...(marks && { marks }) } as InlineJson
    return [{ is: 'thing', key: keyOf([type, attrs], marks), node }]
  }
  const node = { type, ...(attrs && { attrs }), ...(marks && { marks }) }
  return [{ is: 'open', key: keyOf([type, attrs], marks), node }, ...inside(content ?? []), CLOSE]
}

/** The blocks that tokens are of; undefined where they make none that a text may have. */
export function blocksOf(tokens: readonly Token[]): BlockJson[] | undefined {
  const top: AnyNode[] = []
  const open: AnyNode[] = []
  for (const t of tokens) {
    const into = open.at(-1)
    const content = into ? (into.content ??= []) : top
    if (t.is === 'close') {
      if (!open.pop()) return undefined
    } else if (t.is === 'open') {
      const node: AnyNode = { ...t.node }
      content.push(node)
      open.push(node)
    } else if (!into) return undefined
    else if (t.is === 'thing') content.push(t.node as AnyNode)
    else {
      const last = content.at(-1)
      if (last?.type === 'text' && sameMarks(last.marks, t.marks)) last.text += t.text
      else content.push({ type: 'text', text: t.text, ...(t.marks?.length && { marks: t.marks }) })
    }
  }
  return open.length || !top.every(isBlock) ? undefined : (top as unknown as BlockJson[])
}

function isBlock(node: AnyNode): boolean {
  try {
    const read = schema.nodeFromJSON(node)
    read.check()
    return read.type.isInGroup('block')
  } catch {
    return false
  }
}

const sameMarks = (a: readonly MarkJson[] | undefined, b: readonly MarkJson[] | undefined): boolean =>
  JSON.stringify(a ?? []) === JSON.stringify(b ?? [])

/** A token without what is said of it. */
export function unsaid(t: Token): Token {
  if (t.is !== 'word' || !t.marks?.some(m => m.type === 'remark')) return t
  const marks = t.marks.filter(m => m.type !== 'remark')
  return { is: 'word', key: t.key, text: t.text, ...(marks.length && { marks }) }
}

/** Tokens as they are read: where a paragraph ends inside of what changed, there is a sign for it. */
export function textOfTokens(tokens: readonly Token[]): string {
  let out = ''
  for (const t of tokens)
    if (t.is === 'word') out += t.text
    else if (t.is === 'thing') out += t.node.type === 'hard_break' ? '\n' : '[sign]'
    else if (t.is === 'open') out += t.node.type === 'footnote' ? ' (note: ' : opened(t.node.type, out)
  return out
}

const opened = (type: string, before: string): string =>
  type === 'scene_break' ? ' * * * ' : type === 'image' ? '[picture] ' : before ? ' ¶ ' : ''
