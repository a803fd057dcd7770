import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import nspell from 'nspell'
import { printedLanguages, printedWords } from '../src/core/book'
import { dictionaryOf, shippedDictionaries } from '../src/core/proof'

const folder = (name: string): string => join(process.cwd(), 'node_modules', `dictionary-${name}`)
const read = (name: string, file: string): Buffer => readFileSync(join(folder(name), file))

describe('dictionaries', () => {
  test('every language that is offered has one, or says why it has none', () => {
    const without = printedLanguages.filter(l => 'why' in dictionaryOf(l))
    expect(without.sort()).toEqual(['cs', 'de', 'fi', 'it', 'nb', 'pt'])
    for (const l of without) expect((dictionaryOf(l) as { why: string }).why).toMatch(/^\S.{20,}[^.]$/)
    expect([dictionaryOf('en-US'), dictionaryOf('en-GB'), dictionaryOf('en')]).toEqual([
      { name: 'en' },
      { name: 'en-gb' },
      { name: 'en-gb' },
    ])
  })
  test('each that ships comes with its licence, and may come under another than the GPL', () => {
    for (const name of shippedDictionaries) {
      const { license } = JSON.parse(read(name, 'package.json').toString()) as { license: string }
      expect(license.split(/ OR /).some(l => !/^\(?GPL/.test(l))).toBe(true)
      expect(read(name, 'license').length).toBeGreaterThan(100)
    }
  })
  test.each([
    ['en-gb', 'en', ['colour', 'don’t', 'lighthouse', 'Sunday'], ['recieve', 'teh', 'hous']],
    ['es', 'es', ['corazón', 'hablamos', 'Madrid'], ['corazzon', 'hablmos']],
    ['nl', 'nl', ['huizen', 'schrijven'], ['schrijvven']],
  ])('%s knows its language’s words, and no others', (name, language, right, wrong) => {
    const speller = nspell(read(name, 'index.aff'), read(name, 'index.dic'))
    const frequent = printedWords(language).frequent.split(' ')
    expect([...frequent, ...right].filter(w => !speller.correct(w.replace('’', "'")))).toEqual([])
    expect(wrong.filter(w => speller.correct(w))).toEqual([])
  })
})
