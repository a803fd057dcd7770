import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { blockIds, type Book, bookText, docText, type Role, schema } from '@/core/book'
import { decided, type Decision, type Decisions, readManuscript, sectionOfCandidate } from '@/core/intake'
import {
  changesSaid,
  decisionBy,
  hostOf,
  keyOf,
  type Proposal,
  proposed,
  shownBook,
  withCandidates,
} from './understanding'

const words = (t: string): string[] => t.split(/\s+/).filter(Boolean).sort()
const told = (b: Book): string[] => b.sections.filter(s => !s.made).map(s => docText(s.doc).replace(/\s+/g, ' ').trim())
const blockIdsOf = (b: Book): string[] => b.sections.filter(s => !s.made).flatMap(s => blockIds(s.doc).filter(Boolean))
const takenOf = (blocks: ReadonlySet<string>): Decisions => new Map([...blocks].map(b => [`t${b}`, { taken: true }]))

describe('what is proposed', () => {
  test('is every section that is not made, with how it begins; the first of a part cannot be struck', () => {
    const list = proposed(bookOf([['Once upon a tide.'], ['Then.'], ['Last.']]))
    expect(list.map(s => [s.begins, s.words, s.strikable])).toEqual([
      ['Once upon a tide.', 4, false],
      ['Then.', 1, true],
      ['Last.', 1, true],
    ])
  })
  test('a section that ran on in another part keeps its place in the list, and its words where it stood', () => {
    const book = bookOf([['One.'], ['Two.'], ['Three.']])
    const decisions: Decisions = new Map([
      ['s2', { runsOn: 'heading' }],
      ['s1', { role: 'preface' }],
    ])
    expect(proposed(shownBook(book, [], decisions), [], book).map(s => [s.section.id, s.section.part])).toEqual([
      ['s1', 'front'],
      ['s2', 'body'],
      ['s3', 'body'],
    ])
    expect(told(decided(book, [], decisions))).toEqual(['One. Title 2 Two.', 'Three.'])
  })
  test('whatever is decided, no word of any book is lost, and every document is sound', () => {
    const decision = fc.record<Decision>(
      {
        runsOn: fc.constantFrom('heading', 'line'),
        title: fc.constantFrom('Rope', 'Salt and sand'),
        role: fc.constantFrom<Role>('part', 'chapter', 'preface', 'afterword', 'glossary'),
        numbered: fc.boolean(),
      },
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(anyBook, fc.array(fc.tuple(fc.nat(8), decision)), (book, picks) => {
        const decisions = new Map(
          picks.flatMap(([i, d]) => (book.sections[i] ? [[book.sections[i].id, d] as const] : [])),
        )
        const is = decided(book, [], decisions)
        const called = {
          ...book,
          sections: book.sections.map(s => ({
            ...s,
            title: s.made ? s.title : (decisions.get(s.id)?.title ?? s.title),
          })),
        }
        expect(words(bookText(is))).toEqual(words(bookText(called)))
        for (const s of is.sections) schema.nodeFromJSON(s.doc).check()
        const parts = is.sections.map(s => ['front', 'body', 'back'].indexOf(s.part))
        expect(parts).toEqual([...parts].sort((a, b) => a - b))
        expect(new Set(blockIdsOf(is)).size).toBe(blockIdsOf(is).length)
      }),
      { numRuns: cases(60, 2000) },
    )
  })
  test('lines that may begin a section stand behind the section they are in; taken, they are one, and no word goes', () => {
    const lines = ['The Rope', 'The Bell', 'The Lamp']
    const page = `<h1>Chapter One</h1><p>Salt was dear that year, and nobody sold it.</p>${lines.map(l => `<p style="text-align:center">${l}</p><p>It was seven, and then it was none.</p>`).join('')}`
    const { book, candidates } = readManuscript('a.html', new TextEncoder().encode(page))
    const names = (taken: ReadonlySet<string>) =>
      withCandidates(proposed(decided(book, candidates, takenOf(taken)), candidates), candidates).map(p =>
        p.section ? p.name : `· ${p.candidate.title}`,
      )
    expect(names(new Set())).toEqual(['Chapter One', '· The Rope', '· The Bell', '· The Lamp'])
    expect(names(new Set([candidates[1]!.block]))).toEqual(['Chapter One', '· The Rope', 'The Bell', '· The Lamp'])
    fc.assert(
      fc.property(fc.subarray(candidates), fc.subarray(candidates), (some, out) => {
        const decisions = takenOf(new Set(some.map(c => c.block)))
        const taken = decided(book, candidates, decisions)
        const struck = new Map(decisions)
        for (const c of out) struck.set(sectionOfCandidate(c), { ...struck.get(sectionOfCandidate(c)), runsOn: 'line' })
        expect(words(bookText(decided(book, candidates, struck)))).toEqual(words(bookText(book)))
        // What was a section by the author's word is known as that.
        expect(
          proposed(taken, candidates)
            .filter(p => p.candidate)
            .map(p => p.candidate),
        ).toEqual(some)
      }),
    )
  })
})

describe('a key', () => {
  const book = bookOf([['One.'], ['Two.']])
  const [first, second] = proposed(book) as [Proposal, Proposal]
  const line: Proposal = { candidate: { block: 'b9', title: 'Rope', role: 'chapter', numbered: false, evidence: [] } }
  test('strikes and takes again, what was a line becomes one again', () => {
    expect(decisionBy('s', second)).toEqual({ runsOn: 'heading' })
    expect(decisionBy('s', second, { runsOn: 'line', title: 'Two' })).toEqual({ title: 'Two' })
    expect(decisionBy('s', line)).toEqual({ taken: true })
    expect(decisionBy('s', { ...(second as object), candidate: line.candidate } as Proposal, { taken: true })).toEqual(
      {},
    )
  })
  test('says what it is; a line that is said to be a part is taken', () => {
    expect(decisionBy('p', line)).toEqual({ role: 'part', taken: true })
    expect(decisionBy('f', second, { runsOn: 'heading' })).toEqual({ role: 'preface' })
    expect(decisionBy('x', second)).toBeUndefined()
  })
  test('what runs on is looked at where it runs on', () => {
    const decisions: Decisions = new Map([[keyOf(second), { runsOn: 'line' }]])
    expect(hostOf([first, second], 1, decisions)).toBe(first)
    expect(hostOf([first, line, second], 1, decisions)).toBe(first)
  })
})

test('what taking it over changes is counted by kind', () => {
  const book = bookOf([['One.'], ['Two.'], ['Three.']])
  const is = decided(
    book,
    [],
    new Map([
      ['s1', { title: 'First' }],
      ['s2', { runsOn: 'heading' }],
      ['s3', { role: 'afterword' }],
    ]),
  )
  expect(changesSaid(book, is)).toEqual(['1 runs on in another', '1 called otherwise', '1 is something else'])
  expect(changesSaid(book, book)).toEqual([])
})
