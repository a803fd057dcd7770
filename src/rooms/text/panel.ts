import type { Editor } from '@tiptap/core'
import type { Book } from '@/core/book'
import type { SectionActs } from './useSectionActs'

/** What stands in the place of the list of sections. */
export type Panel = 'find' | 'proof' | 'versions' | 'pace' | 'desk' | 'out' | 'others'

/** Whether such a list is shown; and hears when that is to be otherwise. */
export interface Shown {
  open: boolean
  onOpen: (open: boolean) => void
}

/** What such a list looks at, and what it changes. */
export interface PanelOn extends Shown {
  book: Book
  /** The section that is open, and the editor on it where it is written. */
  section: string | undefined
  editor: Editor | undefined
  /** Grows with every change of the editor's text. */
  turn: number
  readOnly: boolean
  acts: SectionActs
  /** Another section is opened. */
  onChoose: (section: string) => void
}
