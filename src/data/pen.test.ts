import '../../tests/support/store'
import { beforeEach, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { Transform } from 'prosemirror-transform'
import { docText, schema } from '@/core/book'
import { bookOf } from '../../tests/support/core'
import { cases } from '../../tests/support/deep'

const { putBook, getBook } = await import('./books')
const { commitSections, undo } = await import('./changes')
const { db } = await import('./db')
const { journalKey, keepInJournal } = await import('./journal')
const { Pen } = await import('./pen')
const { piecesOf } = await import('./pieces')
const { playBack, playEntry } = await import('./playback')
const { windowId } = await import('./window')

beforeEach(async () => {
  localStorage.clear()
  await Promise.all(db.tables.map(t => t.clear()))
  await putBook({ book: bookOf([['The lamp was lit.', 'The tide turned.', 'Nobody came.']]), pictures: new Map() })
})

const record = async () => (await db.sections.get(['test', 's1']))!
const words = async (): Promise<string> => docText((await record()).doc)
const newPen = async (window = windowId) => {
  const r = await record()
  return new Pen('test', 's1', r.rev, schema.nodeFromJSON(r.doc), window)
}
/** Writes with a pen as an editor does: at a place of its own document. */
function type(pen: InstanceType<typeof Pen>, text: string, at: number): void {
  const tr = new Transform(pen.doc)
  const places: number[] = []
  tr.doc.descendants((n, pos) => void (n.inlineContent && places.push(pos + 1, pos + 1 + n.content.size)))
  tr.insert(places[at % places.length]!, schema.text(text))
  pen.write(tr.steps, tr.docs, tr.doc)
}
function cut(pen: InstanceType<typeof Pen>, paragraph: number): void {
  const tr = new Transform(pen.doc)
  if (tr.doc.childCount < 2) return
  const i = paragraph % tr.doc.childCount
  let from = 0
  for (let k = 0; k < i; k++) from += tr.doc.child(k).nodeSize
  tr.delete(from, from + tr.doc.child(i).nodeSize)
  pen.write(tr.steps, tr.docs, tr.doc)
}
const everything = async (): Promise<string> => (await words()) + (await piecesOf('test')).map(p => p.text).join('\n')

describe('a pen', () => {
  test('writes what it was given; one that comes late carries its words over those of the other', async () => {
    const [a, b] = [await newPen(), await newPen()]
    type(a, 'Qualm ', 0)
    type(b, 'Zephyr ', 4)
    await b.flush()
    await a.flush()
    expect(await words()).toBe('Qualm The lamp was lit.\nThe tide turned.\nZephyr Nobody came.')
    expect(a.saving).toBe('saved')
    // What the other wrote is shown, too.
    await b.catchUp()
    expect(b.doc.eq(a.doc)).toBe(true)
    expect(b.doc.toJSON()).toEqual((await record()).doc)
  })
  test('words in a paragraph that another removed are kept beside the section', async () => {
    const [a, b] = [await newPen(), await newPen()]
    type(a, 'Qualm ', 2)
    cut(b, 1)
    await b.flush()
    await a.flush()
    expect(await words()).toBe('The lamp was lit.\nNobody came.')
    expect((await piecesOf('test')).map(p => p.text)).toEqual(['Qualm '])
  })
  test('a section that was removed meanwhile leaves no word behind', async () => {
    const a = await newPen()
    type(a, 'Qualm', 0)
    await commitSections('test', 'remove', x => ({ ...x, sections: x.sections.filter(s => s.id !== 's1') }))
    await a.flush()
    expect((await piecesOf('test')).map(p => p.text)).toEqual(['Qualm'])
    // One that comes back is not taken for what it was.
    await undo('test')
    type(a, 'Quill', 0)
    await a.flush()
    expect(await words()).toContain('Quill')
  })
  test('while the store is full the words wait, in order, and go in when there is room', async () => {
    const a = await newPen()
    const put = db.sections.put
    db.sections.put = (() => {
      throw Object.assign(new Error('no room'), { name: 'QuotaExceededError' })
    }) as never
    type(a, 'One ', 0)
    await a.flush()
    expect([a.saving, a.pending, a.atRisk]).toEqual(['not saved', true, false])
    type(a, 'Two ', 0)
    db.sections.put = put
    await a.flush()
    expect([a.saving, a.pending]).toEqual(['saved', false])
    expect(await words()).toMatch(/^Two One The lamp/)
  })

  const act = fc.record({
    pen: fc.nat(2),
    kind: fc.constantFrom('type', 'type', 'type', 'flush', 'flush', 'catch up', 'cut', 'undo'),
    at: fc.nat(30),
  })
  test.each([2, 3])('%i pens, written in any order: no letter of any is lost', async pens => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 4, maxLength: 24 }), async acts => {
        await Promise.all(db.tables.map(t => t.clear()))
        await putBook({
          book: bookOf([['The lamp was lit.', 'The tide turned.', 'Nobody came.']]),
          pictures: new Map(),
        })
        const all = await Promise.all(Array.from({ length: pens }, () => newPen()))
        const typed: string[] = []
        const work: Promise<unknown>[] = []
        let letter = 0x4e00
        // Undo takes away what it undoes: only in the walks without it every letter is asked for.
        const asks = !acts.some(a => a.kind === 'undo' || a.kind === 'cut')
        for (const a of acts) {
          const pen = all[a.pen % pens]!
          if (a.kind === 'type') {
            const sign = String.fromCharCode(letter++)
            typed.push(sign)
            type(pen, sign, a.at)
          } else if (a.kind === 'cut') cut(pen, a.at)
          else if (a.kind === 'flush') work.push(pen.flush())
          else if (a.kind === 'undo') work.push(undo('test'))
          else work.push(pen.catchUp())
          if (a.at % 3 === 0) await Promise.all(work.splice(0))
        }
        await Promise.all(work)
        for (let i = 0; i < pens; i++)
          for (const pen of all) {
            await pen.flush()
            await pen.catchUp()
          }
        const stored = schema.nodeFromJSON((await record()).doc)
        stored.check()
        // All windows show the same in the end, and it is what is stored.
        for (const pen of all) expect([pen.pending, pen.saving, pen.doc.eq(stored)]).toEqual([false, 'saved', true])
        if (asks) {
          const end = await everything()
          for (const sign of typed) expect(end.split(sign).length - 1).toBe(1)
        }
      }),
      { numRuns: cases(40, 500), endOnFailure: true },
    )
  })
})

