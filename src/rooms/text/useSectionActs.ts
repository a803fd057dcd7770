'use client'
import type { Editor } from '@tiptap/core'
import { App } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo } from 'react'
import {
  addSection,
  type Book,
  docWords,
  duplicateSections,
  joinSections,
  labels,
  moveSections,
  newSection,
  removeSection,
  type Role,
  roles,
  type Section,
  shortName,
  splitSection,
  takeOver,
} from '@/core/book'
import { commitSections } from '@/data/changes'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'
import { blockAt } from './commands'

/** Sections of fewer words are removed without a question: undo brings them back. */
const WORTH_A_QUESTION = 50

/** What can be done with the open section, and with those that are picked. Each is one step of the book; what could not be written is said. */
export interface SectionActs {
  /** An operation on the whole book. Resolves whether it stands. */
  operate: (label: string, operation: (b: Book) => Book) => Promise<boolean>
  change: (label: string, patch: Partial<Section>) => Promise<boolean>
  add: (role: Role) => void
  /** What is picked leaves the book. */
  remove: () => void
  duplicate: () => void
  /** What is picked becomes one; a single section goes to the one before it. */
  join: () => void
  /** Sections go to where another stands. */
  move: (ids: readonly string[], to: string) => void
  /** In two, before the cursor's paragraph. */
  split: () => void
  /** Reads this section, or the whole text, as though it came in now: what would change is shown first. */
  readAgain: (whole: boolean) => void
  /** A made page becomes one that is written. */
  takeOver: () => void
}

interface ActsOn {
  book: Book
  section: Section | undefined
  /** Ids of what is picked, in order. */
  picked: readonly string[]
  name: string
  editor: Editor | undefined
  /** Writes what the pen still holds: operations begin from there. */
  flush: () => Promise<void>
  onChoose: (id: string | undefined) => void
}

export function useSectionActs({ book, section, picked, name, editor, flush, onChoose }: ActsOn): SectionActs {
  const { modal } = App.useApp()
  const router = useRouter()
  const say = useSay()
  const bookId = book.id
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
    const going = book.sections.filter(s => picked.includes(s.id))
    const words = going.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
    const leave = (): void => {
      void operate(`Remove ${said(book, picked)}`, b => picked.reduce(removeSection, b))
      onChoose(undefined)
    }
    if (words < WORTH_A_QUESTION) leave()
    else
      modal.confirm({
        title: `Remove ${said(book, picked)}?`,
        content: `${words.toLocaleString('en')} words leave the book. Undo brings them back.`,
        okText: 'Remove it',
        cancelText: 'Keep it',
        onOk: leave,
      })
  })
  const duplicate = useLatest(
    (): void => void operate(`Duplicate ${said(book, picked)}`, b => duplicateSections(b, picked)),
  )
  const join = useLatest((): void => {
    const [first, ...rest] = picked
    if (first === undefined) return
    const joined = rest.length ? rest : [first]
    const at = book.sections.findIndex(s => s.id === first)
    onChoose(rest.length ? first : book.sections[at - 1]?.id)
    void operate(rest.length ? `Join ${said(book, picked)}` : `Join ${said(book, picked)} to the one before`, b =>
      joined.reduce(joinSections, b),
    )
  })
  const move = useLatest((ids: readonly string[], to: string): void => {
    void operate(`Move ${said(book, ids)}`, b => moveSections(b, ids, to))
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
  // Each is the same for good: what has them is not drawn anew at every key.
  return useMemo(
    () => ({ operate, change, add, remove, duplicate, join, move, split, readAgain, takeOver: taken }),
    [operate, change, add, remove, duplicate, join, move, split, readAgain, taken],
  )
}

/** Sections in words: one by its name, more by their number. */
function said(book: Book, ids: readonly string[]): string {
  const one = ids.length === 1 && book.sections.find(s => s.id === ids[0])
  if (!one) return `${ids.length} sections`
  return `“${shortName(labels(book.sections, book.data.language).get(one.id)!) || roles[one.role].name}”`
}
