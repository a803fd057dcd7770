import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync } from 'fflate'
import { bookOf, chapter, setBook } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { type Book, type InlineJson, languagesIn, passageLanguages } from '../book'
import { writeEpub } from '../epub'
import { readManuscript } from '../intake'
import { loadHyphenator } from '../type'
import { type Interior } from '.'

const words = (text: string, tag?: string): InlineJson => ({
  type: 'text',
  text,
  ...(tag && { marks: [{ type: 'language', attrs: { tag } }] }),
})
const bookWith = (...content: InlineJson[]): Book => ({
  ...bookOf([['x']]),
  sections: [
    chapter('s1', 'Lamps', {
      type: 'doc',
      content: [{ type: 'paragraph', attrs: { id: 'p1', align: null }, content }],
    }),
  ],
})

/** The words that lines end in the middle of, each as its two parts. */
function divided({ pages }: Interior): [string, string][] {
  const out: [string, string][] = []
  const lines = pages.flatMap(page => {
    const t = page.layers[0]?.layer.text
    const byLine = new Map<number, string>()
    for (let r = 0; t && r < t.count; r++) {
      if (t.places[t.place[r]!]!.block !== 'p1') continue
      const face = t.faces[t.face[r]!]!
      let text = ''
      for (let g = t.start[r]!; g < t.start[r + 1]!; g++) text += face.pairText(t.glyphs[g]!)
      byLine.set(t.baseline[r]!, (byLine.get(t.baseline[r]!) ?? '') + text)
    }
    return [...byLine.values()]
  })
  lines.forEach((line, i) => {
    const end = /(\p{L}+)\u00ad$/u.exec(line)?.[1]
    const begin = /^\p{L}+/u.exec(lines[i + 1] ?? '')?.[0]
    if (end && begin) out.push([end, begin])
  })
  return out
}

describe('a passage in a language of its own', () => {
  const french = 'extraordinaire gouvernementalement incompréhensible correspondance immédiatement '
  const german = 'Zusammenhang Landschaftsbeschreibung Wissenschaftsgeschichte Donaudampfschiff '
  test('is divided as that language divides', async () => {
    for (const [tag, text] of [
      ['fr', french],
      ['de', german],
    ] as const) {
      const set = divided(await setBook(bookWith(words(text.repeat(30), tag)), undefined, 260, 420))
      expect(set.length).toBeGreaterThan(6)
      const hyphenate = (await loadHyphenator(tag, 2, 3))!
      for (const [end, begin] of set) expect(hyphenate(end + begin)).toContain(end.length)
      // English would divide some of them elsewhere.
      const english = (await loadHyphenator('en-GB', 2, 3))!
      expect(set.some(([end, begin]) => !english(end + begin).includes(end.length))).toBe(true)
    }
  })
  test('in a language without patterns is not divided at all', async () => {
    const plain = divided(await setBook(bookWith(words(french.repeat(30))), undefined, 260, 420))
    expect(plain.length).toBeGreaterThan(6)
    expect(divided(await setBook(bookWith(words(french.repeat(30), 'la')), undefined, 260, 420))).toEqual([])
  })
  test('is known of its document and book, once', () => {
    const book = bookWith(words('a ', 'fr'), words('b '), words('c ', 'la'), words('d', 'fr'))
    expect(languagesIn(book.sections[0]!.doc)).toEqual(['fr', 'la'])
    expect(passageLanguages(book.sections)).toEqual(['fr', 'la'])
    expect(passageLanguages(book.sections.map(s => ({ ...s, made: true })))).toEqual([])
  })
  test('says so in the ebook, and comes back from it', () => {
    const tags = fc.constantFrom(undefined, 'fr', 'de', 'el', 'pt-BR')
    fc.assert(
      fc.property(fc.array(tags, { minLength: 1, maxLength: 6 }), all => {
        const book = bookWith(...all.map((tag, i) => words(`wort${i} mot${i} `, tag)))
        const bytes = writeEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => undefined })
        const back = readManuscript('x.epub', bytes).book
        const said = (b: Book): [string, string | undefined][] =>
          b.sections
            .filter(s => s.role === 'chapter')
            .flatMap(s => s.doc.content.flatMap(p => ('content' in p ? (p.content as InlineJson[]) : [])))
            .flatMap(n =>
              n.type === 'text'
                ? n.text
                    .trim()
                    .split(/\s+/)
                    .map((w): [string, string | undefined] => [w, n.marks?.find(m => m.type === 'language')?.attrs.tag])
                : [],
            )
        expect(said(back)).toEqual(said(book))
        const page = strFromU8(Object.entries(unzipSync(bytes)).find(([n]) => n.endsWith('s1.xhtml'))![1])
        for (const tag of all) if (tag) expect(page).toContain(`<span lang="${tag}" xml:lang="${tag}">`)
      }),
      { numRuns: cases(30, 400) },
    )
  })
})

test('what a page says to be in the book’s own language, or in its language of another country, is no passage', () => {
  const page = (root: string, inner: string): ReturnType<typeof readManuscript>['book'] =>
    readManuscript(
      'x.html',
      strToU8(
        `<html lang="${root}"><body><h1>One</h1><p>The lamp burned on the mole and ${inner} went home. ${'The harbour lay below her as flat as a tray. '.repeat(9)}</p></body></html>`,
      ),
    ).book
  const tags = (root: string, lang: string): string[] =>
    passageLanguages(page(root, `<i lang="${lang}">le vent</i>`).sections)
  expect([tags('en-GB', 'fr'), tags('en-GB', 'en-US'), tags('de', 'en-GB'), tags('en', 'not a tag')]).toEqual([
    ['fr'],
    [],
    [],
    [],
  ])
})
