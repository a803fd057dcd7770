import Papa from 'papaparse'
import { sayings } from './sayings'
import type { WordList } from './wordList'
import { writeWordText } from './writeText'

/** What a list that a run is made of holds: words, words with clues, sayings, or rows of a table. */
export type ListOf = 'words' | 'clues' | 'sayings' | 'rows'

const LISTS: readonly WordList[] = [
  {
    name: 'The harbour',
    words: [
      { word: 'anchor', clue: 'Iron hook that holds a ship' },
      { word: 'bollard', clue: 'Post that takes a rope' },
      { word: 'quay', clue: 'Paved edge of the port' },
      { word: 'rowing boat', clue: 'It is moved by a pair of oars' },
    ],
  },
  {
    name: 'The garden',
    words: [
      { word: 'trowel', clue: 'Small spade for one hand' },
      { word: 'dibber', clue: 'Stick that makes a hole for a seedling' },
      { word: 'watering can', clue: 'It rains from its rose' },
    ],
  },
]
const ROWS = [
  { prompt: 'Write down three sounds that you heard before breakfast.', season: 'spring', place: 'at the window' },
  { prompt: 'Who taught you to tie a knot? Tell it in ten lines.', season: 'summer', place: 'on the quay' },
  { prompt: 'Describe a door that you were never allowed to open.', season: 'autumn', place: 'in the hall' },
]
/** Sayings of a sample. */
const FEW = 5

const withClues = (lists: readonly WordList[], clued: boolean): readonly WordList[] =>
  clued ? lists : lists.map(({ name, words }) => ({ name, words: words.map(({ word }) => ({ word })) }))

/** A list of words to begin with, as it is written by hand. */
export const sampleOf = (clued: boolean): string => writeWordText(withClues(LISTS, clued))

/** A file that shows how a list is to be made elsewhere: a table with its columns named, or a saying a line. */
export function sampleFile(of: ListOf): { name: string; type: string; text: string } {
  if (of === 'sayings')
    return { name: 'sample-sayings.txt', type: 'text/plain', text: `${sayings.slice(0, FEW).join('\n')}\n` }
  const rows: readonly object[] =
    of === 'rows'
      ? ROWS
      : withClues(LISTS, of === 'clues').flatMap(({ name, words }) => words.map(w => ({ list: name, ...w })))
  return { name: `sample-${of}.csv`, type: 'text/csv', text: `${Papa.unparse([...rows], { newline: '\n' })}\n` }
}
