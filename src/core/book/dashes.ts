import { primaryTag } from './printedWords'
import { type Turned, units } from './turned'

/**
 * How a language sets its dash: with a space on both sides, with none, or hugging what it brackets, as Spanish does.
 * `speaks`: what stands before a paragraph in which somebody speaks; undefined where quotes say so.
 */
export interface DashHabit {
  sign: '–' | '—'
  stands: 'apart' | 'close' | 'hugging'
  speaks?: string
}

/** By language, a tag's region first. After the languages' own manuals of style. */
const habits: Record<string, DashHabit> = {
  en: { sign: '—', stands: 'close' },
  'en-gb': { sign: '–', stands: 'apart' },
  'en-au': { sign: '–', stands: 'apart' },
  'en-ie': { sign: '–', stands: 'apart' },
  'en-nz': { sign: '–', stands: 'apart' },
  de: { sign: '–', stands: 'apart' },
  fr: { sign: '–', stands: 'apart', speaks: '—\u00a0' },
  es: { sign: '—', stands: 'hugging', speaks: '—' },
  it: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  pt: { sign: '—', stands: 'apart', speaks: '—\u00a0' },
  nl: { sign: '–', stands: 'apart' },
  sv: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  pl: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  cs: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  da: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  nb: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  fi: { sign: '–', stands: 'apart', speaks: '–\u00a0' },
  el: { sign: '–', stands: 'apart', speaks: '—\u00a0' },
  ru: { sign: '—', stands: 'apart', speaks: '—\u00a0' },
}

export const dashesOf = (language: string): DashHabit =>
  habits[language.toLowerCase()] ?? habits[primaryTag(language)] ?? habits.en!

/**
 * Hyphens that mean a dash: two or three in a row, or one alone between spaces; at the head of a line, any that words follow.
 * Rows of four and more are rules and breaks.
 */
const typedDash = /(?<![-–—])(?:[ \u00a0]*(?<!-)-{2,3}(?!-)[ \u00a0]*|(?<=\S)[ \u00a0]+-[ \u00a0]+(?=\S))/g
const typedSpeech = /(?<=^|\n)[ \u00a0]*-{1,3}[ \u00a0]*(?=[\p{L}¿¡«„“‘”’"'…])/gu

/** The dash that is set for one that was typed between the text before and after it. `opens`: it begins what is bracketed. */
export function dashBetween(before: string, after: string, language: string, opens: boolean): string {
  const { sign, stands } = dashesOf(language)
  if (stands === 'close') return sign
  // Speech that breaks off has no space before its dash, and a line none at its ends.
  const [first, last] = [!before || before.endsWith('\n'), !after || /^[\n”’"'»)\]]/.test(after)]
  if (stands === 'hugging')
    return opens && !last ? `${first ? '' : ' '}${sign}` : `${sign}${last || /^[.,;:!?]/.test(after) ? '' : ' '}`
  // It holds to the words before it: no line begins with a dash.
  return `${first || last ? '' : '\u00a0'}${sign}${last ? '' : ' '}`
}

/** Where a text has typed dashes. Between figures a hyphen is a minus or a stretch, and nobody knows which: it stays. */
export function dashPlaces(typed: string, language: string): { from: number; to: number; speaks: boolean }[] {
  const places = (found: Iterable<RegExpExecArray>, speaks: boolean) =>
    [...found].map(m => ({ from: m.index, to: m.index + m[0].length, speaks }))
  const said = dashesOf(language).speaks ? places(typed.matchAll(typedSpeech), true) : []
  const others = places(typed.matchAll(typedDash), false)
    .filter(o => !said.some(s => o.from < s.to && s.from < o.to))
    // A row of hyphens alone on its line is a break or a rule.
    .filter(o => typed.slice(0, o.from).trim() || typed.slice(o.to).trim())
    .filter(o => !(/\d$/.test(typed.slice(0, o.from)) && /^\d/.test(typed.slice(o.to))))
  return [...said, ...others].sort((a, b) => a.from - b.from)
}

/** A text with its typed dashes as the language has them. Guessed: where a line begins with one that nobody speaks behind. */
export function turnDashes(typed: string, language: string): Turned {
  const becomes = units(typed)
  const doubtful: number[] = []
  let opens = true
  for (const { from, to, speaks } of dashPlaces(typed, language)) {
    const before = typed.slice(0, from)
    becomes.fill('', from, to)
    becomes[from] = speaks ? dashesOf(language).speaks! : dashBetween(before, typed.slice(to), language, opens)
    // What hugs must know which side it is on, and a line that begins with a dash may be a list's.
    if (!speaks && (!before.trim() || dashesOf(language).stands === 'hugging')) doubtful.push(from)
    if (!speaks) opens = !opens
  }
  return { becomes, doubtful }
}
