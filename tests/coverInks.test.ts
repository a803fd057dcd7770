import { describe, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createCanvas, loadImage } from '@napi-rs/canvas'
import { nodePorts } from '@/cli/ports'
import { hashOf } from '@/core/book'
import { type CoverDesign, type CoverPiece, drawCover, flatFor, lampOverTide, sheetPages } from '@/core/cover'
import { mayBeClear, pressPdf } from '@/core/delivery'
import type { FileColour } from '@/core/trade'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { shelf } from './support/core'
import { run } from './support/run'

const profile = profileOf('tarnbrook', shippedProfiles)
const flat = flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 218 })
const data = {
  title: 'The Long Ebb',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' as const }],
  language: 'en',
  imprint: { name: 'Saltgrass Lane Press' },
  subjects: [],
}

/** A picture of one colour, and its id. */
function picture(colour: string): { id: string; bytes: Uint8Array } {
  const canvas = createCanvas(600, 600)
  const ctx = canvas.getContext('2d')
  ctx.fillStyle = colour
  ctx.fillRect(0, 0, 600, 600)
  const bytes = new Uint8Array(canvas.toBuffer('image/png'))
  return { id: hashOf(bytes), bytes }
}

/** The wrap as it goes to a printer who takes inks, in a folder of its own. */
async function wrap(pieces: CoverPiece[], pictures = new Map<string, Uint8Array>(), colour?: FileColour) {
  const design: CoverDesign = { ...lampOverTide, pieces: [...lampOverTide.pieces, ...pieces] }
  const assets = [...pictures.keys()].map(id => ({ id, type: 'image/png' as const, width: 600, height: 600 }))
  const cover = await drawCover(flat, design, data, { isbn: '9780000001030', shelf, assets })
  const about = { title: 'cover', language: 'en', date: '2026-11-29T00:00:00Z' }
  const bytes = await pressPdf(
    sheetPages(cover),
    { profile, grey: false, colour, clear: mayBeClear(assets) },
    about,
    nodePorts(pictures),
  )
  const dir = mkdtempSync(join(tmpdir(), 'porchlight-inks-'))
  const file = join(dir, 'cover.pdf')
  writeFileSync(file, bytes)
  return { dir, file, cover }
}

/** The four inks of each pixel as another program renders them, 72 an inch: [width, at(x, y) in points from the sheet's corner]. */
async function inksOf(dir: string, file: string) {
  const raw = join(dir, 'inks.raw')
  const r = await run('gs', [
    '-q',
    '-dNOPAUSE',
    '-dBATCH',
    '-sDEVICE=bitcmyk',
    '-dGrayValues=256',
    '-r72',
    '-o',
    raw,
    file,
  ])
  expect(r.code).toBe(0)
  const bytes = new Uint8Array(readFileSync(raw))
  // It has no head: its rows are as many as the sheet has points.
  const width = bytes.length / 4 / Math.round(flat.height + flat.bleed.top + flat.bleed.bottom)
  expect(width).toBe(Math.round(width))
  return { bytes, at: (x: number, y: number) => [...bytes.subarray((y * width + x) * 4, (y * width + x) * 4 + 4)] }
}

const band = (id: string, colour: string, more: object = {}): CoverPiece => ({
  id,
  kind: 'shape',
  form: 'rectangle',
  colour,
  panel: 'front',
  within: 'panel',
  box: { x: 0.1, y: 0.55, width: 0.3, height: 0.1 },
  ...more,
})