describe('the journal', () => {
  const gone = (_w: string, work: () => Promise<void>): Promise<void> => work()
  /** What a window that died left: its journal stands under another window's name. */
  async function died(pen: InstanceType<typeof Pen>): Promise<void> {
    const own = JSON.parse(localStorage.getItem(journalKey('test', 's1'))!) as Parameters<typeof keepInJournal>[0]
    localStorage.removeItem(own.key)
    keepInJournal({ ...own, batches: [] })
    keepInJournal({ ...own, key: journalKey('test', 's1', 'dead'), window: 'dead' })
    clearTimeout((pen as unknown as { timer?: ReturnType<typeof setTimeout> }).timer)
  }
  test('every key is in it at once; played back it is in the store, once', async () => {
    const a = await newPen()
    type(a, 'Q', 0)
    type(a, 'u', 0)
    await died(a)
    await playBack(gone)
    expect(await words()).toMatch(/^uQThe lamp/)
    await playBack(gone)
    expect(await words()).toMatch(/^uQThe lamp/)
    expect(localStorage.length).toBe(0)
    expect(await undo('test')).toContain('Writing')
    expect(await words()).toMatch(/^The lamp/)
  })
  test('what the store had taken before the window died is not written twice', async () => {
    const a = await newPen()
    type(a, 'Q', 0)
    await a.flush()
    const r = await record()
    const entry = {
      key: journalKey('test', 's1', 'dead'),
      window: 'dead',
      book: 'test',
      section: 's1',
      rev: r.rev - 1,
      pen: a.name,
      turn: 9,
      batches: [
        { nth: 1, steps: r.trail!.at(-1)!.steps },
        { nth: 2, steps: [{ stepType: 'replace', from: 2, to: 2, slice: { content: [{ type: 'text', text: 'u' }] } }] },
      ],
    }
    await playEntry(entry)
    expect(await words()).toMatch(/^QuThe lamp/)
    await playEntry(entry)
    expect(await words()).toMatch(/^QuThe lamp/)
  })
  test('it finds its place in what others wrote since, or becomes a piece', async () => {
    const [a, b] = [await newPen(), await newPen()]
    type(a, 'Qualm ', 4)
    await died(a)
    type(b, 'Zephyr ', 0)
    await b.flush()
    await playBack(gone)
    expect(await words()).toBe('Zephyr The lamp was lit.\nThe tide turned.\nQualm Nobody came.')
    const c = await newPen()
    type(c, 'Quill', 0)
    await died(c)
    await commitSections('test', 'remove', x => ({ ...x, sections: x.sections.filter(s => s.id !== 's1') }))
    await playBack(gone)
    expect((await piecesOf('test')).map(p => p.text)).toEqual(['Quill'])
    expect((await getBook('test'))!.book.sections.some(s => s.id === 's1')).toBe(false)
  })
  test('a journal that cannot be read stops nothing', async () => {
    localStorage.setItem('porchlight-journal/x/test/s1', '{"key":')
    const a = await newPen()
    type(a, 'Q', 0)
    await died(a)
    await playBack(gone)
    expect(await words()).toMatch(/^QThe lamp/)
  })
})
