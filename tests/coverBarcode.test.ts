import { describe, expect, test } from '@jest/globals'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { nodePorts } from '@/cli/ports'
import { drawCover, flatFor, lampOverTide, type ListPrice, sheetPages } from '@/core/cover'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { bindingRules } from '@/core/trade'
import { shelf } from './support/core'
import { run } from './support/run'

const ISBN = '9780000001030'
const data = {
  title: 'The Long Ebb',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' as const }],
  language: 'en',
  imprint: { name: 'Saltgrass Lane Press' },
  subjects: [],
}

const PPI = 300

/** What a reader of barcodes finds on the wrap's pages, rendered by another program. */
async function readOff(outlet: string, binding: string, price?: ListPrice): Promise<string[]> {
  const profile = profileOf(outlet, shippedProfiles)
  const { kind, trims, leastPages } = bindingRules(profile, binding as 'paperback')
  const spec = { binding: kind, trim: trims[0]!, paper: profile.print!.papers[0]!.id }
  const flat = flatFor(profile, { ...spec, pages: leastPages, barcode: price && 'priced' })
  const cover = await drawCover(flat, lampOverTide, data, { isbn: ISBN, price, shelf })
  const { pdfBytes } = await import('@/core/pdf')
  const ports = nodePorts(new Map())
  const about = { title: 'cover', language: 'en', date: '2026-11-29T00:00:00Z', grey: false }
  const dir = mkdtempSync(join(tmpdir(), 'porchlight-barcode-'))
  writeFileSync(join(dir, 'cover.pdf'), await pdfBytes(sheetPages(cover), about, await ports.pdf()))
  // Beside a price the reader wants to see the symbols alone; otherwise it finds them on the sheet.
  const px = (pt: number): string => String(Math.round((pt / 72) * PPI))
  const { x, y, width, height } = cover.barcode!
  const { left, top } = flat.sheets[0]!.bleed
  const alone = price ? ['-x', px(x + left), '-y', px(y + top), '-W', px(width), '-H', px(height)] : []
  await run('pdftoppm', [
    '-r',
    String(PPI),
    '-png',
    '-singlefile',
    ...alone,
    join(dir, 'cover.pdf'),
    join(dir, 'cover'),
  ])
  const { out } = await run('zbarimg', ['-q', '-Sean5.enable', '-Sean13.enable', join(dir, 'cover.png')])
  return out.trim().split('\n').filter(Boolean)
}

describe('barcodes read off rendered wraps by an outside program', () => {
  const bindings = shippedProfiles.flatMap(p => (p.print?.bindings ?? []).map(b => [p.id, b.kind] as const))
  test.each(bindings)('%s, %s', async (outlet, binding) => {
    expect(await readOff(outlet, binding)).toEqual([`EAN-13:${ISBN}`])
  })
  test('a price stands beside it in five figures', async () => {
    const read = await readOff('ostrevane', 'paperback', { amount: 1399, currency: 'USD' })
    expect(read.sort()).toEqual([`EAN-13:${ISBN}`, 'EAN-5:51399'])
  })
})
