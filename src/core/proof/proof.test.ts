import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf, chapter, paragraph } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { type Book, type DocJson, docText, linesOf } from '../book'
import {
  createProofreader,
  dataWords,
  type Doubt,
  everywhereKey,
  keptTold,
  likeliest,
  placeKey,
  proofKinds,
  type ProofAsk,
  type Speller,
  withRemedies,
} from '.'

const docOf = (...paras: string[]): DocJson => ({ type: 'doc', content: paras.map((p, i) => paragraph(`b${i}`, p)) })

function read(paras: readonly string[], ask: Partial<ProofAsk> & { kinds: string[] }, speller?: Speller) {
  const reader = createProofreader()
  reader.take([{ id: 's', doc: docOf(...paras) }])
  return reader.doubts({ language: 'en-GB', words: [], left: [], ...ask }, speller)
}
const doubted = (paras: readonly string[], kind: string, language = 'en-GB'): string[] =>
  read(paras, { kinds: [kind], language }).doubts.map(d => d.was)
const mended = (paras: readonly string[], kind: string, language = 'en-GB'): string[] => {
  const { doubts } = read(paras, { kinds: [kind], language })
  const book: Book = { ...bookOf([]), sections: [chapter('s', '', docOf(...paras))] }
  const all = doubts.map(doubt => ({ doubt, words: doubt.remedies[0] ?? doubt.was }))
  return linesOf(withRemedies(book, all).book.sections[0]!.doc).map(l => l.text)
}
const times = (n: number, words: string): string => Array.from({ length: n }, () => words).join(' ')

describe('kinds that see what is wrong in a line', () => {
  test('a word twice; what a language says twice is no doubt', () => {
    expect(mended(['It was the the harbour, and he had had enough that that day.'], 'twice')).toEqual([
      'It was the harbour, and he had had enough that that day.',
    ])
    expect(doubted(['Er sagte, dass die die Tür öffnen und und gehen.'], 'twice', 'de')).toEqual(['und und'])
    expect(doubted(['“No,” no, no. Bora Bora.'], 'twice')).toEqual([])
  })
  test('spaces: several, and at the ends', () => {
    expect(mended(['One  two   three.', ' Begun late. ', 'Clean.'], 'spaces')).toEqual([
      'One two three.',
      'Begun late.',
      'Clean.',
    ])
  })
  test('spaces at signs; numbers, dots in a row and addresses are left', () => {
    expect(
      mended(['Well ,now and then ; so ( it went ) .', 'It cost 1,000.50, said www.harbour.example/a,b …'], 'signs'),
    ).toEqual(['Well, now and then; so (it went).', 'It cost 1,000.50, said www.harbour.example/a,b …'])
    expect(doubted(['Vraiment ? Oui : c’est vrai , enfin.'], 'signs', 'fr')).toEqual([' '])
  })
  test('quotes and brackets without their others; speech that goes on in the next paragraph opens there again', () => {
    expect(doubted(['“Never,” she said. “Not (once in her life.', 'Then it was over.'], 'pairs')).toEqual(['“', '('])
    expect(doubted(['“It began so.', '“And ended so.”'], 'pairs')).toEqual([])
    expect(doubted(['He closed it.” a) first 1) second [so}'], 'pairs')).toEqual(['”', '[', '}'])
    expect(doubted(['„Ja“, sagte er. „Nein.', 'Ende.'], 'pairs', 'de')).toEqual(['„'])
    expect(doubted(['”Ja”, sade han. ”Nej.', 'Slut.'], 'pairs', 'sv')).toEqual(['”'])
  })
  test('small letters at a sentence’s start, not behind shortened words or what is called out', () => {
    expect(
      mended(['It rained. then it stopped. “Where?” she said. At 5 p.m. he left, etc. and so on… or not.'], 'starts'),
    ).toEqual(['It rained. Then it stopped. “Where?” she said. At 5 p.m. he left, etc. and so on… or not.'])
    expect(doubted(['— Quoi ? dit-il. elle partit.'], 'starts', 'fr')).toEqual(['elle'])
  })
  test('sentences that start alike', () => {
    const { doubts } = read(['He came. He saw. He left. She did not.', 'He came. She saw. He left.'], {
      kinds: ['alike'],
    })
    expect(doubts.map(d => [d.was, d.from, d.says])).toEqual([['He', 17, '3 sentences in a row start so']])
  })
})

