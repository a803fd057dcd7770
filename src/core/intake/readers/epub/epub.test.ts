import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { anyBook } from '../../../../../tests/support/arbitrary'
import { bookOf } from '../../../../../tests/support/core'
import { cases } from '../../../../../tests/support/deep'
import { lacking, wordsOf } from '../../../../../tests/support/pandoc'
import { type Book, bookText, type BlockJson, docText, eachInline, type InlineJson, type Section } from '../../../book'
import { writeEpub } from '../../../epub'
import { shippedStyles, withChanges } from '../../../pages'
import { readManuscript } from '../..'

const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
const written = (book: Book): Uint8Array => writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => png })

/** What is in the ebook of a book: sections that are read and not made. */
const told = (book: Book): Section[] =>
  book.sections.filter(s => !s.made && s.role !== 'half-title' && s.role !== 'title-page' && s.role !== 'contents')
const notesIn = (sections: Section[]): string[] => {
  const out: string[] = []
  for (const s of sections)
    eachInline(s.doc, content => {
      for (const n of content)
        if (n.type === 'footnote') out.push((n.content ?? []).map(x => (x.type === 'text' ? x.text : ' ')).join(''))
    })
  return out
}
/** Words over a section, where its role has any. */
const headOf = (s: Section): string[] =>
  s.role === 'dedication' || s.role === 'epigraph' || s.role === 'copyright'
    ? []
    : wordsOf(`${s.title} ${s.subtitle ?? ''}`)
const picturesIn = (sections: Section[]): number => {
  let n = 0
  for (const s of sections) n += s.doc.content.filter(b => b.type === 'image').length
  return n
}

describe('an ebook of our own comes back', () => {
  test('with every word, note and picture of any book', () => {
    fc.assert(
      fc.property(anyBook, book => {
        const sections = told(book)
        if (!sections.some(s => docText(s.doc).trim())) return
        const { book: back, dropped } = readManuscript('x.epub', written(book))
        const wanted = sections.flatMap(s => [...wordsOf(docText(s.doc)), ...headOf(s)])
        const had = back.sections.flatMap(s => [
          ...wordsOf(docText(s.doc)),
          ...wordsOf(`${s.title} ${s.subtitle ?? ''}`),
        ])
        expect({ lacking: lacking(wanted, had), dropped }).toEqual({ lacking: [], dropped })
        const trimmed = (all: string[]): string[] => all.map(t => wordsOf(t).join(' ')).sort()
        // What looks like a title has no notes: they stand below it, and that is said.
        const moved = dropped.filter(d => d.what.startsWith('notes in titles')).reduce((n, d) => n + d.count, 0)
        const [notes, called] = [trimmed(notesIn(back.sections)), trimmed(notesIn(sections))]
        expect(lacking(notes, called)).toEqual([])
        expect(notes.length + moved).toBe(called.length)
      }),
      { numRuns: cases(30, 400) },
    )
  })

  test('as the same sections with the same blocks', () => {
    const text = (t: string): BlockJson => ({
      type: 'paragraph',
      attrs: { id: '', align: null },
      content: [{ type: 'text', text: t }],
    })
    const section = (id: string, more: Partial<Section>): Section => ({
      id,
      part: 'body',
      role: 'chapter',
      title: '',
      numbered: false,
      made: false,
      doc: { type: 'doc', content: [text('The tide turned at eleven.')] },
      ...more,
    })
    const image: BlockJson = {
      type: 'image',
      attrs: { id: '', asset: 'p', alt: 'A lamp', decoration: false, share: 1 },
      content: [{ type: 'text', text: 'The lamp' }],
    }
    const verse: BlockJson = {
      type: 'verse',
      attrs: { id: '' },
      content: ['Seven strokes', 'and then none', 'and the water', 'went out'].map((t, i) => ({
        type: 'line',
        attrs: { indent: i % 2, stanza: i % 2 === 0 },
        content: [{ type: 'text', text: t }],
      })),
    }
    const list: BlockJson = {
      type: 'list',
      attrs: { id: '', ordered: true, start: 3 },
      content: [
        { type: 'item', content: [text('rope') as never, text('and its cleat') as never] },
        { type: 'item', content: [text('bell') as never] },
      ],
    }
    const sections = [
      section('d', {
        part: 'front',
        role: 'dedication',
        doc: { type: 'doc', content: [text('For the small print.')] },
      }),
      section('f', { part: 'front', role: 'foreword', title: 'How this began' }),
      section('p', { role: 'part', title: 'Low Water', numbered: true }),
      section('a', {
        title: 'The Bell',
        numbered: true,
        doc: { type: 'doc', content: [text('One.'), { type: 'scene_break', attrs: { id: '' } }, image, verse, list] },
      }),
      section('b', { numbered: true }),
      section('c', { title: '1907', numbered: true }),
      section('e', { title: 'Between', role: 'interlude' }),
      section('g', { part: 'back', role: 'about-author', title: 'About the Author' }),
    ]
    const book = {
      id: 'b',
      data: {
        title: 'The Long Rope',
        contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
        language: 'en-GB',
        imprint: { name: 'Saltgrass Lane Press' },
        subjects: [],
      },
      sections,
      assets: [{ id: 'p', type: 'image/png', width: 1, height: 1 }],
      editions: [],
    } as unknown as Book
    const back = readManuscript('x.epub', written(book)).book
    const facts = (all: readonly Section[]) =>
      all.filter(s => !s.made).map(({ part, role, title, numbered }) => ({ part, role, title, numbered }))
    expect(facts(back.sections)).toEqual(facts(sections))
    const shape = (s: Section | undefined) =>
      JSON.parse(
        JSON.stringify(s!.doc.content, (k, v: unknown) => (k === 'id' || k === 'asset' ? undefined : v)),
      ) as unknown
    for (const id of ['d', 'a', 'b']) {
      const own = sections.find(s => s.id === id)!
      const same = back.sections.find(s => s.role === own.role && s.title === own.title && s.numbered === own.numbered)
      expect(shape(same)).toEqual(shape(own))
    }
    expect(picturesIn(back.sections)).toBe(1)
    expect(back.data).toMatchObject({
      title: 'The Long Rope',
      contributors: [{ name: 'Orla Fenwright' }],
      language: 'en-GB',
    })
  })
})

