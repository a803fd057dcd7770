'use client'
import { Input } from 'antd'
import { useState } from 'react'
import { useSay } from '@/parts/useSay'

/** Where a new name is written; Enter keeps it. */
export function NewName({ label, onTake }: { label: string; onTake: (name: string) => Promise<unknown> }) {
  const say = useSay()
  const [name, setName] = useState('')
  const take = (): void => {
    if (name.trim()) void onTake(name.trim()).then(() => setName(''), say.failed)
  }
  return (
    <span className="value">
      <Input
        aria-label={label}
        placeholder={label}
        variant="borderless"
        maxLength={300}
        value={name}
        onChange={e => setName(e.target.value)}
        onPressEnter={take}
        onBlur={take}
      />
    </span>
  )
}
