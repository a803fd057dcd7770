import type { Asset, Book } from './book'
import type { BlockJson } from './doc'
import type { StandingMatter } from './matter'
import { printedWords } from './printedWords'

/** A name that an author writes under, with what books say of whoever bears it. */
export interface PenName {
  id: string
  name: string
  /** As it sorts: "Fenwright, Orla". */
  sortName?: string
  /** The note about the author; an empty line parts its paragraphs. */
  note: string
  portrait?: Asset
  /** Packages at outlets, by the hash of their bytes, that hold what was kept before. */
  former?: string[]
}

/** The id under which a section follows the note of its book's author. */
export const ABOUT_AUTHOR = 'about-author'

/** Part of the measure that a portrait takes beside the note. */
const PORTRAIT = 0.3

/**
 * What a book says about its author, as standing matter that follows from the pen name on its title page. Undefined where no pen
 * name with a note is among its authors.
 */
export function aboutAuthor({ data }: Pick<Book, 'data'>, names: readonly PenName[]): StandingMatter | undefined {
  const authors = data.contributors.filter(c => c.role === 'aut').map(c => c.name)
  const own = names.filter(n => authors.includes(n.name) && (n.note.trim() || n.portrait))
  if (!own.length) return undefined
  return {
    id: ABOUT_AUTHOR,
    name: 'About the author',
    role: 'about-author',
    title: printedWords(data.language).sections['about-author']!,
    doc: { type: 'doc', content: own.flatMap(noteOf) },
    assets: own.flatMap(n => n.portrait ?? []),
  }
}

function noteOf({ name, note, portrait }: PenName): BlockJson[] {
  const paragraphs = note
    .split(/\n\s*\n/)
    .map(p => p.replace(/\s+/g, ' ').trim())
    .filter(Boolean)
  return [
    ...(portrait
      ? [
          {
            type: 'image' as const,
            attrs: {
              id: '',
              asset: portrait.id,
              alt: name,
              decoration: false,
              share: PORTRAIT,
              // Beside words there must be words.
              stands: paragraphs.length ? ('left' as const) : ('measure' as const),
            },
          },
        ]
      : []),
    ...paragraphs.map(text => ({
      type: 'paragraph' as const,
      attrs: { id: '', align: null },
      content: [{ type: 'text' as const, text }],
    })),
  ]
}
