import { describe, expect, test } from '@jest/globals'
import { strToU8, zipSync } from 'fflate'
import { type NamedBytes, readOwnDictionary } from './ownDictionary'

const text = (name: string, words: string): NamedBytes => ({ name, bytes: strToU8(words) })
/** In one byte a letter, as ISO 8859-1 and its like have them. */
const bytes = (name: string, words: string): NamedBytes => ({ name, bytes: strToU8(words, true) })
const AFF = 'SET UTF-8\nSFX A Y 1\nSFX A 0 n .\n'
const said = (...files: NamedBytes[]): string => {
  try {
    readOwnDictionary(files, 'de')
    return 'read'
  } catch (e) {
    return (e as Error).message
  }
}

describe('a dictionary of one’s own', () => {
  test('comes as two files, in an archive, or as a list', () => {
    const two = readOwnDictionary([text('kueste.dic', '2\nMöwe/A\nFlut\n'), text('kueste.aff', AFF)], 'de')
    const licence = text('LICENCE.txt', 'To all\n')
    expect(readOwnDictionary([licence, text('kueste.dic', two.dic), text('kueste.aff', AFF)], 'de')).toEqual(two)
    expect(two).toEqual({ name: 'kueste.dic', aff: AFF, dic: '2\nMöwe/A\nFlut\n', words: 2 })
    const oxt = zipSync({
      'META-INF/manifest.xml': strToU8('<manifest/>'),
      'de/hyph_de.dic': strToU8('UTF-8\n.ab1\n'),
      'de/kueste.aff': strToU8(AFF),
      'de/kueste.dic': strToU8('2\nMöwe/A\nFlut\n'),
    })
    expect(readOwnDictionary([{ name: 'kueste.oxt', bytes: oxt }], 'de')).toEqual(two)
    expect(readOwnDictionary([text('words.txt', 'Möwe\nFlut\nEbbe\n')], 'de')).toEqual({
      name: 'words.txt',
      aff: '',
      dic: 'Möwe\nFlut\nEbbe\n',
      words: 3,
    })
  })
  test('is decoded as it says, or as it can be', () => {
    const western = [bytes('a.aff', 'SET ISO8859-1\n'), bytes('a.dic', '1\nMöwe\n')]
    expect(readOwnDictionary(western, 'de').dic).toBe('1\nMöwe\n')
    const cyrillic = [
      bytes('a.aff', 'SET microsoft-cp1251\n'),
      { name: 'a.dic', bytes: Uint8Array.of(0xef, 0xf0, 0xe8, 0xe2, 0xe5, 0xf2) },
    ]
    expect(readOwnDictionary(cyrillic, 'ru').dic).toBe('привет')
    expect(readOwnDictionary([bytes('a.txt', 'Möwe\n')], 'de').dic).toBe('Möwe\n')
    expect(said(text('a.aff', 'SET ROT-13\n'), text('a.dic', '1\nx\n'))).toContain('written in a way that is not known')
  })
  test('of several that is taken which is of the language', () => {
    const of = (name: string): NamedBytes[] => [text(`${name}.aff`, AFF), text(`${name}.dic`, `1\n${name}\n`)]
    expect(readOwnDictionary([...of('de_DE'), ...of('fr_FR')], 'de').dic).toBe('1\nde_DE\n')
    expect(said(...of('fr'), ...of('it'))).toBe('Several dictionaries are in that (fr.dic, it.dic): bring in one.')
  })
  test('what is none says what it lacks', () => {
    expect(said(text('a.aff', AFF))).toContain('the file that ends in .dic belongs to it')
    expect(said(text('a.pdf', 'x'))).toContain('No dictionary is in that')
    expect(said(text('a.dic', '0\n'))).toBe('“a.dic” holds no words.')
    expect(said(text('a.aff', 'Dear all'), text('a.dic', '1\nx\n'))).toContain('nothing of how words change')
    expect(said({ name: 'a.oxt', bytes: strToU8('PK\u0003\u0004 and no more than that') })).not.toBe('read')
  })
})
