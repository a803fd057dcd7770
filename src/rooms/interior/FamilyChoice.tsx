'use client'
import { App, Select } from 'antd'
import { useRef } from 'react'
import type { OwnFamily } from '@/core/book'
import { bringInFonts, fontTypes } from '@/data/fonts'
import { readingTime } from '@/parts/errors'

const BRING = 'bring in'

/** The typeface of the text: one that ships, one of the author's own, or another that is brought in. */
export function FamilyChoice({
  bookId,
  editionId,
  shipped,
  own,
  value,
  label,
  onChange,
}: {
  bookId: string
  editionId: string
  shipped: { value: string; words: string }[]
  own: OwnFamily[]
  value: string
  label: string
  onChange: (family: string) => void
}) {
  const picker = useRef<HTMLInputElement>(null)
  const { message } = App.useApp()
  const bring = (files: File[]): void =>
    void bringInFonts(bookId, editionId, files).then(
      f => message.success(`${f.name}: ${Object.keys(f.files).join(', ')}`),
      (e: Error) => message.error(e.message, readingTime(e.message)),
    )
  return (
    <>
      <Select
        aria-label={label}
        size="small"
        variant="borderless"
        popupMatchSelectWidth={false}
        suffixIcon={null}
        listHeight={380}
        value={value}
        options={[
          ...shipped.map(s => ({ value: s.value, label: s.words })),
          ...own.map(f => ({ value: f.id, label: f.name })),
          { value: BRING, label: 'bring in a typeface …' },
        ]}
        onChange={v => (v === BRING ? picker.current?.click() : onChange(v))}
      />
      <input
        ref={picker}
        type="file"
        multiple
        hidden
        accept={fontTypes}
        aria-label="Font files"
        onChange={e => {
          const files = [...(e.target.files ?? [])]
          if (files.length) bring(files)
          e.target.value = ''
        }}
      />
    </>
  )
}
