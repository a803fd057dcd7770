import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { createCanvas } from '@napi-rs/canvas'
import { PDFArray, PDFDict, PDFDocument, PDFHexString, PDFName, PDFNumber, PDFRawStream } from '@cantoo/pdf-lib'
import { unzlibSync } from 'fflate'
import { bookOf, setBook } from '../../../tests/support/core'
import { nodePdf, pictureSource } from '@/cli/ports'
import type { ParagraphJson } from '../book'
import { type Layer, PathBuilder, type PageMarks, rgb } from '../marks'
import { ByteWriter } from './bytes'
import { jpegHeader, pdfBytes, tagSource } from '.'
import { writePdf } from './document'

const ascii = (w: ByteWriter): string => String.fromCharCode(...w.bytes())
const options = { title: 'Tíde', author: 'Orla', language: 'en-GB', date: '2026-03-09T04:10:00Z', grey: true }
const none = {
  bytes: async () => undefined,
  decode: async () => {
    throw new Error('not asked')
  },
}
const whole = async (pages: PageMarks[], more: object = {}) =>
  Buffer.from(await pdfBytes(pages, { ...options, ...more }, await nodePdf(none)))

describe('bytes', () => {
  test('numbers are written as they are', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), n => {
        const w = new ByteWriter(4)
        w.int(n)
        expect(ascii(w)).toBe(String(n))
      }),
    )
    fc.assert(
      fc.property(fc.double({ min: -9999, max: 9999, noNaN: true }), x => {
        const w = new ByteWriter(4)
        w.num(x)
        expect(Math.abs(Number(ascii(w)) - x)).toBeLessThanOrEqual(0.000501)
        expect(ascii(w)).toMatch(/^-?\d+(\.\d{1,3})? $/)
      }),
    )
  })
  test('codes that would end a string are escaped', () => {
    const w = new ByteWriter()
    for (const c of [0x2829, 0x5c0d, 0x0141]) w.code(c)
    expect([...w.bytes()]).toEqual([92, 40, 92, 41, 92, 92, 92, 114, 1, 0x41])
  })
})

