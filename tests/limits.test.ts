import { beforeAll, describe, expect, test } from '@jest/globals'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { crc32, deflateRawSync } from 'node:zlib'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { writeProject } from '@/core/archive'
import { harbourRoman } from '@/core/pages'
import { bookOf } from './support/core'
import { slowness } from './support/pace'
import { press, pressMeasured } from './support/run'

/** Files made to take a program's time or memory: each is read, or refused with the true cause, within ten seconds and a gigabyte. */
const dir = mkdtempSync(join(tmpdir(), 'porchlight-limits-'))
const at = (name: string, bytes: string | Uint8Array): string => {
  writeFileSync(join(dir, name), bytes)
  return join(dir, name)
}
beforeAll(async () => void (await press('cost', '--pages', '100')), 60_000)

const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
const textPart = (body: string): Uint8Array => strToU8(`<w:document ${w}><w:body>${body}</w:body></w:document>`)
// Not packed: what is packed a thousandfold is refused for that alone.
const docx = (body: string, more: Record<string, Uint8Array> = {}): Uint8Array =>
  zipSync({ 'word/document.xml': textPart(body), ...more }, { level: 0 })
const words = (t: string): string => `<w:r><w:t>${t}</w:t></w:r>`
const begun = '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>REF x</w:instrText></w:r>'

/** An archive of entries that are packed already. */
function zipOf(entries: { name: string; packed: Uint8Array; size: number; crc: number }[]): Uint8Array {
  const parts: Uint8Array[] = []
  const index: Uint8Array[] = []
  let offset = 0
  for (const e of entries) {
    const name = strToU8(e.name)
    const facts = (into: DataView, p: number): void => {
      into.setUint16(p, 20, true)
      into.setUint16(p + 4, 8, true)
      into.setUint32(p + 10, e.crc, true)
      into.setUint32(p + 14, e.packed.length, true)
      into.setUint32(p + 18, e.size, true)
      into.setUint16(p + 22, name.length, true)
    }
    const local = new DataView(new ArrayBuffer(30))
    local.setUint32(0, 0x04034b50, true)
    facts(local, 4)
    const central = new DataView(new ArrayBuffer(46))
    central.setUint32(0, 0x02014b50, true)
    facts(central, 6)
    central.setUint32(42, offset, true)
    parts.push(new Uint8Array(local.buffer), name, e.packed)
    index.push(new Uint8Array(central.buffer), name)
    offset += 30 + name.length + e.packed.length
  }
  const end = new DataView(new ArrayBuffer(22))
  end.setUint32(0, 0x06054b50, true)
  end.setUint16(8, entries.length, true)
  end.setUint16(10, entries.length, true)
  end.setUint32(
    12,
    index.reduce((n, x) => n + x.length, 0),
    true,
  )
  end.setUint32(16, offset, true)
  return new Uint8Array(Buffer.concat([...parts, ...index, new Uint8Array(end.buffer)]))
}

/** A project whose record is changed by hand. */
function project(change: (book: Record<string, unknown>) => void): Uint8Array {
  const files = unzipSync(writeProject({ book: bookOf([['The tide came in.']]), pictures: new Map() }))
  const record = JSON.parse(strFromU8(files['project.json']!)) as { book: Record<string, unknown> }
  change(record.book)
  return zipSync({
    ...files,
    mimetype: [files.mimetype!, { level: 0 }],
    'project.json': strToU8(JSON.stringify(record)),
  })
}
/** The first bytes of a PNG that says it is 30,000 pixels wide and high, and a little more. */
function hugePng(): Uint8Array {
  const png = new Uint8Array(60)
  png.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52])
  const view = new DataView(png.buffer)
  view.setUint32(16, 30_000)
  view.setUint32(20, 30_000)
  png.set([8, 6], 24)
  return png
}

