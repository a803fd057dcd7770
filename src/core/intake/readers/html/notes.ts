import { decoded, pathIn, textOf, type XmlElement } from '../../../files'
import { classesOf } from './css'
import type { HtmlPage } from './page'

/** A note that a page calls: the element that says it, and the sign by which it is called. */
export interface HtmlNote {
  page: HtmlPage
  body: XmlElement
  sign: string
  /** Its way back to where it is called: no words of it. */
  back: ReadonlySet<XmlElement>
}

/** A link that may call a note. */
interface Found {
  call: XmlElement
  /** The block that it stands in. */
  from: XmlElement | undefined
  /** It says itself that it calls. */
  says: boolean
  order: number
  target: string
  note: HtmlNote
}

/** A call's sign: a numeral, a letter, asterisks and their like, in brackets or not. */
const SIGN = /^[[({]?(\d{1,4}|[ivxlc]{1,6}|[a-z]|[*†‡§¶#]{1,4})[\])}.]?$/i
/** Elements that may be a note by themselves. */
const BODIES = new Set(['aside', 'blockquote', 'dd', 'div', 'li', 'p', 'section', 'tr'])
const BLOCKS = new Set([...BODIES, 'dt', 'figure', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'td', 'th', 'body'])

/** The notes of some pages, by the links that call them: those that say they do, and those whose sign is short and whose note leads back. */
export class HtmlNotes {
  readonly byCall = new Map<XmlElement, HtmlNote>()
  readonly bodies = new Set<XmlElement>()
  /** Links before which words stand in their block. */
  private readonly preceded = new Set<XmlElement>()
  private readonly parents = new Map<XmlElement, XmlElement>()
  private readonly ids = new Map<string, { page: HtmlPage; element: XmlElement }>()
  /** What links lead to, by name: an element's, or a page's as a whole. */
  private readonly linked = new Set<string>()
  private readonly links: { page: HtmlPage; element: XmlElement; target: string }[] = []

  constructor(pages: readonly HtmlPage[]) {
    for (const page of pages) this.look(page, page.root, { words: false })
    this.find()
  }

  /** `block`: whether words stand already in the block that is looked through. */
  private look(page: HtmlPage, e: XmlElement, block: { words: boolean }): void {
    const { id, name, href } = e.attrs
    if (id) this.ids.set(`${page.path}#${id}`, { page, element: e })
    if (e.name === 'a' && name && !this.ids.has(`${page.path}#${name}`))
      this.ids.set(`${page.path}#${name}`, { page, element: e })
    if (e.name === 'a' && href && !/^[a-z][a-z0-9+.-]*:/i.test(href)) {
      this.linked.add(targetOf(page, href))
      if (href.includes('#')) this.links.push({ page, element: e, target: targetOf(page, href) })
    }
    if (e.name === 'a' && block.words) this.preceded.add(e)
    for (const c of e.children)
      if (typeof c === 'string') block.words ||= /[\p{L}\p{N}]/u.test(c)
      else {
        this.parents.set(c, e)
        this.look(page, c, BLOCKS.has(c.name) ? { words: false } : block)
      }
  }

  /** The names by which links lead to an element; those of a page as a whole where it is its root. */
  namesOf(page: Pick<HtmlPage, 'path'>, e?: XmlElement): string[] {
    const all = e ? [e.attrs.id, e.name === 'a' ? e.attrs.name : undefined].filter(n => n) : ['']
    return all.map(n => `${page.path}#${n}`).filter(n => this.linked.has(n))
  }

  private find(): void {
    const found: Found[] = []
    const targets = new Map<XmlElement, Set<string>>()
    for (const { page, element, target } of this.links) {
      const says = saysItCalls(element)
      const sign = textOf(element).trim()
      if (!says && !SIGN.test(sign)) continue
      const to = this.ids.get(target)
      const body = to && this.bodyOf(to.element)
      if (!body || this.within(element, body)) continue
      const back = this.waysBack(body, page, element)
      if (!says && !back.size) continue
      const from = this.blockOf(element)
      found.push({ call: element, from, says, order: found.length, target, note: { page: to.page, body, sign, back } })
    }
    // A note leads back by a sign as short as its call: of two that lead into each other one is the call.
    const from = new Map<XmlElement | undefined, Found[]>()
    for (const f of found) {
      const there = from.get(f.from)
      if (there) there.push(f)
      else from.set(f.from, [f])
    }
    const calls = found.filter(f => {
      const other = from.get(f.note.body)?.find(g => g.note.body === f.from)
      return !other || this.isCall(f, other)
    })
    for (const { target, note } of calls) targets.set(note.body, (targets.get(note.body) ?? new Set()).add(target))
    // What several calls lead into at different places is no single note; what stands within a note is a part of it.
    const single = calls.filter(c => targets.get(c.note.body)!.size === 1)
    const bodies = new Set(single.map(c => c.note.body))
    for (const { call, note } of single) {
      if (this.isIn(note.body, bodies)) continue
      this.byCall.set(call, note)
      this.bodies.add(note.body)
    }
  }

  /** Whether the first of two that lead into each other's blocks is the call: it says so, words stand before it, or it comes first. */
  private isCall(f: Found, other: Found): boolean {
    if (f.says !== other.says) return f.says
    const [before, beforeOther] = [f, other].map(x => this.preceded.has(x.call))
    return before !== beforeOther ? !!before : f.order < other.order
  }

  private blockOf(e: XmlElement): XmlElement | undefined {
    let x: XmlElement | undefined = e
    while (x && !BLOCKS.has(x.name)) x = this.parents.get(x)
    return x
  }

  /** The element that is the note which an id stands in. */
  private bodyOf(target: XmlElement): XmlElement | undefined {
    let e = this.blockOf(target)
    if (e?.name === 'dt') {
      const all: XmlElement[] = (this.parents.get(e)?.children ?? []).filter(c => typeof c !== 'string')
      e = all[all.indexOf(e) + 1]
    }
    return e && BODIES.has(e.name) ? e : undefined
  }

  /** Whether an element stands in one of some, itself not counted. */
  private isIn(e: XmlElement, some: ReadonlySet<XmlElement>): boolean {
    for (let x = this.parents.get(e); x; x = this.parents.get(x)) if (some.has(x)) return true
    return false
  }

  private within(e: XmlElement, outer: XmlElement): boolean {
    for (let x: XmlElement | undefined = e; x; x = this.parents.get(x)) if (x === outer) return true
    return false
  }

  /** Links in a note that lead to its call: to an id on it, around it within its line, or in it. */
  private waysBack(body: XmlElement, page: HtmlPage, call: XmlElement): Set<XmlElement> {
    const near = new Set<string>()
    const add = (e: XmlElement): void => {
      for (const id of [e.attrs.id, e.attrs.name]) if (id) near.add(`${page.path}#${id}`)
    }
    for (let x: XmlElement | undefined = call; x && x.name !== 'body'; x = this.parents.get(x)) {
      add(x)
      if (BLOCKS.has(x.name)) break
    }
    // An anchor beside the call, or in it, is as good.
    const siblings = this.parents.get(call)?.children ?? []
    const at = siblings.indexOf(call)
    for (const c of [...call.children, siblings[at - 1], siblings[at + 1]]) if (c && typeof c !== 'string') add(c)
    const out = new Set<XmlElement>()
    const walk = (e: XmlElement): void => {
      if (e.name === 'a' && e.attrs.href) {
        const leads = near.has(targetOf(this.pageOf.get(body) ?? page, e.attrs.href))
        if (leads || saysItLeadsBack(e)) out.add(e)
      }
      for (const c of e.children) if (typeof c !== 'string') walk(c)
    }
    walk(body)
    return out
  }

  /** Pages by the notes that stand on them. */
  private get pageOf(): Map<XmlElement, HtmlPage> {
    return (this.pagesOfBodies ??= new Map(
      [...this.ids.values()].flatMap(({ page, element }) => {
        const body = this.bodyOf(element)
        return body ? [[body, page] as const] : []
      }),
    ))
  }
  private pagesOfBodies?: Map<XmlElement, HtmlPage>
}

/** What a link of a page leads to: "text/ch1.xhtml#n3". */
export function targetOf(page: Pick<HtmlPage, 'path'>, href: string): string {
  const [file = '', id = ''] = href.split('#')
  const folder = page.path.slice(0, page.path.lastIndexOf('/') + 1)
  return `${file ? pathIn(folder, decoded(file)) : page.path}#${decoded(id)}`
}

const typesOf = (e: XmlElement): string => `${e.attrs['epub:type'] ?? ''} ${e.attrs.role ?? ''}`

const saysItCalls = (e: XmlElement): boolean =>
  /\b(noteref|doc-noteref)\b/.test(typesOf(e)) ||
  classesOf(e.attrs).some(c => /^(foot|end)?-?note-?(ref|call)$|^fnref$/i.test(c))

const saysItLeadsBack = (e: XmlElement): boolean =>
  /\b(backlink|doc-backlink)\b/.test(typesOf(e)) ||
  classesOf(e.attrs).some(c => /^(foot|end)?-?note-?back(ref|link)?$/i.test(c)) ||
  /^[↩↑^⏎\ufe0e\s]+$/.test(textOf(e))
