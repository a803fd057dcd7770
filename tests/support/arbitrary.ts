import fc from 'fast-check'
import type {
  Asset,
  BlockJson,
  Book,
  DocJson,
  ImageJson,
  InlineJson,
  ListJson,
  MarkJson,
  ParagraphJson,
  Recording,
  Role,
  TableJson,
} from '@/core/book'
import { addSection, createBook, gridOf, imageStands, newSection, tableOf } from '@/core/book'

/** Random books in the whole schema, for properties: every node and mark, odd characters, empty things. */

/** How far a cell reaches. */
const reach = fc.oneof(
  { weight: 4, arbitrary: fc.constant(1) },
  { weight: 1, arbitrary: fc.integer({ min: 2, max: 3 }) },
)

const word = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.constantFrom('tide', 'the', 'harbour-master', 'Ada’s', '“seven”', 'fjord', 'office', '1907', 'a'),
  },
  { weight: 1, arbitrary: fc.constantFrom('<b>', '&amp;', 'naïve', '→', '字', 'x²', ']]>', '--', '\u00a0tied\u00a0') },
)
const words = fc.array(word, { minLength: 1, maxLength: 14 }).map(w => w.join(' '))
const marks: fc.Arbitrary<MarkJson[]> = fc.uniqueArray(
  fc.constantFrom<MarkJson>(
    { type: 'strong' },
    { type: 'em' },
    { type: 'small_caps' },
    { type: 'strike' },
    { type: 'language', attrs: { tag: 'fr' } },
    { type: 'remark', attrs: { words: 'look this up' } },
    {
      type: 'remark',
      attrs: {
        words: 'whose?',
        by: 'Ada Quill',
        when: 1_764_000_000_000,
        answers: [{ by: '', when: 1_764_000_060_000, words: 'hers' }],
      },
    },
    { type: 'link', attrs: { href: 'https://example.org/?a=1&b=2' } },
  ),
  { maxLength: 2, selector: m => m.type },
)
const textNode = fc
  .tuple(words, marks)
  .map(([text, m]): InlineJson => ({ type: 'text', text, ...(m.length ? { marks: m } : {}) }))
const plain = words.map((text): { type: 'text'; text: string } => ({ type: 'text', text }))
const inline: fc.Arbitrary<InlineJson[]> = fc.array(
  fc.oneof(
    { weight: 6, arbitrary: textNode },
    { weight: 1, arbitrary: fc.constant<InlineJson>({ type: 'hard_break' }) },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.constantFrom('wide', 'tall', 'gone'), fc.constantFrom(0.5, 1, 2))
        .map(([asset, height]): InlineJson => ({
          type: 'sign',
          attrs: { asset, alt: 'a sign', decoration: false, height },
        })),
    },
    {
      weight: 1,
      arbitrary: fc
        .array(plain, { minLength: 1, maxLength: 2 })
        .map((content): InlineJson => ({ type: 'footnote', attrs: { id: '' }, content })),
    },
  ),
  { minLength: 1, maxLength: 4 },
)
const paragraph = fc
  .tuple(inline, fc.constantFrom(null, 'center' as const, 'right' as const))
  .map(([content, align]): ParagraphJson => ({ type: 'paragraph', attrs: { id: '', align }, content }))
const list = (depth: number): fc.Arbitrary<ListJson> =>
  fc
    .tuple(
      fc.boolean(),
      fc.integer({ min: 1, max: 12 }),
      fc.array(depth ? fc.tuple(paragraph, fc.option(list(depth - 1))) : fc.tuple(paragraph, fc.constant(null)), {
        minLength: 1,
        maxLength: 3,
      }),
    )
    .map(([ordered, start, items]): ListJson => ({
      type: 'list',
      attrs: { id: '', ordered, start },
      content: items.map(([p, inner]) => ({ type: 'item', content: inner ? [p, inner] : [p] })),
    }))

const TIMED = 'WEBVTT\n\n00:00.000 --> 00:02.000\nA bell rings.\n'

