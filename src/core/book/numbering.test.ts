import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf } from '../../../tests/support/core'
import { labels, readNumeral, type Role, roles, roman, type Section, shortName, withNumbers } from '.'
import { emptyDoc } from './doc'
import { numberInWords } from './numberWords'

describe('numerals', () => {
  test('words and Roman figures are read back as the number that wrote them', () => {
    for (let n = 1; n <= 199; n++) {
      expect(readNumeral(numberInWords(n))).toBe(n)
      expect(readNumeral(numberInWords(n).toLowerCase().replace(/-/g, ' '))).toBe(n)
    }
    for (let n = 1; n <= 999; n++) {
      expect(readNumeral(roman(n))).toBe(n)
      expect(readNumeral(` ${roman(n).toUpperCase()}. `)).toBe(n)
      expect(readNumeral(`${n}:`)).toBe(n)
    }
  })
  test('as they are written', () => {
    expect([1, 12, 20, 42, 100, 101, 342].map(numberInWords)).toEqual([
      'One',
      'Twelve',
      'Twenty',
      'Forty-Two',
      'One Hundred',
      'One Hundred and One',
      'Three Hundred and Forty-Two',
    ])
    expect([0, -3, 1000, 2.5].map(numberInWords)).toEqual(['0', '-3', '1000', '2.5'])
    expect([4, 9, 14, 40, 90, 400, 1994].map(roman)).toEqual(['iv', 'ix', 'xiv', 'xl', 'xc', 'cd', 'mcmxciv'])
    for (const s of ['', ' ', 'chapter', '0x10', 'iiii', 'vx', 'ic', 'tide', 'one-ish', '1234', 'the first'])
      expect(readNumeral(s)).toBeUndefined()
  })
})

describe('labels', () => {
  const section = fc.record({
    role: fc.constantFrom(...(Object.keys(roles) as Role[])),
    title: fc.constantFrom('', 'The Bell'),
    numbered: fc.boolean(),
    made: fc.boolean(),
  })
  test('what is counted is counted without a gap, chapters through parts, parts by themselves; the rest has a name or its title', () => {
    fc.assert(
      fc.property(fc.array(section, { maxLength: 24 }), specs => {
        const sections = specs.map((s, i): Section => ({
          ...s,
          id: `s${i}`,
          part: roles[s.role].part,
          doc: emptyDoc('b1'),
        }))
        const all = labels(sections, 'en-GB')
        expect([...all.keys()]).toEqual(sections.map(s => s.id))
        for (const counted of [(s: Section) => s.role === 'part', (s: Section) => s.role !== 'part']) {
          const numbers = sections
            .filter(counted)
            .map(s => all.get(s.id)!.number)
            .filter(n => n !== undefined)
          expect(numbers).toEqual(numbers.map((_, i) => i + 1))
        }
        for (const s of sections) {
          const label = all.get(s.id)!
          expect(label.number !== undefined).toBe(!!roles[s.role].numbered && s.numbered)
          if (s.title) expect(label.title).toBe(s.title)
          if (label.number) expect(label.numberWords).toBe(`${roles[s.role].name} ${numberInWords(label.number)}`)
          else if (s.made || s.part !== 'body') expect(shortName(label)).toBe(s.title || roles[s.role].name)
        }
      }),
    )
  })
})

test('chapters count anew where their part says so, and on where it does not', () => {
  const of = (role: Role, more: Partial<Section> = {}): Section => ({
    ...bookOf([['x']]).sections.at(-1)!,
    role,
    title: '',
    numbered: true,
    ...more,
  })
  const list = [
    of('part'),
    of('chapter'),
    of('chapter'),
    of('part', { anew: true }),
    of('chapter'),
    of('part'),
    of('chapter'),
  ]
  const sections = list.map((s, i) => ({ ...s, id: `s${i}` }))
  expect([...labels(sections, 'en').values()].map(l => l.numberWords)).toEqual([
    'Part One',
    'Chapter One',
    'Chapter Two',
    'Part Two',
    'Chapter One',
    'Part Three',
    'Chapter Two',
  ])
  // A stretch is counted, or is not, in one step; what is never counted stays as it is.
  const book = { ...bookOf([['x']]), sections: [...sections, { ...of('afterword'), id: 's9', numbered: false }] }
  const bare = withNumbers(book, ['s1', 's2', 's9'], false)
  expect(bare.sections.filter(s => !s.numbered).map(s => s.id)).toEqual(['s1', 's2', 's9'])
  expect(withNumbers(bare, ['s1', 's2', 's9'], true)).toEqual(book)
})
