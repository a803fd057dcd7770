import { beforeAll, describe, expect, test } from '@jest/globals'
import {
  AlignmentType,
  CommentRangeEnd,
  CommentRangeStart,
  CommentReference,
  DeletedTextRun,
  Document,
  ExternalHyperlink,
  FootnoteReferenceRun,
  HeadingLevel,
  ImageRun,
  InsertedTextRun,
  LevelFormat,
  Packer,
  PageBreak,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
} from 'docx'
import { createCanvas } from '@napi-rs/canvas'
import { randomBytes } from 'node:crypto'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import mammoth from 'mammoth'
import { bookText, docText, type ImageJson, type ParagraphJson, schema, type Section } from '../book'
import { Fault } from '../trade'
import { isSceneBreak, readHeading } from './headings'
import { readZip } from '../files'
import { readManuscript, type Understood } from '.'

const md = (t: string): Understood => readManuscript('a.md', strToU8(t))
const txt = (t: string): Understood => readManuscript('a.txt', strToU8(t))
const body = (u: Understood): Section[] => u.book.sections.filter(s => !s.made)
const titles = (u: Understood): string[] => body(u).map(s => s.title)

describe('headings', () => {
  test.each([
    ['Chapter Four: The Bell', { number: 4, title: 'The Bell' }],
    ['CHAPTER IV', { number: 4, title: '' }],
    ['Chapter Twenty-One', { number: 21, title: '' }],
    ['Part Two', { number: 2, title: '', part: true }],
    ['7. The Lead Line', { number: 7, title: 'The Lead Line' }],
    ['XII', { number: 12, title: '', bareNumeral: true }],
    ['Chapter 3 What Jory Carried', { number: 3, title: 'What Jory Carried' }],
    ['Mix', { title: 'Mix' }],
    ['The Mean', { title: 'The Mean' }],
  ])('%s', (text, expected) => expect(readHeading(text)).toMatchObject(expected))

  test('scene breaks in all their typed forms', () => {
    for (const s of ['***', '* * *', '#', '# # #', '---', '—', '⁂', '~', '• • •', '****'])
      expect([s, isSceneBreak(s)]).toEqual([s, s !== '—'])
    for (const s of ['', 'a', '12', '* note', '“…”', '•']) expect(isSceneBreak(s)).toBe(false)
  })
})

describe('plain text', () => {
  test('chapters by their words, wrapped lines joined, scene breaks found', () => {
    const u = txt(
      'THE LONG TIDE\n\nby Orla Fenwright\n\nCHAPTER ONE\n\nThe Bell\n\nIt rang seven times in the morning and nobody had\ntouched the rope at all, not even Mr Hask who kept it\nin three careful turns.\n\n* * *\n\nThen it stopped for a good while, and they all went\nhome to their breakfasts along the quay together.\n\nCHAPTER TWO\n\nNothing more was heard of it until the evening tide.\n',
    )
    const chapters = body(u).filter(s => s.role === 'chapter')
    expect(chapters.map(s => [s.title, s.numbered])).toEqual([
      ['The Bell', true],
      ['', true],
    ])
    expect(chapters[0]!.doc.content.map(b => b.type)).toEqual(['paragraph', 'scene_break', 'paragraph'])
    expect(docText(chapters[0]!.doc)).toContain('nobody had touched the rope')
    expect(chapters[0]!.evidence!.join()).toContain('“CHAPTER” with a numeral')
    expect(u.book.data.title).toBe('THE LONG TIDE')
    expect(u.book.data.contributors[0]?.name).toBe('Orla Fenwright')
  })
  test('text without headings is one section', () => {
    expect(body(txt('Only this.\n\nAnd this.'))).toHaveLength(1)
  })
  test('Windows-1252 and UTF-16 are read', () => {
    expect(bookText(readManuscript('a.txt', Uint8Array.from([0x93, 0x68, 0x69, 0x94, 0x20, 0xe9])).book)).toContain(
      '“hi” é',
    )
    const utf16 = new Uint8Array(Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('Tide über', 'utf16le')]))
    expect(bookText(readManuscript('a.txt', utf16).book)).toContain('Tide über')
  })
  test('no word is lost, whatever the text', () => {
    const word = fc.constantFrom(
      'tide',
      'Chapter',
      'One',
      'IV',
      'copyright',
      '***',
      'For',
      'Ada',
      '—',
      'Prologue',
      'by',
      'sea.',
      '“Well,”',
      '1907',
    )
    fc.assert(
      fc.property(
        fc.array(
          fc.array(word, { minLength: 1, maxLength: 12 }).map(w => w.join(' ')),
          { minLength: 1, maxLength: 12 },
        ),
        paras => {
          const u = txt(paras.join('\n\n'))
          const read = new Set(
            (
              bookText(u.book) +
              ' ' +
              u.dropped.flatMap(d => d.places).join(' ') +
              ' ' +
              u.book.data.title +
              ' ' +
              u.book.data.contributors.map(c => c.name).join(' ')
            )
              .toLowerCase()
              .split(/\s+/),
          )
          for (const p of paras) {
            if (isSceneBreak(p)) continue
            // Numbers and the word Chapter become the section's own number.
            for (const w of p.toLowerCase().split(/\s+/))
              if (!/^(chapter|part|one|iv|1907|by|\*+|—|prologue)$/.test(w))
                expect(read.has(w) || read.has(w.replace(/[.,]$/, ''))).toBe(true)
          }
          for (const s of u.book.sections) schema.nodeFromJSON(s.doc).check()
        },
      ),
      { numRuns: 200 },
    )
  })
})

