import { describe, expect, test } from '@jest/globals'
import { strToU8, zipSync } from 'fflate'
import { bookText, type BlockJson, gridOf } from '../../../book'
import { readManuscript, type Understood } from '../..'

/** Documents by hand, for what word processors write and libraries do not: each part is the customary XML and no more. */
const ns =
  'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006" xmlns:v="urn:schemas-microsoft-com:vml"'
const read = (body: string, more: Record<string, string> = {}): Understood =>
  readManuscript(
    'd.docx',
    zipSync(
      Object.fromEntries(
        Object.entries({ 'word/document.xml': `<w:document ${ns}><w:body>${body}</w:body></w:document>`, ...more }).map(
          ([k, v]) => [k, strToU8(v)],
        ),
      ),
    ),
  )
const p = (inner: string, ppr = ''): string => `<w:p>${ppr ? `<w:pPr>${ppr}</w:pPr>` : ''}${inner}</w:p>`
const r = (t: string, rpr = ''): string =>
  `<w:r>${rpr ? `<w:rPr>${rpr}</w:rPr>` : ''}<w:t xml:space="preserve">${t}</w:t></w:r>`
const blocks = (u: Understood): BlockJson[] => u.book.sections.filter(s => !s.made).flatMap(s => s.doc.content)
const dropped = (u: Understood): Record<string, number> => Object.fromEntries(u.dropped.map(d => [d.what, d.count]))

