'use client'
import { Input, type InputProps } from 'antd'
import type { TextAreaProps } from 'antd/es/input'
import { type ChangeEvent, useRef, useState } from 'react'

/** What a stored field is told besides what a field of its kind is told. */
interface Stored {
  value: string
  /** Writes it; resolves whether it is written. */
  onTake: (text: string) => Promise<boolean>
}

/**
 * A field whose every letter goes to the store and comes back from there. What is typed stays in it as typed, however late the store
 * answers, until the field is left and the store has it; what the store did not take stays.
 */
function useStored({ value, onTake }: Stored) {
  const [draft, setDraft] = useState<string>()
  const taken = useRef<Promise<boolean>>(Promise.resolve(true))
  return {
    value: draft ?? value,
    onChange: (e: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>): void => {
      setDraft(e.target.value)
      taken.current = onTake(e.target.value)
    },
    onBlur: (): void => void taken.current.then(done => done && setDraft(undefined)),
  }
}

export function StoredInput({ value, onTake, ...rest }: Omit<InputProps, 'value' | 'onChange' | 'onBlur'> & Stored) {
  return <Input {...rest} {...useStored({ value, onTake })} />
}

export function StoredTextArea({
  value,
  onTake,
  ...rest
}: Omit<TextAreaProps, 'value' | 'onChange' | 'onBlur'> & Stored) {
  return <Input.TextArea {...rest} {...useStored({ value, onTake })} />
}
