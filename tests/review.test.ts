import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type BlockJson,
  type Book,
  docText,
  eachInline,
  inlineText,
  type Section,
  threadOf,
  withOwnIds,
  inParts,
} from '@/core/book'
import { against, returnedCopy, reviewOf, taken, withRemarks } from '@/core/review'
import { anyBook, anyDoc } from './support/arbitrary'
import { bookOf } from './support/core'
import { cases } from './support/deep'

const NONE = new Set<string>()
const review = (sent: Book, back: Book) => reviewOf({ sent, back, told: {}, by: 'Ada', when: 1 })
const keysOf = (sent: Book, back: Book, now: Book): Set<string> =>
  new Set(against(review(sent, back), now, NONE).differences.map(d => d.key))
const texts = (book: Book): string[][] =>
  book.sections.filter(s => !s.made).map(s => s.doc.content.map(b => docText({ type: 'doc', content: [b] })))

/** A text as it is edited: paragraphs of words, each told by a name that no other has. */
interface Word {
  name: string
  text: string
  bold?: boolean
}
interface Para {
  id: string
  words: Word[]
}
type Edit =
  | { does: 'replace' | 'delete' | 'add' | 'bold' | 'divide'; para: number; word: number }
  | { does: 'remove' | 'insert'; para: number; word?: undefined }

const bookFrom = (chapters: readonly Para[][]): Book => {
  const shell = bookOf(chapters.map(() => ['x']))
  const sections = shell.sections
    .filter(s => !s.made)
    .map((s, i): Section => ({
      ...s,
      doc: {
        type: 'doc',
        content: chapters[i]!.map(({ id, words }): BlockJson => {
          const content = words.flatMap((w, n) => [
            ...(n ? [{ type: 'text' as const, text: ' ' }] : []),
            { type: 'text' as const, text: w.text, ...(w.bold && { marks: [{ type: 'strong' as const }] }) },
          ])
          return { type: 'paragraph', attrs: { id, align: null }, ...(content.length && { content }) }
        }),
      },
    }))
  return { ...shell, sections, lastId: 9000 }
}

const PARAS = 6
const WORDS = 24
const chapters: Para[][] = [0, 1].map(c =>
  [0, 1, 2].map(p => ({
    id: `b${c * 3 + p + 1}`,
    words: Array.from({ length: WORDS }, (_, w) => ({ name: `c${c}p${p}w${w}`, text: `c${c}p${p}w${w}` })),
  })),
)

/** The chapters with edits of one side, each independent of all others. */
function edited(from: readonly Para[][], edits: readonly Edit[], side: string): Para[][] {
  const all = chapters.flat()
  const out = from.map(c => c.map(p => ({ ...p, words: [...p.words] })))
  const find = (id: string): [Para[], number] => {
    const chapter = out.find(c => c.some(p => p.id === id))!
    return [chapter, chapter.findIndex(p => p.id === id)]
  }
  for (const e of edits) {
    const { id, words } = all[e.para]!
    const [chapter, at] = find(id)
    const fresh = `${side}${e.para}${e.word !== undefined ? `n${e.word}` : 'p'}`
    if (e.does === 'remove') chapter.splice(at, 1)
    else if (e.does === 'insert')
      chapter.splice(at + 1, 0, {
        id: `b${side === 'theirs' ? 7000 + e.para : 8000 + e.para}`,
        words: [
          { name: fresh, text: fresh },
          { name: 'x', text: 'entirely' },
        ],
      })
    else if (e.word !== undefined) {
      const { name } = words[e.word]!
      // The word may stand in what its paragraph was divided into.
      const holder = out.flat().find(p => p.words.some(w => w.name === name))!
      const n = holder.words.findIndex(w => w.name === name)
      if (e.does === 'replace') holder.words[n] = { ...holder.words[n]!, text: fresh }
      else if (e.does === 'delete') holder.words.splice(n, 1)
      else if (e.does === 'add') holder.words.splice(n + 1, 0, { name: fresh, text: fresh })
      else if (e.does === 'bold') holder.words[n] = { ...holder.words[n]!, bold: true }
      else {
        const tail = holder.words.splice(n + 1)
        const [home, i] = find(holder.id)
        home.splice(i + 1, 0, { id: `b${side === 'theirs' ? 5000 + e.para : 6000 + e.para}`, words: tail })
      }
    }
  }
  return out
}

