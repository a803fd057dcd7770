import { beforeAll, describe, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { writeProject } from '@/core/archive'
import { bookOf } from './support/core'
import { press, run } from './support/run'

const dir = mkdtempSync(join(tmpdir(), 'porchlight-cover-'))
const file = join(dir, 'book.porchlight')

beforeAll(() => {
  const book = {
    ...bookOf(
      Array.from({ length: 60 }, () =>
        Array.from({ length: 12 }, () => 'The tide went out and nobody saw it go. '.repeat(9)),
      ),
    ),
    editions: [
      {
        id: 'paperback',
        kind: 'paperback' as const,
        isbn: '9780000001030',
        trim: '6x9in',
        paper: 'cream',
        ink: 'black' as const,
        outlets: ['ostrevane'],
        style: 'harbour-roman',
      },
      {
        id: 'coil',
        kind: 'coil' as const,
        isbn: '9780000001030',
        trim: 'A5',
        paper: 'white',
        ink: 'black' as const,
        outlets: ['harrowmere'],
        style: 'harbour-roman',
      },
    ],
  }
  writeFileSync(file, writeProject({ book, pictures: new Map() }))
})

describe('press cover', () => {
  test('writes the wrap in inks where they are asked for, the front, and what it measures', async () => {
    const out = join(dir, 'inks')
    const r = await press(
      'cover',
      file,
      '--edition',
      'paperback',
      '--outlet',
      'tarnbrook',
      '--out',
      out,
      '--design',
      'night-street',
      '--date',
      '2026-11-29',
    )
    expect([r.code, r.err]).toEqual([0, ''])
    const report = JSON.parse(readFileSync(join(out, 'cover.json'), 'utf8')) as Record<string, unknown> & {
      sheet: { widthPt: number; heightPt: number }
      pages: number
      findings: { rule: string }[]
    }
    expect(report).toMatchObject({
      edition: 'paperback',
      outlet: 'tarnbrook',
      design: 'night-street',
      colour: 'cmyk',
      sheets: 1,
      spineText: true,
    })
    // 0.125 + 6 + pages × 0.00257 + 6 + 0.125 in.
    expect(report.sheet.widthPt / 72).toBeCloseTo(12.25 + report.pages * 0.00257, 3)
    expect(report.findings).toEqual([])
    expect((await run('qpdf', ['--check', join(out, 'cover.pdf')])).code).toBe(0)
    await run('pdftoppm', ['-r', '200', '-png', '-singlefile', join(out, 'cover.pdf'), join(out, 'cover')])
    expect((await run('zbarimg', ['-q', '--raw', join(out, 'cover.png')])).out.trim()).toBe('9780000001030')
    expect([...readFileSync(join(out, 'front.jpg')).subarray(0, 2)]).toEqual([0xff, 0xd8])
  })
  test('writes two pages where back and front are printed apart', async () => {
    const out = join(dir, 'apart')
    expect((await press('cover', file, '--edition', 'coil', '--out', out, '--colour', 'rgb')).code).toBe(0)
    const info = (await run('pdfinfo', ['-box', '-l', '2', join(out, 'cover.pdf')])).out
    expect(info).toMatch(/Pages: +2\b/)
    expect(JSON.parse(readFileSync(join(out, 'cover.json'), 'utf8'))).toMatchObject({
      sheets: 2,
      colour: 'rgb',
      outlet: 'harrowmere',
    })
  })
  test('says in one line what it cannot do', async () => {
    for (const [args, said] of [
      [['cover', file], /press cover ARCHIVE/],
      [
        ['cover', file, '--out', join(dir, 'x'), '--edition', 'none'],
        /no printed edition “none”: known are paperback, coil/,
      ],
      [['cover', file, '--out', join(dir, 'x'), '--colour', 'pink'], /known are rgb and cmyk/],
      [['cover', file, '--out', join(dir, 'x'), '--design', 'none'], /There is no design “none”/],
      [['cover', file, '--out', join(dir, 'x'), '--outlet', 'pellowick'], /sells ebooks only/],
    ] as const) {
      const r = await press(...args)
      expect(r.code).toBe(1)
      expect(r.err).toMatch(said)
      expect(r.err.trim().split('\n')).toHaveLength(1)
    }
  })
})
