import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { bookText } from '@/core/book'
import { readManuscript, sectionOfCandidate } from '@/core/intake'
import { proposed, withCandidates, withStruck, withTaken } from './understanding'

const words = (t: string): string[] => t.split(/\s+/).filter(Boolean).sort()

describe('what is proposed', () => {
  test('is every section that is not made, with how it begins; the first of a part cannot be struck', () => {
    const list = proposed(bookOf([['Once upon a tide.'], ['Then.'], ['Last.']]))
    expect(list.map(s => [s.begins, s.words, s.strikable])).toEqual([
      ['Once upon a tide.', 4, false],
      ['Then.', 1, true],
      ['Last.', 1, true],
    ])
  })
  test('struck, a section runs on in the one before, and no word of any book is lost', () => {
    const struck = withStruck(bookOf([['One.'], ['Two.'], ['Three.']]), new Set(['s2', 's3']))
    expect(struck.sections.filter(s => !s.made).map(s => s.doc.content.length)).toEqual([5])
    fc.assert(
      fc.property(anyBook, fc.array(fc.nat(8)), (book, picks) => {
        const ids = new Set(picks.map(i => book.sections[i]?.id).filter((x): x is string => !!x))
        expect(words(bookText(withStruck(book, ids)))).toEqual(words(bookText(book)))
      }),
      { numRuns: 60 },
    )
  })
  test('lines that may begin a section stand behind the section they are in; taken, they are one, and no word goes', () => {
    const lines = ['The Rope', 'The Bell', 'The Lamp']
    const page = `<h1>Chapter One</h1><p>Salt was dear that year, and nobody sold it.</p>${lines.map(l => `<p style="text-align:center">${l}</p><p>It was seven, and then it was none.</p>`).join('')}`
    const { book, candidates } = readManuscript('a.html', new TextEncoder().encode(page))
    const names = (taken: ReadonlySet<string>) =>
      withCandidates(proposed(withTaken(book, candidates, taken), candidates), candidates).map(p =>
        p.section ? p.name : `· ${p.candidate.title}`,
      )
    expect(names(new Set())).toEqual(['Chapter One', '· The Rope', '· The Bell', '· The Lamp'])
    expect(names(new Set([candidates[1]!.block]))).toEqual(['Chapter One', '· The Rope', 'The Bell', '· The Lamp'])
    fc.assert(
      fc.property(fc.subarray(candidates), fc.subarray(candidates), (some, out) => {
        const taken = withTaken(book, candidates, new Set(some.map(c => c.block)))
        const struck = withStruck(taken, new Set(out.map(sectionOfCandidate)))
        expect(words(bookText(struck))).toEqual(words(bookText(book)))
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
