import { expect, test } from '@jest/globals'
import { strToU8 } from 'fflate'
import { filled, printedLanguages, printedWords, type Role, roles } from '../book'
import { readHeading, roleByName } from './headings'
import { readManuscript } from '.'

test('sections are known by what every language calls them, and by what else manuscripts call them there', () => {
  for (const language of printedLanguages) {
    const { sections, alsoCalled } = printedWords(language)
    for (const role of Object.keys(sections) as Role[]) {
      if (role === 'half-title' || role === 'title-page') continue
      for (const name of [sections[role]!, ...(alsoCalled[role] ?? [])]) {
        expect([language, name, roleByName(name, language)]).toEqual([language, name, role])
        expect(roleByName(name.toUpperCase(), language)).toBe(role)
      }
    }
  }
})

test('what one language calls a section is a title like any other in another', () => {
  expect(roleByName('Fragment', 'pl')).toBe('excerpt')
  expect(roleByName('Fragment', 'en-GB')).toBeUndefined()
  expect(roleByName('Prologue: The Rope')).toBe('prologue')
  expect(roleByName('Prologues I have known')).toBeUndefined()
  expect(roleByName('Acknowledgments', 'de')).toBe('acknowledgements')
})

test('numbered headings are read as every language writes them, by figures and Roman numerals', () => {
  for (const language of printedLanguages) {
    const { chapter, part } = printedWords(language)
    for (const n of ['7', 'VII']) {
      expect([language, readHeading(filled(chapter, { n }))]).toEqual([
        language,
        expect.objectContaining({ number: 7, part: false, title: '' }),
      ])
      expect([language, readHeading(`${filled(part, { n })}: Salt`)]).toEqual([
        language,
        expect.objectContaining({ number: 7, part: true, title: 'Salt' }),
      ])
    }
  }
  expect(Object.keys(roles)).toContain('part')
})

test('a rights line is read in every language', () => {
  for (const language of printedLanguages) {
    const { rights } = printedWords(language)
    const { book } = readManuscript(
      'x.md',
      strToU8(`The Lamp\n\n© 2021 Orla Fenwright. ${rights}\n\n# One\n\nThe lamp burned.\n\n# Two\n\nIt went out.\n`),
    )
    expect([language, book.data.year, book.data.rights]).toEqual([language, 2021, rights])
  }
})
