import { type Crop, isCrop } from './crop'
import { imageStands } from './doc'
import { safeHref } from './links'
import { MOST_SPOKEN } from './recordings'
import { areAnswers, MOST_NAME, MOST_REMARK, readAnswers, type Said } from './remarks'
import { isShops } from './shops'
import { type MarkSpec, type NodeSpec, Schema } from 'prosemirror-model'

/**
 * The text of a section: one ProseMirror schema that the core owns. The editor receives these specs, intake writes
 * documents in it, pages and ebook read them. Every block carries an id that stays with it for life, so that a place
 * in the book is { section, block, offset }. `toDOM` is given so that an editor can show the text; the core never calls it.
 */
/** An attribute with what it may be: documents from outside are held against it by `Node.check`. */
const attribute = <T>(byDefault: T, words: string, fits: (v: unknown) => boolean) => ({
  default: byDefault,
  validate: (v: unknown) => {
    if (!fits(v)) throw new RangeError(words)
  },
})
const oneOf = <T>(byDefault: T, ...all: T[]) =>
  attribute(byDefault, 'an attribute is none of the values it may have', v => all.includes(v as T))
const number = (byDefault: number, least: number, most: number) =>
  attribute(byDefault, 'a number is out of its range', v => typeof v === 'number' && v >= least && v <= most)
const whole = (byDefault: number, least: number, most: number) =>
  attribute(
    byDefault,
    'a whole number is out of its range',
    v => Number.isInteger(v) && (v as number) >= least && (v as number) <= most,
  )
const yesNo = oneOf(false, true, false)
const words = (most: number) =>
  attribute('', 'a text is too long, or is none', v => typeof v === 'string' && v.length <= most)

const LEADS = 'This link leads where a book must not.'

// Ids become names in ebooks: letters, figures and hyphens.
const id = {
  id: attribute(
    '',
    'an id has signs that it must not have',
    v => typeof v === 'string' && /^[A-Za-z0-9-]{0,64}$/.test(v),
  ),
}
const align = { align: oneOf<string | null>(null, null, 'left', 'right', 'center') }
/** A picture by the hash of its bytes, what it shows for those who cannot see it, and whether it says nothing. */
const picture = { asset: words(64), alt: words(10_000), decoration: yesNo }

/** How far a cell of a web page reaches, within what a table may have. */
const reaching = (e: unknown): { span: number; rows: number } => {
  const cell = e as { getAttribute(n: string): string | null }
  const said = (name: string, most: number): number =>
    Math.max(1, Math.min(most, Number.parseInt(cell.getAttribute(name) ?? '1', 10) || 1))
  return { span: said('colspan', 60), rows: said('rowspan', 200) }
}

