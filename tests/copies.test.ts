import { describe, expect, test } from '@jest/globals'
import { strFromU8, unzipSync } from 'fflate'
import fc from 'fast-check'
import { type Book, docText, eachInline, type Section } from '@/core/book'
import { copyKinds, copyOf } from '@/core/copies'
import { readManuscript } from '@/core/intake'
import { anyBook } from './support/arbitrary'
import { bookOf, chapter } from './support/core'
import { cases } from './support/deep'

const NONE = { pictures: new Map<string, Uint8Array>() }
const letters = (text: string): string => text.replace(/[^\p{L}\p{N}]/gu, '').toLowerCase()
const written = (book: Book): Section[] => book.sections.filter(s => !s.made)
/** Letters alone: a figure that begins a heading is read as a chapter's number. */
const said = (sections: readonly Section[]): string =>
  sections.map(s => letters(docText(s.doc)).replace(/\p{N}/gu, '')).join('')
const notesIn = (sections: readonly Section[]): number => {
  let n = 0
  for (const s of sections) eachInline(s.doc, content => (n += content.filter(c => c.type === 'footnote').length))
  return n
}

/** What a file says, without what its format adds. */
const plain = (s: string): string => s.replace(/<[^>]*>/g, '').replace(/&(amp|lt|gt|quot);/g, '')
const unmarked: Record<string, (file: Uint8Array) => string> = {
  docx: b => ['document', 'footnotes'].map(n => plain(strFromU8(unzipSync(b)[`word/${n}.xml`]!))).join(''),
  odt: b => plain(strFromU8(unzipSync(b)['content.xml']!)),
  md: b => strFromU8(b).replace(/\\([^\n])/g, '$1'),
  html: b => plain(strFromU8(b)),
  txt: b => strFromU8(b),
}

describe.each(copyKinds.map(k => [k.id, k] as const))('taken out as %s', (id, kind) => {
  test('any book: every word of its text is in the file, in its order, and the same book gives the same bytes', async () => {
    await fc.assert(
      fc.asyncProperty(anyBook, async book => {
        const file = await copyOf(book, id, NONE)
        expect((await copyOf(book, id, NONE)).bytes).toEqual(file.bytes)
        const text = letters(unmarked[id]!(file.bytes))
        for (const s of written(book))
          eachInline(s.doc, content => {
            for (const n of content)
              if (n.type === 'text') expect([id, text.includes(letters(n.text))]).toEqual([id, true])
          })
        for (const { what, count } of file.lost) expect([what.length > 3, count > 0]).toEqual([true, true])
      }),
      { numRuns: cases(80, 3000) },
    )
  })
  test('what it keeps is said', () => expect(kind.keeps).toMatch(/^[A-Z].{30,}\.$/))
})

test.each(['odt', 'md', 'html'])('any book taken out as %s comes back with every word and every note', async id => {
  await fc.assert(
    fc.asyncProperty(anyBook, async book => {
      if (!said(written(book))) return
      const file = await copyOf(book, id, NONE)
      const back = readManuscript(file.name, file.bytes)
      // What is read as a title stands over its section: it is not lost.
      const sections = back.book.sections.filter(s => !s.made)
      const had = said(sections) + letters(sections.map(s => s.title).join(''))
      expect(lacking(said(written(book)), had)).toBe('')
      // A note of what is read as a title is told, its words stand below.
      const told = back.dropped.filter(d => d.what.startsWith('notes in titles')).reduce((n, d) => n + d.count, 0)
      expect(notesIn(back.book.sections) + told).toBe(notesIn(written(book)))
    }),
    { numRuns: cases(80, 3000) },
  )
})

/** Letters of one text that another has not as often. */
function lacking(wanted: string, had: string): string {
  const left = new Map<string, number>()
  for (const c of had) left.set(c, (left.get(c) ?? 0) + 1)
  return [...wanted]
    .filter(c => {
      const n = left.get(c) ?? 0
      left.set(c, n - 1)
      return n <= 0
    })
    .join('')
}

