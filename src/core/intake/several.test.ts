import { describe, expect, test } from '@jest/globals'
import { strToU8, zipSync } from 'fflate'
import { bookText, docText } from '../book'
import { readManuscripts } from '.'

const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
const docx = (...paras: string[]): Uint8Array =>
  zipSync({
    'word/document.xml': strToU8(
      `<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body>${paras.map(t => `<w:p><w:r><w:t>${t}</w:t></w:r></w:p>`).join('')}</w:body></w:document>`,
    ),
  })
const told = (u: ReturnType<typeof readManuscripts>) =>
  u.book.sections.filter(s => !s.made).map(s => [s.title, s.numbered, docText(s.doc).trim()])

describe('several files as one book', () => {
  test('stand in the order in which they come; each begins a section: by its heading, or by its name', () => {
    const u = readManuscripts([
      { name: '01_the-rope.docx', bytes: docx('Seven strokes.') },
      { name: '02.md', bytes: strToU8('# Chapter Two: The Lamp\n\nThen none.') },
      { name: '03 Ebb.txt', bytes: strToU8('It went out.') },
    ])
    expect(told(u)).toEqual([
      ['the rope', false, 'Seven strokes.'],
      ['The Lamp', true, 'Then none.'],
      ['Ebb', false, 'It went out.'],
    ])
    expect(u.book.sections.find(s => s.title === 'Ebb')!.evidence).toEqual(['the file “03 Ebb.txt” begins'])
  })
  test('pictures among them are those that the texts name; pictures and lists of one are not those of another', () => {
    const page = strToU8('# One\n\n![A lamp](lamp.png)\n\n1. rope\n2. bell')
    const u = readManuscripts([
      { name: 'a.md', bytes: page },
      { name: 'lamp.png', bytes: png },
      { name: 'rope.png', bytes: png.slice() },
      { name: 'b.md', bytes: page },
    ])
    const kinds = u.book.sections.filter(s => !s.made).map(s => s.doc.content.map(b => b.type))
    expect(kinds).toEqual([
      ['image', 'list'],
      ['image', 'list'],
    ])
    expect(u.book.assets).toHaveLength(1)
    expect(u.dropped).toEqual([{ what: 'pictures that no text names', count: 1, places: ['rope.png'] }])
  })
  test('one that cannot be read stops no other, and is named with its reason; where none can, that is said', () => {
    const bad = { name: 'old.doc', bytes: Uint8Array.of(0xd0, 0xcf, 0x11, 0xe0, 1) }
    const u = readManuscripts([bad, { name: 'a.txt', bytes: strToU8('Salt.') }])
    expect(bookText(u.book)).toContain('Salt.')
    expect(u.dropped).toEqual([
      {
        what: expect.stringMatching(/^files that could not be read\. This is the older binary kind.*\.docx/),
        count: 1,
        places: ['old.doc'],
      },
    ])
    expect(() => readManuscripts([bad])).toThrow(/older binary kind/)
  })
})
