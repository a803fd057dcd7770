'use client'
import Link from 'next/link'
import { plannedPages } from '@/core/activity'
import { HolderOutlined } from '@ant-design/icons'
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { type CSSProperties, type KeyboardEvent, memo, type MouseEvent, useMemo } from 'react'
import { type Book, docWords, heldBy, labels, roles, type Section, shortName } from '@/core/book'
import { useLatest } from '@/parts/useLatest'
import { useSortSensors } from '@/parts/useSortSensors'

const partNames = { front: 'Front', body: 'Body', back: 'Back' } as const

/** How a row was chosen. */
export interface Choice {
  toggles: boolean
  extends: boolean
}

/** What the list asks for; each takes sections by their ids. */
export interface ListWishes {
  onChoose: (id: string, how: Choice) => void
  /** These go to where another stands. */
  onMove: (ids: readonly string[], to: string) => void
  onRemove: () => void
  onDuplicate: () => void
}

/** The sections in their three parts, chapters within theirs, each with its share of the book; they are moved by mouse, or by keyboard on their handles. Drawn anew only where the book is another, and rows only where they say something else: keys are typed beside it. */
export const SectionList = memo(function SectionList({
  book,
  chosen,
  picked,
  readOnly,
  ...wishes
}: ListWishes & {
  book: Book
  chosen: string | undefined
  /** All that is picked, in order. */
  picked: readonly string[]
  readOnly: boolean
}) {
  const sensors = useSortSensors()
  const names = labels(book.sections, book.data.language)
  /** What goes along with a section: all that is picked where it is, else what it holds as a part. */
  const along = (id: string): string[] =>
    picked.includes(id) && picked.length > 1 ? [...picked] : [id, ...heldBy(book.sections, id).map(s => s.id)]
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (over && active.id !== over.id) wishes.onMove(along(String(active.id)), String(over.id))
  }
  const order = book.sections.map(s => s.id).join()
  const items = useMemo(() => order.split(','), [order])
  const within = useMemo(
    () => new Set(book.sections.flatMap(s => heldBy(book.sections, s.id).map(h => h.id))),
    [book.sections],
  )
  const wordsOf = (s: Section): number => (s.made ? 0 : docWords(s.doc))
  const most = Math.max(1, ...book.sections.map(wordsOf))
  const choose = useLatest(wishes.onChoose)
  const key = useLatest((e: KeyboardEvent<HTMLElement>): void => {
    const row = (e.target as HTMLElement).closest<HTMLElement>('button[data-section]')
    if (!row) return
    const id = row.dataset.section!
    const step = { ArrowUp: -1, ArrowDown: 1 }[e.key]
    if (step !== undefined) {
      e.preventDefault()
      if (e.altKey) {
        const moving = along(id)
        const places = moving.map(m => items.indexOf(m))
        const beyond = items[(step < 0 ? Math.min(...places) : Math.max(...places)) + step]
        if (beyond !== undefined && !readOnly) wishes.onMove(moving, beyond)
        return
      }
      const to = items[items.indexOf(id) + step]
      if (to === undefined) return
      e.currentTarget.querySelector<HTMLElement>(`[data-section="${to}"]`)?.focus()
      if (e.shiftKey) choose(to, { toggles: false, extends: true })
    } else if (readOnly || !picked.includes(id)) return
    // A key means what is picked only where the row that has the focus is among it.
    else if (e.key === 'Delete') wishes.onRemove()
    else if (e.key.toLowerCase() === 'd' && !e.ctrlKey && !e.metaKey) wishes.onDuplicate()
  })
  return (
    <nav className="sections" aria-label="Sections" onKeyDown={key}>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
        <SortableContext items={items} strategy={verticalListSortingStrategy} disabled={readOnly}>
          {(['front', 'body', 'back'] as const).map(part => (
            <section key={part} aria-label={partNames[part]}>
              <h2>{partNames[part]}</h2>
              <ul>
                {book.sections
                  .filter(s => s.part === part)
                  .map(s => (
                    <Row
                      key={s.id}
                      id={s.id}
                      name={shortName(names.get(s.id)!) || roles[s.role].name}
                      number={s.title ? names.get(s.id)!.number : undefined}
                      words={s.made ? 'made' : wordsOf(s).toLocaleString('en')}
                      share={Math.round((wordsOf(s) / most) * 1000) / 1000}
                      within={within.has(s.id)}
                      chosen={s.id === chosen}
                      picked={picked.length > 1 && picked.includes(s.id)}
                      onChoose={choose}
                    />
                  ))}
              </ul>
              {part === 'body' && book.plan && (
                <p className="none">
                  <Link prefetch={false} href={`/book/${encodeURIComponent(book.id)}/pages`}>
                    {plannedPages(book.plan)} planned pages
                  </Link>
                </p>
              )}
              {!book.sections.some(s => s.part === part) && !(part === 'body' && book.plan) && (
                <p className="none">nothing yet</p>
              )}
            </section>
          ))}
        </SortableContext>
      </DndContext>
    </nav>
  )
})

const Row = memo(function Row({
  id,
  name,
  number,
  words,
  share,
  within,
  chosen,
  picked,
  onChoose,
}: {
  id: string
  name: string
  number?: number
  words: string
  /** Its words as part of the longest section's. */
  share: number
  /** It stands within a part. */
  within: boolean
  chosen: boolean
  picked: boolean
  onChoose: ListWishes['onChoose']
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id })
  const click = (e: MouseEvent): void => onChoose(id, { toggles: e.ctrlKey || e.metaKey, extends: e.shiftKey })
  const classes = [isDragging && 'moving', within && 'within', picked && 'picked'].filter(Boolean).join(' ')
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={classes || undefined}
    >
      <span className="handle" {...attributes} {...listeners} aria-label={`Move ${name}`}>
        <HolderOutlined />
      </span>
      <button type="button" data-section={id} aria-current={chosen ? 'true' : undefined} onClick={click}>
        <i>{number ?? ''}</i>
        <span>{name}</span>
        <em>{words}</em>
        {share > 0 && <b className="share" style={{ '--share': share } as CSSProperties} aria-hidden />}
      </button>
    </li>
  )
})
