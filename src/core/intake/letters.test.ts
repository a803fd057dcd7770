import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import { cases } from '../../../tests/support/deep'
import { eachInline, inlineText, type InlineJson } from '../book'
import { Fault } from '../trade'
import { readDocx } from './readers/docx'
import { lettersIn, type RawBlock } from './raw'
import { readManuscript } from '.'

/** Every letter of a word-processor file is in the book, or it is counted. */
const ns =
  'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:m="http://schemas.openxmlformats.org/officeDocument/2006/math" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006" xmlns:v="urn:schemas-microsoft-com:vml" xmlns:x="urn:unknown"'
const t = fc
  .constantFrom('tide ', 'seven', ' lamp', 'Ada’s', '字', '1907 ', 'a')
  .map(x => `<w:r><w:t xml:space="preserve">${x}</w:t></w:r>`)
const mark = (type: string): string => `<w:r><w:fldChar w:fldCharType="${type}"/></w:r>`
const code = fc
  .constantFrom('PAGE', 'REF x', 'TOC \\o', 'HYPERLINK "https://example.org/"', 'DATE', '')
  .map(c => `<w:r><w:instrText> ${c} </w:instrText></w:r>`)
const many = (of: fc.Arbitrary<string>, most = 3) => fc.array(of, { maxLength: most }).map(a => a.join(''))

/** Things that stand in a line, in one another. */
const inline: fc.Arbitrary<string> = fc.letrec<{ piece: string }>(tie => ({
  piece: fc.oneof(
    { maxDepth: 3, withCrossShrink: true },
    t,
    fc.tuple(code, many(tie('piece'))).map(([c, x]) => mark('begin') + c + mark('separate') + x + mark('end')),
    // Fields as real files have them: begun and never ended, ended in a deletion, without what they show, ended twice.
    fc.tuple(code, many(tie('piece'))).map(([c, x]) => mark('begin') + c + mark('separate') + x),
    fc.tuple(code, many(tie('piece'))).map(([c, x]) => mark('begin') + c + x),
    fc
      .tuple(code, many(tie('piece')))
      .map(
        ([c, x]) =>
          mark('begin') +
          c +
          mark('separate') +
          x +
          `<w:del>${mark('end')}<w:r><w:delText>gone</w:delText></w:r></w:del>`,
      ),
    fc.constant(mark('end')),
    fc.constant(mark('separate')),
    many(tie('piece')).map(x => `<w:ins>${x}</w:ins>`),
    many(tie('piece')).map(x => `<w:del>${x}</w:del>`),
    many(tie('piece')).map(x => `<w:hyperlink r:id="none">${x}</w:hyperlink>`),
    many(tie('piece')).map(x => `<w:sdt><w:sdtPr/><w:sdtContent>${x}</w:sdtContent></w:sdt>`),
    many(tie('piece')).map(x => `<x:wrapper>${x}</x:wrapper>`),
    many(tie('piece')).map(x => `<w:unheardOf>${x}</w:unheardOf>`),
    fc.tuple(t, t).map(([a, b]) => `<w:r><w:ruby><w:rt>${a}</w:rt><w:rubyBase>${b}</w:rubyBase></w:ruby></w:r>`),
    fc.constant('<m:oMath><m:r><m:t>x+y</m:t></m:r></m:oMath>'),
    fc.constant('<w:r><w:rPr><w:vanish/></w:rPr><w:t>hidden</w:t></w:r>'),
    fc.constant('<w:r><x:odd><w:t>inside</w:t></x:odd></w:r>'),
    fc.constantFrom('1', '2', '9').map(id => `<w:r><w:footnoteReference w:id="${id}"/></w:r>`),
    many(tie('piece'), 2).map(
      x => `<w:r><w:pict><v:textbox><w:txbxContent><w:p>${x}</w:p></w:txbxContent></v:textbox></w:pict></w:r>`,
    ),
  ),
})).piece
const para = many(inline, 4).map(x => `<w:p>${x}</w:p>`)
const block: fc.Arbitrary<string> = fc.letrec<{ block: string }>(tie => ({
  block: fc.oneof(
    { maxDepth: 3 },
    para,
    para,
    para,
    fc
      .array(many(tie('block'), 2), { minLength: 1, maxLength: 2 })
      .map(cells => `<w:tbl><w:tr>${cells.map(c => `<w:tc>${c}<w:p/></w:tc>`).join('')}</w:tr></w:tbl>`),
    many(tie('block'), 2).map(x => `<w:tbl><w:tr><w:tc><w:tcPr><w:vMerge/></w:tcPr>${x}<w:p/></w:tc></w:tr></w:tbl>`),
    many(tie('block'), 2).map(x => `<w:sdt><w:sdtContent>${x}</w:sdtContent></w:sdt>`),
    many(tie('block'), 2).map(x => `<x:section>${x}</x:section>`),
    many(tie('block'), 2).map(x => `<w:del>${x}</w:del>`),
    many(inline, 2),
    fc.constant('<w:altChunk r:id="none"/>'),
    fc.constant('<w:subDoc r:id="none"/>'),
  ),
})).block

