import { styleValue } from '@/core/pages'
import { trimZeros } from '@/core/trade'

/** What each value of a style is called, by its path: in the history, and where it is otherwise at one place. */
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

/** A value as it is said: "Sink 3 lines", "Chapters open on either page". */
export function valueSaid(path: string, value: number | boolean | string): string {
  const v = styleValue(path)
  const name = valueNames[path] ?? path
  if (v.kind === 'number') return `${name} ${trimZeros(Number(value).toFixed(3))} ${v.unit}`.trim()
  if (v.kind === 'picture') return name
  return `${name} ${v.choices.find(c => c.value === value)?.words ?? String(value)}`
}