test('the imprint’s logo on the title page is the imprint’s again, and no picture of the text', () => {
  const plain = bookOf([['The tide turned.'], ['It came back.']])
  const book: Book = {
    ...plain,
    data: { ...plain.data, imprint: { name: 'Saltgrass', logo: 'p' } },
    assets: [{ id: 'p', type: 'image/png', width: 1, height: 1 }],
  }
  const back = readManuscript('x.epub', written(book))
  const { imprint } = back.book.data
  expect(imprint.name).toBe('Saltgrass')
  expect(back.book.assets.map(a => a.id)).toEqual([imprint.logo])
  expect(back.pictures.has(imprint.logo!)).toBe(true)
  expect(picturesIn(back.book.sections)).toBe(0)
  expect(back.book.sections.filter(s => !s.made).map(s => s.title)).toEqual(['Title 1', 'Title 2'])
})

test.each(shippedStyles.map(s => [s.id, s] as const))(
  'what the style %s draws apart comes back as it was written',
  (_id, style) => {
    const em: InlineJson = { type: 'text', text: 'salt', marks: [{ type: 'em' }] }
    const words = (t: string): InlineJson => ({ type: 'text', text: t })
    const plain = (id: string, ...content: InlineJson[]): BlockJson => ({
      type: 'paragraph',
      attrs: { id, align: null },
      content,
    })
    const content: BlockJson[] = [
      plain('p1', words('“Ada, come up and see the '), em, words('.”')),
      { type: 'quote', attrs: { id: 'q1' }, content: [plain('p2', words('Seven strokes, '), em, words('.'))] as never },
      { type: 'scene_break', attrs: { id: 'b1' } },
      plain('p3', words('By five o’clock the water stood at one foot.')),
    ]
    const book = bookOf([['x']])
    const [own] = book.sections.filter(s => !s.made)
    Object.assign(own!, { title: 'The Bell', numbered: true, doc: { type: 'doc', content } })
    const italic = withChanges(style, { 'quotes.italic': true, 'firsts.afterBreaks': 'initial and lead-in' })
    const epub = writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => png, style: italic })
    const [back] = readManuscript('x.epub', epub).book.sections.filter(s => !s.made)
    const bare = (blocks: unknown): unknown =>
      JSON.parse(JSON.stringify(blocks, (k, v: unknown) => (k === 'id' ? undefined : v)))
    expect([back!.title, back!.numbered]).toEqual(['The Bell', style.openings.number !== 'none'])
    expect(bare(back!.doc.content)).toEqual(bare(content))
  },
)

