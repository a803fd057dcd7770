import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BlockJson, type Book, createBook, type ListJson, type Section } from '@/core/book'
import { checkEpub, writeEpub } from '@/core/epub'
import { anyDoc, somePictures, someRecordings } from './support/arbitrary'
import { bookOf, chapter, paragraph } from './support/core'
import { cases } from './support/deep'
import { silence } from './support/recordings'
import { run } from './support/run'

/** Books as nobody means to write them: a checker that knows nothing of us has nothing to say against their ebooks. */

const dir = mkdtempSync(join(tmpdir(), 'porchlight-strange-'))
const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
const files = (id: string): Uint8Array | undefined => (id === 'bell' ? silence(20) : id === 'gone' ? undefined : png)

async function judged(name: string, book: Book): Promise<string> {
  const file = join(dir, `${name}.epub`)
  const epub = writeEpub(book, {
    date: '2026-03-09T04:10:00Z',
    picture: files,
    cover: { bytes: png, type: 'image/png' },
    pages: book.sections.flatMap((s, i) =>
      i % 2 ? [] : [{ label: `${i + 1}`, section: s.id, block: s.doc.content[0]?.attrs.id ?? '', chars: 3 }],
    ),
    printed: 'urn:isbn:9780000001030',
    contentsPage: true,
  })
  writeFileSync(file, epub)
  const stops = checkEpub(epub).filter(f => f.severity === 'stop')
  const r = await run('java', ['-XX:TieredStopAtLevel=1', '-jar', '/usr/share/java/epubcheck.jar', file])
  return [
    ...stops.map(f => f.message),
    r.err.trim(),
    r.out
      .split('\n')
      .filter(l => /ERROR|WARNING|FATAL/.test(l))
      .join('\n'),
  ]
    .filter(Boolean)
    .join('\n')
}

/** A list in a list, so many deep. */
const nested = (depth: number): ListJson => ({
  type: 'list',
  attrs: { id: `l${depth}`, ordered: depth % 2 === 0, start: depth === 2 ? 7 : 1 },
  content: [
    {
      type: 'item',
      content: [{ ...paragraph(`lp${depth}`, `Depth ${depth}`) }, ...(depth > 1 ? [nested(depth - 1)] : [])],
    },
  ],
})

test('odd titles, nested lists, missing pictures, emoji, empty sections', async () => {
  const image = (id: string, asset: string, more: object = {}): BlockJson => ({
    type: 'image',
    attrs: { id, asset, alt: 'A “lamp” & <more>', decoration: false, share: 1, ...more },
  })
  const titles = [
    '',
    ' ',
    '<b>Salt & “Rope”</b>',
    '🐝🦀 Bees',
    '…',
    '字の章',
    'A\nB',
    '‏שלום',
    '—'.repeat(300),
    ']]>',
    '&amp;',
  ]
  const sections: Section[] = titles.map((title, i) => ({
    ...chapter(`s${i + 1}`, title, {
      type: 'doc',
      content:
        i === 0
          ? [paragraph(`e${i}`, '')]
          : [
              paragraph(`p${i}`, '👩‍👩‍👧‍👦 rang the 🔔 at 7\u00a0o’clock\u200d, & <so> on ]]>'),
              ...(i === 3 ? [nested(6)] : []),
              ...(i === 4 ? [image('m1', 'gone'), image('m2', 'nowhere', { plays: 'lost', spoken: 'A bell.' })] : []),
              ...(i === 5 ? [image('m3', 'wide', { crop: { top: 0.1, right: 0, bottom: 0, left: 0.2 } })] : []),
              { type: 'scene_break' as const, attrs: { id: `k${i}` } },
            ],
    }),
    ...(i === 6 ? { subtitle: '🦀' } : {}),
  }))
  const plain = bookOf([])
  const book = createBook('strange', { ...plain.data, title: '<Tide> & 🐝', subtitle: ']]> “so”' }, sections)
  const empty: Section = { ...chapter('s90', '', { type: 'doc', content: [paragraph('e90', '')] }), part: 'back' }
  expect(
    await judged('strange', {
      ...book,
      assets: somePictures,
      sections: [...book.sections, { ...empty, role: 'notes' }],
    }),
  ).toBe('')
}, 60_000)

test('texts of every node and mark, by chance', async () => {
  const docs = fc.sample(anyDoc, { numRuns: cases(40, 300), seed: 20261128 })
  const sections = docs.map((doc, i) => chapter(`s${i + 1}`, `Text ${i + 1}`, doc))
  const book = createBook('any', bookOf([]).data, sections)
  // What is wrong in what was written by chance is its author's.
  const said = await judged('any', { ...book, assets: somePictures, recordings: someRecordings })
  expect(said).toBe('')
}, 120_000)
