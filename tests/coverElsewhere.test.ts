import { describe, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createCanvas } from '@napi-rs/canvas'
import { PDFDocument, StandardFonts } from '@cantoo/pdf-lib'
import { nodePorts } from '@/cli/ports'
import { type Asset, hashOf, type Wrap } from '@/core/book'
import { elsewhereRules, type Finding, type Subject } from '@/core/check'
import { type Cover, drawCover, type Flat, flatFor, lampOverTide, sheetPages } from '@/core/cover'
import { changesOf, examineElsewhere, pressPdf, readBarcode } from '@/core/delivery'
import { pixelsAnInch, readAsset } from '@/core/intake'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { foreignPages } from '@/core/pdf'
import type { OutletProfile } from '@/core/trade'
import { shelf } from './support/core'
import { pngOf } from './support/png'
import { run } from './support/run'

/** Covers that other programs made: brought in, looked over, laid on the flat, and sent on as they are. */

const dir = mkdtempSync(join(tmpdir(), 'porchlight-elsewhere-'))
const data = {
  title: 'The Long Ebb',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' as const }],
  language: 'en',
  imprint: { name: 'Saltgrass Lane Press' },
  subjects: [],
}
const ostrevane = profileOf('ostrevane', shippedProfiles)
const tarnbrook = profileOf('tarnbrook', shippedProfiles)
const flatAt = (profile: OutletProfile, pages: number): Flat =>
  flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages })

/** What is drawn on a wrap by ghostscript: ground from edge to edge, or as far as `upTo` from the left; words somewhere. Points from the sheet's left bottom. */
interface Drawn {
  flat: Flat
  upTo?: number
  ground?: string
  words?: { text: string; x: number; y: number; turned?: boolean; size?: number }[]
  more?: string
}

/** A wrap by a program that knows nothing of us, its boxes said, its font in it. */
async function wrapBy(name: string, { flat, upTo, ground = '0.1 0.2 0.3 setrgbcolor', words = [], more = '' }: Drawn) {
  const { bleed } = flat
  const [width, height] = [flat.width + 2 * bleed.left, flat.height + 2 * bleed.top]
  const said = words.map(
    ({ text, x, y, turned, size = 18 }) =>
      `gsave 1 setgray ${x} ${y} moveto ${turned ? '-90 rotate' : ''} /Times-Roman findfont ${size} scalefont setfont (${text}) show grestore`,
  )
  const source = `%!PS
<< /PageSize [${width} ${height}] >> setpagedevice
[/TrimBox [${bleed.left} ${bleed.bottom} ${width - bleed.right} ${height - bleed.top}] /BleedBox [0 0 ${width} ${height}] /PAGE pdfmark
${ground} 0 0 ${upTo ?? width} ${height} rectfill
${more}
${said.join('\n')}
showpage
`
  const out = join(dir, `${name}.pdf`)
  writeFileSync(join(dir, `${name}.ps`), source)
  const r = await run('gs', [
    '-q',
    '-dBATCH',
    '-dNOPAUSE',
    '-dPDFSETTINGS=/prepress',
    '-sDEVICE=pdfwrite',
    `-sOutputFile=${out}`,
    join(dir, `${name}.ps`),
  ])
  expect(r.code).toBe(0)
  return new Uint8Array(readFileSync(out))
}

/** A file as the wrap of an edition, its pictures at hand. */
async function broughtIn(bytes: Uint8Array, wish: Partial<Wrap> = {}) {
  const pages = await foreignPages(bytes, 'wrap.pdf', undefined, 'with bleed')
  const assets = pages.map((p): Asset => ({
    id: hashOf(p.bytes),
    type: 'application/pdf',
    width: p.width * 10,
    height: p.height * 10,
  }))
  const sheets = pages.map(({ width, height, over }, i) => ({
    asset: assets[i]!.id,
    width,
    height,
    ...(over ? { over } : {}),
  }))
  const ports = nodePorts(new Map(pages.map((p, i) => [assets[i]!.id, p.bytes])))
  return { wrap: { sheets, ...wish } satisfies Wrap, assets, ports }
}

type Brought = Awaited<ReturnType<typeof broughtIn>>

const worn = ({ wrap, assets }: Brought, flat: Flat, isbn?: string): Promise<Cover> =>
  drawCover(flat, lampOverTide, data, { shelf, assets, wrap, ...(isbn ? { isbn } : {}) })