describe('parts of a .docx', () => {
  test('content controls are opened, in blocks and in lines', () => {
    const u = read(
      `<w:sdt><w:sdtPr/><w:sdtContent>${p(r('Inside a block.'))}</w:sdtContent></w:sdt>${p(`${r('Before ')}<w:sdt><w:sdtContent>${r('inside')}</w:sdtContent></w:sdt>${r(' after.')}`)}`,
    )
    expect(bookText(u.book)).toContain('Inside a block.')
    expect(bookText(u.book)).toContain('Before inside after.')
  })

  test('fields keep what they show; page numbers and the old contents list go', () => {
    const field = (code: string, shows: string): string =>
      `<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> ${code} </w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r>${shows}<w:r><w:fldChar w:fldCharType="end"/></w:r>`
    const toc = `<w:p><w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>TOC \\o "1-3"</w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r>${r('Chapter One 1')}</w:p>${p(r('Chapter Two 9'))}<w:p><w:r><w:fldChar w:fldCharType="end"/></w:r></w:p>`
    const u = read(
      `${toc}${p(`${r('See ')}${field('HYPERLINK "https://example.org/x"', r('the page'))}${r(' of ')}${field('PAGE', r('7'))}${r(' and ')}${field('REF bell', r('the bell'))}${r('.')}`)}${p(`${r('Simple ')}<w:fldSimple w:instr="DATE">${r('today')}</w:fldSimple><w:fldSimple w:instr="NUMPAGES">${r('99')}</w:fldSimple>`)}`,
    )
    const text = bookText(u.book)
    expect(text).toContain('See the page of and the bell.')
    expect(text).toContain('Simple today')
    expect(text).not.toMatch(/Chapter Two 9|99|\b7\b/)
    expect(JSON.stringify(blocks(u))).toContain('"href":"https://example.org/x"')
    expect(dropped(u)).toMatchObject({ fields: 2, 'typed contents list': 2 })
  })

  test('a tab before a paragraph is its indent, and is counted; one between words is a space', () => {
    const tab = '<w:r><w:tab/></w:r>'
    const u = read(
      `${p(`${tab}${r('Set in.')}`)}${p(`${r('Left')}${tab}${r('right.')}`)}${p(`${tab}${tab}${r('Twice.')}`)}`,
    )
    expect(bookText(u.book).split('\n').filter(Boolean)).toEqual(['Set in.', 'Left right.', 'Twice.'])
    expect(u.cleaned.filter(c => c.what.startsWith('tabs')).map(c => c.count)).toEqual([2])
  })

  test('a comment stands with its words, with who said it; one on no words is counted with what it says', () => {
    const at = (id: number, what: string): string => `<w:comment${what} w:id="${id}"/>`
    const comments = `<w:comments ${ns}><w:comment w:id="1" w:author="Ned">${p(r('Was it seven?'))}</w:comment><w:comment w:id="2">${p(r('Of a point.'))}</w:comment></w:comments>`
    const u = read(
      p(
        `${r('She heard ')}${at(1, 'RangeStart')}${r('seven')}${r(' strokes')}${at(1, 'RangeEnd')}<w:r>${at(1, 'Reference')}</w:r>${r(', then none.')}<w:r>${at(2, 'Reference')}</w:r>`,
      ),
      { 'word/comments.xml': comments },
    )
    const paragraph = blocks(u).find(b => b.type === 'paragraph' && b.content) as {
      content: { text: string; marks?: object[] }[]
    }
    expect(paragraph.content).toEqual([
      { type: 'text', text: 'She heard ' },
      { type: 'text', text: 'seven strokes', marks: [{ type: 'remark', attrs: { words: 'Ned: Was it seven?' } }] },
      { type: 'text', text: ', then none.' },
    ])
    expect(dropped(u)).toEqual({ comments: 1 })
  })

  test('words in a box stand behind the paragraph it is tied to, once for both forms of it; drawings are counted', () => {
    const box = `<w:r><mc:AlternateContent><mc:Choice Requires="wps"><w:drawing><w:txbxContent>${p(r('A note in a box'))}</w:txbxContent></w:drawing></mc:Choice><mc:Fallback><w:pict><v:textbox><w:txbxContent>${p(r('A note in a box'))}</w:txbxContent></v:textbox></w:pict></mc:Fallback></mc:AlternateContent></w:r>`
    const u = read(`${p(`${r('Beside it.')}${box}`)}${p(`${r('A shape.')}<w:r><w:pict><v:rect/></w:pict></w:r>`)}`)
    expect(dropped(u)).toEqual({ drawings: 1, 'text boxes: their words stand behind the paragraph': 1 })
    expect(u.dropped.find(d => d.what.startsWith('text boxes'))!.places).toEqual(['A note in a box'])
    expect(bookText(u.book).split('\n').filter(Boolean)).toEqual(['Beside it.', 'A note in a box', 'A shape.'])
  })

  test('what the book does not keep is counted: colours, heads and feet, links that lead nowhere; a line through words is kept', () => {
    const u = read(
      `${p(`${r('Gone', '<w:strike/>')}${r(' red', '<w:color w:val="FF0000"/>')}${r(' plain', '<w:color w:val="auto"/><w:strike w:val="0"/>')}${r(' bright', '<w:highlight w:val="yellow"/>')}<w:hyperlink w:anchor="bell">${r(' see the bell')}</w:hyperlink>${r('.')}`)}`,
      {
        'word/header1.xml': `<w:hdr ${ns}>${p(r('A Draft of Mine'))}</w:hdr>`,
        'word/footer1.xml': `<w:ftr ${ns}>${p('')}</w:ftr>`,
      },
    )
    expect(bookText(u.book)).toContain('Gone red plain bright see the bell.')
    expect(dropped(u)).toEqual({
      'colours of letters': 1,
      'colours behind words': 1,
      'links that lead nowhere in the document: their words are kept': 1,
      'heads and feet of pages': 1,
    })
    expect(JSON.stringify(blocks(u))).toContain('{"type":"text","text":"Gone","marks":[{"type":"strike"}]}')
    expect(JSON.stringify(blocks(u)).match(/strike/g)).toHaveLength(1)
    expect(u.dropped.find(d => d.what === 'heads and feet of pages')!.places).toEqual(['A Draft of Mine'])
  })

  test('an initial that is set in a frame begins its word again', () => {
    const u = read(
      `${p(r('T', '<w:sz w:val="96"/>'), '<w:framePr w:dropCap="drop" w:lines="3"/>')}${p(r('he bell rang.'))}${p(r('And again.'))}`,
    )
    expect(blocks(u).map(b => ('content' in b && b.content ? JSON.stringify(b.content) : ''))).toEqual([
      '[{"type":"text","text":"The bell rang."}]',
      '[{"type":"text","text":"And again."}]',
    ])
  })

  test('a file is what it is inside, whatever it is called; one that cannot be read says what it is', () => {
    const odt = zipSync({ mimetype: [strToU8('application/vnd.oasis.opendocument.text'), { level: 0 }] })
    expect(() => readManuscript('a.odt', odt)).toThrow(/no text part/)
    expect(() => readManuscript('a.docx', strToU8('Words'))).toThrow(/damaged/)
    expect(bookText(readManuscript('a.html', strToU8('<p>Words</p><script>none()</script>')).book).trim()).toBe('Words')
    expect(bookText(readManuscript('a.txt', strToU8(' <!DOCTYPE html><p>Words')).book).trim()).toBe('Words')
    expect(bookText(readManuscript('a.txt', strToU8('Words about <html> and more.')).book)).toContain('<html>')
  })

  test('moved text stands where it was moved to; hidden text and private symbols go, with a count', () => {
    const u = read(
      `${p(`<w:moveFrom w:id="1">${r('wandering')}</w:moveFrom>${r('Here. ')}`)}${p(`<w:moveTo w:id="2">${r('wandering')}</w:moveTo>${r(' secret', '<w:vanish/>')}<w:r><w:sym w:font="Wingdings" w:char="F04A"/><w:sym w:font="x" w:char="2192"/></w:r>`)}`,
    )
    expect(bookText(u.book).match(/wandering/g)).toHaveLength(1)
    expect(bookText(u.book)).toContain('→')
    expect(dropped(u)).toMatchObject({
      'deleted text of tracked changes': 1,
      'hidden text': 1,
      'symbols of a private font': 1,
    })
  })

  test('sizes and alignment come through style inheritance; character styles toggle', () => {
    const styles = `<w:styles ${ns}><w:docDefaults><w:rPrDefault><w:rPr><w:sz w:val="22"/></w:rPr></w:rPrDefault></w:docDefaults><w:style w:type="paragraph" w:default="1" w:styleId="N"><w:name w:val="Normal"/></w:style><w:style w:type="paragraph" w:styleId="A"><w:name w:val="Grand"/><w:basedOn w:val="N"/><w:pPr><w:jc w:val="center"/></w:pPr><w:rPr><w:sz w:val="36"/></w:rPr></w:style><w:style w:type="paragraph" w:styleId="B"><w:name w:val="Grander"/><w:basedOn w:val="A"/><w:rPr><w:i/></w:rPr></w:style><w:style w:type="character" w:styleId="E"><w:name w:val="Emphasis"/><w:rPr><w:i/></w:rPr></w:style><w:style w:type="paragraph" w:styleId="L"><w:basedOn w:val="L"/></w:style></w:styles>`
    const prose = p(
      r(
        'The bell rang seven times and nobody had touched the rope, which was made off on its cleat in three careful turns.',
      ),
    )
    const u = read(
      `${p(r('One Way'), '<w:pStyle w:val="B"/>')}${prose}${p(r('Another'), '<w:pStyle w:val="B"/>')}${p(`${r('Plain ')}${r('stressed', '<w:rStyle w:val="E"/>')}`)}${p(`${r('In italic ')}${r('turned', '<w:rStyle w:val="E"/>')}`, '<w:pStyle w:val="B"/>')}${p(r('loops'), '<w:pStyle w:val="L"/>')}`,
      { 'word/styles.xml': styles },
    )
    const chapters = u.book.sections.filter(s => !s.made)
    expect(chapters[0]!.title).toBe('One Way')
    expect(chapters[0]!.evidence).toEqual(
      expect.arrayContaining(['set larger than the text: 18 pt against 11', 'centred']),
    )
    const json = JSON.stringify(u.book.sections)
    expect(json).toContain('{"type":"text","text":"stressed","marks":[{"type":"em"}]}')
    expect(json).toContain('loops')
  })

  test('other prefixes and strict namespaces are the same document', () => {
    const u = readManuscript(
      'd.docx',
      zipSync({
        'word/document.xml': strToU8(
          '<x:document xmlns:x="http://purl.oclc.org/ooxml/wordprocessingml/main"><x:body><x:p><x:r><x:rPr><x:b/></x:rPr><x:t>Bold tide</x:t></x:r><x:r><x:t> out</x:t></x:r></x:p></x:body></x:document>',
        ),
      }),
    )
    expect(JSON.stringify(u.book.sections)).toContain('{"type":"text","text":"Bold tide","marks":[{"type":"strong"}]}')
  })

  test('footnotes and endnotes become notes where they are called, with their paragraphs', () => {
    const notes = (kind: string): string =>
      `<w:${kind}s ${ns}><w:${kind} w:id="-1" w:type="separator">${p(r('---'))}</w:${kind}><w:${kind} w:id="2">${p(r('First.'))}${p(r('Second.'))}</w:${kind}></w:${kind}s>`
    const u = read(
      p(
        `${r('Called')}<w:r><w:footnoteReference w:id="2"/></w:r>${r(' and again')}<w:r><w:endnoteReference w:id="2"/></w:r>`,
      ),
      { 'word/footnotes.xml': notes('footnote'), 'word/endnotes.xml': notes('endnote') },
    )
    const content = (blocks(u)[0] as { content: { type: string; content?: unknown[] }[] }).content
    expect(content.map(c => c.type)).toEqual(['text', 'footnote', 'text', 'footnote'])
    expect(content[1]!.content).toEqual([
      { type: 'text', text: 'First.' },
      { type: 'hard_break' },
      { type: 'text', text: 'Second.' },
    ])
  })

  test('tables keep spans and heads; merged cells do not repeat', () => {
    const cell = (t: string, pr = ''): string => `<w:tc><w:tcPr>${pr}</w:tcPr>${p(r(t))}</w:tc>`
    const u = read(
      `<w:tbl><w:tr><w:trPr><w:tblHeader/></w:trPr>${cell('Hour', '<w:gridSpan w:val="2"/>')}</w:tr><w:tr>${cell('a', '<w:vMerge w:val="restart"/>')}${cell('b')}</w:tr><w:tr>${cell('gone', '<w:vMerge/>')}${cell('c')}</w:tr></w:tbl>`,
    )
    const table = blocks(u).find(b => b.type === 'table')!
    expect(JSON.stringify(table)).toContain('"span":2')
    expect(JSON.stringify(table)).toContain('"head":true')
    expect(JSON.stringify(table)).not.toContain('gone')
    expect(table.type === 'table' && gridOf(table).cells.map(c => [c.row, c.column, c.wide, c.deep])).toEqual([
      [0, 0, 2, 1],
      [1, 0, 1, 2],
      [1, 1, 1, 1],
      [2, 1, 1, 1],
    ])
  })
})
