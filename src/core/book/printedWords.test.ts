import { describe, expect, test } from '@jest/globals'
import { parseIsbn } from '../trade'
import {
  authorLine,
  type Book,
  copyrightLines,
  createBook,
  docText,
  labels,
  madeDoc,
  newSection,
  printedLanguages,
  printedWords,
  roles,
  type Role,
  seriesLine,
  takeOver,
} from '.'

const isbn = parseIsbn('9780000000002')
const bookIn = (language: string): Book => {
  const b = createBook('b', {
    title: 'Tide',
    subtitle: 'Low',
    series: { name: 'Sound', number: 2 },
    contributors: [
      { name: 'Ada Pell', role: 'aut' },
      { name: 'Ivo Marsh', role: 'aut' },
      { name: 'Una Reed', role: 'trl' },
      { name: 'Odd One', role: 'zzz' },
    ],
    language,
    imprint: { name: 'Saltgrass', place: 'Merrow' },
    year: 2026,
    subjects: [],
  })
  const chapters = [1, 2].map(() => newSection(b, 'chapter'))
  return {
    ...b,
    sections: [...b.sections, newSection(b, 'contents'), ...chapters].map((s, i) => ({ ...s, id: `s${i}` })),
  }
}

describe('the words that a book prints by itself', () => {
  test('are there in every language that is offered, and in no two the same throughout', () => {
    expect(printedLanguages).toEqual(expect.arrayContaining(['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv']))
    expect(printedLanguages).toEqual(expect.arrayContaining(['pl', 'cs', 'da', 'nb', 'fi', 'el', 'ru']))
    const said = printedLanguages.map(l => {
      const w = printedWords(l)
      for (const role of Object.keys(roles) as Role[])
        if (role !== 'chapter' && role !== 'part') expect(w.sections[role]).toMatch(/\p{L}{3}/u)
      for (const [name, t] of Object.entries(w))
        if (typeof t === 'string') expect([name, t.length > 0]).toEqual([name, true])
      expect([w.chapter, w.part].every(t => t.includes('{n}'))).toBe(true)
      expect(w.by).toMatch(/\{title\}.*\{author\}/)
      expect(Object.values(w.as).every(t => t.includes('{name}'))).toBe(true)
      return JSON.stringify(w)
    })
    expect(new Set(said).size).toBe(printedLanguages.length)
    expect(printedWords('de-AT')).toBe(printedWords('de'))
    expect(printedWords('hu')).toBe(printedWords('en'))
  })
  test('name chapters, authors, series and rights in the book’s language', () => {
    const german = bookIn('de')
    const names = [...labels(german.sections, 'de').values()].map(l => l.numberWords ?? l.title)
    expect(names).toEqual(['Titelseite', 'Impressum', 'Inhalt', 'Kapitel eins', 'Kapitel zwei'])
    expect([...labels(german.sections, 'en-GB').values()].at(-1)!.numberWords).toBe('Chapter Two')
    expect(authorLine(german.data)).toBe('Ada Pell und Ivo Marsh')
    expect(seriesLine(german)).toBe('Sound, Band 2')
    expect(copyrightLines(bookIn('fr'), isbn)).toEqual([
      'Tide: Low',
      'Copyright © 2026 Ada Pell et Ivo Marsh',
      'Tous droits réservés.',
      'Traduction de Una Reed',
      'Avec Odd One',
      'Publié par Saltgrass, Merrow',
      'ISBN 978-000000000-2',
    ])
  })
  test('a made page that is taken over begins with the words it was made of, and names of its own', () => {
    const book = bookIn('de')
    for (const s of book.sections.filter(x => x.made)) {
      const taken = takeOver(book, s.id, isbn)
      const now = taken.sections.find(x => x.id === s.id)!
      expect(now.made).toBe(false)
      expect(docText(now.doc)).toBe(docText(madeDoc(book, s, isbn)))
      expect(docText(now.doc)).toContain(
        { 'title-page': 'Ada Pell und Ivo Marsh', copyright: 'Alle Rechte', contents: 'Kapitel eins' }[
          s.role as 'contents'
        ],
      )
      const ids = now.doc.content.map(b => b.attrs.id)
      expect(ids.every(Boolean) && new Set(ids).size === ids.length).toBe(true)
      // Words that it holds of its own come out again; what is written by hand already is not written over.
      const held = { ...book, sections: book.sections.map(x => (x.id === s.id ? { ...x, doc: now.doc } : x)) }
      expect(takeOver(held, s.id, undefined).sections.find(x => x.id === s.id)!.doc).toEqual(now.doc)
      expect(takeOver(taken, s.id, isbn).sections.find(x => x.id === s.id)!.doc).toEqual(now.doc)
    }
  })
})
