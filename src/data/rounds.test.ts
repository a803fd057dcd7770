import '../../tests/support/store'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { against, readReturnedDocx, reviewOf, taken } from '@/core/review'
import { copyOf } from '@/core/copies'
import type { BlockJson, Book } from '@/core/book'
import { changedDocx } from '../../tests/support/changedDocx'
import { bookOf } from '../../tests/support/core'

const data = {
  ...(await import('./books')),
  ...(await import('./changes')),
  ...(await import('./db')),
  ...(await import('./rounds')),
  ...(await import('./versions')),
}
const WORDS = [['The bell rang once.', 'Nobody came.'], ['It was spring.']]
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  const book = bookOf(WORDS)
  await data.putBook({
    book: { ...book, sections: book.sections.filter(s => !s.made), lastId: 99, uid: 'own-uid', words: [] },
    pictures: new Map(),
  })
})
const now = async (): Promise<Book> => (await data.getBook('test'))!.book
const texts = (book: Book): string[] =>
  book.sections.flatMap(s =>
    s.doc.content.map(b => ((b as { content?: { text: string }[] }).content ?? []).map(n => n.text).join('')),
  )
const say = (book: Book, at: number, text: string): Book => {
  let n = -1
  return {
    ...book,
    sections: book.sections.map(s => ({
      ...s,
      doc: {
        ...s.doc,
        content: s.doc.content.map(b => (++n === at ? ({ ...b, content: [{ type: 'text', text }] } as BlockJson) : b)),
      },
    })),
  }
}
const looked = async (round: number, entry: number) => {
  const book = await now()
  const r = book.rounds![round]!
  const review = reviewOf(await data.returnOf(r, r.returns[entry]!))
  const left = new Set(r.returns.flatMap(x => x.left))
  return { review, book, differences: against(review, book, left).differences }
}

test('a review copy holds the text and nothing else of the author’s; it comes home to its round, once each change', async () => {
  await data.commit(
    'test',
    'More',
    () =>
      ({
        pace: { target: 1, by: '2027-01-01', since: '2026-01-01', days: [1] },
        listings: { 'a/b': { adult: true } },
      }) as never,
  )
  const out = (await data.sendRound('test', { to: 'Ada', form: 'copy' }))!
  expect(Object.keys(out.book).sort()).toEqual(['assets', 'data', 'editions', 'id', 'lastId', 'review', 'sections'])
  expect(out.book.data.imprint).toEqual({ name: '' })
  expect(await data.homeOf(out.book.review!)).toMatchObject({ id: 'test', round: { to: 'Ada' } })
  expect((await data.versionsOf('test')).map(v => [v.label, v.kind])).toEqual([['Given to Ada', undefined]])

  const hers = { ...say(out.book, 0, 'The bell rang twice.'), review: { ...out.book.review!, changed: { s1: 5 } } }
  const came = await data.takeCopy('test', (await now()).rounds![0]!, { book: hers, pictures: new Map() })
  expect(came).toMatchObject({ id: 'r1-1', remarks: 0, elsewhere: 0 })
  const { review, differences } = await looked(0, 0)
  expect(differences.map(d => [d.kind, d.by, d.when])).toEqual([['words', 'Ada', 5]])
  await data.commitSections('test', 'Take', b => taken(review, b, new Set(differences.map(d => d.key))))
  expect(texts(await now())[0]).toBe('The bell rang twice.')

  // The same once more, with a paragraph that is new; and that once more: each is asked once.
  const fresh = {
    type: 'paragraph',
    attrs: { id: 'b100', align: null },
    content: [{ type: 'text', text: 'A gull spoke.' }],
  } as BlockJson
  const more = {
    ...hers,
    sections: hers.sections.map((s, i) => (i ? s : { ...s, doc: { ...s.doc, content: [...s.doc.content, fresh] } })),
  }
  await data.takeCopy('test', (await now()).rounds![0]!, { book: more, pictures: new Map() })
  const second = await looked(0, 1)
  expect(second.differences.map(d => d.kind)).toEqual(['came'])
  await data.changeReturn('test', 'Refuse', 'r1-2', r => ({ ...r, left: second.differences.map(d => d.key) }))
  await data.takeCopy('test', (await now()).rounds![0]!, { book: more, pictures: new Map() })
  expect((await looked(0, 2)).differences).toEqual([])
  // A refusal is a step of the book.
  await data.undo('test')
  await data.undo('test')
  expect((await looked(0, 1)).differences).toHaveLength(1)
})

