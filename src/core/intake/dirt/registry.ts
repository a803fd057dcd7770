import {
  dashHabit,
  docText,
  foreignQuoteHabit,
  quoteHabit,
  type SignHabit,
  spaceHabit,
  turnedSigns,
  typedSigns,
} from '../../book'
import { folios } from './folios'
import { changedBlocks, changedText, type DirtKind } from './kind'

/** Empty paragraphs between others, by which a typewriter makes room. */
const spacing: DirtKind = {
  id: 'spacing',
  what: 'empty paragraphs as spacing',
  does: 'taken out',
  tidy: doc =>
    doc.content.length < 2
      ? { doc, count: 0, examples: [] }
      : keptOne(
          doc,
          changedBlocks(doc, b => (isEmpty(b) ? [] : b)),
        ),
}

/** What stands behind a wide gap is another scene, where the author made gaps for breaks. */
const gaps: DirtKind = {
  id: 'gaps',
  what: 'gaps between paragraphs',
  does: 'made into scene breaks',
  asked: true,
  tidy: doc =>
    changedBlocks(doc, (b, i) => {
      if (!isEmpty(b)) return b
      const [before, behind] = [doc.content[i - 1], doc.content.slice(i + 1).find(x => !isEmpty(x))]
      // One break a gap, and none at the edges or beside another break.
      if (!before || isEmpty(before) || before.type !== 'paragraph' || behind?.type !== 'paragraph') return []
      return { type: 'scene_break', attrs: { id: b.attrs.id } }
    }),
}

const doubledSpaces: DirtKind = {
  id: 'spaces',
  what: 'doubled spaces',
  does: 'made single',
  tidy: doc => changedText(doc, / {2,}/g, () => ' '),
}

const softHyphens: DirtKind = {
  id: 'soft-hyphens',
  what: 'soft hyphens',
  does: 'taken out: words are divided where lines end',
  tidy: doc => {
    const { letters: _, ...found } = changedText(doc, /\u00ad+/g, () => '')
    return found
  },
}

/** Hyphens typed where a line once ended: the word stands elsewhere whole, its halves do not. */
const hyphens: DirtKind = {
  id: 'hyphens',
  what: 'words divided by hand',
  does: 'made whole',
  tidy: (doc, { isWord }) =>
    // Found by the hyphen: a search for words would try at every letter.
    changedText(doc, /(?<=\p{L}{2})[-‐]\s(?=\p{Ll}{2})/gu, ({ index, 0: typed }, text) => {
      const head = /\p{L}+$/u.exec(text.slice(Math.max(0, index - LONGEST_WORD), index))![0]
      const tail = /^\p{L}+/u.exec(text.slice(index + typed.length, index + LONGEST_WORD))![0]
      return isWord(`${head}${tail}`) && !(isWord(head) && isWord(tail)) ? '' : undefined
    }),
}

/** Letters that are looked at before and behind a hyphen. */
const LONGEST_WORD = 60

/** Signs of a habit, as the language sets them; the first place that has one is the example. */
function turnedBy(habit: SignHabit): DirtKind['tidy'] {
  return (doc, { language }) => {
    const { count, first } = typedSigns(habit, doc, language)
    if (!count) return { doc, count: 0, examples: [] }
    const block = doc.content.find(b => b.attrs.id === first)
    const { doc: turned, letters } = turnedSigns(habit, doc, language)
    return {
      doc: turned,
      count,
      ...(letters ? { letters } : {}),
      examples: block
        ? [
            docText({ type: 'doc', content: [block] })
              .slice(0, EXAMPLE)
              .trim(),
          ]
        : [],
    }
  }
}

/** Letters of an example. */
const EXAMPLE = 54

/** Hyphens that were typed for want of a dash. */
const dashes: DirtKind = {
  id: 'dashes',
  what: 'hyphens for dashes',
  does: 'made dashes, as the language sets them',
  tidy: turnedBy(dashHabit),
}

/** Signs that French parts from their words, and that were typed without, or with a space that breaks. */
const signs: DirtKind = {
  id: 'signs',
  what: 'signs without the space that French sets',
  does: 'given it',
  tidy: turnedBy(spaceHabit),
}

/** Quotes of which some are as typed and others as printed. */
const quotes: DirtKind = {
  id: 'quotes',
  what: 'quotes as typed among printed ones',
  does: 'made as the others',
  tidy: (doc, about) => (about.mixedQuotes ? turnedBy(quoteHabit)(doc, about) : { doc, count: 0, examples: [] }),
}

/** Quotations of another language's habit: an author may mean them. */
const foreignQuotes: DirtKind = {
  id: 'foreign quotes',
  what: 'quotations as another language sets them',
  does: 'made as this one does',
  asked: true,
  tidy: turnedBy(foreignQuoteHabit),
}

/** A small picture that stands between paragraphs again and again parts scenes. */
const ornaments: DirtKind = {
  id: 'ornaments',
  what: 'small pictures between paragraphs',
  does: 'made into scene breaks',
  tidy: (doc, { ornaments: small }) =>
    changedBlocks(doc, b =>
      b.type === 'image' && small.has(b.attrs.asset) && !b.attrs.alt && !b.content?.length
        ? { type: 'scene_break', attrs: { id: b.attrs.id } }
        : b,
    ),
}

/** All kinds of dirt, in the order in which they are cleaned. */
export const dirtKinds: readonly DirtKind[] = [
  folios,
  ornaments,
  gaps,
  spacing,
  softHyphens,
  hyphens,
  doubledSpaces,
  dashes,
  signs,
  quotes,
  foreignQuotes,
]

const isEmpty = (b: { type: string; content?: unknown[] }): boolean => b.type === 'paragraph' && !b.content?.length

/** A section that is nothing but room keeps one paragraph: it wants one. */
function keptOne<F extends ReturnType<DirtKind['tidy']>>(doc: { content: unknown[] }, found: F): F {
  if (found.doc.content.length) return found
  return { ...found, doc: { ...found.doc, content: doc.content.slice(0, 1) }, count: found.count - 1 }
}
