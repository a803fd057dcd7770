'use client'
import Link from 'next/link'
import { plannedPages } from '@/core/activity'
import { HolderOutlined } from '@ant-design/icons'
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { memo, useMemo } from 'react'
import { type Book, docWords, labels, moveSection, roles, type Section, shortName } from '@/core/book'
import { commitSections } from '@/data/changes'
import { useSortSensors } from '@/parts/useSortSensors'

const partNames = { front: 'Front', body: 'Body', back: 'Back' } as const

/** The sections in their three parts; they are moved by mouse, or by keyboard on their handles. Drawn anew only where the book is another, and rows only where they say something else: keys are typed beside it. */
export const SectionList = memo(function SectionList({
  book,
  chosen,
  readOnly,
  onChoose,
}: {
  book: Book
  chosen: string | undefined
  readOnly: boolean
  onChoose: (id: string) => void
}) {
  const sensors = useSortSensors()
  const names = labels(book.sections, book.data.language)
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    const to = book.sections.findIndex(s => s.id === over.id)
    const moved = book.sections.find(s => s.id === active.id)!
    void commitSections(book.id, `Move “${shortName(names.get(moved.id)!)}”`, b =>
      moveSection(b, String(active.id), to),
    )
  }
  const order = book.sections.map(s => s.id).join()
  const items = useMemo(() => order.split(','), [order])
  const words = (s: Section): string => (s.made ? 'made' : docWords(s.doc).toLocaleString('en'))
  return (
    <nav className="sections" aria-label="Sections">
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
                      words={words(s)}
                      chosen={s.id === chosen}
                      onChoose={onChoose}
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
  chosen,
  onChoose,
}: {
  id: string
  name: string
  number?: number
  words: string
  chosen: boolean
  onChoose: (id: string) => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id })
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={isDragging ? 'moving' : undefined}
    >
      <span className="handle" {...attributes} {...listeners} aria-label={`Move ${name}`}>
        <HolderOutlined />
      </span>
      <button type="button" aria-current={chosen ? 'true' : undefined} onClick={() => onChoose(id)}>
        <i>{number ?? ''}</i>
        <span>{name}</span>
        <em>{words}</em>
      </button>
    </li>
  )
})
