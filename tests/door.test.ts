import { execFileSync } from 'node:child_process'
import { beforeAll, describe, expect, test } from '@jest/globals'
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { strToU8, zipSync } from 'fflate'
import { pressed } from '@/cli/pressed'
import { press } from './support/run'

const dir = mkdtempSync(join(tmpdir(), 'porchlight-door-'))
const at = (name: string, bytes: string | Uint8Array): string => {
  writeFileSync(join(dir, name), bytes)
  return join(dir, name)
}
beforeAll(async () => void (await press('cost', '--pages', '100')), 60_000)

/** A pipe that nobody writes into. */
function pipe(): string {
  const path = join(dir, 'pipe.docx')
  if (!existsSync(path)) execFileSync('mkfifo', [path])
  return path
}

describe('press answers bad input with one plain line', () => {
  const small = zipSync({
    'word/document.xml': strToU8(
      '<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body><w:p><w:r><w:t>x</w:t></w:r></w:p></w:body></w:document>',
    ),
  })
  const bomb = (): Uint8Array => zipSync({ 'word/document.xml': new Uint8Array(60e6) }, { level: 1 })
  test.each<[string, () => string[], RegExp]>([
    ['no verb', () => [], /press read FILE/],
    ['no such file', () => ['read', join(dir, 'nowhere.docx')], /no file “nowhere.docx”/],
    ['a folder', () => ['read', dir], /is a folder/],
    ['empty', () => ['read', at('empty.docx', '')], /is empty/],
    ['damaged', () => ['read', at('damaged.docx', small.slice(0, small.length - 40))], /damaged/],
    ['text that says it is a docx', () => ['read', at('text.docx', 'hello')], /damaged/],
    [
      'a picture that says it is Markdown',
      () => ['read', at('p.md', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0]))],
      /a picture/,
    ],
    [
      'the older binary kind',
      () => ['make', at('old.doc', Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, 1, 2])), '--out', join(dir, 'o')],
      /older binary kind/,
    ],
    ['a bomb', () => ['read', at('bomb.docx', bomb())], /far more than a book/],
    [
      'entities',
      () => [
        'read',
        at('e.docx', zipSync({ 'word/document.xml': strToU8('<!DOCTYPE x [<!ENTITY a "aaaa">]><x>&a;</x>') })),
      ],
      /entities/,
    ],
    ['a climbing path', () => ['read', at('c.docx', zipSync({ '../up.xml': strToU8('x') }))], /climbs/],
    [
      'a wrong trim',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(dir, 'o'), '--trim', '999999999x1in'],
      /is no trim/,
    ],
    [
      'a wrong ISBN',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(dir, 'o'), '--isbn', '9780000000003'],
      /is no ISBN/,
    ],
    [
      'no such outlet',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(dir, 'o'), '--outlet', 'x'.repeat(500)],
      /There is no outlet/,
    ],
    [
      'no such style',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(dir, 'o'), '--style', 'x'],
      /There is no style/,
    ],
    [
      'no such paper',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(dir, 'o'), '--paper', 'parchment'],
      /no paper/,
    ],
    ['a huge number', () => ['cost', '--pages', '9'.repeat(400)], /cannot be the pages/],
    ['too many pages', () => ['cost', '--pages', '9000'], /more than Ostrevane binds/],
    ['an unknown option', () => ['cost', '--colour', 'red'], /colour/],
    ['a named pipe', () => ['read', pipe()], /is no file that can be read whole/],
    ['a device without an end', () => ['read', '/dev/zero'], /is no file that can be read whole/],
    [
      'an out that is a file',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(at('t.md', '# A\n\nb'), 'o')],
      /Nothing can be written to/,
    ],
    [
      'a day that there is not',
      () => ['make', at('t.md', '# A\n\nb'), '--out', join(dir, 'o'), '--date', '2026-02-31'],
      /is no date/,
    ],
    [
      'a project that was tampered with',
      () => [
        'read',
        at(
          'x.porchlight',
          zipSync({
            mimetype: [strToU8('application/vnd.porchlight.project+zip'), { level: 0 }],
            'project.json': strToU8('{"format":"porchlight-project","version":1,"book":{"sections":[{"id":"s1"}]}}'),
          }),
        ),
      ],
      /damaged/,
    ],
    ['a kind of puzzle that is none', () => ['puzzles', 'riddle'], /no kind of puzzle called “riddle”/],
    [
      'a value that a kind does not have',
      () => ['puzzles', 'maze', '--set', 'ends=crooked'],
      /“ends” cannot be “crooked”/,
    ],
    [
      'values that lead to no puzzle',
      () => ['puzzles', 'sudoku', '--set', 'size=4', '--set', 'band=hard'],
      /never hard/,
    ],
    [
      'a shape that is none',
      () => ['puzzles', 'maze', '--set', `own=${at('shape.json', '[1]')}`],
      /make no maze puzzle/,
    ],
    [
      'a shape that is no JSON',
      () => ['puzzles', 'maze', '--set', `own=${at('shape.txt', 'heart')}`],
      /holds no shape/,
    ],
    ['words for a kind without any', () => ['puzzles', 'maze', '--words', at('w.txt', 'tide')], /made of no words/],
  ])(
    '%s',
    async (_name, args, message) => {
      // Within this program: a process for each would take half a minute. That a process answers so is tried below.
      const begun = Date.now()
      const line = await pressed(args())
      expect(line).toMatch(message)
      expect(line!.split('\n')).toHaveLength(1)
      expect(line).not.toMatch(/ at .*:\d+|node:internal/)
      expect(Date.now() - begun).toBeLessThan(10_000)
      expect(existsSync(join(dir, 'o'))).toBe(false)
    },
    30_000,
  )
  test('a process says it on standard error, and ends with 1', async () => {
    for (const args of [[], ['read', at('damaged.docx', small.slice(0, small.length - 40))]]) {
      const r = await press(...args)
      expect([r.code, r.out, r.err.trim()]).toEqual([1, '', await pressed(args)])
    }
  })
})