describe('kinds that know the book', () => {
  test('a name a letter away from one that stands oftener', () => {
    const paras = [
      'Then Quill came, and Quill said to Marlow: ask Quill. So Quil went with Marlow’s, and Qiull’s boat.',
    ]
    expect(mended(paras, 'names')).toEqual([
      'Then Quill came, and Quill said to Marlow: ask Quill. So Quill went with Marlow’s, and Quill’s boat.',
    ])
    expect(doubted(['So Anna came. Then Anna and Hannah saw Anna.'], 'names')).toEqual([])
  })
  test('a word in two spellings, capitals kept', () => {
    const paras = ['They organise it; she organised it. Grey, grey. Organize it: gray? The café, the café, a cafe.']
    expect(mended(paras, 'spellings')).toEqual([
      'They organise it; she organised it. Grey, grey. Organise it: grey? The café, the café, a café.',
    ])
    expect(doubted(['A prize to prise open; wise, four and for; rose, rosé.'], 'spellings')).toEqual([])
    expect(doubted(['Il va à la mer; elle a un bateau, où ou non.'], 'spellings', 'fr')).toEqual([])
  })
  test('a word with its hyphen and without', () => {
    expect(doubted([`${times(3, 'The gauge-house stood.')} A gaugehouse, a gauge house.`], 'hyphens')).toEqual([
      'gaugehouse',
      'gauge house',
    ])
    expect(doubted(['She had grown up, a grown-up. Twenty-one, twenty, one.'], 'hyphens')).toEqual([])
  })
  test('numbers otherwise than the book has them, small and larger apart', () => {
    const words = 'Three boats, five men and seven days.'
    expect(mended([words, 'Then 4 came, at 10:30, on 5 June, for £6, 7%, 8.5, no. 2, in Room 9.'], 'numbers')).toEqual([
      words,
      'Then four came, at 10:30, on 5 June, for £6, 7%, 8.5, no. 2, in Room 9.',
    ])
    expect(doubted(['Three, four, five. In 40, 50 and 60 ways, or seventy.'], 'numbers')).toEqual(['seventy'])
    expect(doubted(['Drei Boote, vier Männer, fünf Tage und 6 Nächte.'], 'numbers', 'de')).toEqual(['6'])
  })
  test('letters behind colons; a name is no habit', () => {
    const paras = ['One: then so. Two: and so. Three: so it was. Four: Then again. Five: Quill. and then']
    expect(mended(paras, 'colons')).toEqual([paras[0]!.replace('Then again', 'then again')])
  })
  test('a word that a section uses much oftener, and a phrase that comes again', () => {
    const reader = createProofreader()
    const filler = (n: number): string[] =>
      Array.from({ length: n }, (_, i) => `Word${'abcdefghij'[i % 10]} thing${i % 17} stood${i % 13} there${i % 7}.`)
    reader.take([
      { id: 'a', doc: docOf(times(8, 'suddenly it rang.'), ...filler(60)) },
      { id: 'b', doc: docOf('suddenly quiet', ...filler(200), times(4, 'the cold grey water rose.')) },
    ])
    const { doubts } = reader.doubts({ language: 'en', kinds: ['overused'], words: [], left: [] })
    expect(doubts.find(d => d.was === 'suddenly')).toMatchObject({ section: 'a', line: 0, from: 0 })
    expect(doubts.some(d => d.section === 'b' && d.was === 'suddenly')).toBe(false)
    expect(doubts.find(d => d.was === 'cold grey water')?.says).toContain('4 times')
  })
})

