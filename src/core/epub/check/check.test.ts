import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from 'fflate'
import { anyBook } from '../../../../tests/support/arbitrary'
import { bookOf, chapter, paragraph } from '../../../../tests/support/core'
import { silence } from '../../../../tests/support/recordings'
import type { Book } from '../../book'
import { shippedProfiles } from '../../outlets'
import { writeEpub } from '..'
import { checkEpub } from '.'

const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
const date = '2026-01-01T00:00:00Z'
const asset = { id: 'a'.repeat(64), type: 'image/png' as const, width: 1, height: 1 }
const book: Book = {
  ...bookOf([]),
  assets: [asset],
  sections: [
    chapter('s1', 'One', {
      type: 'doc',
      content: [
        paragraph('p1', 'The tide turned.'),
        { type: 'heading', attrs: { id: 'h1', level: 1 }, content: [{ type: 'text', text: 'Salt' }] },
        { type: 'image', attrs: { id: 'i1', asset: asset.id, alt: 'A lamp', decoration: false, share: 1 } },
      ],
    }),
    chapter('s2', 'Two', { type: 'doc', content: [paragraph('p2', 'It came back.')] }),
  ],
}
const cover = { bytes: png, type: 'image/png' as const }
/** A second of silence. */
const mp3 = silence(40)
const bell = { id: 'c'.repeat(64), type: 'audio/mpeg' as const }
const playing: Book = {
  ...book,
  recordings: [bell],
  sections: book.sections.map(s =>
    s.id === 's2'
      ? {
          ...s,
          doc: {
            ...s.doc,
            content: [
              ...s.doc.content,
              {
                type: 'image',
                attrs: {
                  id: 'r1',
                  asset: '',
                  alt: 'A bell',
                  decoration: false,
                  share: 1,
                  plays: bell.id,
                  spoken: 'It rings.',
                },
              },
            ],
          },
        }
      : s,
  ),
}
const sound = unzipSync(
  writeEpub(book, {
    date,
    cover,
    picture: () => png,
    pages: [{ label: '1', section: 's1', block: '', chars: 0 }],
    printed: 'urn:isbn:9780000000002',
  }),
)
const heard = unzipSync(writeEpub(playing, { date, cover, picture: id => (id === bell.id ? mp3 : png) }))
const ONE = 'OEBPS/text/s1.xhtml'
const TWO = 'OEBPS/text/s2.xhtml'
const NAV = 'OEBPS/text/nav.xhtml'
const OPF = 'OEBPS/content.opf'
const CSS = 'OEBPS/style.css'

type Files = Record<string, Uint8Array>
/** The file with a part of it changed by hand. */
const edit =
  (file: string, from: string | RegExp, to: string) =>
  (files: Files): Files => {
    const text = strFromU8(files[file]!)
    const changed = text.replace(from, to)
    if (changed === text) throw new Error(`nothing to change in ${file}`)
    return { ...files, [file]: strToU8(changed) }
  }
const without =
  (file: string) =>
  ({ [file]: _gone, ...rest }: Files): Files =>
    rest
const and =
  (file: string, text: string) =>
  (files: Files): Files => ({ ...files, [file]: strToU8(text) })

const pack = (files: Files): Uint8Array => {
  const { mimetype, ...rest } = files
  const zip: Zippable = mimetype ? { mimetype: [mimetype, { level: 0 }], ...rest } : rest
  return zipSync(zip)
}
const found = (files: Files): string[] => [...new Set(checkEpub(pack(files)).map(f => f.rule))]

