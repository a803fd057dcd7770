import type { BlockJson, DocJson, InlineJson } from '../../book'

/** What a kind of dirt is judged by, beside the section it stands in. */
export interface About {
  language: string
  /** Whether a word stands anywhere in the book by itself. */
  isWord: (word: string) => boolean
  /** Blocks that are folios of pages that are no more. */
  folios: ReadonlySet<string>
  /** Pictures, by their ids, that stand between paragraphs again and again and are as small as ornaments. */
  ornaments: ReadonlySet<string>
  /** Quotes stand in the book both as typed and as printed. */
  mixedQuotes: boolean
}

/** What was found of a kind in a section, and the section without it: the very same object where there is none. */
export interface Found {
  doc: DocJson
  count: number
  /** Words about some of the places. */
  examples: string[]
  /** Letters and signs that went. */
  letters?: number
}

/** A kind of dirt that real files have. */
export interface DirtKind {
  id: string
  /** What there is of it, as behind a number: "empty paragraphs". */
  what: string
  /** What is done with it. */
  does: string
  /** It is only done where somebody asks for it. */
  asked?: true
  tidy(doc: DocJson, about: About): Found
}

/** Examples that are kept of a kind in one section. */
const EXAMPLES = 3

/** Takes top blocks out, or puts others in their place. `change` gives what stands there instead; the block itself where it stays. */
export function changedBlocks(doc: DocJson, change: (block: BlockJson, i: number) => BlockJson[] | BlockJson): Found {
  let count = 0
  const examples: string[] = []
  const content = doc.content.flatMap((b, i) => {
    const is = change(b, i)
    if (is !== b) {
      count++
      if (examples.length < EXAMPLES) examples.push(beginning(doc.content[i + 1] ?? doc.content[i - 1]))
    }
    return is
  })
  return count ? { doc: { ...doc, content }, count, examples: examples.filter(Boolean) } : { doc, count, examples }
}

const beginning = (b: BlockJson | undefined): string => (b ? textOf(b).trim().slice(0, 60) : '')

function textOf(n: unknown): string {
  const node = n as { text?: string; content?: unknown[] }
  return node.text ?? (node.content ?? []).map(textOf).join('')
}

/** Changes pieces of text wherever words stand, notes and cells as well. `find` gives all that is changed: each match becomes what `becomes` says, and is left where that is undefined. */
export function changedText(
  doc: DocJson,
  find: RegExp,
  becomes: (match: RegExpExecArray, text: string) => string | undefined,
): Found {
  // Most sections have none: they are only looked through.
  if (!hasText(doc, find)) return { doc, count: 0, examples: [] }
  let count = 0
  let letters = 0
  const examples: string[] = []
  const changed = (text: string): string => {
    let out = ''
    let from = 0
    find.lastIndex = 0
    for (let m = find.exec(text); m; m = find.exec(text)) {
      const is = becomes(m, text)
      if (is === undefined) continue
      out += text.slice(from, m.index) + is
      from = m.index + m[0].length
      count++
      letters += m[0].replace(/\s/g, '').length - is.replace(/\s/g, '').length
      if (examples.length < EXAMPLES) examples.push(text.slice(Math.max(0, m.index - 24), m.index + 30).trim())
    }
    return from ? out + text.slice(from) : text
  }
  const walk = <T>(n: T): T => {
    const node = n as { text?: string; content?: unknown[] }
    if (node.text !== undefined) {
      const text = changed(node.text)
      return text === node.text ? n : { ...n, text }
    }
    const content = node.content?.map(walk)
    return !content || content.every((c, i) => c === node.content![i]) ? n : { ...n, content }
  }
  const changedDoc = walk(doc)
  const is = changedDoc === doc ? doc : withoutEmpty(changedDoc)
  return { doc: is, count, examples, ...(letters ? { letters } : {}) }
}

function hasText(node: object, find: RegExp): boolean {
  const { text, content } = node as { text?: string; content?: object[] }
  if (text !== undefined) {
    find.lastIndex = 0
    return find.test(text)
  }
  if (content) for (const c of content) if (hasText(c, find)) return true
  return false
}

/** Text must not be empty: what has nothing left in it goes. */
function withoutEmpty(doc: DocJson): DocJson {
  const walk = <T>(n: T): T => {
    const node = n as { content?: InlineJson[] }
    const content = node.content?.map(walk).filter(c => c.type !== 'text' || c.text !== '')
    return !content || (content.length === node.content!.length && content.every((c, i) => c === node.content![i]))
      ? n
      : { ...n, content }
  }
  return walk(doc)
}
