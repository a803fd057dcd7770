'use client'
import { useState } from 'react'
import type { PieceGround } from '@/core/book'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { FilePick } from '@/parts/FilePick'
import { ChoiceValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { type NewPiece, newPieces } from './coverChanges'
import { forms, panels } from './pieceWords'

const called = (p: NewPiece): string =>
  p === 'words' ? 'words of its own' : p === 'ornament' ? 'an ornament' : forms[p]

/** Puts something more on the cover. */
export function Adding({
  bookId,
  onAdd,
  onPicture,
}: {
  bookId: string
  onAdd: (what: NewPiece, panel: PieceGround) => void
  onPicture: (asset: string, panel: PieceGround) => void
}) {
  const say = useSay()
  const [panel, setPanel] = useState<PieceGround>('front')
  const bring = (file: File): void => void bringInPicture(bookId, file).then(a => onPicture(a.id, panel), say.failed)
  return (
    <FilePick label="A picture for a piece: file" accept={pictureTypes} onPick={([file]) => bring(file!)}>
      {pick => (
        <p className="adding">
          Put on the{' '}
          <ChoiceValue
            label="Panel for something more"
            value={panel}
            choices={(['front', 'back', 'spine', 'sheet'] as const).map(value => ({ value, words: panels[value] }))}
            onChange={v => setPanel(v as PieceGround)}
          />{' '}
          <ChoiceValue
            label="Something more"
            value=""
            choices={[
              { value: '', words: 'something more' },
              ...newPieces.map(value => ({ value, words: called(value) })),
              { value: 'picture', words: 'a picture …' },
            ]}
            onChange={v => {
              if (v === 'picture') pick()
              else if (v) onAdd(v as NewPiece, panel)
            }}
          />
          .
        </p>
      )}
    </FilePick>
  )
}
