import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import { anyBook } from '../../../tests/support/arbitrary'
import { buildEpub } from '../epub'
import { hrefFrom, readZip, targetIn } from '../files'
import { coverOf, openEpub, readEpub, readItems, titleOf, zipEpub } from '.'

const DAY = '2026-01-01T00:00:00Z'

describe('an ebook as a value', () => {
  test('is the same after it was a file, whatever book it was made of', () => {
    fc.assert(
      fc.property(anyBook, book => {
        const made = buildEpub(book, {
          date: DAY,
          isbn: '9780000000002',
          picture: () => Uint8Array.of(1, 2, 3),
          cover: { bytes: Uint8Array.of(0xff, 0xd8), type: 'image/jpeg' },
        })
        expect(readEpub(readZip(zipEpub(made, DAY), () => true))).toEqual(made)
      }),
    )
  })

  test('an address leads where it was written for, from any part to any other', () => {
    const name = fc.stringMatching(/^[a-zé ,&#%?]{1,6}$/).filter(n => n.trim() !== '' && !n.includes('#'))
    const path = fc.array(name, { minLength: 1, maxLength: 4 }).map(parts => parts.join('/'))
    const id = fc.option(fc.stringMatching(/^[a-z][a-z0-9-]{0,5}$/), { nil: undefined })
    fc.assert(
      fc.property(path, path, id, (part, file, fragment) => {
        const target = fragment ? `${file}#${fragment}` : file
        expect(targetIn(part, hrefFrom(part, target))).toBe(target)
      }),
    )
  })
})

describe('ebooks of others', () => {
  const container = (path: string): Uint8Array =>
    strToU8(`<container><rootfiles><rootfile full-path="${path}"/></rootfiles></container>`)

  test('of EPUB 2: contents and pages by its NCX, landmarks by its guide, the cover by its name', () => {
    const opf = `<package xmlns="http://www.idpf.org/2007/opf" version="2.0" unique-identifier="x"><metadata xmlns:dc="http://purl.org/dc/elements/1.1/"><dc-metadata><dc:Title>Salt</dc:Title></dc-metadata><meta name="cover" content="c"/></metadata><manifest><item id="a" href="a%20b.html" media-type="application/xhtml+xml"/><item id="c" href="c.jpg" media-type="image/jpeg"/><item id="n" href="toc.ncx" media-type="application/x-dtbncx+xml"/><item id="gone" href="gone.html" media-type="application/xhtml+xml"/></manifest><spine toc="n"><itemref idref="a"/><itemref idref="gone" linear="no"/></spine><guide><reference type="text" title="Start" href="a%20b.html#s"/></guide></package>`
    const ncx = `<ncx><navMap><navPoint><navLabel><text>One</text></navLabel><content src="a%20b.html"/><navPoint><navLabel><text>Two</text></navLabel><content src="a%20b.html#t"/></navPoint></navPoint></navMap><pageList><pageTarget><navLabel><text>7</text></navLabel><content src="a%20b.html#p7"/></pageTarget></pageList></ncx>`
    const epub = openEpub(
      zipSync({
        mimetype: strToU8('application/epub+zip'),
        'META-INF/container.xml': container('O/b.opf'),
        'O/b.opf': strToU8(opf),
        'O/a b.html': strToU8('<html/>'),
        'O/c.jpg': Uint8Array.of(1),
        'O/toc.ncx': strToU8(ncx),
        'O/notes.txt': strToU8('left over'),
      }),
    )
    expect([epub.version, titleOf(epub), coverOf(epub)?.path]).toEqual(['2.0', 'Salt', 'O/c.jpg'])
    expect(epub.nav).toEqual([
      { title: 'One', href: 'O/a b.html', depth: 0 },
      { title: 'Two', href: 'O/a b.html#t', depth: 1 },
    ])
    expect(epub.pages).toEqual([{ label: '7', href: 'O/a b.html#p7' }])
    expect(epub.landmarks).toEqual([{ type: 'bodymatter', title: 'Start', href: 'O/a b.html#s' }])
    expect(readItems(epub).map(i => i.path)).toEqual(['O/a b.html'])
    expect(epub.absent.map(i => i.path)).toEqual(['O/gone.html'])
    expect(epub.spine.map(s => s.linear)).toEqual([true, false])
    expect([...epub.others.keys()]).toEqual(['O/notes.txt'])
  })

  test('one that does not say what is in it is refused', () => {
    const nothing = zipSync({ mimetype: strToU8('application/epub+zip'), 'a.html': strToU8('<p/>') })
    expect(() => openEpub(nothing)).toThrow(/does not say what is in it/)
    expect(() => openEpub(strToU8('not an ebook'))).toThrow(/no ZIP archive/)
  })
})
