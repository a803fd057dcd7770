import '../../tests/support/store'
import { beforeEach, expect, test } from '@jest/globals'
import { Transform } from 'prosemirror-transform'
import { type Book, type DocJson, removeSection, type Section, schema, writeSteps } from '@/core/book'
import { bookOf } from '../../tests/support/core'

const data = {
  ...(await import('./books')),
  ...(await import('./db')),
  ...(await import('./changes')),
  ...(await import('./pace')),
  ...(await import('./tallies')),
}
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  await data.putBook({
    book: bookOf([['One two three.'], ['Four five.']]),
    pictures: new Map(),
  })
})

const titled = (book: Book, title: string): Section => book.sections.find(s => s.title === title)!

/** Writes words at the end of the first section's paragraph, as a pen does. */
async function write(words: string): Promise<void> {
  const { book } = (await data.getBook('test'))!
  const { id, doc } = titled(book, 'Title 1')
  const before = schema.nodeFromJSON(doc)
  const tr = new Transform(before)
  const end = before.firstChild!.nodeSize - 1
  if (words) tr.insert(end, schema.text(words))
  else tr.delete(1, end)
  const { rev } = (await data.db.sections.get(['test', id]))!
  const steps = {
    forward: writeSteps(tr.steps),
    inverse: writeSteps(tr.steps.map((s, i) => s.invert(tr.docs[i]!)).reverse()),
  }
  await data.commitText('test', id, rev, { ...steps, doc: tr.doc.toJSON() as DocJson, pen: 'pen', nth: rev })
}
const today = async () => {
  const [t, ...more] = await data.tallyOf('test')
  expect(more).toEqual([])
  return t && { wrote: t.wrote, cut: t.cut, came: t.came }
}

test('the day’s words follow what is written, cut, undone and done again, and what acts on the book bring', async () => {
  await write(' Six seven.')
  expect(await today()).toEqual({ wrote: 2, cut: 0, came: 0 })
  await write(' Eight.')
  expect(await today()).toEqual({ wrote: 3, cut: 0, came: 0 })
  await data.undo('test')
  expect(await today()).toEqual({ wrote: 0, cut: 0, came: 0 })
  await data.redo('test')
  expect(await today()).toEqual({ wrote: 3, cut: 0, came: 0 })
  await data.commitSections('test', 'Remove', b => removeSection(b, titled(b, 'Title 2').id))
  expect(await today()).toEqual({ wrote: 3, cut: 2, came: 0 })
  await data.undo('test')
  expect(await today()).toEqual({ wrote: 3, cut: 0, came: 0 })
  await write('')
  expect(await today()).toEqual({ wrote: 3, cut: 6, came: 0 })
  const [{ day, sittings }] = (await data.tallyOfAll()) as [Awaited<ReturnType<typeof data.tallyOfAll>>[number]]
  expect(day).toBe(data.dayHere())
  expect(sittings).toHaveLength(1)
})

test('a pace is a step of the book; days go with the book when it goes, and with a backup', async () => {
  await data.setPace('test', { target: 90_000, by: '2027-03-03', since: '2026-11-29', days: [1, 2] })
  expect((await data.getBook('test'))!.book.pace?.target).toBe(90_000)
  await data.setPace('test', undefined)
  expect('pace' in (await data.getBook('test'))!.book).toBe(false)
  await write(' More.')
  const { collectLibrary, restoreLibrary } = await import('./backup')
  const library = await collectLibrary()
  expect(library.tallies).toMatchObject([{ book: 'test', wrote: 1 }])
  const { removeForGood } = await import('./removal')
  await removeForGood('test')
  expect(await data.tallyOfAll()).toEqual([])
  await restoreLibrary(library)
  expect(await today()).toEqual({ wrote: 1, cut: 0, came: 0 })
})
