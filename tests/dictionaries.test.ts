import { describe, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { printedLanguages, printedWords } from '../src/core/book'
import { type Dictionary, dictionaryOf, openDictionary, shippedDictionaries } from '../src/core/proof'
import { cases } from './support/deep'
import { run } from './support/run'

const folder = (name: string): string => join(process.cwd(), 'node_modules', `dictionary-${name}`)
const read = (name: string, file: string): string => readFileSync(join(folder(name), file), 'utf8')
const opened = new Map<string, Dictionary>()
const dictionary = (name: string): Dictionary => {
  const there = opened.get(name) ?? openDictionary(read(name, 'index.aff'), read(name, 'index.dic'))
  opened.set(name, there)
  return there
}

describe('dictionaries', () => {
  test('every language that is offered has one, or says why it has none', () => {
    const without = printedLanguages.filter(l => 'why' in dictionaryOf(l))
    expect(without.sort()).toEqual(['cs', 'de', 'fi', 'it', 'nb'])
    for (const l of without) expect((dictionaryOf(l) as { why: string }).why).toMatch(/^\S.{20,}[^.]$/)
    expect(['en-US', 'en-GB', 'en', 'pt', 'pt-BR', 'pt-PT'].map(dictionaryOf)).toEqual(
      ['en', 'en-gb', 'en-gb', 'pt', 'pt', 'pt-pt'].map(name => ({ name })),
    )
  })
  test('each that ships comes with its licence, and may come under another than the GPL', () => {
    for (const name of shippedDictionaries) {
      const { license } = JSON.parse(read(name, 'package.json')) as { license: string }
      expect(license.split(/ OR /).some(l => !/^\(?GPL/.test(l))).toBe(true)
      expect(read(name, 'license').length).toBeGreaterThan(100)
    }
  })
  test.each(shippedDictionaries.map(name => ({ name })))(
    '$name knows the frequent words of its language, and no words that are none',
    ({ name }) => {
      const { right, size } = dictionary(name)
      expect(size).toBeGreaterThan(30_000)
      const frequent = printedWords(name).frequent.split(' ')
      expect(frequent.filter(w => !right(w.replace('’', "'")))).toEqual([])
      expect(frequent.filter(w => w.length > 2 && right(`${w}qwx`))).toEqual([])
    },
  )
  test.each([
    ['en-gb', 'recieve', 'receive'],
    ['fr', 'beaucop', 'beaucoup'],
    ['pt', 'coraçao', 'coração'],
    ['sv', 'skrivva', 'skriva'],
  ])('%s: “%s” may have been meant as “%s”', (name, wrong, meant) => {
    expect(dictionary(name).meant(wrong)).toContain(meant)
  })

  // The program whose format these files are takes forms apart in a way of its own.
  test.each(shippedDictionaries.map(name => ({ name })))(
    '$name: Hunspell finds the same forms right',
    async ({ name }) => {
      const forms = tried(name, cases(4500, 60_000))
      const file = join(mkdtempSync(join(tmpdir(), 'porchlight-forms-')), 'forms.txt')
      writeFileSync(file, `${forms.join('\n')}\n`)
      const said = await run('hunspell', ['-d', join(folder(name), 'index'), '-i', 'utf-8', '-l', file], {
        env: { LC_ALL: 'C.UTF-8' },
      })
      expect([said.code, said.err]).toEqual([0, ''])
      const wrong = new Set(said.out.split('\n'))
      const { right } = dictionary(name)
      const refused = forms.filter(f => !wrong.has(f) && !right(f))
      const taken = forms.filter(f => wrong.has(f) && right(f))
      expect(forms.filter(f => !wrong.has(f)).length).toBeGreaterThan(forms.length / 12)
      // Where words are joined freely, Hunspell knows reasons against some that are not known here.
      const joins = ['da', 'nl', 'sv'].includes(name)
      if (!joins) expect([refused, taken]).toEqual([[], []])
      expect(refused.length).toBeLessThanOrEqual(forms.length / 1000)
      expect(taken.length).toBeLessThanOrEqual(forms.length / 50)
    },
  )
})

/** Forms that a dictionary may have: its words, with ends and beginnings put on rightly or not, joined, misspelt. */
function tried(name: string, count: number): string[] {
  const words = read(name, 'index.dic')
    .split('\n')
    .slice(1)
    .map(line => line.split(/[/\t]/)[0]!.trim())
    .filter(w => /^\p{L}+$/u.test(w))
  const rules = read(name, 'index.aff')
    .split('\n')
    .map(line => line.split(/\s+/))
    .filter(([, , , add, form]) => add !== undefined && form !== undefined)
  const of = (side: string): { strip: string; add: string }[] =>
    rules
      .filter(([word]) => word === side)
      .map(([, , strip, add]) => ({ strip: strip === '0' ? '' : strip!, add: add!.split('/')[0]!.replace(/^0$/, '') }))
  const [ends, starts] = [of('SFX'), of('PFX')]
  let seed = 20261129
  const any = <T>(all: readonly T[]): T => {
    seed = (Math.imul(seed, 1103515245) + 12345) >>> 0
    return all[(seed >>> 8) % all.length]!
  }
  const ended = (word: string): string => {
    const { strip, add } = any(ends)
    return word.endsWith(strip) ? word.slice(0, word.length - strip.length) + add : word + add
  }
  const ways: ((word: string) => string)[] = [
    w => w,
    ended,
    ended,
    ended,
    w => (starts.length ? any(starts).add : '') + w,
    w => (starts.length ? any(starts).add : '') + ended(w),
    w => w + any(words).toLowerCase(),
    w => w + any(['s', 'e', 'n']) + any(words).toLowerCase(),
    w => w.slice(0, w.length >> 1) + any(['e', 'r', 't']) + w.slice(w.length >> 1),
  ]
  const forms = new Set(Array.from({ length: count }, () => any(ways)(any(words))))
  // What is written with capitals inside is another question.
  return [...forms].filter(f => /^\p{L}\p{Ll}+$/u.test(f))
}
