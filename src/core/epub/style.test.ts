import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strFromU8 } from 'fflate'
import parse from 'css-tree/parser'
import { nodePorts } from '../../cli/ports'
import { anyDoc } from '../../../tests/support/arbitrary'
import { bookOf, chapter, paragraph, shelf } from '../../../tests/support/core'
import { type Book, docRecordings, docText, type InlineJson, printedWords, spokenLines } from '../book'
import { type InteriorStyle, shippedStyles, withChanges } from '../pages'
import { Face, fontRights } from '../type'
import { loadHarfBuzz } from '../type/harfbuzz'
import type { Subsetter } from '../pdf'
import { buildEpub, carriedFaces } from '.'
import { styleSheetOf } from './style'

const date = '2026-01-01T00:00:00Z'
const styled = (id: string, changes = {}): InteriorStyle =>
  withChanges(
    shippedStyles.find(s => s.id === id)!,
    changes,
  )
const textOf = (book: Book, style: InteriorStyle, section: string): string =>
  strFromU8(
    buildEpub(book, { date, style, picture: () => undefined }).items.find(i => i.path.endsWith(`/${section}.xhtml`))!
      .data,
  )
const bookWith = (content: InlineJson[], ...more: string[]): Book => ({
  ...bookOf([]),
  sections: [
    chapter('c1', 'The Bell', {
      type: 'doc',
      content: [{ ...paragraph('p1', ''), content }, ...more.map((t, i) => paragraph(`q${i}`, t))],
    }),
  ],
})
const text = (t: string): InlineJson => ({ type: 'text', text: t })

