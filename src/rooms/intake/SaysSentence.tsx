'use client'
import { TextValue } from '@/parts/TextValue'
import type { TextField } from '@/parts/useTaken'
import { problemWith, type Says } from './says'

const LABELS: Record<keyof Says, string> = {
  title: 'Title',
  author: 'Author',
  year: 'Year of the copyright',
  isbn: 'ISBN',
  rights: 'Rights',
}

/** What the manuscript says of its book, offered to the plan: each value is taken as it is, changed, or emptied. */
export function SaysSentence({ says, onChange }: { says: Says; onChange: (says: Says) => void }) {
  const value = (name: keyof Says, empty: string) => (
    <TextValue
      field={fieldOf(name)}
      value={says[name] || undefined}
      empty={empty}
      onTake={v => {
        onChange({ ...says, [name]: v ?? '' })
        return undefined
      }}
    />
  )
  return (
    <p className="said says" aria-label="What it says of the book">
      It is {value('title', 'without a title')}, by {value('author', 'nobody it names')}, ©{' '}
      {value('year', 'of no year')}, with the ISBN {value('isbn', 'none')}; {value('rights', 'it reserves no rights')}
    </p>
  )
}

const fieldOf = (name: keyof Says): TextField<string> => ({
  label: LABELS[name],
  problem: text => problemWith(name, text),
  read: text => text.trim() || undefined,
  show: value => value ?? '',
})