describe('words', () => {
  const listed = new Set('the bell rang and they went home it is well known so do not a at'.split(' '))
  const speller: Speller = { right: w => listed.has(w) || listed.has(w.toLowerCase()) }
  const ask = { kinds: ['spelling'] }
  test('those in no list are doubted; the book’s own and the author’s are not', () => {
    const text = ['The bel rang. The bell’s rnag is well-known at https://x.example/zzz.']
    expect(read(text, ask, speller).doubts.map(d => d.was)).toEqual(['bel', 'rnag'])
    expect(read(text, { ...ask, words: ['bel', 'rnag'] }, speller).doubts).toEqual([])
    // Where there is no dictionary nothing is said.
    expect(read(text, ask).doubts).toEqual([])
  })
  test('names are learnt by their capitals and their count', () => {
    const text = [
      'The bell and Quill rang. Quill went home, and Quill’s bell rang. Vell and Vell went. Rnag. Rnag. Rnag.',
    ]
    const { doubts, learnt } = read(text, ask, speller)
    expect(learnt).toEqual(['Quill'])
    expect(doubts.map(d => d.was)).toEqual(['Vell', 'Vell', 'Rnag', 'Rnag', 'Rnag'])
  })
  test('what is in another language is not looked up', () => {
    const doc: DocJson = {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          attrs: { id: 'b' },
          content: [
            { type: 'text', text: 'The bell ' },
            { type: 'text', text: 'sonnait', marks: [{ type: 'language', attrs: { tag: 'fr' } }] },
            { type: 'text', text: ' sonnait.' },
          ],
        },
      ],
    }
    const reader = createProofreader()
    reader.take([{ id: 's', doc }])
    const { doubts } = reader.doubts({ language: 'en', words: [], left: [], ...ask }, speller)
    expect(doubts.map(d => [d.was, d.from])).toEqual([['sonnait', 17]])
  })
})

describe('what is told', () => {
  test('a doubt is left at its place, or wherever it is; told no more, it is there again', () => {
    const text = ['The the bell.', 'And the the end.']
    const all = (left: readonly string[]): Doubt[] => read(text, { kinds: ['twice'], left }).doubts
    const [first, second] = all([]) as [Doubt, Doubt]
    expect(all([placeKey(first)])).toEqual([second])
    expect(all([everywhereKey(first)!])).toEqual([])
    const told = keptTold(keptTold(undefined, { left: placeKey(first) }, true), { word: 'bel' }, true)
    expect(told).toEqual({ words: ['bel'], left: [placeKey(first)] })
    expect(keptTold(keptTold(told, { left: placeKey(first) }, false), { word: 'bel' }, false)).toBeUndefined()
  })
})

const everything: ProofAsk = { language: 'en-GB', kinds: proofKinds.map(k => k.id), words: [], left: [] }
const sectionsOf = (book: Book) => book.sections.map(({ id, doc, title }) => ({ id, doc, ...(title ? { title } : {}) }))

test('any book: doubts stand where they say, a reader that went along says the same as one that begins anew, and no remedy takes more than what was doubted', () => {
  fc.assert(
    fc.property(anyBook, anyBook, (one, other) => {
      const along = createProofreader()
      along.take(sectionsOf(one))
      along.doubts(everything)
      along.take(sectionsOf(other))
      const fresh = createProofreader()
      fresh.take(sectionsOf(other))
      const { doubts } = fresh.doubts(everything)
      expect(along.doubts(everything).doubts).toEqual(doubts)
      for (const d of doubts) {
        const section = other.sections.find(s => s.id === d.section)!
        const text = d.line < 0 ? section.title! : linesOf(section.doc)[d.line]!.text
        expect(text.slice(d.from, d.to)).toBe(d.was)
        const [words] = d.remedies
        if (words === undefined || section.made) continue
        const made = withRemedies(other, [{ doubt: d, words }]).book.sections.find(s => s.id === d.section)!
        const before = docText(section.doc).length + (section.title ?? '').length
        expect(docText(made.doc).length + (made.title ?? '').length).toBe(before + words.length - d.was.length)
      }
    }),
    { numRuns: cases(120, 4000) },
  )
})