/** Edits of both sides that do not touch: a paragraph is one side's to remove, words are edited six apart. */
const apart = fc
  .array(
    fc.record({
      whole: fc.constantFrom('none', 'none', 'none', 'remove', 'insert'),
      mine: fc.boolean(),
      words: fc.array(
        fc.record({
          does: fc.constantFrom<'replace' | 'delete' | 'add' | 'bold' | 'none'>(
            'replace',
            'delete',
            'add',
            'bold',
            'none',
          ),
          mine: fc.boolean(),
        }),
        { minLength: 4, maxLength: 4 },
      ),
      divided: fc.option(fc.boolean(), { freq: 4 }),
    }),
    { minLength: PARAS, maxLength: PARAS },
  )
  .map(list => {
    const sides: { mine: Edit[]; theirs: Edit[] } = { mine: [], theirs: [] }
    list.forEach(({ whole, mine, words, divided }, para) => {
      if (whole === 'remove') return void sides[mine ? 'mine' : 'theirs'].push({ does: 'remove', para })
      if (whole === 'insert') sides[mine ? 'mine' : 'theirs'].push({ does: 'insert', para })
      words.forEach((w, i) => {
        if (w.does !== 'none') sides[w.mine ? 'mine' : 'theirs'].push({ does: w.does, para, word: 2 + i * 6 })
      })
      if (divided !== null && whole !== 'insert')
        sides[divided ? 'mine' : 'theirs'].push({ does: 'divide', para, word: 11 })
    })
    return sides
  })

/** Paragraphs with their words and which of them are bold, without names. */
const seen = (book: Book): string[][] =>
  book.sections
    .filter(s => !s.made)
    .map(s =>
      s.doc.content
        .map(b =>
          ((b as { content?: { text: string; marks?: unknown[] }[] }).content ?? [])
            .map(n => (n.marks?.length ? `*${n.text}*` : n.text))
            .join('')
            .replace(/\s+/g, ' ')
            .trim(),
        )
        // A section holds an empty paragraph where all of it went.
        .filter(Boolean),
    )

test('edits of both sides that do not touch are merged without a question and without a loss', () => {
  fc.assert(
    fc.property(apart, ({ mine, theirs }) => {
      const sent = bookFrom(chapters)
      const back = bookFrom(edited(chapters, theirs, 'theirs'))
      const now = bookFrom(edited(chapters, mine, 'mine'))
      const r = review(sent, back)
      const { differences } = against(r, now, NONE)
      expect(differences.filter(d => d.clash)).toEqual([])
      expect(differences.length > 0).toBe(theirs.length > 0)
      const all = taken(r, now, new Set(differences.map(d => d.key)))
      expect(seen(all)).toEqual(seen(bookFrom(edited(edited(chapters, mine, 'mine'), theirs, 'theirs'))))
      // All is in: nothing differs any more.
      expect(against(r, all, NONE).differences).toEqual([])
      // None taken: the author's stays as it is. All refused: nothing is asked again.
      expect(taken(r, now, NONE)).toEqual(now)
      expect(against(r, now, new Set(differences.flatMap(d => [d.key, ...d.key.split('+')]))).differences).toEqual([])
    }),
    { numRuns: cases(100, 3000) },
  )
})

test('one by one, in any order, comes to the same as all at once', () => {
  fc.assert(
    fc.property(apart, fc.infiniteStream(fc.nat()), ({ mine, theirs }, picks) => {
      const r = review(bookFrom(chapters), bookFrom(edited(chapters, theirs, 'theirs')))
      let now = bookFrom(edited(chapters, mine, 'mine'))
      const all = taken(r, now, new Set(against(r, now, NONE).differences.map(d => d.key)))
      for (;;) {
        const { differences } = against(r, now, NONE)
        if (!differences.length) break
        const d = differences[picks.next().value! % differences.length]!
        const next = taken(r, now, new Set([d.key]))
        expect(against(r, next, NONE).differences.length).toBeLessThan(differences.length)
        now = next
      }
      expect(seen(now)).toEqual(seen(all))
    }),
    { numRuns: cases(25, 600) },
  )
})

