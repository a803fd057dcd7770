'use client'
import { Input } from 'antd'
import { useId, useState } from 'react'
import { storeFull } from '@/data/trouble'
import type { PlanField } from './planFields'

/** A field that is taken when it is left, or by Enter; what cannot be taken stays with the reason, and the book keeps the old value. What was typed leaves the field only when the store has it. */
export function Field<T>({
  field,
  value,
  onTake,
  long = false,
  width,
}: {
  field: PlanField<T>
  value: T | undefined
  onTake: (value: T | undefined) => Promise<void> | undefined
  long?: boolean
  width?: number
}) {
  const id = useId()
  const [draft, setDraft] = useState<string>()
  const text = draft ?? field.show(value)
  const [untaken, setUntaken] = useState<string>()
  const problem = draft === undefined ? undefined : (field.problem(draft) ?? untaken)
  const take = (): void => {
    if (draft === undefined || field.problem(draft)) return
    const done = field.show(field.read(draft)) === field.show(value) ? undefined : onTake(field.read(draft))
    setUntaken(undefined)
    if (!done) return setDraft(undefined)
    // What is typed while it is written is the author's next word on it.
    done.then(
      () => setDraft(d => (d === draft ? undefined : d)),
      (e: Error) =>
        setUntaken(storeFull(e) ? 'There is no room to save this; it waits here.' : `Not taken: ${e.message}`),
    )
  }
  const shared = {
    id,
    value: text,
    status: problem ? ('error' as const) : undefined,
    'aria-invalid': !!problem,
    'aria-describedby': `${id}-say`,
    onBlur: take,
  }
  return (
    <div className="field" style={width ? { width } : undefined}>
      <label htmlFor={id}>{field.label}</label>
      {long ? (
        <Input.TextArea {...shared} autoSize={{ minRows: 3, maxRows: 8 }} onChange={e => setDraft(e.target.value)} />
      ) : (
        <Input
          {...shared}
          onChange={e => setDraft(e.target.value)}
          onPressEnter={take}
          onKeyDown={e => e.key === 'Escape' && setDraft(undefined)}
        />
      )}
      <p id={`${id}-say`} className={problem ? 'say problem' : 'say'} role={problem ? 'alert' : undefined}>
        {problem ?? field.hint ?? ''}
      </p>
    </div>
  )
}
