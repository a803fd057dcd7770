'use client'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { canSplit, doubleRun, kindOf, recipeOf, runName, splitRun } from '@/core/activity'
import type { PagePlan, Run } from '@/core/book'
import { keepRecipe } from '@/data/recipes'
import { useSay } from '@/parts/useSay'
import type { ChangePlan, ChangeRun } from './planChanges'

/** Ways to keep a run, or all of them, as a recipe for other books; to split, double or set back a run. */
export function RunWays({
  plan,
  run,
  onChange,
  onChangePlan,
}: {
  plan: PagePlan
  run?: Run
  onChange?: ChangeRun
  onChangePlan?: ChangePlan
}) {
  'use memo'
  const say = useSay()
  const [name, setName] = useState<string>()
  const keep = async (as: string): Promise<void> => {
    try {
      await keepRecipe(recipeOf(plan, { id: 'own', name: as, ...(run && { run: run.id }) }))
      setName(undefined)
      say.done(`“${as}” stands among your recipes, beside the kinds of run.`)
    } catch (e) {
      say.failed(e)
    }
  }
  const plain = run && kindOf(run.kind)?.plain
  if (name !== undefined)
    return (
      <p className="keeping">
        Kept as{' '}
        <span className="value">
          <Input
            size="small"
            variant="borderless"
            aria-label="Name of the recipe"
            autoFocus
            maxLength={80}
            value={name}
            onChange={e => setName(e.target.value)}
            onKeyDown={e => {
              if (e.key === 'Escape') setName(undefined)
              else if (e.key === 'Enter' && name.trim()) void keep(name.trim())
              else return
              e.preventDefault()
            }}
          />
        </span>{' '}
        <Button size="small" type="link" disabled={!name.trim() || undefined} onClick={() => void keep(name.trim())}>
          keep
        </Button>
        <Button size="small" type="link" onClick={() => setName(undefined)}>
          leave it
        </Button>
      </p>
    )
  return (
    <p className="keeping">
      <Button size="small" type="link" onClick={() => setName(run ? runName(run) : '')}>
        {run ? 'Keep this run as a recipe' : 'Keep all of it as a recipe'}
      </Button>
      {run && onChangePlan && (
        <>
          {canSplit(run) && (
            <Button
              size="small"
              type="link"
              onClick={() => void onChangePlan('Split a run', p => splitRun(p, run.id, run.pages / 2))}
            >
              Split it in two
            </Button>
          )}
          <Button size="small" type="link" onClick={() => void onChangePlan('Double a run', p => doubleRun(p, run.id))}>
            Double it
          </Button>
        </>
      )}
      {plain && onChange && (
        <Button
          size="small"
          type="link"
          onClick={() =>
            void onChange('Set back to plain', () => ({ params: structuredClone(plain) as Run['params'] }))
          }
        >
          Set it back to plain
        </Button>
      )}
    </p>
  )
}
