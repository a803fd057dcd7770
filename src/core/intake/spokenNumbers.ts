import { MOST_SAID, numberWords, primaryTag, printedLanguages, printedWords } from '../book'

/** What a heading says that is counted in words. */
export interface Spoken {
  part: boolean
  number: number
  /** What stands behind it. */
  title: string
  /** What is counted, as it was typed: "Kapitel". */
  word: string
}

/** As words are compared: without case, accents and marks. */
export const compared = (words: string): string =>
  BARE.test(words)
    ? words.toLowerCase().trim()
    : words
        .toLowerCase()
        .replace(/['’]/g, '’')
        .replace(/ß/g, 'ss')
        // Capitals are often typed without their accents.
        .normalize('NFD')
        .replace(/\p{M}/gu, '')
        .replace(/[.:\s]+$/, '')
        .trim()

/** Most lines: nothing in them to be taken off. Every paragraph of a manuscript is compared. */
const BARE = /^[a-z0-9 ]*$/i

/** Hyphens within numbers are typed or not. */
const plain = (words: string): string => compared(words).replace(/-/g, ' ').replace(/\s+/g, ' ')

let headings: Map<string, { part: boolean; number: number }> | undefined
/** "chapitre premier" -> 1: every counted heading of every language. */
function allHeadings(): NonNullable<typeof headings> {
  if (headings) return headings
  headings = new Map()
  for (const language of [...printedLanguages, 'pt-PT'])
    for (const what of ['chapter', 'part'] as const)
      for (let number = 1; number <= MOST_SAID; number++)
        for (const said of numberWords(language)![what](number))
          if (!headings.has(plain(said))) headings.set(plain(said), { part: what === 'part', number })
  return headings
}

/** "kapitel", "luku": what is counted. */
const nouns = new Set(
  printedLanguages.flatMap(l =>
    [printedWords(l).chapter, printedWords(l).part].map(p => plain(p.replace(/\{n\}\.?/, ''))),
  ),
)

/** Words of the longest counted heading: "Quatre-vingt-dix-neuvième partie". */
const MOST_WORDS = 6

/** Reads "Chapitre premier", "ERSTES KAPITEL", "Глава вторая. Соль": undefined where no number is said in words behind or before its noun. */
export function readSpoken(heading: string): Spoken | undefined {
  const words = heading.trim().split(/\s+/)
  // The longest that can be read: "Kapitola dvacátá první" is no twentieth.
  for (let k = Math.min(words.length, MOST_WORDS); k > 1; k--) {
    const said = words.slice(0, k).join(' ')
    const there = allHeadings().get(plain(said.replace(/\s*[:.—–-]$/, '')))
    if (!there) continue
    const title = words.slice(k).join(' ')
    const parted = /[:.—–-]$/.test(said) || /^[:.—–-]/.test(title)
    // Without a mark between, "Parte segunda mano" is a title and no second part.
    if (title && !parted) return undefined
    // The noun stands before its number or behind it.
    const [first, last] = [words[0]!, words[k - 1]!.replace(/[:.—–-]$/, '')]
    return { ...there, word: nouns.has(plain(first)) ? first : last, title: title.replace(/^[:.—–-]\s*/, '') }
  }
  return undefined
}

const alone = new Map<string, Map<string, number>>()

/** Reads a number that stands by itself in a language's words: "Eins", "Vingt et un". */
export function readAlone(line: string, language: string): number | undefined {
  const tag = primaryTag(language)
  let numbers = alone.get(tag)
  if (!numbers) {
    numbers = new Map()
    for (let n = 1; n <= MOST_SAID; n++)
      for (const said of numberWords(tag)?.alone(n) ?? []) numbers.set(plain(said), n)
    alone.set(tag, numbers)
  }
  return numbers.get(plain(line.replace(/^[-–—.\s]+|[-–—.\s]+$/g, '')))
}
