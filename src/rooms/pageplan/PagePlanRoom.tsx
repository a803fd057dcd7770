'use client'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { bandsOf, dealtGroups, planOrder } from '@/core/activity'
import type { Asset, PagePlan, Section } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { useEarlyLook } from '@/parts/useEarlyLook'
import { WriterOnly } from '@/parts/WriterOnly'
import { Adding } from './Adding'
import { Flatplan } from './Flatplan'
import { HandsSaid } from './hand/HandsSaid'
import { Looks } from './Looks'
import { usePlanChange, useRunChange } from './planChanges'
import { PlanSentence } from './PlanSentence'
import { RunSentence } from './RunSentence'
import { RunSpecimen } from './RunSpecimen'
import { RunTable, type SetPages, textOf } from './RunTable'
import { RunTroubles } from './RunTroubles'
import './pageplan.css'

/** The page plan: a balance of all pages beside the whole book as a flatplan; a run that is opened as a specimen, said in sentences. */
export function PagePlanRoom({ bookId }: { bookId: string }) {
  'use memo'
  const look = useEarlyLook(bookId)
  const view = useOpenBook(bookId, { leaves: true, look: 'print', first: look.first })
  const { book, leaves, figures } = view
  const [chosen, setChosen] = useState<string>()
  const [at, setAt] = useState<number>()
  const [shelf, setShelf] = useState<'runs' | 'looks'>()
  const choose = (id: string | undefined, left?: number): void => {
    setChosen(id)
    setAt(left)
    setShelf(undefined)
  }
  const set = useMemo(() => setPagesOf(leaves), [leaves])
  if (view.missing) return <NoBook />
  const plan: PagePlan = book?.plan ?? { runs: [] }
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
                  set={set}
                  onChoose={choose}
                  onShelf={setShelf}
                />
              </WriterOnly>
            </section>
            <aside
              aria-label={
                shelf ? 'What there is to choose from' : chosen === undefined ? 'The whole book' : 'The spread'
              }
            >
              {shelf === 'looks' ? (
                <Looks bookId={bookId} book={book} onClose={() => setShelf(undefined)} />
              ) : shelf || !plan.runs.length ? (
                <Adding
                  bookId={bookId}
                  book={book}
                  onAdded={choose}
                  onClose={plan.runs.length ? () => setShelf(undefined) : undefined}
                />
              ) : (
                <Shown
                  {...{ bookId, view, look, plan, chosen, at }}
                  starts={set.starts}
                  language={book.data.language}
                  assets={book.assets}
                  sections={book.sections}
                  onChoose={choose}
                />
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

const setPagesOf = (leaves: Leaves | undefined): SetPages => ({
  labels: leaves?.pages.map(p => p.label) ?? [],
  starts: new Map(leaves?.pages.flatMap((p, i) => (p.section === undefined ? [] : [[p.section, i] as const]))),
})

interface ShownProps {
  bookId: string
  view: OpenBook
  look: ReturnType<typeof useEarlyLook>
  plan: PagePlan
  language: string
  assets: Asset[]
  sections: Section[]
  starts: Map<string, number>
  chosen: string | undefined
  at: number | undefined
  onChoose: (id: string | undefined, left?: number) => void
}

/** The flatplan, or the run that is opened. */
function Shown({ bookId, view, look, plan, language, assets, sections, starts, chosen, at, onChoose }: ShownProps) {
  'use memo'
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
        moves={view.hold === 'following' ? undefined : { sections, onChange: changePlan }}
        onOpen={({ of }, left) => {
          if (typeof of === 'object' && 'run' in of) onChoose(of.run.id, left)
          else
            router.push(textOf(bookId, of === 'front' ? sections[0] : typeof of === 'object' ? of.section : undefined))
        }}
      />
    )
  // What is dealt in with another run stands in that one's band.
  const head = dealtGroups(plan.runs).find(group => group.includes(run))?.[0]
  const band = bands.find(({ of }) => typeof of === 'object' && 'run' in of && of.run.id === head?.id)
  // The first view is a spread inside the run where there is one: both sides of a leaf are seen.
  const first = (starts.get(`run:${run.id}`) ?? band?.from ?? 0) + (run.pages > 2 ? 2 : 0)
  return (
    <RunSpecimen
      bookId={bookId}
      edition={edition}
      plan={plan}
      assets={assets}
      readOnly={view.hold === 'following'}
      leaves={leaves}
      version={version}
      run={run}
      band={band}
      left={at ?? (first % 2 === 0 ? first - 1 : first)}
      look={look}
      onTurn={left => onChoose(run.id, left)}
      onClose={() => onChoose(undefined)}
    >
      {(open, hold) => (
        <WriterOnly bookId={bookId}>
          <RunSentence
            key={run.id}
            bookId={bookId}
            language={language}
            assets={assets}
            plan={plan}
            run={run}
            onChange={changeRun(run.id)}
            onChangePlan={changePlan}
          />
          <div className="note">
            <HandsSaid
              {...{ bookId, version, run, open }}
              editionId={edition.id}
              onChange={changeRun(run.id)}
              onHold={hold}
            />
          </div>
        </WriterOnly>
      )}
    </RunSpecimen>
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
  onShelf: (shelf: 'runs' | 'looks') => void
}

function Runs({ view, bookId, plan, chosen, sections, set, onChoose, onShelf }: RunsProps) {
  'use memo'
  const change = usePlanChange(bookId)
  const changeRun = useRunChange(bookId)
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
      <Button onClick={() => onShelf('runs')}>Add a run</Button>
      {!plan.runs.length && (
        <p className="teach">
          A run is a block of like pages: lined, dotted, a table to keep a log in, puzzles and their answers. The plan
          adds them up, and spine, cover, cost and price follow.
        </p>
      )}
      {plan.runs.length > 0 && (
        <PlanSentence plan={plan} total={set.labels.length} onChange={change} onLooks={() => onShelf('looks')} />
      )}
    </>
  )
}
