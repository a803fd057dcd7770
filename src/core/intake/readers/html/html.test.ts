import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8 } from 'fflate'
import { cases } from '../../../../../tests/support/deep'
import { bookText, docText, gridOf } from '../../../book'
import { lettersIn, textOfBlock } from '../../raw'
import { readManuscript } from '../..'
import { readHtml } from '.'
import { htmlTree, textOf } from '../../../files'

const read = (body: string, head = '') => readHtml(`<html><head>${head}</head><body>${body}</body></html>`)
const text = (body: string, head = ''): string[] => read(body, head).blocks.map(textOfBlock)

describe('a web page', () => {
  test('is read as browsers read it: white space is one space, blocks part what stands loose between them', () => {
    expect(text('<p>She said <q>none</q>.')).toEqual(['She said “none”.'])
    expect(text('  Loose  <p>One\n two<b> three</b> </p>four<div>five<p>six</div>')).toEqual([
      'Loose',
      'One two three',
      'four',
      'five',
      'six',
    ])
  })
  test('keeps what its styles say by name, class and id: the weightier wins, what is hidden goes with a count', () => {
    const css =
      '<style>p{text-align:center} .r{text-align:right} #x{text-align:left} .h{display:none} .sc{font-variant:small-caps} @media print{.r{color:red}}</style>'
    const { blocks, dropped } = read(
      '<p>a</p><p class="r">b</p><p class="r" id="x">c</p><p class="h">gone</p><p><span class="sc">d</span></p>',
      css,
    )
    expect(blocks.map(b => (b.type === 'para' ? b.align : b.type))).toEqual(['center', 'right', null, 'center'])
    expect(blocks[3]).toMatchObject({ content: [{ text: 'd', marks: [{ type: 'small_caps' }] }] })
    expect(dropped.list()).toEqual([{ what: 'hidden text', count: 1, places: ['gone'], letters: 4 }])
  })
  test('a title in running words keeps the look that its file gives it', () => {
    const { blocks } = read(
      '<p>She read <span class="title">Salt</span>.</p>',
      '<style>.title{font-style:italic}</style>',
    )
    expect(blocks[0]).toMatchObject({ content: [{}, { text: 'Salt', marks: [{ type: 'em' }] }, {}] })
  })
  test('a colour that a paragraph has of its own is told once; that of all paragraphs is the page’s dress', () => {
    const { dropped } = read(
      '<p>a</p><p style="color:red">stop <b>now</b></p><p class="go" style="background-color:lime">go</p><p class="own">x</p>',
      '<style>p{color:#333} .own{background-color:white} .go{color:#0a0}</style>',
    )
    expect(dropped.list().map(d => [d.what, d.count, d.places])).toEqual([['colours behind words', 1, ['go']]])
    const plain = read('<p style="color:red">stop</p><h2 class="c">Red</h2>', '<style>.c{color:#a00}</style>')
    expect(plain.dropped.list().map(d => [d.what, d.count])).toEqual([['colours of letters', 2]])
  })
  test('headings, lists in lists, items of several paragraphs', () => {
    const u = readManuscript(
      'a.html',
      strToU8(
        '<h1>Chapter One</h1><p>Text.</p><ol start="4"><li><p>a</p><p>more</p><ul><li>inner</li></ul></li><li>b</li></ol>',
      ),
    )
    const [chapter] = u.book.sections.filter(s => !s.made)
    expect(chapter).toMatchObject({ role: 'chapter', numbered: true })
    const list = chapter!.doc.content[1]
    expect(list).toMatchObject({ type: 'list', attrs: { ordered: true, start: 4 } })
    const shape = (n: { type: string; content?: unknown[] }): unknown =>
      n.type === 'paragraph'
        ? docText({ type: 'doc', content: [n as never] }).trim()
        : (n.content ?? []).map(c => shape(c as never))
    expect(shape(list as never)).toEqual([['a', 'more', [['inner']]], ['b']])
  })
  test('tables keep their columns where cells reach over several; a table that only places things is none', () => {
    const { blocks, dropped } = read(
      '<table><tr><th>a<th>b<th>c</tr><tr><td rowspan=2>d<td colspan=2>e</tr><tr><td>f<td>g</tr></table><table><tr><td><h2>Head</h2><p>x</p></td></tr></table>',
    )
    const [table, ...rest] = blocks
    if (table?.type !== 'table') throw new Error('no table')
    expect(
      table.table.content.map(r =>
        r.content.map(({ attrs: { span, rows = 1 }, content: [p] }) => [
          `${span}x${rows}`,
          textOfBlock({ type: 'para', content: p!.content ?? [] }),
        ]),
      ),
    ).toEqual([
      [
        ['1x1', 'a'],
        ['1x1', 'b'],
        ['1x1', 'c'],
      ],
      [
        ['1x2', 'd'],
        ['2x1', 'e'],
      ],
      [
        ['1x1', 'f'],
        ['1x1', 'g'],
      ],
    ])
    expect(table.table.content.map(r => r.attrs.head)).toEqual([true, false, false])
    expect(rest.map(textOfBlock)).toEqual(['Head', 'x'])
    expect(dropped.list()).toEqual([])
    const covered = read('<table><tr><td rowspan=2>a<td rowspan=2>b</tr><tr></tr><tr><td>c<td>d</tr></table>')
      .blocks[0]!
    expect(covered.type === 'table' && gridOf(covered.table).cells.map(c => [c.row, c.column])).toEqual([
      [0, 0],
      [0, 1],
      [2, 0],
      [2, 1],
    ])
  })
  test('notes as converters write them stand where they are called; the list of them is gone', () => {
    const { blocks } = read(
      '<p>Salt<a href="#fn1" class="footnote-ref" id="fnref1" role="doc-noteref"><sup>1</sup></a>.</p><section class="footnotes" role="doc-endnotes"><hr /><ol><li id="fn1"><p>From the pans.<a href="#fnref1" class="footnote-back" role="doc-backlink">↩︎</a></p></li></ol></section>',
    )
    expect(blocks).toHaveLength(1)
    expect(blocks[0]).toMatchObject({
      content: [{ text: 'Salt' }, { type: 'footnote', content: [{ text: 'From the pans.' }] }, { text: '.' }],
    })
  })
  test('a note whose sign leads back is the note, and the paragraph that calls it is not, wherever they stand', () => {
    const call = '<p id="p1">Salt<a id="r1" href="#n1">1</a> and rope.</p>'
    const note = '<p><a id="n1" href="#r1">1</a> From the pans.</p>'
    for (const page of [call + note, note + call]) {
      const { blocks } = read(page)
      expect(blocks).toHaveLength(1)
      expect(textOfBlock(blocks[0]!)).toMatch(/^Salt\s*From the pans\.\s* and rope\.$/)
    }
  })
  test('a link to a chapter is no note, though it is short; a note that is called from nowhere that is read stands by itself', () => {
    expect(text('<p>See <a href="#c2">2</a>.</p><div id="c2"><h2>Two</h2><p>Long.</p></div>')).toEqual([
      'See 2.',
      'Two',
      'Long.',
    ])
    const hidden = '<p hidden>x<a id="r" href="#n">1</a></p><p id="n"><a href="#r">1</a> Kept.</p>'
    const { blocks, dropped } = read(hidden)
    expect(blocks.map(textOfBlock)).toEqual(['1 Kept.'])
    expect(dropped.list().map(d => d.what)).toContain('notes that nothing calls: they are kept as paragraphs')
  })
  test('verse keeps its lines and stanzas, figures their captions, pictures in the page its bytes', () => {
    const { blocks, pictures } = read(
      '<div class="poem"><div class="stanza"><p>One</p><p>&nbsp;&nbsp;two</p></div><div class="stanza"><p>three</p></div></div><figure><img src="data:image/png;base64,AAAA" alt="A lamp"><figcaption>The lamp</figcaption></figure>',
    )
    expect(blocks[0]).toMatchObject({
      type: 'verse',
      lines: [
        { indent: 0, stanza: true, content: [{ text: 'One' }] },
        { indent: 2, stanza: false, content: [{ text: 'two' }] },
        { indent: 0, stanza: true, content: [{ text: 'three' }] },
      ],
    })
    expect(blocks[1]).toMatchObject({ type: 'picture', alt: 'A lamp', caption: [{ text: 'The lamp' }] })
    expect([...pictures.values()]).toEqual([new Uint8Array(3)])
  })
  test('nothing of it is run; what closes itself, as XHTML may, swallows nothing', () => {
    expect(
      text(
        '<script>alert(1)</script><p onclick="x()"><a id="p1"/>One <a href="javascript:x()">two</a></p><p>Three</p>',
      ),
    ).toEqual(['One two', 'Three'])
    const u = readManuscript('a.html', strToU8('<p>One <a href="javascript:alert(1)">two</a></p>'))
    expect(JSON.stringify(u.book.sections)).not.toContain('javascript')
  })
  test('its own encoding holds, old ones too', () => {
    const bytes = Uint8Array.from('<meta charset="iso-8859-2"><p>\u00f8eka</p>', c => c.charCodeAt(0))
    expect(bookText(readManuscript('a.html', bytes).book).trim()).toBe('řeka')
  })
})

