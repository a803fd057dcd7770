import { beforeAll, expect, test } from '@jest/globals'
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { strFromU8, unzipSync } from 'fflate'
import { almanac } from '../demo/library'
import { readProject } from '@/core/archive'
import { type Book, docText } from '@/core/book'
import { copyOf } from '@/core/copies'
import { shippedProfiles } from '@/core/outlets'
import { against, readReturnedDocx, reviewOf, slipIn } from '@/core/review'
import { changedDocx } from './support/changedDocx'
import { root, run } from './support/run'

/** An office program opens what we make and writes it anew: whatever it makes of the file, the text comes back, and each recorded change. */
const AT = Date.UTC(2026, 10, 29)
const dir = mkdtempSync(join(tmpdir(), 'office-'))
let book: Book
let sent: Book

const office = async (to: string, ...files: string[]): Promise<void> => {
  mkdirSync(join(dir, to), { recursive: true })
  const done = await run('soffice', [
    '--headless',
    `-env:UserInstallation=file://${join(dir, 'profile')}`,
    '--convert-to',
    to,
    '--outdir',
    join(dir, to),
    ...files.map(f => join(dir, f)),
  ])
  expect(done.code).toBe(0)
}
const bytes = (...path: string[]): Uint8Array => new Uint8Array(readFileSync(join(dir, ...path)))

/** What differs between the book and a file that came back. */
async function changesIn(file: Uint8Array) {
  const back = await readReturnedDocx(file, { sent, at: AT, lastId: book.lastId })
  const state = { ...sent, sections: back.sections, assets: [...sent.assets, ...back.assets] }
  const review = reviewOf({ sent, back: state, told: back.told, by: 'nobody', when: 1 })
  return { changes: against(review, book, new Set()).differences, dropped: back.dropped }
}

const CHANGES = [
  { by: 'Ada Quill', when: '2026-11-20T09:30:00Z', gone: 'Seven', came: 'Eight' },
  { by: 'Bo Marsh', when: '2026-11-21T10:00:00Z', gone: 'the almanac room', came: 'the tower' },
  { by: 'Bo Marsh', when: '2026-11-21T10:01:00Z', gone: ' blotted it,', came: '' },
]

beforeAll(async () => {
  const project = readProject(await almanac(root), { known: shippedProfiles })
  book = project.book
  sent = { ...book, sections: book.sections.filter(s => !s.made) }
  const file = await copyOf(book, 'docx', { pictures: project.pictures, round: { id: 'r1', at: AT } })
  writeFileSync(join(dir, 'plain.docx'), file.bytes)
  writeFileSync(join(dir, 'changed.docx'), changedDocx(file.bytes, ...CHANGES))
  writeFileSync(join(dir, 'text.odt'), (await copyOf(book, 'odt', { pictures: project.pictures })).bytes)
  await office('docx', 'plain.docx', 'changed.docx', 'text.odt')
}, 240_000)

test('written anew by an office program and not changed, a file brings no change, and says whose it is', async () => {
  expect(await slipIn(bytes('docx', 'plain.docx'))).toEqual({ book: book.uid ?? book.id, round: 'r1' })
  expect(await changesIn(bytes('docx', 'plain.docx'))).toEqual({ changes: [], dropped: [] })
})

test.each(['as it was changed', 'written anew after that'])(
  'recorded changes: each is shown with who and when, %s',
  async how => {
    const { changes } = await changesIn(
      how === 'as it was changed' ? bytes('changed.docx') : bytes('docx', 'changed.docx'),
    )
    const said = changes.map(({ by, when, parts }) => [
      by,
      new Date(when).toISOString().slice(0, 16),
      parts.flatMap(p => (p.is === 'same' ? [] : [`${p.is} ${p.text.trim()}`])).join('; '),
    ])
    expect(said).toEqual([
      // The word before stayed.
      ['Bo Marsh', '2026-11-21T10:00', 'gone almanac room; new tower'],
      ['Ada Quill', '2026-11-20T09:30', 'gone Seven; new Eight'],
      ['Bo Marsh', '2026-11-21T10:01', 'gone blotted it,'],
    ])
  },
)

test('an open text document: an office program reads every word of it', () => {
  const words = (s: string): string => s.replace(/[^\p{L}\p{N}]/gu, '')
  const parts = unzipSync(bytes('docx', 'text.docx'))
  const read = ['document', 'footnotes']
    .map(n => words(strFromU8(parts[`word/${n}.xml`]!).replace(/<[^>]*>|&\w+;/g, '')))
    .join(' ')
  for (const s of sent.sections)
    for (const b of s.doc.content)
      for (const line of docText({ type: 'doc', content: [b] }).split('\n')) expect(read).toContain(words(line))
})