test('edits of both sides that touch are all shown, with the three texts; whichever is chosen stands', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.tuple(fc.nat(PARAS - 1), fc.nat(WORDS - 1)), {
        minLength: 1,
        maxLength: 5,
        selector: t => t[0],
      }),
      fc.constantFrom<'replace' | 'add'>('replace', 'add'),
      (places, does) => {
        const edits = places.map(([para, word]): Edit => ({ does, para, word }))
        const sent = bookFrom(chapters)
        const back = bookFrom(edited(chapters, edits, 'theirs'))
        const now = bookFrom(edited(chapters, edits, 'mine'))
        const r = review(sent, back)
        const { differences } = against(r, now, NONE)
        expect(differences.length).toBe(places.length)
        for (const [para, word] of places) {
          const own = differences.find(d => d.clash?.yours.includes(`mine${para}n${word}`))!
          expect(own.clash!.theirs).toContain(`theirs${para}n${word}`)
          expect(own.block).toBe(`b${para + 1}`)
          if (does === 'replace') expect(own.clash!.sent).toContain(chapters.flat()[para]!.words[word]!.text)
        }
        expect(seen(taken(r, now, new Set(differences.map(d => d.key))))).toEqual(seen(back))
      },
    ),
    { numRuns: cases(50, 1000) },
  )
})

/** What somebody does to a book: blocks gone, moved, changed to others, come; titles changed, sections joined and begun. */
const anyEdits = fc.array(
  fc.tuple(
    fc.constantFrom('drop', 'move', 'text', 'new', 'title', 'facts', 'swap', 'join', 'begin'),
    fc.nat(30),
    fc.nat(30),
    anyDoc,
  ),
  { minLength: 1, maxLength: 6 },
)
type Edits = typeof anyEdits extends fc.Arbitrary<infer T> ? T : never
const sentOf = (any: Book): Book => withOwnIds({ ...any, sections: any.sections.filter(s => !s.made) })

function afterEdits(sent: Book, edits: Edits): Book {
  const sections = sent.sections.map(s => ({ ...s, doc: { ...s.doc, content: [...s.doc.content] } }))
  for (const [does, a, b, doc] of edits) {
    const s = sections[a % sections.length]!
    const t = sections[b % sections.length]!
    const { content } = s.doc
    const at = b % content.length
    if (does === 'drop' && content.length > 1) content.splice(at, 1)
    else if (does === 'move' && content.length > 1)
      t.doc.content.splice(a % (t.doc.content.length + 1), 0, ...content.splice(at, 1))
    else if (does === 'swap') content.push(...content.splice(0, content.length > 1 ? 1 : 0))
    else if (does === 'text')
      content[at] = {
        ...doc.content[0]!,
        attrs: { ...doc.content[0]!.attrs, id: content[at]!.attrs.id },
      } as BlockJson
    else if (does === 'new') content.splice(at, 0, doc.content[0]!)
    else if (does === 'title') s.title = `${s.title} anew`
    else if (does === 'facts') {
      if (a % 2) Object.assign(s, { role: 'interlude', part: 'body' })
      if (b % 2) s.numbered = !s.numbered
      if (b % 3 === 0) s.unlisted = true
      if (a % 3 === 0) delete s.unprinted
      if (a % 5 === 0) s.picture = { asset: 'a'.repeat(64), alt: `Picture ${b}`, decoration: false }
    } else if (does === 'join' && sections.length > 1 && sections[0] !== s) {
      const i = sections.indexOf(s)
      sections[i - 1]!.doc.content.push(...content)
      sections.splice(i, 1)
    } else if (does === 'begin' && content.length > 1) {
      const tail = content.splice(1 + (b % (content.length - 1)))
      const fresh = { ...s, id: `s${800_000 + a * 31 + b}`, title: 'Begun', doc: { ...s.doc, content: tail } }
      if (!sections.some(x => x.id === fresh.id)) sections.splice(sections.indexOf(s) + 1, 0, fresh)
      else content.push(...tail)
    }
  }
  return withOwnIds({ ...sent, sections: inParts(sections) })
}

