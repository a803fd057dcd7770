import Papa from 'papaparse'
import { Fault } from '../trade'
import { gridLetters } from './letters'
import { MOST_LISTS, MOST_WORDS, type Word, type WordList } from './wordList'

/** Lists as they were read, and what was not taken: by line, from 1. */
export interface ReadTable {
  lists: WordList[]
  left: { line: number; words: string; why: string }[]
}

/** Letters of a word, or of a saying. */
const LONGEST = 160

/** Names that a column may have, by what it holds. */
const columns = {
  list: ['list', 'theme', 'page', 'heading'],
  word: ['word', 'answer', 'words'],
  clue: ['clue', 'hint', 'definition'],
} as const

/**
 * Reads words from a table with named columns (list, word, clue; commas, semicolons or tabs between them) or from plain text: a line
 * that begins with “#” heads a list, every other line is a word, or a word, a colon and its clue. Words before the first heading
 * belong to a list named `name`. Throws a Fault where there are no words in it.
 */
export function readWordTable(text: string, name: string): ReadTable {
  const whole = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n')
  const read = asTable(whole, name) ?? asText(whole, name)
  if (!read.lists.length)
    throw new Fault('words', 'There are no words yet: a word a line is enough, or a table with a column named “word”.')
  return read
}

function asTable(text: string, name: string): ReadTable | undefined {
  const first = text.slice(0, text.indexOf('\n') + 1 || undefined)
  if (!/[,;\t]/.test(first)) return undefined
  const { data } = Papa.parse<string[]>(text, { delimitersToGuess: [',', ';', '\t'] })
  const heads = (data[0] ?? []).map(h => h.trim().toLowerCase())
  const at = (of: readonly string[]): number => heads.findIndex(h => of.includes(h))
  const [list, word, clue] = [at(columns.list), at(columns.word), at(columns.clue)]
  if (word < 0) return undefined
  const into = new Gathered(name)
  // A table's cells may hold line ends: lines are counted as they stand in the file.
  let line = 1
  for (const row of data) {
    const cell = (i: number): string => (i < 0 ? '' : (row[i] ?? '').trim())
    if (line > 1 && row.some(c => c.trim())) into.add(line, cell(list), { word: cell(word), clue: cell(clue) })
    line += 1 + row.reduce((n, c) => n + c.split('\n').length - 1, 0)
  }
  return into.read()
}

function asText(text: string, name: string): ReadTable {
  const into = new Gathered(name)
  let list = ''
  text.split('\n').forEach((raw, i) => {
    const said = raw.trim()
    if (!said) return
    if (said.startsWith('#')) {
      list = said.replace(/^#+\s*/, '')
      return
    }
    const colon = said.indexOf(':')
    const word = colon < 0 ? said : said.slice(0, colon).trim()
    into.add(i + 1, list, { word, clue: colon < 0 ? '' : said.slice(colon + 1).trim() })
  })
  return into.read()
}

/** Lists in the order in which they were first named. */
class Gathered {
  private readonly lists = new Map<string, { words: Word[]; known: Set<string> }>()
  private readonly left: ReadTable['left'] = []

  constructor(private readonly name: string) {}

  add(line: number, list: string, { word, clue }: { word: string; clue: string }): void {
    const say = (why: string): void => void this.left.push({ line, words: (word || clue).slice(0, 80), why })
    const letters = gridLetters(word)
    if (!letters) return say('no letters in it')
    if (word.length > LONGEST) return say(`longer than ${LONGEST} letters`)
    const key = (list || this.name).slice(0, 120)
    if (!this.lists.has(key) && this.lists.size === MOST_LISTS) return say(`more than ${MOST_LISTS} lists`)
    const into = this.lists.get(key) ?? { words: [], known: new Set<string>() }
    this.lists.set(key, into)
    if (into.known.has(letters)) return say('twice in its list')
    if (into.words.length === MOST_WORDS) return say(`more than ${MOST_WORDS} words in a list`)
    into.known.add(letters)
    into.words.push(clue ? { word, clue: clue.slice(0, 300) } : { word })
  }

  read(): ReadTable {
    return { lists: [...this.lists].map(([name, { words }]) => ({ name, words })), left: this.left }
  }
}
