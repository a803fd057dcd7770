import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { openDictionary } from './dictionary'
import { wordTable } from './wordTable'

const lines = (...of: string[]): string => of.join('\n')
const dic = (...words: string[]): string => lines(String(words.length), ...words, '')
/** Which of some forms are words, by their two texts. */
const right = (aff: string, words: readonly string[], forms: string): string => {
  const { right } = openDictionary(aff, dic(...words))
  return forms
    .split(' ')
    .filter(f => right(f))
    .join(' ')
}

describe('forms of words', () => {
  test('ends and beginnings come off where they fit, and go together where they may', () => {
    const aff = lines(
      'SET UTF-8',
      'SFX A Y 2',
      'SFX A y ied [^aeiou]y',
      'SFX A 0 ed [^y]',
      'SFX N N 1',
      'SFX N 0 ness .',
      'PFX U Y 1',
      'PFX U 0 un .',
    )
    expect(
      right(
        aff,
        ['tidy/AU', 'moor/AUN', 'kind/N'],
        'tidied untidied untidy tidyed moored unmoored moornesses moorness unmoorness unkind kindness kind',
      ),
    ).toBe('tidied untidied untidy moored unmoored moorness kindness kind')
  })

  test('an end brings others along, a beginning too; some words are none without theirs, some beginnings none without an end', () => {
    const aff = lines(
      'SET UTF-8',
      'NEEDAFFIX x',
      'CIRCUMFIX c',
      'SFX A Y 1',
      'SFX A 0 er/S .',
      'SFX S Y 1',
      'SFX S 0 s .',
      'PFX G Y 1',
      'PFX G 0 ge/c .',
      'SFX T Y 1',
      'SFX T 0 t/cG .',
    )
    expect(
      right(aff, ['moor/A', 'klim/x', 'bell/xS', 'sag/T'], 'moorer moorers moors klim bell bells gesagt gesag sagt'),
    ).toBe('moorer moorers bells gesagt')
  })

  test('flags are letters, pairs, numbers or names for several; a word may stand there twice', () => {
    const rule = (flag: string): string => lines(`SFX ${flag} Y 1`, `SFX ${flag} 0 s .`)
    expect(right(lines('FLAG long', rule('Aa')), ['buoy/BbAa'], 'buoy buoys')).toBe('buoy buoys')
    expect(right(lines('FLAG num', rule('417')), ['buoy/9,417'], 'buoy buoys')).toBe('buoy buoys')
    expect(right(lines('AF 2', 'AF B', 'AF AB', rule('A')), ['buoy/2', 'lamp/1'], 'buoys lamps')).toBe('buoys')
    expect(right(lines('NEEDAFFIX x', rule('A')), ['buoy/xA', 'buoy/B', 'reef/xA'], 'buoy buoys reef reefs')).toBe(
      'buoy buoys reefs',
    )
  })

  test('what is forbidden is no word though its parts are; what stands behind a word is none of it', () => {
    const aff = lines('FORBIDDENWORD !', 'SFX A Y 1', 'SFX A 0 s .')
    expect(
      right(aff, ['reef/A', 'reefs/!', 'lamp\tpo:noun', 'quay po:noun', 'and\\/or'], 'reef reefs lamp quay and/or'),
    ).toBe('reef lamp quay and/or')
  })

  test('any small dictionary: just the forms that come of putting on, one after another, are words', () => {
    const letters = (min: number, max: number) =>
      fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: min, maxLength: max }).map(l => l.join(''))
    const affix: fc.Arbitrary<Put> = fc.record({
      flag: fc.constantFrom('A', 'B', 'C', 'D'),
      strip: letters(0, 1),
      add: letters(1, 2),
      fits: fc.constantFrom('.', 'a', '[bc]', '[^a]', 'ab', '.c'),
      then: fc.subarray(['A', 'B', 'C', 'D']),
    })
    const crossing = fc.dictionary(fc.constantFrom('A', 'B', 'C', 'D'), fc.boolean())
    const words = fc.uniqueArray(fc.record({ word: letters(1, 4), flags: fc.subarray(['A', 'B', 'C', 'D']) }), {
      maxLength: 6,
      selector: w => w.word,
    })
    const any = fc.record({
      ends: fc.array(affix, { maxLength: 4 }),
      starts: fc.array(affix, { maxLength: 3 }),
      crossing,
      words,
    })
    fc.assert(
      fc.property(any, fc.array(letters(1, 8), { maxLength: 40 }), ({ ends, starts, crossing, words }, others) => {
        // A flag is of one side.
        const left = starts.map(s => ({ ...s, flag: s.flag.toLowerCase() }))
        const bySide = words.map(w => ({ ...w, flags: [...w.flags, ...w.flags.map(f => f.toLowerCase())] }))
        const rule = (side: 'SFX' | 'PFX', all: typeof ends): string[] =>
          [...new Set(all.map(a => a.flag))].flatMap(flag => {
            const of = all.filter(a => a.flag === flag)
            return [
              `${side} ${flag} ${crossing[flag.toUpperCase()] ? 'Y' : 'N'} ${of.length}`,
              ...of.map(
                a => `${side} ${flag} ${a.strip || 0} ${a.add}${a.then.length ? `/${a.then.join('')}` : ''} ${a.fits}`,
              ),
            ]
          })
        const table = wordTable(
          lines(...rule('SFX', ends), ...rule('PFX', left)),
          dic(...bySide.map(w => `${w.word}/${w.flags.join('')}`)),
        )
        const made = spreadOut({ ends, starts: left, crosses: f => !!crossing[f.toUpperCase()] }, bySide)
        for (const form of [...made, ...others])
          expect([form, table.simpleFlagsOf(form) !== undefined]).toEqual([form, made.has(form)])
      }),
    )
  })
})

