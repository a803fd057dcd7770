'use client'
import { Select } from 'antd'
import type { OwnFamily } from '@/core/book'
import { bringInFonts, fontTypes } from '@/data/fonts'
import { useSay } from '@/parts/useSay'
import { FilePick } from '@/parts/FilePick'

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
  const say = useSay()
  const bring = (files: File[]): void =>
    void bringInFonts(bookId, editionId, files).then(
      f => say.done(`${f.name}: ${Object.keys(f.files).join(', ')}`),
      say.failed,
    )
  return (
    <FilePick label="Font files" accept={fontTypes} multiple onPick={bring}>
      {pick => (
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
          onChange={v => (v === BRING ? pick() : onChange(v))}
        />
      )}
    </FilePick>
  )
}
