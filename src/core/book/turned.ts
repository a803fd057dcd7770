import { type DocJson, eachInline, type InlineJson } from './doc'

/** A text whose typed signs are turned: what each of its UTF-16 units becomes, and the positions of guesses. */
export interface Turned {
  becomes: string[]
  doubtful: number[]
}

/** A text's UTF-16 units, those of a letter of two as the letter and nothing. */
export const units = (text: string): string[] => [...text].flatMap(c => (c.length > 1 ? [c, ''] : [c]))

/** A place where a sign was guessed, with the words around it. */
export interface DoubtfulPlace {
  block: string
  words: string
}

/** Letters that are shown before and behind a doubtful sign. */
const AROUND = 24

/** What stands between pieces of text, as the turning sees it: a note or a picture counts as a letter. */
const OTHER = '\ufffc'

export const lineOf = (content: readonly InlineJson[]): string =>
  content.map(n => (n.type === 'text' ? n.text : n.type === 'hard_break' ? '\n' : OTHER)).join('')

/** A document with its typed signs turned, formatted pieces of a line read together. `turn` answers undefined for a text that has none. `letters`: signs that went, since one dash stands for two hyphens. */
export function docTurned(
  doc: DocJson,
  turn: (typed: string) => Turned | undefined,
): { doc: DocJson; doubtful: DoubtfulPlace[]; letters: number } {
  const doubtful: DoubtfulPlace[] = []
  let letters = 0
  const copy = structuredClone(doc)
  eachInline(copy, (content, owner) => {
    const typed = lineOf(content)
    const is = turn(typed)
    if (!is) return
    letters += seen(typed) - seen(is.becomes.join(''))
    for (const at of is.doubtful)
      doubtful.push({
        block: 'attrs' in owner && owner.attrs && 'id' in owner.attrs ? owner.attrs.id : '',
        words: typed
          .slice(Math.max(0, at - AROUND), at + AROUND)
          .replace(/[\n\ufffc]/g, ' ')
          .trim(),
      })
    let from = 0
    for (const n of content) {
      const to = from + (n.type === 'text' ? n.text.length : 1)
      if (n.type === 'text') n.text = is.becomes.slice(from, to).join('')
      from = to
    }
    // A piece that was nothing but a space may have given way.
    for (let i = content.length - 1; i >= 0; i--) {
      const n = content[i]!
      if (n.type === 'text' && !n.text) content.splice(i, 1)
    }
  })
  return { doc: copy, doubtful, letters }
}

/** Letters and signs of a text, without its spaces. */
const seen = (text: string): number => text.replace(/\s/g, '').length

/** Places where signs stand as they were typed. */
export interface TypedSigns {
  count: number
  /** The block of the first. */
  first?: string
}

/** Counts what a text has of typed signs, over a document. */
export function typedIn(doc: DocJson, countOf: (typed: string) => number): TypedSigns {
  let count = 0
  let first: string | undefined
  eachInline(doc, (content, owner) => {
    const here = countOf(lineOf(content))
    if (here && !count) first = 'attrs' in owner && owner.attrs && 'id' in owner.attrs ? owner.attrs.id : undefined
    count += here
  })
  return { count, ...(first ? { first } : {}) }
}
