import { inlineText, primaryTag, printedLanguages, printedWords, readNumeral, type Role, roles } from '../book'
import type { RawBlock, RawPara } from './raw'
import { compared, readAlone, readSpoken } from './spokenNumbers'

/** A paragraph that may begin a section, with why. */
export interface Proposal {
  index: number
  score: number
  /** Plain sentences, most weighty first. */
  evidence: string[]
  role: Role
  numbered: boolean
  number?: number
  title: string
  /** Heading level by style, where it has one. */
  level?: number
  /** Says its number and nothing else: a title may follow on the next line. */
  bare: boolean
  /** The file says what it is: it is taken whatever else there is. */
  said?: boolean
}

/** What the file itself says weighs more than how anything looks. */
const SAID = 9

/** Letters of the longest heading. */
const MOST_LETTERS = 120

/** From this score a proposal is taken unless the author strikes it. */
export const TAKEN = 3

const numberWord = '(?:[ivxlc]{1,7}|\\d{1,3}|[a-z]+(?:[ -][a-z]+){0,3})'
/** Words before a numeral that say what is counted, in every language offered: "Kapitel {n}" and "{n}. luku". */
const countedWords = printedLanguages.flatMap(l =>
  (['chapter', 'part'] as const).map(what => {
    const [before = '', behind = ''] = printedWords(l)[what].split('{n}')
    return { what, before: before.trim(), behind: behind.trim() }
  }),
)
const wordsBefore = [...new Set([...countedWords.map(w => w.before).filter(Boolean), 'Book', 'Teil', 'Buch'])]
const counted = new RegExp(`^(${wordsBefore.join('|')})\\s+(${numberWord})(?:\\s*[:.—–-]\\s*(.+)|\\s*)$`, 'iu')
const countedBehind = new RegExp(
  `^(\\d{1,3}|[ivxlc]{1,7})(${countedWords
    .filter(w => w.behind)
    .map(w => w.behind.replace(/\./g, '\\.?').replace(/ /g, '\\s*'))
    .join('|')})(?:\\s*[:.—–-]\\s*(.+)|\\s*)$`,
  'iu',
)
const leading = /^([ivxlc]{1,7}|\d{1,3})\s*[.:)—–-]\s+(.{2,})$/i
const partWords = new Set([
  ...countedWords.filter(w => w.what === 'part').map(w => (w.before || w.behind).toLowerCase()),
  'book',
  'buch',
])

/** What sections are called in one language, as headings are compared: exactly, and how they begin. */
interface SectionNames {
  exact: Map<string, Role>
  begins: [string, Role][]
}

/** Sections whose names are followed by others: "Also by Ada Pell", "Prologue: The Rope". */
const FOLLOWED = new Set<Role>([
  'also-by',
  'excerpt',
  'prologue',
  'epilogue',
  'interlude',
  'foreword',
  'preface',
  'afterword',
])

const known = new Map<string, SectionNames>()
function namesIn(language: string): SectionNames {
  const there = known.get(language)
  if (there) return there
  const { sections, alsoCalled } = printedWords(language)
  const exact = new Map<string, Role>()
  const begins: [string, Role][] = []
  for (const role of Object.keys(roles) as Role[])
    for (const name of [sections[role], ...(alsoCalled[role] ?? [])]) {
      if (!name) continue
      exact.set(compared(name), role)
      if (FOLLOWED.has(role)) begins.push([compared(name), role])
    }
  known.set(language, { exact, begins })
  return { exact, begins }
}

/** The role that a heading's own words give it, in English or in the language of its text. */
export function roleByName(title: string, language = 'en'): Role | undefined {
  const words = compared(title)
  for (const l of new Set([primaryTag(language), 'en'])) {
    const { exact, begins } = namesIn(l)
    const role =
      exact.get(words) ?? begins.find(([n]) => words.startsWith(n) && /^[\s:,–—-]/.test(words.slice(n.length)))?.[1]
    if (role && role !== 'half-title' && role !== 'title-page') return role
  }
  return undefined
}