/** A book as others may bring it back. */
const anyReturn = fc.tuple(anyBook, anyEdits).map(([any, edits]) => {
  const sent = sentOf(any)
  return { sent, back: afterEdits(sent, edits) }
})

test('whatever comes back: nobody else having written, all of it taken is what came back', () => {
  fc.assert(
    fc.property(anyReturn, ({ sent, back }) => {
      const r = review(sent, back)
      const { differences } = against(r, sent, NONE)
      expect(differences.filter(d => d.clash)).toEqual([])
      const all = taken(r, sent, new Set(differences.map(d => d.key)))
      expect(all.sections.map(({ doc: _doc, ...facts }) => facts)).toEqual(
        back.sections.map(({ doc: _doc, ...facts }) => facts),
      )
      expect(texts(all)).toEqual(texts(back))
      expect(against(r, all, NONE).differences.map(d => d.key)).toEqual([])
    }),
    { numRuns: cases(100, 3000) },
  )
})

test('whatever both did: with all taken that nobody else wrote at, every word that the author wrote since still stands', () => {
  const own = (book: Book, sent: Book): string[] => {
    const had = new Set(sent.sections.flatMap(s => s.doc.content.map(b => b.attrs.id)))
    return book.sections.flatMap(s =>
      s.doc.content.filter(b => !had.has(b.attrs.id)).map(b => docText({ type: 'doc', content: [b] })),
    )
  }
  fc.assert(
    fc.property(anyBook, anyEdits, anyEdits, (any, mine, theirs) => {
      const sent = sentOf(any)
      const now = afterEdits(sent, mine)
      const back = afterEdits(sent, theirs)
      // What both named alike came of two hands.
      const r = review(sent, { ...back, sections: renamed(back, sent) })
      const { differences } = against(r, now, NONE)
      const all = taken(r, now, new Set(differences.filter(d => !d.clash).map(d => d.key)))
      const said = texts(all).flat()
      for (const words of own(now, sent)) if (words.trim()) expect(said.some(t => t.includes(words))).toBe(true)
      expect(withOwnIds(all)).toBe(all)
      // All questions answered their way, nothing is asked for ever.
      let last = all
      for (let i = 0; i < 4; i++) last = taken(r, last, new Set(against(r, last, NONE).differences.map(d => d.key)))
      expect(
        against(r, last, NONE)
          .differences.filter(d => d.kind !== 'moved')
          .map(d => d.key),
      ).toEqual([])
    }),
    { numRuns: cases(60, 2000) },
  )
})

/** Sections in which what is new has names of its own, as it has when it comes in. */
const renamed = (back: Book, sent: Book): Section[] => returnedCopy(back, sent, 950_000).sections

