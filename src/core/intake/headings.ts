import { inlineText, readNumeral, type Role } from '../book'
import type { RawBlock, RawPara } from './raw'

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
const counted = new RegExp(
  `^(chapter|part|book|kapitel|chapitre|cap[ií]tulo|capitolo|hoofdstuk|teil|partie|parte|deel|del)\\s+(${numberWord})(?:\\s*[:.—–-]\\s*(.+)|\\s*)$`,
  'i',
)
const leading = /^([ivxlc]{1,7}|\d{1,3})\s*[.:)—–-]\s+(.{2,})$/i
const partWords = new Set(['part', 'book', 'teil', 'partie', 'parte', 'deel', 'del'])

const byName: [RegExp, Role][] = [
  [/^(prologue|prolog)\b/i, 'prologue'],
  [/^(epilogue|epilog)\b/i, 'epilogue'],
  [/^(interlude|intermezzo)\b/i, 'interlude'],
  [/^(table of )?contents$/i, 'contents'],
  [/^copyright( page)?$/i, 'copyright'],
  [/^dedication$/i, 'dedication'],
  [/^epigraph$/i, 'epigraph'],
  [/^foreword\b/i, 'foreword'],
  [/^preface\b/i, 'preface'],
  [/^introduction$/i, 'introduction'],
  [/^acknowledge?ments?$/i, 'acknowledgements'],
  [/^afterword\b/i, 'afterword'],
  [/^(about the authors?|the author)$/i, 'about-author'],
  [/^(also by|other books by|books by)\b/i, 'also-by'],
  [/^(end ?notes|notes)$/i, 'notes'],
  [/^glossary$/i, 'glossary'],
  [/^(an? )?(excerpt|extract)\b/i, 'excerpt'],
]

/** The role that a heading's own words give it. */
export const roleByName = (title: string): Role | undefined => byName.find(([r]) => r.test(title.trim()))?.[1]

/** What a heading's words say: a counted word with its numeral, a bare numeral, a title. */
export function readHeading(text: string): {
  part: boolean
  number?: number
  title: string
  word?: string
  bareNumeral?: boolean
} {
  const t = text.replace(/\s+/g, ' ').trim()
  const m = counted.exec(t)
  const n = m && readNumeral(m[2]!)
  if (m && n) return { part: partWords.has(m[1]!.toLowerCase()), number: n, title: (m[3] ?? '').trim(), word: m[1]! }
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
  const l = leading.exec(t)
  const ln = l && (/^\d/.test(l[1]!) || /^[IVXLC]+$/.test(l[1]!)) ? readNumeral(l[1]!) : undefined
  if (l && ln) return { part: false, number: ln, title: l[2]!.trim() }
  return { part: false, title: t }
}

/** Weighs a paragraph as the beginning of a section. Undefined where nothing speaks for it. */
export function propose(block: RawBlock, index: number, bodySize: number): Proposal | undefined {
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
  const heading = readHeading(text)
  const named = block.role ?? roleByName(text)
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