describe('files prepared for a standard', () => {
  const make = async (more: object): Promise<PDFDocument> =>
    PDFDocument.load(await whole((await setBook(bookOf([['One.'], ['Two.']]))).pages, more), { updateMetadata: false })
  const info = (doc: PDFDocument, key: string): string | undefined =>
    (
      doc.context.lookup(doc.context.trailerInfo.Info, PDFDict).lookup(PDFName.of(key)) as
        { decodeText?(): string } | undefined
    )?.decodeText?.()

  test('say so, carry what their greys mean, and have no links', async () => {
    for (const [preparedFor, version, header] of [
      ['X-1a', 'PDF/X-1a:2003', '1.4'],
      ['X-4', 'PDF/X-4', '1.6'],
    ] as const) {
      const bytes = await whole((await setBook(bookOf([['One.'], ['Two.']]))).pages, { preparedFor })
      expect(bytes.subarray(0, 8).toString('latin1')).toBe(`%PDF-${header}`)
      const doc = await PDFDocument.load(bytes, { updateMetadata: false })
      expect(info(doc, 'GTS_PDFXVersion')).toBe(version)
      const intent = doc.catalog.lookup(PDFName.of('OutputIntents'), PDFArray).lookup(0, PDFDict)
      expect(String(intent.get(PDFName.of('S')))).toBe('/GTS_PDFX')
      const profile = unzlibSync((intent.lookup(PDFName.of('DestOutputProfile')) as PDFRawStream).contents)
      const at = (i: number, n: number): string => Buffer.from(profile.subarray(i, i + n)).toString('latin1')
      // ICC.1: size, class, colour space, connection space, signature; every tag inside the file, on a boundary of four.
      expect([new DataView(profile.buffer, profile.byteOffset).getUint32(0), at(12, 12), at(36, 4)]).toEqual([
        profile.length,
        'prtrGRAYXYZ ',
        'acsp',
      ])
      const v = new DataView(profile.buffer, profile.byteOffset)
      for (let i = 0; i < v.getUint32(128); i++) {
        const [from, size] = [v.getUint32(136 + i * 12), v.getUint32(140 + i * 12)]
        expect([from % 4, from + size <= profile.length]).toEqual([0, true])
      }
      for (const p of doc.getPages()) expect(p.node.Annots()).toBeUndefined()
      expect(bytes.toString('latin1').includes('/Trapped /False')).toBe(true)
    }
    expect(info(await make({}), 'GTS_PDFXVersion')).toBeUndefined()
  })
  test('elsewhere the contents lead to their chapters', async () => {
    const interior = await setBook(bookOf([['One.'], ['Two.'], ['Three.']]))
    const doc = await PDFDocument.load(await whole(interior.pages, { linkPages: interior.starts }), {
      updateMetadata: false,
    })
    const pages = doc.getPages()
    const linked = pages.flatMap((p, i) => (p.node.Annots() ? [i] : []))
    expect(linked).toEqual([
      interior.starts.get(
        [...interior.starts.keys()].find(id =>
          interior.pages[interior.starts.get(id)!]!.layers.some(l => l.layer.text?.places.some(x => x.to)),
        )!,
      ),
    ])
    const annots = pages[linked[0]!]!.node.Annots()!
    const targets = Array.from({ length: annots.size() }, (_, i) => {
      const a = annots.lookup(i, PDFDict)
      const [x0, y0, x1, y1] = a
        .lookup(PDFName.of('Rect'), PDFArray)
        .asArray()
        .map(n => (n as PDFNumber).asNumber()) as [number, number, number, number]
      expect([x1 - x0 > 100, y1 - y0 > 8, y0 > 0, y1 < 648]).toEqual([true, true, true, true])
      return pages.findIndex(p => p.ref === a.lookup(PDFName.of('Dest'), PDFArray).get(0))
    })
    expect(targets).toEqual(['s1', 's2', 's3'].map(id => interior.starts.get(id)))
    // In a file prepared for a standard there are none.
    const x4 = await PDFDocument.load(await whole(interior.pages, { linkPages: interior.starts, preparedFor: 'X-4' }), {
      updateMetadata: false,
    })
    expect(x4.getPages().some(p => p.node.Annots())).toBe(false)
  })
  test('a colour book says what its colours mean: tables that a colour manager reads, there and back', async () => {
    const doc = await make({ preparedFor: 'X-4', grey: false })
    const intent = doc.catalog.lookup(PDFName.of('OutputIntents'), PDFArray).lookup(0, PDFDict)
    const stream = intent.lookup(PDFName.of('DestOutputProfile')) as PDFRawStream
    expect(String(stream.dict.get(PDFName.of('N')))).toBe('3')
    const icc = unzlibSync(stream.contents)
    const v = new DataView(icc.buffer, icc.byteOffset, icc.length)
    const text = (i: number, n: number): string => Buffer.from(icc.subarray(i, i + n)).toString('latin1')
    expect([v.getUint32(0), text(12, 12)]).toEqual([icc.length, 'prtrRGB Lab '])
    const tag = (name: string): number => {
      for (let i = 0; i < v.getUint32(128); i++) if (text(132 + i * 12, 4) === name) return v.getUint32(136 + i * 12)
      throw new Error(name)
    }
    // A node of a table: 52 bytes of head, straight inputs, then the grid, its last channel fastest.
    const grid = icc[tag('A2B0') + 10]!
    const node = (name: string, a: number, b: number, c: number): number[] =>
      [0, 1, 2].map(k => v.getUint16(tag(name) + 64 + (((a * grid + b) * grid + c) * 3 + k) * 2))
    const top = grid - 1
    // White is L* 100 without a hue, black L* 0; sRGB's red, green and blue as published for D50.
    const lab = (a: number, b: number, c: number): number[] => {
      const [l, x, y] = node('A2B0', a, b, c) as [number, number, number]
      return [(l / 0xff00) * 100, (x - 0x8000) / 256, (y - 0x8000) / 256].map(n => Math.round(n * 10) / 10)
    }
    expect(lab(0, 0, 0)).toEqual([0, 0, 0])
    for (const [rgb, known] of [
      [
        [top, top, top],
        [100, 0, 0],
      ],
      [
        [top, 0, 0],
        [54.3, 80.8, 69.9],
      ],
      [
        [0, top, 0],
        [87.8, -79.3, 81],
      ],
      [
        [0, 0, top],
        [29.6, 68.3, -112],
      ],
    ] as const)
      lab(...(rgb as [number, number, number])).forEach((n, i) => expect(Math.abs(n - known[i]!)).toBeLessThan(0.3))
    // The colour manager that ghostscript has takes it for its own.
    const folder = mkdtempSync(join(tmpdir(), 'porchlight-icc-'))
    writeFileSync(join(folder, 'own.icc'), icc)
    writeFileSync(join(folder, 'page.pdf'), await whole((await setBook(bookOf([['One.']]))).pages))
    const run = spawnSync(
      'gs',
      [
        '-q',
        '-dNOPAUSE',
        '-dBATCH',
        '-dSAFER',
        `--permit-file-read=${folder}/`,
        '-sDEVICE=tiff24nc',
        '-r36',
        `-sOutputICCProfile=${join(folder, 'own.icc')}`,
        `-sOutputFile=${join(folder, 'p%d.tif')}`,
        join(folder, 'page.pdf'),
      ],
      { encoding: 'utf8' },
    )
    expect([run.status, run.stdout + run.stderr]).toEqual([0, ''])
    rmSync(folder, { recursive: true })
  })
  test('are refused for pages with colour or with anything seen through', async () => {
    const clear: PageMarks = {
      width: 100,
      height: 100,
      bleed: { top: 0, right: 0, bottom: 0, left: 0 },
      label: '1',
      side: 'recto',
      layers: [
        {
          x: 0,
          y: 0,
          layer: {
            items: [
              {
                kind: 'group',
                opacity: 0.5,
                layers: [
                  { items: [{ kind: 'path', path: new PathBuilder().rect(0, 0, 9, 9).build(), fill: { k: 1 } }] },
                ],
              },
            ],
          },
        },
      ],
    }
    await expect(whole([clear], { preparedFor: 'X-1a' })).rejects.toThrow(/seen through/)
    await expect(whole([clear], { preparedFor: 'X-1a', grey: false })).rejects.toThrow(/have colour/)
  })
  test('pictures with more pixels than asked are made smaller, by their mean', async () => {
    const canvas = createCanvas(600, 300)
    const ctx = canvas.getContext('2d')
    ctx.fillStyle = '#fff'
    ctx.fillRect(0, 0, 600, 300)
    ctx.fillStyle = '#000'
    for (let x = 0; x < 600; x += 2) ctx.fillRect(x, 0, 1, 300)
    const page: PageMarks = {
      width: 200,
      height: 200,
      bleed: { top: 0, right: 0, bottom: 0, left: 0 },
      label: '1',
      side: 'recto',
      layers: [{ x: 0, y: 0, layer: { items: [{ kind: 'image', asset: 'a', x: 0, y: 0, width: 144, height: 72 }] } }],
    }
    const source = pictureSource(new Map([['a', new Uint8Array(canvas.toBuffer('image/png'))]]))
    const sizeAt = async (ppi?: number): Promise<[number, number, number]> => {
      const doc = await PDFDocument.load(await pdfBytes([page], { ...options, ppi }, await nodePdf(source)), {
        updateMetadata: false,
      })
      const image = doc.context
        .enumerateIndirectObjects()
        .map(([, o]) => o)
        .find(
          (o): o is PDFRawStream => o instanceof PDFRawStream && String(o.dict.get(PDFName.of('Subtype'))) === '/Image',
        )!
      const pixels = unzlibSync(image.contents)
      return [
        (image.dict.get(PDFName.of('Width')) as PDFNumber).asNumber(),
        (image.dict.get(PDFName.of('Height')) as PDFNumber).asNumber(),
        Math.round(pixels.reduce((a, b) => a + b, 0) / pixels.length),
      ]
    }
    expect(await sizeAt()).toEqual([600, 300, 128])
    expect(await sizeAt(300)).toEqual([600, 300, 128])
    const [w, h, mean] = await sizeAt(100)
    expect([w, h]).toEqual([200, 100])
    expect(Math.abs(mean - 128)).toBeLessThan(46)
  })
})