export const nodes: Record<string, NodeSpec> = {
  doc: { content: 'block+' },
  paragraph: {
    group: 'block',
    content: 'inline*',
    attrs: { ...id, ...align },
    parseDOM: [{ tag: 'p' }],
    toDOM: n => ['p', n.attrs.align ? { 'data-align': n.attrs.align } : {}, 0],
  },
  /** A heading inside a section: 1 is the largest below the section's own title. */
  heading: {
    group: 'block',
    content: 'inline*',
    defining: true,
    attrs: { ...id, level: whole(1, 1, 6) },
    parseDOM: [
      { tag: 'h2', attrs: { level: 1 } },
      { tag: 'h3', attrs: { level: 2 } },
      { tag: 'h4', attrs: { level: 3 } },
    ],
    toDOM: n => [`h${Math.min(6, n.attrs.level + 1)}`, 0],
  },
  quote: {
    group: 'block',
    content: '(paragraph | list | verse)+',
    defining: true,
    attrs: id,
    parseDOM: [{ tag: 'blockquote' }],
    toDOM: () => ['blockquote', 0],
  },
  /** A letter, note or document quoted whole; its paragraphs keep their alignment (date right, signature right). */
  letter: {
    group: 'block',
    content: '(paragraph | list | verse)+',
    defining: true,
    attrs: id,
    parseDOM: [{ tag: 'section[data-letter]' }],
    toDOM: () => ['section', { 'data-letter': '' }, 0],
  },
  verse: {
    group: 'block',
    content: 'line+',
    attrs: id,
    parseDOM: [{ tag: 'div[data-verse]' }],
    toDOM: () => ['div', { 'data-verse': '' }, 0],
  },
  /** A line of verse. `indent` in ems; `stanza` says that a stanza begins here. */
  line: {
    content: 'inline*',
    attrs: { indent: number(0, 0, 100), stanza: yesNo },
    // Said before what any paragraph, any rule is.
    parseDOM: [{ tag: 'p[data-line]', priority: 60 }],
    toDOM: () => ['p', { 'data-line': '' }, 0],
  },
  list: {
    group: 'block',
    content: 'item+',
    attrs: { ...id, ordered: yesNo, start: whole(1, 0, 999_999) },
    parseDOM: [
      { tag: 'ul', attrs: { ordered: false } },
      { tag: 'ol', attrs: { ordered: true } },
    ],
    toDOM: n => [n.attrs.ordered ? 'ol' : 'ul', 0],
  },
  item: { content: 'paragraph (paragraph | list)*', defining: true, parseDOM: [{ tag: 'li' }], toDOM: () => ['li', 0] },
  table: {
    group: 'block',
    content: 'row+',
    isolating: true,
    attrs: id,
    parseDOM: [{ tag: 'table' }],
    toDOM: () => ['table', ['tbody', 0]],
  },
  row: {
    content: 'cell+',
    attrs: { head: yesNo },
    parseDOM: [{ tag: 'tr' }],
    toDOM: n => ['tr', n.attrs.head ? { 'data-head': '' } : {}, 0],
  },
  cell: {
    content: 'paragraph+',
    isolating: true,
    attrs: { span: whole(1, 1, 60), rows: whole(1, 1, 200) },
    parseDOM: [
      { tag: 'td', getAttrs: reaching },
      { tag: 'th', getAttrs: reaching },
    ],
    toDOM: n => [
      'td',
      {
        ...(n.attrs.span > 1 && { colspan: String(n.attrs.span) }),
        ...(n.attrs.rows > 1 && { rowspan: String(n.attrs.rows) }),
      },
      0,
    ],
  },
  /** A picture outside the line; the content is its caption. `asset` is the SHA-256 of its bytes, `share` the part of the measure it takes, `stands` where (see ImageStand), `crop` what is left out, `leads` where a link on it leads. One that `plays` is a sound or a film in ebooks, and its still on paper: see recordings.ts. */
  image: {
    group: 'block',
    content: 'inline*',
    attrs: {
      ...id,
      ...picture,
      share: number(1, 0.02, 1),
      stands: oneOf<string>('measure', ...imageStands),
      crop: attribute<Crop | null>(
        null,
        'a picture has a crop that leaves nothing of it',
        v => v === null || isCrop(v),
      ),
      leads: attribute('', LEADS, v => v === '' || (typeof v === 'string' && !!safeHref(v))),
      plays: words(64),
      spoken: words(MOST_SPOKEN),
      told: yesNo,
    },
    parseDOM: [{ tag: 'figure', contentElement: 'figcaption' }],
    toDOM: n => ['figure', { 'data-asset': n.attrs.asset }, ['figcaption', 0]],
  },
  scene_break: { group: 'block', attrs: id, parseDOM: [{ tag: 'hr' }], toDOM: () => ['hr'] },
  page_break: {
    group: 'block',
    attrs: id,
    parseDOM: [{ tag: 'hr[data-page]', priority: 60 }],
    toDOM: () => ['hr', { 'data-page': '' }],
  },
  text: { group: 'inline' },
  hard_break: {
    group: 'inline',
    inline: true,
    selectable: false,
    parseDOM: [{ tag: 'br' }, { tag: 'span[data-break]' }],
    toDOM: () => ['br'],
  },
  /** A small picture in the line, like a word. `height` in ems. */
  sign: {
    group: 'inline',
    inline: true,
    attrs: { ...picture, height: number(1, 0.05, 40) },
    parseDOM: [{ tag: 'img[data-sign]' }],
    toDOM: n => ['img', { 'data-sign': '', 'data-asset': n.attrs.asset, alt: n.attrs.alt }],
  },
  /** A note stands where its mark stands; it is numbered and placed by pages and ebook. */
  footnote: {
    group: 'inline',
    inline: true,
    content: '(text | hard_break)*',
    attrs: id,
    parseDOM: [{ tag: 'span[data-footnote]' }],
    toDOM: () => ['span', { 'data-footnote': '' }, 0],
  },
}

