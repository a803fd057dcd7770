import { type DocJson, type Section, withOwnIds } from '../book'

/** A project as its file holds it: the book without its texts, and the texts by section. */
interface RawProject {
  book: { sections?: Omit<Section, 'doc'>[] } & Record<string, unknown>
  sections: Record<string, DocJson>
}

/**
 * From version 2 to 3 of a project: ids were unique in their section only; they are unique in the book now, and the book counts
 * them. Pure. Throws where texts are missing or no documents.
 */
export function withBookWideIds(raw: RawProject): RawProject {
  const whole = withOwnIds({
    ...raw.book,
    sections: (raw.book.sections ?? []).map(s => ({ ...s, doc: raw.sections[s.id]! })),
  })
  return {
    ...raw,
    book: { ...whole, sections: whole.sections.map(({ doc: _doc, ...s }) => s) },
    sections: Object.fromEntries(whole.sections.map(s => [s.id, s.doc])),
  }
}
