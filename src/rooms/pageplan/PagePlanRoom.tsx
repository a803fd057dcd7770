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
import { Button, Dropdown, Input, InputNumber } from 'antd'
import { useEffect, useState } from 'react'
import { newRun, plannedPages, runKinds } from '@/core/activity'
import type { LogColumn, PagePlan, Run } from '@/core/book'
import { formatTrim } from '@/core/trade'
import { BookTop, NoBook } from '@/parts/BookTop'
import { PageCanvas } from '@/parts/PageCanvas'
import { Sill, sillOf } from '@/parts/Sill'
import { useOpenBook } from '@/parts/useOpenBook'
import './pageplan.css'
import { useCommit } from '@/parts/useCommit'
import { StoredInput } from '@/parts/StoredInput'

/** The page plan: the book's pages run by run, a balance of all of them, beside the spread. */
export function PagePlanRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, true, 'print')
  const { book, edition, leaves, figures, version } = view
  const [chosen, setChosen] = useState<string>()
  const [at, setAt] = useState<number>()
  const commit = useCommit(bookId)
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const readOnly = view.hold === 'following'
  const plan: PagePlan = book?.plan ?? { runs: [] }
  const run = plan.runs.find(r => r.id === chosen) ?? plan.runs[0]
  const startOf = (id: string | undefined): number => {
    const front = leaves ? leaves.pages.length - plannedPages(plan) - (plannedPages(plan) % 2) : 0
    let n = front
    for (const r of plan.runs) {
      if (r.id === id) return n
      n += r.pages
    }
    return n
  }
  useEffect(() => setAt(undefined), [chosen])

  if (view.missing) return <NoBook />
  const change = (label: string, next: (p: PagePlan) => PagePlan, merge = false): Promise<boolean> =>
    commit(label, r => ({ plan: next(r.plan ?? { runs: [] }) }), merge)
  // Worked out of the run as the store has it when it is written.
  const changeRun = (id: string, label: string, next: (r: Run) => Partial<Run>, merge = false): Promise<boolean> =>
    change(label, p => ({ ...p, runs: p.runs.map(x => (x.id === id ? { ...x, ...next(x) } : x)) }), merge)
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    void change('Move a run', p => ({
      ...p,
      runs: arrayMove(
        p.runs,
        p.runs.findIndex(r => r.id === active.id),
        p.runs.findIndex(r => r.id === over.id),
      ),
    }))
  }
  const planned = plannedPages(plan)
  const total = leaves?.pages.length ?? 0
  const front = Math.max(0, total - planned - (planned % 2))
  const start = startOf(run?.id)
  // The first view is a spread inside the run where there is one: both sides of a leaf are seen.
  const shown = run && run.pages > 2 ? start + 2 : start
  const left = at ?? (shown % 2 === 0 ? shown - 1 : shown)
  const scale = leaves ? Math.min(560 / (2 * leaves.width), 470 / leaves.height) : 0
  let first = 0
  return (
    <>
      <main id="room" className="room pageplan">
        <BookTop bookId={bookId} view={view} stage="pages" />
        {book && (
          <div className="desk">
            <section aria-label="Runs">
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
                  <SortableContext
                    items={plan.runs.map(r => r.id)}
                    strategy={verticalListSortingStrategy}
                    disabled={readOnly}
                  >
                    <tbody>
                      <tr className="fixed">
                        <td />
                        <td>
                          Front pages <em>title, copyright</em>
                        </td>
                        <td className="n">{front}</td>
                        <td className="n">{front ? `i – ${leaves?.pages[front - 1]?.label ?? ''}` : ''}</td>
                        <td />
                      </tr>
                      {plan.runs.map(r => {
                        const from = first + 1
                        first += r.pages
                        return (
                          <Row
                            key={r.id}
                            run={r}
                            from={from}
                            to={first}
                            chosen={r.id === run?.id}
                            readOnly={readOnly}
                            onChoose={() => setChosen(r.id)}
                            onPages={n =>
                              void changeRun(r.id, `${runKinds[r.kind].name}: ${n} pages`, () => ({ pages: n }), true)
                            }
                            onRemove={() =>
                              void change(`Remove ${runKinds[r.kind].name.toLowerCase()} pages`, p => ({
                                ...p,
                                runs: p.runs.filter(x => x.id !== r.id),
                              }))
                            }
                          />
                        )
                      })}
                      <tr className="sum">
                        <td />
                        <td>The book</td>
                        <td className="n">{total}</td>
                        <td className="n">{planned % 2 ? 'one blank to come out even' : 'even'}</td>
                        <td />
                      </tr>
                    </tbody>
                  </SortableContext>
                </DndContext>
              </table>
              <Dropdown
                disabled={readOnly}
                trigger={['click']}
                menu={{
                  items: (Object.keys(runKinds) as Run['kind'][]).map(k => ({
                    key: k,
                    label: `${runKinds[k].name}: ${runKinds[k].says}`,
                  })),
                  onClick: ({ key }) => {
                    const fresh = newRun(plan, key as Run['kind'])
                    void change(`Add ${runKinds[key as Run['kind']].name.toLowerCase()} pages`, p => ({
                      ...p,
                      runs: [...p.runs, fresh],
                    }))
                    setChosen(fresh.id)
                  },
                }}
              >
                <Button>Add a run</Button>
              </Dropdown>
              {!plan.runs.length && (
                <p className="teach">
                  A run is a block of like pages: lined, dotted, a table to keep a log in, or blank. The plan adds them
                  up, and spine, cover, cost and price follow.
                </p>
              )}
              {run && (
                <RunValues
                  key={run.id}
                  run={run}
                  readOnly={readOnly}
                  onChange={(label, next, merge) => changeRun(run.id, label, next, merge)}
                />
              )}
            </section>
            <aside aria-label="The spread">
              {leaves && run && edition && (
                <>
                  <div className="spread">
                    {[left, left + 1].map(p => (
                      <div
                        key={p - left}
                        className={leaves.pages[p] ? 'page' : 'page none'}
                        style={{ width: leaves.width * scale, height: leaves.height * scale }}
                      >
                        {leaves.pages[p] && (
                          <PageCanvas
                            bookId={bookId}
                            editionId={edition.id}
                            index={p}
                            version={version}
                            width={leaves.width}
                            height={leaves.height}
                            scale={scale}
                            label={`Page ${leaves.pages[p].label}`}
                          />
                        )}
                      </div>
                    ))}
                  </div>
                  <p className="caption">
                    {formatTrim(edition.trim ?? '')} · pages{' '}
                    {[left, left + 1]
                      .filter(p => leaves.pages[p])
                      .map(p => leaves.pages[p]!.label)
                      .join('–')}{' '}
                    of {total}
                    <span>
                      <Button
                        size="small"
                        type="text"
                        aria-label="Spread before"
                        disabled={left < 0}
                        onClick={() => setAt(Math.max(-1, left - 2))}
                      >
                        ←
                      </Button>
                      <Button
                        size="small"
                        type="text"
                        aria-label="Spread after"
                        disabled={left + 2 >= total}
                        onClick={() => setAt(left + 2)}
                      >
                        →
                      </Button>
                    </span>
                  </p>
                </>
              )}
              {!leaves && (
                <p className="waiting" role="status">
                  {view.trouble ?? 'drawing …'}
                </p>
              )}
            </aside>
          </div>
        )}
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={view.trouble ?? (view.settling && figures ? 'settling …' : figures?.findings[0]?.message)}
      />
    </>
  )
}

