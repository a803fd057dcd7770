import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Book, type DocJson, type InlineJson, schema } from '@/core/book'
import { copyOf, docOfLeaves, leavesOf } from '@/core/copies'
import { readReturnedDocx, slipIn } from '@/core/review'
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
      const back = await readReturnedDocx(file.bytes, { sent, at: AT, lastId: 5000 })
      expect(back.sections.map(({ doc: _doc, ...s }) => s)).toEqual(sent.sections.map(({ doc: _doc, ...s }) => s))
      for (const [i, s] of back.sections.entries()) expect(plain(s.doc)).toEqual(plain(sent.sections[i]!.doc))
      expect(back.lastId).toBe(5000)
      expect(back.told).toEqual({})
    }),
    { numRuns: cases(100, 2000) },
  )
})
