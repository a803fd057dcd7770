import { expect, test } from '@jest/globals'
import { strToU8 } from 'fflate'
import { filled, MOST_SAID, numberWords, printedLanguages, printedWords, type Role, roles } from '../book'
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

test('headings that are counted in words are read in every language, in each way it says them, in capitals too', () => {
  for (const language of [...printedLanguages, 'pt-PT'])
    for (const what of ['chapter', 'part'] as const)
      for (let number = 1; number <= MOST_SAID; number++)
        for (const said of numberWords(language)![what](number))
          for (const typed of [said, said.toUpperCase(), `${said}.`]) {
            const read = readHeading(typed)
            expect([language, typed, read.number, read.part, read.title]).toEqual([
              language,
              typed,
              number,
              what === 'part',
              '',
            ])
          }
  expect(readHeading('Глава вторая. Соль')).toMatchObject({ number: 2, part: false, title: 'Соль' })
  expect(readHeading('Kapitola dvacátá první — Sůl')).toMatchObject({ number: 21, title: 'Sůl' })
  expect(readHeading('Zweites Kapitel: Salz')).toMatchObject({ number: 2, title: 'Salz', word: 'Kapitel' })
})

test('a number alone on its line is read in the text’s language, and is a word in others', () => {
  expect(readHeading('Vingt et un', 'fr')).toMatchObject({ number: 21, bareNumeral: true })
  expect(readHeading('— Zwölf —', 'de')).toMatchObject({ number: 12, bareNumeral: true })
  expect(readHeading('Elf', 'nl').number).toBe(11)
  // An elf is none in English; nor is what begins with a number's name.
  expect(readHeading('Elf', 'en')).toEqual({ part: false, title: 'Elf' })
  expect(readHeading('Parte segunda mano', 'es')).toEqual({ part: false, title: 'Parte segunda mano' })
})
