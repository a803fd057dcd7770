'use client'
import { Input, InputNumber, Select } from 'antd'
import { Fragment, type ReactNode, useState } from 'react'
import { trimZeros } from '@/core/trade'
import './sentence.css'

/** A sentence whose values are the controls: each `{name}` in it is drawn by `value`. */
export function Sentence({ words, value }: { words: string; value: (name: string) => ReactNode }) {
  'use memo'
  return words.split(/(\{[^}]+\})/).map((part, i) => {
    const name = /^\{(.+)\}$/.exec(part)?.[1]
    return <Fragment key={i}>{name ? value(name) : part}</Fragment>
  })
}

const trimmed = (x: number | string | undefined): string => (x === undefined || x === '' ? '' : trimZeros(String(x)))

/** How a number is shown: times `factor`, in steps, with so many digits, and what stands behind it. */
export interface NumberForm {
  factor: number
  step: number
  digits: number
  unit: string
}

/** A number of a sentence. It is taken when the field is left or Enter is pressed, and held within its limits. */
export function NumberValue({
  label,
  value,
  least,
  most,
  form: { factor, step, digits, unit },
  onChange,
}: {
  label: string
  value: number
  least: number
  most: number
  form: NumberForm
  onChange: (value: number) => void
}) {
  'use memo'
  const shown = String(Number((value * factor).toFixed(digits)))
  const take = (text: string): void => {
    const typed = Number(text.replace(',', '.'))
    // What is shown without a fraction is counted, and has none.
    const n = (digits ? typed : Math.round(typed)) / factor
    if (text.trim() && Number.isFinite(n) && Math.abs(n - value) > 1e-4) onChange(Math.min(most, Math.max(least, n)))
  }
  return (
    <span className="value">
      <InputNumber
        aria-label={label}
        size="small"
        variant="borderless"
        controls={false}
        value={Number(shown)}
        min={Number((least * factor).toFixed(digits))}
        max={Number((most * factor).toFixed(digits))}
        step={step}
        precision={digits}
        formatter={trimmed}
        style={{ width: `${shown.length * 0.6 + 0.35}em` }}
        onStep={x => onChange(Number(x) / factor)}
        onBlur={e => take(e.target.value)}
        onPressEnter={e => take((e.target as HTMLInputElement).value)}
      />
      {unit && ` ${unit}`}
    </span>
  )
}

/** A choice of a sentence. */
export function ChoiceValue({
  label,
  value,
  choices,
  disabled,
  onChange,
}: {
  label: string
  value: string
  /** `more`: what the list says behind the words. */
  choices: readonly { value: string; words: string; more?: string }[]
  /** Absent: as what it stands in. */
  disabled?: boolean
  onChange: (value: string) => void
}) {
  'use memo'
  return (
    <span className="value">
      <Select
        aria-label={label}
        size="small"
        variant="borderless"
        popupMatchSelectWidth={false}
        suffixIcon={null}
        disabled={disabled}
        value={value}
        options={choices.map(c => ({ value: c.value, label: c.words, more: c.more }))}
        optionRender={o =>
          o.data.more ? (
            <>
              {o.label} <i className="more">{o.data.more}</i>
            </>
          ) : (
            o.label
          )
        }
        onChange={onChange}
      />
    </span>
  )
}

/** Words of a sentence that are written in place; taken when the field is left, or with Enter where they are one line. */
export function TextValue({
  label,
  value,
  placeholder,
  most,
  lines = false,
  disabled,
  onTake,
}: {
  label: string
  value: string
  placeholder?: string
  /** Most letters. */
  most: number
  /** They may be several lines. */
  lines?: boolean
  /** Absent: as what it stands in. */
  disabled?: boolean
  /** Resolves to whether they were taken; until then what is written stands. */
  onTake: (words: string) => Promise<boolean>
}) {
  const [draft, setDraft] = useState<string>()
  const take = (): void => {
    if (draft !== undefined) void onTake(draft.trim()).then(done => done && setDraft(undefined))
  }
  const shared = {
    'variant': 'borderless',
    'aria-label': label,
    placeholder,
    'maxLength': most,
    disabled,
    'value': draft ?? value,
    'onBlur': take,
  } as const
  return (
    <span className="value">
      {lines ? (
        <Input.TextArea {...shared} autoSize={{ minRows: 1, maxRows: 8 }} onChange={e => setDraft(e.target.value)} />
      ) : (
        <Input
          {...shared}
          size="small"
          onChange={e => setDraft(e.target.value)}
          onPressEnter={e => e.currentTarget.blur()}
        />
      )}
    </span>
  )
}