interface Put {
  flag: string
  strip: string
  add: string
  fits: string
  then: string[]
}

/** All forms of words, made by putting on: none, one or two ends, and a beginning. */
function spreadOut(
  { ends, starts, crosses }: { ends: Put[]; starts: Put[]; crosses: (flag: string) => boolean },
  words: { word: string; flags: string[] }[],
): Set<string> {
  const fits = (a: Put, word: string, end: boolean): boolean => {
    const body = a.fits === '.' ? '' : a.fits
    if (!(end ? new RegExp(`${body}$`) : new RegExp(`^${body}`)).test(word)) return false
    return (end ? word.endsWith(a.strip) : word.startsWith(a.strip)) && word.length > a.strip.length - a.add.length
  }
  const atEnd = (word: string, a: Put): string => word.slice(0, word.length - a.strip.length) + a.add
  const out = new Set<string>()
  for (const { word, flags } of words) {
    out.add(word)
    // What came of the word, and which ends were put on.
    const ended: { form: string; on: Put[] }[] = [{ form: word, on: [] }]
    for (const inner of ends)
      if (fits(inner, word, true)) {
        const form = atEnd(word, inner)
        ended.push({ form, on: [inner] })
        for (const outer of ends)
          if (inner.then.includes(outer.flag) && fits(outer, form, true))
            ended.push({ form: atEnd(form, outer), on: [inner, outer] })
      }
    for (const { form, on } of ended) {
      const own = on.length === 0 || flags.includes(on[0]!.flag)
      if (own) out.add(form)
      for (const s of starts) {
        if (!fits(s, form, false)) continue
        const carried = own || s.then.includes(on[0]!.flag)
        const borne = flags.includes(s.flag) || on.some(a => a.then.includes(s.flag))
        if (carried && borne && (on.length === 0 || (crosses(s.flag) && crosses(on[0]!.flag))))
          out.add(s.add + form.slice(s.strip.length))
      }
    }
  }
  return out
}