const block: fc.Arbitrary<BlockJson> = fc.oneof(
  { weight: 6, arbitrary: paragraph },
  {
    weight: 1,
    arbitrary: fc
      .tuple(fc.array(textNode, { minLength: 1, maxLength: 2 }), fc.integer({ min: 1, max: 3 }))
      .map(([content, level]): BlockJson => ({ type: 'heading', attrs: { id: '', level }, content })),
  },
  {
    weight: 1,
    arbitrary: fc
      .tuple(fc.constantFrom('quote' as const, 'letter' as const), fc.array(paragraph, { minLength: 1, maxLength: 3 }))
      .map(([type, content]): BlockJson => ({ type, attrs: { id: '' }, content })),
  },
  {
    weight: 1,
    arbitrary: fc
      .array(fc.tuple(inline, fc.integer({ min: 0, max: 3 }), fc.boolean()), { minLength: 1, maxLength: 4 })
      .map((ls): BlockJson => ({
        type: 'verse',
        attrs: { id: '' },
        content: ls.map(([content, indent, stanza]) => ({
          type: 'line',
          attrs: { indent, stanza },
          content: content.filter(n => n.type !== 'hard_break'),
        })),
      })),
  },
  { weight: 1, arbitrary: list(2) },
  {
    weight: 1,
    arbitrary: fc
      .array(fc.array(fc.tuple(paragraph, reach, reach), { minLength: 2, maxLength: 2 }), {
        minLength: 1,
        maxLength: 4,
      })
      .map((rows): BlockJson => {
        const table: TableJson = {
          type: 'table',
          attrs: { id: '' },
          content: rows.map((cells, i) => ({
            type: 'row',
            attrs: { head: i === 0 },
            content: cells.map(([p, span, rows]) => ({ type: 'cell', attrs: { span, rows }, content: [p] })),
          })),
        }
        return tableOf(table, gridOf(table))
      }),
  },
  {
    weight: 2,
    arbitrary: fc
      .tuple(
        fc.constantFrom('wide', 'tall', 'gone'),
        fc.constantFrom(...imageStands),
        fc.constantFrom(0.3, 0.5, 1),
        fc.option(inline),
        fc.constantFrom(null, { top: 0.1, right: 0.25, bottom: 0, left: 0.05 }),
        fc.constantFrom<Partial<ImageJson['attrs']>>(
          {},
          {},
          { plays: 'bell', spoken: 'A bell rings.', alt: 'a bell' },
          { plays: 'bell', spoken: '', asset: '' },
          { plays: 'lost', spoken: TIMED, told: true },
        ),
      )
      .map(([asset, stands, share, caption, crop, plays]): BlockJson => ({
        type: 'image',
        attrs: { id: '', asset, alt: 'a picture', decoration: false, share, stands, crop, leads: '', ...plays },
        ...(caption ? { content: caption } : {}),
      })),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom<BlockJson>(
      { type: 'scene_break', attrs: { id: '' } },
      { type: 'page_break', attrs: { id: '' } },
    ),
  },
)

/** A document with ids of its own. */
export const anyDoc: fc.Arbitrary<DocJson> = fc
  .array(block, { minLength: 1, maxLength: 8 })
  .map(content => numbered({ type: 'doc', content }))

let ids = 0
function numbered(doc: DocJson): DocJson {
  const copy = JSON.parse(JSON.stringify(doc)) as DocJson
  const walk = (n: unknown): void => {
    const x = n as { attrs?: { id?: string }; content?: unknown[] }
    if (x.attrs && 'id' in x.attrs) x.attrs.id = `b${1000 + ++ids}`
    x.content?.forEach(walk)
  }
  walk(copy)
  return copy
}

/** A recording that random documents play; one more is named and not there. */
export const someRecordings: Recording[] = [{ id: 'bell', type: 'audio/mpeg', seconds: 4 }]

/** Pictures that random documents name; one more is named and not there. */
export const somePictures: Asset[] = [
  { id: 'wide', type: 'image/png', width: 2400, height: 900 },
  { id: 'tall', type: 'image/png', width: 900, height: 1500 },
]

export const anyBook: fc.Arbitrary<Book> = fc
  .tuple(
    fc.array(
      fc.tuple(
        fc.constantFrom<Role>('preface', 'part', 'chapter', 'chapter', 'interlude', 'afterword', 'dedication'),
        fc.oneof(fc.constant(''), words),
        anyDoc,
      ),
      { minLength: 1, maxLength: 4 },
    ),
    words,
  )
  .map(([list_, title]) => {
    let b = createBook('any', {
      title,
      contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
      language: 'en-GB',
      imprint: { name: 'Saltgrass Lane Press' },
      subjects: [],
    })
    for (const [role, t, doc] of list_) b = addSection(b, { ...newSection(b, role, t), doc })
    return { ...b, assets: somePictures, recordings: someRecordings }
  })

/** All text nodes of a document in reading order. */
export function textsOf(doc: unknown): string[] {
  const out: string[] = []
  const walk = (n: unknown): void => {
    const x = n as { type?: string; text?: string; content?: unknown[] }
    if (x.type === 'text') out.push(x.text!)
    x.content?.forEach(walk)
  }
  walk(doc)
  return out
}