test('a word-processor file of one section: the others are neither looked at nor lost', async () => {
  const { round, book, pictures } = (await data.sendRound('test', { to: 'Bo', form: 'docx', only: ['s1'] }))!
  const file = await copyOf(book, 'docx', { pictures, round, only: ['s1'] })
  const changed = changedDocx(file.bytes, { by: 'Bo', when: '2026-11-20T09:30:00Z', gone: 'once', came: 'thrice' })
  await data.commitSections('test', 'Write', b => say(b, 2, 'It was autumn.'))
  await data.takeReturn('test', round, 'Bo', (sent, lastId) =>
    readReturnedDocx(changed, { sent, at: round.at, lastId }),
  )
  const { review, differences } = await looked(0, 0)
  expect(differences.map(d => [d.by, d.clash])).toEqual([['Bo', undefined]])
  await data.commitSections('test', 'Take', b => taken(review, b, new Set(differences.map(d => d.key))))
  expect(texts(await now())).toEqual(['The bell rang thrice.', 'Nobody came.', 'It was autumn.'])
})

test('a helper has the whole book, and what the helper set comes home value by value', async () => {
  const { book } = (await data.sendRound('test', { to: 'Cy', form: 'whole' }))!
  expect(book.review).toMatchObject({ whole: true, by: 'Cy' })
  expect(book.rounds).toBeUndefined()
  const back = {
    ...book,
    data: { ...book.data, subtitle: 'With Bells', year: 2027 },
    review: { ...book.review!, changed: {} },
  }
  await data.commit('test', 'Year', r => ({ data: { ...r.data, year: 2028 } }))
  await data.takeCopy('test', (await now()).rounds![0]!, { book: back, pictures: new Map() })
  const { review, differences } = await looked(0, 0)
  expect(differences.map(d => [d.about, d.clash?.yours])).toEqual([
    ['subtitle', undefined],
    ['year', '2028'],
  ])
  await data.commitSections('test', 'Take', b => taken(review, b, new Set([differences[0]!.key])))
  expect((await now()).data).toMatchObject({ subtitle: 'With Bells', year: 2028 })
})

test('the file of a round is made once more as it went, whatever was written since', async () => {
  const first = (await data.sendRound('test', { to: 'Ada', form: 'copy', only: ['s1'] }))!
  await data.commitSections('test', 'Write', b => say(b, 0, 'All is changed.'))
  const { book } = await data.sendAgain('test', first.round)
  expect(book).toEqual(first.book)
  expect(texts(book)).toEqual(['The bell rang once.', 'Nobody came.'])
})

test('what came back is kept as a whole book: what did not go out stands in it where it stood', async () => {
  const { round, book } = (await data.sendRound('test', { to: 'Ada', form: 'copy', only: ['s2'] }))!
  const hers = { ...say(book, 0, 'It was winter.'), review: { ...book.review!, changed: {} } }
  await data.takeCopy('test', round, { book: hers, pictures: new Map() })
  const versions = await data.versionsOf('test')
  expect(texts(await data.versionBook(versions.at(-1)!))).toEqual([
    'The bell rang once.',
    'Nobody came.',
    'It was winter.',
  ])
  expect((await looked(0, 0)).differences.map(d => d.kind)).toEqual(['words'])
})

describe('what is not kept any more', () => {
  test('a round whose version was forgotten says so, and takes nothing in', async () => {
    const { round, book } = (await data.sendRound('test', { to: 'Ada', form: 'copy' }))!
    await data.db.blobs.clear()
    await expect(data.takeCopy('test', round, { book, pictures: new Map() })).rejects.toThrow(
      'This version cannot be opened',
    )
    expect((await now()).rounds![0]!.returns).toEqual([])
  })
})
