import { describe, expect, test } from '@jest/globals'
import { foreignQuotePlaces, turnForeignQuotes } from './foreignQuotes'

const turned = (text: string, language: string): string => turnForeignQuotes(text, language).becomes.join('')

describe('quotations as another language sets them', () => {
  test('they become the language’s own, with those inside them, and apostrophes stay', () => {
    expect(turned('Sie sagte: “Er rief ‘halt’ und ’s war’s.” Dann “ging sie”.', 'de')).toBe(
      'Sie sagte: „Er rief ‚halt‘ und ’s war’s.“ Dann „ging sie“.',
    )
    expect(turned('“Käy”, sanoi hän.', 'fi')).toBe('”Käy”, sanoi hän.')
    expect(turned('Elle dit: „viens“.', 'fr')).toBe('Elle dit: «\u202fviens\u202f».')
    expect(turned('«\u00a0Come\u00a0», she said, «\u202fnow\u202f».', 'en-GB')).toBe('“Come”, she said, “now”.')
  })
  test('one that goes on in the next paragraph is opened alone', () => {
    expect(turned('“Es war so', 'de')).toBe('„Es war so')
  })
  test.each([
    ['de', '„A“ und „B“ –“ C'],
    ['de', '»A« und «B»'],
    ['pl', '„A” i «B»'],
    ['sv', '”A” och »B»'],
    ['fr', '« A “b” c » “d”'],
    ['en', '“A ‘b’ c”'],
    ['nl', '„A” en “B”'],
    ['ru', '«А „б“ в»'],
  ])('what publishers of %s have stays: %s', (language, text) => {
    expect(foreignQuotePlaces(text, language)).toEqual([])
    expect(turned(text, language)).toBe(text)
  })
})
