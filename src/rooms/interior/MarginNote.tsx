'use client'
import { useState } from 'react'
import { type InteriorStyle, readStyle, styleValue } from '@/core/pages'
import type { Asset, OwnFamily } from '@/core/book'
import { lengthField } from '@/parts/lengths'
import { PictureChoice } from '@/parts/PictureChoice'
import { ChoiceValue, NumberValue, Sentence } from '@/parts/Sentence'
import { WriterOnly } from '@/parts/WriterOnly'
import { FamilyChoice } from './FamilyChoice'
import { valueNames } from '@/parts/valueNames'
import type { NoteText } from './notes'

const units: Record<string, string> = {
  pt: 'pt',
  in: 'in',
  mm: 'mm',
  lines: 'lines',
  em: 'em',
  words: 'words',
  letters: 'letters',
}

/** What a book has of its own that a style may use. */
export interface BookParts {
  bookId: string
  editionId: string
  assets: Asset[]
  fonts: OwnFamily[]
}

/** A note in the margin: a sentence whose values are the controls. */
export function MarginNote({
  note,
  style,
  onChange,
  ...book
}: BookParts & {
  note: NoteText
  style: InteriorStyle
  onChange: (path: string, value: number | boolean | string) => void
}) {
  const [more, setMore] = useState(false)
  const said = more && note.more ? `${note.sentence} ${note.more}` : note.sentence
  return (
    <section className="note" id={`note-${note.id}`} aria-label={note.title}>
      <h2>{note.title}</h2>
      <p>
        <WriterOnly bookId={book.bookId}>
          <Sentence
            words={said}
            value={path => <Value path={path} style={style} {...book} onChange={v => onChange(path, v)} />}
          />
        </WriterOnly>
        {note.more && (
          <button
            type="button"
            className="more"
            aria-expanded={more}
            aria-label={`${more ? 'Less' : 'More'} of ${note.title.toLowerCase()}`}
            onClick={() => setMore(m => !m)}
          >
            {more ? 'less' : 'more …'}
          </button>
        )}
      </p>
    </section>
  )
}

function Value({
  path,
  style,
  bookId,
  editionId,
  assets,
  fonts,
  onChange,
}: BookParts & { path: string; style: InteriorStyle; onChange: (value: number | boolean | string) => void }) {
  const v = styleValue(path)
  const now = readStyle(style, path)
  if (v.kind === 'number') {
    const { factor, ...field } =
      v.unit === 'in'
        ? lengthField(v.step)
        : { unit: v.unit, factor: 1, step: v.step, digits: String(v.step).split('.')[1]?.length ?? 0 }
    const one = Number((Number(now) * factor).toFixed(field.digits)) === 1
    const unit = one ? units[field.unit]!.replace(/s$/, '') : units[field.unit]!
    return (
      <NumberValue
        label={valueNames[path]!}
        value={Number(now)}
        least={v.least}
        most={v.most}
        form={{ ...field, factor, unit }}
        onChange={onChange}
      />
    )
  }
  if (v.kind === 'picture')
    return (
      <span className="value">
        <PictureChoice
          quiet
          bookId={bookId}
          assets={assets}
          value={String(now)}
          none="no picture of your own"
          label={valueNames[path]!}
          onChange={onChange}
        />
      </span>
    )
  if (path === 'text.family')
    return (
      <span className="value">
        <FamilyChoice
          bookId={bookId}
          editionId={editionId}
          shipped={v.choices.map(c => ({ value: String(c.value), words: c.words }))}
          own={fonts}
          value={String(now)}
          label={valueNames[path]!}
          onChange={onChange}
        />
      </span>
    )
  return (
    <ChoiceValue
      label={valueNames[path]!}
      value={String(now)}
      choices={v.choices.map(c => ({ value: String(c.value), words: c.words }))}
      onChange={s => onChange(v.choices.find(c => String(c.value) === s)!.value)}
    />
  )
}
