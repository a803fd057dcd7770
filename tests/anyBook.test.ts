import { describe, expect, test } from '@jest/globals'
import { shippedProfiles } from '@/core/outlets'
import fc from 'fast-check'
import { strFromU8, unzipSync } from 'fflate'
import { readProject, writeProject } from '@/core/archive'
import { type Book, docText, docWords, recordingsIn, schema, spokenLines } from '@/core/book'
import { writeEpub } from '@/core/epub'
import { type PageMarks, visitPage } from '@/core/marks'
import { elements, parseXml, textOf, type XmlElement } from '@/core/files'
import { pageStarts, Setter, shippedStyles, withChanges } from '@/core/pages'
import { pdfBytes } from '@/core/pdf'
import { nodePdf } from '@/cli/ports'
import { anyBook, anyDoc, textsOf } from './support/arbitrary'
import { shelf } from './support/core'

/** Properties of whole books in the whole schema: what goes in comes out, in every form we make. */

const letters = (s: string): string => s.replace(/[\s\u00a0\u00ad]/g, '')

describe('any document', () => {
  test('is in the schema, and its words are those of its texts', () => {
    fc.assert(
      fc.property(anyDoc, doc => {
        schema.nodeFromJSON(doc).check()
        expect(letters(docText(doc)).length).toBe(letters(textsOf(doc).join('')).length)
        expect(docWords(doc)).toBe(docWords(JSON.parse(JSON.stringify(doc)) as typeof doc))
      }),
    )
  })
})

describe('any book', () => {
  test('goes through the project file unchanged', () => {
    fc.assert(
      fc.property(anyBook, book => {
        const file = writeProject({ book, pictures: new Map() })
        expect(readProject(file, { known: shippedProfiles }).book).toEqual(JSON.parse(JSON.stringify(book)))
        expect(writeProject(readProject(file, { known: shippedProfiles }))).toEqual(file)
      }),
      { numRuns: 60 },
    )
  })

  test('as an ebook: well-formed, every text once and in order, every id once, every link somewhere', () => {
    fc.assert(
      fc.property(anyBook, book => {
        const files = Object.entries(
          unzipSync(writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => undefined })),
        ).map(([k, v]) => [k, strFromU8(v)] as const)
        const ids = new Map<string, Set<string>>()
        const trees = files
          .filter(([k]) => k.endsWith('.xhtml'))
          .map(([k, v]) => [k, parseXml(new TextEncoder().encode(v.replace('<!DOCTYPE html>', '')), k)] as const)
        const visit = (e: XmlElement, f: (e: XmlElement) => void): void => {
          f(e)
          for (const c of e.children) if (typeof c !== 'string') visit(c, f)
        }
        for (const [k, tree] of trees) {
          const own = new Set<string>()
          visit(tree, e => {
            if (e.attrs.id) {
              expect(own.has(e.attrs.id)).toBe(false)
              own.add(e.attrs.id)
            }
          })
          ids.set(k.split('/').pop()!, own)
        }
        for (const [k, tree] of trees)
          visit(tree, e => {
            const href = e.name === 'a' ? e.attrs.href : undefined
            if (!href || /^https?:/.test(href)) return
            const [file, id] = href.split('#')
            const there = ids.get(file || k.split('/').pop()!)
            expect(there).toBeDefined()
            if (id) expect(there!.has(id)).toBe(true)
          })
        for (const s of book.sections) {
          if (s.made) continue
          const tree = trees.find(([k]) => k.endsWith(`/${s.id}.xhtml`))?.[1]
          if (!tree) continue
          // Without notes, their marks and titles, the running text is the document's own; what recordings say stands by itself.
          let text = ''
          let spoken = ''
          const collect = (e: XmlElement): void => {
            if (e.name === 'details')
              return void (spoken += elements(e)
                .filter(c => c.name === 'p')
                .map(textOf)
                .join(''))
            if (
              ['h1', 'aside', 'title', 'head'].includes(e.name) ||
              e.attrs.class === 'noteref' ||
              e.attrs.class === 'subtitle'
            )
              return
            for (const c of e.children)
              if (typeof c === 'string') text += c
              else collect(c)
          }
          collect(tree)
          const withoutNotes = JSON.parse(JSON.stringify(s.doc), (_k, v: unknown) =>
            Array.isArray(v) ? v.filter(x => (x as { type?: string }).type !== 'footnote') : v,
          ) as unknown
          expect(letters(text)).toBe(letters(textsOf(withoutNotes).join('')))
          const said = recordingsIn(s).flatMap(r => spokenLines(r.spoken))
          expect(letters(spoken)).toBe(letters(said.join('')))
        }
      }),
      { numRuns: 80 },
    )
  })

  test('in print: every character once, nothing left over; the page list names pages in order; the same bytes twice', async () => {
    await fc.assert(
      fc.asyncProperty(anyBook, fc.constantFrom(...shippedStyles), async (book, shipped) => {
        // What heads of chapters say is told apart elsewhere; notes stand at the foot or behind their chapter.
        const style = withChanges(shipped, {
          'openings.number': 'words',
          'openings.title': 'as written',
          'notes.at': shipped.notes.at === 'book' ? 'chapter' : shipped.notes.at,
        })
        const set = () => new Setter(shelf).set(book, style, { width: 432, height: 648, inside: 0 })
        const interior = await set()
        const printed = interior.pages
          .map(p => textOnce({ ...p, layers: p.layers.slice(0, isPlate(p) ? 2 : 1) }))
          .join('')
        const sorted = (t: string): string => [...letters(t)].sort().join('')
        expect(sorted(withoutMarks(printed))).toBe(sorted(withoutMarks(wanted(book, style.notes.at === 'chapter'))))
        const labels = pageStarts(interior).map(s => interior.pages.findIndex(p => p.label === s.label))
        expect(labels).toEqual([...labels].sort((a, b) => a - b))
        const pdf = async (pages: typeof interior.pages) =>
          pdfBytes(
            pages,
            { title: 'T', language: 'en', date: '2026-01-01T00:00:00Z', grey: true },
            await nodePdf({ bytes: async () => undefined, decode: () => Promise.reject(new Error('none')) }),
          )
        expect(Buffer.from(await pdf((await set()).pages)).equals(Buffer.from(await pdf(interior.pages)))).toBe(true)
      }),
      { numRuns: 25 },
    )
  }, 120_000)
})

