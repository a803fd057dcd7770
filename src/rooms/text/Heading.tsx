'use client'
import { Input } from 'antd'
import { useState } from 'react'
import { roles, type Section } from '@/core/book'

/** A section's number and title over its text. */
export function Heading({
  section,
  numberWords,
  readOnly,
  onTitle,
}: {
  section: Section
  numberWords?: string
  readOnly: boolean
  onTitle: (title: string) => Promise<boolean>
}) {
  const [draft, setDraft] = useState<string>()
  const take = (): void => {
    if (draft === undefined || draft.trim() === section.title) return setDraft(undefined)
    // What was typed leaves the field only when the store has it.
    void onTitle(draft.trim()).then(taken => taken && setDraft(d => (d === draft ? undefined : d)))
  }
  return (
    <header>
      {numberWords && <p className="number">{numberWords}</p>}
      <Input
        variant="borderless"
        aria-label="Title of the section"
        className="title"
        placeholder={roles[section.role].name}
        value={draft ?? section.title}
        readOnly={readOnly || section.made}
        onChange={e => setDraft(e.target.value)}
        onBlur={take}
        onPressEnter={take}
        onKeyDown={e => e.key === 'Escape' && setDraft(undefined)}
      />
    </header>
  )
}
