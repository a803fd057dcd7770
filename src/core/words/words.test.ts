import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../tests/support/deep'
import { banks, dealt, dictionary, gridLetters, listsOf, meaningOf, offences, offending, plainLetters } from '.'
import {
  columnsOf,
  linesOf,
  readWordTable,
  reportOn,
  rowsOf,
  sampleFile,
  sampleOf,
  sayings,
  vocabulary,
  writeWordText,
} from '.'

const letters = fc.string({ unit: fc.constantFrom(...'abcdefgäéñ'), minLength: 1, maxLength: 9 })

describe('what ships', () => {
  test('forty banks and more of sixty words and more, none twice in its bank, all of letters and spaces', () => {
    expect(banks.length).toBeGreaterThanOrEqual(40)
    expect(new Set(banks.map(b => b.id)).size).toBe(banks.length)
    for (const { id, words } of banks) {
      const of = words.map(w => gridLetters(w.word))
      expect([id, words.length >= 60]).toEqual([id, true])
      expect([id, of.filter((w, i) => of.indexOf(w) !== i)]).toEqual([id, []])
      expect([id, words.filter(w => !/^[a-z]+( [a-z]+)*$/.test(w.word))]).toEqual([id, []])
    }
  })

  test('1,500 clues and more by hand: none has its own answer in it, none is given twice in a bank', () => {
    const clued = banks.flatMap(b => b.words.filter(w => w.clue).map(w => ({ ...w, bank: b.id })))
    expect(clued.length).toBeGreaterThanOrEqual(1500)
    const telling = clued.filter(({ word, clue }) =>
      clue!
        .toLowerCase()
        .split(/[^a-z]+/)
        .some(w => w.length > 3 && word.split(' ').includes(w)),
    )
    expect(telling).toEqual([])
    for (const b of banks) {
      const clues = b.words.flatMap(w => w.clue ?? [])
      expect([b.id, clues.filter((c, i) => clues.indexOf(c) !== i)]).toEqual([b.id, []])
    }
  })

  test('three hundred sayings, no two alike, and no word of a bank or a saying offends', () => {
    expect(new Set(sayings).size).toBeGreaterThanOrEqual(300)
    const bad = new Set(offences().filter(w => w.length > 4))
    const said = sayings.flatMap(s => s.split(/[^A-Za-z]+/)).concat(banks.flatMap(b => b.words.map(w => w.word)))
    // Lists of others have plain words among theirs: what is said here of weapons, peoples and drinks is no offence.
    const plain = said.filter(w => bad.has(plainLetters(w)))
    expect(plain.filter(w => /fuck|shit|cunt|whore|nigg/i.test(w))).toEqual([])
  })

  test('a word of one’s own that is likely to offend is found, plain ones are not, each language by its own lists', () => {
    expect(offending(['Harbour', 'shit', 'Bull shit', 'SHIT', 'shitake'], 'en-GB')).toEqual([
      'shit',
      'Bull shit',
      'SHIT',
    ])
    expect(offending(['Dick', 'Scheiße', 'Hummel'], 'de')).toEqual(['Scheiße'])
    expect(offending(['merde', 'con'], 'en')).toEqual([])
    expect(offending(['merde'], 'fr-CA')).toEqual(['merde'])
    expect(offending(['anything'], 'xx')).toEqual([])
    // Of thousands of words that ship, a few have a second meaning that the lists know.
    const plain = banks.flatMap(b => b.words.map(w => w.word))
    expect(offending(plain, 'en').length).toBeLessThan(plain.length / 500)
  })

  test('the list of offences joins the lists it is made of', () => {
    const all = new Set(offences())
    for (const w of ['FUCK', 'SCHEISSE', 'MERDE', 'PUTA', 'ARSEHOLE']) expect(all.has(w)).toBe(true)
    expect(all.size).toBeGreaterThan(3000)
    for (const w of all) expect(w).toMatch(/^[A-Z]{3,}$/)
  })

  test('meanings are as short as clues, and none has its word in it', () => {
    const { known, rank } = dictionary()
    const meant = known.filter(w => meaningOf(w))
    expect(meant.length).toBeGreaterThan(9000)
    expect(rank.get('WATER')!).toBeLessThan(rank.get('CORMORANT') ?? known.length)
    const bad = meant.filter(w => {
      const clue = meaningOf(w)!
      return (
        clue.length > 64 ||
        clue
          .toUpperCase()
          .split(/[^A-Z]+/)
          .includes(w)
      )
    })
    expect(bad).toEqual([])
  })
})