test('what a word was meant as: what changed places and what the book says come first', () => {
  const count = (w: string): number => ({ the: 9, ten: 2 })[w] ?? 0
  expect(likeliest('teh', ['ten', 'tech', 'the'], count)).toEqual(['the', 'ten', 'tech'])
  expect(likeliest('recieve', ['relieve', 'receive'], () => 0)).toEqual(['receive', 'relieve'])
})

test('the names of a book’s data are words of it', () => {
  const { data } = bookOf([], 'The Tidewarden’s Almanac')
  const words = dataWords({ ...data, contributors: [{ name: 'Orla Fenwright', role: 'aut' }] })
  expect(words).toEqual(expect.arrayContaining(["Tidewarden's", 'Orla', 'Fenwright']))
})

describe('what a reader remembers', () => {
  const ask: ProofAsk = { language: 'en-GB', kinds: ['twice', 'hyphens'], words: [], left: [] }
  test('a section that goes takes its words along; one that comes back is read again', () => {
    const reader = createProofreader()
    const a = { id: 'a', doc: docOf('The gauge-house, the gauge-house, the gauge-house.') }
    const b = { id: 'b', doc: docOf('A gaugehouse.') }
    const doubted = (): string[] => reader.doubts(ask).doubts.map(d => `${d.section} ${d.was}`)
    reader.take([a, b])
    expect(doubted()).toEqual(['b gaugehouse'])
    reader.take([b])
    expect([doubted(), reader.count('gauge')]).toEqual([[], 0])
    reader.take([b, a])
    expect(doubted()).toEqual(['b gaugehouse'])
  })
  test('another language sees with other eyes', () => {
    const reader = createProofreader()
    reader.take([{ id: 'a', doc: docOf('Ich sah, dass die die Tür sahen.') }])
    const twice = (language: string): number => reader.doubts({ ...ask, language }).doubts.length
    expect([twice('en'), twice('de'), twice('en')]).toEqual([1, 0, 1])
  })
  test('titles are read, and mended', () => {
    const reader = createProofreader()
    reader.take([{ id: 's', title: 'The the Bell', doc: docOf('It rang.') }])
    const { doubts } = reader.doubts(ask)
    expect(doubts).toMatchObject([{ line: -1, block: '', was: 'The the', remedies: ['The'] }])
    const book: Book = { ...bookOf([]), sections: [chapter('s', 'The the Bell', docOf('It rang.'))] }
    const mended = withRemedies(book, [{ doubt: doubts[0]!, words: 'The' }])
    expect([mended.changed, mended.book.sections[0]!.title]).toEqual([1, 'The Bell'])
    // It says something else by now.
    expect(withRemedies(mended.book, [{ doubt: doubts[0]!, words: 'The' }]).changed).toBe(0)
  })
  test('several remedies in one line each find their place', () => {
    const book: Book = { ...bookOf([]), sections: [chapter('s', '', docOf('So  the the bell ,it rang rang twice.'))] }
    const reader = createProofreader()
    reader.take([{ id: 's', doc: book.sections[0]!.doc }])
    const { doubts } = reader.doubts({ ...ask, kinds: ['twice', 'spaces', 'signs'] })
    const made = withRemedies(
      book,
      doubts.map(doubt => ({ doubt, words: doubt.remedies[0]! })),
    )
    expect([made.changed, linesOf(made.book.sections[0]!.doc)[0]!.text]).toEqual([4, 'So the bell, it rang twice.'])
  })
})
