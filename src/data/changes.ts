import { Step } from 'prosemirror-transform'
import { type Book, type DocJson, schema, type Section } from '@/core/book'
import { getBook } from './books'
import { type BookRecord, type ChangeRecord, db, type SectionChange, type TextChange } from './db'
import { guarded } from './trouble'
import { mayWrite } from './writer'

/** Steps of a value (up, up, up) that follow one another within this many milliseconds are one step of undo. */
const ONE_STEP = 1200
/** Typing without a rest this long is one step of undo, up to so many steps of text. */
const ONE_BREATH = 1500
const BREATH_STEPS = 60

/** Commits a change of a book's record together with the way back, in one transaction. What had been undone is forgotten. `merge`: it is a step of a value that may join the one before. */
export async function commit(book: string, label: string, change: (record: BookRecord) => Partial<BookRecord>, merge = false): Promise<void> {
  await writing(book, async () => {
    const record = await db.books.get(book)
    if (!record) return
    const after = change(record)
    const before = Object.fromEntries(Object.keys(after).map(k => [k, record[k as keyof BookRecord]])) as Partial<BookRecord>
    if (JSON.stringify(before) === JSON.stringify(after)) return
    const last = await lastStep(book)
    const now = Date.now()
    if (merge && last && !last.text && !last.sections && kind(last.label) === kind(label) && now - last.at < ONE_STEP) await db.changes.update(last.id!, { after, label, at: now })
    else await db.changes.add({ book, label, before, after, at: now, undone: false })
    await db.books.update(book, after)
  })
}

/** Commits an operation on the whole book (split, join, move, number …): the sections it touched, and their order. */
export async function commitSections(book: string, label: string, operation: (book: Book) => Book): Promise<void> {
  await writing(book, async () => {
    const stored = await getBook(book)
    if (!stored) return
    const next = operation(stored.book)
    const old = new Map(stored.book.sections.map(s => [s.id, s]))
    const fresh = new Map(next.sections.map(s => [s.id, s]))
    const sections: SectionChange[] = []
    for (const s of next.sections) if (JSON.stringify(old.get(s.id)) !== JSON.stringify(s)) sections.push({ id: s.id, before: old.get(s.id), after: s })
    for (const s of stored.book.sections) if (!fresh.has(s.id)) sections.push({ id: s.id, before: s })
    const order = { before: stored.book.sections.map(s => s.id), after: next.sections.map(s => s.id) }
    if (!sections.length && order.before.join() === order.after.join()) return
    await lastStep(book)
    await db.changes.add({ book, label, before: { order: order.before }, after: { order: order.after }, sections, at: Date.now(), undone: false })
    await db.books.update(book, { order: order.after })
    for (const c of sections) await putSection(book, c.id, c.after)
  })
}

/** Commits steps of a section's text with the document they led to; gives the section's new revision. Typing on is one step of undo. */
export async function commitText(book: string, section: string, change: Omit<TextChange, 'section'>, doc: DocJson): Promise<number> {
  return writing(book, async () => {
    const record = await db.sections.get([book, section])
    if (!record) return 0
    const last = await lastStep(book)
    const now = Date.now()
    if (last?.text?.section === section && now - last.at < ONE_BREATH && last.text.forward.length < BREATH_STEPS) {
      await db.changes.update(last.id!, { at: now, text: { section, forward: [...last.text.forward, ...change.forward], inverse: [...change.inverse, ...last.text.inverse] } })
    } else await db.changes.add({ book, label: `Writing in “${record.title || 'this section'}”`, before: {}, after: {}, text: { section, ...change }, at: now, undone: false })
    const rev = record.rev + 1
    await db.sections.put({ ...record, doc, rev })
    return rev
  })
}

/** What undo and redo would do, in words. */
export async function steps(book: string): Promise<{ undo?: string; redo?: string }> {
  const all = await db.changes.where('book').equals(book).sortBy('id')
  return { undo: all.filter(c => !c.undone).at(-1)?.label, redo: all.find(c => c.undone)?.label }
}

/** Takes back the last step; gives its label, or undefined where there is none. */
export const undo = (book: string): Promise<string | undefined> => turn(book, all => all.filter(c => !c.undone).at(-1), true)
export const redo = (book: string): Promise<string | undefined> => turn(book, all => all.find(c => c.undone), false)

async function turn(book: string, pick: (all: ChangeRecord[]) => ChangeRecord | undefined, back: boolean): Promise<string | undefined> {
  return writing(book, async () => {
    const c = pick(await db.changes.where('book').equals(book).sortBy('id'))
    if (!c) return undefined
    const patch = back ? c.before : c.after
    if (Object.keys(patch).length) await db.books.update(book, patch)
    for (const s of c.sections ?? []) await putSection(book, s.id, back ? s.before : s.after)
    if (c.text) {
      const record = await db.sections.get([book, c.text.section])
      if (record) await db.sections.put({ ...record, doc: applied(record.doc, back ? c.text.inverse : c.text.forward), rev: record.rev + 1 })
    }
    await db.changes.update(c.id!, { undone: back, at: 0 })
    return c.label
  })
}

/** A document with steps applied. */
function applied(doc: DocJson, list: unknown[]): DocJson {
  let node = schema.nodeFromJSON(doc)
  for (const json of list) {
    const done = Step.fromJSON(schema, json).apply(node)
    if (!done.doc) throw new Error(`This change cannot be turned back: ${done.failed ?? ''}`)
    node = done.doc
  }
  return node.toJSON() as DocJson
}

async function putSection(book: string, id: string, section: Section | undefined): Promise<void> {
  const old = await db.sections.get([book, id])
  if (section) await db.sections.put({ ...section, book, rev: (old?.rev ?? 0) + 1 })
  else await db.sections.delete([book, id])
}

/** The newest step that stands; steps that had been undone are forgotten, since something new is about to be done. */
async function lastStep(book: string): Promise<ChangeRecord | undefined> {
  const all = await db.changes.where('book').equals(book).sortBy('id')
  await db.changes.bulkDelete(all.filter(c => c.undone).map(c => c.id!))
  return all.filter(c => !c.undone).at(-1)
}

const kind = (label: string): string => label.replace(/[\d.,]+/g, '#')

/** One transaction over all that a change may touch; only the window that holds the book may write it. */
function writing<T>(book: string, work: () => Promise<T>): Promise<T> {
  if (!mayWrite(book)) return Promise.reject(new Error('This book is open in another window, which writes it.'))
  return guarded(() => db.transaction('rw', [db.books, db.sections, db.blobs, db.changes], work))
}
