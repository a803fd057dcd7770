'use client'
import { Checkbox, Input } from 'antd'
import { useState } from 'react'
import type { Asset, Section } from '@/core/book'
import { PictureChoice } from '@/parts/PictureChoice'

/** The picture over a section's opening, and what it says to readers who cannot see it. */
export function OpeningPicture({
  bookId,
  assets,
  picture,
  readOnly,
  onChange,
}: {
  bookId: string
  assets: Asset[]
  picture: Section['picture']
  readOnly: boolean
  onChange: (picture: Section['picture'], label: string) => void
}) {
  const [alt, setAlt] = useState<string>()
  const describe = (): void => {
    if (picture && alt !== undefined && alt !== picture.alt)
      onChange({ ...picture, alt: alt.trim() }, 'Describe the opening picture')
    setAlt(undefined)
  }
  return (
    <div className="opening">
      <span className="role">Over its opening</span>
      <PictureChoice
        bookId={bookId}
        assets={assets}
        value={picture?.asset ?? ''}
        none="no picture"
        label="Picture over the opening"
        disabled={readOnly}
        onChange={asset =>
          onChange(
            asset ? { asset, alt: '', decoration: false } : undefined,
            asset ? 'A picture over the opening' : 'No picture over the opening',
          )
        }
      />
      {picture && (
        <Input
          size="small"
          aria-label="Description of the opening picture"
          placeholder="for readers who cannot see it"
          disabled={readOnly || picture.decoration}
          value={alt ?? picture.alt}
          onChange={e => setAlt(e.target.value)}
          onBlur={describe}
          onPressEnter={describe}
        />
      )}
      {picture && (
        <Checkbox
          checked={picture.decoration}
          disabled={readOnly}
          onChange={e => onChange({ ...picture, decoration: e.target.checked }, 'The opening picture is decoration')}
        >
          only decoration
        </Checkbox>
      )}
    </div>
  )
}
