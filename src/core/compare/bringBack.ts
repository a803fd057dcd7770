import { type Asset, type Book, type BlockJson, type Section, withOwnIds } from '@/core/book'

/** The book as it was, under the name and the counter that it has: what came since is in the versions that are kept. */
export const bookBroughtBack = (now: Book, was: Book): Book => ({
  ...was,
  id: now.id,
  ...(now.uid === undefined ? {} : { uid: now.uid }),
  lastId: Math.max(now.lastId, was.lastId),
})

/** The book with a section as it was, at its place, or where it stood among those that are still there. Where a block of it stands in another section by now, one of the two takes a new name. */
export function sectionBroughtBack(now: Book, was: Book, id: string): Book {
  const section = was.sections.find(s => s.id === id)
  if (!section) return now
  const at = now.sections.findIndex(s => s.id === id)
  const sections =
    at >= 0
      ? now.sections.map(s => (s.id === id ? section : s))
      : inserted(now.sections, section, placeAmong(was.sections, now.sections, id))
  return sound({ ...now, sections }, was, now)
}

/** The book with a block as it was: in its place, whichever section that is in by now; one that has gone, where it stood among those of its section that are still there. */
export function blockBroughtBack(now: Book, was: Book, block: string): Book {
  const holds = (s: Section): boolean => s.doc.content.some(b => b.attrs.id === block)
  const home = was.sections.find(holds)
  const old = home?.doc.content.find(b => b.attrs.id === block)
  const after = now.sections.find(holds) ?? now.sections.find(s => s.id === home?.id)
  if (!old || !home || !after) return now
  const { content } = after.doc
  const next = holds(after)
    ? content.map(b => (b.attrs.id === block ? old : b))
    : inserted(content, old, placeAmong(home.doc.content.map(named), content.map(named), block))
  const doc = { ...after.doc, content: next }
  return sound({ ...now, sections: now.sections.map(s => (s === after ? { ...s, doc } : s)) }, was, now)
}

const named = (b: BlockJson): { id: string } => ({ id: b.attrs.id })

const inserted = <T>(all: readonly T[], one: T, at: number): T[] => [...all.slice(0, at), one, ...all.slice(at)]

/** Where something goes that is not there any more: behind the last of those that stood before it. */
function placeAmong(was: readonly { id: string }[], now: readonly { id: string }[], id: string): number {
  const before = was.slice(
    0,
    was.findIndex(x => x.id === id),
  )
  for (const { id: other } of before.toReversed()) {
    const at = now.findIndex(x => x.id === other)
    if (at >= 0) return at + 1
  }
  return 0
}

/** The book with the pictures and recordings that it has again, and each name given once. */
function sound(book: Book, was: Book, now: Book): Book {
  const text = JSON.stringify(book.sections)
  const missing = <T extends Pick<Asset, 'id'>>(had: readonly T[], has: readonly T[]): T[] =>
    had.filter(a => !has.some(x => x.id === a.id) && text.includes(a.id))
  const assets = missing(was.assets, now.assets)
  const recordings = missing(was.recordings ?? [], now.recordings ?? [])
  return withOwnIds({
    ...book,
    lastId: Math.max(now.lastId, was.lastId),
    ...(assets.length ? { assets: [...book.assets, ...assets] } : {}),
    ...(recordings.length ? { recordings: [...(book.recordings ?? []), ...recordings] } : {}),
  })
}
