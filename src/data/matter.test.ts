import '../../tests/support/store'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { ALSO_BY, alsoBy, docText, saidBy, type Section } from '@/core/book'
import { bookOf } from '../../tests/support/core'

const data = {
  ...(await import('./books')),
  ...(await import('./db')),
  ...(await import('./changes')),
  ...(await import('./matter')),
  ...(await import('./backup')),
}
const put = (id: string): Promise<void> =>
  data.putBook({ book: { ...bookOf([['Born at sea.'], ['Two.']]), id }, pictures: new Map() })
const record = async (id: string) => (await data.db.books.get(id))!
const section = async (book: string): Promise<Section> => (await data.getBook(book))!.book.sections.find(s => s.matter)!
const write = (book: string, text: string): Promise<void> =>
  data.commitSections(book, 'Write', b => ({
    ...b,
    sections: b.sections.map(s =>
      s.matter
        ? {
            ...s,
            doc: {
              type: 'doc',
              content: [{ type: 'paragraph', attrs: { id: 'b77' }, content: [{ type: 'text', text }] }],
            },
          }
        : s,
    ),
  }))
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  for (const id of ['one', 'two', 'three']) await put(id)
  await data.keepSection('one', 's1', 'About me')
  const [kept] = await data.keptMatter()
  for (const id of ['two', 'three']) await data.place(id, kept!)
})

describe('standing matter in the store', () => {
  test('is kept once, followed by name, and changed everywhere by one edit, each book with its own undo', async () => {
    const [kept] = await data.keptMatter()
    expect([kept!.id, kept!.name, docText(kept!.doc)]).toEqual(['about-me', 'About me', 'Born at sea.'])
    expect((await data.followersOf([data.asKept(kept!)])).get(kept!.id)!.map(f => [f.book, f.states])).toEqual([
      ['one', ['as kept']],
      ['three', ['as kept']],
      ['two', ['as kept']],
    ])
    await write('one', 'Born ashore.')
    expect((await data.followersOf([data.asKept(kept!)])).get(kept!.id)!.find(f => f.book === 'one')!.states).toEqual([
      'changed here',
    ])
    await write('three', 'Never born.')
    const done = await data.changeEverywhere('one', (await section('one')).id)
    expect(done).toEqual({ books: 1, left: [{ title: 'A Book', why: 'it was changed there' }] })
    expect(docText((await section('two')).doc)).toBe('Born ashore.')
    expect(docText((await section('three')).doc)).toBe('Never born.')
    await data.undo('two')
    expect(docText((await section('two')).doc)).toBe('Born at sea.')
    // What was taken back there is brought up to date when it is asked for.
    const [now] = await data.keptMatter()
    expect((await data.followersOf([data.asKept(now!)])).get(now!.id)!.map(f => [f.book, f.states[0]])).toEqual([
      ['one', 'as kept'],
      ['three', 'changed here'],
      ['two', 'behind'],
    ])
    expect((await data.spread(data.asKept(now!))).books).toBe(1)
    expect(saidBy(await section('two'))).toBe(saidBy(now!))
  })

  test('is let go of by a book, renamed, forgotten: words stay', async () => {
    await data.letOff('two', (await section('two')).id)
    await data.renameMatter('about-me', 'On me')
    const [kept] = await data.keptMatter()
    expect([kept!.name, (await data.followersOf([data.asKept(kept!)])).get(kept!.id)!.length]).toEqual(['On me', 2])
    await data.forgetMatter('about-me')
    expect(await data.keptMatter()).toEqual([])
    expect(docText((await section('three')).doc)).toBe('Born at sea.')
    await expect(data.changeEverywhere('three', (await section('three')).id)).rejects.toThrow('kept no more')
  })

  test('a second piece of the same name has its own id; a broken one takes no other along', async () => {
    await data.keepSection('one', 's2', 'About me')
    expect((await data.keptMatter()).map(m => m.id)).toEqual(['about-me', 'about-me-2'])
    await data.db.settings.update('matter', (s: { value: unknown }) => {
      s.value = [null, { id: 'x' }, ...(s.value as unknown[])]
    })
    expect((await data.keptMatter()).map(m => m.id)).toEqual(['about-me', 'about-me-2'])
    await data.renameMatter('about-me', 'Still here')
    expect(((await data.db.settings.get('matter'))!.value as unknown[]).length).toBe(4)
  })

  test('a backup that comes back takes nothing away that is kept here alone', async () => {
    const backup = await data.collectLibrary()
    await data.keepSection('one', 's2', 'Newer')
    await data.renameMatter('about-me', 'Changed since')
    await data.restoreLibrary(backup)
    expect((await data.keptMatter()).map(m => m.name).sort()).toEqual(['About me', 'Newer'])
  })
})

describe('the author’s other books', () => {
  test('are followed: a book that comes puts those behind that list them, and is listed by one act', async () => {
    const other = (await data.db.books.toArray()).find(b => b.id === 'two')!
    await data.place('one', alsoBy(await record('one'), await data.db.books.toArray())!)
    const listed = async (): Promise<[string, string][]> =>
      (await data.followersOf([data.otherBooks])).get(ALSO_BY)!.map(f => [f.book, f.states[0]!])
    expect(await listed()).toEqual([['one', 'as kept']])
    await data.commit('two', 'Title', () => ({
      data: { ...other.data, title: 'Ebb', series: { name: 'Tides', number: 2 } },
    }))
    expect(await listed()).toEqual([['one', 'behind']])
    expect(await data.spread(data.otherBooks)).toEqual({ books: 1, left: [] })
    expect(await listed()).toEqual([['one', 'as kept']])
    const s = (await data.getBook('one'))!.book.sections.find(x => x.matter?.id === ALSO_BY)!
    expect([s.title, docText(s.doc)]).toEqual(['Also by Orla Fenwright', 'Tides\nEbb\nA Book'])
  })
})