/** What the rules find on a cover, as far as they look at what was made elsewhere. */
async function found(
  cover: Cover,
  { ports, assets }: Pick<Brought, 'ports' | 'assets'>,
  profile = ostrevane,
  isbn?: string,
) {
  const examined = await examineElsewhere(cover, ports)
  const subject = { book: { assets }, profile, print: { cover, examined, isbn } } as unknown as Subject
  return elsewhereRules.flatMap(rule => rule(subject))
}
const said = (findings: Finding[]): string[] => findings.map(f => `${f.severity} ${f.rule}`)

describe('what is looked over', () => {
  const flat = flatAt(ostrevane, 200)
  const { bleed, height } = flat
  /** Points from the sheet's left bottom, of a place on the flat. */
  const at = (x: number, y: number) => ({ x: x + bleed.left, y: height + bleed.bottom - y })
  const onFront = at(flat.panels.front.x + 60, 200)
  const onSpine = at(flat.panels.spine.x + flat.panels.spine.width / 2 - 5, 60)

  test('a sound wrap has nothing against it, and says what it holds', async () => {
    const words = [
      { text: 'The Long Ebb', ...onFront, size: 30 },
      { text: 'The Long Ebb', ...onSpine, turned: true, size: 14 },
    ]
    const brought = await broughtIn(await wrapBy('sound', { flat, words }))
    const cover = await worn(brought, flat)
    expect(said(await found(cover, brought))).toEqual([])
    const examined = (await examineElsewhere(cover, brought.ports))!
    expect(examined.words.map(w => w.text)).toEqual(['The Long Ebb', 'The Long Ebb'])
    expect(examined).toMatchObject({
      fonts: [],
      seenThrough: false,
      bare: [],
      unread: [],
      folds: { left: 1, right: 1 },
    })
    // The spine's words run down, within the spine.
    const [, turned] = examined.words
    expect(turned!.box.height).toBeGreaterThan(3 * turned!.box.width)
    expect(turned!.box.x).toBeGreaterThan(flat.panels.spine.x)
    expect(turned!.box.x + turned!.box.width).toBeLessThan(flat.panels.front.x)
    // What its file says is cut off is what is cut off.
    expect(brought.wrap.sheets[0]!.over!.left).toBeCloseTo(bleed.left, 2)
  })

  test('within the printer’s play it is no other size; a hair over it is a remark; more stops', async () => {
    const brought = await broughtIn(await wrapBy('size', { flat }))
    const [sheet] = brought.wrap.sheets
    const after = async (by: number) => {
      const wrap = { sheets: [{ ...sheet!, width: sheet!.width! + by }] }
      return said(await found(await worn({ ...brought, wrap }, flat), brought)).filter(f => f.endsWith('size'))
    }
    expect(await after(0.25)).toEqual([])
    expect(await after(0.8)).toEqual(['remark size'])
    expect(await after(-4)).toEqual(['stop size'])
  })

  test('words outside what is safe, and on a spine that is too thin, are found where they stand', async () => {
    const edge = at(flat.width - 100, 300)
    const brought = await broughtIn(await wrapBy('zones', { flat, words: [{ text: 'Ebb and flow', ...edge }] }))
    const [zone] = await found(await worn(brought, flat), brought)
    expect(zone).toMatchObject({ severity: 'stop', rule: 'cover safe zone' })
    expect(zone!.message).toMatch(/“Ebb and flow” stands [\d.]+ in outside the safe zone of the front/)
    const { area } = zone!.place as { area: { x: number; y: number } }
    expect(area.x).toBeCloseTo(flat.width - 100, 0)
    const thin = flatAt(ostrevane, 60)
    const spine = { x: thin.panels.spine.x + bleed.left + 2, y: 400 }
    const low = await broughtIn(await wrapBy('thin', { flat: thin, words: [{ text: 'Ebb', ...spine, size: 6 }] }))
    expect((await found(await worn(low, thin), low)).map(f => f.message)).toEqual([
      'On the wrap “Ebb” stands on a spine that is too thin for words.',
    ])
  })

  test('art that stops at the trim is found on its edge; a sheet without bleed is', async () => {
    const short = await broughtIn(await wrapBy('short', { flat, upTo: flat.width + bleed.left }))
    const [bare] = await found(await worn(short, flat), short)
    expect(bare).toMatchObject({ rule: 'bleed', severity: 'mend' })
    expect(bare!.message).toMatch(/100 % of the right edge/)
    const cut: Flat = { ...flat, bleed: { top: 0, right: 0, bottom: 0, left: 0 } }
    const none = await broughtIn(await wrapBy('none', { flat: cut }))
    expect((await found(await worn(none, flat), none)).map(f => f.message)).toEqual([
      'The wrap ends at the top edge, where 0.125 in are cut off.',
    ])
  })

  test('what the barcode would be laid over is said, unless it is in the file already', async () => {
    const zone = flat.zones.find(z => z.kind === 'barcode')!.rect
    const words = [{ text: 'ISBN 978', ...at(zone.x + 10, zone.y + 40) }]
    const brought = await broughtIn(await wrapBy('code', { flat, words }))
    const rule = async (b: Brought) => (await found(await worn(b, flat, '9780000001030'), b)).map(f => f.message)
    expect(await rule(brought)).toContain('Letters or bars stand where the barcode is laid over them.')
    expect(await rule({ ...brought, wrap: { ...brought.wrap, barcode: 'in it' } })).toEqual([
      'No barcode could be read on the back.',
    ])
    // A plain ground is laid over without a word.
    const plain = await broughtIn(await wrapBy('plain', { flat }))
    expect(await rule(plain)).toEqual([])
  })

  test('a barcode that is in it is read, and held against the ISBN of the edition', async () => {
    const ours = await drawCover(flat, lampOverTide, data, { isbn: '9780000001030', shelf })
    const about = { title: 'cover', language: 'en', date: '2026-11-29T00:00:00Z' }
    const asFile = (cover: Cover) =>
      pressPdf(sheetPages(cover), { profile: ostrevane, grey: false }, about, nodePorts(new Map()))
    const said = async (cover: Cover, isbn: string) => {
      const brought = await broughtIn(await asFile(cover), { barcode: 'in it' })
      const wrap = await worn(brought, flat, isbn)
      // None of ours is laid over it.
      expect(wrap.barcode).toBeUndefined()
      return (await found(wrap, brought, ostrevane, isbn)).filter(f => f.rule === 'barcode').map(f => f.message)
    }
    expect(await said(ours, '978-0-00-000103-0')).toEqual([])
    expect(await said(ours, '9780000000002')).toEqual([
      'The barcode on the wrap says 9780000001030; the ISBN of this edition is 9780000000002.',
    ])
    const bare = await drawCover(flat, lampOverTide, data, { shelf })
    expect(await said(bare, '9780000001030')).toEqual(['No barcode could be read on the back.'])
  })

  test('bars are read upright and on their side, whatever is around them', async () => {
    const cover = await drawCover(flat, lampOverTide, data, { isbn: '9780000001030', shelf })
    const { width, height, rgba } = await nodePorts(new Map()).pixels(cover.page, 3)
    const light = Uint8ClampedArray.from({ length: width * height }, (_, i) => rgba[i * 4 + 1]!)
    expect(await readBarcode({ width, height, light })).toBe('9780000001030')
    const turned = Uint8ClampedArray.from(light, (_, i) => light[(i % height) * width + Math.floor(i / height)]!)
    expect(await readBarcode({ width: height, height: width, light: turned })).toBe('9780000001030')
    expect(await readBarcode({ width: 40, height: 40, light: new Uint8ClampedArray(1600).fill(200) })).toBeUndefined()
  })

  test('a wrap of one sheet is not what a printer takes who wants back and front apart', async () => {
    const harrowmere = profileOf('harrowmere', shippedProfiles)
    const apart = flatFor(harrowmere, { binding: 'coil', trim: 'A5', paper: 'cream', pages: 80 })
    const brought = await broughtIn(await wrapBy('one', { flat }))
    const messages = (await found(await worn(brought, apart), brought, harrowmere)).map(f => f.message)
    expect(messages).toContain('This printer takes back and front apart; the wrap is one sheet.')
  })

  test('pictures in it that are coarse, fonts that are not in it, inks, what is seen through', async () => {
    const doc = await PDFDocument.create()
    const sheet = doc.addPage([flat.width + 2 * bleed.left, flat.height + 2 * bleed.top])
    const canvas = createCanvas(100, 100)
    canvas.getContext('2d').fillRect(20, 20, 60, 60)
    const image = await doc.embedPng(canvas.toBuffer('image/png'))
    sheet.drawRectangle({ x: 0, y: 0, width: sheet.getWidth(), height: sheet.getHeight(), opacity: 0.5 })
    sheet.drawImage(image, { x: onFront.x, y: onFront.y, width: 72, height: 144 })
    sheet.drawText('Ebb', { ...onFront, size: 20, font: await doc.embedFont(StandardFonts.Courier) })
    const brought = await broughtIn(await doc.save())
    const cover = await worn(brought, flat)
    const here = await found(cover, brought)
    expect(said(here)).toEqual(expect.arrayContaining(['stop cover resolution', 'stop fonts']))
    expect(here.find(f => f.rule === 'cover resolution')!.message).toMatch(/^A picture has 50 pixels an inch/)
    expect(here.find(f => f.rule === 'fonts')!.message).toMatch(/Courier/)
    // Where files may be seen through that is no fault; a press of PDF/X-1a refuses it, and colours of a screen.
    expect(said(here)).not.toContain('stop transparency')
    const strict = { ...ostrevane, print: { ...ostrevane.print!, pdf: 'pdf/x-1a prepared' as const } }
    expect(said(await found(cover, brought, strict))).toEqual(
      expect.arrayContaining(['stop transparency', 'stop colour']),
    )
  })

  test('inks are said by their kind', async () => {
    const brought = await broughtIn(await wrapBy('inks', { flat, ground: '0.9 0.5 0.1 0.2 setcmykcolor' }))
    const cover = await worn(brought, flat)
    expect((await examineElsewhere(cover, brought.ports))!.colours).toContain('cmyk')
    expect(said(await found(cover, brought))).toEqual(['remark colour'])
    expect(said(await found(cover, brought, { ...ostrevane, print: { ...ostrevane.print!, colour: 'cmyk' } }))).toEqual(
      [],
    )
  })

  test('a file that is gone is said, and stops nothing', async () => {
    const brought = await broughtIn(await wrapBy('gone', { flat }))
    const cover = await worn(brought, flat)
    const findings = await found(cover, { ...brought, ports: nodePorts(new Map()) })
    expect(findings.find(f => f.rule === 'made elsewhere')!.message).toBe(
      'The wrap could not be looked over: its file is gone.',
    )
  })
})

