import type { Editor } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { type BlockJson, countWords, docWords } from '@/core/book'

// A key changes one block: the others are the very same nodes, and are not counted again.
const counts = new WeakMap<Node, number>()

/** Words of what stands in an editor. */
export function countOf(editor: Pick<Editor, 'state'>): number {
  let words = 0
  editor.state.doc.forEach(block => {
    let n = counts.get(block)
    if (n === undefined) counts.set(block, (n = docWords({ type: 'doc', content: [block.toJSON() as BlockJson] })))
    words += n
  })
  return words
}

/** What is chosen in an editor. */
export interface ChosenText {
  words: number
  /** Letters, signs and spaces. */
  characters: number
}

/** Counts what is chosen; undefined where nothing is. */
export function chosenIn({ state: { doc, selection } }: Pick<Editor, 'state'>): ChosenText | undefined {
  if (selection.empty) return undefined
  const text = doc.textBetween(selection.from, selection.to, '\n', '')
  const words = countWords(text)
  return words ? { words, characters: [...text.replaceAll('\n', '')].length } : undefined
}

/** Words that a reader takes in a minute: about what adults read in silence (Brysbaert 2019: 238). */
const READ = 238

/** What chosen words come to: characters, time, printed pages. `perWord`: pages that a word of the book takes, where they are known. */
export function inReading({ words, characters }: ChosenText, perWord: number | undefined): string {
  const minutes = words / READ
  const seconds = Math.max(1, Math.round(minutes * 60))
  const time =
    minutes < 1
      ? `${seconds} ${seconds === 1 ? 'second' : 'seconds'}`
      : Math.round(minutes) === 1
        ? 'a minute'
        : `${Math.round(minutes)} minutes`
  // Less than can be said in tenths is not said.
  const tenths = Math.round(words * (perWord ?? 0) * 10)
  const pages = tenths ? `, about ${(tenths / 10).toFixed(1)} pages in print` : ''
  return `${characters.toLocaleString('en')} ${characters === 1 ? 'character' : 'characters'}, ${time} to read${pages}`
}
