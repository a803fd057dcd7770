import { readFile, writeFile, mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import type { Book, ImageJson } from '@/core/book'
import { writeProject } from '@/core/archive'
import { readManuscript } from '@/core/intake'
import { wearing } from './covers'
import { apiary, hedgerow, lettersLarge, tideYear } from './planned'

/** Makes the demo library's project files from its manuscripts: node scripts/assets.mjs runs it. */
export async function almanac(root: string): Promise<Uint8Array> {
  const folder = join(root, 'demo')
  const bytes = async (name: string) => new Uint8Array(await readFile(join(folder, name)))
  const pictures = new Map(
    await Promise.all(['bell-works.png', 'harbour.png', 'tide-curve.png'].map(async n => [n, await bytes(n)] as const)),
  )
  const read = readManuscript('tidewardens-almanac.md', await bytes('tidewardens-almanac.md'), pictures)
  const nameOf = (asset: string): string => read.book.assets.find(a => a.id === asset)?.name ?? ''
  // One beside the text, the others in the measure.
  const stands: Record<string, Partial<ImageJson['attrs']>> = { 'bell-works.png': { stands: 'right', share: 0.46 } }
  const book: Book = {
    ...read.book,
    id: 'tidewardens-almanac',
    data: {
      ...read.book.data,
      year: 2026,
      contributors: [{ name: 'Orla Fenwright', sortName: 'Fenwright, Orla', role: 'aut' }],
      subjects: ['Fiction / Mystery', 'Harbour towns'],
    },
    sections: read.book.sections.map(s => {
      const { evidence: _evidence, ...rest } = s
      return {
        ...rest,
        doc: {
          ...s.doc,
          content: s.doc.content.map(b =>
            b.type === 'image' && stands[nameOf(b.attrs.asset)]
              ? { ...b, attrs: { ...b.attrs, ...stands[nameOf(b.attrs.asset)] } }
              : b,
          ),
        },
      }
    }),
    editions: [
      {
        id: 'paperback',
        kind: 'paperback',
        isbn: '9780000001030',
        trim: '5.5x8.5in',
        paper: 'cream',
        ink: 'black',
        outlets: ['ostrevane'],
        style: 'harbour-roman',
        prices: { USD: 1199 },
      },
      { id: 'ebook', kind: 'ebook', outlets: ['ostrevane', 'pellowick'], style: 'harbour-roman', prices: { USD: 499 } },
    ],
  }
  return writeProject({ book, pictures: read.pictures })
}

/** The second novel, begun: three chapters stand. */
export async function regatta(root: string): Promise<Uint8Array> {
  const read = readManuscript(
    'lampblack-regatta.md',
    new Uint8Array(await readFile(join(root, 'demo/lampblack-regatta.md'))),
  )
  const book: Book = {
    ...read.book,
    id: 'lampblack-regatta',
    data: {
      ...read.book.data,
      year: 2027,
      contributors: [{ name: 'Orla Fenwright', sortName: 'Fenwright, Orla', role: 'aut' }],
      subjects: ['Fiction / Mystery'],
    },
    sections: read.book.sections.map(({ evidence: _evidence, ...rest }) => rest),
    // The same as the first of the series, in another light.
    cover: wearing('lamp-over-tide', 'plum'),
    editions: [
      {
        id: 'paperback',
        kind: 'paperback',
        trim: '5.5x8.5in',
        paper: 'cream',
        ink: 'black',
        outlets: ['ostrevane'],
        style: 'harbour-roman',
      },
      { id: 'ebook', kind: 'ebook', outlets: ['ostrevane', 'pellowick'], style: 'harbour-roman' },
    ],
  }
  return writeProject({ book, pictures: read.pictures })
}

/** Writes the demo library and its list. */
export async function writeLibrary(root: string): Promise<void> {
  const out = join(root, 'public/demo')
  await mkdir(out, { recursive: true })
  const books: [string, Uint8Array][] = [
    ['tidewardens-almanac', await almanac(root)],
    ['lampblack-regatta', await regatta(root)],
    ['hedgerow-and-hive', hedgerow()],
    ['small-apiary-logbook', apiary()],
    ['letters-writ-large', lettersLarge()],
    ['gezeitenjahr-2027', tideYear()],
  ]
  for (const [name, bytes] of books) await writeFile(join(out, `${name}.porchlight`), bytes)
  await writeFile(
    join(out, 'library.json'),
    JSON.stringify({ books: books.map(([name]) => `${name}.porchlight`) }) + '\n',
  )
}
