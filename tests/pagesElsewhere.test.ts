import { beforeAll, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PDFDocument, rgb, StandardFonts } from '@cantoo/pdf-lib'
import { createCanvas, loadImage } from '@napi-rs/canvas'
import { fitted } from '@/core/activity'
import { writeProject } from '@/core/archive'
import { type Asset, createBook, hashOf } from '@/core/book'
import { elements, parseXml, textOf, type XmlElement } from '@/core/files'
import { pagesElsewhere } from '@/core/delivery'
import { foreignPages } from '@/core/pdf'
import { nodePorts } from '@/cli/ports'
import { type Epub, openEpub } from '@/core/publication'
import { press, run } from './support/run'

/** A book of pages that another program made, as an ebook of fixed pages: what is seen on them, and their words over it. */
const dir = mkdtempSync(join(tmpdir(), 'porchlight-elsewhere-'))
const WIDTH = 432
const HEIGHT = 648
const said = ['The first page says low water', 'The second says high water']
let epub: Epub

beforeAll(async () => {
  const doc = await PDFDocument.create()
  const font = await doc.embedFont(StandardFonts.TimesRoman)
  for (const words of said) {
    const page = doc.addPage([WIDTH, HEIGHT])
    page.drawText(words, { x: 72, y: HEIGHT - 144, size: 18, font })
    page.drawRectangle({ x: 0, y: 0, width: WIDTH, height: HEIGHT / 4, color: rgb(0, 0, 0) })
  }
  const pages = await foreignPages(await doc.save(), 'tides.pdf')
  const assets = pages.map(({ bytes, width, height }, i): Asset => ({
    id: hashOf(bytes),
    type: 'application/pdf',
    width: width * 10,
    height: height * 10,
    name: `tides.pdf, page ${i + 1}`,
  }))
  const made = {
    id: 'made',
    kind: 'elsewhere',
    seed: 1,
    pages: pages.length,
    params: { pictures: assets.map(a => a.id), stands: 'leaf', turn: 'once' },
  }
  const data = {
    title: 'Two Tides',
    contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
    language: 'en-GB',
    imprint: { name: '' },
    subjects: [],
  }
  const book = { ...createBook('two-tides', data), assets, plan: fitted({ runs: [made as never] }) }
  const pictures = new Map(assets.map((a, i) => [a.id, pages[i]!.bytes]))
  const file = join(dir, 'tides.porchlight')
  writeFileSync(file, writeProject({ book, pictures }))
  const out = join(dir, 'out')
  expect(await press('make', file, '--out', out, '--only', 'epub', '--date', '2026-03-09')).toMatchObject({
    code: 0,
    err: '',
  })
  const checked = await run('java', [
    '-XX:TieredStopAtLevel=1',
    '-XX:+UseSerialGC',
    '-Xshare:auto',
    '-jar',
    '/usr/share/java/epubcheck.jar',
    join(out, 'book.epub'),
  ])
  expect([checked.code, checked.err.trim()]).toEqual([0, ''])
  epub = openEpub(new Uint8Array(readFileSync(join(out, 'book.epub'))))
}, 120_000)

const all = (e: XmlElement, name: string): XmlElement[] =>
  elements(e).flatMap(c => [...(c.name.endsWith(name) ? [c] : []), ...all(c, name)])

/** The lines of a page where they stand on it, whatever moves what they are in. */
const lines = (e: XmlElement, x = 0, y = 0): { words: string; x: number; y: number }[] =>
  elements(e).flatMap(c => {
    if (c.name.endsWith('text')) return [{ words: textOf(c), x: x + Number(c.attrs.x), y: y + Number(c.attrs.y) }]
    const [dx = 0, dy = 0] = (/^translate\((.+)\)$/.exec(c.attrs.transform ?? '')?.[1] ?? '').split(' ').map(Number)
    return lines(c, x + dx, y + dy)
  })

test('each page has its words where they are seen, and a picture of it', async () => {
  const leaves = epub.items
    .filter(i => /text\/p\d+/.test(i.path))
    .map(i => parseXml(i.data, i.path))
    .filter(page => all(page, 'image').length > 0)
  expect(leaves).toHaveLength(2)
  for (const [i, page] of leaves.entries()) {
    const [line] = lines(page).filter(l => l.words.includes('water'))
    expect(line!.words).toBe(said[i])
    expect(line!.x).toBeCloseTo(72, 0)
    expect(line!.y).toBeCloseTo(144, 0)
  }
  const pictures = epub.items.filter(i => i.type === 'image/jpeg' && !i.id.startsWith('cover'))
  expect(pictures).toHaveLength(2)
  for (const { data } of pictures) {
    const image = await loadImage(Buffer.from(data))
    const canvas = createCanvas(image.width, image.height)
    const ctx = canvas.getContext('2d')
    ctx.drawImage(image, 0, 0)
    const light = (x: number, y: number): number =>
      ctx.getImageData(Math.round(x * image.width), Math.round(y * image.height), 1, 1).data[1]!
    // White at the top, black at the foot, as it was drawn.
    expect([light(0.5, 0.05) > 240, light(0.5, 0.9) < 16]).toEqual([true, true])
  }
})

test('a page whose words cannot be read is a picture still, and is named', async () => {
  const page: Asset = { id: 'a', type: 'application/pdf', width: 100, height: 100, name: 'torn.pdf' }
  const ports = nodePorts(new Map([['a', new TextEncoder().encode('%PDF-1.7 and nothing else')]]))
  const made = (await pagesElsewhere([page], ports, () => undefined)).get('a')!
  expect(made.words).toEqual([])
  expect(made.unread).toMatchObject({ name: 'torn.pdf', why: expect.stringMatching(/\w/) })
  expect((await loadImage(Buffer.from(made.picture))).height).toBe(2048)
})