/** Under the words of a plate lies a layer of its own. */
const isPlate = (p: PageMarks): boolean =>
  p.layers[0]?.layer.items.some(i => i.kind === 'group' && i.role === 'plate') ?? false

/** The characters of a page, what is said again (a table's head) left out. */
function textOnce(page: PageMarks): string {
  let out = ''
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let r = 0; r < t.count; r++)
      if (!t.places[t.place[r]!]!.again)
        for (let g = t.start[r]!; g < t.start[r + 1]!; g++) out += t.faces[t.face[r]!]!.pairText(t.glyphs[g]!)
  })
  return out
}

/** Figures, bullets and dashes of lists and notes are added in print; they are left out of the comparison on both sides. */
const withoutMarks = (t: string): string => t.replace(/[\d.•–-]/g, '')

/** All that the text pages should say: made pages and the section's own words. */
function wanted(book: Book, notesBehind: boolean): string {
  const { data } = book
  let out = ''
  let chapters = 0
  let parts = 0
  const inWords = ['', 'One', 'Two', 'Three', 'Four']
  for (const s of book.sections) {
    if (s.made) {
      if (s.role === 'title-page') out += data.title + 'Orla Fenwright' + 'Saltgrass Lane Press'
      if (s.role === 'copyright')
        out += data.title + 'Copyright © Orla Fenwright' + 'All rights reserved.' + 'Published by Saltgrass Lane Press'
      continue
    }
    const number =
      s.role === 'chapter' && s.numbered
        ? `Chapter${inWords[++chapters]}`
        : s.role === 'part' && s.numbered
          ? `Part${inWords[++parts]}`
          : ''
    const fallback =
      s.part !== 'body'
        ? ({ preface: 'Preface', afterword: 'Afterword', dedication: '' } as Record<string, string>)[s.role]!
        : ''
    if (s.role !== 'dedication') out += number + (s.title || fallback)
    out += textsOf(s.doc).join('')
    if (notesBehind && JSON.stringify(s.doc).includes('"footnote"')) out += 'Notes'
  }
  return out
}
