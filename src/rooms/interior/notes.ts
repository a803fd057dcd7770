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

/** What each value is called in the history. */
export const valueNames: Record<string, string> = {
  'margins.head': 'Head margin',
  'margins.foot': 'Foot margin',
  'margins.outside': 'Outside margin',
  'margins.inside': 'Inside margin',
  'text.family': 'Typeface',
  'text.size': 'Text size',
  'text.leading': 'Leading',
  'text.align': 'Text',
  'text.paragraphs': 'Paragraphs parted by',
  'text.indent': 'Indent',
  'text.hyphenate': 'Words',
  'text.optical': 'Punctuation',
  'text.oldStyleFigures': 'Figures',
  'text.hyphenBefore': 'Letters before a hyphen',
  'text.hyphenAfter': 'Letters after a hyphen',
  'text.ladder': 'Hyphens running',
  'text.hyphenCapitals': 'Names',
  'text.scaling': 'Letters',
  'text.tracking': 'Letters',
  'text.large': 'Print',
  'openings.recto': 'Chapters open',
  'openings.sink': 'Sink',
  'openings.align': 'Openings',
  'openings.number': 'Chapters have',
  'openings.numberSize': 'Number size',
  'openings.title': 'Titles',
  'openings.titleSize': 'Title size',
  'openings.ornament': 'Ornament over titles',
  'openings.below': 'Lines below titles',
  'openings.ornamentPicture': 'Your own ornament over titles',
  'openings.picture': 'Opening pictures take',
  'breaks.picture': 'Your own ornament at breaks',
  'firsts.flush': 'First paragraphs',
  'firsts.initial': 'First paragraphs have',
  'firsts.leadIn': 'In small capitals',
  'firsts.leadInWords': 'Words in small capitals',
  'firsts.afterBreaks': 'After breaks',
  'headings.align': 'Headings',
  'breaks.ornament': 'Breaks show',
  'breaks.space': 'Lines around breaks',
  'quotes.inset': 'Inset of quotations',
  'quotes.italic': 'Quotations',
  'notes.at': 'Notes stand',
  'notes.size': 'Note size',
  'notes.leading': 'Note leading',
  'heads.verso': 'Left head',
  'heads.recto': 'Right head',
  'heads.align': 'Heads',
  'heads.rule': 'Heads',
  'heads.size': 'Head size',
  'folios.at': 'Folios',
  'folios.size': 'Folio size',
  'contents.leaders': 'Contents',
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
