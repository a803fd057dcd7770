import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import { cases } from '../../../../../tests/support/deep'
import { bookText, gridOf } from '../../../book'
import { lettersIn, type RawPara, textOfBlock } from '../../raw'
import { readManuscript } from '../..'
import { readOdt } from '.'

const NS = ['office', 'style', 'text', 'table', 'draw', 'fo', 'svg', 'xlink', 'dc', 'meta', 'manifest', 'x']
  .map(p => `xmlns:${p}="urn:${p}"`)
  .join(' ')
const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
interface Parts {
  automatic?: string
  named?: string
  meta?: string
  more?: Record<string, Uint8Array>
}
const odt = (body: string, { automatic = '', named = '', meta = '', more = {} }: Parts = {}): Uint8Array =>
  zipSync({
    mimetype: [strToU8('application/vnd.oasis.opendocument.text'), { level: 0 }],
    'content.xml': strToU8(
      `<office:document-content ${NS}><office:automatic-styles>${automatic}</office:automatic-styles><office:body><office:text>${body}</office:text></office:body></office:document-content>`,
    ),
    'styles.xml': strToU8(`<office:document-styles ${NS}>${named}</office:document-styles>`),
    'meta.xml': strToU8(`<office:document-meta ${NS}><office:meta>${meta}</office:meta></office:document-meta>`),
    ...more,
  })
const p = (inner: string, style = ''): string => `<text:p${style && ` text:style-name="${style}"`}>${inner}</text:p>`
const style = (name: string, family: string, text: string, para = '', parent = ''): string =>
  `<style:style style:name="${name}" style:family="${family}"${parent && ` style:parent-style-name="${parent}"`}><style:text-properties ${text}/><style:paragraph-properties ${para}/></style:style>`
const read = (body: string, parts?: Parts) => readOdt(odt(body, parts))
const dropped = (body: string, parts?: Parts) =>
  Object.fromEntries(
    read(body, parts)
      .dropped.list()
      .map(d => [d.what, d.letters ?? d.count]),
  )