describe('on its way to the printer', () => {
  const about = { title: 'cover', language: 'en', date: '2026-11-29T00:00:00Z' }
  const written = async (name: string, cover: Cover, { ports }: Brought): Promise<string> => {
    const bytes = await pressPdf(sheetPages(cover), { profile: ostrevane, grey: false }, about, ports)
    const file = join(dir, `${name}-out.pdf`)
    writeFileSync(file, bytes)
    return file
  }
  /** Grey of a point of a file as poppler paints it, 72 to the inch. */
  const painted = async (file: string) => {
    expect((await run('pdftoppm', ['-r', '72', '-gray', '-singlefile', file, file])).code).toBe(0)
    const bytes = readFileSync(`${file}.pgm`)
    const [, width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1'))!.map(Number)
    const from = bytes.length - width! * height!
    return (x: number, y: number): number => bytes[from + Math.floor(y) * width! + Math.floor(x)]!
  }

  test('it stays as it was made: words and fonts are there, and its boxes are the printer’s', async () => {
    const flat = flatAt(ostrevane, 200)
    const words = [{ text: 'The Long Ebb', x: flat.width - 300, y: 300, size: 30 }]
    const brought = await broughtIn(await wrapBy('kept', { flat, words }))
    const file = await written('kept', await worn(brought, flat, '9780000001030'), brought)
    expect((await run('pdftotext', [file, '-'])).out).toMatch(/The Long Ebb/)
    const fonts = (await run('pdffonts', [file])).out
    expect(fonts).toMatch(/Nimbus|Times/)
    expect(fonts.split('\n').slice(2).join()).not.toMatch(/\bno\s+(yes|no)\s+(yes|no)\s+\d/)
    expect((await run('pdfinfo', ['-box', file])).out).toMatch(
      new RegExp(`MediaBox:\\s+0.00\\s+0.00\\s+${(flat.width + 18).toFixed(2)}`),
    )
    expect((await run('qpdf', ['--check', file])).code).toBe(0)
    // Our barcode is laid over it, and another program reads it.
    await run('pdftoppm', ['-r', '300', '-png', '-singlefile', file, file])
    expect((await run('zbarimg', ['-q', `${file}.png`])).out).toMatch(/9780000001030/)
  })

  test('art that follows a wider spine leaves no line of paper, and its words where they stood from their edge', async () => {
    const [made, now] = [flatAt(ostrevane, 200), flatAt(ostrevane, 400)]
    // A black square a known way from the right edge; the spine's ground is plain.
    const square = `0 setgray ${made.width + 2 * made.bleed.left - 109} 300 50 50 rectfill`
    const brought = await broughtIn(await wrapBy('wider', { flat: made, ground: '0.6 setgray', more: square }), {
      atFolds: 'widened',
    })
    const cover = await worn(brought, now)
    expect(said(await found(cover, brought))).toEqual([])
    const at = await painted(await written('wider', cover, brought))
    const { bleed, width, height } = now
    for (let x = 1; x < width + 2 * bleed.left - 1; x += 1) expect(at(x, 40)).toBeLessThan(170)
    const y = height + 2 * bleed.top - 325
    expect(at(width + 2 * bleed.left - 84, y)).toBeLessThan(20)
    expect(at(width + 2 * bleed.left - 115, y)).toBeGreaterThan(120)
    expect(at(width + 2 * bleed.left - 55, y)).toBeGreaterThan(120)
  })

  test('what is drawn across a fold is found before it is stretched', async () => {
    const [made, now] = [flatAt(ostrevane, 200), flatAt(ostrevane, 400)]
    const fold = made.bleed.left + made.panels.front.x
    const across = `1 setgray ${fold - 1.5} 100 3 200 rectfill`
    const brought = await broughtIn(await wrapBy('across', { flat: made, more: across }), { atFolds: 'widened' })
    const [fault] = await found(await worn(brought, now), brought)
    expect(fault).toMatchObject({ rule: 'fold', severity: 'mend' })
    expect(fault!.message).toMatch(/^Along 3\d % of the right fold something is drawn that is made wider/)
  })

  test('its designer is told what was, what is, and what was found', async () => {
    const [made, now] = [flatAt(ostrevane, 200), flatAt(ostrevane, 400)]
    const brought = await broughtIn(await wrapBy('told', { flat: made }))
    const cover = await worn(brought, now)
    const told = changesOf(now, { sheets: cover.elsewhere!.sheets, findings: await found(cover, brought) })
    expect(told).toMatch(/Spine: was 0\.508 in \(12\.9 mm\); is 1\.016 in/)
    expect(told).toMatch(
      /1\. The wrap is 0\.508 in narrower than the flat: 12\.508 in as it is cut, and 13\.016 in are asked\./,
    )
  })
})

describe('a picture as a wrap', () => {
  const flat = flatAt(tarnbrook, 200)
  test('its head says at how many pixels an inch it is printed; what screens have says nothing', () => {
    expect(pixelsAnInch(pngOf(10, 10, 11811))).toBe(300)
    expect(pixelsAnInch(pngOf(10, 10, 2835))).toBeUndefined()
    expect(pixelsAnInch(pngOf(10, 10))).toBeUndefined()
    const jpeg = Uint8Array.from([
      0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 2, 0, 118, 0, 118, 0, 0,
    ])
    expect(pixelsAnInch(jpeg)).toBeCloseTo(299.72, 2)
    expect(pixelsAnInch(new Uint8Array(3))).toBeUndefined()
  })

  test('of the right form and too few pixels it is coarse, and nothing else', async () => {
    const [width, height] = [flat.width + 2 * flat.bleed.left, flat.height + 2 * flat.bleed.top].map(v =>
      Math.round(v * 2),
    )
    const bytes = pngOf(width!, height!)
    const asset = readAsset(bytes)!
    const ports = nodePorts(new Map([[asset.id, bytes]]))
    const wrap = { sheets: [{ asset: asset.id }] }
    const cover = await drawCover(flat, lampOverTide, data, { shelf, assets: [asset], wrap })
    expect(said(await found(cover, { ports, assets: [asset] }, tarnbrook))).toEqual(['stop cover resolution'])
  })
})