/** A BCP 47 tag as far as books need it. */
const languageForm = /^[A-Za-z]{2,3}(-[A-Za-z0-9]{1,8}){0,4}$/
const tagOf = (e: { getAttribute(n: string): string | null }): { tag: string } | false => {
  const tag = e.getAttribute('lang') ?? ''
  return languageForm.test(tag) ? { tag } : false
}

export const marks: Record<string, MarkSpec> = {
  link: {
    attrs: {
      href: {
        validate: (v: unknown) => {
          if (typeof v !== 'string' || !safeHref(v)) throw new RangeError(LEADS)
        },
      },
    },
    inclusive: false,
    parseDOM: [
      {
        tag: 'a[href]',
        getAttrs: e => {
          const href = safeHref((e as { getAttribute(n: string): string | null }).getAttribute('href') ?? '')
          return href ? { href } : false
        },
      },
    ],
    toDOM: m => ['a', { href: m.attrs.href as string }, 0],
  },
  /** A passage in a language of its own: it is divided and read aloud as that language's. */
  language: {
    attrs: {
      tag: {
        validate: (v: unknown) => {
          if (typeof v !== 'string' || !languageForm.test(v)) throw new RangeError('A passage is in no language.')
        },
      },
    },
    // Only what Porchlight says: elsewhere a language is often a program's own.
    parseDOM: [{ tag: 'span[data-language]', getAttrs: e => tagOf(e as { getAttribute(n: string): string | null }) }],
    toDOM: m => ['span', { 'lang': m.attrs.tag as string, 'data-language': '' }, 0],
  },
  /** Words that name another book, and where that stands at outlets: in an ebook they lead there. */
  shops: {
    attrs: {
      at: {
        validate: (v: unknown) => {
          if (typeof v !== 'string' || !isShops(v))
            throw new RangeError('A book that is named has an address that is none.')
        },
      },
    },
    inclusive: false,
    parseDOM: [
      {
        tag: 'span[data-shops]',
        getAttrs: e => {
          const at = (e as { getAttribute(n: string): string | null }).getAttribute('data-shops') ?? ''
          return isShops(at) ? { at } : false
        },
      },
    ],
    toDOM: m => ['span', { 'data-shops': m.attrs.at as string }, 0],
  },
  /** What is said of the words, beside them: no part of the book. */
  remark: {
    attrs: {
      words: words(MOST_REMARK),
      by: words(MOST_NAME),
      when: whole(0, 0, 8.64e15),
      answers: attribute<Said[] | null>(null, 'answers to a remark are not in order', areAnswers),
    },
    inclusive: false,
    parseDOM: [
      {
        tag: 'span[data-remark]',
        getAttrs: e => {
          const said = (name: string): string =>
            (e as { getAttribute(n: string): string | null }).getAttribute(name) ?? ''
          return {
            words: said('data-remark'),
            by: said('data-by'),
            when: Number(said('data-when')) || 0,
            answers: readAnswers(said('data-answers')),
          }
        },
      },
    ],
    toDOM: ({ attrs: { words, by, when, answers } }) => [
      'span',
      {
        'data-remark': words as string,
        ...(by && { 'data-by': by as string }),
        ...(when && { 'data-when': String(when) }),
        ...(answers && { 'data-answers': JSON.stringify(answers) }),
      },
      0,
    ],
  },
  strong: { parseDOM: [{ tag: 'strong' }, { tag: 'b' }], toDOM: () => ['strong', 0] },
  em: { parseDOM: [{ tag: 'em' }, { tag: 'i' }], toDOM: () => ['em', 0] },
  small_caps: { parseDOM: [{ tag: 'span[data-small-caps]' }], toDOM: () => ['span', { 'data-small-caps': '' }, 0] },
  /** A line goes through the words: struck in the story, as in a letter. */
  strike: { parseDOM: [{ tag: 's' }, { tag: 'strike' }, { tag: 'del' }], toDOM: () => ['s', 0] },
  superscript: { excludes: 'subscript superscript', parseDOM: [{ tag: 'sup' }], toDOM: () => ['sup', 0] },
  subscript: { excludes: 'subscript superscript', parseDOM: [{ tag: 'sub' }], toDOM: () => ['sub', 0] },
}

export const schema = new Schema({ nodes, marks })
