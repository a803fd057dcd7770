import { describe, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { degrees, PDFDocument, rgb, StandardFonts } from '@cantoo/pdf-lib'
import { run } from '../../../tests/support/run'
import { nodePdf, pictureSource } from '@/cli/ports'
import type { PageMarks } from '../marks'
import { type ForeignPage, foreignPages, pdfBytes } from '.'

const dir = mkdtempSync(join(tmpdir(), 'porchlight-foreign-'))
const save = (name: string, bytes: Uint8Array | string): string => {
  writeFileSync(join(dir, name), bytes)
  return join(dir, name)
}

/** Pages made by a program that knows nothing of us: words in a face that is in the file, a square in the left top corner. */
async function byGhostscript(pages: readonly { words: string; colour?: string }[]): Promise<Uint8Array> {
  const drawn = pages.map(
    ({ words, colour = '0 setgray' }) =>
      `/Times-Roman findfont 30 scalefont setfont 40 500 moveto (${words}) show ${colour} 0 540 60 60 rectfill showpage`,
  )
  const source = save('made.ps', `%!PS\n<< /PageSize [400 600] >> setpagedevice\n${drawn.join('\n')}\n`)
  const out = join(dir, 'made.pdf')
  const { code } = await run('gs', [
    '-q',
    '-dBATCH',
    '-dNOPAUSE',
    '-dPDFSETTINGS=/prepress',
    '-sDEVICE=pdfwrite',
    `-sOutputFile=${out}`,
    source,
  ])
  expect(code).toBe(0)
  return new Uint8Array(readFileSync(out))
}

/** A page that is turned or has room to be cut off; its face is one that every reader has, and not in it. */
async function byLibrary({ turn = 0, cut = 0, red = false }): Promise<Uint8Array> {
  const doc = await PDFDocument.create()
  const page = doc.addPage([400 + 2 * cut, 600 + 2 * cut])
  if (cut) page.setTrimBox(cut, cut, 400, 600)
  page.setRotation(degrees(turn))
  page.drawText('turned', { x: cut + 40, y: cut + 300, size: 30, font: await doc.embedFont(StandardFonts.Courier) })
  page.drawRectangle({ x: cut, y: cut + 540, width: 60, height: 60, color: red ? rgb(1, 0, 0) : rgb(0, 0, 0) })
  return doc.save()
}

const options = { title: 'Pages', author: 'Nobody', language: 'en', date: '2026-01-01T00:00:00Z', grey: true }

/** A book of these pages, each laid on a leaf of half its size. */
async function bookOf(foreign: readonly ForeignPage[]): Promise<string> {
  const pictures = new Map(foreign.map((p, i) => [`p${i}`, p.bytes]))
  const bleed = { top: 0, right: 0, bottom: 0, left: 0 }
  const pages = foreign.map(({ width, height }, i): PageMarks => ({
    width: width / 2,
    height: height / 2,
    bleed,
    label: String(i + 1),
    side: i % 2 ? 'verso' : 'recto',
    layers: [
      {
        layer: { items: [{ kind: 'image', asset: `p${i}`, x: 0, y: 0, width: width / 2, height: height / 2 }] },
        x: 0,
        y: 0,
      },
    ],
  }))
  const bytes = await pdfBytes(pages, options as never, await nodePdf(pictureSource(pictures)))
  return save(`book${foreign.length}-${Math.round(foreign[0]!.width)}.pdf`, bytes)
}

/** Greys of a page as poppler paints it, 72 to the inch. */
async function painted(file: string): Promise<{ width: number; height: number; at: (x: number, y: number) => number }> {
  const { code } = await run('pdftoppm', ['-r', '72', '-gray', '-singlefile', file, file])
  expect(code).toBe(0)
  const bytes = readFileSync(`${file}.pgm`)
  const [, width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1'))!.map(Number)
  const from = bytes.length - width! * height!
  return { width: width!, height: height!, at: (x, y) => bytes[from + y * width! + x]! }
}

describe('pages that were made elsewhere', () => {
  test('stand in the book as they are: words are words, faces are in the file, and written once', async () => {
    const words = ['Low water', 'High water', 'Slack water', 'Ebb']
    const foreign = await foreignPages(await byGhostscript(words.map(w => ({ words: w }))), 'made.pdf')
    expect(foreign.map(({ bytes: _b, ...p }) => p)).toEqual(
      words.map(() => ({ width: 400, height: 600, coloured: false, lacksFonts: false })),
    )
    const book = await bookOf(foreign)
    expect((await run('qpdf', ['--check', book])).out).toContain('No syntax or stream encoding errors found')
    const text = (await run('pdftotext', [book, '-'])).out
    for (const w of words) expect(text).toContain(w)
    const fonts = (await run('pdffonts', [book])).out.trim().split('\n').slice(2)
    expect(fonts.length).toBeGreaterThan(0)
    for (const f of fonts) expect(f).toMatch(/yes +yes|yes +no/)
    const one = readFileSync(await bookOf(foreign.slice(0, 1))).length
    // Four pages with one face: its file is there once.
    expect(readFileSync(book).length).toBeLessThan(2 * one)
    const page = await painted(book)
    expect([page.width, page.height]).toEqual([200, 300])
    expect([page.at(10, 10), page.at(28, 28), page.at(40, 10), page.at(10, 40)]).toEqual([0, 0, 255, 255])
  })
  test.each([
    [0, [10, 10]],
    [90, [290, 10]],
    [180, [190, 290]],
    [270, [10, 190]],
  ] as const)('turned by %d degrees: its corner stands where a reader shows it', async (turn, [x, y]) => {
    const foreign = await foreignPages(await byLibrary({ turn }), 'turned.pdf')
    const page = await painted(await bookOf(foreign))
    const upright = turn % 180 === 0
    expect([page.width, page.height]).toEqual(upright ? [200, 300] : [300, 200])
    expect(page.at(x, y)).toBe(0)
    for (const [cx, cy] of [
      [10, 10],
      [page.width - 10, 10],
      [10, page.height - 10],
      [page.width - 10, page.height - 10],
    ] as const)
      if (cx !== x || cy !== y) expect(page.at(cx, cy)).toBe(255)
  })
  test('what is to be cut off lies over the edge: the trim fills the leaf', async () => {
    const foreign = await foreignPages(await byLibrary({ cut: 20 }), 'cut.pdf')
    expect([foreign[0]!.width, foreign[0]!.height]).toEqual([400, 600])
    const page = await painted(await bookOf(foreign))
    expect([page.at(1, 1), page.at(28, 28), page.at(33, 10)]).toEqual([0, 0, 255])
  })
  test('colours, and faces that are not in the file, are seen', async () => {
    const [red] = await foreignPages(await byLibrary({ red: true }), 'red.pdf')
    expect(red).toMatchObject({ coloured: true, lacksFonts: true })
    const greys = await foreignPages(
      await byGhostscript([{ words: 'a' }, { words: 'b', colour: '1 0 0 setrgbcolor' }]),
      'x',
    )
    expect(greys.map(p => p.coloured)).toEqual([false, true])
  })
  test('one that is locked, damaged or no PDF is said to be', async () => {
    const bytes = await byGhostscript([{ words: 'locked' }])
    const [open, locked] = [save('open.pdf', bytes), join(dir, 'locked.pdf')]
    expect((await run('qpdf', ['--encrypt', 'word', 'word', '256', '--', open, locked])).code).toBe(0)
    await expect(foreignPages(new Uint8Array(readFileSync(locked)), 'locked.pdf')).rejects.toThrow(
      '“locked.pdf” is locked with a password',
    )
    await expect(foreignPages(bytes.slice(0, bytes.length / 3), 'half.pdf')).rejects.toThrow('“half.pdf”')
    await expect(foreignPages(new TextEncoder().encode('# A manuscript'), 'a.md')).rejects.toThrow(
      'cannot be read as a PDF',
    )
  })
})