describe('an open-document text', () => {
  test('has the looks of its styles, inherited and its own; sizes go by those they are based on', () => {
    const { blocks, bodySize } = read(
      `${p('Large ', 'P1')}${p(`plain <text:span text:style-name="T1">both</text:span>`)}`,
      {
        named: `<office:styles><style:default-style style:family="paragraph"><style:text-properties fo:font-size="11pt"/></style:default-style>${style('Grand', 'paragraph', 'fo:font-size="200%" fo:font-style="italic"', 'fo:text-align="center"')}</office:styles>`,
        automatic:
          style('P1', 'paragraph', 'fo:font-weight="bold"', 'fo:break-before="page"', 'Grand') +
          style('T1', 'text', 'fo:font-weight="bold" style:text-position="super 58%"'),
      },
    )
    expect(bodySize).toBe(11)
    expect(blocks[0]).toMatchObject({
      style: 'Grand',
      size: 22,
      align: 'center',
      bold: true,
      italic: true,
      newPage: true,
    })
    expect((blocks[1] as RawPara).content).toEqual([
      { type: 'text', text: 'plain ' },
      { type: 'text', text: 'both', marks: [{ type: 'strong' }, { type: 'superscript' }] },
    ])
  })
  test('headings have their level; spaces, tabs and line ends are what they stand for', () => {
    const { blocks } = read(
      `<text:h text:outline-level="2">Two</text:h>${p('a<text:s text:c="3"/>b<text:tab/>c\n  d<text:line-break/>e<text:soft-page-break/>f')}`,
    )
    expect(blocks[0]).toMatchObject({ level: 2 })
    expect(textOfBlock(blocks[1]!)).toBe('a   b c d\nef')
  })
  test('notes stand where they are called, comments and what was deleted go with a count, what was put in stands', () => {
    const note = `<text:note text:note-class="footnote"><text:note-citation>1</text:note-citation><text:note-body>${p('From the pans.')}${p('Long ago.')}</text:note-body></text:note>`
    const body = `<text:tracked-changes><text:changed-region><text:deletion><office:change-info><dc:creator>Ada</dc:creator></office:change-info>${p('gone')}</text:deletion></text:changed-region></text:tracked-changes>${p(`Salt${note} and<office:annotation><dc:creator>Ada</dc:creator>${p('Really?')}</office:annotation> <text:change-start/>rope<text:change-end/>.`)}`
    const { blocks } = read(body)
    expect((blocks[0] as RawPara).content).toEqual([
      { type: 'text', text: 'Salt' },
      {
        type: 'footnote',
        attrs: { id: '' },
        content: [
          { type: 'text', text: 'From the pans.' },
          { type: 'hard_break' },
          { type: 'text', text: 'Long ago.' },
        ],
      },
      { type: 'text', text: ' and rope.' },
    ])
    expect(dropped(body)).toEqual({ comments: 7, 'deleted text of tracked changes': 4 })
  })
  test('a comment on words stands with them as a remark, over paragraphs too; one on none is told', () => {
    const on = (name: string, words: string): string =>
      `<office:annotation office:name="${name}"><dc:creator>Ned</dc:creator>${p(words)}</office:annotation>`
    const end = (name: string): string => `<office:annotation-end office:name="${name}"/>`
    const body = `${p(`The ${on('c1', 'Seven?')}${on('c2', 'Loud.')}bell${end('c2')} rang`)}${p(`twice${end('c1')} at${on('c3', 'Nothing.')}${end('c3')} six.`)}`
    const { blocks } = read(body)
    const remark = (words: string) => [{ type: 'remark', attrs: { words } }]
    expect(blocks.map(b => (b as RawPara).content)).toEqual([
      [
        { type: 'text', text: 'The ' },
        { type: 'text', text: 'bell', marks: remark('Ned: Seven?\nNed: Loud.') },
        { type: 'text', text: ' rang', marks: remark('Ned: Seven?') },
      ],
      [
        { type: 'text', text: 'twice', marks: remark('Ned: Seven?') },
        { type: 'text', text: ' at six.' },
      ],
    ])
    expect(dropped(body)).toEqual({ comments: 8 })
  })
  test('an initial in a frame of its own stands in its word', () => {
    const frame = (words: string): string =>
      `<draw:frame text:anchor-type="paragraph"><draw:text-box>${p(words)}</draw:text-box></draw:frame>`
    expect(read(p(`${frame('T')}he bell rang.`)).blocks.map(textOfBlock)).toEqual(['The bell rang.'])
    expect(read(p(`The bell${frame('T')} rang.`)).blocks.map(textOfBlock)).toEqual(['The bell rang.', 'T'])
    expect(read(p(`${frame('Salt')}he bell.`)).blocks.map(textOfBlock)).toEqual(['he bell.', 'Salt'])
  })
  test('lists in lists, counted by their styles; an item of two paragraphs; a list that goes on counts on', () => {
    const number = `<text:list-style style:name="L1"><text:list-level-style-number text:level="1" style:num-format="1" text:start-value="3"/><text:list-level-style-bullet text:level="2"/></text:list-style>`
    const item = (inner: string): string => `<text:list-item>${inner}</text:list-item>`
    const u = readManuscript(
      'x.odt',
      odt(
        `<text:list text:style-name="L1" xml:id="one">${item(p('rope') + p('and cleat') + `<text:list>${item(p('knot'))}</text:list>`)}${item(p('bell'))}</text:list>${p('Between.')}<text:list text:style-name="L1" text:continue-list="one">${item(p('lamp'))}</text:list>`,
        { automatic: number },
      ),
    )
    const blocks = u.book.sections.find(s => !s.made)!.doc.content
    expect(blocks.map(b => b.type)).toEqual(['list', 'paragraph', 'list'])
    expect(blocks[0]).toMatchObject({ attrs: { ordered: true, start: 3 } })
    const first = blocks[0] as { content: { content: { type: string }[] }[] }
    expect(first.content.map(i => i.content.map(c => c.type))).toEqual([
      ['paragraph', 'paragraph', 'list'],
      ['paragraph'],
    ])
    // Items three and four stand before it.
    expect(blocks[2]).toMatchObject({ attrs: { ordered: true, start: 5 } })
  })
  test('a style that is named and not defined says what its paragraphs are all the same', () => {
    const { blocks } = read(
      '<text:p text:style-name="Title">The Lamp</text:p><text:p text:style-name="Block_20_Quote">a</text:p>',
    )
    expect(blocks).toMatchObject([
      { style: 'Title', level: 0 },
      { style: 'Block Quote', quote: true },
    ])
  })
  test('tables with heads and spans; a picture in a cell stands behind the table', () => {
    const frame =
      '<draw:frame svg:width="9cm" svg:height="9cm"><draw:image xlink:href="Pictures/a.png"/><svg:desc>A lamp</svg:desc></draw:frame>'
    const { blocks, pictures } = read(
      `<table:table><table:table-column table:number-columns-repeated="2"/><table:table-header-rows><table:table-row><table:table-cell table:number-columns-spanned="2">${p('Head')}</table:table-cell><table:covered-table-cell/></table:table-row></table:table-header-rows><table:table-row><table:table-cell>${p('a')}</table:table-cell><table:table-cell>${p(`b${frame}`)}</table:table-cell></table:table-row></table:table>`,
      { more: { 'Pictures/a.png': png } },
    )
    const [table, picture] = blocks
    if (table?.type !== 'table') throw new Error('no table')
    expect(table.table.content.map(r => [r.attrs.head, r.content.map(c => c.attrs.span)])).toEqual([
      [true, [2]],
      [false, [1, 1]],
    ])
    expect(picture).toMatchObject({ type: 'picture', alt: 'A lamp' })
    expect([...pictures.values()]).toEqual([png])
  })
  test('a cell that reaches over rows takes their places', () => {
    const cell = (words: string, more = ''): string => `<table:table-cell${more}>${p(words)}</table:table-cell>`
    const row = (cells: string): string => `<table:table-row>${cells}</table:table-row>`
    const [table] = read(
      `<table:table>${row(`${cell('a', ' table:number-rows-spanned="2"')}${cell('b')}`)}${row(`<table:covered-table-cell/>${cell('c')}`)}</table:table>`,
    ).blocks
    expect(table?.type === 'table' && gridOf(table.table).cells.map(c => [c.row, c.column, c.deep])).toEqual([
      [0, 0, 2],
      [0, 1, 1],
      [1, 1, 1],
    ])
  })
  test('a box with a picture and a line is a picture with its caption; words in other boxes stand behind the paragraph', () => {
    const image = '<draw:frame><draw:image xlink:href="Pictures/a.png"/></draw:frame>'
    const { blocks } = read(
      `${p(`Text<draw:frame><draw:text-box>${p(`${image}The lamp`)}</draw:text-box></draw:frame>`)}${p(`More<draw:frame><draw:text-box>${p('Aside.')}</draw:text-box></draw:frame> words`)}`,
      { more: { 'Pictures/a.png': png } },
    )
    expect(blocks.map(b => [b.type, textOfBlock(b)])).toEqual([
      ['para', 'Text'],
      ['picture', 'The lamp'],
      ['para', 'More words'],
      ['para', 'Aside.'],
    ])
  })
  test('what it says of itself is the book’s data; one with a password, or no text at all, says so', () => {
    const u = readManuscript(
      'x.odt',
      odt(p('Salt.'), {
        meta: '<dc:title>Low Water</dc:title><meta:initial-creator>Orla Fenwright</meta:initial-creator><dc:language>en-GB</dc:language>',
      }),
    )
    expect(u.book.data).toMatchObject({
      title: 'Low Water',
      language: 'en-GB',
      contributors: [{ name: 'Orla Fenwright' }],
    })
    expect(bookText(u.book)).toContain('Salt.')
    const locked = strToU8(
      `<manifest:manifest ${NS}><manifest:file-entry><manifest:encryption-data/></manifest:file-entry></manifest:manifest>`,
    )
    expect(() => readManuscript('x.odt', odt(p('x'), { more: { 'META-INF/manifest.xml': locked } }))).toThrow(
      /password/,
    )
    expect(() =>
      readManuscript(
        'x.odt',
        zipSync({
          'content.xml': strToU8(
            `<office:document-content ${NS}><office:body><office:spreadsheet/></office:body></office:document-content>`,
          ),
        }),
      ),
    ).toThrow(/is no text/)
  })
})

