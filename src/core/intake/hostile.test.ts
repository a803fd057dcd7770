import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { bookOf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { readProject, writeProject } from '../archive'
import { schema } from '../book'
import { writeEpub } from '../epub'
import { shippedProfiles } from '../outlets'
import { Fault } from '../trade'
import { readManuscript } from '.'

/** What is done to the text of one part of a file: letters gone, doubled, or put in. */
const harm = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  length: fc.nat(60),
  kind: fc.constantFrom('cut', 'double', 'put'),
  put: fc.constantFrom(
    '<p>',
    '</text:p>',
    '<table><td colspan="1e9" rowspan="-3">',
    '<a href="#x" id="x">1</a>',
    '<ol start="99999999999">',
    '" style="font-size: 1e309px',
    '&bogus;',
    '<!--',
    ']]>',
    '\u0000',
    '<style>p{font-size:1e9%}p:has(*){}</style>',
    '<text:list text:continue-list="one"><text:list-item/>',
    '<![CDATA[',
    '<text:s text:c="1e9"/>',
  ),
})
type Harm = typeof harm extends fc.Arbitrary<infer T> ? T : never

function harmed(text: string, { at, length, kind, put }: Harm): string {
  const i = Math.floor(at * text.length)
  const part = text.slice(i, i + length)
  if (kind === 'cut') return text.slice(0, i) + text.slice(i + length)
  return text.slice(0, i) + (kind === 'double' ? part : put) + text.slice(i)
}

const page =
  '<!doctype html><html lang="en"><head><style>.r{text-align:right}</style></head><body><h1>Chapter One</h1><p class="r">Salt<a id="r1" href="#n1">1</a>.</p><ol start="3"><li><p>rope</p><ul><li>knot</li></ul></li></ol><table><tr><th>a</th><td rowspan="2">b</td></tr><tr><td>c</td></tr></table><div class="verse"><p>One<br>two</p></div><figure><img src="x.png" alt="y"><figcaption>z</figcaption></figure><p id="n1"><a href="#r1">1</a> A note.</p></body></html>'
const NS = ['office', 'style', 'text', 'table', 'draw', 'fo', 'xlink'].map(p => `xmlns:${p}="urn:${p}"`).join(' ')
const odt = zipSync({
  'content.xml': strToU8(
    `<office:document-content ${NS}><office:automatic-styles><style:style style:name="P1" style:family="paragraph" style:parent-style-name="P1"><style:text-properties fo:font-size="120%"/></style:style></office:automatic-styles><office:body><office:text><text:h text:outline-level="1">Chapter One</text:h><text:p text:style-name="P1">Salt<text:note><text:note-citation>1</text:note-citation><text:note-body><text:p>A note.</text:p></text:note-body></text:note></text:p><text:list xml:id="one"><text:list-item><text:p>rope</text:p></text:list-item></text:list><table:table><table:table-row><table:table-cell table:number-columns-spanned="2"><text:p>a</text:p></table:table-cell></table:table-row></table:table></office:text></office:body></office:document-content>`,
  ),
})
const ebook = writeEpub(bookOf([['Salt was dear.'], ['Rope.']]), {
  date: '2026-01-01T00:00:00Z',
  picture: () => undefined,
})

/** A file of which one part of text was harmed. */
function harmedZip(bytes: Uint8Array, which: number, harms: Harm[]): Uint8Array {
  const parts = unzipSync(bytes)
  const names = Object.keys(parts).filter(n => /\.(xml|xhtml|opf|ncx|css)$/.test(n))
  const name = names[which % names.length]!
  parts[name] = strToU8(harms.reduce(harmed, strFromU8(parts[name]!)))
  return zipSync(parts)
}

test('whatever is done to a file, it is refused in a plain sentence, or is a book that the store takes', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('html', 'odt', 'epub'),
      fc.nat(20),
      fc.array(harm, { minLength: 1, maxLength: 4 }),
      (kind, which, harms) => {
        const bytes =
          kind === 'html' ? strToU8(harms.reduce(harmed, page)) : harmedZip(kind === 'odt' ? odt : ebook, which, harms)
        try {
          const { book, pictures } = readManuscript(`x.${kind}`, bytes)
          for (const s of book.sections) schema.nodeFromJSON(s.doc).check()
          const file = writeProject({ book, pictures })
          expect(readProject(file, { known: shippedProfiles }).book.sections).toHaveLength(book.sections.length)
        } catch (e) {
          if (!(e instanceof Fault)) throw e
          expect(e.message).toMatch(/^[A-Z“].*\.$/)
        }
      },
    ),
    { numRuns: cases(150, 6000) },
  )
})