describe('the ebook follows the interior’s style', () => {
  test('its number as the style writes it, its ornament between number and title', () => {
    const book = bookWith([text('She went.')])
    book.sections[0]!.numbered = true
    const head = (style: InteriorStyle): string => /<h1>[\s\S]*<\/h1>/.exec(textOf(book, style, 'c1'))![0]
    expect(head(styled('harbour-roman'))).toBe(
      '<h1><span class="number">Chapter One</span> <span class="title">The Bell</span></h1>',
    )
    expect(head(styled('chandlery')).replace(/<svg[\s\S]*<\/svg>/, '~')).toBe(
      '<h1><span class="number">I</span> ~ <span class="title">The Bell</span></h1>',
    )
    expect(head(styled('field-notes'))).toContain('<span class="number">1</span>')
    expect(head(styled('harbour-roman', { 'openings.number': 'none' }))).toBe(
      '<h1><span class="title">The Bell</span></h1>',
    )
  })

  test('an initial with the quotes before it, and the first words in small capitals up to the end of a clause', () => {
    const style = styled('chandlery')
    expect(textOf(bookWith([text('“Ada, come up and see,” he said.')]), style, 'c1')).toContain(
      '<p class="first"><span class="initial"><span class="opens">“</span>A</span><span class="lead">da, come up</span> and see,” he said.</p>',
    )
    expect(textOf(bookWith([text('A light. It went.')]), style, 'c1')).toContain(
      '<span class="initial">A</span> <span class="lead">light.</span> It went.',
    )
    expect(
      textOf(bookWith([{ type: 'text', text: 'Only', marks: [{ type: 'em' }] }, text(' once.')]), style, 'c1'),
    ).toContain('<span class="initial"><em>O</em></span><em>nly</em> once.')
    // Figures have no initial, and marked words keep their look.
    expect(textOf(bookWith([text('1907 was wet.')]), style, 'c1')).not.toContain('initial')
    expect(textOf(bookWith([text('Only once.')], 'And again.'), styled('plainsong'), 'c1')).toContain(
      '<p>And again.</p>',
    )
  })

  test('whatever the style, no letter of a text is lost, and what it has drawn is drawn in the reader’s colour', () => {
    // Notes stand at the end of their page: letters are counted, not their order.
    const letters = (s: string): string => [...s.replace(/[^\p{L}\p{N}]/gu, '')].sort().join('')
    fc.assert(
      fc.property(anyDoc, fc.constantFrom(...shippedStyles), fc.constantFrom(0, 2, 3), (doc, style, initial) => {
        const book = { ...bookOf([]), sections: [chapter('c1', 'X', doc)] }
        const page = textOf(book, withChanges(style, { 'firsts.initial': initial }), 'c1')
        const body = page
          .replace(/[\s\S]*<\/h1>/, '')
          .replace(/<a [^>]*class="back">\d+<\/a>/g, '')
          .replace(/<a [^>]*noteref[^>]*>\d+<\/a>/g, '')
          .replace(/<[^>]*>/g, '')
          .replace(/&lt;/g, '<')
          .replace(/&gt;/g, '>')
          .replace(/&amp;/g, '&')
          .replace(/&quot;|&#39;/g, '')
        // Of recordings what is said in them stands there as well, under a word for it.
        const spoken = docRecordings(doc).map(r => spokenLines(r.spoken))
        const said = spoken.flatMap(l => (l.length ? [printedWords('en').spoken, ...l] : []))
        expect(letters(body)).toBe(letters(docText(doc) + said.join('')))
        expect(page).not.toMatch(/fill="#/)
      }),
    )
  })

  test.each(shippedStyles.map(s => [s.id, s] as const))('%s is a style sheet without a fault', (_id, style) => {
    const faults: string[] = []
    parse(styleSheetOf(style), { onParseError: e => faults.push(e.message) })
    expect(faults).toEqual([])
    expect(styleSheetOf(style)).not.toMatch(/NaN|undefined|Infinity/)
  })
})

describe('faces in an ebook', () => {
  let subsetter: Subsetter
  beforeAll(async () => void (subsetter = (await nodePorts(new Map()).pdf()).subsetter))

  test('hold just the letters that are used, set them as before, and say whose they are', async () => {
    const style = styled('harbour-roman')
    const faces = await carriedFaces(style, [], shelf, subsetter.subsetText)
    const book = bookWith([
      text('First fig, '),
      { type: 'text', text: 'strong', marks: [{ type: 'strong' }] },
      text('.'),
    ])
    const epub = buildEpub(book, { date, style, faces, picture: () => undefined })
    const fonts = epub.items.filter(i => i.type === 'font/ttf')
    expect(fonts.map(f => f.path)).toEqual([
      'OEBPS/fonts/eb-garamond-regular.ttf',
      'OEBPS/fonts/eb-garamond-italic.ttf',
      'OEBPS/fonts/eb-garamond-bold.ttf',
    ])
    const css = strFromU8(epub.items.find(i => i.id === 'css')!.data)
    for (const f of fonts) expect(css).toContain(`url(fonts/${f.path.split('/').pop()})`)
    const hb = await loadHarfBuzz()
    const cut = new Face(hb, { key: 'cut', bytes: fonts[0]!.data })
    const whole = await shelf.face('eb-garamond/regular')
    expect(fonts[0]!.data.length).toBeLessThan(whole.bytes.length / 4)
    expect([cut.covers('F'.codePointAt(0)!), cut.covers('Ж'.codePointAt(0)!)]).toEqual([true, false])
    expect(cut.features.has('smcp')).toBe(true)
    expect(fontRights(fonts[0]!.data)).toEqual(fontRights(whole.bytes))
    expect(fontRights(fonts[0]!.data)?.licence).toMatch(/Open Font License/)
  })

  test('whose maker allows them in documents that are read and printed alone stay out', async () => {
    const whole = await shelf.face('eb-garamond/regular')
    const bytes = whole.bytes.slice()
    const view = new DataView(bytes.buffer)
    for (let i = 0; i < view.getUint16(4); i++)
      if (String.fromCharCode(...bytes.subarray(12 + i * 16, 16 + i * 16)) === 'OS/2')
        view.setUint16(view.getUint32(20 + i * 16) + 8, 4)
    const own = { ...styled('harbour-roman'), text: { ...styled('harbour-roman').text, family: 'own-x' } }
    const closed = { faceOr: async () => ({ bytes }) } as unknown as typeof shelf
    const faces = await carriedFaces(own, [], closed, subsetter.subsetText)
    expect(faces({ characters: new Set([65]), bold: false, boldItalic: false })).toEqual([])
  })
})
