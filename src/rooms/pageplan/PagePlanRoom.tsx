'use client'
import { Button, Dropdown } from 'antd'
import { useEffect, useState } from 'react'
import { fitted, kindOf, newRun, runKinds } from '@/core/activity'
import type { PagePlan, Section } from '@/core/book'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useCommit } from '@/parts/useCommit'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { WriterOnly } from '@/parts/WriterOnly'
import { PlanSentence } from './PlanSentence'
import { PlanSpread } from './PlanSpread'
import type { ChangeRun } from './changeRun'
import { RunSentence } from './RunSentence'
import { RunTable, type SetPages } from './RunTable'
import { RunTroubles } from './RunTroubles'
import './pageplan.css'

/** The page plan: the book's pages run by run, a balance of all of them, beside the spread. */
export function PagePlanRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, { leaves: true, print: true })
  const { book, edition, leaves, figures, version } = view
  const [chosen, setChosen] = useState<string>()
  const [at, setAt] = useState<number>()
  useEffect(() => setAt(undefined), [chosen])

  if (view.missing) return <NoBook />
  const plan: PagePlan = book?.plan ?? { runs: [] }
  const run = plan.runs.find(r => r.id === chosen) ?? plan.runs[0]
  const starts = new Map(leaves?.pages.flatMap((p, i) => (p.section === undefined ? [] : [[p.section, i] as const])))
  const start = (run && starts.get(`run:${run.id}`)) ?? 0
  // The first view is a spread inside the run where there is one: both sides of a leaf are seen.
  const shown = run && run.pages > 2 ? start + 2 : start
  const left = at ?? (shown % 2 === 0 ? shown - 1 : shown)
  return (
    <>
      <main id="room" className="room pageplan">
        <BookTop bookId={bookId} view={view} stage="pages" />
        {book && (
          <div className="desk">
            <section aria-label="Runs">
              <WriterOnly bookId={bookId}>
                <Runs
                  view={view}
                  bookId={bookId}
                  plan={plan}
                  chosen={run?.id}
                  sections={book.sections}
                  set={{ labels: leaves?.pages.map(p => p.label) ?? [], starts }}
                  onChoose={setChosen}
                />
              </WriterOnly>
            </section>
            <aside aria-label="The spread">
              {leaves && run && edition && (
                <PlanSpread
                  bookId={bookId}
                  edition={edition}
                  leaves={leaves}
                  version={version}
                  left={left}
                  onTurn={setAt}
                />
              )}
              {!leaves && !view.trouble && (
                <p className="waiting" role="status">
                  drawing …
                </p>
              )}
              <RunTroubles bookId={bookId} view={view} />
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

interface RunsProps {
  view: OpenBook
  bookId: string
  plan: PagePlan
  chosen: string | undefined
  sections: Section[]
  set: SetPages
  onChoose: (id: string) => void
}

function Runs({ view, bookId, plan, chosen, sections, set, onChoose }: RunsProps) {
  const commit = useCommit(bookId)
  const change = (label: string, next: (p: PagePlan) => PagePlan, merge = false): Promise<boolean> =>
    commit(label, r => ({ plan: fitted(next(r.plan ?? { runs: [] })) }), merge)
  const changeRun =
    (id: string): ChangeRun =>
    (label, next, merge = false) =>
      change(label, p => ({ ...p, runs: p.runs.map(x => (x.id === id ? { ...x, ...next(x) } : x)) }), merge)
  const add = (id: string): void => {
    const kind = kindOf(id)!
    const fresh = newRun(plan, kind, crypto.getRandomValues(new Uint32Array(1))[0]!)
    void change(`Add ${kind.name.toLowerCase()} pages`, p => ({ ...p, runs: [...p.runs, fresh] }))
    onChoose(fresh.id)
  }
  const run = plan.runs.find(r => r.id === chosen)
  return (
    <>
      <RunTable
        plan={plan}
        chosen={chosen}
        readOnly={view.hold === 'following'}
        bookId={bookId}
        sections={sections}
        set={set}
        onChoose={onChoose}
        onChange={(label, next) => void change(label, next)}
        onChangeRun={changeRun}
      />
      <Dropdown
        trigger={['click']}
        menu={{
          items: runKinds.map(k => ({ key: k.id, label: `${k.name}: ${k.says}` })),
          onClick: ({ key }) => add(key),
          // There are many kinds: the list scrolls before it leaves the window.
          style: { maxHeight: '45vh', overflowY: 'auto' },
        }}
      >
        <Button>Add a run</Button>
      </Dropdown>
      {!plan.runs.length && (
        <p className="teach">
          A run is a block of like pages: lined, dotted, a table to keep a log in, puzzles and their answers. The plan
          adds them up, and spine, cover, cost and price follow.
        </p>
      )}
      {run && <RunSentence key={run.id} plan={plan} run={run} onChange={changeRun(run.id)} />}
      {plan.runs.length > 0 && <PlanSentence plan={plan} onChange={change} />}
    </>
  )
}