describe('a cover for a printer who takes inks', () => {
  test('is prepared for PDF/X-1a: inks and black alone, boxes of the flat, an intent of four inks', async () => {
    const { dir, file } = await wrap([])
    expect((await run('qpdf', ['--check', file])).code).toBe(0)
    await run('qpdf', ['--qdf', '--object-streams=disable', file, join(dir, 'plain.pdf')])
    const plain = readFileSync(join(dir, 'plain.pdf'), 'latin1')
    expect(plain).toMatch(/^%PDF-1\.4/)
    expect(plain).toContain('/GTS_PDFXVersion')
    expect(plain).toMatch(/\/N 4\b/)
    expect(plain).not.toMatch(/DeviceRGB|\d (rg|RG)\n/)
    expect(plain).toMatch(/\d k\n/)
    const info = (await run('pdfinfo', ['-box', file])).out
    // 0.125 + 6 + 218 × 0.00257 + 6 + 0.125 in.
    expect(Number(/MediaBox: +0\.00 +0\.00 +([\d.]+)/.exec(info)![1]) / 72).toBeCloseTo(12.81026, 3)
    const covered = (await run('gs', ['-q', '-o', '-', '-sDEVICE=inkcov', file])).out.trim().split(/\s+/)
    expect(covered.slice(0, 4).every(v => Number(v) > 0)).toBe(true)
  })
  test('holds the sum of inks, has its barcode in black alone, and its flat colours as its pictures', async () => {
    const same = picture('#15343d')
    const { dir, file, cover } = await wrap(
      [
        band('drawn', '#15343d'),
        {
          id: 'painted',
          kind: 'picture',
          asset: same.id,
          panel: 'front',
          within: 'panel',
          box: { x: 0.6, y: 0.55, width: 0.3, height: 0.1 },
        },
      ],
      new Map([[same.id, same.bytes]]),
    )
    const { bytes, at } = await inksOf(dir, file)
    let most = 0
    for (let i = 0; i < bytes.length; i += 4)
      most = Math.max(most, bytes[i]! + bytes[i + 1]! + bytes[i + 2]! + bytes[i + 3]!)
    expect(most / 255).toBeLessThanOrEqual(3.01)
    const { x, y, width, height } = cover.barcode!
    const { left, top } = flat.bleed
    for (let v = Math.ceil(y + top) + 1; v < y + top + height - 1; v++)
      for (let u = Math.ceil(x + left) + 1; u < x + left + width - 1; u++)
        expect(at(u, v).slice(0, 3)).toEqual([0, 0, 0])
    const on = (part: number): number[] =>
      at(Math.round(left + flat.panels.front.x + part * 432), Math.round(0.6 * 666))
    expect(on(0.25)[0]).toBeGreaterThan(150)
    expect(on(0.75)).toEqual(on(0.25))
  })
  test('what is seen through becomes a picture of what is seen, and its edges meet what is drawn', async () => {
    const veil = band('veil', '#ffffff', { opacity: 0.4 })
    const { dir, file } = await wrap([
      band('under', '#b4432f', { box: { x: 0.05, y: 0.5, width: 0.6, height: 0.2 } }),
      veil,
    ])
    await run('qpdf', ['--qdf', '--object-streams=disable', file, join(dir, 'plain.pdf')])
    const plain = readFileSync(join(dir, 'plain.pdf'), 'latin1')
    expect(plain).not.toMatch(/\/ca |\/SMask/)
    expect(plain).toContain('/DeviceCMYK')
    const { at } = await inksOf(dir, file)
    const y = Math.round(0.6 * 666)
    const x = Math.round(flat.bleed.left + flat.panels.front.x + 0.25 * 432)
    const clear = at(Math.round(flat.bleed.left + flat.panels.front.x + 0.55 * 432), y)
    const veiled = at(x, y)
    // Under a veil of white there is less of the inks that are there without it, and none that is not.
    expect(veiled[1]!).toBeLessThan(clear[1]! * 0.85)
    expect(veiled[1]!).toBeGreaterThan(clear[1]! * 0.3)
  })
  test.each(['rgb', 'cmyk'] as const)(
    'a picture that is clear in places shows what lies under it there, in %s',
    async colour => {
      const canvas = createCanvas(600, 600)
      const ctx = canvas.getContext('2d')
      ctx.fillStyle = '#f6efdf'
      ctx.fillRect(0, 0, 300, 600)
      const bytes = new Uint8Array(canvas.toBuffer('image/png'))
      const id = hashOf(bytes)
      const half: CoverPiece = {
        id: 'half',
        kind: 'picture',
        asset: id,
        panel: 'front',
        within: 'panel',
        box: { x: 0.2, y: 0.5, width: 0.6, height: 0.2 },
      }
      const under = band('under', '#b4432f', { box: { x: 0.1, y: 0.48, width: 0.8, height: 0.24 } })
      const { dir, file } = await wrap([under, half], new Map([[id, bytes]]), colour)
      await run('pdftoppm', ['-r', '72', '-png', '-singlefile', file, join(dir, 'cover')])
      const image = await loadImage(join(dir, 'cover.png'))
      const seen = createCanvas(image.width, image.height)
      seen.getContext('2d').drawImage(image, 0, 0)
      const at = (part: number): number[] => {
        const x = Math.round(flat.bleed.left + flat.panels.front.x + part * 441)
        return [...seen.getContext('2d').getImageData(x, Math.round(0.6 * 666), 1, 1).data]
      }
      // Light where it is painted, and the band's red, not white paper, where it is clear.
      expect(at(0.3)[2]!).toBeGreaterThan(180)
      expect(at(0.7)[0]!).toBeGreaterThan(120)
      expect(at(0.7)[2]!).toBeLessThan(110)
    },
  )
})
