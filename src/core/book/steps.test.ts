import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Node } from 'prosemirror-model'
import { type Step, Transform } from 'prosemirror-transform'
import { anyDoc } from '../../../tests/support/arbitrary'
import { cases } from '../../../tests/support/deep'
import { compact, difference, readSteps, rebase, schema, writeSteps } from '.'
import { applied } from './steps'

/** Something that a writer does at a place: a letter, a removal, a new paragraph, a mark. */
type Act = { kind: 'type' | 'delete' | 'split' | 'mark'; at: number; length: number; text: string }
const act = (texts: fc.Arbitrary<string>): fc.Arbitrary<Act> =>
  fc.record({
    kind: fc.constantFrom('type', 'type', 'type', 'delete', 'split', 'mark'),
    at: fc.nat(1e6),
    length: fc.integer({ min: 1, max: 30 }),
    text: texts,
  })

/** Does acts on a document; those that the schema does not allow there are left out. */
function done(doc: Node, acts: Act[]): Transform {
  const tr = new Transform(doc)
  for (const a of acts) {
    const places: number[] = []
    tr.doc.descendants((n, pos) => {
      if (n.inlineContent) for (let i = 0; i <= n.content.size; i += 3) places.push(pos + 1 + i)
    })
    if (!places.length) continue
    const at = places[a.at % places.length]!
    try {
      if (a.kind === 'type') tr.insert(at, schema.text(a.text))
      else if (a.kind === 'delete') tr.delete(at, Math.min(tr.doc.content.size, at + a.length))
      else if (a.kind === 'split') tr.split(at)
      else tr.addMark(at, Math.min(tr.doc.content.size, at + a.length), schema.marks.em!.create())
    } catch {
      // Not here.
    }
  }
  return tr
}
const letters = (s: string): string => s.replace(/\s/g, '')
const textOfDoc = (n: Node): string => n.textBetween(0, n.content.size, '')
const docs = anyDoc.map(d => schema.nodeFromJSON(d))

describe('steps', () => {
  test('made short they lead to the same document, and back', () => {
    fc.assert(
      fc.property(docs, fc.array(act(fc.constantFrom('a', 'bc')), { maxLength: 12 }), (doc, acts) => {
        const tr = done(doc, acts)
        expect(applied(doc, readSteps(writeSteps(compact(tr.steps)))).eq(tr.doc)).toBe(true)
        const back = tr.steps.map((s, i) => s.invert(tr.docs[i]!)).reverse()
        expect(applied(tr.doc, compact(back)).eq(doc)).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
  test('sixty letters typed are one step', () => {
    const tr = new Transform(schema.node('doc', null, [schema.node('paragraph')]))
    for (let i = 0; i < 60; i++) tr.insert(1 + i, schema.text('x'))
    expect(compact(tr.steps)).toHaveLength(1)
    expect(JSON.stringify(writeSteps(compact(tr.steps))).length).toBeLessThan(200)
  })
  test('the difference of any two documents leads from one to the other', () => {
    fc.assert(
      fc.property(docs, docs, (a, b) => {
        expect(applied(a, difference(a, b)).eq(b)).toBe(true)
        expect(difference(a, a)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })
})

describe('carrying steps over what others did', () => {
  // What each writes is in letters that nobody else has: none may vanish unsaid.
  const mine = fc.array(act(fc.constantFrom('Ж', 'ЖЖ')), { maxLength: 6 })
  const theirs = fc.array(act(fc.constantFrom('Ω', 'ΩΩ')), { maxLength: 6 })
  const count = (s: string, letter: string): number => s.split(letter).length - 1

  test.each(['whole', 'by maps alone'])('no letter that either wrote vanishes unsaid (%s)', how => {
    fc.assert(
      fc.property(docs, mine, theirs, (doc, a, b) => {
        const [own, over] = [done(doc, a), done(doc, b)]
        const tr = new Transform(how === 'whole' ? own.doc : over.doc)
        if (how === 'whole') {
          for (let i = own.steps.length - 1; i >= 0; i--) tr.step(own.steps[i]!.invert(own.docs[i]!))
          for (const s of over.steps) tr.step(s)
        }
        const { steps, lost } = rebase(
          tr,
          own.steps,
          over.steps.map((s: Step) => s.getMap()),
        )
        expect(applied(over.doc, steps).eq(tr.doc)).toBe(true)
        tr.doc.check()
        const kept = textOfDoc(tr.doc) + lost.join('')
        expect(count(letters(kept), 'Ж')).toBeGreaterThanOrEqual(count(textOfDoc(own.doc), 'Ж'))
        expect(count(letters(kept), 'Ω')).toBeGreaterThanOrEqual(count(textOfDoc(over.doc), 'Ω'))
      }),
      { numRuns: cases(300, 5000), endOnFailure: true },
    )
  })
  test('over nothing, they are what they were', () => {
    fc.assert(
      fc.property(docs, mine, (doc, a) => {
        const own = done(doc, a)
        const tr = new Transform(doc)
        expect(rebase(tr, own.steps, []).lost).toEqual([])
        expect(tr.doc.eq(own.doc)).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
