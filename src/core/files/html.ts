import { type DefaultTreeAdapterTypes as Dom, parse } from 'parse5'
import { Fault } from '../trade'
import type { XmlElement } from './xml'

/** Elements nested deeper than this stand in the last that is not: what they say is kept, and nothing overflows. */
const MOST_DEPTH = 300
/** Elements of one page: a book of half a million words with a style on every other word has fewer. */
const MOST_ELEMENTS = 1_500_000
/** Elements that cannot have an end of their own (HTML, 13.1.2). */
const VOID = new Set(
  'area base br col embed hr img input link meta param source track wbr image feblend circle ellipse line path polygon polyline rect stop use'.split(
    ' ',
  ),
)

/** A page of HTML or XHTML as a tree: names in lower case, text as it is, comments left out. Whatever is malformed is read as browsers read it. */
export function htmlTree(text: string): XmlElement {
  const document = parse(withEnds(text))
  const root: XmlElement = { name: '', attrs: {}, children: [] }
  let elements = 0
  // By hand: pages from outside may nest without end.
  const open: { nodes: Dom.ChildNode[]; at: number; into: XmlElement; depth: number }[] = [
    { nodes: document.childNodes, at: 0, into: root, depth: 0 },
  ]
  while (open.length) {
    const top = open[open.length - 1]!
    const node = top.nodes[top.at++]
    if (!node) {
      open.pop()
      continue
    }
    if (node.nodeName === '#text') top.into.children.push((node as Dom.TextNode).value)
    else if ('tagName' in node) {
      if (++elements > MOST_ELEMENTS)
        throw new Fault(
          'too-many',
          `This file has more than ${MOST_ELEMENTS.toLocaleString('en')} elements, many times those of any book; it is not read.`,
        )
      const { into, depth } = top
      const e = element(node)
      const flat = depth >= MOST_DEPTH
      if (!flat) into.children.push(e)
      open.push({ nodes: node.childNodes, at: 0, into: flat ? into : e, depth: depth + 1 })
    }
  }
  return root.children.find((c): c is XmlElement => typeof c !== 'string') ?? root
}

function element(node: Dom.Element): XmlElement {
  const attrs: Record<string, string> = {}
  for (const a of node.attrs) attrs[a.prefix ? `${a.prefix}:${a.name}` : a.name] = a.value
  return { name: node.tagName.toLowerCase(), attrs, children: [] }
}

/** XHTML closes what has no content in its own tag (`<a id="p3"/>`), which HTML takes for a beginning: each gets its end. */
const withEnds = (text: string): string =>
  text
    .replace(/<\?xml[^>]*\?>/, '')
    .replace(
      /<([A-Za-z][\w:.-]*)((?:\s+[^\s"'<>/=]+(?:\s*=\s*(?:"[^"]*"|'[^']*'|[^\s"'<>]+))?)*)\s*\/>/g,
      (all, name: string, attrs: string) => (VOID.has(name.toLowerCase()) ? all : `<${name}${attrs}></${name}>`),
    )

/** All text in an element, in order; that of scripts and styles left out. */
export function textOf(e: XmlElement): string {
  let out = ''
  const walk = (x: XmlElement): void => {
    if (MUTE.has(x.name)) return
    for (const c of x.children) {
      if (typeof c === 'string') out += c
      else walk(c)
    }
  }
  walk(e)
  return out
}

/** What carries no words of a page. */
export const MUTE: ReadonlySet<string> = new Set(['script', 'style', 'template', 'head', 'noscript'])
