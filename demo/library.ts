import { readFile, writeFile, mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import type { Book } from '@/core/book'
import { writeProject } from '@/core/archive'
import { readManuscript } from '@/core/intake'

/** Makes the demo library's project files from its manuscripts: node scripts/assets.mjs runs it. */
export async function almanac(root: string): Promise<Uint8Array> {
  const folder = join(root, 'demo')
  const bytes = async (name: string) => new Uint8Array(await readFile(join(folder, name)))
  const pictures = new Map(await Promise.all(['bell-works.png', 'harbour.png', 'tide-curve.png'].map(async n => [n, await bytes(n)] as const)))
  const read = readManuscript('tidewardens-almanac.md', await bytes('tidewardens-almanac.md'), pictures)
  const book: Book = {
    ...read.book,
    id: 'tidewardens-almanac',
    data: { ...read.book.data, year: 2026, contributors: [{ name: 'Orla Fenwright', sortName: 'Fenwright, Orla', role: 'aut' }], subjects: ['Fiction / Mystery', 'Harbour towns'] },
    sections: read.book.sections.map(s => {
      const { evidence: _evidence, ...rest } = s
      return rest
    }),
    editions: [
      { id: 'paperback', kind: 'paperback', isbn: '9780000001030', trim: '5.5x8.5in', paper: 'cream', ink: 'black', outlets: ['ostrevane'], style: 'harbour-roman', price: 1199 },
      { id: 'ebook', kind: 'ebook', outlets: ['ostrevane', 'pellowick'], style: 'harbour-roman', price: 499 },
    ],
  }
  return writeProject({ book, pictures: read.pictures })
}

export async function writeLibrary(root: string): Promise<void> {
  const out = join(root, 'public/demo')
  await mkdir(out, { recursive: true })
  await writeFile(join(out, 'tidewardens-almanac.porchlight'), await almanac(root))
  await writeFile(join(out, 'library.json'), JSON.stringify({ books: ['tidewardens-almanac.porchlight'] }) + '\n')
}
