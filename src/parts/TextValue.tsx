'use client'
import { Input } from 'antd'
import { useId } from 'react'
import { type TextField, useTaken } from './useTaken'
import './sentence.css'

/** A text of a sentence, with the reason beside it where it cannot be taken. `empty`: what the sentence says where there is none. */
export function TextValue<T>({
  field,
  value,
  empty,
  disabled,
  onTake,
}: {
  field: TextField<T>
  value: T | undefined
  empty: string
  /** Absent: as what it stands in. */
  disabled?: boolean
  onTake: (value: T | undefined) => Promise<void> | undefined
}) {
  const id = useId()
  const { text, problem, type, take, leave } = useTaken(field, value, onTake)
  return (
    <span className="value">
      <Input
        aria-label={field.label}
        aria-invalid={!!problem}
        aria-describedby={problem ? id : undefined}
        status={problem ? 'error' : undefined}
        variant="borderless"
        disabled={disabled}
        placeholder={empty}
        value={text}
        onChange={e => type(e.target.value)}
        onBlur={take}
        onPressEnter={take}
        onKeyDown={e => e.key === 'Escape' && leave()}
      />
      {problem && (
        <em id={id} className="problem" role="alert">
          {problem}
        </em>
      )}
    </span>
  )
}