const file = (body: string, notes: [string, string]): Record<string, Uint8Array> => ({
  'word/document.xml': strToU8(`<w:document ${ns}><w:body>${body}</w:body></w:document>`),
  'word/footnotes.xml': strToU8(
    `<w:footnotes ${ns}>${notes.map((n, i) => `<w:footnote w:id="${i + 1}">${n}</w:footnote>`).join('')}</w:footnotes>`,
  ),
})
/** Letters as a pattern finds them, without a reader: what is shown, deleted or set as a formula. */
const source = (files: Record<string, Uint8Array>): number =>
  Object.values(files).reduce(
    (n, f) =>
      n +
      [...new TextDecoder().decode(f).matchAll(/<(?:w:t|m:t|w:delText)(?: [^>]*)?>([^<]*)</g)].reduce(
        (m, x) => m + lettersIn(x[1]!),
        0,
      ),
    0,
  )

function lettersOut(blocks: RawBlock[], seen: Set<unknown>): number {
  const inlines = (content: InlineJson[] | undefined): number =>
    (content ?? []).reduce(
      (n, x) =>
        n +
        (x.type === 'text'
          ? lettersIn(x.text)
          : x.type === 'footnote' && !seen.has(x.content)
            ? (seen.add(x.content), lettersIn(inlineText(x.content)))
            : 0),
      0,
    )
  return blocks.reduce((n, b) => {
    if (b.type === 'para') return n + inlines(b.content)
    if (b.type === 'table')
      return (
        n +
        b.table.content.reduce(
          (m, r) => m + r.content.reduce((k, c) => k + c.content.reduce((j, p) => j + inlines(p.content), 0), 0),
          0,
        )
      )
    return n
  }, 0)
}

