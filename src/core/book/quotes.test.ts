import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyDoc } from '../../../tests/support/arbitrary'
import { type DocJson, docText, quoteBetween, quoteHabit, quotesOf, schema, turnedSigns, typedSigns } from '.'
import { turnQuotes } from './quotes'

const turned = (text: string, language: string): string => turnQuotes(text, language).becomes.join('')
const doc = (...texts: string[]): DocJson => ({
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      attrs: { id: 'b1' },
      content: texts.map((text, i) => ({
        type: 'text' as const,
        text,
        ...(i % 2 ? { marks: [{ type: 'em' as const }] } : {}),
      })),
    },
  ],
})

describe('typed quotes', () => {
  test('each language has its own marks', () => {
    const typed = `He said "the word 'tide' is old", and left.`
    expect(
      Object.fromEntries(
        ['en-GB', 'en-US', 'de', 'de-CH', 'fr', 'es', 'it', 'pt', 'pt-BR', 'nl', 'sv', 'xx'].map(l => [
          l,
          turned(typed, l),
        ]),
      ),
    ).toEqual({
      'en-GB': 'He said “the word ‘tide’ is old”, and left.',
      'en-US': 'He said “the word ‘tide’ is old”, and left.',
      de: 'He said „the word ‚tide‘ is old“, and left.',
      'de-CH': 'He said «the word ‹tide› is old», and left.',
      fr: 'He said «\u202fthe word ‹tide› is old\u202f», and left.',
      es: 'He said «the word ‘tide’ is old», and left.',
      it: 'He said «the word ‘tide’ is old», and left.',
      pt: 'He said «the word ‘tide’ is old», and left.',
      'pt-BR': 'He said “the word ‘tide’ is old”, and left.',
      nl: 'He said “the word ‘tide’ is old”, and left.',
      sv: 'He said ”the word ’tide’ is old”, and left.',
      xx: 'He said “the word ‘tide’ is old”, and left.',
    })
  })
  test('apostrophes, elisions, dashes, brackets, figures', () => {
    for (const [typed, wanted] of [
      [`Ada's lamp wasn't lit.`, 'Ada’s lamp wasn’t lit.'],
      [`the Pells' boat`, 'the Pells’ boat'],
      [`'Tis late`, '’Tis late'],
      [`rock 'n' roll`, 'rock ’n’ roll'],
      [`the '70s`, 'the ’70s'],
      [`"No"--"Yes"`, '“No”--“Yes”'],
      [`—"Come," she said—`, '—“Come,” she said—'],
      [`("in brackets")`, '(“in brackets”)'],
      [`"'Quill,' she said"`, '“‘Quill,’ she said”'],
      [`1950's`, '1950’s'],
      [`'in 1907'`, '‘in 1907’'],
    ] as const)
      expect(turned(typed, 'en-GB')).toBe(wanted)
    expect(turned(`"Oui", dit-elle : " non "`, 'fr')).toBe('«\u202fOui\u202f», dit-elle : «\u202fnon\u202f»')
    expect(turned(`L'eau`, 'fr')).toBe('L’eau')
  })
  test('guesses are told with their places; what is plain is not', () => {
    const at = (t: string): number[] => turnQuotes(t, 'en-GB').doubtful
    expect([at(`She said "yes" and Ada's "no".`), at(`'Tis so`), at(`a plank of 6"`)]).toEqual([[], [0], [12]])
    const d = turnedSigns(quoteHabit, doc(`'Twas a plank of 6" that`, ` broke`), 'en-GB')
    expect(d.doubtful).toEqual([
      { block: 'b1', words: `'Twas a plank of 6" that` },
      { block: 'b1', words: `'Twas a plank of 6" that broke` },
    ])
  })
  test('across formatting; ids and form stay; a document without any is the same object', () => {
    const d = turnedSigns(quoteHabit, doc('He said "', 'never', '" twice.'), 'de')
    expect(d.doc.content[0]).toMatchObject({
      attrs: { id: 'b1' },
      content: [{ text: 'He said „' }, { text: 'never', marks: [{ type: 'em' }] }, { text: '“ twice.' }],
    })
    const clean = doc('Nothing typed “here”.')
    expect(turnedSigns(quoteHabit, clean, 'de').doc).toBe(clean)
    expect(typedSigns(quoteHabit, doc('a "b" c'), 'en')).toEqual({ count: 2, first: 'b1' })
  })
  test('any document in any language: no typed quote is left, nothing else changes, and it stays in the schema', () => {
    const withQuotes = anyDoc.map(d => JSON.parse(JSON.stringify(d).replaceAll('tide', `'tide\\"`)) as DocJson)
    fc.assert(
      fc.property(withQuotes, fc.constantFrom('en', 'de', 'fr', 'sv', 'it'), (d, language) => {
        const out = turnedSigns(quoteHabit, d, language)
        schema.nodeFromJSON(out.doc).check()
        const bare = (x: DocJson): string => docText(x).replace(/["'“”„‘’‚«»‹›\s\u202f\u00a0]/g, '')
        expect([typedSigns(quoteHabit, out.doc, 'en').count, bare(out.doc)]).toEqual([0, bare(d)])
      }),
      { numRuns: 120 },
    )
  })
  test('one at a time, as it is typed', () => {
    expect(quoteBetween('"', 'He said ', 'x', 'de', false).sign).toBe('„')
    expect(quoteBetween('"', 'He said „so', '', 'de', false).sign).toBe('“')
    expect(quotesOf('fr-CA')).toBe(quotesOf('fr'))
  })
})
