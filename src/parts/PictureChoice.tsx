'use client'
import { Select } from 'antd'
import type { Asset } from '@/core/book'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { useSay } from './useSay'
import { FilePick } from './FilePick'

const BRING = 'bring in'

/** One of the book's pictures, another that is brought in, or none. */
export function PictureChoice({
  bookId,
  assets,
  value,
  none,
  label,
  disabled,
  quiet,
  pages,
  onChange,
}: {
  bookId: string
  assets: Asset[]
  /** Id of a picture, or nothing. */ value: string
  /** What no picture is called. */ none: string
  label: string
  disabled?: boolean
  /** A word in a sentence rather than a field. */ quiet?: boolean
  /** Pages of PDFs are among them: what is chosen goes to print alone. */ pages?: boolean
  onChange: (id: string) => void
}) {
  const say = useSay()
  const offered = assets.filter(a => !a.made && (pages || a.type !== 'application/pdf'))
  const bring = (file: File): void => void bringInPicture(bookId, file).then(a => onChange(a.id), say.failed)
  return (
    <FilePick label={`${label}: file`} accept={pictureTypes} onPick={([file]) => bring(file!)}>
      {pick => (
        <Select
          aria-label={label}
          size="small"
          disabled={disabled}
          popupMatchSelectWidth={false}
          value={offered.some(a => a.id === value) ? value : ''}
          style={quiet ? undefined : { width: '100%' }}
          {...(quiet ? { variant: 'borderless' as const, suffixIcon: null } : {})}
          options={[
            { value: '', label: none },
            ...offered.map((a, i) => ({ value: a.id, label: a.name ?? `picture ${i + 1}` })),
            { value: BRING, label: 'bring in a picture …' },
          ]}
          onChange={v => (v === BRING ? pick() : onChange(v))}
        />
      )}
    </FilePick>
  )
}
