'use client'
import { DeleteOutlined, HolderOutlined } from '@ant-design/icons'
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Button } from 'antd'
import Link from 'next/link'
import { memo, useMemo } from 'react'
import {
  type Band,
  bandsOf,
  kindOf,
  moveRunBefore,
  pagesGiven,
  partId,
  planOrder,
  type PlanPart,
  referred,
  runName,
} from '@/core/activity'
import { type PagePlan, roles, type Run, type Section } from '@/core/book'
import { NumberValue } from '@/parts/Sentence'
import { useSortSensors } from '@/parts/useSortSensors'
import type { ChangeRun } from './planChanges'

const COUNT = { factor: 1, step: 1, digits: 0, unit: '' }
const MOST_PAGES = 2000

/** Pages as they were set: their labels, and the index at which each section and run begins. */
export interface SetPages {
  labels: string[]
  starts: Map<string, number>
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
  'use memo'
  const { plan, chosen, readOnly, bookId, sections, set, onChoose, onChange, onChangeRun } = props
  const sensors = useSortSensors()
  const order = planOrder(plan, sections)
  const key = JSON.stringify(order.map(partId))
  // The same for the same order: rows are not drawn anew where a value of one changes.
  const ids = useMemo(() => JSON.parse(key) as string[], [key])
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    onChange('Move a run', p => {
      const now = planOrder(p, sections).map(partId)
      const [from, to] = [now.indexOf(String(active.id)), now.indexOf(String(over.id))]
      return moveRunBefore(p, sections, String(active.id), from < to ? now[to + 1] : now[to])
    })
  }
  const bands = bandsOf(order, set.starts, set.labels.length)
  const labelsIn = (is: (of: Band['of']) => boolean): string[] =>
    bands.filter(b => is(b.of)).flatMap(b => set.labels.slice(b.from, b.to))
  const labelsOf = (part: PlanPart): string[] => labelsIn(of => typeof of === 'object' && partId(of) === partId(part))
  const front = sections.filter(s => s.part === 'front')
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
        <SortableContext items={ids} strategy={verticalListSortingStrategy} disabled={readOnly}>
          <tbody>
            <tr className="fixed">
              <td />
              <td>
                <Link prefetch={false} href={textOf(bookId, front[0])}>
                  Front pages
                </Link>{' '}
                <em>{front.map(s => roles[s.role].name.toLowerCase()).join(', ') || 'none yet: write some'}</em>
              </td>
              <Labels labels={labelsIn(of => of === 'front')} />
              <td />
            </tr>
            {order.map(part =>
              'section' in part ? (
                <Written key={part.section.id} section={part.section} bookId={bookId} labels={labelsOf(part)} />
              ) : (
                <Row
                  key={part.run.id}
                  run={part.run}
                  besides={besides(part.run, plan)}
                  span={spanOf(labelsOf(part))}
                  chosen={part.run.id === chosen}
                  onChoose={onChoose}
                  onChange={onChange}
                  onChangeRun={onChangeRun}
                />
              ),
            )}
            {order.every(part => 'run' in part) && (
              <tr className="fixed">
                <td />
                <td>
                  <Link prefetch={false} href={textOf(bookId, undefined)}>
                    Back pages
                  </Link>{' '}
                  <em>none yet: write some</em>
                </td>
                <Labels labels={[]} />
                <td />
              </tr>
            )}
            <tr className="sum">
              <td />
              <td>
                The book, <em>{blankWords(labelsIn(of => of === 'blank').length)}</em>
              </td>
              <td className="n">{set.labels.length}</td>
              <td />
              <td />
            </tr>
          </tbody>
        </SortableContext>
      </DndContext>
    </table>
  )
}

/** Where a section is written; without one, the text as a whole. */
export const textOf = (bookId: string, section: Section | undefined): string =>
  `/book/${encodeURIComponent(bookId)}/text${section ? `?section=${encodeURIComponent(section.id)}` : ''}`

const spanOf = (labels: string[]): string => (labels.length > 1 ? `${labels[0]} – ${labels.at(-1)}` : (labels[0] ?? ''))

function Labels({ labels }: { labels: string[] }) {
  return (
    <>
      <td className="n">{labels.length}</td>
      <td className="n">{spanOf(labels)}</td>
    </>
  )
}

/** A section that is written, among the runs: the way to the room where it is. Runs are dropped before and behind it. */
function Written({ section, bookId, labels }: { section: Section; bookId: string; labels: string[] }) {
  const { setNodeRef, transform, transition } = useSortable({ id: section.id, disabled: { draggable: true } })
  return (
    <tr ref={setNodeRef} className="fixed" style={{ transform: CSS.Transform.toString(transform), transition }}>
      <td />
      <td>
        <Link prefetch={false} href={textOf(bookId, section)}>
          {section.title || roles[section.role].name}
        </Link>{' '}
        <em>{section.title ? roles[section.role].name.toLowerCase() : 'written'}</em>
      </td>
      <Labels labels={labels} />
      <td />
    </tr>
  )
}

const blankWords = (n: number): string => (n ? (n === 1 ? 'one blank page' : `${n} blank pages`) : 'no blank pages')

/** What a run is, as far as its name does not say it. */
function besides(run: Run, plan: PagePlan): string | undefined {
  const kind = kindOf(run.kind)
  const other = referred(run, plan.runs)
  if (other && runName(run) === kind?.name) return `to ${runName(other)}`
  if (!run.heading) return kind?.says
  return runName(run) === kind?.name ? undefined : kind?.name.toLowerCase()
}

interface RowProps extends Pick<RunTableProps, 'onChoose' | 'onChange' | 'onChangeRun'> {
  run: Run
  besides: string | undefined
  span: string
  chosen: boolean
}

const Row = memo(function Row({ run, besides, span, chosen, onChoose, onChange, onChangeRun }: RowProps) {
  'use memo'
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: run.id })
  const name = runName(run)
  const remove = (): void => onChange(`Remove ${name}`, p => ({ ...p, runs: p.runs.filter(x => x.id !== run.id) }))
  return (
    <tr ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }} aria-selected={chosen}>
      <td>
        <span className="handle" {...attributes} {...listeners} aria-label={`Move ${name}`}>
          <HolderOutlined />
        </span>
      </td>
      <td>
        <button type="button" className="name" onClick={() => onChoose(run.id)}>
          {name} <em>{besides}</em>
        </button>
      </td>
      <td className="n">
        {pagesGiven(run, []) !== undefined ? (
          run.pages
        ) : (
          <NumberValue
            label={`Pages of ${name}`}
            value={run.pages}
            least={0}
            most={MOST_PAGES}
            form={COUNT}
            onChange={n => void onChangeRun(run.id)(`${name}: ${n} pages`, () => ({ pages: n }), true)}
          />
        )}
      </td>
      <td className="n">{span || (run.dealt ? 'dealt in' : 'none')}</td>
      <td>
        <Button size="small" type="text" aria-label={`Remove ${name}`} icon={<DeleteOutlined />} onClick={remove} />
      </td>
    </tr>
  )
})