function Row({
  run,
  from,
  to,
  chosen,
  readOnly,
  onChoose,
  onPages,
  onRemove,
}: {
  run: Run
  from: number
  to: number
  chosen: boolean
  readOnly: boolean
  onChoose: () => void
  onPages: (n: number) => void
  onRemove: () => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: run.id })
  const name = run.heading || runKinds[run.kind].name
  return (
    <tr ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }} aria-selected={chosen}>
      <td>
        <span className="handle" {...attributes} {...listeners} aria-label={`Move ${name}`}>
          <HolderOutlined />
        </span>
      </td>
      <td>
        <button type="button" onClick={onChoose}>
          {name} <em>{run.heading ? runKinds[run.kind].name.toLowerCase() : runKinds[run.kind].says}</em>
        </button>
      </td>
      <td className="n">
        <InputNumber
          size="small"
          aria-label={`Pages of ${name}`}
          disabled={readOnly}
          min={0}
          max={2000}
          value={run.pages}
          onChange={v => v !== null && Number.isInteger(v) && onPages(v)}
        />
      </td>
      <td className="n">{run.pages ? `${from} – ${to}` : 'none'}</td>
      <td>
        <Button
          size="small"
          type="text"
          aria-label={`Remove ${name}`}
          disabled={readOnly}
          icon={<DeleteOutlined />}
          onClick={onRemove}
        />
      </td>
    </tr>
  )
}

