import {
  type Book,
  blockIds,
  type Edition,
  Ids,
  picturesIn,
  renameIds,
  type ReviewCopy,
  retargeted,
  type Section,
  usedRecordings,
} from '@/core/book'
import { harbourRoman } from '@/core/pages'
import type { Returned, Told } from './returned'

/** What goes out of a book for somebody to read: its text and what that needs, and nothing else that the author has. */
export function reviewCopyOf(book: Book, review: ReviewCopy, only?: readonly string[]): Book {
  const { data } = book
  const sections = book.sections.filter(s => !only || only.includes(s.id))
  const used = new Set(sections.flatMap(picturesIn).map(p => p.asset))
  const print = book.editions.find(e => e.kind !== 'ebook')
  const recordings = usedRecordings(book.recordings, sections)
  return {
    id: book.id,
    lastId: book.lastId,
    data: {
      title: data.title,
      ...(data.subtitle && { subtitle: data.subtitle }),
      contributors: data.contributors,
      language: data.language,
      imprint: { name: '' },
      subjects: [],
    },
    sections: sections.map(({ matter: _matter, evidence: _evidence, ...s }) => s),
    editions: print ? [bareEdition(print, book)] : [],
    assets: book.assets.filter(a => used.has(a.id)).map(({ cleaned: _cleaned, ...a }) => a),
    ...(recordings.length && { recordings }),
    review,
  }
}

/** How it is printed, so that pages turn where they do; not what it costs, nor where it is sold. Styles of the author’s own stay with the author. */
function bareEdition({ id, kind, trim, paper, ink, style, styleChanges }: Edition, { styles }: Book): Edition {
  const own = styles?.some(s => s.id === style)
  return {
    ...{ id, kind, outlets: [], style: own ? harbourRoman.id : style },
    ...(trim && { trim }),
    ...(paper && { paper }),
    ...(ink && { ink }),
    ...(styleChanges && !own && { styleChanges }),
  }
}

/** The whole of a book for somebody who helps with it. */
export const wholeCopyOf = (
  { rounds: _rounds, proof: _proof, pace: _pace, ...book }: Book,
  review: ReviewCopy,
): Book => ({
  ...book,
  review: { ...review, whole: true },
})

/** A copy that came back: what came new in it has names that nothing else in the book has. `lastId`: the highest number that one has here. */
export function returnedCopy(copy: Book, sent: Book, lastId: number): Returned {
  const ids = new Ids(Math.max(lastId, sent.lastId))
  const known = new Set(sent.sections.flatMap(s => [s.id, ...blockIds(s.doc)]))
  const names = new Map<string, string>()
  const own = (id: string, fresh: () => string): string | undefined => {
    if (!id || known.has(id)) return undefined
    const name = names.get(id) ?? fresh()
    names.set(id, name)
    return name
  }
  const sections = copy.sections
    .filter(s => !s.made)
    .map((s): Section => {
      const id = own(s.id, ids.section) ?? s.id
      const doc = renameIds(s.doc, (b, type) => own(b, type === 'footnote' ? ids.note : ids.block))
      return { ...s, id, doc }
    })
  const told: Record<string, Told[]> = {}
  for (const [id, when] of Object.entries(copy.review?.changed ?? {}))
    told[names.get(id) ?? id] = [{ did: 'set', by: copy.review?.by ?? '', when, words: '' }]
  const assets = copy.assets.filter(a => !sent.assets.some(x => x.id === a.id))
  return {
    sections: retargeted(sections, to => names.get(to)),
    ...{ assets, pictures: new Map(), told, dropped: [], lastId: ids.last },
  }
}
