import { freeBookId, freshBookId, putBook } from '@/data/books'
import { allOutlets } from '@/data/outlets'
import { settledBook } from '@/data/outletChanges'
import { firstEditions } from '@/core/outlets'
import { hold } from '@/data/waiting'
import { createBook, newSection, turnedTexts, withoutTurns } from '@/core/book'
import { press } from '@/workers/client'

/**
 * Brings a file in: a project becomes a book at once (gives its title), a manuscript waits in the intake room. `without` asks
 * whether signs that turn a title's direction of reading are taken out; `salvage` takes what can be saved of a damaged file.
 */
export async function bringIn(
  file: File,
  without: (shown: string[]) => Promise<boolean>,
  salvage = false,
): Promise<{ title?: string; lost?: string[] }> {
  const read = await press().readFile(file, await allOutlets(), salvage)
  const turned = turnedTexts(read.book.data)
  if (turned.length && (await without(turned))) read.book = { ...read.book, data: withoutTurns(read.book.data) }
  if (!read.project) {
    hold({ file: file.name, read })
    return {}
  }
  // A project keeps its id where no other book has it: what it is exported as again is the same file, its ebook the same ebook.
  const id = await freeBookId(read.book)
  const book = await settledBook({ ...read.book, id }, read.outlets ?? [])
  await putBook({ book, pictures: read.pictures })
  return {
    title: read.book.data.title,
    lost: read.dropped.flatMap(d =>
      d.places.length ? d.places.map(p => `${d.what}: ${p}`) : [`${d.count} ${d.what}`],
    ),
  }
}

/** A new book, on the porch at once: with one empty chapter, or of planned pages. Gives its id. */
export async function beginBook(title: string, author: string, kind: 'text' | 'pages' = 'text'): Promise<string> {
  const id = await freshBookId(title)
  const book = createBook(id, {
    title,
    contributors: author ? [{ name: author, role: 'aut' }] : [],
    language: 'en-GB',
    imprint: { name: '' },
    subjects: [],
  })
  const editions = firstEditions(kind, await allOutlets())
  const whole =
    kind === 'text'
      ? { ...book, sections: [...book.sections, newSection(book, 'chapter')], editions }
      : { ...book, plan: { runs: [] }, editions }
  await putBook({ book: whole, pictures: new Map() })
  return id
}
