import { Fault } from '../trade'
import { ownFamilyForm, shippedFamilies } from '../type'
import { ornamentNames } from '../ornaments'
import { type InteriorStyle, LARGE_PRINT, pictureIdForm } from './style'

/** An edition's own departures from its style, by path: { "text.size": 11.5, "openings.recto": false }. */
export type StyleChanges = Record<string, number | boolean | string>

/** What can be changed of a style, and within what limits: editors and readers of files go by the same list. */
export type StyleValue =
  | {
      path: string
      kind: 'number'
      least: number
      most: number
      step: number
      unit: 'pt' | 'in' | 'lines' | 'em' | 'words' | 'letters'
    }
  | { path: string; kind: 'choice'; choices: { value: string | boolean | number; words: string }[] }
  /** The id of one of the book's pictures, or nothing. */
  | { path: string; kind: 'picture' }

/** Families that text may be set in: those with an italic. */
const textFamilies = Object.keys(shippedFamilies).filter(f => shippedFamilies[f]!.files.italic)

const yes = (path: string, on: string, off: string): StyleValue => ({
  path,
  kind: 'choice',
  choices: [
    { value: true, words: on },
    { value: false, words: off },
  ],
})
const amount = (
  path: string,
  least: number,
  most: number,
  step: number,
  unit: Extract<StyleValue, { kind: 'number' }>['unit'],
): StyleValue => ({ path, kind: 'number', least, most, step, unit })
const choice = (path: string, ...choices: [string | number, string][]): StyleValue => ({
  path,
  kind: 'choice',
  choices: choices.map(([value, words]) => ({ value, words })),
})

export const styleValues: StyleValue[] = [
  amount('margins.head', 0.4, 1.8, 0.02, 'in'),
  amount('margins.foot', 0.4, 1.8, 0.02, 'in'),
  amount('margins.outside', 0.3, 1.5, 0.02, 'in'),
  amount('margins.inside', 0.3, 1.5, 0.02, 'in'),
  choice('text.family', ...textFamilies.map((f): [string, string] => [f, shippedFamilies[f]!.name])),
  amount('text.size', 8, 24, 0.25, 'pt'),
  amount('text.leading', 9, 36, 0.25, 'pt'),
  choice('text.align', ['justify', 'justified'], ['left', 'ragged']),
  choice('text.paragraphs', ['indent', 'an indent'], ['space', 'a line of space']),
  amount('text.indent', 0, 4, 0.1, 'em'),
  yes('text.hyphenate', 'hyphenated', 'not hyphenated'),
  amount('text.hyphenBefore', 2, 6, 1, 'letters'),
  amount('text.hyphenAfter', 2, 6, 1, 'letters'),
  amount('text.ladder', 1, 6, 1, 'lines'),
  yes('text.hyphenCapitals', 'may be divided', 'stay whole'),
  choice('text.scaling', [0.02, 'may give two percent'], [0, 'keep their width']),
  choice('text.tracking', [0.01, 'may stand a hair apart'], [0, 'keep their distance']),
  yes('text.optical', 'hangs in the margins', 'stays in the measure'),
  yes('text.oldStyleFigures', 'old-style', 'lining'),
  yes('text.large', 'large print', 'ordinary print'),
  yes('openings.recto', 'on the right', 'on either page'),
  amount('openings.sink', 0, 24, 1, 'lines'),
  choice('openings.align', ['center', 'centred'], ['left', 'at the left']),
  choice(
    'openings.number',
    ['words', 'number in words'],
    ['word and figures', 'word with a figure'],
    ['figures', 'number in figures'],
    ['roman', 'Roman number'],
    ['none', 'no number'],
  ),
  amount('openings.numberSize', 8, 60, 0.5, 'pt'),
  choice(
    'openings.title',
    ['as written', 'as written'],
    ['italic', 'in italic'],
    ['small capitals', 'in small capitals'],
    ['capitals', 'in capitals'],
    ['bold', 'in bold'],
  ),
  amount('openings.titleSize', 10, 48, 0.5, 'pt'),
  choice('openings.ornament', ...ornamentNames.map((o): [string, string] => [o, o === 'none' ? 'no ornament' : o])),
  { path: 'openings.ornamentPicture', kind: 'picture' },
  choice(
    'openings.picture',
    [0.33, 'a third of the measure'],
    [0.5, 'half the measure'],
    [0.67, 'two thirds of the measure'],
    [1, 'the whole measure'],
  ),
  amount('openings.below', 0, 16, 1, 'lines'),
  yes('firsts.flush', 'flush', 'indented'),
  choice(
    'firsts.initial',
    [0, 'no initial'],
    [2, 'an initial of two lines'],
    [3, 'an initial of three lines'],
    [4, 'an initial of four lines'],
    [5, 'an initial of five lines'],
  ),
  choice('firsts.leadIn', ['nothing', 'nothing'], ['words', 'the first words'], ['line', 'the first line']),
  amount('firsts.leadInWords', 1, 12, 1, 'words'),
  choice(
    'firsts.afterBreaks',
    ['flush only', 'only begin flush'],
    ['lead-in', 'have the lead-in, too'],
    ['initial and lead-in', 'have initial and lead-in, too'],
  ),
  choice('headings.align', ['center', 'centred'], ['left', 'at the left']),
  choice('breaks.ornament', ...ornamentNames.map((o): [string, string] => [o, o === 'none' ? 'nothing' : o])),
  { path: 'breaks.picture', kind: 'picture' },
  amount('breaks.space', 0, 4, 1, 'lines'),
  amount('quotes.inset', 0, 5, 0.1, 'em'),
  yes('quotes.italic', 'in italic', 'upright'),
  choice('notes.at', ['foot', 'at the foot'], ['chapter', 'behind their chapter'], ['book', 'behind the text']),
  amount('notes.size', 6, 20, 0.25, 'pt'),
  amount('notes.leading', 7, 28, 0.25, 'pt'),
  choice('heads.verso', ['author', 'author'], ['title', 'title'], ['none', 'nothing']),
  choice('heads.recto', ['section', 'chapter'], ['title', 'title'], ['none', 'nothing']),
  choice('heads.align', ['center', 'centred'], ['outside', 'at the outside']),
  yes('heads.rule', 'with a hairline below', 'without a line'),
  amount('heads.size', 7, 20, 0.25, 'pt'),
  choice(
    'folios.at',
    ['foot, centred', 'at the foot, centred'],
    ['foot, outside', 'at the foot, outside'],
    ['head, outside', 'beside the head'],
  ),
  amount('folios.size', 7, 20, 0.25, 'pt'),
  yes('contents.leaders', 'with dots to the folio', 'without dots'),
]