describe('a document', () => {
  test('the same book gives the same bytes, and another date another file', async () => {
    const make = async (date = options.date) =>
      whole((await setBook(bookOf([['The office fjord.', 'And again.']]))).pages, { date })
    const a = await make()
    expect((await make()).equals(a)).toBe(true)
    expect((await make('2026-03-10T00:00:00Z')).equals(a)).toBe(false)
  })

  test('is written as it is made: a page is in the sink before the last is set down', async () => {
    const interior = await setBook(bookOf([['One. '.repeat(5000)]]))
    let size = 0
    const sizes: number[] = []
    await writePdf(
      interior.pages,
      options,
      await nodePdf(none),
      chunk => {
        size += chunk.length
      },
      () => {
        sizes.push(size)
      },
    )
    expect(sizes.length).toBeGreaterThan(0)
    expect(sizes[0]).toBeGreaterThan(1000)
    expect(size).toBeGreaterThan(sizes.at(-1)!)
  })

  test('boxes, labels, outline, title, language; black alone', async () => {
    const interior = await setBook(bookOf([['One.'], ['Two.']]))
    const bytes = await whole(interior.pages, {
      outline: [
        { title: 'First', page: 4 },
        { title: 'Below it', page: 4, depth: 1 },
        { title: 'Below that', page: 5, depth: 3 },
        { title: 'Second', page: 6 },
      ],
    })
    const doc = await PDFDocument.load(bytes, { updateMetadata: false })
    expect(doc.getPageCount()).toBe(interior.pages.length)
    expect(doc.getTitle()).toBe('Tíde')
    const page = doc.getPage(0)
    expect(page.getTrimBox()).toEqual({ x: 0, y: 0, width: 432, height: 648 })
    expect(page.getBleedBox()).toEqual({ x: 0, y: 0, width: 432, height: 648 })
    const labels = doc.catalog.lookup(PDFName.of('PageLabels'), PDFDict).lookup(PDFName.of('Nums'), PDFArray)
    expect(labels.size()).toBe(4)
    expect((labels.lookup(1, PDFDict).get(PDFName.of('S')) as PDFName).asString()).toBe('/r')
    expect(labels.lookup(2, PDFNumber).asNumber()).toBe(interior.starts.get('s1'))
    const of = (d: PDFDict, name: string): PDFDict => d.lookup(PDFName.of(name), PDFDict)
    const [root, titles] = [of(doc.catalog, 'Outlines'), [] as string[]]
    const count = (d: PDFDict): number => d.lookup(PDFName.of('Count'), PDFNumber).asNumber()
    for (let d = root; d.has(PDFName.of('First')); d = of(d, 'First'))
      titles.push(of(d, 'First').lookup(PDFName.of('Title'), PDFHexString).decodeText())
    expect(titles).toEqual(['First', 'Below it', 'Below that'])
    expect([count(root), count(of(root, 'First'))]).toEqual([4, 2])
    expect(of(root, 'Last').lookup(PDFName.of('Title'), PDFHexString).decodeText()).toBe('Second')
    for (const p of doc.getPages()) {
      const c = p.node.Contents()
      if (!(c instanceof PDFRawStream)) continue
      const text = Buffer.from(unzlibSync(c.contents)).toString('latin1')
      for (const op of text.matchAll(/([\d.]+) (g|rg|k|G|RG|K)\n/g)) expect([op[1], op[2]]).toEqual(['0', 'g'])
    }
  })

  test('glyphs stand in the file where the marks put them, to a fiftieth of a point', async () => {
    const interior = await setBook(
      bookOf([
        [
          'The harbour bell of Merrow Sound hung in an iron cage at the seaward corner of the quay, and it had a rope, and the rope had a keeper. '.repeat(
            3,
          ),
        ],
      ]),
    )
    const at = interior.starts.get('s1')!
    const doc = await PDFDocument.load(await whole(interior.pages))
    const stream = doc.getPage(at).node.Contents() as PDFRawStream
    const content = Buffer.from(unzlibSync(stream.contents)).toString('latin1')
    const page = interior.pages[at]!
    const layer = page.layers[0]!
    const t = layer.layer.text!
    const starts = [...content.matchAll(/([\d.-]+) ([\d.-]+) Tm/g)]
    expect(starts).toHaveLength(t.count)
    starts.forEach((m, i) => {
      expect(Number(m[1])).toBeCloseTo(layer.x + t.x[t.start[i]!]!, 1)
      expect(Number(m[2])).toBeCloseTo(page.height - layer.y - t.baseline[i]!, 1)
    })
    // Walk the last run with the file's own widths: kerning and spacing must add up to the marks' positions.
    const run = t.count - 1
    const face = t.faces[t.face[run]!]! as unknown as {
      advance(g: number): number
      pairGlyph(p: number): number
      unitsPerEm: number
    }
    const array = /\[([^]*)\]TJ/.exec(content.slice(content.lastIndexOf('Tm')))![1]!
    let pen = 0
    let g = t.start[run]!
    let shiftText = ''
    let inside = false
    for (let i = 0; i < array.length; i++) {
      const ch = array[i]!
      if (!inside) {
        if (ch === '(') {
          if (shiftText) pen -= Number(shiftText)
          shiftText = ''
          inside = true
        } else shiftText += ch
      } else if (ch === ')') inside = false
      else {
        // Two bytes a code, each perhaps escaped.
        if (array[i] === '\\') i++
        i++
        if (array[i] === '\\') i++
        const em = t.size[run]! * t.stretch[run]!
        expect(Math.abs((pen / 1000) * em - (t.x[g]! - t.x[t.start[run]!]!))).toBeLessThan(0.02)
        pen +=
          (face.advance(face.pairGlyph(t.glyphs[g]!)) / face.unitsPerEm) * 1000 +
          Math.round(t.letter[run]! * t.size[run]! * 1000) / t.size[run]!
        g++
      }
    }
    expect(g).toBe(t.start[run + 1])
  })

  test('groups are turned, clipped and made transparent; bleed moves the trim', async () => {
    const bleed = { top: 9, right: 9, bottom: 9, left: 9 }
    const page: PageMarks = {
      width: 100,
      height: 200,
      bleed,
      label: 'x',
      side: 'recto',
      layers: [
        {
          x: 0,
          y: 0,
          layer: {
            items: [
              {
                kind: 'group',
                opacity: 0.5,
                transform: [0, 1, -1, 0, 50, 60],
                clip: new PathBuilder().rect(0, 0, 5, 5).build(),
                layers: [
                  {
                    items: [
                      {
                        kind: 'path',
                        path: new PathBuilder().rect(0, 0, 10, 2).build(),
                        fill: rgb('#ff0000'),
                        stroke: { colour: rgb('#0000ff'), width: 2 },
                      },
                    ],
                  },
                ],
              },
            ],
          },
        },
      ],
    }
    const doc = await PDFDocument.load(await whole([page], { grey: false }))
    expect(doc.getPage(0).getSize()).toEqual({ width: 118, height: 218 })
    expect(doc.getPage(0).getTrimBox()).toEqual({ x: 9, y: 9, width: 100, height: 200 })
    const content = Buffer.from(unzlibSync((doc.getPage(0).node.Contents() as PDFRawStream).contents)).toString(
      'latin1',
    )
    expect(content).toContain('/G1 gs')
    expect(content).toContain('1 0 0 rg')
    expect(content).toContain('W n')
    // (0,0) of the group lies at (50,60) from the trim's top left: (59, 9 + 200 − 60) in the file.
    expect(content).toContain('59 149 m')
  })

  test('pictures are grey over white in black books, and JPEGs pass through in colour', async () => {
    const canvas = createCanvas(4, 2)
    const ctx = canvas.getContext('2d')
    ctx.fillStyle = 'rgba(255,0,0,0.5)'
    ctx.fillRect(0, 0, 2, 2)
    const png = new Uint8Array(await canvas.encode('png'))
    const jpeg = new Uint8Array(await canvas.encode('jpeg'))
    expect(jpegHeader(jpeg)).toMatchObject({ width: 4, height: 2, components: 3 })
    const page = (asset: string): PageMarks => ({
      width: 50,
      height: 50,
      bleed: { top: 0, right: 0, bottom: 0, left: 0 },
      label: '1',
      side: 'recto',
      layers: [{ x: 0, y: 0, layer: { items: [{ kind: 'image', asset, x: 5, y: 5, width: 20, height: 10 }] } }],
    })
    const source = pictureSource(
      new Map([
        ['p', png],
        ['j', jpeg],
      ]),
    )
    const image = async (asset: string, grey: boolean) => {
      const doc = await PDFDocument.load(await pdfBytes([page(asset)], { ...options, grey }, await nodePdf(source)))
      return doc.context
        .enumerateIndirectObjects()
        .map(([, o]) => o)
        .find(
          (o): o is PDFRawStream =>
            o instanceof PDFRawStream && o.dict.get(PDFName.of('Subtype')) === PDFName.of('Image'),
        )!
    }
    const grey = await image('p', true)
    expect((grey.dict.get(PDFName.of('ColorSpace')) as PDFName).asString()).toBe('/DeviceGray')
    const pixels = unzlibSync(grey.contents)
    expect(pixels).toHaveLength(8)
    expect(pixels[3]).toBe(255)
    expect(pixels[0]).toBeGreaterThan(150)
    expect(Buffer.from((await image('j', false)).contents).equals(Buffer.from(jpeg))).toBe(true)
  })
})