describe('a return', () => {
  const sent = bookOf([
    ['The bell rang once.', 'Nobody came to the harbour that night.', 'Ada closed the book.'],
    ['It was spring.'],
  ])
  const change = (book: Book, make: (s: Section[]) => Section[]): Book => ({ ...book, sections: make(book.sections) })
  const inFirst = (book: Book, make: (content: BlockJson[]) => BlockJson[]): Book => {
    let done = false
    return change(book, all =>
      all.map(s => {
        if (s.made || done) return s
        done = true
        return { ...s, doc: { ...s.doc, content: make(s.doc.content) } }
      }),
    )
  }
  const ids = sent.sections.filter(s => !s.made).flatMap(s => s.doc.content.map(b => b.attrs.id))

  test('a moved paragraph is seen as moved, and taken to its place', () => {
    const back = inFirst(sent, ([a, b, c]) => [b!, c!, a!])
    const { differences } = against(review(sent, back), sent, NONE)
    expect(differences.map(d => [d.kind, d.block])).toEqual([['moved', ids[0]]])
    expect(differences[0]!.about).toBe('moved behind “Ada closed the book.”')
    expect(texts(taken(review(sent, back), sent, keysOf(sent, back, sent)))[0]).toEqual([
      'Nobody came to the harbour that night.',
      'Ada closed the book.',
      'The bell rang once.',
    ])
  })

  test('what they changed and the author took out since is asked, and comes back where it stood', () => {
    const back = inFirst(sent, ([a, b, c]) => [
      a!,
      { ...b!, content: [{ type: 'text', text: 'Nobody came to the harbour that long night.' }] } as BlockJson,
      c!,
    ])
    const now = inFirst(sent, ([a, , c]) => [a!, c!])
    const [d, ...rest] = against(review(sent, back), now, NONE).differences
    expect(rest).toEqual([])
    expect(d!.clash).toEqual({
      sent: 'Nobody came to the harbour that night.',
      theirs: 'Nobody came to the harbour that long night.',
      yours: '',
    })
    expect(d!.block).toBe(ids[0])
    expect(texts(taken(review(sent, back), now, new Set([d!.key])))[0]![1]).toContain('long night')
  })

  test('a section whose heading went goes on in the one before, with all that both wrote; one that is begun takes what stands in it', () => {
    const [a, b] = sent.sections.filter(s => !s.made) as [Section, Section]
    const joined = { ...sent, sections: [{ ...a, doc: { ...a.doc, content: [...a.doc.content, ...b.doc.content] } }] }
    const mine = {
      type: 'paragraph',
      attrs: { id: 'b777', align: null },
      content: [{ type: 'text', text: 'And warm.' }],
    } as BlockJson
    const now = { ...sent, sections: [a, { ...b, doc: { ...b.doc, content: [...b.doc.content, mine] } }] }
    const { differences } = against(review(sent, joined), now, NONE)
    expect(differences.map(d => [d.kind, d.about])).toEqual([['went', 'its text goes on in the section before']])
    const all = taken(review(sent, joined), now, new Set(differences.map(d => d.key)))
    expect(texts(all)).toEqual([[...texts(sent)[0]!, 'It was spring.', 'And warm.']])
    // Asked the other way: what the author wrote in what is divided goes along.
    const back = review(joined, { ...sent, sections: [a, b] })
    const warm = {
      ...joined,
      sections: [
        {
          ...joined.sections[0]!,
          doc: {
            ...a.doc,
            content: [
              ...a.doc.content,
              { ...b.doc.content[0]!, content: [{ type: 'text', text: 'It was a warm spring.' }] } as BlockJson,
            ],
          },
        },
      ],
    }
    const begun = against(back, warm, NONE).differences
    expect(begun.map(d => [d.kind, d.about])).toEqual([['came', 'a section begins here']])
    expect(texts(taken(back, warm, new Set(begun.map(d => d.key))))[1]).toEqual(['It was a warm spring.'])
  })

  test('two readers: what one changed and was taken is no question of the other; the same words are', () => {
    const say = (text: string) =>
      inFirst(sent, ([a, b, c]) => [{ ...a!, content: [{ type: 'text', text }] } as BlockJson, b!, c!])
    const [one, other, third] = [
      say('The bell rang twice.'),
      say('The great bell rang once.'),
      say('The bell rang thrice.'),
    ]
    const now = taken(review(sent, one), sent, keysOf(sent, one, sent))
    const second = against(review(sent, other), now, NONE).differences
    expect(second.map(d => [d.kind, !!d.clash])).toEqual([['words', false]])
    const both = taken(review(sent, other), now, new Set(second.map(d => d.key)))
    expect(texts(both)[0]![0]).toBe('The great bell rang twice.')
    expect(against(review(sent, third), both, NONE).differences[0]!.clash).toEqual({
      sent: 'once',
      theirs: 'thrice',
      yours: 'twice',
    })
  })

  test('one of two that the author’s own change meets was refused: the other is taken by itself', () => {
    const said = (text: string): Book =>
      inFirst(sent, ([a, ...rest]) => [{ ...a!, content: [{ type: 'text', text }] } as BlockJson, ...rest])
    const r = reviewOf({ sent, back: said('The clock rang thrice.'), told: {}, by: 'Ada', when: 1 })
    const now = said('A small gong sang out.')
    const [both] = against(r, now, NONE).differences
    const [first] = both!.key.split('+')
    const left = new Set([both!.key, first!])
    const open = against(r, now, left).differences
    expect([both!.key.includes('+'), open.length]).toEqual([true, 1])
    const next = taken(r, now, new Set(open.map(d => d.key)), left)
    expect(texts(next)[0]![0]).toContain('thrice')
    expect(against(r, next, left).differences).toEqual([])
  })

  test('who and when are those of the record that was kept, and of who brought it otherwise', () => {
    const back = inFirst(sent, ([a, b, c]) => [
      { ...a!, content: [{ type: 'text', text: 'The bell rang twice.' }] } as BlockJson,
      b!,
      { ...c!, content: [{ type: 'text', text: 'Ada shut the book.' }] } as BlockJson,
    ])
    const told = {
      [ids[0]!]: [
        { did: 'went' as const, by: 'Bo', when: 5, words: 'once' },
        { did: 'came' as const, by: 'Cy', when: 7, words: 'twice' },
      ],
    }
    const { differences } = against(reviewOf({ sent, back, told, by: 'Ada', when: 1 }), sent, NONE)
    expect(differences.map(d => [d.by, d.when])).toEqual([
      ['Bo', 5],
      ['Ada', 1],
    ])
  })

  test('what the book says of itself: one value changed there and another here both stand; the same one is asked', () => {
    const back = { ...sent, data: { ...sent.data, title: 'Another Book', subtitle: 'With Bells' } }
    const now = { ...sent, data: { ...sent.data, title: 'My Book', year: 2027 } }
    const { differences } = against(review(sent, back), now, NONE)
    expect(differences.map(d => [d.about, d.clash])).toEqual([
      ['title', { sent: 'A Book', theirs: 'Another Book', yours: 'My Book' }],
      ['subtitle', undefined],
    ])
    expect(taken(review(sent, back), now, new Set([differences[1]!.key])).data).toEqual({
      ...now.data,
      subtitle: 'With Bells',
    })
  })
})

