'use client'
import type { Editor } from '@tiptap/core'
import { App } from 'antd'
import { useRouter } from 'next/navigation'
import {
  addSection,
  type Book,
  docWords,
  newSection,
  removeSection,
  type Role,
  roles,
  type Section,
  splitSection,
  takeOver,
} from '@/core/book'
import { commitSections } from '@/data/changes'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'
import { blockAt } from './commands'

/** Sections of fewer words are removed without a question: undo brings them back. */
const WORTH_A_QUESTION = 50

/** What can be done with a section as a whole. Each is one step of the book; what could not be written is said. */
export interface SectionActs {
  /** An operation on the whole book. Resolves whether it stands. */
  operate: (label: string, operation: (b: Book) => Book) => Promise<boolean>
  change: (label: string, patch: Partial<Section>) => Promise<boolean>
  add: (role: Role) => void
  remove: () => void
  /** In two, before the cursor's paragraph. */
  split: () => void
  /** Reads this section, or the whole text, as though it came in now: what would change is shown first. */
  readAgain: (whole: boolean) => void
  /** A made page becomes one that is written. */
  takeOver: () => void
}

export function useSectionActs({
  bookId,
  section,
  name,
  editor,
  flush,
  onChoose,
}: {
  bookId: string
  section: Section | undefined
  name: string
  editor: Editor | undefined
  /** Writes what the pen still holds: operations begin from there. */
  flush: () => Promise<void>
  onChoose: (id: string | undefined) => void
}): SectionActs {
  const { modal } = App.useApp()
  const router = useRouter()
  const say = useSay()
  const operate = useLatest((label: string, operation: (b: Book) => Book): Promise<boolean> =>
    flush()
      .then(() => commitSections(bookId, label, operation))
      .then(
        () => true,
        (x: Error) => {
          say.failed(x)
          return false
        },
      ),
  )
  const change = useLatest((label: string, patch: Partial<Section>): Promise<boolean> =>
    !section
      ? Promise.resolve(false)
      : operate(label, b => ({ ...b, sections: b.sections.map(s => (s.id === section.id ? { ...s, ...patch } : s)) })),
  )
  const add = useLatest((role: Role): void => {
    void operate(`Add ${roles[role].name.toLowerCase()}`, b => {
      // Its id is the next one of the book as it is when it is written.
      const fresh = newSection(b, role)
      onChoose(fresh.id)
      return addSection(b, fresh, section && roles[role].part === section.part ? section.id : undefined)
    })
  })
  const remove = useLatest((): void => {
    if (!section) return
    const words = section.made ? 0 : docWords(section.doc)
    const leave = (): void => {
      void operate(`Remove “${name}”`, b => removeSection(b, section.id))
      onChoose(undefined)
    }
    if (words < WORTH_A_QUESTION) leave()
    else
      modal.confirm({
        title: `Remove “${name}”?`,
        content: `${words.toLocaleString('en')} words leave the book. Undo brings them back.`,
        okText: 'Remove it',
        cancelText: 'Keep it',
        onOk: leave,
      })
  })
  const split = useLatest((): void => {
    const at = editor && blockAt(editor)
    if (section && at) void operate(`Split “${name}”`, b => splitSection(b, section.id, at))
  })
  const taken = useLatest((): void => {
    if (!section) return
    void operate(`Take over “${name}”`, b => takeOver(b, section.id, b.editions.find(e => e.isbn)?.isbn))
  })
  const readAgain = useLatest((whole: boolean): void => {
    const of = whole || !section ? '' : `&section=${encodeURIComponent(section.id)}`
    void flush().then(() => router.push(`/intake?book=${encodeURIComponent(bookId)}${of}`))
  })
  return { operate, change, add, remove, split, readAgain, takeOver: taken }
}
