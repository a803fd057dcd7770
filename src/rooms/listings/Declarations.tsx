'use client'
import { Checkbox } from 'antd'
import type { ListingDraft } from '@/core/book'

const declarations: { key: 'rights' | 'lowContent' | 'adult'; label: string; words: string }[] = [
  { key: 'rights', label: 'Rights', words: 'Text, pictures and fonts are mine to publish, or licensed to me' },
  { key: 'lowContent', label: 'Low-content', words: 'Low-content: the same page again and again' },
  { key: 'adult', label: 'For adults', words: 'For adults only' },
]

/** What an author states to an outlet. */
export function Declarations({
  draft,
  readOnly,
  onChange,
}: {
  draft: ListingDraft
  readOnly: boolean
  onChange: (label: string, patch: Partial<ListingDraft>) => void
}) {
  return (
    <div className="states">
      {declarations.map(({ key, label, words }) => (
        <Checkbox
          key={key}
          checked={!!draft[key]}
          disabled={readOnly}
          onChange={e => onChange(label, { [key]: e.target.checked })}
        >
          {words}
        </Checkbox>
      ))}
    </div>
  )
}
