/** The margin notes of the specimen: short sentences, whose `{path}` are the controls. `at` says what a note rules, in parts of the spread. */
export interface NoteText {
  id: string
  title: string
  sentence: string
  side: 'left' | 'right'
  /** Where its hairline ends: the page (0 left, 1 right) and a point in parts of that page. */
  at: { page: 0 | 1; x: number; y: number }
}

/** What each value is called in the history. */
export const valueNames: Record<string, string> = {
  'margins.head': 'Head margin', 'margins.foot': 'Foot margin', 'margins.outside': 'Outside margin', 'margins.inside': 'Inside margin',
  'text.size': 'Text size', 'text.leading': 'Leading', 'text.align': 'Text', 'text.indent': 'Indent', 'text.hyphenate': 'Text', 'text.optical': 'Punctuation', 'text.oldStyleFigures': 'Figures',
  'openings.recto': 'Chapters open', 'openings.sink': 'Sink', 'openings.number': 'Chapters have', 'openings.titleSize': 'Title size', 'openings.below': 'Lines below titles', 'openings.leadIn': 'Lead-in',
  'breaks.ornament': 'Breaks show', 'breaks.space': 'Lines around breaks', 'heads.verso': 'Left head', 'heads.recto': 'Right head',
}

export const notes: NoteText[] = [
  { id: 'page', title: 'Page', side: 'left', sentence: 'Margins {margins.head} head, {margins.outside} outside, {margins.foot} foot; inside {margins.inside}.', at: { page: 0, x: 0, y: 0 } },
  { id: 'heads', title: 'Running heads', side: 'left', sentence: 'The {heads.verso} left, the {heads.recto} right.', at: { page: 0, x: 0.36, y: 0.075 } },
  { id: 'text', title: 'Text', side: 'left', sentence: 'EB Garamond {text.size} on {text.leading}, {text.align}, {text.hyphenate}. Paragraphs indented {text.indent}. Punctuation {text.optical}; figures {text.oldStyleFigures}.', at: { page: 0, x: 0.1, y: 0.42 } },
  { id: 'chapters', title: 'Chapters', side: 'right', sentence: 'Open {openings.recto}, {openings.sink} down. A {openings.number}, then the title, {openings.titleSize}, with {openings.below} below.', at: { page: 1, x: 0.72, y: 0.26 } },
  { id: 'first', title: 'First paragraphs', side: 'right', sentence: 'Begin flush, with {openings.leadIn} in small capitals.', at: { page: 1, x: 0.88, y: 0.4 } },
  { id: 'breaks', title: 'Breaks', side: 'right', sentence: 'Show {breaks.ornament}, with {breaks.space} above and below.', at: { page: 1, x: 0.88, y: 0.66 } },
]