describe('press', () => {
  const text =
    '---\ntitle: A Small Book\nauthor: Orla Fenwright\nlang: en-GB\n---\n\n# Chapter One: First\n\nThe tide.[^1]\n\n# Chapter Two\n\nAnd again.\n\n[^1]: A note.\n'
  test('read gives the book as understood, and its running text', async () => {
    const file = at('small.md', text)
    const json = JSON.parse((await press('read', file)).out) as {
      title: string
      words: number
      sections: { role: string; title: string; number: number | null; evidence: string[] }[]
    }
    expect(json).toMatchObject({ title: 'A Small Book', words: 6 })
    expect(json.sections.filter(s => s.role === 'chapter')).toMatchObject([
      { number: 1, title: 'First', evidence: [expect.any(String), expect.any(String)] },
      { number: 2, title: '' },
    ])
    expect((await press('read', file, '--text')).out.split(/\s+/).filter(Boolean)).toEqual([
      'First',
      'The',
      'tide.',
      'A',
      'note.',
      'And',
      'again.',
    ])
  })
  test('make writes five files, the same ones for the same book', async () => {
    const file = at('small.md', text)
    const read = (d: string) =>
      ['interior.pdf', 'book.epub', 'cover.pdf', 'cover.jpg'].map(f => readFileSync(join(dir, d, f)).toString('base64'))
    for (const d of ['a', 'b'])
      expect(
        (
          await press(
            'make',
            file,
            '--out',
            join(dir, d),
            '--date',
            '2026-01-01',
            '--title',
            'Else & More',
            '--author',
            'A. Pell',
          )
        ).code,
      ).toBe(0)
    expect(read('b')).toEqual(read('a'))
    const report = JSON.parse(readFileSync(join(dir, 'a', 'report.json'), 'utf8')) as Record<string, unknown>
    expect(Object.keys(report)).toEqual(
      expect.arrayContaining(['pages', 'words', 'spinePt', 'cover', 'findings', 'milliseconds']),
    )
    expect(report.milliseconds).toEqual({
      read: expect.any(Number),
      set: expect.any(Number),
      pdf: expect.any(Number),
      epub: expect.any(Number),
      cover: expect.any(Number),
    })
    expect(report.title).toBe('Else & More')
  }, 60_000)
  test('puzzles prints as many as are asked for, the same ones for the same seed, of words and in a shape of one’s own', async () => {
    const cells = Array.from({ length: 12 * 12 }, (_, i) => i).filter(i => i % 12 < 8)
    const shape = { says: '', rings: [], scale: 100, right: 0, down: 0, turned: [{ rows: 12, cols: 12, cells }] }
    const ask = async (seed: string): Promise<string> => {
      const set = ['rows=12', 'cols=12', 'count=4', 'outline=own', `own=${at('own.json', JSON.stringify(shape))}`]
      const words = at('words.txt', 'anchor\ntide\nbuoy\npier\n')
      const options = ['--count', '3', '--seed', seed, '--words', words, '--json']
      const { out, err } = await press('puzzles', 'word-search', ...options, ...set.flatMap(s => ['--set', s]))
      expect(err).toBe('')
      return out
    }
    const out = await ask('7')
    expect(await ask('7')).toBe(out)
    expect(await ask('8')).not.toBe(out)
    const printed = out
      .trim()
      .split('\n')
      .map(line => JSON.parse(line) as { kind: string; cells: string[]; words: { word: string }[] })
    expect(printed).toHaveLength(3)
    for (const { kind, cells: rows, words } of printed) {
      expect(kind).toBe('word-search')
      expect(words.map(w => w.word).sort()).toEqual(['ANCHOR', 'BUOY', 'PIER', 'TIDE'])
      for (const row of rows) expect(row).toMatch(/^[A-Z]{8}\.{4}$/)
    }
  }, 60_000)
  test('cost reckons a book that is not here', async () => {
    const r = JSON.parse(
      (
        await press(
          'cost',
          '--outlet',
          'ostrevane',
          '--trim',
          '6x9in',
          '--paper',
          'cream',
          '--ink',
          'black',
          '--pages',
          '218',
          '--price',
          '1399',
        )
      ).out,
    ) as Record<string, unknown>
    expect(r).toMatchObject({
      pages: 218,
      spineIn: 0.55372,
      insideMarginIn: 0.52,
      cost: 365,
      leastPrice: 890,
      royalty: 433,
      wrap: { widthIn: 12.80372, heightIn: 9.25 },
    })
  })
})
