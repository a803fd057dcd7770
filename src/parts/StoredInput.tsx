'use client'
import { Input, type InputProps } from 'antd'
import { useRef, useState } from 'react'

/**
 * A field whose every letter goes to the store and comes back from there. What is typed stays in it as typed, however late the store
 * answers, until the field is left and the store has it; what the store did not take stays.
 */
export function StoredInput({
  value,
  onTake,
  ...rest
}: Omit<InputProps, 'value' | 'onChange' | 'onBlur'> & {
  value: string
  /** Writes it; resolves whether it is written. */ onTake: (text: string) => Promise<boolean>
}) {
  const [draft, setDraft] = useState<string>()
  const taken = useRef<Promise<boolean>>(Promise.resolve(true))
  return (
    <Input
      {...rest}
      value={draft ?? value}
      onChange={e => {
        setDraft(e.target.value)
        taken.current = onTake(e.target.value)
      }}
      onBlur={() => void taken.current.then(done => done && setDraft(undefined))}
    />
  )
}
