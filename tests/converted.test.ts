import { expect, test } from '@jest/globals'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { docText, eachInline, type Section } from '@/core/book'
import { writeEpub } from '@/core/epub'
import { readManuscript } from '@/core/intake'
import { anyBook } from './support/arbitrary'
import { cases } from './support/deep'
import { lacking, wordsOf } from './support/pandoc'

/** Any book, taken out by a converter that nobody here made, comes back with every word and every note. */

const heads = (s: Section): string => (['dedication', 'epigraph', 'copyright'].includes(s.role) ? '' : s.title)
const wordsIn = (sections: readonly Section[]): string[] =>
  sections.flatMap(s => [...wordsOf(heads(s)), ...wordsOf(docText(s.doc))])
const notesIn = (sections: readonly Section[]): number => {
  let n = 0
  for (const s of sections) eachInline(s.doc, content => (n += content.filter(c => c.type === 'footnote').length))
  return n
}

test.each(['odt', 'html', 'epub3', 'epub2', 'docx'])('as %s', kind => {
  const folder = mkdtempSync(join(tmpdir(), 'converted-'))
  try {
    fc.assert(
      fc.property(anyBook, book => {
        const told = book.sections.filter(s => !s.made && s.role !== 'half-title' && s.role !== 'contents')
        if (!told.some(s => docText(s.doc).trim())) return
        const from = join(folder, 'from.epub')
        const to = join(folder, `to.${kind.replace(/\d$/, '')}`)
        // Without pictures: what has none to show says so in every kind.
        writeFileSync(from, writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => undefined }))
        // From one ebook to another this converter loses its way among the names of pages: a document stands between.
        const between = join(folder, 'between.docx')
        const steps = kind.startsWith('epub')
          ? [
              [from, between],
              [between, to],
            ]
          : [[from, to]]
        for (const [read, written] of steps) {
          const as = written === to ? kind : 'docx'
          const r = spawnSync('pandoc', [
            '-t',
            as,
            '--standalone',
            '--metadata',
            'title=Converted',
            '-o',
            written!,
            read!,
          ])
          expect(r.status).toBe(0)
        }
        const back = readManuscript(`to.${kind.replace(/\d$/, '')}`, new Uint8Array(readFileSync(to)))
        // A word may be parted, or joined to its neighbour, where two converters see a space otherwise: letters tell.
        const [wanted, had] = [wordsIn(told), wordsIn(back.book.sections)].map(w => w.join('').split(''))
        const gone = lacking(wanted!, had!)
        const counted = [...back.dropped, ...back.cleaned].reduce((n, d) => n + (d.letters ?? 0), 0)
        expect(gone.length <= counted ? [] : { gone: gone.join(''), dropped: back.dropped }).toEqual([])
        // A short line under a number is its title, and titles have no notes: they stand below, and that is said.
        const moved = back.dropped.find(d => d.what.startsWith('notes in titles'))?.count ?? 0
        expect(notesIn(back.book.sections) + moved).toBe(notesIn(told))
      }),
      { numRuns: cases(6, 60) },
    )
  } finally {
    rmSync(folder, { recursive: true })
  }
})
