import type { Ruled } from '@/core/pages'

/** The margin notes of the specimen: short sentences, whose `{path}` are the controls. */
export interface NoteText {
  /** What it rules: its hairline ends there. */
  id: Ruled
  title: string
  sentence: string
  /** What fewer people change, shown when asked for. */
  more?: string
  side: 'left' | 'right'
}

export const notes: NoteText[] = [
  {
    id: 'page',
    title: 'Page',
    side: 'left',
    sentence: 'Margins {margins.head} head, {margins.outside} outside, {margins.foot} foot; inside {margins.inside}.',
  },
  {
    id: 'heads',
    title: 'Heads and folios',
    side: 'left',
    sentence: 'The {heads.verso} left, the {heads.recto} right, {heads.align}. Folios {folios.at}.',
    more: 'Heads {heads.size}, {heads.rule}; folios {folios.size}. Contents {contents.leaders}.',
  },
  {
    id: 'text',
    title: 'Text',
    side: 'left',
    sentence:
      '{text.family} {text.size} on {text.leading}, {text.align}, {text.hyphenate}. Paragraphs parted by {text.paragraphs}, {text.indent}.',
    more: 'Hyphens leave {text.hyphenBefore} before and {text.hyphenAfter} after, at most {text.ladder} running; names {text.hyphenCapitals}. Letters {text.scaling} and {text.tracking}. Punctuation {text.optical}; figures {text.oldStyleFigures}. All in {text.large}.',
  },
  {
    id: 'chapters',
    title: 'Chapters',
    side: 'right',
    sentence:
      'Open {openings.recto}, {openings.sink} down, {openings.align}. A {openings.number}, {openings.ornament}, then the title {openings.title}, {openings.titleSize}, with {openings.below} below.',
    more: 'The number is {openings.numberSize}. As ornament, {openings.ornamentPicture}. A picture over an opening takes {openings.picture}. Headings inside chapters stand {headings.align}.',
  },
  {
    id: 'first',
    title: 'First paragraphs',
    side: 'right',
    sentence: 'Begin {firsts.flush}, with {firsts.initial}; {firsts.leadIn} in small capitals.',
    more: 'Of words, {firsts.leadInWords}. After breaks they {firsts.afterBreaks}.',
  },
  {
    id: 'breaks',
    title: 'Breaks',
    side: 'right',
    sentence: 'Show {breaks.ornament}, with {breaks.space} above and below.',
    more: 'In its place, {breaks.picture}. Quotations stand {quotes.inset} in, {quotes.italic}. Notes {notes.at}, {notes.size} on {notes.leading}.',
  },
]