const p = (id: string, ...content: object[]) => ({ type: 'paragraph', attrs: { id }, content }) as never
const t = (text: string, ...marks: string[]) => ({
  type: 'text',
  text,
  ...(marks.length ? { marks: marks.map(type => ({ type })) } : {}),
})
const book: Book = {
  ...bookOf([]),
  sections: [
    chapter('s1', 'The Bell', {
      type: 'doc',
      content: [
        p(
          'b1',
          t('It rang '),
          t('twice', 'em'),
          t(', '),
          t('very ', 'strong'),
          t('loud', 'strong', 'em'),
          t('; '),
          t('so', 'small_caps'),
          t('.'),
        ),
        p('b2', t('1. No list, *no* stars | no table')),
        p(
          'b3',
          t('A note'),
          { type: 'footnote', attrs: { id: 'n1' }, content: [t('It was cast in a bad year.')] } as never,
          t('.'),
        ),
        { type: 'scene_break', attrs: { id: 'b4' } },
        {
          type: 'verse',
          attrs: { id: 'b5' },
          content: [
            { type: 'line', attrs: { indent: 0, stanza: true }, content: [t('Low water,')] },
            { type: 'line', attrs: { indent: 2, stanza: false }, content: [t('high moon.')] },
          ],
        } as never,
        {
          type: 'list',
          attrs: { id: 'b6', ordered: true, start: 3 },
          content: [
            { type: 'item', content: [p('b7', t('rope'))] },
            { type: 'item', content: [p('b8', t('sail'))] },
          ],
        } as never,
        {
          type: 'table',
          attrs: { id: 'b9' },
          content: [
            {
              type: 'row',
              attrs: { head: true },
              content: [{ type: 'cell', attrs: { span: 1 }, content: [p('c1', t('Tide'))] }],
            },
            {
              type: 'row',
              attrs: { head: false },
              content: [{ type: 'cell', attrs: { span: 1 }, content: [p('c2', t('Low | high'))] }],
            },
          ],
        } as never,
        {
          type: 'image',
          attrs: { id: 'b10', asset: 'a'.repeat(64), alt: 'A bell', decoration: false, share: 1 },
          content: [t('The bell')],
        } as never,
      ],
    }),
  ],
  assets: [{ id: 'a'.repeat(64), type: 'image/png', width: 1, height: 1 }],
}
const pictures = new Map([['a'.repeat(64), new Uint8Array([1, 2, 3])]])

test('Markdown as it is written, its pictures beside it; what it has nothing for is counted', async () => {
  const file = await copyOf(book, 'md', { pictures })
  expect([file.name, file.type]).toEqual(['a-book.zip', 'application/zip'])
  const files = unzipSync(file.bytes)
  expect(files[`pictures/${'a'.repeat(12)}.png`]).toEqual(new Uint8Array([1, 2, 3]))
  expect(strFromU8(files['a-book.md']!)).toBe(`---
title: A Book
author: Orla Fenwright
lang: en-GB
---

# Chapter One: The Bell

It rang *twice*, **very** ***loud***; so.

1\\. No list, \\*no\\* stars \\| no table

A note[^1].

* * *

::: verse
Low water,
\u00a0\u00a0high moon.
:::

3. rope
4. sail

| Tide |
| --- |
| Low \\| high |

![A bell](pictures/${'a'.repeat(12)}.png)

*The bell*

[^1]: It was cast in a bad year.
`)
  expect(file.lost).toEqual([{ what: 'passages in small capitals', count: 1 }])
})

test('what a picture and a letter lose is told', async () => {
  const attrs = { id: 'b1', asset: '', alt: '', decoration: true, share: 1, leads: 'https://x.example/', plays: 'bell' }
  const crop = { top: 0.1, right: 0, bottom: 0, left: 0 }
  const content = [
    { type: 'image', attrs: { ...attrs, crop } },
    { type: 'letter', attrs: { id: 'b2' }, content: [p('b3', t('Dear Ada,'))] },
  ]
  const told = { ...bookOf([]), sections: [chapter('s1', '', { type: 'doc', content: content as never })] }
  const lost = async (kind: string): Promise<string[]> =>
    (await copyOf(told, kind, NONE)).lost.map(l => l.what.split(':')[0]!)
  expect(await lost('md')).toEqual(['crops', 'links of pictures', 'recordings'])
  expect(await lost('html')).toEqual(['crops', 'links of pictures', 'recordings', 'letters'])
})

test('plain text, and a page of HTML that holds its pictures; a section alone', async () => {
  const text = strFromU8((await copyOf(book, 'txt', { pictures })).bytes)
  expect(text).toContain('A note[1].')
  expect(text).toContain('[1] It was cast in a bad year.')
  expect(text).toContain('3. rope\n4. sail')
  const page = strFromU8((await copyOf(book, 'html', { pictures })).bytes)
  expect(page).toContain('<em>twice</em>')
  expect(page).toContain('src="data:image/png;base64,AQID" alt="A bell"')
  expect(page).toContain('Low | high')
  expect((await copyOf(book, 'txt', { only: ['s1'], pictures })).name).toBe('a-book-s1.txt')
  expect(strFromU8((await copyOf(book, 'txt', { only: [], pictures })).bytes).trim()).toBe('')
})
