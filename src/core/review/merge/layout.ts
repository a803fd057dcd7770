import { type BlockJson, type Book, docText, type Section } from '@/core/book'

/** A block where it stands. */
export interface Placed {
  id: string
  block: BlockJson
  section: string
  index: number
}

/** The written sections of a book and the blocks that stand in them, each by its id. */
export interface Layout {
  sections: ReadonlyMap<string, Section>
  blocks: ReadonlyMap<string, Placed>
}

const known = new WeakMap<readonly Section[], Layout>()

/** Where everything stands in a book. Remembered while its sections are the very same. */
export function layoutOf({ sections }: Pick<Book, 'sections'>): Layout {
  const there = known.get(sections)
  if (there) return there
  const written = sections.filter(s => !s.made)
  const blocks = new Map<string, Placed>()
  for (const s of written)
    s.doc.content.forEach((block, index) =>
      blocks.set(block.attrs.id, { id: block.attrs.id, block, section: s.id, index }),
    )
  const layout = { sections: new Map(written.map(s => [s.id, s])), blocks }
  known.set(sections, layout)
  return layout
}

/** What a block says. */
export const said = (block: BlockJson): string => docText({ type: 'doc', content: [block] })

const bared = new WeakMap<BlockJson, string>()

/** A block as it is compared: two that differ in their names, or in what is said of their words, alone are the same. */
export function bare(block: BlockJson): string {
  let text = bared.get(block)
  if (text === undefined) {
    text = JSON.stringify(plain(block))
    bared.set(block, text)
  }
  return text
}

interface AnyNode {
  type: string
  attrs?: Record<string, unknown>
  content?: AnyNode[]
  marks?: { type: string; attrs?: unknown }[]
  text?: string
}

/** Without what is empty or goes without saying, and with neighbours of one formatting as one. */
function plain(node: unknown): unknown {
  const { type, attrs, content, marks, text } = node as AnyNode
  const own = marks?.filter(m => m.type !== 'remark') ?? []
  const inside: AnyNode[] = []
  for (const child of content ?? []) {
    const c = plain(child) as AnyNode
    const last = inside.at(-1)
    if (c.type === 'text' && last?.type === 'text' && JSON.stringify(last.marks) === JSON.stringify(c.marks))
      last.text! += c.text!
    else inside.push(c)
  }
  const facts = Object.entries(attrs ?? {}).filter(([key, v]) => key !== 'id' && !isUsual(key, v))
  return {
    type,
    ...(facts.length && { attrs: Object.fromEntries(facts.toSorted(([a], [b]) => (a < b ? -1 : 1))) }),
    ...(inside.length && { content: inside }),
    ...(own.length && { marks: own.toSorted((a, b) => (a.type < b.type ? -1 : 1)) }),
    ...(text !== undefined && { text }),
  }
}

/** What the schema has where nothing is said. */
const isUsual = (key: string, v: unknown): boolean =>
  v === undefined ||
  v === null ||
  v === '' ||
  (key === 'rows' && v === 1) ||
  (key === 'stands' && v === 'measure') ||
  ((key === 'told' || key === 'decoration') && v === false)

/** The nearest block before one, in the order of its section, that `stands`; none where it comes first. */
export function standsBehind(s: Section, id: string, stands: (id: string) => boolean): string | undefined {
  const at = s.doc.content.findIndex(b => b.attrs.id === id)
  return s.doc.content.slice(0, at).findLast(b => stands(b.attrs.id))?.attrs.id
}
