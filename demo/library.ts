import { readFile, writeFile, mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import { type Book, createBook, type ImageJson } from '@/core/book'
import { rows } from '@/core/cover'
import { writeProject } from '@/core/archive'
import { readManuscript } from '@/core/intake'

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

const imprint = { name: 'Saltgrass Lane Press', place: 'Merrow Sound' }

/** The activity book, for now as pages to write and draw in. */
export function hedgerow(): Uint8Array {
  const made = createBook('hedgerow-and-hive', {
    title: 'Hedgerow & Hive',
    subtitle: 'Puzzles for Slow Afternoons',
    contributors: [{ name: 'Orla Fenwright', sortName: 'Fenwright, Orla', role: 'aut' }],
    language: 'en-GB',
    imprint,
    year: 2026,
    subjects: ['Games / Word puzzles'],
    description:
      'A book to sit with when the bees are busy and you need not be. Room to write what you heard, to draw what you saw, and to work things out in no hurry at all.',
  })
  const book: Book = {
    ...made,
    plan: {
      runs: [
        {
          id: 'r1',
          kind: 'lined',
          pages: 24,
          heading: { words: 'What the hedge said' },
          seed: 1,
          params: { spacing: 22, tone: 0.3 },
        },
        { id: 'r2', kind: 'dot', pages: 48, seed: 1, params: { spacing: 14.4, tone: 0.4 } },
        {
          id: 'r3',
          kind: 'lined',
          pages: 20,
          heading: { words: 'Slow afternoons' },
          seed: 1,
          params: { spacing: 22, tone: 0.3 },
        },
        { id: 'r4', kind: 'blank', pages: 4, seed: 1, params: {} },
      ],
    },
    cover: {
      ...rows,
      ground: { colour: '#3d5a45' },
      motif: { ...rows.motif, light: '#5b7a5f', dark: '#2a4030', accent: '#4a6a50' },
    },
    editions: [
      {
        id: 'paperback',
        kind: 'paperback',
        isbn: '9780000002020',
        trim: '8x10in',
        paper: 'white',
        ink: 'black',
        outlets: ['ostrevane'],
        style: 'harbour-roman',
        prices: { USD: 799 },
      },
    ],
  }
  return writeProject({ book, pictures: new Map() })
}

/** The coil-bound log. */
export function apiary(): Uint8Array {
  const made = createBook('small-apiary-logbook', {
    title: 'The Small Apiary Logbook',
    subtitle: 'Inspections, Swarms and Harvests',
    contributors: [{ name: 'Orla Fenwright', sortName: 'Fenwright, Orla', role: 'aut' }],
    language: 'en-GB',
    imprint,
    year: 2026,
    subjects: ['Hobbies / Beekeeping'],
    description:
      'For keepers of one to five colonies: an inspection a line, a page for each harvest, and dotted leaves for the plan of the stand. It lies flat on the roof of a hive.',
  })
  const book: Book = {
    ...made,
    plan: {
      runs: [
        {
          id: 'r1',
          kind: 'log',
          pages: 96,
          heading: { words: 'Inspections' },
          seed: 1,
          params: {
            spacing: 24,
            tone: 0.45,
            columns: [
              { name: 'Date', share: 1.2 },
              { name: 'Colony', share: 1 },
              { name: 'Queen', share: 1.1 },
              { name: 'Brood frames', share: 1.1 },
              { name: 'Stores', share: 1.1 },
              { name: 'Temper', share: 1 },
              { name: 'What I saw and did', share: 5 },
            ],
          },
        },
        {
          id: 'r2',
          kind: 'log',
          pages: 20,
          heading: { words: 'Harvests' },
          seed: 1,
          params: {
            spacing: 26,
            tone: 0.45,
            columns: [
              { name: 'Date', share: 1 },
              { name: 'Hive', share: 1 },
              { name: 'Frames', share: 1 },
              { name: 'Weight', share: 1 },
              { name: 'Water', share: 1 },
              { name: 'Notes', share: 3 },
            ],
          },
        },
        {
          id: 'r3',
          kind: 'dot',
          pages: 12,
          heading: { words: 'The stand' },
          seed: 1,
          params: { spacing: 14.4, tone: 0.4 },
        },
      ],
    },
    editions: [
      {
        id: 'coil',
        kind: 'coil',
        isbn: '9780000002037',
        trim: 'A5',
        paper: 'white',
        ink: 'black',
        outlets: ['tarnbrook'],
        style: 'harbour-roman',
        prices: { USD: 1499 },
      },
    ],
  }
  return writeProject({ book, pictures: new Map() })
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
  ]
  for (const [name, bytes] of books) await writeFile(join(out, `${name}.porchlight`), bytes)
  await writeFile(
    join(out, 'library.json'),
    JSON.stringify({ books: books.map(([name]) => `${name}.porchlight`) }) + '\n',
  )
}