describe('letters of a .docx', () => {
  test('letters in are letters out and letters counted, whatever stands in what', () => {
    fc.assert(
      fc.property(
        fc.array(block, { minLength: 1, maxLength: 6 }),
        fc.tuple(many(block, 2), many(block, 2)),
        (blocks, notes) => {
          const files = file(blocks.join(''), notes)
          const raw = readDocx(zipSync(files))
          const out = lettersOut(raw.blocks, new Set())
          // Brackets around readings are ours.
          const brackets = 2 * (raw.dropped.list().find(d => d.what.startsWith('readings over'))?.count ?? 0)
          const total = out + raw.dropped.letters
          expect(total).toBeGreaterThanOrEqual(source(files))
          expect(total - brackets).toBeLessThanOrEqual(source(files))
        },
      ),
      { numRuns: cases(300, 5000) },
    )
  })
  test('letters of the file are letters of the book and letters counted, whatever its lines are taken for', () => {
    // Lines as front matter, headings and breaks are typed, among any others.
    const props = fc.constantFrom(
      '',
      '<w:outlineLvl w:val="0"/>',
      '<w:outlineLvl w:val="1"/>',
      '<w:jc w:val="center"/>',
      '<w:pageBreakBefore/>',
      '<w:outlineLvl w:val="0"/><w:jc w:val="center"/>',
    )
    const size = fc.constantFrom('', '<w:rPr><w:sz w:val="48"/></w:rPr>', '<w:rPr><w:b/></w:rPr>')
    const words = fc.constantFrom(
      'The Salt Lamp',
      'by Orla Fenwright',
      'Copyright © 2026 Orla Fenwright',
      'All rights reserved',
      'For Ada',
      'Contents',
      'One ..... 3',
      'Chapter One',
      'Chapter Two: The Bell',
      '3',
      'IV',
      '* * *',
      '#',
      'Prologue',
      'About the Author',
      'The Bell',
      'Part One',
      'December 2026',
      'She went down to the water. '.repeat(12),
    )
    const line = fc
      .tuple(props, size, words, many(inline, 2))
      .map(([p, s, w, x]) => `<w:p><w:pPr>${p}</w:pPr><w:r>${s}<w:t xml:space="preserve">${w}</w:t></w:r>${x}</w:p>`)
    fc.assert(
      fc.property(
        fc.array(fc.oneof({ arbitrary: line, weight: 4 }, { arbitrary: block, weight: 1 }), {
          minLength: 1,
          maxLength: 12,
        }),
        fc.tuple(para, para),
        (blocks, notes) => {
          const files = file(blocks.join(''), notes)
          let u: ReturnType<typeof readManuscript>
          try {
            u = readManuscript('a.docx', zipSync(files))
          } catch (e) {
            // Nothing but breaks and numbers is no text.
            if (e instanceof Fault && e.code === 'empty') return
            throw e
          }
          let out = 0
          for (const s of u.book.sections.filter(x => !x.made)) {
            out += lettersIn(s.title) + lettersIn(s.subtitle ?? '')
            eachInline(s.doc, content => void (out += lettersIn(inlineText(content))))
          }
          const counted = [...u.dropped, ...u.cleaned].reduce((n, d) => n + (d.letters ?? 0), 0)
          const brackets = 2 * (u.dropped.find(d => d.what.startsWith('readings over'))?.count ?? 0)
          expect(out + counted - brackets).toBeLessThanOrEqual(source(files))
          expect(out + counted).toBeGreaterThanOrEqual(source(files))
        },
      ),
      { numRuns: cases(300, 5000) },
    )
  })
  test.each([
    [
      'a field that begins and never ends',
      `<w:p>${mark('begin')}<w:r><w:instrText>REF</w:instrText></w:r>${mark('separate')}<w:r><w:t>One</w:t></w:r></w:p><w:p><w:r><w:t>Two</w:t></w:r></w:p>`,
      ['One', 'Two'],
    ],
    [
      'a field whose end was deleted',
      `<w:p>${mark('begin')}<w:r><w:instrText>PAGE</w:instrText></w:r><w:del>${mark('end')}</w:del><w:r><w:t>One</w:t></w:r></w:p>`,
      ['One'],
    ],
    ['words in unknown wrappers', '<x:a><w:p><x:b><w:r><w:t>One</w:t></w:r></x:b></w:p></x:a>', ['One']],
    [
      'readings over characters',
      '<w:p><w:r><w:ruby><w:rt><w:r><w:t>kana</w:t></w:r></w:rt><w:rubyBase><w:r><w:t>字</w:t></w:r></w:rubyBase></w:ruby></w:r></w:p>',
      ['字 (kana)'],
    ],
  ])('%s loses nothing', (_name, body, words) => {
    const text = JSON.stringify(readDocx(zipSync(file(body, ['', '']))).blocks)
    for (const w of words) expect(text).toContain(w)
  })
  test('a table in a note keeps its words; a note that is called twenty thousand times stands once', () => {
    const note = `<w:p><w:r><w:t>Before</w:t></w:r></w:p><w:tbl><w:tr><w:tc><w:p><w:r><w:t>cell</w:t></w:r></w:p></w:tc></w:tr></w:tbl><w:p><w:r><w:t>${'long '.repeat(22_000)}</w:t></w:r></w:p>`
    const start = Date.now()
    const u = readManuscript(
      'n.docx',
      zipSync(
        file(`<w:p><w:r><w:t>Called</w:t></w:r>${'<w:r><w:footnoteReference w:id="1"/></w:r>'.repeat(20_000)}</w:p>`, [
          note,
          '',
        ]),
      ),
    )
    expect(JSON.stringify(u.book)).toContain('cell')
    expect(JSON.stringify(u.book).split('Before')).toHaveLength(2)
    expect(u.dropped.find(d => d.what.startsWith('further calls'))!.count).toBe(19_999)
    expect(Date.now() - start).toBeLessThan(10_000)
  })
  test('a changed byte in the archive is found, wherever it is', () => {
    const bytes = zipSync(file('<w:p><w:r><w:t>The tide came in.</w:t></w:r></w:p>', ['<w:p/>', '<w:p/>']))
    const whole = JSON.stringify(readManuscript('a.docx', bytes).book)
    fc.assert(
      fc.property(fc.nat(bytes.length - 1), fc.integer({ min: 1, max: 255 }), (at, by) => {
        const changed = bytes.slice()
        changed[at] = changed[at]! ^ by
        try {
          // What is not said by the archive (a date, a comment) may change; the words may not.
          expect(JSON.stringify(readManuscript('a.docx', changed).book)).toBe(whole)
        } catch (e) {
          if (!(e instanceof Fault)) throw e
        }
      }),
      { numRuns: cases(300, 5000), endOnFailure: true },
    )
  })
})
