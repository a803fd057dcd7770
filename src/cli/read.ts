import { parseArgs } from 'node:util'
import { bookText, docWords, labels, roles } from '@/core/book'
import { Fault } from '@/core/trade'
import { openBook } from './files'

/** `press read FILE [--text]`: the book as understood, as JSON or as running text. */
export async function runRead(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({ args, options: { text: { type: 'boolean' } }, allowPositionals: true })
  if (positionals.length !== 1) throw new Fault('usage', 'Say which file to read: press read FILE [--text]')
  const { book, dropped, cleaned, isbn } = await openBook(positionals[0]!)
  if (values.text) {
    process.stdout.write(bookText(book) + '\n')
    return
  }
  const names = labels(book.sections, book.data.language)
  const report = {
    title: book.data.title,
    ...(book.data.subtitle ? { subtitle: book.data.subtitle } : {}),
    authors: book.data.contributors.filter(c => c.role === 'aut').map(c => c.name),
    language: book.data.language,
    ...(isbn ? { isbn } : {}),
    words: book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0),
    sections: book.sections.map(s => ({
      id: s.id,
      part: s.part,
      role: s.role,
      name: roles[s.role].name,
      title: s.title,
      ...(s.subtitle ? { subtitle: s.subtitle } : {}),
      number: names.get(s.id)?.number ?? null,
      made: s.made,
      words: s.made ? 0 : docWords(s.doc),
      evidence: s.evidence ?? [],
    })),
    pictures: book.assets.map(a => ({ width: a.width, height: a.height, type: a.type })),
    dropped,
    cleaned,
  }
  process.stdout.write(JSON.stringify(report, null, 2) + '\n')
}
