import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyDoc } from '../../../tests/support/arbitrary'
import { dashHabit, docText, printedLanguages, schema, signHabits, turnedSigns, typedSigns } from '.'
import { turnDashes } from './dashes'

const turned = (text: string, language: string): string => turnDashes(text, language).becomes.join('')

describe('typed dashes', () => {
  test('stand as the language sets them: close, apart, or hugging what they bracket', () => {
    const typed = 'The lamp -- an old one--burned. He came - late.'
    expect(Object.fromEntries(['en-US', 'en-GB', 'de', 'es', 'ru', 'pt'].map(l => [l, turned(typed, l)]))).toEqual({
      'en-US': 'The lamp—an old one—burned. He came—late.',
      'en-GB': 'The lamp\u00a0– an old one\u00a0– burned. He came\u00a0– late.',
      de: 'The lamp\u00a0– an old one\u00a0– burned. He came\u00a0– late.',
      es: 'The lamp —an old one— burned. He came —late.',
      ru: 'The lamp\u00a0— an old one\u00a0— burned. He came\u00a0— late.',
      pt: 'The lamp\u00a0— an old one\u00a0— burned. He came\u00a0— late.',
    })
  })
  test('speech that breaks off ends close to its quote; an end takes no space behind', () => {
    expect(turned('“But I--” he said.', 'en-GB')).toBe('“But I–” he said.')
    expect(turned('And then--', 'de')).toBe('And then–')
    expect(turned('Una lámpara --vieja--, dijo.', 'es')).toBe('Una lámpara —vieja—, dijo.')
  })
  test('before a paragraph they speak, in the languages that say so', () => {
    expect(turned('- Bonjour, dit-il.', 'fr')).toBe('—\u00a0Bonjour, dit-il.')
    expect(turned('--¿Quién es?', 'es')).toBe('—¿Quién es?')
    expect(turned('- Hello', 'en-GB')).toBe('- Hello')
  })
  test('hyphens of words, figures, rules and addresses stay', () => {
    for (const text of ['well-known', '1914-1918', '7 - 3', '-----', '--', 'a ---- b', 'e-mail --', '- 3'])
      expect([text, turned(text, 'en-US')]).toEqual([text, text === 'e-mail --' ? 'e-mail—' : text])
  })
  test('pieces of a line are read together; a guess is told with its words', () => {
    const doc = {
      type: 'doc' as const,
      content: [
        {
          type: 'paragraph' as const,
          attrs: { id: 'b1' },
          content: [
            { type: 'text' as const, text: 'A lamp' },
            { type: 'text' as const, text: ' - ', marks: [{ type: 'em' as const }] },
            { type: 'text' as const, text: 'old' },
          ],
        },
      ],
    }
    expect(typedSigns(dashHabit, doc, 'de')).toEqual({ count: 1, first: 'b1' })
    expect(docText(turnedSigns(dashHabit, doc, 'de').doc)).toBe('A lamp\u00a0– old')
    expect(turnedSigns(dashHabit, doc, 'es').doubtful).toEqual([{ block: 'b1', words: 'A lamp - old' }])
  })
})

describe('signs as typed', () => {
  test('turning changes nothing but signs and spaces, leaves none behind, and is a document still', () => {
    fc.assert(
      fc.property(anyDoc, fc.constantFrom(...printedLanguages, 'en-GB'), (doc, language) => {
        for (const habit of signHabits) {
          const { doc: is, turned: n } = turnedSigns(habit, doc, language)
          if (!n) expect(is).toBe(doc)
          expect(typedSigns(habit, is, language).count).toBe(0)
          const bare = (d: typeof doc): string => docText(d).replace(/[^\p{L}\p{N}]/gu, '')
          expect(bare(is)).toBe(bare(doc))
          expect(() => schema.nodeFromJSON(is).check()).not.toThrow()
        }
      }),
    )
  })
})