/** What a heading's words say: a counted word with its numeral, a bare numeral, a title. A numeral alone in words is read in English and in the text's language. */
export function readHeading(
  text: string,
  language = 'en',
): {
  part: boolean
  number?: number
  title: string
  word?: string
  bareNumeral?: boolean
} {
  const t = text.replace(/\s+/g, ' ').trim()
  const spoken = readSpoken(t)
  if (spoken) return spoken
  const m = counted.exec(t)
  const n = m && readNumeral(m[2]!)
  if (m && n) return { part: partWords.has(m[1]!.toLowerCase()), number: n, title: (m[3] ?? '').trim(), word: m[1]! }
  const behind = countedBehind.exec(t)
  const nb = behind && readNumeral(behind[1]!)
  if (behind && nb)
    return {
      part: partWords.has(behind[2]!.toLowerCase()),
      number: nb,
      title: (behind[3] ?? '').trim(),
      word: behind[2]!.replace(/^\.\s*/, ''),
    }
  // "Chapter Four The Bell": the numeral is the longest that still reads as one.
  const w = /^(chapter|part)\s+(\S+(?:\s\S+)?)\s+(.+)$/i.exec(t)
  if (w)
    for (const k of [w[2]!, w[2]!.split(' ')[0]!]) {
      const k2 = readNumeral(k)
      if (k2)
        return {
          part: w[1]!.toLowerCase() === 'part',
          number: k2,
          title: t.slice(w[1]!.length).trim().slice(k.length).trim(),
          word: w[1]!,
        }
    }
  const bare = /^[-–—.\s]*([a-z]+(?:[ -][a-z]+)?|\d{1,3})[-–—.\s]*$/i.exec(t)
  const b = bare && readNumeral(bare[1]!)
  // "I" and "Mix" are words before they are numerals: only capitals count as Roman here.
  if (b && (/^\d/.test(bare![1]!) || /^[IVXLC]+$/.test(bare![1]!) || !/^[ivxlcdm]+$/i.test(bare![1]!)))
    return { part: false, number: b, title: '', bareNumeral: true }
  const aloneNumber = readAlone(t, language)
  if (aloneNumber) return { part: false, number: aloneNumber, title: '', bareNumeral: true }
  const l = leading.exec(t)
  const ln = l && (/^\d/.test(l[1]!) || /^[IVXLC]+$/.test(l[1]!)) ? readNumeral(l[1]!) : undefined
  if (l && ln) return { part: false, number: ln, title: l[2]!.trim() }
  return { part: false, title: t }
}

/** Weighs a paragraph as the beginning of a section. Undefined where nothing speaks for it. */
export function propose(block: RawBlock, index: number, bodySize: number, language?: string): Proposal | undefined {
  if (block.type === 'section')
    return {
      index,
      score: SAID,
      evidence: [block.why],
      role: block.role,
      numbered: !!block.numbered,
      title: block.title ?? '',
      bare: false,
      said: true,
    }
  if (block.type !== 'para' || block.list) return undefined
  const typed = inlineText(block.content)
  if (typed.length > 4 * MOST_LETTERS) return undefined
  const text = typed.replace(/\s+/g, ' ').trim()
  if (!text || text.length > MOST_LETTERS) return undefined
  const words = text.split(' ').length
  const short = text.length <= 90 && words <= 14
  const styled = block.level !== undefined && block.level >= 1
  if (!short && !styled) return undefined
  const heading = readHeading(text, language)
  const named = block.role ?? roleByName(text, language)
  const evidence: [number, string][] = []
  if (styled)
    evidence.push([5, block.style ? `styled “${block.style}”` : `marked as a heading of level ${block.level}`])
  if (heading.word) evidence.push([4, `the word “${heading.word}” with a numeral`])
  else if (heading.bareNumeral) evidence.push([3, 'a numeral alone on its line'])
  if (block.role || block.numbered) evidence.push([SAID, 'the file says what it is'])
  else if (named && words <= 6) evidence.push([3, `the word “${text.split(' ').slice(0, 3).join(' ')}”`])
  if (!/[.,;:]$/.test(text) || heading.word || heading.bareNumeral) {
    if (block.size && bodySize && block.size >= bodySize * 1.2)
      evidence.push([3, `set larger than the text: ${round(block.size)} pt against ${round(bodySize)}`])
    if (block.newPage) evidence.push([2, 'first after a page break'])
    if (block.align === 'center') evidence.push([1, 'centred'])
    if (block.bold) evidence.push([1, 'bold'])
    if (/\p{Lu}/u.test(text) && text === text.toUpperCase() && /\p{L}{2}/u.test(text)) evidence.push([1, 'in capitals'])
  }
  if (!evidence.length) return undefined
  evidence.sort((a, b) => b[0] - a[0])
  const role: Role = block.role ?? (heading.part ? 'part' : (named ?? 'chapter'))
  return {
    index,
    score: evidence.reduce((s, e) => s + e[0], 0),
    evidence: evidence.map(e => e[1]),
    role,
    numbered: block.numbered ?? heading.number !== undefined,
    number: heading.number,
    title: block.numbered === undefined ? heading.title : text,
    level: styled ? block.level : undefined,
    bare: block.numbered === undefined && heading.number !== undefined && !heading.title,
    ...(block.role ? { said: true } : {}),
  }
}

const round = (x: number): number => Math.round(x * 10) / 10

/** A short line that looks like the title under a bare number. */
export function looksLikeTitle(block: RawBlock | undefined, bodySize: number): block is RawPara {
  if (block?.type !== 'para' || block.list) return false
  const text = inlineText(block.content).trim()
  if (!text || text.length > 80 || /[.,;:!?”"]$/.test(text)) return false
  // Plain text has no sizes to go by: a short line that begins with a capital will do.
  if (!block.size && text.length <= 60 && /^\p{Lu}/u.test(text)) return true
  return (
    block.level !== undefined ||
    block.align === 'center' ||
    !!block.bold ||
    (!!block.size && block.size >= bodySize * 1.15) ||
    text === text.toUpperCase()
  )
}

/** Typed scene breaks: asterisks, hashes, dashes, asterisms and their like, alone on a line. */
export const isSceneBreak = (text: string): boolean =>
  /^(?:[*#~•·◦✻✽❦☙⁂⁎–—_=+-]\s*){1,12}$/u.test(text.trim()) && !/^[•·–—-]$/.test(text.trim())
