import { type DOMOutputSpec, DOMSerializer, Fragment, type Node, type Schema, Slice } from '@tiptap/pm/model'

/** What a node is beyond its words travels with it through the clipboard, in one attribute that only Porchlight reads. */
const CARRIER = 'data-porchlight'

interface Carried {
  book: string
  attrs: Record<string, unknown>
}

/** Writes nodes for the clipboard as the schema draws them, each with its own attributes and the book it is of. */
export function clipboardSerializer(schema: Schema, book: string): DOMSerializer {
  const base = DOMSerializer.fromSchema(schema)
  const nodes = Object.fromEntries(
    Object.entries(base.nodes).map(([name, draw]) => [
      name,
      (n: Node): DOMOutputSpec =>
        Object.keys(n.attrs).length
          ? withAttribute(draw(n), JSON.stringify({ book, attrs: n.attrs } satisfies Carried))
          : draw(n),
    ]),
  )
  // A bare break at the end of a paragraph is taken for the browser's own when it is read.
  nodes.hard_break = () => ['span', { 'data-break': '' }, ['br']]
  return new DOMSerializer(nodes, base.marks)
}

function withAttribute(spec: DOMOutputSpec, value: string): DOMOutputSpec {
  if (!Array.isArray(spec)) return spec
  const [tag, second, ...rest] = spec as [string, unknown, ...unknown[]]
  const hasAttributes = !!second && typeof second === 'object' && !Array.isArray(second) && !('nodeType' in second)
  const attributes = { ...(hasAttributes ? second : {}), [CARRIER]: value }
  return (hasAttributes
    ? [tag, attributes, ...rest]
    : [tag, attributes, ...(second === undefined ? [] : [second]), ...rest]) as unknown as DOMOutputSpec
}

/** An attribute that travelled with a pasted node, where it is of the kind that the schema's default is; `id` comes with its book before it. Anything else pasted has none. */
export function carriedAttribute(element: HTMLElement, name: string, like: unknown): unknown {
  const text = element.getAttribute(CARRIER)
  if (!text) return null
  try {
    const { book, attrs } = JSON.parse(text) as Carried
    const value = attrs[name]
    if (name === 'id') return typeof value === 'string' && typeof book === 'string' ? `${book}/${value}` : null
    const wanted = like === null ? ['string', 'object'] : [typeof like]
    return wanted.includes(typeof value) ? value : null
  } catch {
    return null
  }
}

/** A pasted slice in which a block keeps its id where it is of this book and `free`; the others wait for one of their own. */
export function withOwnNames(slice: Slice, book: string, free: (id: string) => boolean): Slice {
  const seen = new Set<string>()
  const walk = (n: Node): Node => {
    if (n.isText) return n
    const content = Fragment.fromArray(n.content.content.map(walk))
    if (!('id' in n.attrs)) return n.copy(content)
    const [of, id] = [
      (n.attrs.id as string).slice(0, (n.attrs.id as string).lastIndexOf('/')),
      (n.attrs.id as string).split('/').pop()!,
    ]
    const keeps = of === book && id && !seen.has(id) && free(id)
    if (keeps) seen.add(id)
    return n.type.create({ ...n.attrs, id: keeps ? id : '' }, content, n.marks)
  }
  return new Slice(Fragment.fromArray(slice.content.content.map(walk)), slice.openStart, slice.openEnd)
}

/** The pictures and recordings that a slice names. */
export function picturesIn(slice: Slice): string[] {
  const ids = new Set<string>()
  slice.content.descendants(n => {
    for (const id of [n.attrs.asset, n.attrs.plays]) if (typeof id === 'string' && id) ids.add(id)
  })
  return [...ids]
}