/** Pieces of pages, in one another, as people and programs write them. */
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
        ' Ada’s',
        '字',
        '1907 ',
        'a',
        '<br>',
        '<img src="x" alt="y">',
        '<input value="v">',
      ),
      fc.constantFrom('<a id="r1" href="#n1">1</a>', '<a href="#n2">2</a>', '<a href="#gone">3</a>'),
      wrap(
        [
          'b',
          'i class="odd"',
          'a href="https://example.org/"',
          'span style="display:none"',
          'ruby',
          'unheard-of',
          'del',
          'button',
        ],
        tie('inline'),
      ),
    ),
    block: fc.oneof(
      { maxDepth: 3, withCrossShrink: true },
      many(tie('inline')),
      wrap(
        ['p', 'h2', 'pre', 'div class="verse"', 'td', 'figure', 'p id="n1"', 'figcaption', 'caption'],
        tie('inline'),
      ),
      wrap(
        [
          'div',
          'blockquote',
          'ul',
          'li',
          'table',
          'tr',
          'td',
          'section class="footnotes"',
          'nav',
          'aside id="n2"',
          'dl',
          'dd',
          'a',
        ],
        tie('block'),
      ),
    ),
  }
}).block

test('every letter of a page is read, or counted', () => {
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 5 }), parts => {
      const page = `<body>${parts.join('')}</body>`
      const { blocks, dropped, remade } = readHtml(page)
      const read = lettersIn(blocks.map(textOfBlock).join(''))
      expect(read + dropped.letters + remade!.letters).toBe(lettersIn(textOf(htmlTree(page))))
    }),
    { numRuns: cases(200, 5000) },
  )
})
