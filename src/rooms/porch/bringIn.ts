import { freeBookId, freshBookId, getBook, putBook } from '@/data/books'
import { homeOf, takeCopy, takeReturn } from '@/data/rounds'
import { keepBook } from '@/data/versions'
import { allOutlets } from '@/data/outlets'
import { settledBook } from '@/data/outletChanges'
import { firstEditions } from '@/core/outlets'
import { hold } from '@/data/waiting'
import { createBook, newSection, turnedTexts, withoutTurns } from '@/core/book'
import { press } from '@/workers/client'

/**
 * Brings a file in: a project becomes a book at once (gives its title), a manuscript waits in the intake room. `without` asks
 * whether signs that turn a title's direction of reading are taken out; `salvage` takes what can be saved of a damaged file. What went out
 * from a book here and comes back goes to that: `from` says who sent it.
 */
export async function bringIn(
  file: File,
  without: (shown: string[]) => Promise<boolean>,
  salvage = false,
): Promise<{ title?: string; lost?: string[]; from?: string }> {
  const home = await broughtHome(file)
  if (home) return home
  const read = await press().readFile(file, await allOutlets(), salvage)
  const copy = read.book.review?.changed && (await homeOf(read.book.review))
  if (copy) {
    await takeCopy(copy.id, copy.round, read)
    return { title: read.book.data.title, from: read.book.review!.by }
  }
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
  // Somebody else’s: how it came is kept, to see what was changed.
  if (book.review) await keepBook(book, { label: 'As it came' })
  return {
    title: read.book.data.title,
    lost: read.dropped.flatMap(d =>
      d.places.length ? d.places.map(p => `${d.what}: ${p}`) : [`${d.count} ${d.what}`],
    ),
  }
}

/** A word-processor file that went out from a book of this library: what is in it waits there to be taken or refused. */
async function broughtHome(file: File): Promise<{ title: string; from: string } | undefined> {
  if (!/\.docx$/i.test(file.name)) return undefined
  const bytes = new Uint8Array(await file.arrayBuffer())
  // One that cannot be read is a manuscript that cannot: that is said where it is read.
  const slip = await press()
    .slipIn(bytes)
    .catch(() => undefined)
  const home = slip?.round ? await homeOf({ of: slip.book, round: slip.round }) : undefined
  if (!home) return undefined
  const { id, round } = home
  await takeReturn(id, round, round.to, (sent, lastId) => press().readReturned(bytes, { sent, at: round.at, lastId }))
  const stored = await getBook(id)
  return { title: stored?.book.data.title ?? id, from: round.to }
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
