'use client'
import { useState } from 'react'
import type { CoverForm, PieceGround } from '@/core/book'
import { outlineOfSvg } from '@/core/cover'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { FilePick } from '@/parts/FilePick'
import { ChoiceValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { type NewPiece, newPieces } from './coverChanges'
import { forms, panels } from './pieceWords'

const names: Partial<Record<NewPiece, string>> = {
  words: 'words of its own',
  quotes: 'what is said of it',
  logo: 'the imprint’s logo',
  ornament: 'an ornament',
  repeat: 'one thing over and over',
}
const called = (p: NewPiece): string => names[p] ?? forms[p as CoverForm]

/** Puts something more on the cover. */
export function Adding({
  bookId,
  onAdd,
  onPicture,
  onOutline,
}: {
  bookId: string
  onAdd: (what: NewPiece, panel: PieceGround) => void
  onPicture: (asset: string, panel: PieceGround) => void
  onOutline: (path: string, panel: PieceGround) => void
}) {
  const say = useSay()
  const [panel, setPanel] = useState<PieceGround>('front')
  const bring = (file: File): void => void bringInPicture(bookId, file).then(a => onPicture(a.id, panel), say.failed)
  const outline = (file: File): void =>
    void file
      .arrayBuffer()
      .then(b => onOutline(outlineOfSvg(new Uint8Array(b)), panel))
      .catch(say.failed)
  return (
    <FilePick label="An outline for a piece: file" accept=".svg" onPick={([file]) => outline(file!)}>
      {pickOutline => (
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
                  { value: 'picture', words: 'a picture …' },
                  ...newPieces.map(value => ({ value, words: called(value) })),
                  { value: 'outline', words: 'an outline from an SVG …' },
                ]}
                onChange={v => {
                  if (v === 'picture') pick()
                  else if (v === 'outline') pickOutline()
                  else if (v) onAdd(v as NewPiece, panel)
                }}
              />
              .
            </p>
          )}
        </FilePick>
      )}
    </FilePick>
  )
}
