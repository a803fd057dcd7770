import { describe, expect, test } from '@jest/globals'
import { strToU8 } from 'fflate'
import { readProject, writeProject } from '../archive'
import { bookText, docText, schema } from '../book'
import { shippedProfiles } from '../outlets'
import { type Candidate, readManuscript, sectionOfCandidate, takeCandidate, type Understood } from '.'

const read = (text: string): Understood => readManuscript('a.html', strToU8(text))
const told = (u: Pick<Understood, 'book'>) =>
  u.book.sections.filter(s => !s.made).map(s => [s.title, s.numbered, docText(s.doc).trim()])
const words = (u: Pick<Understood, 'book'>): string[] =>
  bookText(u.book)
    .match(/\p{L}+/gu)!
    .sort()

const page = `<h1>Chapter One</h1><p>Salt was dear.</p><p style="text-align:center">The Pans</p><p>They boiled.</p><p><b>Short and bold<a id="r" href="#n">1</a></b></p><p>More.</p><h1>Chapter Two</h1><p>Rope.</p><p id="n"><a href="#r">1</a> A note.</p>`

describe('what may begin a section and was not taken for one', () => {
  test('is told with why, in the order of the text', () => {
    const { candidates } = read(page)
    expect(candidates.map(c => [c.title, c.evidence])).toEqual([
      ['The Pans', ['centred']],
      ['Short and bold', ['bold']],
    ])
  })
  test('begins one when it is taken, in whatever order they are; no word goes, and a note keeps its line', () => {
    const u = read(page)
    const [pans, bold] = u.candidates as [Candidate, Candidate]
    const both = [pans, bold].reduce(takeCandidate, u.book)
    expect(told({ book: both })).toEqual([
      ['', true, 'Salt was dear.'],
      ['The Pans', false, 'They boiled.'],
      ['', false, expect.stringMatching(/Short and bold[\s\S]*More\./)],
      ['', true, 'Rope.'],
    ])
    expect([bold, pans].reduce(takeCandidate, u.book)).toEqual(both)
    expect(both.sections.some(s => s.id === sectionOfCandidate(pans))).toBe(true)
    expect(words({ book: both })).toEqual(words(u))
    for (const s of both.sections) schema.nodeFromJSON(s.doc).check()
    // It is a book that the store takes.
    const file = writeProject({ book: both, pictures: new Map() })
    expect(readProject(file, { known: shippedProfiles }).book.sections).toEqual(both.sections)
  })
  test('among front pages is a front page, and keeps a number that the book does not make', () => {
    const u = read(
      '<h1>Foreword</h1><p>Salt was dear.</p><p style="text-align:center">3. The Pans</p><p>They boiled.</p><h1>Chapter One</h1><p>Rope.</p>',
    )
    const [pans] = u.candidates
    expect(pans).toMatchObject({ title: 'The Pans', numbered: true, role: 'chapter' })
    const taken = takeCandidate(u.book, pans!)
    const parts = taken.sections.map(s => s.part)
    expect(parts).toEqual(
      [...parts].sort((a, b) => ['front', 'body', 'back'].indexOf(a) - ['front', 'body', 'back'].indexOf(b)),
    )
    expect(taken.sections.find(s => s.id === sectionOfCandidate(pans!))).toMatchObject({
      part: 'front',
      title: '3. The Pans',
      numbered: false,
    })
  })
  test('that is nowhere in the book changes nothing', () => {
    const u = read(page)
    expect(takeCandidate(u.book, { ...u.candidates[0]!, block: 'gone' })).toBe(u.book)
  })
})
