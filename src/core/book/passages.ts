import type { Section } from './book'
import { type DocJson, eachInline } from './doc'

const read = new WeakMap<DocJson, readonly string[]>()

/** Languages that passages of a document are marked to be in, each once. Remembered by the document's identity. */
export function languagesIn(doc: DocJson): readonly string[] {
  const known = read.get(doc)
  if (known) return known
  const out = new Set<string>()
  eachInline(doc, content => {
    for (const n of content) for (const m of n.marks ?? []) if (m.type === 'language') out.add(m.attrs.tag)
  })
  const all = [...out].sort()
  read.set(doc, all)
  return all
}

/** Languages that any passage of a book is in, beside the book's own. */
export const passageLanguages = (sections: readonly Pick<Section, 'made' | 'doc'>[]): string[] =>
  [...new Set(sections.flatMap(s => (s.made ? [] : languagesIn(s.doc))))].sort()