const byPath = new Map(styleValues.map(v => [v.path, v]))

/** The definition of a value, or a Fault. */
export function styleValue(path: string): StyleValue {
  const v = byPath.get(path)
  if (!v) throw new Fault('style', `“${path}” is nothing that a style has.`)
  return v
}

/** What a style says at a path. */
export function readStyle(style: InteriorStyle, path: string): number | boolean | string {
  const [group, key] = path.split('.') as [keyof InteriorStyle, string]
  return (style[group] as unknown as Record<string, number | boolean | string>)[key]!
}

/** What must hold of every style: lines do not run into one another, and large print is large. */
function sound(style: InteriorStyle): InteriorStyle {
  const { text, notes } = style
  if (text.large) {
    text.size = Math.max(LARGE_PRINT, text.size)
    text.leading = Math.max(text.leading, Math.ceil(text.size * 1.25 * 4) / 4)
    text.align = 'left'
    text.hyphenate = false
    notes.size = Math.max(LARGE_PRINT, notes.size)
  }
  text.leading = Math.max(text.leading, text.size)
  notes.leading = Math.max(notes.leading, notes.size * 1.1)
  return style
}

/** What an exception at one section may say: how it opens, begins and breaks. The page and its text are the whole book's. */
export const mayBeExcepted = (path: string): boolean => /^(openings|firsts|breaks)\./.test(path)

/** A value of a style held to its limits. Throws a Fault where it is no value of that kind. */
function heldValue(path: string, value: unknown): number | boolean | string {
  const v = styleValue(path)
  if (v.kind === 'number') {
    if (typeof value !== 'number' || !Number.isFinite(value)) throw new Fault('style', `“${path}” wants a number.`)
    return Math.min(v.most, Math.max(v.least, value))
  }
  if (v.kind === 'picture') {
    if (typeof value !== 'string' || !pictureIdForm.test(value))
      throw new Fault('style', `“${path}” wants the id of a picture.`)
    return value
  }
  // A family of the author's own is known by its id; whether its files are here is seen when it is used.
  const own = path === 'text.family' && typeof value === 'string' && ownFamilyForm.test(value)
  if (!own && !v.choices.some(c => c.value === value))
    throw new Fault('style', `“${String(value)}” is no choice for “${path}”.`)
  return value as number | boolean | string
}

/** Whether a style has such a value at such a path; one beyond its limits will be held to them. */
export function isStyleChange(path: string, value: unknown): boolean {
  try {
    heldValue(path, value)
    return true
  } catch {
    return false
  }
}

/** A style with an edition's changes. Values are held to their limits; what is no value of that kind is refused. */
export function withChanges(style: InteriorStyle, changes: StyleChanges | undefined): InteriorStyle {
  if (!changes || !Object.keys(changes).length) return style
  const out = JSON.parse(JSON.stringify(style)) as InteriorStyle
  for (const [path, value] of Object.entries(changes)) {
    const held = heldValue(path, value)
    const [group, key] = path.split('.') as [keyof InteriorStyle, string]
    ;(out[group] as unknown as Record<string, number | boolean | string>)[key] = held
  }
  return sound(out)
}
