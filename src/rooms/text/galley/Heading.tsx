'use client'
import { Input } from 'antd'
import { memo, useState } from 'react'
import { roles, type Section } from '@/core/book'

/** A section's number, title and subtitle over its text. */
export const Heading = memo(function Heading({
  section,
  numberWords,
  readOnly,
  onChange,
}: {
  section: Section
  numberWords?: string
  readOnly: boolean
  onChange: (label: string, patch: Pick<Section, 'title'> | Pick<Section, 'subtitle'>) => Promise<boolean>
}) {
  return (
    <header>
      {numberWords && <p className="number">{numberWords}</p>}
      <HeadField
        label="Title of the section"
        className="title"
        placeholder={roles[section.role].name}
        value={section.title}
        readOnly={readOnly || section.made}
        onTake={title => onChange(`Title “${title}”`, { title })}
      />
      {!section.made && (
        <HeadField
          label="Subtitle of the section"
          className={section.subtitle ? 'subtitle' : 'subtitle none'}
          placeholder="no subtitle"
          value={section.subtitle ?? ''}
          readOnly={readOnly}
          onTake={subtitle =>
            onChange(subtitle ? `Subtitle “${subtitle}”` : 'No subtitle', { subtitle: subtitle || undefined })
          }
        />
      )}
    </header>
  )
})

function HeadField({
  label,
  value,
  onTake,
  ...field
}: {
  label: string
  className: string
  placeholder: string
  value: string
  readOnly: boolean
  onTake: (words: string) => Promise<boolean>
}) {
  const [draft, setDraft] = useState<string>()
  const take = (): void => {
    if (draft === undefined || draft.trim() === value) return setDraft(undefined)
    // What was typed leaves the field only when the store has it.
    void onTake(draft.trim()).then(taken => taken && setDraft(d => (d === draft ? undefined : d)))
  }
  return (
    <Input
      variant="borderless"
      aria-label={label}
      {...field}
      value={draft ?? value}
      onChange={e => setDraft(e.target.value)}
      onBlur={take}
      onPressEnter={take}
      onKeyDown={e => e.key === 'Escape' && setDraft(undefined)}
    />
  )
}