describe('what is made to harm is read or refused in ten seconds and a gigabyte', () => {
  test.each<[string, string, () => Uint8Array | string, RegExp | undefined]>([
    [
      'a note of 110 kB called 20,000 times',
      'n.docx',
      () =>
        docx(`<w:p>${words('Called')}${'<w:r><w:footnoteReference w:id="1"/></w:r>'.repeat(20_000)}</w:p>`, {
          'word/footnotes.xml': strToU8(
            `<w:footnotes ${w}><w:footnote w:id="1"><w:p>${words('long '.repeat(22_000))}</w:p></w:footnote></w:footnotes>`,
          ),
        }),
      undefined,
    ],
    [
      '7.9 million empty paragraphs',
      'e.docx',
      () => docx('<w:p/>'.repeat(7_900_000)),
      /more than 1,500,000 elements in its text/,
    ],
    [
      '1.3 million paragraphs',
      'p.docx',
      () => docx(`<w:p>${words('x')}</w:p>`.repeat(1_300_000)),
      /more than 1,500,000 elements in its text/,
    ],
    [
      'as many elements as are taken',
      'm.docx',
      () => docx(`<w:p>${words('Tide')}</w:p>`.repeat(370_000) + `<w:p>${words('End')}</w:p>`),
      undefined,
    ],
    [
      'nine entries of 199 MB',
      '9.docx',
      () => {
        const zeros = { packed: deflateRawSync(new Uint8Array(199e6)), size: 199e6, crc: crc32(new Uint8Array(199e6)) }
        const text = textPart(`<w:p>${words('x')}</w:p>`)
        return zipOf([
          { name: 'word/document.xml', packed: deflateRawSync(text), size: text.length, crc: crc32(text) },
          ...Array.from({ length: 9 }, (_, i) => ({ ...zeros, name: `word/media/${i}.png` })),
        ])
      },
      /far more than a book can hold/,
    ],
    ['fifty million brackets', 'b.md', () => '['.repeat(50_000_000), /longer than any book/],
    ['thirty million brackets', 'c.md', () => '['.repeat(30_000_000), /full of brackets/],
    ['a hundred thousand beginnings of pictures', 'i.md', () => `# One\n\n${'!['.repeat(100_000)}`, undefined],
    [
      '30,000 notes',
      'notes.md',
      () =>
        `# One\n\n${Array.from({ length: 30_000 }, (_, i) => `Some words[^${i}].\n\n[^${i}]: Note ${i}.\n`).join('\n')}`,
      undefined,
    ],
    [
      '60,000 fields that never end',
      'f.docx',
      () => docx(`<w:p>${begun.repeat(60_000)}${words('after')}</w:p>`),
      undefined,
    ],
    [
      'a picture of 30,000 pixels each way',
      'png.docx',
      () => docx(`<w:p>${words('Words')}</w:p>`, { 'word/media/a.png': hugePng() }),
      undefined,
    ],
    [
      'a cell that spans a milliard columns',
      't.docx',
      () =>
        docx(
          `<w:tbl><w:tr><w:tc><w:tcPr><w:gridSpan w:val="1000000000"/></w:tcPr><w:p>${words('cell')}</w:p></w:tc></w:tr></w:tbl>`,
        ),
      undefined,
    ],
    [
      'a plan of a milliard pages',
      'plan.porchlight',
      () => project(b => (b.plan = { runs: [{ id: 'r1', page: { kind: 'lined' }, count: 1_000_000_000 }] })),
      /plan/,
    ],
    [
      'a style whose lines have no distance',
      'line.porchlight',
      () => project(b => (b.styles = [{ ...harbourRoman, id: 'own', text: { ...harbourRoman.text, leading: 0 } }])),
      /leading/,
    ],
    [
      'a picture beside Markdown that is an endless device',
      'd.md',
      () => '# One\n\nWords.\n\n![noise](/dev/zero)\n\n![more](../../../../../../dev/urandom)\n',
      undefined,
    ],
  ])(
    '%s',
    async (_name, file, bytes, refusal) => {
      const path = at(file, bytes())
      const before = slowness()
      const ran = await pressMeasured('read', path)
      const slow = Math.max(before, slowness())
      expect([ran.err.trim(), ran.code]).toEqual(refusal ? [expect.stringMatching(refusal), 1] : ['', 0])
      expect(ran.err.trim().split('\n')).toHaveLength(1)
      // Several threads count together: collecting garbage works beside the reading.
      expect(ran.worked / slow).toBeLessThan(14_000)
      expect(ran.peak).toBeLessThan(1000)
    },
    60_000,
  )
})