describe('joined words', () => {
  const flags = lines(
    'SET UTF-8',
    'COMPOUNDBEGIN b',
    'COMPOUNDMIDDLE m',
    'COMPOUNDEND e',
    'COMPOUNDPERMITFLAG p',
    'ONLYINCOMPOUND o',
  )
  const words = ['sea/bm', 'bell/bme', 'tower/e', 'light/o']

  test('by flags of their parts, each at its place, none shorter than is said', () => {
    expect(right(flags, words, 'seabell seabelltower seatower towersea seasea light sealight bellbell tower')).toBe(
      'seabell seabelltower seatower bellbell tower',
    )
    expect(right(lines(flags, 'COMPOUNDMIN 4'), words, 'seabell bellbell')).toBe('bellbell')
    expect(right(lines(flags, 'COMPOUNDWORDMAX 2'), words, 'seabell seabelltower')).toBe('seabell')
    expect(right('COMPOUNDFLAG c', ['sea/c', 'bell/c', 'rope'], 'seabellsea searope')).toBe('seabellsea')
  })

  test('what is put on inside has to be allowed there', () => {
    const joint = (then: string): string => lines(flags, 'SFX J Y 1', `SFX J 0 s/${then} .`)
    expect(right(joint('bop'), ['work/J', 'place/e'], 'workplace worksplace works')).toBe('worksplace')
    expect(right(joint('bo'), ['work/J', 'place/e'], 'workplace worksplace')).toBe('')
  })

  test('not with three of a letter, twice the same, capitals inside or what is kept apart, where that is said; nor what is a misspelt word', () => {
    const all = ['bell/bme', 'lamp/bme', 'Lily/bme', 'lime/bme']
    expect(right(lines(flags, 'CHECKCOMPOUNDTRIPLE'), all, 'belllamp lampbell')).toBe('lampbell')
    expect(right(lines(flags, 'CHECKCOMPOUNDDUP'), all, 'bellbell bellime')).toBe('')
    expect(right(lines(flags, 'CHECKCOMPOUNDCASE'), all, 'bellLily belllime')).toBe('belllime')
    expect(right(lines(flags, 'CHECKCOMPOUNDPATTERN 1', 'CHECKCOMPOUNDPATTERN ll la'), all, 'belllamp lampbell')).toBe(
      'lampbell',
    )
    expect(right(lines(flags, 'CHECKCOMPOUNDPATTERN 1', 'CHECKCOMPOUNDPATTERN 0/m 0/e'), all, 'belllamp')).toBe('')
    expect(
      right(lines(flags, 'CHECKCOMPOUNDREP', 'REP 1', 'REP pb pb-b'), [...all, 'lampb-bell'], 'lampbell belllamp'),
    ).toBe('belllamp')
  })

  test('by rules, the whole word: 21st, 112th, but 11st is none, and no rule lets any word pass', () => {
    const aff = lines('COMPOUNDMIN 1', 'ONLYINCOMPOUND c', 'COMPOUNDRULE 2', 'COMPOUNDRULE n*1t', 'COMPOUNDRULE n*mp')
    const figures = ['0/nm', '1/n1', '2/nm', '1st/p', '1th/tc', '2nd/p', '2th/tc']
    expect(right(aff, figures, '21st 112th 102nd 11st x21st 12 1th')).toBe('21st 112th 102nd')
    expect(right(lines('COMPOUNDMIN 1', 'COMPOUNDRULE 1', 'COMPOUNDRULE 0*'), ['7/0'], 'qwx 77 777')).toBe('77 777')
  })

  test('long ones take no longer than they have to', () => {
    const { right } = openDictionary('COMPOUNDMIN 1\nCOMPOUNDFLAG c', dic('a/c', 'aa/c', 'aaa/c'))
    expect(right(`${'a'.repeat(58)}b`)).toBe(false)
    expect(right('a'.repeat(9))).toBe(true)
  })
})

describe('suggestions', () => {
  test('are forms of words, too, and no joined ones', () => {
    const { meant, right } = openDictionary(
      lines('SET UTF-8', 'COMPOUNDFLAG c', 'SFX A Y 1', 'SFX A 0 s .'),
      dic('lantern/A', 'bell/c', 'buoy/c'),
    )
    expect([meant('lanterms'), meant('bellbouy'), right('bellbuoy')]).toEqual([['lanterns'], [], true])
  })
})
