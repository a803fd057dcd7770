'use client'
import { lookOf } from '@/core/activity'
import type { PagePlan, PlanMargins } from '@/core/book'
import { PLAIN_MARGIN } from '@/core/pages'
import { IN } from '@/core/trade'
import { lengthField } from '@/parts/lengths'
import { ChoiceValue, NumberValue, Sentence } from '@/parts/Sentence'
import { RunWays } from './RunWays'
import type { ChangePlan } from './planChanges'

const sides = { head: 'Head margin', outside: 'Outside margin', foot: 'Foot margin', inside: 'Inside margin' }
const folioWords = [
  { value: 'none', words: 'are not printed' },
  { value: 'outside', words: 'stand at the outer corner' },
  { value: 'centre', words: 'stand in the middle of the foot' },
]

const COUNT = { factor: 1, step: 2, digits: 0, unit: '' }
const MOST_PAGES = 2000

/** How many pages the book is to have, and what that leaves. */
function Wished({ plan: { wished }, total, onChange }: { plan: PagePlan; total: number; onChange: ChangePlan }) {
  const set = (now: number | undefined): void =>
    void onChange('Pages wished for', ({ wished: _was, ...p }) => (now === undefined ? p : { ...p, wished: now }), true)
  const left = (wished ?? total) - total
  const pages = (n: number): string => (n === 1 ? 'one page' : `${n} pages`)
  return (
    <p className="wished">
      It has{' '}
      <ChoiceValue
        label="Length of the book"
        value={wished === undefined ? 'any' : 'wished'}
        choices={[
          { value: 'any', words: 'as many pages as it takes' },
          { value: 'wished', words: 'a number of pages' },
        ]}
        onChange={v => set(v === 'wished' ? total : undefined)}
      />
      {wished !== undefined && (
        <>
          {', '}
          <NumberValue
            label="Pages wished for"
            value={wished}
            least={1}
            most={MOST_PAGES}
            form={COUNT}
            onChange={set}
          />
          :{' '}
          <b className={left < 0 ? 'over' : undefined}>
            {left > 0 ? `${pages(left)} left` : left < 0 ? `${pages(-left)} too many` : 'all of them planned'}
          </b>
        </>
      )}
      .
    </p>
  )
}

/** What holds for all planned pages. */
export function PlanSentence({
  plan,
  total,
  onChange,
  onLooks,
}: {
  plan: PagePlan
  total: number
  onChange: ChangePlan
  /** The looks are to be seen. */
  onLooks: () => void
}) {
  'use memo'
  const { factor, ...field } = lengthField(0.05)
  const marginsOf = (p: PagePlan): PlanMargins =>
    p.margins ?? { head: PLAIN_MARGIN, foot: PLAIN_MARGIN, inside: PLAIN_MARGIN, outside: PLAIN_MARGIN }
  return (
    <section className="note" aria-label="What holds for all pages">
      <Wished plan={plan} total={total} onChange={onChange} />
      <h2>All pages</h2>
      <p>
        <Sentence
          words="They look like {look}, in {print}; answers and puzzles {references}. Margins {head} head, {outside} outside, {foot} foot; inside {inside} or what the binding asks. Folios {folios}."
          value={name =>
            name === 'look' ? (
              <span className="value">
                <button type="button" aria-label={`Look of all pages: ${lookOf(plan.look).name}`} onClick={onLooks}>
                  {lookOf(plan.look).name}
                </button>
              </span>
            ) : name === 'print' ? (
              <ChoiceValue
                label="Print"
                value={plan.large ? 'large' : 'usual'}
                choices={[
                  { value: 'usual', words: 'usual print' },
                  { value: 'large', words: 'large print' },
                ]}
                onChange={v => void onChange('Print', p => ({ ...p, large: v === 'large' }))}
              />
            ) : name === 'references' ? (
              <ChoiceValue
                label="References between answers and puzzles"
                value={plan.references ? 'yes' : 'no'}
                choices={[
                  { value: 'yes', words: 'name each other’s pages' },
                  { value: 'no', words: 'do not name each other’s pages' },
                ]}
                onChange={v => void onChange('References', p => ({ ...p, references: v === 'yes' }))}
              />
            ) : name === 'folios' ? (
              <ChoiceValue
                label="Folios"
                value={plan.folios ?? 'none'}
                choices={folioWords}
                onChange={v => void onChange('Folios', p => ({ ...p, folios: v as PagePlan['folios'] }))}
              />
            ) : (
              <NumberValue
                label={sides[name as keyof PlanMargins]}
                value={marginsOf(plan)[name as keyof PlanMargins]}
                least={0}
                most={216}
                form={{ ...field, factor: factor / IN }}
                onChange={v =>
                  void onChange(
                    sides[name as keyof PlanMargins],
                    p => ({ ...p, margins: { ...marginsOf(p), [name]: v } }),
                    true,
                  )
                }
              />
            )
          }
        />
      </p>
      <RunWays plan={plan} />
    </section>
  )
}