describe('Markdown', () => {
  const u = md(
    '---\ntitle: The Book\nauthor: Orla Fenwright\nlang: en-GB\n---\n\nFor Ada.\n\n# Prologue\n\nBefore.\n\n# One: The *First*\n\nText[^1] with **bold** and <b>html</b>.\n\n***\n\n::: letter\nMerrow, the 4th\n\nDear Sir, this is a letter of more than nine words so that it stays where it is.\n\nE. Bright\n:::\n\n::: verse\nOne line\nand another\n\nnew stanza\n:::\n\n- a\n- b\n  - c\n\n| A | B |\n|---|--:|\n| 1 | 2 |\n\n![gone](no.png)\n\n# About the Author\n\nShe writes.\n\n[^1]: A note.\n',
  )
  test('sections, roles and data', () => {
    expect(u.book.data).toMatchObject({ title: 'The Book', language: 'en-GB' })
    expect(body(u).map(s => [s.part, s.role])).toEqual([
      ['front', 'dedication'],
      ['body', 'prologue'],
      ['body', 'chapter'],
      ['back', 'about-author'],
    ])
  })
  test('blocks of every kind, in the schema', () => {
    const doc = body(u)[2]!.doc
    schema.nodeFromJSON(doc).check()
    expect(doc.content.map(b => b.type)).toEqual(['paragraph', 'scene_break', 'letter', 'verse', 'list', 'table'])
    const json = JSON.stringify(doc)
    expect(json).toContain('A note.')
    expect(json).toContain('<b>html</b>')
    expect(json).toContain('"stanza":true')
    expect(u.dropped).toEqual([{ what: 'pictures that are not in the file', count: 1, places: ['gone'] }])
  })
  test('ids are given once', () => {
    const ids = [...JSON.stringify(u.book.sections.filter(s => !s.made)).matchAll(/"id":"([bn]\d+)"/g)].map(m => m[1])
    expect(new Set(ids).size).toBe(ids.length)
  })
})