function RunValues({
  run,
  readOnly,
  onChange,
}: {
  run: Run
  readOnly: boolean
  onChange: (label: string, next: (r: Run) => Partial<Run>, merge?: boolean) => Promise<boolean>
}) {
  const [heading, setHeading] = useState<string>()
  const columns = run.columns ?? []
  const change = (label: string, patch: Partial<Run>, merge = false): void => void onChange(label, () => patch, merge)
  const setColumns = (label: string, next: (now: LogColumn[]) => LogColumn[], merge = false): Promise<boolean> =>
    onChange(label, r => ({ columns: next(r.columns ?? []) }), merge)
  const what = { lined: 'Between lines', dot: 'Between dots', log: 'Height of a row', blank: '' }[run.kind]
  return (
    <section className="values" aria-label={`Values of ${run.heading || runKinds[run.kind].name}`}>
      <h2>{run.heading || runKinds[run.kind].name}</h2>
      <label className="row">
        Heading{' '}
        <Input
          size="small"
          disabled={readOnly}
          value={heading ?? run.heading ?? ''}
          onChange={e => setHeading(e.target.value)}
          onBlur={() => {
            if (heading === undefined) return
            void onChange('Heading of a run', () => ({ heading: heading.trim() || undefined })).then(
              done => done && setHeading(undefined),
            )
          }}
          onPressEnter={e => e.currentTarget.blur()}
          placeholder="none"
        />
      </label>
      {what && (
        <label className="row">
          {what}{' '}
          <InputNumber
            size="small"
            aria-label={what}
            disabled={readOnly}
            min={8}
            max={72}
            step={0.5}
            value={run.spacing}
            onChange={v => v !== null && change(`${what} ${v}`, { spacing: v }, true)}
            suffix="pt"
          />
        </label>
      )}
      {what && (
        <label className="row">
          Tone{' '}
          <InputNumber
            size="small"
            aria-label="Tone"
            disabled={readOnly}
            min={10}
            max={100}
            step={5}
            value={Math.round(run.tone * 100)}
            onChange={v => v !== null && change(`Tone ${v}`, { tone: v / 100 }, true)}
            suffix="%"
          />
        </label>
      )}
      {run.kind === 'log' && (
        <>
          <h3>Columns</h3>
          {columns.map((c, i) => (
            <div className="column" key={i}>
              <StoredInput
                size="small"
                aria-label={`Column ${i + 1}`}
                disabled={readOnly}
                value={c.name}
                onTake={name =>
                  setColumns('Name of a column', now => now.map((x, j) => (j === i ? { ...x, name } : x)), true)
                }
              />
              <InputNumber
                size="small"
                aria-label={`Share of column ${i + 1}`}
                disabled={readOnly}
                min={0.5}
                max={20}
                step={0.5}
                value={c.share}
                onChange={v =>
                  v !== null &&
                  void setColumns(
                    'Share of a column',
                    now => now.map((x, j) => (j === i ? { ...x, share: v } : x)),
                    true,
                  )
                }
              />
              <Button
                size="small"
                type="text"
                aria-label={`Remove column ${i + 1}`}
                disabled={readOnly || columns.length < 2}
                icon={<DeleteOutlined />}
                onClick={() => void setColumns('Remove a column', now => now.filter((_, j) => j !== i))}
              />
            </div>
          ))}
          <Button
            size="small"
            disabled={readOnly || columns.length >= 12}
            onClick={() => void setColumns('Add a column', now => [...now, { name: '', share: 2 }])}
          >
            Add a column
          </Button>
        </>
      )}
    </section>
  )
}
