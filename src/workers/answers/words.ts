import type { Book } from '@/core/book'
import { Fault } from '@/core/trade'
import type { ListOf, WordReport, WordSource } from '@/core/words'

/** What is to be said of the words of a run: a report, and lines that were not taken; or why there are none. */
export interface WordsSaid {
  report?: WordReport
  left: { line: number; words: string; why: string }[]
  none?: string
}

// Words are loaded when a room asks for them: books without puzzles have none.
const core = () => import('@/core/words')

/** What rooms ask of words. */
export const words = {
  /** Banks that ship: how they are called, and how many words they have. */
  banks: async (): Promise<{ id: string; name: string; words: number }[]> =>
    [(await core()).allBanks, ...(await core()).banks].map(({ id, name, words }) => ({
      id,
      name,
      words: words.length,
    })),

  wordsSaid: async (source: WordSource, language: string): Promise<WordsSaid> => {
    const { listsOf, readWordTable, reportOn } = await core()
    try {
      const lists = listsOf(source)
      return { report: reportOn(lists, language), left: source.bank ? [] : readWordTable(source.text, 'Words').left }
    } catch (e) {
      if (!(e instanceof Fault)) throw e
      return { none: e.message, left: [] }
    }
  },

  /** A sample of a list, with clues where they are wanted. */
  wordSample: async (clued: boolean): Promise<string> => (await core()).sampleOf(clued),

  /** A file that shows how a list is made elsewhere. */
  sampleFile: async (of: ListOf): Promise<{ name: string; type: string; text: string }> =>
    (await core()).sampleFile(of),

  /** The words that make a book its own: its names, and what is seldom said elsewhere. */
  vocabularyOf: async (book: Pick<Book, 'sections'>): Promise<string> => {
    const { vocabulary, writeWordText } = await core()
    return writeWordText(vocabulary(book.sections))
  },
}