describe('docx', () => {
  let bytes: Uint8Array
  let u: Understood
  let png: Buffer
  beforeAll(async () => {
    const canvas = createCanvas(60, 40)
    png = await canvas.encode('png')
    const doc = new Document({
      styles: {
        default: { document: { run: { size: 22 } } },
        paragraphStyles: [
          { id: 'Big', name: 'Big', basedOn: 'Normal', run: { size: 40 } },
          { id: 'Bigger', name: 'Bigger Still', basedOn: 'Big' },
        ],
      },
      numbering: {
        config: [{ reference: 'n', levels: [{ level: 0, format: LevelFormat.DECIMAL, text: '%1.', start: 3 }] }],
      },
      footnotes: { 1: { children: [new Paragraph('The note itself.')] } },
      comments: { children: [{ id: 0, children: [new Paragraph('Say more?')], author: 'E', date: new Date(0) }] },
      sections: [
        {
          children: [
            new Paragraph({ heading: HeadingLevel.TITLE, children: [new TextRun('The Long Tide')] }),
            new Paragraph({ alignment: AlignmentType.CENTER, children: [new TextRun('by Orla Fenwright')] }),
            new Paragraph({ children: [new TextRun('Copyright © 2026 Orla Fenwright. ISBN 978-0-00-000000-2')] }),
            new Paragraph({ heading: HeadingLevel.HEADING_1, children: [new TextRun('Chapter One')] }),
            new Paragraph({ style: 'Bigger', children: [new TextRun('The Bell')] }),
            new Paragraph({
              children: [
                new TextRun('Ada '),
                new TextRun({ text: 'heard', italics: true }),
                new TextRun({ text: ' it', bold: true }),
                new FootnoteReferenceRun(1),
                new TextRun(' plainly.'),
                new InsertedTextRun({ text: ' Added.', id: 1, author: 'E', date: '2026-01-01T00:00:00Z' }),
                new DeletedTextRun({ text: ' Gone.', id: 2, author: 'E', date: '2026-01-01T00:00:00Z' }),
              ],
            }),
            new Paragraph(''),
            new Paragraph({
              children: [
                new CommentRangeStart(0),
                new TextRun('Commented on.'),
                new CommentRangeEnd(0),
                new TextRun({ children: [new CommentReference(0)] }),
              ],
            }),
            new Paragraph({ alignment: AlignmentType.CENTER, children: [new TextRun('* * *')] }),
            new Paragraph({ numbering: { reference: 'n', level: 0 }, children: [new TextRun('third')] }),
            new Paragraph({ numbering: { reference: 'n', level: 0 }, children: [new TextRun('fourth')] }),
            new Table({
              rows: [
                new TableRow({
                  tableHeader: true,
                  children: [
                    new TableCell({ children: [new Paragraph('Hour')] }),
                    new TableCell({ children: [new Paragraph('Feet')] }),
                  ],
                }),
                new TableRow({ children: [new TableCell({ columnSpan: 2, children: [new Paragraph('none')] })] }),
              ],
            }),
            new Paragraph({
              children: [
                new ImageRun({
                  type: 'png',
                  data: png,
                  transformation: { width: 60, height: 40 },
                  altText: { name: 'p', title: 'p', description: 'A square' },
                }),
              ],
            }),
            new Paragraph({
              children: [
                new ExternalHyperlink({ link: 'https://example.org/', children: [new TextRun('a link')] }),
                new TextRun({ text: ' H', smallCaps: true }),
                new TextRun({ text: '2', subScript: true }),
                new TextRun({ text: ' under', underline: {} }),
              ],
            }),
            new Paragraph({ children: [new PageBreak()] }),
            new Paragraph({ alignment: AlignmentType.CENTER, children: [new TextRun('2')] }),
            new Paragraph('The second begins.'),
            new Paragraph({ heading: HeadingLevel.HEADING_1, children: [new TextRun('Acknowledgements')] }),
            new Paragraph('Thanks.'),
          ],
        },
      ],
    })
    bytes = new Uint8Array(await Packer.toBuffer(doc))
    u = readManuscript('tide.docx', bytes)
  })

  test('structure with inherited evidence', () => {
    expect(u.book.data.title).toBe('The Long Tide')
    expect(u.book.data.contributors[0]!.name).toBe('Orla Fenwright')
    expect(u.isbn).toBe('9780000000002')
    expect(body(u).map(s => s.role)).toEqual(['copyright', 'chapter', 'afterword'])
    expect(titles(u)[1]).toBe('The Bell')
    expect(body(u)[1]!.evidence).toContain('the line below is its title')
  })
  test('formatting, notes, lists, tables, pictures, links', () => {
    const doc = body(u)[1]!.doc
    schema.nodeFromJSON(doc).check()
    const json = JSON.stringify(doc)
    for (const part of [
      '{"type":"text","text":"heard","marks":[{"type":"em"}]}',
      '"type":"strong"',
      'The note itself.',
      ' plainly. Added.',
      '"type":"scene_break"',
      '"ordered":true,"start":3',
      '"head":true',
      '"span":2',
      '"alt":"A square"',
      'https://example.org/',
      'small_caps',
      'subscript',
    ])
      expect(json).toContain(part)
    expect(json).not.toContain('Gone')
    expect(u.book.assets[0]).toMatchObject({ width: 60, height: 40, type: 'image/png' })
    expect([...u.pictures.keys()]).toEqual([u.book.assets[0]!.id])
  })
  test('a small picture beside words is a sign as high as in the file; alone, or large, it is a picture', async () => {
    const image = (width: number, height: number, description: string) =>
      new ImageRun({
        type: 'png',
        data: png,
        transformation: { width, height },
        altText: { name: 'p', title: '', description },
      })
    const file = new Uint8Array(
      await Packer.toBuffer(
        new Document({
          styles: { default: { document: { run: { size: 22 } } } },
          footnotes: { 1: { children: [new Paragraph('Of titles.')] } },
          sections: [
            {
              children: [
                new Paragraph({
                  heading: HeadingLevel.HEADING_1,
                  children: [new TextRun('Chapter One'), image(14, 14, 'a star'), new FootnoteReferenceRun(1)],
                }),
                new Paragraph({
                  children: [
                    new TextRun('Ring '),
                    image(22, 22, 'a bell'),
                    new TextRun(' twice, '),
                    image(120, 80, 'the tower'),
                    new TextRun('and wait.'),
                  ],
                }),
                new Paragraph({ children: [image(22, 22, 'alone')] }),
              ],
            },
          ],
        }),
      ),
    )
    const read = readManuscript('signs.docx', file)
    const { content } = body(read)[0]!.doc
    schema.nodeFromJSON(body(read)[0]!.doc).check()
    // A title is plain words; the rest stands below it, and that is said.
    expect(content.slice(0, 2).map(b => b.type)).toEqual(['image', 'paragraph'])
    expect(docText({ type: 'doc', content: content.slice(1, 2) })).toContain('Of titles.')
    expect(read.dropped).toEqual([
      { what: 'notes in titles: their words stand below', count: 1, places: ['Of titles.'] },
      { what: 'pictures in titles: they stand below', count: 1, places: ['a star'] },
    ])
    const asset = read.book.assets[0]!.id
    content.splice(0, 2)
    expect(content.map(b => b.type)).toEqual(['paragraph', 'image', 'image'])
    // 22 pixels at 96 an inch are 16.5 points, of text of 11.
    expect((content[0] as ParagraphJson).content).toEqual([
      { type: 'text', text: 'Ring ' },
      { type: 'sign', attrs: { asset, alt: 'a bell', decoration: false, height: 1.5 } },
      { type: 'text', text: ' twice, and wait.' },
    ])
    expect(content.slice(1).map(b => (b as ImageJson).attrs.alt)).toEqual(['the tower', 'alone'])
  })
  test('what was dropped is counted with its place', () => {
    const by = Object.fromEntries(u.dropped.map(d => [d.what, d]))
    // A comment on words is kept as a remark on them.
    expect(by['comments']).toBeUndefined()
    expect(JSON.stringify(u.book.sections)).toMatch(/"remark","attrs":\{"words":"[^"]+"\}/)
    expect(by['deleted text of tracked changes']!.count).toBe(1)
    expect(by['underlines']!.count).toBe(1)
    expect(u.cleaned.find(c => c.what.startsWith('empty'))!.count).toBeGreaterThan(0)
  })
  test('agrees with another reader on the words', async () => {
    const other = await mammoth.extractRawText({ buffer: Buffer.from(bytes) })
    const ours = new Set(bookText(u.book).split(/\s+/))
    for (const w of other.value.split(/\s+/)) if (/^[a-z]{4,}$/.test(w)) expect([w, ours.has(w)]).toEqual([w, true])
  })
})

describe('files that are not what they say', () => {
  const code = (name: string, bytes: Uint8Array): string => {
    try {
      readManuscript(name, bytes)
    } catch (e) {
      expect(e).toBeInstanceOf(Fault)
      expect((e as Fault).message).not.toContain('\n')
      return (e as Fault).code
    }
    return 'read'
  }
  const docx = (document: string, more: Record<string, Uint8Array> = {}): Uint8Array =>
    zipSync({ 'word/document.xml': strToU8(document), ...more })
  test.each([
    ['empty', 'a.docx', new Uint8Array()],
    ['empty', 'a.txt', strToU8(' \n\t ')],
    ['damaged', 'a.docx', strToU8('not a zip')],
    ['damaged', 'a.docx', zipSync({ 'word/document.xml': strToU8('x'.repeat(5000)) }).slice(0, 80)],
    ['not-docx', 'a.docx', zipSync({ 'else.xml': strToU8('<a/>') })],
    ['damaged', 'a.docx', docx('<w:document><w:body>')],
    ['entities', 'a.docx', docx('<!DOCTYPE a [<!ENTITY b "bbbb"><!ENTITY c "&b;&b;&b;">]><a>&c;</a>')],
    ['deep', 'a.docx', docx('<a>'.repeat(2000) + '</a>'.repeat(2000))],
    ['path', 'a.docx', zipSync({ '../../evil.xml': strToU8('x') })],
    ['old-format', 'a.doc', Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, 0, 0])],
    ['encrypted', 'a.docx', Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, ...Buffer.from('EncryptedPackage', 'utf16le')])],
    ['pdf', 'a.docx', strToU8('%PDF-1.4')],
    ['picture', 'a.md', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 1])],
    ['rtf', 'a.txt', strToU8('{\\rtf1 hello}')],
    ['not-text', 'a.txt', Uint8Array.from([1, 2, 0, 0, 3])],
    [
      'empty',
      'a.docx',
      docx(
        '<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body><w:p/></w:body></w:document>',
      ),
    ],
  ])('%s: %s', (expected, name, bytes) => expect(code(name, bytes)).toBe(expected))

  test('a bomb is put out while it inflates, whatever its header says', () => {
    const big = zipSync({ 'word/document.xml': new Uint8Array(40e6) }, { level: 1 })
    expect(code('a.docx', big)).toBe('bomb')
    expect(() =>
      readZip(zipSync(Object.fromEntries([...Array(6000)].map((_, i) => [`f${i}`, new Uint8Array(1)]))), () => true),
    ).toThrow(/too many parts/)
  })
  test('more text than any book is refused before it is read', () => {
    expect(code('a.txt', strToU8('x\n\n'.repeat(700_000)))).toBe('too-large')
    expect(code('a.md', new Uint8Array(33e6).fill(97))).toBe('too-large')
    expect(
      code(
        'a.docx',
        zipSync({ 'word/document.xml': strToU8(`<w>${randomBytes(26e6).toString('hex')}</w>`) }, { level: 0 }),
      ),
    ).toBe('too-large')
  })
  test('huge numbers in a document do no harm', () => {
    const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
    const u = readManuscript(
      'a.docx',
      docx(
        `<w:document ${w}><w:body><w:tbl><w:tr><w:tc><w:tcPr><w:gridSpan w:val="999999999999"/></w:tcPr><w:p><w:r><w:rPr><w:sz w:val="1e300"/></w:rPr><w:t>x</w:t></w:r></w:p></w:tc></w:tr></w:tbl><w:p><w:pPr><w:numPr><w:ilvl w:val="99999999"/><w:numId w:val="7"/></w:numPr><w:outlineLvl w:val="-5"/></w:pPr><w:r><w:t>y</w:t></w:r></w:p></w:body></w:document>`,
      ),
    )
    expect(bookText(u.book)).toContain('y')
  })
})