test('a picture with a tone is as much lighter as poppler paints it, grey or coloured, JPEG or not, and once for each tone', async () => {
  const canvas = createCanvas(8, 8)
  const ctx = canvas.getContext('2d')
  ctx.fillRect(0, 0, 8, 8)
  const pictures = new Map([
    ['p', new Uint8Array(await canvas.encode('png'))],
    ['j', new Uint8Array(await canvas.encode('jpeg'))],
  ])
  const tones = [undefined, 0.25, 0.6]
  const marks = tones.flatMap((tone, i) =>
    ['p', 'j'].map((asset, k) => ({
      kind: 'image' as const,
      asset,
      x: 20 * k,
      y: 20 * i,
      width: 20,
      height: 20,
      ...(tone !== undefined && { tone }),
    })),
  )
  const page: PageMarks = {
    width: 40,
    height: 60,
    bleed: { top: 0, right: 0, bottom: 0, left: 0 },
    label: '1',
    side: 'recto',
    layers: [{ x: 0, y: 0, layer: { items: [...marks, marks[2]!] } }],
  }
  const folder = mkdtempSync(join(tmpdir(), 'tones-'))
  try {
    for (const grey of [true, false]) {
      const bytes = await pdfBytes([page], { ...options, grey }, await nodePdf(pictureSource(pictures)))
      const file = join(folder, 'tones.pdf')
      writeFileSync(file, bytes)
      const { stdout, status } = spawnSync('pdftoppm', ['-r', '72', '-gray', file], { maxBuffer: 1 << 22 })
      expect(status).toBe(0)
      const at = (x: number, y: number): number => 1 - stdout[stdout.length - 40 * 60 + y * 40 + x]! / 255
      tones.forEach((tone, i) => [10, 30].forEach(x => expect(at(x, 20 * i + 10)).toBeCloseTo(tone ?? 1, 1)))
      const doc = await PDFDocument.load(bytes)
      const images = doc.context
        .enumerateIndirectObjects()
        .filter(([, o]) => o instanceof PDFRawStream && o.dict.get(PDFName.of('Subtype')) === PDFName.of('Image'))
      expect(images).toHaveLength(6)
    }
  } finally {
    rmSync(folder, { recursive: true })
  }
})

