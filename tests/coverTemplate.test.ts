import { expect, test } from '@jest/globals'
import { strFromU8, unzipSync } from 'fflate'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { nodePorts, paintToFile } from '@/cli/ports'
import { type CoverSpec, flatFor } from '@/core/cover'
import { type CoverTemplateParts, coverTemplateFiles, settingsOf } from '@/core/delivery'
import { parseXml } from '@/core/files'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { shelf } from './support/core'
import { run } from './support/run'

const partsOf = (outlet: string, spec: CoverSpec): CoverTemplateParts => {
  const profile = profileOf(outlet, shippedProfiles)
  return {
    title: 'The Long Ebb',
    flat: flatFor(profile, spec),
    profile,
    spec: { ...spec, ink: 'black' },
    date: '2026-11-29T00:00:00Z',
  }
}
const ports = {
  ...nodePorts(new Map()),
  paintSheet: async (page: Parameters<typeof paintToFile>[0], scale: number) =>
    (await paintToFile(page, scale, 'png')).bytes,
}

test('a paperback of 218 pages on cream: sheet, spine and boxes are the hand-computed ones in every file', async () => {
  // 0.125 + 6 + 218 × 0.00254 + 6 + 0.125 = 12.80372 in by 9.25 in.
  const parts = partsOf('ostrevane', { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 218 })
  const { name, bytes } = await coverTemplateFiles(parts, shelf, ports)
  expect(name).toBe('the-long-ebb-paperback-ostrevane-template.zip')
  const files = unzipSync(bytes)
  const dir = mkdtempSync(join(tmpdir(), 'porchlight-template-'))
  for (const [n, b] of Object.entries(files)) writeFileSync(join(dir, n), b)

  const info = (await run('pdfinfo', ['-box', join(dir, 'template.pdf')])).out
  expect(info).toMatch(/Pages:\s+1\b/)
  const box = (which: string): number[] =>
    new RegExp(`${which}:\\s+([\\d.]+)\\s+([\\d.]+)\\s+([\\d.]+)\\s+([\\d.]+)`).exec(info)!.slice(1).map(Number)
  const [x0, y0, x1, y1] = box('TrimBox')
  expect((x1! - x0!) / 72).toBeCloseTo(12.55372, 3)
  expect((y1! - y0!) / 72).toBeCloseTo(9, 3)
  expect((box('MediaBox')[2]! - box('MediaBox')[0]!) / 72).toBeCloseTo(12.80372, 3)
  const words = (await run('pdftotext', ['-layout', join(dir, 'template.pdf'), '-'])).out
  expect(words).toContain('front: 6 in wide, 9 in high')
  expect(words).toMatch(/red: the whole sheet, 12.804 in by 9.25 in, with 0.125 in bleed on each edge/)

  // Width and height stand in a PNG's head.
  const png = new DataView(files['template.png']!.buffer, files['template.png']!.byteOffset)
  expect([png.getUint32(16), png.getUint32(20)]).toEqual([3841, 2775])
  const svg = strFromU8(files['template.svg']!)
  // Its words lie on the spine, along it.
  expect(parseXml(files['template.svg']!, 'the template').name).toBe('svg')
  expect(svg).toMatch(/<g transform="matrix\(0 1 -1 0 /)
  expect(svg).toContain('<title>The Long Ebb: template of the cover</title>')
  expect(strFromU8(files['settings.txt']!)).toBe(settingsOf(parts))
})

test('the sheet of settings says what each binding asks, in inches and millimetres', () => {
  const lineOf = (settings: string, name: string): string =>
    settings
      .split('\n')
      .find(l => l.startsWith(name))!
      .slice(name.length)
      .trim()
  const paperback = settingsOf(
    partsOf('ostrevane', { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 218, language: 'fr' }),
  )
  expect(lineOf(paperback, 'Pages of the file')).toContain('12.804 in (325.21 mm) wide, 9.25 in (234.95 mm) high')
  expect(lineOf(paperback, 'At 300 pixels an inch')).toBe('3841 by 2775 pixels')
  expect(lineOf(paperback, 'Spine')).toMatch(/^0.554 in \(14.06 mm\) wide, from 6.125 in \(155.5\d mm\) from the left/)
  // French spines are read from the foot up.
  expect(lineOf(paperback, 'Words on the spine')).toContain('read up')
  // 1.468 in of 113 modules of 0.33 mm.
  expect(lineOf(paperback, 'Barcode')).toContain('1.468 in (37.29 mm) wide, 1.021 in (25.93 mm) high')

  const thin = settingsOf(partsOf('ostrevane', { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 40 }))
  expect(lineOf(thin, 'Words on the spine')).toBe('none under 84 pages')

  const bound = settingsOf(partsOf('ostrevane', { binding: 'case', trim: '6x9in', paper: 'cream', pages: 218 }))
  expect(lineOf(bound, 'Hinge')).toContain('0.44 in')
  expect(lineOf(bound, 'Turned in')).toContain('0.55 in')

  const coil = settingsOf(partsOf('tarnbrook', { binding: 'coil', trim: 'A5', paper: 'white', pages: 120 }))
  expect(lineOf(coil, 'Spine')).toBe('none')
  expect(lineOf(coil, 'Along the holes')).toContain('0.5 in (12.7 mm)')

  expect(lineOf(paperback, 'At the folds')).toContain('0.06 in')
  expect(lineOf(paperback, 'Worked')).toContain('spine = 218 pages × 0.00254 in')
})

test('back and front apart: two pages of the file, each with its own bleeds, and a picture of each', async () => {
  const parts = partsOf('harrowmere', { binding: 'coil', trim: 'A5', paper: 'cream', pages: 80 })
  const files = unzipSync((await coverTemplateFiles(parts, shelf, ports)).bytes)
  expect(Object.keys(files).sort()).toEqual([
    'settings.txt',
    'template-back.png',
    'template-back.svg',
    'template-front.png',
    'template-front.svg',
    'template.pdf',
  ])
  const dir = mkdtempSync(join(tmpdir(), 'porchlight-template-'))
  writeFileSync(join(dir, 'template.pdf'), files['template.pdf']!)
  const info = (await run('pdfinfo', ['-box', '-l', '2', join(dir, 'template.pdf')])).out
  const mm = (which: string): string[] =>
    [...info.matchAll(new RegExp(`${which}: +([\\d.]+) +([\\d.]+) +([\\d.]+) +([\\d.]+)`, 'g'))].map(m =>
      m
        .slice(1)
        .map(v => ((Number(v) / 72) * 25.4).toFixed(1))
        .join(' '),
    )
  // The back’s holes are at its right, the front’s at its left: 5 mm there, 3 at the other edges.
  expect(mm('MediaBox')).toEqual(['0.0 0.0 156.0 216.0', '0.0 0.0 156.0 216.0'])
  expect(mm('TrimBox')).toEqual(['3.0 3.0 151.0 213.0', '5.0 3.0 153.0 213.0'])
  expect(settingsOf(parts)).toContain('two, back and front, each of 6.142 in (156 mm) wide')
})
