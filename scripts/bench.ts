import { Document, HeadingLevel, Packer, Paragraph, TextRun } from 'docx'
import { type Book, docWords } from '@/core/book'
import { inspectEpub, writeEpub } from '@/core/epub'
import { readManuscript } from '@/core/intake'
import { evenness, harbourRoman, pageStarts, Setter } from '@/core/pages'
import { pdfBytes } from '@/core/pdf'
import { FontShelf } from '@/core/type'
import { fontSource, nodePdf } from '@/cli/ports'
import { longText } from './lib/longText'

/** Measures one book of N words in this process, cold, and prints a line of JSON. `npm run bench` starts one process a size. */
const words = Number(process.argv[2] ?? 100_000)
const chapters = longText(words, Math.round(words / 2350))

const source = new Uint8Array(
  await Packer.toBuffer(
    new Document({
      sections: [
        {
          children: chapters.flatMap((paras, i) => [
            new Paragraph({ heading: HeadingLevel.HEADING_1, children: [new TextRun(`Chapter ${i + 1}`)] }),
            ...paras.map(t => new Paragraph({ children: [new TextRun(t)] })),
          ]),
        },
      ],
    }),
  ),
)
const lap = async <T>(work: () => T | Promise<T>): Promise<[T, number]> => {
  const start = performance.now()
  const value = await work()
  return [value, performance.now() - start]
}

const [read, readMs] = await lap(() => readManuscript('long.docx', source))
const book = { ...read.book, data: { ...read.book.data, language: 'en-GB' } }
// Cold: HarfBuzz is compiled, fonts are read, every word is shaped for the first time.
const [interior, setMs] = await lap(() =>
  new Setter(new FontShelf(fontSource)).set(book, harbourRoman, { width: 432, height: 648, inside: 0 }),
)
// Each file as an author makes it: alone. What packs the one would otherwise be warm for the other.
const [epub, epubMs] = await lap(() =>
  writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => undefined, pages: pageStarts(interior) }),
)
// Fifty pictures of 300 kB, which are put in as they are, and the file looked over as the app does.
const PICTURES = 50
const noise = Uint8Array.from({ length: 300_000 }, (_, i) => (i * 2654435761) >>> 24)
const illustrated: Book = {
  ...book,
  assets: Array.from({ length: PICTURES }, (_, i) => ({
    id: i.toString(16).padStart(2, '0').padEnd(64, '0'),
    type: 'image/jpeg',
    width: 2400,
    height: 1600,
  })),
  sections: book.sections.map((s, i) =>
    s.made
      ? s
      : {
          ...s,
          doc: {
            ...s.doc,
            content: s.doc.content.flatMap((b, at) => {
              const asset = ((i * 7 + at) % PICTURES).toString(16).padStart(2, '0').padEnd(64, '0')
              const attrs = { id: `pic${i}-${at}`, asset, alt: 'A chart', decoration: false, share: 1 }
              return at % 40 === 3 ? [b, { type: 'image' as const, attrs }] : [b]
            }),
          },
        },
  ),
}
const [pictured, picturedMs] = await lap(() => {
  const made = writeEpub(illustrated, {
    date: '2026-01-01T00:00:00Z',
    picture: () => noise,
    pages: pageStarts(interior),
  })
  if (inspectEpub(made).length) throw new Error('the ebook is not sound')
  return made
})
const [pdf, pdfMs] = await lap(async () =>
  pdfBytes(
    interior.pages,
    { title: 'Long', language: 'en-GB', date: '2026-01-01T00:00:00Z', grey: true },
    await nodePdf({ bytes: async () => undefined, decode: () => Promise.reject(new Error('no pictures')) }),
  ),
)
const counted = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
process.stdout.write(
  JSON.stringify({
    words: counted,
    pages: interior.pages.length,
    measureIn: interior.block.width / 72,
    readMs,
    setMs,
    pdfMs,
    epubMs,
    picturedMs,
    picturedBytes: pictured.length,
    pdfBytes: pdf.length,
    epubBytes: epub.length,
    memoryMb: process.resourceUsage().maxRSS / 1024,
    ...evenness(interior.stats),
    unmet: interior.stats.unmet,
    hyphens: interior.stats.hyphens,
    lines: interior.stats.lines,
  }) + '\n',
)
