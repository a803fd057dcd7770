import { type BookRecord, type ChangeRecord, db } from './db'

/** Steps of a value (up, up, up) that follow one another within this many milliseconds are one step of undo. */
const ONE_STEP = 1200

/** Commits a change of a book's record together with the way back, in one transaction. What had been undone is forgotten. `merge`: it is a step of a value that may join the one before. */
export async function commit(book: string, label: string, change: (record: BookRecord) => Partial<BookRecord>, merge = false): Promise<void> {
  await db.transaction('rw', [db.books, db.changes], async () => {
    const record = await db.books.get(book)
    if (!record) return
    const after = change(record)
    const before = Object.fromEntries(Object.keys(after).map(k => [k, record[k as keyof BookRecord]])) as Partial<BookRecord>
    if (JSON.stringify(before) === JSON.stringify(after)) return
    const all = await db.changes.where('book').equals(book).sortBy('id')
    await db.changes.bulkDelete(all.filter(c => c.undone).map(c => c.id!))
    const last = all.filter(c => !c.undone).at(-1)
    const now = Date.now()
    if (merge && last && kind(last.label) === kind(label) && now - last.at < ONE_STEP) await db.changes.update(last.id!, { after, label, at: now })
    else await db.changes.add({ book, label, before, after, at: now, undone: false })
    await db.books.update(book, after)
  })
}

const kind = (label: string): string => label.replace(/[\d.,]+/g, '#')

/** What undo and redo would do, in words. */
export async function steps(book: string): Promise<{ undo?: string; redo?: string }> {
  const all = await db.changes.where('book').equals(book).sortBy('id')
  return { undo: all.filter(c => !c.undone).at(-1)?.label, redo: all.find(c => c.undone)?.label }
}

/** Takes back the last step; gives its label, or undefined where there is none. */
export const undo = (book: string): Promise<string | undefined> => turn(book, all => all.filter(c => !c.undone).at(-1), c => c.before, true)
export const redo = (book: string): Promise<string | undefined> => turn(book, all => all.find(c => c.undone), c => c.after, false)

async function turn(book: string, pick: (all: ChangeRecord[]) => ChangeRecord | undefined, to: (c: ChangeRecord) => Partial<BookRecord>, undone: boolean): Promise<string | undefined> {
  return db.transaction('rw', [db.books, db.changes], async () => {
    const c = pick(await db.changes.where('book').equals(book).sortBy('id'))
    if (!c) return undefined
    await db.books.update(book, to(c))
    await db.changes.update(c.id!, { undone, at: 0 })
    return c.label
  })
}
