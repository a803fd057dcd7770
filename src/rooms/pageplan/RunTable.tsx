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
import { kindOf, plannedPages, runName } from '@/core/activity'
import type { PagePlan, Run } from '@/core/book'
import { NumberValue } from '@/parts/Sentence'
import type { ChangeRun } from './RunSentence'

const COUNT = { factor: 1, step: 1, digits: 0, unit: '' }
const MOST_PAGES = 2000

interface RunTableProps {
  plan: PagePlan
  chosen: string | undefined
  readOnly: boolean
  /** Front pages, the folio of the last of them, and all pages as they were set. */
  front: number
  frontLabel: string
  total: number
  onChoose: (id: string) => void
  onChange: (label: string, next: (p: PagePlan) => PagePlan) => void
  onChangeRun: (id: string) => ChangeRun
}

/** The plan as a balance of all pages: each run with how many it takes and where they stand. */
export function RunTable({ plan, chosen, readOnly, onChoose, onChange, onChangeRun, ...set }: RunTableProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    const at = (runs: Run[], id: unknown): number => runs.findIndex(r => r.id === id)
    onChange('Move a run', p => ({ ...p, runs: arrayMove(p.runs, at(p.runs, active.id), at(p.runs, over.id)) }))
  }
  const blanks = Math.max(0, set.total - set.front - plannedPages(plan))
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
            <tr className="fixed">
              <td />
              <td>
                Front pages <em>title, copyright</em>
              </td>
              <td className="n">{set.front}</td>
              <td className="n">{set.front ? `i – ${set.frontLabel}` : ''}</td>
              <td />
            </tr>
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
          onChange={n => void onChange(`${name}: ${Math.round(n)} pages`, () => ({ pages: Math.round(n) }), true)}
        />
      </td>
      <td className="n">{where}</td>
      <td>
        <Button size="small" type="text" aria-label={`Remove ${name}`} icon={<DeleteOutlined />} onClick={onRemove} />
      </td>
    </tr>
  )
}
