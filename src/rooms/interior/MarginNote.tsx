'use client'
import { InputNumber, Select } from 'antd'
import { Fragment, useState } from 'react'
import { type InteriorStyle, readStyle, styleValue } from '@/core/pages'
import { trimZeros } from '@/core/trade'
import type { Asset, OwnFamily } from '@/core/book'
import { lengthField } from '@/parts/lengths'
import { PictureChoice } from '@/parts/PictureChoice'
import { WriterOnly } from '@/parts/WriterOnly'
import { FamilyChoice } from './FamilyChoice'
import { type NoteText, valueNames } from './notes'

const units: Record<string, string> = {
  pt: 'pt',
  in: 'in',
  mm: 'mm',
  lines: 'lines',
  em: 'em',
  words: 'words',
  letters: 'letters',
}

const trimmed = (x: number | string | undefined): string => (x === undefined || x === '' ? '' : trimZeros(String(x)))

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
          {said.split(/(\{[^}]+\})/).map((part, i) => {
            const path = /^\{(.+)\}$/.exec(part)?.[1]
            return (
              <Fragment key={i}>
                {path ? <Value path={path} style={style} {...book} onChange={v => onChange(path, v)} /> : part}
              </Fragment>
            )
          })}
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
    const field =
      v.unit === 'in'
        ? lengthField(v.step)
        : { unit: v.unit, factor: 1, step: v.step, digits: String(v.step).split('.')[1]?.length ?? 0 }
    const { digits, factor } = field
    const shown = String(Number((Number(now) * factor).toFixed(digits)))
    return (
      <span className="value">
        <InputNumber
          aria-label={valueNames[path]}
          size="small"
          variant="borderless"
          controls={false}
          value={Number(shown)}
          min={v.least * factor}
          max={v.most * factor}
          step={field.step}
          precision={digits}
          formatter={trimmed}
          style={{ width: `${shown.length * 0.6 + 0.35}em` }}
          onStep={x => onChange(Number(x) / factor)}
          onBlur={e => take(e.target.value)}
          onPressEnter={e => take((e.target as HTMLInputElement).value)}
        />{' '}
        {Number(shown) === 1 ? units[field.unit]!.replace(/s$/, '') : units[field.unit]}
      </span>
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
    <span className="value">
      <Select
        aria-label={valueNames[path]}
        size="small"
        variant="borderless"
        popupMatchSelectWidth={false}
        suffixIcon={null}
        value={String(now)}
        options={v.choices.map(c => ({ value: String(c.value), label: c.words }))}
        onChange={s => onChange(v.choices.find(c => String(c.value) === s)!.value)}
      />
    </span>
  )

  function take(text: string): void {
    const factor = v.kind === 'number' && v.unit === 'in' ? lengthField(v.step).factor : 1
    const n = Number(text.replace(',', '.')) / factor
    if (text.trim() && Number.isFinite(n) && v.kind === 'number' && Math.abs(n - Number(now)) > 1e-4)
      onChange(Math.min(v.most, Math.max(v.least, n)))
  }
}
