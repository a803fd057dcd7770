import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { isSound } from '@/core/archive'
import { type Book, type DocJson, type InlineJson, schema, withOwnIds } from '@/core/book'
import { copyOf, docOfLeaves, leavesOf } from '@/core/copies'
import { against, readReturnedDocx, reviewOf, slipIn, taken } from '@/core/review'
import { Fault } from '@/core/trade'
import { anyBook, anyDoc } from './support/arbitrary'
import { cases } from './support/deep'

const AT = Date.UTC(2026, 10, 29)
const written = (book: Book): Book => ({ ...book, sections: book.sections.filter(s => !s.made) })

/** A document as it is compared: neighbours of one formatting as one, marks in the schema's order, nothing that is the default. */
function plain(doc: DocJson): unknown {
  const order = Object.keys(schema.marks)
  const inline = (content: readonly InlineJson[]): unknown[] => {
    const out: { type: string; text?: string; marks?: unknown }[] = []
    for (const n of content) {
      const marks = n.marks?.length
        ? n.marks.toSorted((a, b) => order.indexOf(a.type) - order.indexOf(b.type))
        : undefined
      const last = out.at(-1)
      if (n.type === 'text' && last?.type === 'text' && JSON.stringify(last.marks) === JSON.stringify(marks))
        last.text += n.text
      else if (n.type === 'footnote') out.push({ ...n, content: inline(n.content ?? []), marks } as never)
      else out.push({ ...n, marks } as never)
    }
    return out
  }
  const walk = (n: { type: string; content?: unknown[] }): unknown => {
    const kinds = ['paragraph', 'heading', 'line', 'image']
    if (!n.content?.length) return { ...n, content: undefined }
    return {
      ...n,
      content: kinds.includes(n.type) ? inline(n.content as InlineJson[]) : n.content.map(c => walk(c as never)),
    }
  }
  return JSON.parse(JSON.stringify(walk(schema.nodeFromJSON(doc).toJSON() as never)))
}

test('a document is its leaves', () => {
  fc.assert(
    fc.property(anyDoc, doc => expect(docOfLeaves(leavesOf(doc))).toEqual(doc)),
    { numRuns: cases(200, 5000) },
  )
})

test('any book goes out as .docx and comes back the very same: words, marks, notes, tables, pictures, remarks, ids', async () => {
  await fc.assert(
    fc.asyncProperty(anyBook, async book => {
      const sent = written(book)
      const file = await copyOf(book, 'docx', { pictures: new Map(), round: { id: 'r1', at: AT } })
      expect(await slipIn(file.bytes)).toEqual({ book: book.uid ?? book.id, round: 'r1' })
      const back = await readReturnedDocx(file.bytes, { sent, at: AT, lastId: 9_000_000 })
      expect(back.sections.map(({ doc: _doc, ...s }) => s)).toEqual(sent.sections.map(({ doc: _doc, ...s }) => s))
      for (const [i, s] of back.sections.entries()) expect(plain(s.doc)).toEqual(plain(sent.sections[i]!.doc))
      expect(back.lastId).toBe(9_000_000)
      expect(back.told).toEqual({})
    }),
    { numRuns: cases(60, 2000) },
  )
})

test('whatever becomes of the file’s paragraphs and bookmarks, what comes back is a sound text, each name given once, or a Fault says why', async () => {
  const sheds = ['paragraph gone', 'paragraph twice', 'bookmark gone', 'end of a bookmark gone', 'style gone'] as const
  await fc.assert(
    fc.asyncProperty(
      anyBook,
      fc.array(fc.tuple(fc.constantFrom(...sheds), fc.nat()), { minLength: 1, maxLength: 6 }),
      async (book, what) => {
        const file = await copyOf(book, 'docx', { pictures: new Map(), round: { id: 'r1', at: AT } })
        const parts = unzipSync(file.bytes)
        let text = strFromU8(parts['word/document.xml']!)
        for (const [does, n] of what) {
          const at: Record<(typeof sheds)[number], RegExp> = {
            'paragraph gone': /<w:p>(?:(?!<w:p>).)*?<\/w:p>/g,
            'paragraph twice': /<w:p>(?:(?!<w:p>).)*?<\/w:p>/g,
            'bookmark gone': /<w:bookmarkStart[^>]*>/g,
            'end of a bookmark gone': /<w:bookmarkEnd[^>]*>/g,
            'style gone': /<w:pStyle[^>]*>/g,
          }
          const all = [...text.matchAll(at[does])]
          const m = all[n % (all.length || 1)]
          if (m)
            text =
              text.slice(0, m.index) +
              (does === 'paragraph twice' ? m[0] + m[0] : '') +
              text.slice(m.index + m[0].length)
        }
        const bytes = zipSync({ ...parts, 'word/document.xml': strToU8(text) })
        const sent = written(book)
        const back = await readReturnedDocx(bytes, { sent, at: AT, lastId: 90_000 }).catch((e: unknown) => e)
        if (back instanceof Error) return void expect(back).toBeInstanceOf(Fault)
        const { sections, lastId } = back as Awaited<ReturnType<typeof readReturnedDocx>>
        for (const s of sections) expect(isSound(s.doc)).toBe(true)
        const whole = { ...sent, sections, lastId }
        expect(withOwnIds(whole)).toBe(whole)
        // It can be held against what went out, and all of it taken.
        const review = reviewOf({ sent, back: whole, told: {}, by: 'Ada', when: 1 })
        const all = taken(review, sent, new Set(against(review, sent, new Set()).differences.map(d => d.key)))
        for (const s of all.sections) expect(isSound(s.doc)).toBe(true)
      },
    ),
    { numRuns: cases(60, 2000) },
  )
})