describe('ebooks of others', () => {
  const page = (body: string, head = ''): string =>
    `<?xml version="1.0"?><!DOCTYPE html PUBLIC "-//W3C//DTD XHTML 1.1//EN" "x"><html xmlns="http://www.w3.org/1999/xhtml"><head><title>x</title>${head}</head><body>${body}</body></html>`
  const ebook = (
    files: Record<string, string>,
    { spine = Object.keys(files), more = '', ncx = '' } = {},
  ): Uint8Array => {
    const items = Object.keys(files).map(
      (f, i) => `<item id="i${i}" href="${encodeURI(f)}" media-type="application/xhtml+xml"/>`,
    )
    const refs = spine.map(f => `<itemref idref="i${Object.keys(files).indexOf(f)}"/>`)
    const opf = `<?xml version="1.0"?><package xmlns="http://www.idpf.org/2007/opf" version="2.0"><metadata xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:opf="http://www.idpf.org/2007/opf"><dc:title>Salt</dc:title><dc:creator opf:role="aut">Orla Fenwright</dc:creator><dc:creator opf:role="ill">Ada Pell</dc:creator><dc:identifier opf:scheme="ISBN">978-0-00-000204-4</dc:identifier><dc:language>de</dc:language></metadata><manifest>${items.join('')}<item id="ncx" href="toc.ncx" media-type="application/x-dtbncx+xml"/></manifest><spine toc="ncx">${refs.join('')}</spine></package>`
    const parts: Record<string, Uint8Array> = {
      mimetype: strToU8('application/epub+zip'),
      'META-INF/container.xml': strToU8(
        '<container><rootfiles><rootfile full-path="OPS/book.opf" media-type="application/oebps-package+xml"/></rootfiles></container>',
      ),
      'OPS/book.opf': strToU8(opf),
      'OPS/toc.ncx': strToU8(
        `<?xml version="1.0"?><!DOCTYPE ncx PUBLIC "-//NISO//DTD ncx 2005-1//EN" "x"><ncx><navMap>${ncx}</navMap></ncx>`,
      ),
      ...Object.fromEntries(Object.entries(files).map(([k, v]) => [`OPS/${k}`, strToU8(v)])),
    }
    if (more) parts['META-INF/encryption.xml'] = strToU8(more)
    return zipSync(parts)
  }
  const point = (label: string, src: string): string =>
    `<navPoint><navLabel><text>${label}</text></navLabel><content src="${src}"/></navPoint>`

  test('are read in the order of their spine; the contents tell what is a heading though it looks like none', () => {
    const bytes = ebook(
      {
        'b.xhtml': page('<p class="x">Die Ebbe</p><p>Später am Tag.</p>'),
        'ein a.xhtml': page('<p class="x">Die Flut</p><p>Am Morgen.</p>'),
      },
      { spine: ['ein a.xhtml', 'b.xhtml'], ncx: point('Die Flut', 'ein%20a.xhtml') + point('Die Ebbe', 'b.xhtml#x') },
    )
    const { book, isbn } = readManuscript('x.epub', bytes)
    expect(book.sections.filter(s => !s.made).map(s => [s.title, docText(s.doc).trim()])).toEqual([
      ['Die Flut', 'Am Morgen.'],
      ['Die Ebbe', 'Später am Tag.'],
    ])
    expect(book.data).toMatchObject({ title: 'Salt', language: 'de', contributors: [{ name: 'Orla Fenwright' }] })
    expect(isbn).toBe('9780000002044')
  })

  test('have notes on a page of their own, known by their way back: they stand where they are called', () => {
    const bytes = ebook({
      'a.xhtml': page(
        '<h1>One</h1><p>Salt<a id="r1" href="n.xhtml#n1"><sup>1</sup></a> and rope<sup><a id="r2" href="n.xhtml#n2">2</a></sup>.</p>',
      ),
      'n.xhtml': page(
        '<h1>Notes</h1><p id="n1"><a href="a.xhtml#r1">1.</a> From the pans.</p><p><a id="n2" href="a.xhtml#r2">2</a>. Of hemp.</p>',
      ),
    })
    const { book } = readManuscript('x.epub', bytes)
    expect(notesIn(book.sections)).toEqual(['From the pans.', 'Of hemp.'])
    expect(bookText(book)).not.toMatch(/rope2|Salt1/)
  })

  test('whose chapters go on in another file go on without a turn of the page', () => {
    const bytes = ebook({
      'a.xhtml': page('<h1>One</h1><p>Salt and more salt.</p>'),
      'b.xhtml': page('<p>And it went on.</p>'),
    })
    const { book } = readManuscript('x.epub', bytes)
    const [one] = book.sections.filter(s => !s.made)
    expect(one!.doc.content.map(b => b.type)).toEqual(['paragraph', 'paragraph'])
  })

  test('that are protected are refused in plain words; obscured fonts do not matter', () => {
    const encryption = (algorithm: string): string =>
      `<encryption><enc:EncryptedData xmlns:enc="x"><enc:EncryptionMethod Algorithm="${algorithm}"/></enc:EncryptedData></encryption>`
    const files = { 'a.xhtml': page('<h1>One</h1><p>Salt.</p>') }
    expect(() =>
      readManuscript('x.epub', ebook(files, { more: encryption('http://www.w3.org/2001/04/xmlenc#aes128-cbc') })),
    ).toThrow(/protected against copying/)
    const { book } = readManuscript('x.epub', ebook(files, { more: encryption('http://www.idpf.org/2008/embedding') }))
    expect(bookText(book)).toContain('Salt.')
  })

  test('that lack a page, or a picture, lose no other word, and say so', () => {
    const bytes = unzipSync(
      ebook({
        'a.xhtml': page('<h1>One</h1><p>Salt <img src="gone.png" alt="A pan"/></p>'),
        'b.xhtml': page('<p>x</p>'),
      }),
    )
    delete bytes['OPS/b.xhtml']
    const { book, dropped } = readManuscript('x.epub', zipSync(bytes))
    expect(bookText(book)).toContain('Salt')
    expect(dropped.map(d => d.what)).toEqual(['pages that are not in the file', 'pictures that are not in the file'])
    expect(strFromU8(bytes['OPS/a.xhtml']!)).toContain('Salt')
  })
})