describe('clues from the dictionary', () => {
  const { known } = dictionary()
  const clued = known.flatMap(w => (meaningOf(w) ? [[w, meaningOf(w)!] as const] : []))

  test('most words that adults know have one, forms of words among them, and none is left hanging', () => {
    expect(clued.length / known.length).toBeGreaterThan(0.7)
    const bad = clued.filter(
      ([, clue]) =>
        !/^[A-Z0-9'‘“]/.test(clue) ||
        / (?:and|or|the|a|an|which)$/.test(clue) ||
        clue.split('(').length !== clue.split(')').length,
    )
    expect(bad).toEqual([])
  })

  test('a form is led to by a form, or says which it is', () => {
    expect(meaningOf('WALKED')).toMatch(/\(in the past\)$/)
    expect(meaningOf('WALLS')).toMatch(/\(plural\)$/)
    expect(meaningOf('TRESPASSERS')).toBe('Intruders')
    expect(meaningOf('REPLIED')).toBe('Answered')
  })

  test('another spelling of a word is no clue to it', () => {
    const same = clued.filter(([word, clue]) => clue.toUpperCase().replaceAll('S', 'Z') === word.replaceAll('S', 'Z'))
    expect(same).toEqual([])
  })
})

describe('lists of the author’s own', () => {
  test('a table with named columns, in any order and with any of three separators', () => {
    for (const sep of [',', ';', '\t'])
      expect(
        readWordTable(['clue', 'Word', 'list'].join(sep) + `\r\n"Post${sep} stout"${sep}bollard${sep}Harbour\r\n`, 'x'),
      ).toEqual({
        lists: [{ name: 'Harbour', words: [{ word: 'bollard', clue: `Post${sep} stout` }] }],
        left: [],
      })
  })

  test('text with headings; what is not taken is said with its line', () => {
    expect(readWordTable('gull\n# Garden\nrose: It has thorns\n!!!\nRose\n\n#Harbour\nwatering can', 'Words')).toEqual({
      lists: [
        { name: 'Words', words: [{ word: 'gull' }] },
        { name: 'Garden', words: [{ word: 'rose', clue: 'It has thorns' }] },
        { name: 'Harbour', words: [{ word: 'watering can' }] },
      ],
      left: [
        { line: 4, words: '!!!', why: 'no letters in it' },
        { line: 5, words: 'Rose', why: 'twice in its list' },
      ],
    })
    expect(() => readWordTable('\n# nothing\n', 'x')).toThrow('There are no words yet')
    for (const clued of [true, false]) {
      const written = readWordTable(sampleOf(clued), 'x')
      expect(written.left).toEqual([])
      // The table that is saved as a sample reads as the same lists.
      expect(readWordTable(sampleFile(clued ? 'clues' : 'words').text, 'x')).toEqual(written)
    }
    expect(columnsOf(sampleFile('rows').text)).toEqual(['prompt', 'season', 'place'])
    expect(rowsOf(sampleFile('rows').text)[1]).toMatchObject({ season: 'summer', '3': 'on the quay' })
    expect(linesOf(sampleFile('sayings').text)).toEqual(sayings.slice(0, 5))
  })

  test('what is written reads back the same', () => {
    const word = fc.record({ word: letters, clue: fc.constantFrom(undefined, 'A clue: with a colon', 'Plain') })
    const list = fc.record({
      name: fc.constantFrom('One', 'Two words', 'Drei'),
      words: fc.uniqueArray(word, { selector: w => gridLetters(w.word), minLength: 1 }),
    })
    fc.assert(
      fc.property(fc.uniqueArray(list, { selector: l => l.name, minLength: 1 }), lists => {
        const plain = lists.map(l => ({
          ...l,
          words: l.words.map(({ word, clue }) => (clue ? { word, clue } : { word })),
        }))
        expect(readWordTable(writeWordText(plain), 'x')).toEqual({ lists: plain, left: [] })
      }),
      { numRuns: cases(100, 3000) },
    )
  })

  test('the report: words inside others whichever way they read, words twice, signs, banks that are near', () => {
    const report = reportOn(
      [
        {
          name: 'a',
          words: [
            { word: 'seagull' },
            { word: 'gull' },
            { word: 'tar' },
            { word: 'start' },
            { word: 'rat' },
            { word: 'tide & ebb' },
          ],
        },
        { name: 'b', words: [{ word: 'Gull', clue: 'It steals chips' }] },
      ],
      'en-GB',
    )
    expect(report).toMatchObject({ lists: 2, words: 7, clued: 1, longest: 7, twice: ['Gull'], signs: ['tide & ebb'] })
    expect(report.inside).toEqual(
      expect.arrayContaining([
        { word: 'gull', within: 'seagull' },
        { word: 'tar', within: 'start' },
        { word: 'rat', within: 'start' },
      ]),
    )
    expect(report.near.map(b => b.id)).toContain('harbour')
  })

  test('a book’s own words: its names by how often they come, and what is rare elsewhere', () => {
    const para = (text: string) => ({ type: 'paragraph', attrs: { id: 'b' }, content: [{ type: 'text', text }] })
    const doc = {
      type: 'doc',
      content: [
        para('In the morning Marisande went to the quay. “Where is Torquil?” asked Marisande, and the cormorant flew.'),
        para(
          'However, the cormorant came back; however long it took. The lantern of Torquil’s boat was lit by Marisande.',
        ),
      ],
    }
    const [names, own] = vocabulary([{ id: 's', doc } as never])
    expect(names).toEqual({ name: 'Names', words: [{ word: 'Marisande' }, { word: 'Torquil' }] })
    expect(own!.words[0]).toEqual({ word: 'cormorant' })
    expect(own!.words.map(w => w.word)).not.toContain('however')
  })
})

describe('dealing', () => {
  const suits = (): boolean => true
  test('one list: no word comes again before all puzzles had theirs; once: then it is said what is short', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(letters, { selector: gridLetters, minLength: 6, maxLength: 40 }),
        fc.integer({ min: 1, max: 6 }),
        fc.nat(),
        (words, count, seed) => {
          const lists = [{ name: 'l', words: words.map(word => ({ word })) }]
          const turns = Math.floor(words.length / count)
          const all = Array.from({ length: turns }, (_, index) =>
            dealt(lists, { count, index, seed, once: true, suits }),
          ).flat()
          expect(new Set(all.map(w => w.letters)).size).toBe(turns * count)
          expect(() => dealt(lists, { count, index: turns, seed, once: true, suits })).toThrow(
            `enough for ${turns} puzzles`,
          )
          expect(dealt(lists, { count, index: turns, seed, once: false, suits })).toHaveLength(count)
        },
      ),
      { numRuns: cases(100, 3000) },
    )
  })

  test('several lists are dealt one a puzzle; two words that cannot stand together never do', () => {
    const lists = ['a', 'b', 'c'].map(name => ({ name, words: ['x', 'y', 'z'].map(w => ({ word: name + w })) }))
    for (const index of [0, 1, 2, 3]) {
      const words = dealt(lists, { count: 2, index, seed: 4, once: false, suits })
      expect(new Set(words.map(w => w.letters[0]))).toEqual(new Set(['ABC'[index % 3]]))
    }
    const apart = (a: { letters: string }, b: { letters: string }): boolean =>
      !a.letters.includes('X') || !b.letters.includes('Y')
    for (let seed = 0; seed < 20; seed++) {
      const said = dealt(lists, {
        count: 2,
        index: 0,
        seed,
        once: false,
        suits,
        agree: (a, b) => apart(a, b) && apart(b, a),
      })
      expect(
        said
          .map(w => w.letters)
          .sort()
          .join(),
      ).not.toBe('AX,AY')
    }
    expect(() =>
      dealt([{ name: 'l', words: [{ word: 'ax' }, { word: 'ay' }] }], {
        count: 2,
        index: 0,
        seed: 1,
        once: false,
        suits,
        agree: (a, b) => apart(a, b) && apart(b, a),
      }),
    ).toThrow('cannot stand in one puzzle')
  })

  test('a bank that is not there, and words that are too few, are said', () => {
    expect(() => listsOf({ bank: 'nowhere', text: '' })).toThrow('no bank of words called “nowhere”')
    expect(() =>
      dealt(listsOf({ bank: '', text: 'one\ntwo' }), { count: 5, index: 0, seed: 1, once: false, suits }),
    ).toThrow('has 2 words that can be used, and 5 are wanted')
  })
})