describe('an ebook’s file', () => {
  test('that is sound has nothing to say against', () => {
    expect(found(sound)).toEqual([])
    expect(found(heard)).toEqual([])
  })

  test('that shows something else in the stead of what few devices show is sound', () => {
    const drawn = '<item id="draft" href="draft.tiff" media-type="image/tiff" fallback="cover-image"/>'
    expect(found(and('OEBPS/draft.tiff', 'x')(edit(OPF, '<manifest>', `<manifest>${drawn}`)(sound)))).toEqual([])
    // A chain that bites its tail shows nothing.
    expect(
      found(
        and(
          'OEBPS/draft.tiff',
          'x',
        )(edit(OPF, '<manifest>', `<manifest>${drawn.replace('cover-image', 'draft')}`)(sound)),
      ),
    ).toEqual(['picture kind'])
  })

  test.each<[string, (files: Files) => Files, string]>([
    ['that plays by itself', edit(TWO, '<audio', '<audio autoplay="autoplay"'), 'plays by itself'],
    ['that nothing stops', edit(TWO, ' controls="controls"', ''), 'cannot be played'],
    ['of a kind that few play', edit(OPF, 'audio/mpeg', 'audio/x-wav'), 'recording kind'],
    ['that is called what it is not', edit(OPF, 'audio/mpeg', 'audio/mp4'), 'recording kind'],
    ['that is gone', without(`OEBPS/media/${'c'.repeat(16)}.mp3`), 'missing file'],
    ['that is read aloud by nothing', edit(OPF, 'id="s1"', 'id="s1" media-overlay="voice"'), 'reading aloud'],
  ])('with a sound %s: that is found', (_name, change, rule) => {
    expect(found(change(heard))).toContain(rule)
  })

  test('with sound and film is held against what the outlet takes', () => {
    const { ebook, name } = shippedProfiles.find(p => p.ebook?.plays?.includes('sound'))!
    const rulesOf = (plays: ('sound' | 'film')[] | undefined) => ({ name, rules: { ...ebook!, frontLeast: 1, plays } })
    expect(checkEpub(pack(heard), rulesOf(['sound'])).map(f => f.rule)).toEqual([])
    for (const takes of [undefined, ['film' as const]])
      expect(checkEpub(pack(heard), rulesOf(takes)).map(f => [f.rule, f.severity])).toEqual([['recording', 'stop']])
  })

  test('of any book of ours holds together', () => {
    const ofTheBook = ['picture description', 'heading order', 'link without words', 'empty page']
    fc.assert(
      fc.property(anyBook, b => {
        const rules = checkEpub(writeEpub(b, { date, cover, picture: () => png })).map(f => f.rule)
        expect(rules.filter(r => !ofTheBook.includes(r))).toEqual([])
      }),
    )
  })

  test.each<[string, (files: Files) => Files, string]>([
    ['does not begin with what it is', without('mimetype'), 'container'],
    ['says another kind', and('mimetype', 'application/zip'), 'container'],
    ['has no title', edit(OPF, /<dc:title[\s\S]*?<\/dc:title>/g, ''), 'metadata'],
    ['has no language', edit(OPF, /<dc:language>.*<\/dc:language>/, ''), 'metadata'],
    [
      'is in “English”',
      edit(OPF, /<dc:language>.*<\/dc:language>/, '<dc:language>English please</dc:language>'),
      'metadata',
    ],
    ['has no identifier of its own', edit(OPF, 'id="uid"', 'id="other"'), 'metadata'],
    [
      'was changed on no day',
      edit(OPF, /<meta property="dcterms:modified">[^<]*/, '<meta property="dcterms:modified">March'),
      'metadata',
    ],
    ['lacks a text', without('OEBPS/text/s2.xhtml'), 'missing file'],
    ['lacks its style sheet', without(CSS), 'missing file'],
    [
      'names a file twice',
      edit(OPF, '<manifest>', '<manifest><item id="again" href="text/s1.xhtml" media-type="application/xhtml+xml"/>'),
      'named twice',
    ],
    ['holds a file that nobody names', and('OEBPS/left.txt', 'x'), 'file without a name'],
    [
      'keeps a picture on the web',
      edit(OPF, '<manifest>', '<manifest><item id="web" href="https://merrow.example/a.png" media-type="image/png"/>'),
      'file on the web',
    ],
    ['reads what it does not have', edit(OPF, '</spine>', '<itemref idref="nowhere"/></spine>'), 'reading order'],
    ['reads a picture in its turn', edit(OPF, '</spine>', '<itemref idref="cover-image"/></spine>'), 'reading order'],
    ['reads a text twice', edit(OPF, '</spine>', '<itemref idref="s1"/></spine>'), 'reading order'],
    ['reads nothing', edit(OPF, /<itemref /g, '<itemref linear="no" '), 'reading order'],
    ['has no contents', edit(OPF, ' properties="nav"', ''), 'contents'],
    ['has contents that list nothing', edit(NAV, /<ol>[\s\S]*?<\/ol>/, '<ol></ol>'), 'contents'],
    ['has contents that lead nowhere', edit(NAV, 's2.xhtml', 's9.xhtml'), 'contents'],
    ['lists pages that are not there', edit(ONE, 'id="page-1"', 'id="page-9"'), 'page list'],
    ['lists pages of no edition', edit(OPF, /<dc:source[\s\S]*?<\/dc:source>/, ''), 'page list'],
    [
      'begins where nothing is',
      edit(NAV, 'epub:type="bodymatter" href="s1.xhtml"', 'epub:type="bodymatter" href="s7.xhtml"'),
      'landmarks',
    ],
    [
      'is locked',
      and(
        'META-INF/encryption.xml',
        '<encryption><EncryptionMethod Algorithm="http://www.w3.org/2001/04/xmlenc#aes128-cbc"/></encryption>',
      ),
      'protection',
    ],
    ['holds a script', edit(ONE, '<p', '<script>x</script><p'), 'script'],
    [
      'draws what it does not declare',
      edit(ONE, '<p', '<svg xmlns="http://www.w3.org/2000/svg"/><p'),
      'declared properties',
    ],
    ['is not well-formed', edit(ONE, '</section>', ''), 'malformed'],
    ['has HTML’s own characters', edit(ONE, 'The tide', 'The&nbsp;tide'), 'malformed'],
    ['has an id twice', edit(ONE, '<p', '<p id="x">a</p><p id="x">b</p><p'), 'id twice'],
    [
      'has a link to a place that is gone',
      edit(ONE, '<p', '<p><a href="s2.xhtml#gone">there</a></p><p'),
      'broken link',
    ],
    [
      'shows a picture that is gone',
      edit(ONE, '<p', '<p><img src="../images/gone.png" alt="A lamp"/></p><p'),
      'missing file',
    ],
    [
      'has a sheet that loads what is gone',
      edit(CSS, 'body {', '@font-face { font-family: X; src: url(fonts/gone.ttf); }\nbody {'),
      'missing file',
    ],
    [
      'turns to an empty page',
      edit('OEBPS/text/s2.xhtml', /<body>[\s\S]*<\/body>/, '<body><p> </p></body>'),
      'empty page',
    ],
    ['lost letters on the way', edit(ONE, 'The tide', 'The t\ufffdde'), 'lost letters'],
    ['does not describe a picture', edit(ONE, 'alt="A lamp"', ''), 'picture description'],
    ['does not say a page’s language', edit(ONE, / lang="[^"]*" xml:lang="[^"]*"/, ''), 'language'],
    ['skips a heading', edit(ONE, /<(\/?)h2/g, '<$1h4'), 'heading order'],
    ['has a link without words', edit(ONE, '<p', '<p><a href="s2.xhtml"> </a></p><p'), 'link without words'],
    [
      'says nothing of how it is read',
      edit(OPF, /<meta property="schema:accessMode">[^<]*<\/meta>/g, ''),
      'accessibility metadata',
    ],
    ['says that it conforms and does not', edit(ONE, 'alt="A lamp"', ''), 'accessibility claim'],
    ['calls a picture what it is not', edit(OPF, /(id="cover-image"[^>]*)image\/png/, '$1image/jpeg'), 'picture kind'],
    ['has a picture that few show', edit(OPF, /(id="cover-image"[^>]*)image\/png/, '$1image/tiff'), 'picture kind'],
    [
      'has pages that do not say how large they are',
      edit(OPF, '</metadata>', '<meta property="rendition:layout">pre-paginated</meta></metadata>'),
      'size of a page',
    ],
    [
      'has one page that does not',
      edit(OPF, '<itemref idref="s1"', '<itemref properties="rendition:layout-pre-paginated" idref="s1"'),
      'size of a page',
    ],
    [
      'has a link in a drawing that says nothing',
      edit(
        ONE,
        '<p',
        '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"><a xlink:href="s2.xhtml"><text>x</text></a></svg><p',
      ),
      'link of a drawing',
    ],
    ['has no cover', edit(OPF, / properties="cover-image"|<meta name="cover"[^>]*\/>/g, ''), 'cover'],
  ])('%s: that is found', (_name, change, rule) => {
    const findings = checkEpub(pack(change(sound)))
    expect(findings.map(f => f.rule)).toContain(rule)
    for (const f of findings) expect([f.message, f.remedy, f.place.file].every(w => typeof w === 'string')).toBe(true)
  })

  test('is held against an outlet’s limits', () => {
    const { ebook, name } = shippedProfiles.find(p => p.ebook)!
    const rules = { ...ebook!, epubMb: 0.000_001, frontLeast: 1000 }
    const findings = checkEpub(pack(sound), { name, rules })
    expect(findings.map(f => [f.rule, f.severity])).toEqual([
      ['weight', 'stop'],
      ['cover', 'mend'],
    ])
    expect(findings[1]!.message).toContain(`${name} wants 1000`)
  })

  test('whose fonts alone are obscured, in either way, is not locked', () => {
    for (const algorithm of ['http://www.idpf.org/2008/embedding', 'http://ns.adobe.com/pdf/enc#RC']) {
      const list = `<encryption><EncryptionMethod Algorithm="${algorithm}"/></encryption>`
      expect(found(and('META-INF/encryption.xml', list)(sound))).toEqual([])
    }
  })

  test('that cannot be opened says why, and a fault says its line', () => {
    expect(checkEpub(strToU8('hello'))).toMatchObject([{ rule: 'damaged', severity: 'stop' }])
    const [fault] = checkEpub(pack(edit(ONE, '<p', '\n\n<p></b><p')(sound))).filter(f => f.rule === 'malformed')
    const line = strFromU8(sound[ONE]!).split('<p')[0]!.split('\n').length + 2
    expect(fault!.place).toEqual({ file: ONE, line })
  })
})
