import type { RecordingSort } from '../book'
import type { PageMarks } from '../marks'
import type { InteriorStyle, PageStart } from '../pages'
import type { WordsAt } from '../pdf'
import type { EmbeddedFace, UsedText } from './faces'

/** Pages that stay as they are, and what leads to them. */
export interface FixedPages {
  pages: readonly PageMarks[]
  /** Contents: what begins on which page, from 0. */
  contents: readonly { title: string; page: number; depth: number }[]
  /** The page that reading begins on. */
  start: number
  /** The page on which each section and each linked place of it is, by id. */
  leads: ReadonlyMap<string, number>
  /** What is written on pages that were made elsewhere, by asset. */
  words?: ReadonlyMap<string, readonly WordsAt[]>
}

/** What an ebook is made from beside the book. */
export interface EpubOptions {
  isbn?: string
  /** ISO 8601, UTC, whole seconds. */
  date: string
  /** What it follows in its look; the style that books begin with where nothing is said. */
  style?: InteriorStyle
  /** Gives the faces of the style that go with it, for the text that it has; the reader's own are shown where there are none. */
  faces?: (used: UsedText) => EmbeddedFace[]
  /** The author's own style sheet, behind the style's; one with faults stays out. */
  css?: string
  /** The front cover as JPEG or PNG. */
  cover?: { bytes: Uint8Array; type: 'image/jpeg' | 'image/png' }
  /** Bytes of the book's pictures and recordings by their ids. */
  picture(asset: string): Uint8Array | undefined
  /** Where printed pages begin, for the page list. */
  pages?: PageStart[]
  /** The printed edition whose pages those are, as its identifier or its name. */
  printed?: string
  /** Whether the cover, and the contents, are pages that are read through. They are, where it is not said; contents that are asked for are made where the book has none. */
  coverPage?: boolean
  contentsPage?: boolean
  /** Hosts in the web that links may lead to; any, where it is not said. */
  linksTo?: readonly string[]
  /** The outlet that it goes to, by its id: other books of the author's lead to their pages there. */
  outlet?: string
  /** Sorts of recordings that go along; all, where it is not said. */
  plays?: readonly RecordingSort[]
  /** Its pages are fixed: as they are printed. */
  fixed?: FixedPages
}
