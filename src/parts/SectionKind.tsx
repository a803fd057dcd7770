'use client'
import { Select } from 'antd'
import { type Role, roles, type Section } from '@/core/book'
import { ChoiceValue } from './Sentence'
import './sentence.css'

/** The kinds of section, in their three parts. */
export const roleOptions = (['front', 'body', 'back'] as const).map(part => ({
  label: { front: 'Front', body: 'Body', back: 'Back' }[part],
  options: (Object.keys(roles) as Role[])
    .filter(r => roles[r].part === part)
    .map(r => ({ value: r, label: roles[r].name })),
}))

const NUMBERED = [
  { value: 'yes', words: 'numbered' },
  { value: 'no', words: 'without a number' },
] as const

/** What a section is, as the beginning of a sentence: "Chapter, numbered". */
export function SectionKind({
  section: { role, numbered },
  disabled = false,
  onRole,
  onNumbered,
}: {
  section: Pick<Section, 'role' | 'numbered'>
  disabled?: boolean
  onRole: (role: Role) => void
  onNumbered: (numbered: boolean) => void
}) {
  return (
    <>
      <span className="value">
        <Select
          aria-label="What it is"
          size="small"
          variant="borderless"
          suffixIcon={null}
          disabled={disabled}
          value={role}
          options={roleOptions}
          onChange={onRole}
          popupMatchSelectWidth={190}
        />
      </span>
      {roles[role].numbered && (
        <>
          ,{' '}
          <ChoiceValue
            label="Whether it is counted"
            value={numbered ? 'yes' : 'no'}
            choices={NUMBERED}
            disabled={disabled}
            onChange={v => onNumbered(v === 'yes')}
          />
        </>
      )}
    </>
  )
}
