'use client'
import { Input } from 'antd'
import { useId, useState } from 'react'
import type { PlanField } from './planFields'

/** A field that is taken when it is left, or by Enter; what cannot be taken stays with the reason, and the book keeps the old value. */
export function Field<T>({ field, value, onTake, long = false, width }: { field: PlanField<T>; value: T | undefined; onTake: (value: T | undefined) => void; long?: boolean; width?: number }) {
  const id = useId()
  const [draft, setDraft] = useState<string>()
  const text = draft ?? field.show(value)
  const problem = draft === undefined ? undefined : field.problem(draft)
  const take = (): void => {
    if (draft === undefined || problem) return
    setDraft(undefined)
    if (field.show(field.read(draft)) !== field.show(value)) onTake(field.read(draft))
  }
  const shared = { id, value: text, status: problem ? ('error' as const) : undefined, 'aria-invalid': !!problem, 'aria-describedby': `${id}-say`, onBlur: take }
  return (
    <div className="field" style={width ? { width } : undefined}>
      <label htmlFor={id}>{field.label}</label>
      {long ? (
        <Input.TextArea {...shared} autoSize={{ minRows: 3, maxRows: 8 }} onChange={e => setDraft(e.target.value)} />
      ) : (
        <Input {...shared} onChange={e => setDraft(e.target.value)} onPressEnter={take} onKeyDown={e => e.key === 'Escape' && setDraft(undefined)} />
      )}
      <p id={`${id}-say`} className={problem ? 'say problem' : 'say'} role={problem ? 'alert' : undefined}>{problem ?? field.hint ?? ''}</p>
    </div>
  )
}