describe('a tagged file', () => {
  const para = (id: string, text: string): ParagraphJson => ({
    type: 'paragraph',
    attrs: { id },
    ...(text ? { content: [{ type: 'text', text }] } : {}),
  })
  const structured = async (): Promise<{ doc: PDFDocument; bytes: Uint8Array; texts: string[] }> => {
    const base = bookOf([['One two three. '.repeat(300), 'Second.'], ['Other.']])
    base.sections
      .find(s => s.id === 's1')!
      .doc.content.push(
        { type: 'heading', attrs: { id: 'h1', level: 1 }, content: [{ type: 'text', text: 'Heading' }] },
        {
          type: 'quote',
          attrs: { id: 'q1' },
          content: [
            {
              type: 'paragraph',
              attrs: { id: 'q2' },
              content: [
                { type: 'text', text: 'Quoted.' },
                { type: 'footnote', attrs: { id: 'n1' }, content: [{ type: 'text', text: 'Noted.' }] },
              ],
            },
          ],
        },
        {
          type: 'image',
          attrs: { id: 'i1', asset: 'pic', alt: 'A lamp', decoration: false, share: 0.2 },
          content: [{ type: 'text', text: 'Caption.' }],
        },
        { type: 'image', attrs: { id: 'i2', asset: 'pic', alt: 'No words', decoration: true, share: 0.2 } },
        {
          type: 'list',
          attrs: { id: 'l1', ordered: true, start: 1 },
          content: [
            {
              type: 'item',
              content: [
                para('l2', 'Item.'),
                {
                  type: 'list',
                  attrs: { id: 'l3', ordered: false, start: 1 },
                  content: [{ type: 'item', content: [para('l4', 'Inner.')] }],
                },
              ],
            },
            { type: 'item', content: [para('l5', 'Item.')] },
          ],
        },
        {
          type: 'table',
          attrs: { id: 't1' },
          content: [
            {
              type: 'row',
              attrs: { head: true },
              content: [{ type: 'cell', attrs: { span: 2 }, content: [para('t2', 'Both')] }],
            },
            {
              type: 'row',
              attrs: { head: false },
              content: [
                { type: 'cell', attrs: { span: 1 }, content: [para('t3', '')] },
                { type: 'cell', attrs: { span: 1 }, content: [para('t4', 'Right')] },
              ],
            },
          ],
        },
      )
    const canvas = createCanvas(90, 60)
    const png = new Uint8Array(canvas.toBuffer('image/png'))
    const book = { ...base, assets: [{ id: 'pic', type: 'image/png' as const, width: 90, height: 60 }] }
    const { pages } = await setBook(book)
    const bytes = await pdfBytes(
      pages,
      { ...options, tags: tagSource(book.sections) },
      await nodePdf(pictureSource(new Map([['pic', png]]))),
    )
    const doc = await PDFDocument.load(bytes, { updateMetadata: false })
    const texts = doc.getPages().map(p => {
      const contents = p.node.Contents()
      return contents instanceof PDFRawStream ? Buffer.from(unzlibSync(contents.contents)).toString('latin1') : ''
    })
    return { doc, bytes, texts }
  }
  test('every block is one element in order, on as many pages as it stands; the rest is no text; numbers and parents agree', async () => {
    const { doc, texts } = await structured()
    const root = doc.catalog.lookup(PDFName.of('StructTreeRoot'), PDFDict)
    const document = root.lookup(PDFName.of('K'), PDFArray).lookup(0, PDFDict)
    const kids = (e: PDFDict): PDFDict[] => {
      const k = e.lookup(PDFName.of('K'), PDFArray)
      return Array.from({ length: k.size() }, (_, i) => k.lookup(i, PDFDict))
    }
    /** An element as its tag and those of what it holds. */
    const tree = (e: PDFDict): string => {
      const of = kids(e).filter(k => k.has(PDFName.of('S')))
      return tag(e) + (of.length ? `(${of.map(tree).join(' ')})` : '')
    }
    const tag = (e: PDFDict): string => String(e.get(PDFName.of('S'))).slice(1)
    const sects = kids(document)
    const first = sects.find(s => kids(s).some(e => tag(e) === 'Figure'))!
    expect(kids(first).map(tree)).toEqual([
      'H1',
      'P',
      'P',
      'H2',
      'BlockQuote(P Note)',
      'Figure',
      'Caption',
      'L(LI(Lbl LBody(P L(LI(Lbl LBody(P))))) LI(Lbl LBody(P)))',
      'Table(TR(TH(P)) TR(TD TD(P)))',
    ])
    const th = kids(kids(kids(first).find(e => tag(e) === 'Table')!)[0]!)[0]!
    expect(
      [
        th.lookup(PDFName.of('A'), PDFDict).get(PDFName.of('Scope')),
        th.lookup(PDFName.of('A'), PDFDict).get(PDFName.of('ColSpan')),
      ].map(String),
    ).toEqual(['/Column', '2'])
    // Every element names the one that holds it.
    const held = (e: PDFDict, ref: unknown): void => {
      const k = e.lookup(PDFName.of('K'), PDFArray)
      for (let i = 0; i < k.size(); i++) {
        const c = k.lookup(i, PDFDict)
        if (c.has(PDFName.of('S'))) {
          expect(c.get(PDFName.of('P'))).toBe(ref)
          held(c, k.get(i))
        }
      }
    }
    held(document, root.lookup(PDFName.of('K'), PDFArray).get(0))
    const figure = kids(first).find(e => tag(e) === 'Figure')!
    expect((figure.lookup(PDFName.of('Alt')) as { decodeText?(): string }).decodeText?.()).toBe('A lamp')
    // The long paragraph stands on two pages and is one element.
    const long = kids(first)[1]!
    expect(new Set(kids(long).map(k => String(k.get(PDFName.of('Pg'))))).size).toBeGreaterThan(1)
    // Marks are balanced, and each number on a page leads to an element that has it.
    const nums = root.lookup(PDFName.of('ParentTree'), PDFDict).lookup(PDFName.of('Nums'), PDFArray)
    const parents = new Map<number, PDFArray>()
    for (let i = 0; i < nums.size(); i += 2)
      parents.set(nums.lookup(i, PDFNumber).asNumber(), nums.lookup(i + 1, PDFArray))
    texts.forEach((t, page) => {
      expect((t.match(/ B[DM]C\n/g) ?? []).length).toBe((t.match(/EMC\n/g) ?? []).length)
      const ids = [...t.matchAll(/MCID (\d+)/g)].map(m => Number(m[1]))
      expect(ids).toEqual(ids.map((_, i) => i))
      expect(parents.get(page)?.size() ?? 0).toBe(ids.length)
    })
    expect(texts.some(t => t.includes('/Artifact BMC'))).toBe(true)
  })
  test('another reader finds the same tree', async () => {
    const { bytes } = await structured()
    const folder = mkdtempSync(join(tmpdir(), 'tagged-'))
    writeFileSync(join(folder, 'book.pdf'), bytes)
    const told = spawnSync('pdfinfo', ['-struct-text', join(folder, 'book.pdf')], { encoding: 'utf8' })
    rmSync(folder, { recursive: true })
    expect(told.stderr).toBe('')
    const lines = told.stdout
      .split('\n')
      .map(l => l.trim())
      .filter(Boolean)
    const from = lines.findIndex(l => l.startsWith('L (block)') || /^L\b/.test(l))
    expect(
      lines
        .slice(from)
        .join(' ')
        .replace(/ \((block|inline)\)/g, ''),
    ).toMatch(
      /^L LI Lbl "1\. ?" LBody P "Item\." L LI Lbl "– ?" LBody P "Inner\." LI Lbl "2\. ?" LBody P "Item\." Table TR TH.* P "Both" TR TD TD P "Right"/,
    )
  })
  test('is a choice: without it, and where a standard is prepared for, nothing is marked', async () => {
    const { pages } = await setBook(bookOf([['One.']]))
    for (const more of [{}, { tags: tagSource([]), preparedFor: 'X-4' }]) {
      const doc = await PDFDocument.load(await whole(pages, more), { updateMetadata: false })
      expect([doc.catalog.has(PDFName.of('StructTreeRoot')), doc.catalog.has(PDFName.of('MarkInfo'))]).toEqual([
        false,
        false,
      ])
    }
  })
})