/** Pieces of texts, in one another. */
const piece = fc.letrec<{ block: string; inline: string }>(tie => {
  const many = (of: fc.Arbitrary<string>) => fc.array(of, { maxLength: 3 }).map(a => a.join(''))
  const wrap = (names: string[], of: fc.Arbitrary<string>) =>
    fc.tuple(fc.constantFrom(...names), many(of)).map(([open, inner]) => `<${open}>${inner}</${open.split(' ')[0]}>`)
  return {
    inline: fc.oneof(
      { maxDepth: 3, withCrossShrink: true },
      fc.constantFrom(
        'tide ',
        'seven',
        '字',
        '1907 ',
        '<text:s/>',
        '<text:page-number>7</text:page-number>',
        '<text:line-break/>',
      ),
      many(tie('inline')).map(
        x =>
          `<text:note><text:note-citation>1</text:note-citation><text:note-body>${p(x)}</text:note-body></text:note>`,
      ),
      fc.constant(`<office:annotation>${p('said')}</office:annotation>`),
      wrap(
        [
          'text:span',
          'text:span text:style-name="H"',
          'text:a xlink:href="#x"',
          'text:sequence',
          'x:odd',
          'text:hidden-text',
        ],
        tie('inline'),
      ),
      tie('block').map(b => `<draw:frame><draw:text-box>${b}</draw:text-box></draw:frame>`),
      tie('block').map(b => `<draw:rect>${b}</draw:rect>`),
    ),
    block: fc.oneof(
      { maxDepth: 3, withCrossShrink: true },
      wrap(['text:p', 'text:h text:outline-level="1"', 'text:p text:style-name="H"'], tie('inline')),
      wrap(['text:section', 'text:section text:display="none"', 'text:table-of-content', 'x:odd'], tie('block')),
      many(tie('block')).map(b => `<text:list><text:list-item>${b}</text:list-item></text:list>`),
      many(tie('block')).map(
        b => `<table:table><table:table-row><table:table-cell>${b}</table:table-cell></table:table-row></table:table>`,
      ),
    ),
  }
}).block

test('every letter of a text is read, or counted', () => {
  const hidden = style('H', 'text', 'text:display="none"') + style('H', 'paragraph', 'text:display="none"')
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 4 }), parts => {
      const body = parts.join('')
      const { blocks, dropped, remade } = read(body, { automatic: hidden })
      const typed = lettersIn(body.replace(/<[^>]*>/g, ''))
      // A note within a note stands in brackets.
      expect(
        lettersIn(blocks.map(textOfBlock).join('').replace(/[[\]]/g, '')) + dropped.letters + remade!.letters,
      ).toBe(typed)
    }),
    { numRuns: cases(200, 5000) },
  )
})
