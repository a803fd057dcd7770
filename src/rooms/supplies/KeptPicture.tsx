'use client'
import { Button } from 'antd'
import { useEffect, useState } from 'react'
import type { Asset } from '@/core/book'
import { blobBytes } from '@/data/blobs'
import { keepPicture, pictureTypes } from '@/data/pictures'
import { FilePick } from '@/parts/FilePick'
import { useSay } from '@/parts/useSay'

/** A picture that is kept with something, small; its name, or the word for none, is the way to another. */
export function KeptPicture({
  label,
  value,
  none,
  onTake,
}: {
  label: string
  value: Asset | undefined
  /** What the sentence says where there is none. */
  none: string
  onTake: (picture: Asset | undefined) => Promise<void>
}) {
  const say = useSay()
  return (
    <FilePick
      label={`${label}: file`}
      accept={pictureTypes}
      onPick={([file]) => void keepPicture(file!, onTake).catch(say.failed)}
    >
      {pick => (
        <>
          <Button type="link" size="small" className="picks" aria-label={label} onClick={pick}>
            {value ? (value.name ?? 'a picture') : none}
          </Button>
          {value && (
            <>
              {' '}
              (
              <Button
                type="link"
                size="small"
                aria-label={`${label}: none`}
                onClick={() => void onTake(undefined).catch(say.failed)}
              >
                take it off
              </Button>
              )
            </>
          )}
        </>
      )}
    </FilePick>
  )
}

/** A kept picture as it looks. */
export function Shown({ picture, className }: { picture: Asset; className: string }) {
  const [url, setUrl] = useState<string>()
  useEffect(() => {
    let made: string | undefined
    let gone = false
    void blobBytes(picture.id).then(bytes => {
      if (!bytes || gone) return
      setUrl((made = URL.createObjectURL(new Blob([bytes], { type: picture.type }))))
    })
    return () => {
      gone = true
      if (made) URL.revokeObjectURL(made)
    }
  }, [picture])
  return url ? <img className={className} src={url} alt="" /> : null
}
