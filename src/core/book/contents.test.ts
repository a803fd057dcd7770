import { expect, test } from '@jest/globals'
import { strFromU8, unzipSync } from 'fflate'
import { bookOf, setBook } from '../../../tests/support/core'
import { pageText } from '../marks'
import { linkPages, pageOf } from '../pages'
import { outlineOf } from '../delivery'
import { writeEpub } from '../epub'
import { readManuscript } from '../intake'
import {
  type BlockJson,
  type Book,
  contentsEntries,
  headingsIn,
  isListed,
  listable,
  listsBareNumbers,
  newSection,
  withEntry,
} from '.'

const plain = bookOf([['One.'], ['Two.'], ['Three.']])
const withIn = (id: string, patch: object): Book => ({
  ...plain,
  sections: plain.sections.map(s => (s.id === id ? { ...s, ...patch } : s)),
})
const contents = plain.sections.find(s => s.role === 'contents')!
const navOf = (book: Book): string => {
  const files = unzipSync(writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => undefined }))
  return strFromU8(Object.entries(files).find(([name]) => name.endsWith('nav.xhtml'))![1])
}

test('an entry that is left out is in no contents, of print or ebook; its section stays', async () => {
  const book = withIn('s2', { unlisted: true })
  const { pages, starts } = await setBook(book)
  const list = pageText(pages[starts.get(contents.id)!]!)
  expect([list.includes('Title 1'), list.includes('Title 2'), list.includes('Title 3')]).toEqual([true, false, true])
  expect(starts.has('s2')).toBe(true)
  const nav = navOf(book)
  expect([nav.includes('Title 1'), nav.includes('Title 2')]).toEqual([true, false])
  expect(book.sections.filter(isListed).map(s => s.id)).toEqual(['s1', 's3'])
})

test('contents that stay out of print are in the ebook', async () => {
  const book = withIn(contents.id, { unprinted: true })
  expect((await setBook(book)).starts.has(contents.id)).toBe(false)
  expect(navOf(book)).toContain('Title 2')
})

test('a list of numbers with hardly a title is known', () => {
  const untitled = (n: number): Book => ({
    ...plain,
    sections: plain.sections.map(s => (s.role === 'chapter' && Number(s.id.slice(1)) <= n ? { ...s, title: '' } : s)),
  })
  expect([0, 1, 2, 3].map(n => listsBareNumbers(untitled(n).sections, 'en'))).toEqual([false, false, true, true])
  expect(
    listsBareNumbers(
      plain.sections.map(s => ({ ...s, numbered: false, title: '' })),
      'en',
    ),
  ).toBe(false)
})

/** Three chapters of long text with headings inside, the second a part's. */
const deep = (depth: number, omits: string[] = []): Book => {
  const long = Array.from({ length: 14 }, (_, i) => `${i} The tide went out past the last of the piles. `.repeat(12))
  const book = bookOf([long, long, long])
  return {
    ...book,
    sections: book.sections.map(s => {
      if (s.role === 'contents') return { ...s, depth, omits }
      if (s.made) return s
      const content = s.doc.content.flatMap((b, i): BlockJson[] => {
        const level = i % 5 === 2 ? 1 : i % 5 === 4 ? 2 : 0
        const id = `${s.id}h${i}`
        return level
          ? [{ type: 'heading', attrs: { id, level }, content: [{ type: 'text', text: `Of ${id}` }] }, b]
          : [b]
      })
      return { ...s, doc: { ...s.doc, content } }
    }),
  }
}

test('contents list headings as deep as they are told to, each with the folio of its page', async () => {
  const counts = [0, 1, 2].map(d => contentsEntries(deep(d).sections, 'en').length)
  expect(counts).toEqual([3, 12, 18])
  const book = deep(2, ['s2h2'])
  const interior = await setBook(book)
  const [from, to] = [contents.id, 's1'].map(id => interior.starts.get(id)!) as [number, number]
  const list = interior.pages.slice(from, to).map(pageText).join('\n')
  const entries = contentsEntries(book.sections, 'en')
  expect(entries.filter(e => e.block)).toHaveLength(14)
  for (const { section, block, title } of entries) {
    const page = pageOf(interior, section, block)!
    expect(list).toMatch(new RegExp(`${title} *\\n? *${interior.pages[page]!.label}(\\n|$)`))
  }
  expect(list).not.toContain('Of s2h2')
  // What the contents lead to has a page that a file can lead to.
  const pages = linkPages(interior, book.sections)
  for (const e of entries) expect(pages.get(e.block ?? e.section)).toBe(pageOf(interior, e.section, e.block))
})

test('the ebook’s contents and a PDF’s outline stand as deep, and lead to the headings; what is read back has the same chapters', async () => {
  const book = deep(2)
  const part = newSection(book, 'part')
  const parted = {
    ...book,
    sections: book.sections.flatMap(s => (s.id === 's2' ? [{ ...part, title: 'Ebb' }, s] : [s])),
  }
  const bytes = writeEpub(parted, { date: '2026-01-01T00:00:00Z', picture: () => undefined })
  const files = unzipSync(bytes)
  const text = (name: string): string => strFromU8(Object.entries(files).find(([n]) => n.endsWith(name))![1])
  // Lists within lists, counted as a reader goes through them.
  let [at, most] = [0, 0]
  for (const [tag] of text('nav.xhtml')
    .split('</nav>')[0]!
    .matchAll(/<\/?ol>/g)) {
    at += tag === '<ol>' ? 1 : -1
    most = Math.max(most, at)
  }
  expect([at, most]).toEqual([0, 4])
  for (const [, href] of text('nav.xhtml').matchAll(/href="([^"#]+#[^"]+)"/g)) {
    const [file, id] = href!.split('#')
    expect(text(file!)).toContain(`id="${id}"`)
  }
  expect(text('toc.ncx')).toContain('<meta name="dtb:depth" content="4"/>')
  const orders = [...text('toc.ncx').matchAll(/playOrder="(\d+)"/g)].map(m => Number(m[1]))
  expect(orders).toEqual(orders.map((_, i) => i + 1))

  const outline = outlineOf(parted, await setBook(parted))
  expect([...new Set(outline.map(o => o.depth))].sort()).toEqual([0, 1, 2, 3])
  expect(outline.filter(o => o.title.startsWith('Of '))).toHaveLength(15)

  const { book: back } = readManuscript('x.epub', bytes)
  expect(back.sections.filter(s => s.role === 'chapter').map(s => s.title)).toEqual(['Title 1', 'Title 2', 'Title 3'])
  expect(back.sections.flatMap(s => headingsIn(s.doc)).map(h => [h.words, h.level])).toEqual(
    book.sections.flatMap(s => headingsIn(s.doc)).map(h => [h.words, h.level]),
  )
})

test('an entry is left out and put in again by one operation, a heading or a section', () => {
  const book = deep(1)
  const entries = listable(book.sections, 'en')
  for (const e of entries) {
    const without = withEntry(book.sections, e, false)
    const left = entries.length - contentsEntries(without, 'en').length
    // With a section go its headings.
    expect(left).toBe(e.block ? 1 : 4)
    expect(contentsEntries(withEntry(without, e, true), 'en')).toEqual(contentsEntries(book.sections, 'en'))
  }
})
