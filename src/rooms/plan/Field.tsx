'use client'
import { Form, Input } from 'antd'
import { useId } from 'react'
import { type TextField, useTaken } from '@/parts/useTaken'

/** A labelled field of the plan; see `useTaken` for when it is taken. */
export function Field<T>({
  field,
  value,
  onTake,
  long = false,
  width,
  offers = [],
}: {
  field: TextField<T>
  value: T | undefined
  onTake: (value: T | undefined) => Promise<void> | undefined
  long?: boolean
  width?: number
  /** What is offered to be said. */
  offers?: readonly string[]
}) {
  const id = useId()
  const { text, problem, type, take, leave } = useTaken(field, value, onTake)
  const shared = {
    id,
    value: text,
    'aria-invalid': !!problem,
    'aria-describedby': `${id}-say`,
    onBlur: take,
    onChange: (e: { target: { value: string } }) => type(e.target.value),
  }
  return (
    <Form.Item
      className="field"
      layout="vertical"
      colon={false}
      style={width ? { width } : undefined}
      htmlFor={id}
      label={field.label}
      validateStatus={problem ? 'error' : undefined}
      help={
        <span id={`${id}-say`} className={problem ? 'say problem' : 'say'} role={problem ? 'alert' : undefined}>
          {problem ?? field.hint ?? ''}
        </span>
      }
    >
      {long ? (
        <Input.TextArea {...shared} autoSize={{ minRows: 3, maxRows: 8 }} />
      ) : (
        <>
          <Input
            {...shared}
            {...(offers.length && { list: `${id}-offers` })}
            onPressEnter={take}
            onKeyDown={e => e.key === 'Escape' && leave()}
          />
          {offers.length > 0 && (
            <datalist id={`${id}-offers`}>
              {offers.map(o => (
                <option key={o} value={o} />
              ))}
            </datalist>
          )}
        </>
      )}
    </Form.Item>
  )
}
