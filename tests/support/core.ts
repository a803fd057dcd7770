import { createBook, type Book, type DocJson, type ParagraphJson, type Section } from '@/core/book'
import { harbourRoman, type Interior, type InteriorStyle, Setter } from '@/core/pages'
import { FontShelf } from '@/core/type'
import { fontSource } from '@/cli/ports'

/** One shelf of fonts for all tests of a file: loading them costs more than most tests. */
export const shelf = new FontShelf(fontSource)

export const paragraph = (id: string, text: string): ParagraphJson => ({
  type: 'paragraph',
  attrs: { id, align: null },
  content: text ? [{ type: 'text', text }] : undefined,
})

export const chapter = (id: string, title: string, doc: DocJson): Section => ({
  id,
  part: 'body',
  role: 'chapter',
  title,
  numbered: true,
  made: false,
  doc,
})

export function bookOf(chapters: string[][], title = 'A Book'): Book {
  let n = 0
  return createBook(
    'test',
    {
      title,
      contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
      language: 'en-GB',
      imprint: { name: 'Saltgrass Lane Press' },
      subjects: [],
    },
    chapters.map((paras, i) =>
      chapter(`s${i + 1}`, `Title ${i + 1}`, { type: 'doc', content: paras.map(t => paragraph(`b${++n}`, t)) }),
    ),
  )
}

export const setBook = (
  book: Book,
  style: InteriorStyle = harbourRoman,
  width = 432,
  height = 648,
): Promise<Interior> => new Setter(shelf).set(book, style, { width, height, inside: 0 })
