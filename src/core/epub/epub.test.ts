import { describe, expect, test } from '@jest/globals'
import { strFromU8, unzipSync } from 'fflate'
import { bookOf, chapter, setBook } from '../../../tests/support/core'
import { type Book, createBook, type DocJson, uidForm, uidOf } from '../book'
import { parseXml } from '../files'
import { pageStarts } from '../pages'
import { inspectEpub, writeEpub } from '.'

const date = '2026-03-09T04:10:00Z'
const files = (b: Uint8Array): Record<string, string> =>
  Object.fromEntries(Object.entries(unzipSync(b)).map(([k, v]) => [k, strFromU8(v)]))

describe('ebook', () => {
  const doc: DocJson = {
    type: 'doc',
    content: [
      {
        type: 'paragraph',
        attrs: { id: 'b1' },
        content: [
          { type: 'text', text: 'A & <b> “tide”' },
          { type: 'footnote', attrs: { id: 'n1' }, content: [{ type: 'text', text: 'The note.' }] },
          { type: 'text', text: ' ends', marks: [{ type: 'em' }, { type: 'strong' }] },
          { type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }] },
          { type: 'text', text: 'y', marks: [{ type: 'link', attrs: { href: 'https://example.org/a b?c=1&d=2' } }] },
        ],
      },
      { type: 'scene_break', attrs: { id: 'b2' } },
      {
        type: 'verse',
        attrs: { id: 'b3' },
        content: [
          { type: 'line', attrs: { indent: 0, stanza: true }, content: [{ type: 'text', text: 'one' }] },
          { type: 'line', attrs: { indent: 2, stanza: false }, content: [{ type: 'text', text: 'two' }] },
        ],
      },
    ],
  }
  const book = createBook(
    'x',
    {
      title: 'T & T',
      subtitle: 'Sub',
      contributors: [
        { name: 'Ada', role: 'aut', sortName: 'Pell, Ada' },
        { name: 'Ed', role: 'edt' },
      ],
      language: 'en-GB',
      imprint: { name: 'Press' },
      subjects: ['Tides'],
      series: { name: 'S', number: 1 },
    },
    [
      chapter('s1', 'One', doc),
      chapter('s2', 'Two', {
        type: 'doc',
        content: [{ type: 'paragraph', attrs: { id: 'b9' }, content: [{ type: 'text', text: 'More.' }] }],
      }),
    ],
  )
  const made = writeEpub(book, { date, picture: () => undefined, isbn: '9780000000002' })
  const f = files(made)

  test('is well-formed throughout, with the mimetype first and bare', () => {
    expect(Object.keys(f)[0]).toBe('mimetype')
    expect(strFromU8(made.subarray(30, 38))).toBe('mimetype')
    expect(strFromU8(made.subarray(38, 58))).toBe('application/epub+zip')
    for (const [name, text] of Object.entries(f))
      if (/\.(xhtml|opf|ncx|xml)$/.test(name))
        expect(parseXml(new TextEncoder().encode(text.replace(/<!DOCTYPE html>/, '')), name).name).toMatch(
          /html|package|ncx|container/,
        )
  })
  test('notes call and return; text is escaped; only web links lead out', () => {
    const s = f['OEBPS/text/s1.xhtml']!
    expect(s).toContain('A &amp; &lt;b&gt; “tide”')
    expect(s).toContain('href="#n1"')
    expect(s).toContain(
      '<aside epub:type="footnote" role="doc-footnote" id="n1"><p><a href="#n1-call" class="back">1</a> The note.</p></aside>',
    )
    expect(s).not.toContain('javascript')
    expect(s).toContain('href="https://example.org/a%20b?c=1&amp;d=2"')
    expect(s).toContain('<em><strong> ends</strong></em>')
  })
  test('links lead to the web, a mailbox, a telephone, a section of the book; encoded once, and nowhere else', () => {
    const linked = (href: string): string | undefined => {
      const b = bookOf([['One.'], ['Two.']])
      const [first] = b.sections.filter(x => !x.made)
      first!.doc = {
        type: 'doc',
        content: [
          {
            type: 'paragraph',
            attrs: { id: 'b1', align: null },
            content: [{ type: 'text', text: 'here', marks: [{ type: 'link', attrs: { href } }] }],
          },
        ],
      }
      const made = writeEpub(b, { date, picture: () => undefined })
      expect(inspectEpub(made)).toEqual([])
      return /<a href="([^"]*)">here/.exec(files(made)[`OEBPS/text/${first!.id}.xhtml`]!)?.[1]
    }
    const second = bookOf([['One.'], ['Two.']]).sections.filter(x => !x.made)[1]!.id
    expect(linked(`#${second}`)).toBe(`${second}.xhtml`)
    expect(linked('tel:+44-7700-900123')).toBe('tel:+44-7700-900123')
    expect(linked('mailto:orla@merrow.example')).toBe('mailto:orla@merrow.example')
    expect(linked('https://merrow.example/a%3Ab c/é?100%')).toBe('https://merrow.example/a%3Ab%20c/%C3%A9?100%25')
    for (const nowhere of [
      '#s999',
      'javascript:x',
      'data:text/html,x',
      'file:///etc',
      '//x',
      'vbscript:x',
      'chapter-2.html',
    ])
      expect([nowhere, linked(nowhere)]).toEqual([nowhere, undefined])
  })
  test('nav, NCX, landmarks, guide and metadata agree', () => {
    const opf = f['OEBPS/content.opf']!
    for (const part of [
      'urn:isbn:9780000000002',
      'T &amp; T',
      'property="title-type">subtitle',
      'Pell, Ada',
      '>edt<',
      'belongs-to-collection',
      '<guide>',
      'dcterms:modified">2026-03-09T04:10:00Z',
    ])
      expect(opf).toContain(part)
    const nav = f['OEBPS/text/nav.xhtml']!
    for (const e of ['Chapter One: One', 'Chapter Two: Two']) {
      expect(nav).toContain(e)
      expect(f['OEBPS/toc.ncx']).toContain(e)
    }
    expect(nav).toContain('epub:type="bodymatter" href="s1.xhtml"')
  })
  test('an outlet may want no page with the cover, or none with the contents; both are still there for readers to show', () => {
    const cover = { bytes: new Uint8Array([0xff, 0xd8]), type: 'image/jpeg' } as const
    const of = (variant: { coverPage?: boolean; contentsPage?: boolean }) => {
      const bytes = writeEpub(book, { date, picture: () => undefined, cover, ...variant })
      expect(inspectEpub(bytes)).toEqual([])
      const opf = files(bytes)['OEBPS/content.opf']!
      return {
        // Beside the made pages.
        read: [...opf.matchAll(/<itemref idref="(cover|nav|s1|s2)"/g)].map(m => m[1]),
        guide: [...opf.matchAll(/<reference type="(\w+)"/g)].map(m => m[1]),
        opf,
        nav: files(bytes)['OEBPS/text/nav.xhtml']!,
      }
    }
    expect(of({})).toMatchObject({ read: ['cover', 'nav', 's1', 's2'], guide: ['cover', 'toc', 'text'] })
    const coverless = of({ coverPage: false })
    expect(coverless).toMatchObject({ read: ['nav', 's1', 's2'], guide: ['toc', 'text'] })
    expect(coverless.opf).toContain('properties="cover-image"')
    expect(coverless.opf).not.toContain('cover.xhtml')
    const flowing = of({ contentsPage: false })
    expect(flowing).toMatchObject({ read: ['cover', 's1', 's2'], guide: ['cover', 'text'] })
    expect(flowing.nav).toContain('Chapter Two: Two')
  })
  test('same book, same bytes', () => {
    expect(writeEpub(book, { date, picture: () => undefined, isbn: '9780000000002' })).toEqual(made)
  })
  test('without an ISBN it is named by the book’s own UUID, whatever the book is called by now', () => {
    const uid = '7f0c2f0e-6a51-4f0b-9a3e-0d2f5c1b8a77'
    const named = (b: Book): string[] => {
      const opf = files(writeEpub(b, { date, picture: () => undefined }))['OEBPS/content.opf']!
      return [...opf.matchAll(/urn:uuid:([0-9a-f-]+)/g)].map(m => m[1]!)
    }
    expect(named({ ...book, uid })).toEqual([uid])
    expect(named({ ...book, uid, data: { ...book.data, title: 'Another' } })).toEqual([uid])
    // A book from before there was one is named as it was then: migrations write that down.
    expect(named(book)).toEqual([uidOf(book)])
    expect(uidOf({ ...book, id: 'other' })).not.toBe(uidOf(book))
    expect(uidOf(book)).toMatch(uidForm)
  })
  test('the page list follows the printed pages, each mark before its word', async () => {
    const text = Array(40)
      .fill('The bell of Merrow Sound hung in an iron cage at the corner of the quay and had a rope.')
      .join(' ')
    const b = bookOf([[text, text, text], [text]])
    const interior = await setBook(b)
    const starts = pageStarts(interior)
    const out = files(writeEpub(b, { date, picture: () => undefined, pages: starts }))
    const s1 = out['OEBPS/text/s1.xhtml']!
    const marks = [...s1.matchAll(/id="page-(\d+)"/g)].map(m => m[1])
    expect(marks.length).toBeGreaterThan(2)
    expect(marks).toEqual(starts.filter(s => s.section === 's1').map(s => s.label))
    expect(out['OEBPS/text/nav.xhtml']).toContain('page-list')
    // What stands behind the mark of page 2 is what page 2 begins with.
    const { pageText } = await import('../marks')
    const page2 = pageText({
      ...interior.pages[interior.starts.get('s1')! + 1]!,
      layers: interior.pages[interior.starts.get('s1')! + 1]!.layers.slice(0, 1),
    })
    const behind = s1
      .split('id="page-2" title="2"></span>')[1]!
      .replace(/<[^>]+>/g, ' ')
      .trim()
    expect(behind.slice(0, 20)).toBe(
      page2
        .replace(/\u00ad\n/g, '')
        .replace(/\n/g, ' ')
        .slice(0, 20),
    )
  })
})