test('what a section is: one fact changed there and another here both stand; the same one is asked; parts stay in their order', () => {
  const sent = bookOf([['One.'], ['Two.'], ['Three.']])
  const [one, two] = sent.sections.filter(s => !s.made) as [Section, Section]
  const said = (id: string, patch: Partial<Section>, of = sent): Book => ({
    ...of,
    sections: inParts(of.sections.map(s => (s.id === id ? { ...s, ...patch } : s))),
  })
  const back = said(two.id, { role: 'afterword', part: 'back' }, said(one.id, { role: 'interlude', numbered: false }))
  const now = said(one.id, { role: 'part', title: 'Begun' })
  const { differences } = against(review(sent, back), now, NONE)
  expect(differences.map(d => [d.section, d.about, d.parts.at(-1)!.text, d.clash])).toEqual([
    [one.id, 'what it is', 'Interlude', { sent: 'Chapter', theirs: 'Interlude', yours: 'Part' }],
    [one.id, 'its number', 'without a number', undefined],
    [two.id, 'what it is', 'Afterword', undefined],
    [undefined, 'sections in another order', expect.any(String), undefined],
  ])
  const free = new Set(differences.filter(d => !d.clash).map(d => d.key))
  const all = taken(review(sent, back), now, free)
  expect(all.sections.filter(s => !s.made).map(s => [s.id, s.role, s.numbered, s.title])).toEqual([
    [one.id, 'part', false, 'Begun'],
    ...sent.sections
      .filter(s => !s.made && ![one.id, two.id].includes(s.id))
      .map(s => [s.id, s.role, s.numbered, s.title]),
    [two.id, 'afterword', two.numbered, two.title],
  ])
  expect(inParts(all.sections)).toBe(all.sections)
})

