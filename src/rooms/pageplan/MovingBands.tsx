'use client'
import { HolderOutlined } from '@ant-design/icons'
import {
  DndContext,
  type DragMoveEvent,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { type ReactNode, useState } from 'react'
import { type Band, moveRunBefore, moveRunBy, partId, runName } from '@/core/activity'
import type { PagePlan, Section } from '@/core/book'
import type { ChangePlan } from './planChanges'

/** How runs of the flatplan are moved; nothing where the book is only looked at. */
export interface Moves {
  sections: Section[]
  onChange: ChangePlan
}

/** Where what is dragged would come to stand: above or below a band, by its key. */
interface Drop {
  band: string
  below: boolean
}

/** A band by the run or section it is of; one of nothing planned by where it begins. */
export const keyOf = ({ of, from }: Band): string => (typeof of === 'object' ? partId(of) : `${of}/${from}`)

/** The bands of a flatplan among which runs are dragged by their heads; `children` draws one, with where something would be dropped at it. */
export function MovingBands({
  bands,
  moves,
  children,
}: {
  bands: Band[]
  moves: Moves | undefined
  children: (band: Band, drop: 'above' | 'below' | undefined) => ReactNode
}) {
  'use memo'
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }))
  const [dragged, setDragged] = useState<string>()
  const [drop, setDrop] = useState<Drop>()
  const at = (id: unknown): Band | undefined => bands.find(b => keyOf(b) === id)
  const look = ({ over, active }: DragMoveEvent): void => {
    const centre = active.rect.current.translated
    const next = over && centre && { band: String(over.id), below: centre.top > over.rect.top + over.rect.height / 2 }
    setDrop(d => (next && d?.band === next.band && d.below === next.below ? d : (next ?? undefined)))
  }
  const end = (): void => {
    setDragged(undefined)
    setDrop(undefined)
  }
  const dropped = (): void => {
    if (dragged !== undefined && drop && moves) {
      const before = placeBelow(bands, drop)
      void moves.onChange('Move a run', p => moveRunBefore(p, moves.sections, dragged, before))
    }
    end()
  }
  const over = at(dragged)
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={({ active }) => setDragged(String(active.id))}
      onDragMove={look}
      onDragEnd={dropped}
      onDragCancel={end}
    >
      {bands.map(band => children(band, drop?.band === keyOf(band) ? (drop.below ? 'below' : 'above') : undefined))}
      <DragOverlay dropAnimation={null}>
        {over && typeof over.of === 'object' && 'run' in over.of && (
          <span className="dragged">{runName(over.of.run)}</span>
        )}
      </DragOverlay>
    </DndContext>
  )
}

/** What a run that is dropped comes to stand before: a run or a section by its id; undefined at the end. */
function placeBelow(bands: readonly Band[], { band, below }: Drop): string | undefined {
  const at = bands.findIndex(b => keyOf(b) === band)
  const isPlace = (b: Band): boolean => typeof b.of === 'object'
  const next = bands.slice(below || !isPlace(bands[at]!) ? at + 1 : at).find(isPlace)
  return next && keyOf(next)
}

/** A band that a run can be dropped at. */
export function BandPlace({
  band,
  drop,
  children,
}: {
  band: Band
  drop: 'above' | 'below' | undefined
  children: ReactNode
}) {
  'use memo'
  const { setNodeRef } = useDroppable({ id: keyOf(band) })
  return (
    <section ref={setNodeRef} className={typeof band.of === 'object' ? 'run' : 'run plain'} data-drop={drop}>
      {children}
    </section>
  )
}

/** What a run is dragged by; with arrows it moves a place up or down. */
export function BandHandle({ band, moves }: { band: Band; moves: Moves }) {
  'use memo'
  const { attributes, listeners, setNodeRef } = useDraggable({ id: keyOf(band) })
  if (typeof band.of !== 'object' || !('run' in band.of)) return null
  const { run } = band.of
  const move = (by: number): void =>
    void moves.onChange('Move a run', (p: PagePlan) => moveRunBy(p, moves.sections, run.id, by))
  return (
    <button
      type="button"
      ref={setNodeRef}
      className="handle"
      {...attributes}
      {...listeners}
      aria-roledescription="moved by dragging or by arrow keys"
      aria-label={`Move ${runName(run)}`}
      title="Drag it, or move it with ↑ and ↓"
      onKeyDown={e => {
        if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return
        e.preventDefault()
        e.stopPropagation()
        move(e.key === 'ArrowUp' ? -1 : 1)
      }}
    >
      <HolderOutlined />
    </button>
  )
}