describe('links of the text', () => {
  test('lead into the web or to a section, over their own words only; what leads nowhere is no link', async () => {
    const book = bookOf([['x'], ['Other.']])
    const linked = (text: string, href: string) => ({
      type: 'text' as const,
      text,
      marks: [{ type: 'link' as const, attrs: { href } }],
    })
    book.sections.find(s => s.id === 's1')!.doc.content = [
      {
        type: 'paragraph',
        attrs: { id: 'a' },
        content: [
          { type: 'text', text: 'Before ' },
          linked('two words', 'https://example.org/a(b)?q=ü&r=%20'),
          { type: 'text', text: ' between ' },
          linked('the chapter', '#s2'),
          { type: 'text', text: ' and ' },
          linked('nowhere', '#gone'),
          { type: 'text', text: ' after.' },
        ],
      },
    ]
    const { pages, starts } = await setBook(book)
    const doc = await PDFDocument.load(await whole(pages, { linkPages: starts }), { updateMetadata: false })
    const annots = doc.getPages()[starts.get('s1')!]!.node.Annots()!
    const all = Array.from({ length: annots.size() }, (_, i) => annots.lookup(i, PDFDict))
    expect(
      all.map(a => {
        const action = a.lookup(PDFName.of('A')) as PDFDict | undefined
        return action ? String(action.get(PDFName.of('URI'))) : String(a.lookup(PDFName.of('Dest'), PDFArray).get(0))
      }),
    ).toEqual(['(https://example.org/a%28b%29?q=%C3%BC&r=%20)', String(doc.getPages()[starts.get('s2')!]!.ref)])
    const width = (a: PDFDict): number => {
      const r = a.lookup(PDFName.of('Rect'), PDFArray)
      return r.lookup(2, PDFNumber).asNumber() - r.lookup(0, PDFNumber).asNumber()
    }
    expect([width(all[0]!) > 30, width(all[0]!) < 95, width(all[1]!) < 65]).toEqual([true, true, true])
  })
  test('a picture leads from what is shown of it', async () => {
    const book = bookOf([['x'], ['Other.']])
    const crop = { top: 0, right: 0.5, bottom: 0, left: 0 }
    const of = { asset: 'wide', alt: '', decoration: true, share: 1, crop }
    const s1 = book.sections.find(s => s.id === 's1')!
    s1.doc.content = ['#s2', 'https://example.org/', '#gone', ''].map((leads, i) => ({
      type: 'image',
      attrs: { ...of, id: `i${i}`, leads },
    }))
    const { pages, starts, block } = await setBook({
      ...book,
      assets: [{ id: 'wide', type: 'image/png', width: 3000, height: 300 }],
    })
    const doc = await PDFDocument.load(await whole(pages, { linkPages: starts }), { updateMetadata: false })
    const annots = doc.getPages()[starts.get('s1')!]!.node.Annots()!
    const all = Array.from({ length: annots.size() }, (_, i) => annots.lookup(i, PDFDict))
    expect(all.map(a => [a.has(PDFName.of('A')), a.has(PDFName.of('Dest'))])).toEqual([
      [false, true],
      [true, false],
    ])
    const rect = all[0]!.lookup(PDFName.of('Rect'), PDFArray)
    const at = (i: number): number => rect.lookup(i, PDFNumber).asNumber()
    const page = doc.getPages()[starts.get('s1')!]!
    // Half of it is shown, as wide as there is room, upright in the page.
    expect(at(2) - at(0)).toBeCloseTo(block.width, 1)
    expect((at(2) - at(0)) / (at(3) - at(1))).toBeCloseTo(5, 1)
    expect(at(3)).toBeLessThan(page.getHeight())
  })
})