describe('what others say of the text', () => {
  const SAYS = { words: 'Which one?', by: 'Ada', when: 7 }
  const remarks = (book: Book): string[] => {
    const out: string[] = []
    for (const s of book.sections)
      if (!s.made)
        eachInline(s.doc, content => {
          for (const n of content)
            for (const m of n.marks ?? [])
              if (m.type === 'remark') out.push([inlineText([n]), ...threadOf(m.attrs).map(t => t.words)].join('|'))
        })
    return out
  }
  const sent = bookOf([['The bell of the harbour rang, and the bell fell.', 'Nobody came.']])
  const para = (book: Book, at: number, ...content: object[]): Book => ({
    ...book,
    sections: book.sections.map(s =>
      s.made
        ? s
        : {
            ...s,
            doc: { ...s.doc, content: s.doc.content.map((b, i) => (i === at ? ({ ...b, content } as BlockJson) : b)) },
          },
    ),
  })
  const text = (words: string, remark?: object) => ({
    type: 'text',
    text: words,
    ...(remark && { marks: [{ type: 'remark', attrs: remark }] }),
  })
  const back = para(sent, 0, text('The bell of the harbour rang, and the '), text('bell', SAYS), text(' fell.'))

  test('it stands at its words, the nearest to where it was said, whatever was written since', () => {
    const now = para(sent, 0, text('Once the bell of the harbour rang, and then the bell fell.'))
    const placed = withRemarks(now, sent, back)
    expect([placed.came, placed.elsewhere]).toEqual([1, 0])
    expect(remarks(placed.book)).toEqual(['bell|Which one?'])
    expect(texts(placed.book)).toEqual(texts(now))
  })
  test('where its words have gone it stands at its paragraph, and where that has gone at the one before; both are told', () => {
    const gone = para(sent, 0, text('Silence.'))
    expect(remarks(withRemarks(gone, sent, back).book)).toEqual(['Silence.|Which one?'])
    expect(withRemarks(gone, sent, back).elsewhere).toBe(1)
    const second = para(sent, 1, text('Nobody', SAYS), text(' came.'))
    const without = {
      ...sent,
      sections: sent.sections.map(s => (s.made ? s : { ...s, doc: { ...s.doc, content: s.doc.content.slice(0, 1) } })),
    }
    expect(remarks(withRemarks(without, sent, second).book)).toHaveLength(1)
  })
  test('an answer joins its thread, two at the same words are one thread, and what came before does not come again', () => {
    const asked = withRemarks(sent, sent, back).book
    const answered = para(
      asked,
      0,
      text('The '),
      text('bell', { ...SAYS, answers: [{ by: 'Bo', when: 9, words: 'The small one.' }] }),
      text(' of it.'),
    )
    const once = withRemarks(asked, asked, answered)
    expect(remarks(once.book)).toEqual(['bell|Which one?|The small one.'])
    expect(withRemarks(once.book, answered, answered).came).toBe(0)
    const other = para(
      sent,
      0,
      text('The bell of the harbour rang, and the '),
      text('bell', { ...SAYS, words: 'Why?' }),
      text(' fell.'),
    )
    expect(remarks(withRemarks(asked, sent, other).book)).toEqual(['bell|Which one?|Why?'])
  })
  test('any book: no word changes, and each remark stands somewhere', () => {
    fc.assert(
      fc.property(anyReturn, anyBook, ({ sent: was, back: is }, { sections }) => {
        const now = withOwnIds({ ...was, sections: [...was.sections, ...sections.filter(s => !s.made)] })
        const placed = withRemarks(now, was, is)
        expect(texts(placed.book)).toEqual(texts(now))
        const lost =
          placed.came > 0 &&
          !texts(now)
            .flat()
            .some(t => t.trim())
        if (placed.came && !lost) expect(remarks(placed.book).length).toBeGreaterThan(0)
      }),
      { numRuns: cases(60, 2000) },
    )
  })
})
