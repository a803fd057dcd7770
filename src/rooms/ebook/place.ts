import { type BlockJson, type Book, inlineText, type InlineJson } from '@/core/book'

/** A place of the book's text. */
export interface TextPlace {
  section: string
  block?: string
}

/** The section that a page of the ebook is made of. */
export const sectionOf = (path: string): string => path.slice(path.lastIndexOf('/') + 1).replace(/\.xhtml$/, '')

/** Where words of an ebook's page stand in the book: the section, and the block that says them; the `nth` of those that do, from 0. */
export function placeOf(book: Book, path: string, words: string, nth = 0): TextPlace | undefined {
  const section = book.sections.find(s => s.id === sectionOf(path))
  if (!section) return undefined
  const found = section.made ? [] : blocksSaying(section.doc.content, plain(words))
  const block = found[Math.min(nth, found.length - 1)]
  return { section: section.id, ...(block ? { block } : {}) }
}

/** The words of a block of the book, by its id. */
export function wordsAt(book: Book, section: string, block: string): string | undefined {
  const own = book.sections.find(s => s.id === section)
  let words: string | undefined
  const walk = (b: Node): void => {
    if (b.attrs?.id === block) words ??= plain(textOf(b))
    for (const c of b.content ?? []) walk(c)
  }
  for (const b of own?.doc.content ?? []) walk(b as unknown as Node)
  return words
}

interface Node {
  type: string
  attrs?: { id?: string }
  content?: Node[]
}

const plain = (words: string): string => words.replace(/\s+/g, ' ').trim()

function textOf(n: Node): string {
  if (n.type === 'footnote') return ''
  const { text } = n as { text?: string }
  if (n.content?.some(c => (c as { text?: string }).text !== undefined))
    return inlineText(n.content as unknown as InlineJson[])
  return text ?? (n.content ?? []).map(textOf).join(' ')
}

/** Ids of the blocks, from the inside, whose words these are. */
function blocksSaying(blocks: readonly BlockJson[], words: string): string[] {
  const out: string[] = []
  const walk = (n: Node, around: string | undefined): void => {
    const id = n.attrs?.id || around
    const holds = n.content?.some(c => c.type === 'text' || c.type === 'footnote' || c.type === 'hard_break')
    if (holds) {
      if (id && plain(textOf(n)) === words) out.push(id)
    } else for (const c of n.content ?? []) walk(c, id)
  }
  for (const b of blocks) walk(b as unknown as Node, undefined)
  return out
}
