import type { Section } from './book'
import { listedBlocks } from './contents'
import { type DocJson, eachInline, type ImageJson, type InlineJson, type MarkJson } from './doc'
import { eachNamed } from './identity'

/** A place that a link inside the book leads to: where a section begins, or one of its blocks. */
export interface LinkTarget {
  section: string
  block?: string
}

/** A link inside the book: what it leads to, and where it stands. */
export interface InnerLink {
  /** Id of a section or block. */
  to: string
  /** The block that it stands in, and its words. */
  block: string
  words: string
}

const read = new WeakMap<DocJson, readonly InnerLink[]>()

/** Links of a document that lead to places in the book. Remembered by the document's identity. */
export function innerLinks(doc: DocJson): readonly InnerLink[] {
  const known = read.get(doc)
  if (known) return known
  const out: InnerLink[] = []
  eachPicture(doc, ({ attrs }) => {
    if (attrs.leads?.startsWith('#')) out.push({ to: attrs.leads.slice(1), block: attrs.id, words: '' })
  })
  eachInline(doc, (content, owner) => {
    for (const n of content) {
      const to = leadsTo(n)
      if (to === undefined) continue
      const block = 'attrs' in owner && owner.attrs && 'id' in owner.attrs ? owner.attrs.id : ''
      const words = n.type === 'text' ? n.text : ''
      const last = out.at(-1)
      // Words of one link that are formatted otherwise are pieces of it.
      if (last && last.to === to && last.block === block) last.words += words
      else out.push({ to, block, words })
    }
  })
  read.set(doc, out)
  return out
}

/** The pictures of a document: they stand between its blocks. */
function eachPicture(doc: DocJson, visit: (picture: ImageJson) => void): void {
  for (const b of doc.content) if (b.type === 'image') visit(b)
}

const leadsTo = (n: InlineJson): string | undefined => {
  for (const m of n.marks ?? []) if (m.type === 'link' && m.attrs.href.startsWith('#')) return m.attrs.href.slice(1)
  return undefined
}

/** All that a link inside the book may lead to, by id. */
export function linkTargets(sections: readonly Pick<Section, 'id' | 'made' | 'doc'>[]): Map<string, LinkTarget> {
  const out = new Map<string, LinkTarget>()
  for (const s of sections) {
    out.set(s.id, { section: s.id })
    // The words of a made page are not those of its document.
    if (s.made) continue
    eachNamed(s.doc, (id, type) => {
      if (id && type !== 'footnote') out.set(id, { section: s.id, block: id })
    })
  }
  return out
}

/** Places that links and contents lead to: what pages and ebooks need to know of. */
export function linkedPlaces(sections: readonly Section[]): Map<string, LinkTarget> {
  const wanted = new Set([
    ...listedBlocks(sections),
    ...sections.flatMap(s => (s.made ? [] : innerLinks(s.doc).map(l => l.to))),
  ])
  if (!wanted.size) return new Map()
  const all = linkTargets(sections)
  return new Map([...wanted].flatMap(id => (all.has(id) ? [[id, all.get(id)!] as const] : [])))
}

/** Links whose place is not in the book, with the section that they stand in. */
export function brokenLinks(sections: readonly Section[]): (InnerLink & { section: string })[] {
  const all = sections.flatMap(s => (s.made ? [] : innerLinks(s.doc).map(l => ({ ...l, section: s.id }))))
  if (!all.length) return []
  const there = linkTargets(sections)
  return all.filter(l => !there.has(l.to))
}

/** The sections with links that lead elsewhere: `rename` gives the new place, undefined where it stays, null where the link goes and its words stay. What has no such link is the very same. */
export function retargeted<S extends Pick<Section, 'made' | 'doc'>>(
  sections: readonly S[],
  rename: (to: string) => string | null | undefined,
): S[] {
  return sections.map(s => {
    if (!innerLinks(s.doc).some(l => rename(l.to) !== undefined)) return s
    const doc = JSON.parse(JSON.stringify(s.doc)) as DocJson
    eachPicture(doc, ({ attrs }) => {
      const is = attrs.leads?.startsWith('#') ? rename(attrs.leads.slice(1)) : undefined
      if (is !== undefined) attrs.leads = is === null ? '' : `#${is}`
    })
    eachInline(doc, content => {
      for (const n of content) {
        const to = leadsTo(n)
        const is = to === undefined ? undefined : rename(to)
        if (is === undefined) continue
        const marks = n.marks!.flatMap((m): MarkJson[] =>
          m.type !== 'link' ? [m] : is === null ? [] : [{ type: 'link', attrs: { href: `#${is}` } }],
        )
        if (marks.length) n.marks = marks
        else delete n.marks
      }
    })
    return { ...s, doc }
  })
}
