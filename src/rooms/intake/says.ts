import type { Book, Edition } from '@/core/book'
import { parseIsbn } from '@/core/trade'

/** What the manuscript says of its book, as the author has it: what is empty is not known. */
export interface Says {
  title: string
  author: string
  year: string
  isbn: string
  rights: string
}

export const saysOf = ({ data }: Pick<Book, 'data'>, isbn: string | undefined): Says => ({
  title: data.title,
  author: data.contributors
    .filter(c => c.role === 'aut')
    .map(c => c.name)
    .join('; '),
  year: data.year ? String(data.year) : '',
  isbn: isbn ?? '',
  rights: data.rights ?? '',
})

/** Why a value cannot be what the book says; undefined where it can. */
export function problemWith(name: keyof Says, value: string): string | undefined {
  const text = value.trim()
  if (name === 'title' && !text) return 'A book wants a title, even for now.'
  if (name === 'year' && text && !/^(1[4-9]|20)\d\d$/.test(text)) return 'A year has four figures.'
  if (name === 'isbn' && text && !parseIsbn(text)) return 'This is no ISBN: its last figure does not fit the others.'
  return undefined
}

/** The book with what is said of it; the ISBN belongs to its print editions. */
export function withSaid(book: Book, { title, author, year, rights, isbn }: Says): Book {
  const { year: _, rights: __, ...data } = book.data
  const names = author
    .split(';')
    .map(n => n.trim())
    .filter(Boolean)
  const known = book.data.contributors
  return {
    ...book,
    data: {
      ...data,
      title,
      contributors: [
        ...names.map(name => known.find(c => c.name === name && c.role === 'aut') ?? { name, role: 'aut' }),
        ...known.filter(c => c.role !== 'aut'),
      ],
      ...(year ? { year: Number(year) } : {}),
      ...(rights ? { rights } : {}),
    },
    editions: book.editions.map((e): Edition =>
      isbn && e.kind !== 'ebook' ? { ...e, isbn: parseIsbn(isbn) ?? isbn } : e,
    ),
  }
}
