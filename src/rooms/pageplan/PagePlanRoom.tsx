'use client'
import { Button, Dropdown } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { bandsOf, fitted, kindOf, newRun, planOrder, runKinds } from '@/core/activity'
import type { PagePlan, Section } from '@/core/book'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useCommit } from '@/parts/useCommit'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { WriterOnly } from '@/parts/WriterOnly'
import { Flatplan } from './Flatplan'
import { type ChangePlan, PlanSentence } from './PlanSentence'
import type { ChangeRun } from './changeRun'
import { RunSentence } from './RunSentence'
import { RunSpecimen } from './RunSpecimen'
import { RunTable, type SetPages, textOf } from './RunTable'
import { RunTroubles } from './RunTroubles'
import './pageplan.css'

/** The page plan: a balance of all pages beside the whole book as a flatplan; a run that is opened as a specimen, said in sentences. */
export function PagePlanRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, { leaves: true, print: true })
  const { book, leaves, figures } = view
  const [chosen, setChosen] = useState<string>()
  const [at, setAt] = useState<number>()
  const choose = (id: string | undefined, left?: number): void => {
    setChosen(id)
    setAt(left)
  }
  if (view.missing) return <NoBook />
  const plan: PagePlan = book?.plan ?? { runs: [] }
  const starts = new Map(leaves?.pages.flatMap((p, i) => (p.section === undefined ? [] : [[p.section, i] as const])))
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
                  chosen={chosen}
                  sections={book.sections}
                  set={{ labels: leaves?.pages.map(p => p.label) ?? [], starts }}
                  onChoose={choose}
                />
              </WriterOnly>
            </section>
            <aside aria-label={chosen === undefined ? 'The whole book' : 'The spread'}>
              <Shown {...{ bookId, view, plan, starts, chosen, at }} sections={book.sections} onChoose={choose} />
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

interface ShownProps {
  bookId: string
  view: OpenBook
  plan: PagePlan
  sections: Section[]
  starts: Map<string, number>
  chosen: string | undefined
  at: number | undefined
  onChoose: (id: string | undefined, left?: number) => void
}

/** The flatplan, or the run that is opened. */
function Shown({ bookId, view, plan, sections, starts, chosen, at, onChoose }: ShownProps) {
  const { edition, leaves, version } = view
  const changePlan = usePlanChange(bookId)
  const changeRun = useRunChange(bookId)
  const router = useRouter()
  if (!leaves || !edition)
    return view.trouble ? null : (
      <p className="waiting" role="status">
        drawing …
      </p>
    )
  const bands = bandsOf(planOrder(plan, sections), starts, leaves.pages.length)
  const run = plan.runs.find(r => r.id === chosen)
  if (!run)
    return (
      <Flatplan
        bookId={bookId}
        editionId={edition.id}
        leaves={leaves}
        version={version}
        bands={bands}
        onOpen={({ of }, left) => {
          if (typeof of === 'object' && 'run' in of) onChoose(of.run.id, left)
          else
            router.push(textOf(bookId, of === 'front' ? sections[0] : typeof of === 'object' ? of.section : undefined))
        }}
      />
    )
  const band = bands.find(({ of }) => typeof of === 'object' && 'run' in of && of.run.id === run.id)
  // The first view is a spread inside the run where there is one: both sides of a leaf are seen.
  const first = (band?.from ?? 0) + (run.pages > 2 ? 2 : 0)
  return (
    <RunSpecimen
      bookId={bookId}
      edition={edition}
      leaves={leaves}
      version={version}
      run={run}
      band={band}
      left={at ?? (first % 2 === 0 ? first - 1 : first)}
      onTurn={left => onChoose(run.id, left)}
      onClose={() => onChoose(undefined)}
    >
      <WriterOnly bookId={bookId}>
        <RunSentence key={run.id} plan={plan} run={run} onChange={changeRun(run.id)} onChangePlan={changePlan} />
      </WriterOnly>
    </RunSpecimen>
  )
}

function usePlanChange(bookId: string): ChangePlan {
  const commit = useCommit(bookId)
  return (label, next, merge = false) => commit(label, r => ({ plan: fitted(next(r.plan ?? { runs: [] })) }), merge)
}

function useRunChange(bookId: string): (id: string) => ChangeRun {
  const change = usePlanChange(bookId)
  return id =>
    (label, next, merge = false) =>
      change(label, p => ({ ...p, runs: p.runs.map(x => (x.id === id ? { ...x, ...next(x) } : x)) }), merge)
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
  const change = usePlanChange(bookId)
  const changeRun = useRunChange(bookId)
  const add = (id: string): void => {
    const kind = kindOf(id)!
    const fresh = newRun(plan, kind, crypto.getRandomValues(new Uint32Array(1))[0]!)
    void change(`Add ${kind.name.toLowerCase()} pages`, p => ({ ...p, runs: [...p.runs, fresh] }))
    onChoose(fresh.id)
  }
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
      {plan.runs.length > 0 && <PlanSentence plan={plan} total={set.labels.length} onChange={change} />}
    </>
  )
}
