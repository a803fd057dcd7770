import '../../tests/support/store'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { aboutAuthor, type Asset, docText, isBehind } from '@/core/book'
import { bookOf } from '../../tests/support/core'

const data = {
  ...(await import('./books')),
  ...(await import('./db')),
  ...(await import('./changes')),
  ...(await import('./imprints')),
  ...(await import('./penNames')),
  ...(await import('./matter')),
  ...(await import('./backup')),
  ...(await import('./former')),
}
const put = (id: string): Promise<void> =>
  data.putBook({ book: { ...bookOf([['Born at sea.'], ['Two.']]), id }, pictures: new Map() })
const record = async (id: string) => (await data.db.books.get(id))!
const logo: Asset = { id: 'a'.repeat(64), type: 'image/png', width: 300, height: 300, name: 'lamp.png' }

/** As if a package of a book were at an outlet. */
const sent = (book: string, zip: string): Promise<unknown> =>
  data.db.listings.put({
    key: `${book}/paperback/ostrevane`,
    book,
    events: [{ kind: 'sent', at: 1, submission: { zip } } as never],
  })
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  for (const id of ['one', 'two', 'three']) await put(id)
})

describe('imprints', () => {
  test('are kept once and changed in every book that follows; what is written by hand follows nothing', async () => {
    expect(await data.keepImprintOf([await record('one')])).toEqual({ books: 1, left: [] })
    const kept = (await data.keptImprints())[0]!
    expect(kept).toEqual({ id: 'saltgrass-lane-press', name: 'Saltgrass Lane Press' })
    await data.takeImprint('two', kept)
    const done = await data.changeImprint(kept.id, { place: 'Merrow', logo })
    expect(done).toEqual({ books: 2, left: [] })
    for (const id of ['one', 'two']) {
      const b = await record(id)
      expect(b.data.imprint).toEqual({ name: kept.name, place: 'Merrow', logo: logo.id, kept: kept.id })
      expect(b.assets.map(a => a.id)).toEqual([logo.id])
      expect(isBehind(b, (await data.keptImprints())[0]!)).toBe(false)
    }
    expect((await record('three')).data.imprint).toEqual({ name: 'Saltgrass Lane Press' })
    // Each book takes it back by its own undo, and is brought up to date when that is asked for.
    await data.undo('two')
    const [now] = await data.keptImprints()
    expect(isBehind(await record('two'), now!)).toBe(true)
    expect(await data.spreadImprint(now!)).toEqual({ books: 1, left: [] })
    await data.changeImprint(kept.id, { logo: undefined, place: '' })
    expect((await record('one')).data.imprint).toEqual({ name: kept.name, kept: kept.id })
    await data.forgetImprint(kept.id)
    expect([await data.keptImprints(), (await record('one')).data.imprint.name]).toEqual([[], kept.name])
  })
  test('of several books is kept as the fullest has it, and each of them follows', async () => {
    const full = { name: 'Saltgrass Lane Press', place: 'Merrow', site: 'saltgrass.example' }
    await data.commit('two', 'Imprint', r => ({ data: { ...r.data, imprint: full } }))
    expect(await data.keepImprintOf([await record('one'), await record('two')])).toEqual({ books: 2, left: [] })
    for (const id of ['one', 'two'])
      expect((await record(id)).data.imprint).toEqual({ ...full, kept: 'saltgrass-lane-press' })
  })
  test('two of one name have ids of their own; one too long is refused, and nothing is kept of it', async () => {
    const [a, b] = [await data.keepImprint('Salt'), await data.keepImprint('Salt')]
    expect([a.id, b.id]).toEqual(['salt', 'salt-2'])
    await expect(data.keepImprint('x'.repeat(301))).rejects.toThrow('longer')
    expect(await data.keptImprints()).toHaveLength(2)
  })
  test('what is on sale of a book says the former one until another package is sent', async () => {
    await data.keepImprintOf([await record('one')])
    const kept = (await data.keptImprints())[0]!
    await data.takeImprint('two', kept)
    await sent('one', 'b'.repeat(64))
    await data.changeImprint(kept.id, { place: 'Merrow' })
    const former = (await data.keptImprints())[0]!.former!
    expect([...(await data.sellingFormer(['one', 'two', 'three'], former))]).toEqual(['one'])
    await sent('one', 'c'.repeat(64))
    expect((await data.sellingFormer(['one', 'two'], former)).size).toBe(0)
  })
})

describe('pen names', () => {
  test('their note stands in every book of the name that has it, and is changed there by one edit', async () => {
    const orla = await data.keepPenName('Orla Fenwright')
    expect(aboutAuthor(await record('one'), await data.keptPenNames())).toBeUndefined()
    await data.changePenName(orla.id, { note: 'Born at sea.\n\nLives ashore.', portrait: logo })
    for (const id of ['one', 'two']) {
      const said = aboutAuthor(await record(id), await data.keptPenNames())!
      await data.place(id, said)
    }
    const about = async (id: string) => (await data.getBook(id))!.book.sections.find(s => s.role === 'about-author')!
    expect(
      docText((await about('one')).doc)
        .trim()
        .split(/\n+/),
    ).toEqual(['Born at sea.', 'Lives ashore.'])
    expect((await about('one')).doc.content[0]).toMatchObject({ type: 'image', attrs: { alt: 'Orla Fenwright' } })
    expect((await record('one')).assets.map(a => a.id)).toEqual([logo.id])
    await sent('two', 'd'.repeat(64))
    expect(await data.changePenName(orla.id, { note: 'Gone ashore.' })).toEqual({ books: 2, left: [] })
    expect(docText((await about('two')).doc)).toContain('Gone ashore.')
    const names = await data.keptPenNames()
    const followers = (await data.followersOf([data.authorNotes(names)])).get('about-author')!
    expect(followers.map(f => [f.book, f.states, f.sellsFormer])).toEqual([
      ['one', ['as kept'], false],
      ['two', ['as kept'], true],
    ])
    // Another name's books are another's.
    expect(aboutAuthor({ data: { ...(await record('one')).data, contributors: [] } }, names)).toBeUndefined()
  })
  test('come back from a backup with their pictures, beside those that are kept here', async () => {
    await data.db.blobs.put({ hash: logo.id, bytes: new Uint8Array([1, 2, 3]), added: 0 })
    const kept = await data.keepImprint('Salt')
    await data.changeImprint(kept.id, { logo })
    await data.keepPenName('Orla Fenwright', { note: 'Born at sea.' })
    const library = await data.collectLibrary()
    expect(library.parts.has(logo.id)).toBe(true)
    await data.forgetImprint(kept.id)
    await data.keepImprint('Soot')
    await data.restoreLibrary(library)
    expect((await data.keptImprints()).map(i => i.name).sort()).toEqual(['Salt', 'Soot'])
    expect((await data.keptPenNames()).map(n => n.note)).toEqual(['Born at sea.'])
  })
})
