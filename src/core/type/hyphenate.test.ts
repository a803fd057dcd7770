import { describe, expect, test } from '@jest/globals'
import { createRequire } from 'node:module'
import { printedWords } from '../book'
import { loadHyphenator, patternsFor } from './hyphenate'

const require = createRequire(import.meta.url)
const words = require('an-array-of-english-words') as string[]

describe('hyphenation', () => {
  const tags = ['en-gb', 'en-us', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'pl', 'cs', 'da', 'nb', 'fi', 'el', 'ru']
  test.each(tags)('divides as the pattern package itself does: %s', async tag => {
    const ours = (await loadHyphenator(tag, 0, 0))!
    const own = JSON.stringify(printedWords(tag)).match(/\p{L}+/gu)!
    const theirs = (
      require(`hyphen/${tag === 'el' ? 'el-monoton' : tag}`) as {
        hyphenateSync(t: string, o: { hyphenChar: string }): string
      }
    ).hyphenateSync
    const sample = [...words.filter((_w, i) => i % 97 === 0), ...own.map(w => w.toLowerCase())]
    for (const word of sample) {
      if (word.length < 5 || word.length > 18) continue
      const at: number[] = []
      let n = 0
      const parts = theirs(word, { hyphenChar: '|' }).split('|')
      for (const p of parts.slice(0, -1)) at.push((n += p.length))
      expect([word, ours(word)]).toEqual([word, at])
    }
  })

  test('letters of other scripts leave no mark: after them words are divided as before', async () => {
    const h = (await loadHyphenator('fr', 1, 1))!
    for (let c = 0x370; c < 0x500; c++) h(`αβ${String.fromCharCode(c).repeat(4)}ω`)
    const theirs = (require('hyphen/fr') as { hyphenateSync(t: string, o: { hyphenChar: string }): string })
      .hyphenateSync
    for (const word of [
      'promontoire',
      'marégraphe',
      'quotidiennement',
      'hydroglisseur',
      'kilowattheure',
      'xylophone',
      'balustrade',
      'fougueuse',
    ])
      expect(h(word).map(n => word.slice(0, n).length)).toEqual(
        theirs(word, { hyphenChar: '|' })
          .split('|')
          .slice(0, -1)
          .reduce<number[]>((at, p) => [...at, (at.at(-1) ?? 0) + p.length], []),
      )
  })

  test('keeps two letters before and three after, by default', async () => {
    const h = (await loadHyphenator('en-gb'))!
    for (let i = 0; i < words.length; i += 501)
      for (const n of h(words[i]!)) {
        expect(n).toBeGreaterThanOrEqual(2)
        expect(words[i]!.length - n).toBeGreaterThanOrEqual(3)
      }
  })

  test('finds the nearest language, and says so where there is none', async () => {
    expect(patternsFor('en')).toBe('en-us')
    expect(patternsFor('en-AU')).toBe('en-gb')
    expect(patternsFor('de-AT')).toBe('de')
    expect(await loadHyphenator('cy')).toBeUndefined()
  })
})
