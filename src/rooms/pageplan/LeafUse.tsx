'use client'
import { answering, type AnswerPlace, answerPlace, askedOf, facesOf, kindOf, withAnswers } from '@/core/activity'
import type { Asset, Backs, PagePlan, Run } from '@/core/book'
import { ChoiceValue } from '@/parts/Sentence'
import { GroundValue } from './GroundValue'
import type { ChangePlan, ChangeRun } from './planChanges'

const EACH = [1, 2, 3, 4, 6].map(n => ({ value: String(n), words: n === 1 ? 'one' : String(n) }))
const PLACES: { value: AnswerPlace; words: string }[] = [
  { value: 'last', words: 'behind all runs' },
  { value: 'after', words: 'behind the last of them' },
  { value: 'overleaf', words: 'on the back of each leaf' },
  { value: 'none', words: 'nowhere' },
]
const OFFERED = [1, 2, 4, 6, 9, 12].map(n => ({ value: String(n), words: n === 1 ? 'one' : String(n) }))

interface LeafUseOf {
  bookId: string
  assets: Asset[]
  plan: PagePlan
  run: Run
  onChange: ChangeRun
  onChangePlan: ChangePlan
}

/** How a run uses its leaves: one thing a page or several, both sides or fronts only, its ground; and where it is answered. */
export function LeafUse({ bookId, assets, plan, run, onChange, onChangePlan }: LeafUseOf) {
  'use memo'
  const kind = kindOf(run.kind)
  return (
    <>
      {kind?.answers && <Asked {...{ plan, run, onChange, onChangePlan }} />}
      {!kind?.begins && <Sides {...{ bookId, assets, run, onChange }} />}
      {plan.runs.indexOf(plan.runs.find(r => r.id === run.id)!) > 0 && <Dealt run={run} onChange={onChange} />}
      <p>
        On{' '}
        <GroundValue
          bookId={bookId}
          assets={assets}
          label="Ground"
          ground={run.ground}
          clear
          onChange={ground => void onChange('Ground of a run', () => ({ ground }), true)}
        />
        .
      </p>
    </>
  )
}

/** Whether its pages stand by themselves or in turn with those of the run before. */
function Dealt({ run, onChange }: { run: Run; onChange: ChangeRun }) {
  'use memo'
  return (
    <p>
      Its pages stand{' '}
      <ChoiceValue
        label="How its pages stand"
        value={run.dealt ? 'dealt' : 'own'}
        choices={[
          { value: 'own', words: 'by themselves' },
          { value: 'dealt', words: 'in turn with those of the run before' },
        ]}
        onChange={v => void onChange('How its pages stand', () => ({ dealt: v === 'dealt' || undefined }))}
      />
      .
    </p>
  )
}

function Sides({ bookId, assets, run: { backs }, onChange }: Omit<LeafUseOf, 'plan' | 'onChangePlan'>) {
  'use memo'
  const set = (next: (now: Backs) => Backs | undefined): void =>
    void onChange('Sides of its leaves', r => ({ backs: next(r.backs ?? {}) }), true)
  return (
    <p>
      Printed on{' '}
      <ChoiceValue
        label="Sides of its leaves"
        value={backs ? 'fronts' : 'both'}
        choices={[
          { value: 'both', words: 'both sides' },
          { value: 'fronts', words: 'fronts only' },
        ]}
        onChange={v => set(now => (v === 'fronts' ? now : undefined))}
      />
      {backs && (
        <>
          , backs on{' '}
          <GroundValue
            bookId={bookId}
            assets={assets}
            label="Ground of its backs"
            ground={backs.ground}
            clear={!!backs.answers}
            onChange={ground => set(({ ground: _was, ...now }) => ({ ...now, ...(ground && { ground }) }))}
          />
        </>
      )}
      .
    </p>
  )
}

/** How many of what it asks stand on a page, and where the answers are. */
function Asked({ plan, run, onChange, onChangePlan }: Omit<LeafUseOf, 'bookId' | 'assets'>) {
  'use memo'
  const key = answering(plan, run)
  const each = run.each ?? 1
  const place = answerPlace(plan, run)
  const taken = facesOf(run) + (key ? facesOf(key) : 0)
  // As many are asked as before, as far as they fill pages.
  const setEach = (n: number): void =>
    void onChange('How many a page', r => ({ each: n, pages: Math.max(1, Math.ceil(askedOf(r) / n)) }))
  const setCount = (count: string): void =>
    void onChangePlan('Answers a page', p => ({
      ...p,
      runs: p.runs.map(r => (r.id === key?.id ? { ...r, params: { ...r.params, count } } : r)),
    }))
  return (
    <p>
      <b>{askedOf(run)}</b> in all,{' '}
      <ChoiceValue label="How many a page" value={String(each)} choices={EACH} onChange={n => setEach(Number(n))} /> a
      page{key || run.backs?.answers ? `: they and their answers take ${taken} pages` : ''}. Answered{' '}
      <ChoiceValue
        label="Where its answers are"
        value={place}
        choices={PLACES}
        onChange={v => void onChangePlan('Where answers are', p => withAnswers(p, run.id, v as AnswerPlace))}
      />
      {key && (
        <>
          ,{' '}
          <ChoiceValue
            label="Answers on a page"
            value={String(key.params.count)}
            choices={OFFERED}
            onChange={setCount}
          />{' '}
          to a page
        </>
      )}
      .
    </p>
  )
}