describe('drawings that pages share', () => {
  const dots = (n: number) => {
    const path = new PathBuilder()
    for (let i = 0; i < n; i++) path.rect(10 + (i % 40) * 5, 10 + Math.floor(i / 40) * 5, 2, 2)
    return { items: [{ kind: 'path' as const, path: path.build(), fill: { k: 0.4 } }] }
  }
  const leaf = (layers: PageMarks['layers'], i: number): PageMarks => ({
    width: 240,
    height: 320,
    bleed: { top: 9, right: i % 2 ? 0 : 9, bottom: 9, left: i % 2 ? 9 : 0 },
    layers,
    label: String(i + 1),
    side: i % 2 ? 'verso' : 'recto',
  })
  const forms = async (pages: PageMarks[], more: object = {}) => {
    const doc = await PDFDocument.load(await whole(pages, more), { updateMetadata: false })
    const of = (page: number): string[] => {
      const names = doc.getPage(page).node.Resources()?.lookup(PDFName.of('XObject'))
      return names instanceof PDFDict ? names.keys().map(k => `${String(k)} ${String(names.get(k))}`) : []
    }
    return { doc, of: pages.map((_, i) => of(i)) }
  }
  test('are written once, and every page that has one refers to it; small ones and those of one page stand where they are', async () => {
    const [large, small] = [dots(400), dots(3)]
    const pages = [0, 1, 2, 3].map(i =>
      leaf(
        [
          { layer: large, x: i % 2 ? 20 : 30, y: 12 },
          { layer: small, x: 0, y: 0 },
        ],
        i,
      ),
    )
    const shared = await forms(pages)
    expect(new Set(shared.of.flat()).size).toBe(1)
    expect(shared.of.map(names => names.length)).toEqual([1, 1, 1, 1])
    const single = await forms([leaf([{ layer: large, x: 30, y: 12 }], 0)])
    expect(single.of).toEqual([[]])
    const seenThrough = { items: [{ kind: 'group' as const, opacity: 0.5, layers: [large] }] }
    const turned = { items: [{ kind: 'group' as const, transform: [0, 1, -1, 0, 200, 0] as never, layers: [large] }] }
    const moved = {
      items: [{ kind: 'group' as const, transform: [1, 0, 0, 1, 3, 4] as never, layers: [large, small] }],
    }
    const formsOf = async (layer: Layer): Promise<number[]> =>
      (await forms([0, 1].map(i => leaf([{ layer, x: 0, y: 0 }], i)))).of.map(names => names.length)
    expect(await formsOf(seenThrough)).toEqual([1, 1])
    expect(await formsOf(moved)).toEqual([1, 1])
    expect(await formsOf(turned)).toEqual([0, 0])
  })
  test('print where they printed before: poppler shows the same, shared or not', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'forms-'))
    try {
      const large = dots(400)
      const clip = new PathBuilder().rect(0, 0, 150, 90).build()
      const clipped = {
        items: [{ kind: 'group' as const, clip, transform: [1, 0, 0, 1, 15, 25] as never, layers: [large] }],
      }
      const inGroups = {
        items: [
          { kind: 'group' as const, opacity: 0.5, layers: [dots(200)] },
          { kind: 'path' as const, path: new PathBuilder().rect(60, 60, 90, 9).build(), fill: { k: 1 } },
          { kind: 'group' as const, transform: [1, 0, 0, 1, 7.5, 60] as never, layers: [dots(300)] },
          { kind: 'group' as const, transform: [0.5, 0, 0, 0.5, 3, 3] as never, layers: [dots(250)] },
        ],
      }
      const placed = (i: number): PageMarks['layers'] => [
        { layer: large, x: i ? 20 : 30, y: 12 },
        { layer: clipped, x: 5, y: 200 },
        { layer: inGroups, x: 8, y: 100 },
      ]
      const shown = async (pages: PageMarks[], name: string): Promise<Uint8Array> => {
        writeFileSync(join(folder, `${name}.pdf`), await whole(pages))
        const r = spawnSync('pdftoppm', ['-r', '72', '-f', '1', '-l', '1', '-gray', join(folder, `${name}.pdf`)], {
          maxBuffer: 1 << 26,
        })
        expect(r.status).toBe(0)
        return r.stdout
      }
      const alone = await shown([leaf(placed(0), 0)], 'alone')
      const shared = await shown([leaf(placed(0), 0), leaf(placed(1), 1)], 'shared')
      expect(shared).toHaveLength(alone.length)
      // Edges are smoothed a little otherwise within a form: nothing else differs.
      const differs = alone.map((v, i) => Math.abs(v - shared[i]!))
      expect(Math.max(...differs)).toBeLessThan(20)
      expect(differs.filter(d => d > 2).length).toBeLessThan(alone.length / 200)
      expect(alone.filter(v => v < 200).length).toBeGreaterThan(1000)
      expect(spawnSync('qpdf', ['--check', join(folder, 'shared.pdf')]).status).toBe(0)
    } finally {
      rmSync(folder, { recursive: true })
    }
  })
})
