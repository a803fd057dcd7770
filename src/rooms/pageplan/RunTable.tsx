'use client'
import { DeleteOutlined, HolderOutlined } from '@ant-design/icons'
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Button } from 'antd'
import Link from 'next/link'
import { kindOf, plannedPages, runName } from '@/core/activity'
import { type PagePlan, roles, type Run, type Section } from '@/core/book'
import { NumberValue } from '@/parts/Sentence'
import type { ChangeRun } from './RunSentence'

const COUNT = { factor: 1, step: 1, digits: 0, unit: '' }
const MOST_PAGES = 2000

/** Pages as they were set: before the plan, behind it, in all; and their labels. */
export interface SetPages {
  front: number
  back: number
  total: number
  labels: string[]
}

interface RunTableProps {
  plan: PagePlan
  chosen: string | undefined
  readOnly: boolean
  bookId: string
  sections: Section[]
  set: SetPages
  onChoose: (id: string) => void
  onChange: (label: string, next: (p: PagePlan) => PagePlan) => void
  onChangeRun: (id: string) => ChangeRun
}

/** The plan as a balance of all pages: each run with how many it takes and where they stand. */
export function RunTable(props: RunTableProps) {
  const { plan, chosen, readOnly, bookId, sections, set, onChoose, onChange, onChangeRun } = props
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    const at = (runs: Run[], id: unknown): number => runs.findIndex(r => r.id === id)
    onChange('Move a run', p => ({ ...p, runs: arrayMove(p.runs, at(p.runs, active.id), at(p.runs, over.id)) }))
  }
  const blanks = Math.max(0, set.total - set.front - set.back - plannedPages(plan))
  let first = 0
  return (
    <table>
      <thead>
        <tr>
          <th />
          <th>run</th>
          <th className="n">pages</th>
          <th className="n">from – to</th>
          <th />
        </tr>
      </thead>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
        <SortableContext items={plan.runs.map(r => r.id)} strategy={verticalListSortingStrategy} disabled={readOnly}>
          <tbody>
            <Written
              name="Front pages"
              bookId={bookId}
              sections={sections.filter(s => s.part === 'front')}
              labels={set.labels.slice(0, set.front)}
            />
            {plan.runs.map(r => {
              const from = first + 1
              first += r.pages
              return (
                <Row
                  key={r.id}
                  run={r}
                  where={r.pages ? `${from} – ${first}` : 'none'}
                  chosen={r.id === chosen}
                  onChoose={() => onChoose(r.id)}
                  onChange={onChangeRun(r.id)}
                  onRemove={() =>
                    onChange(`Remove ${runName(r)}`, p => ({ ...p, runs: p.runs.filter(x => x.id !== r.id) }))
                  }
                />
              )
            })}
            <Written
              name="Back pages"
              bookId={bookId}
              sections={sections.filter(s => s.part !== 'front')}
              labels={set.back ? set.labels.slice(-set.back) : []}
            />
            <tr className="sum">
              <td />
              <td>The book</td>
              <td className="n">{set.total}</td>
              <td className="n">{blankWords(blanks)}</td>
              <td />
            </tr>
          </tbody>
        </SortableContext>
      </DndContext>
    </table>
  )
}

/** Pages that are written, before the runs or behind them: the way to the room where they are. */
function Written({
  name,
  bookId,
  sections,
  labels,
}: {
  name: string
  bookId: string
  sections: Section[]
  labels: string[]
}) {
  const [first] = sections
  const names = sections.map(s => roles[s.role].name.toLowerCase()).join(', ')
  const to = `/book/${encodeURIComponent(bookId)}/text${first ? `?section=${encodeURIComponent(first.id)}` : ''}`
  return (
    <tr className="fixed">
      <td />
      <td>
        <Link prefetch={false} href={to}>
          {name}
        </Link>{' '}
        <em>{names || 'none yet: write some'}</em>
      </td>
      <td className="n">{labels.length}</td>
      <td className="n">{labels.length ? `${labels[0]} – ${labels.at(-1)}` : ''}</td>
      <td />
    </tr>
  )
}

const blankWords = (n: number): string =>
  n ? `with ${n === 1 ? 'one blank page' : `${n} blank pages`} to come out even` : 'even'

interface RowProps {
  run: Run
  where: string
  chosen: boolean
  onChoose: () => void
  onChange: ChangeRun
  onRemove: () => void
}

function Row({ run, where, chosen, onChoose, onChange, onRemove }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: run.id })
  const kind = kindOf(run.kind)
  const name = runName(run)
  return (
    <tr ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }} aria-selected={chosen}>
      <td>
        <span className="handle" {...attributes} {...listeners} aria-label={`Move ${name}`}>
          <HolderOutlined />
        </span>
      </td>
      <td>
        <button type="button" className="name" onClick={onChoose}>
          {name} <em>{run.heading ? kind?.name.toLowerCase() : kind?.says}</em>
        </button>
      </td>
      <td className="n">
        <NumberValue
          label={`Pages of ${name}`}
          value={run.pages}
          least={0}
          most={MOST_PAGES}
          form={COUNT}
          onChange={n => void onChange(`${name}: ${n} pages`, () => ({ pages: n }), true)}
        />
      </td>
      <td className="n">{where}</td>
      <td>
        <Button size="small" type="text" aria-label={`Remove ${name}`} icon={<DeleteOutlined />} onClick={onRemove} />
      </td>
    </tr>
  )
}
