import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8, unzipSync } from 'fflate'
import { anyBook } from '../../../tests/support/arbitrary'
import { mutated, mutation } from '../../../tests/support/mutate'
import { cases } from '../../../tests/support/deep'
import type { Book } from '../book'
import { parseXml, type XmlElement } from '../files'
import { inspectEpub, writeEpub } from '.'

const EVIL = '"/><script>alert(1)</script><x y="'

/** Every element of every file, by name. */
function elementsOf(epub: Uint8Array): Set<string> {
  const names = new Set<string>()
  const walk = (e: XmlElement): void => {
    names.add(e.name)
    for (const c of e.children) if (typeof c !== 'string') walk(c)
  }
  for (const [path, bytes] of Object.entries(unzipSync(epub)))
    if (/\.(xhtml|opf|ncx|xml)$/.test(path))
      walk(parseXml(new TextEncoder().encode(strFromU8(bytes).replace('<!DOCTYPE html>', '')), path))
  return names
}
const written = (book: Book): Uint8Array =>
  writeEpub(book, {
    date: '2026-01-01T00:00:00Z',
    picture: () => Uint8Array.of(1),
    pages: book.sections.map((s, i) => ({ label: i ? `${i}` : EVIL, section: s.id, block: '', chars: 0 })),
  })

test('whatever stands where text, numbers and ids should, no element of anybody else comes out', () => {
  fc.assert(
    fc.property(anyBook, mutation, (book, m) => {
      const evil = JSON.parse(JSON.stringify(book), (k, v: unknown) =>
        [
          'start',
          'span',
          'level',
          'indent',
          'stands',
          'share',
          'number',
          'alt',
          'title',
          'name',
          'language',
          'height',
        ].includes(k) && fc.sample(fc.boolean(), 1)[0]
          ? EVIL
          : k === 'id' && typeof v === 'string' && /^[bn]/.test(v)
            ? `${v}${EVIL}`
            : v,
      ) as Book
      let epub: Uint8Array
      try {
        epub = written(
          mutated(
            { ...evil, assets: structuredClone(book.assets) },
            m.map(x => ({ ...x, value: typeof x.value === 'string' ? EVIL : x.value })),
          ) as Book,
        )
      } catch {
        // A record so broken that no book can be made of it is stopped at the door.
        return
      }
      const names = elementsOf(epub)
      expect([...names].filter(n => n === 'script' || n === 'x')).toEqual([])
      expect(inspectEpub(epub)).toEqual([])
    }),
    { numRuns: cases(120, 5000), endOnFailure: true },
  )
})
