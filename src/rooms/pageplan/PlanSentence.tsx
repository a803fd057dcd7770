'use client'
import type { PagePlan, PlanMargins } from '@/core/book'
import { PLAIN_MARGIN } from '@/core/pages'
import { IN } from '@/core/trade'
import { lengthField } from '@/parts/lengths'
import { ChoiceValue, NumberValue, Sentence } from '@/parts/Sentence'

const sides = { head: 'Head margin', outside: 'Outside margin', foot: 'Foot margin', inside: 'Inside margin' }
const folioWords = [
  { value: 'none', words: 'are not printed' },
  { value: 'outside', words: 'stand at the outer corner' },
  { value: 'centre', words: 'stand in the middle of the foot' },
]

/** What holds for all planned pages. */
export function PlanSentence({
  plan,
  onChange,
}: {
  plan: PagePlan
  onChange: (label: string, next: (p: PagePlan) => PagePlan, merge?: boolean) => Promise<boolean>
}) {
  const { factor, ...field } = lengthField(0.05)
  const marginsOf = (p: PagePlan): PlanMargins =>
    p.margins ?? { head: PLAIN_MARGIN, foot: PLAIN_MARGIN, inside: PLAIN_MARGIN, outside: PLAIN_MARGIN }
  return (
    <section className="note" aria-label="What holds for all pages">
      <h2>All pages</h2>
      <p>
        <Sentence
          words="Margins {head} head, {outside} outside, {foot} foot; inside {inside} or what the binding asks. Folios {folios}."
          value={name =>
            name === 'folios' ? (
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
    </section>
  )
}
