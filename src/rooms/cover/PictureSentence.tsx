'use client'
import type { Asset, PicturePiece } from '@/core/book'
import { boxOnFlat, type Flat } from '@/core/cover'
import { IMAGE_PPI, IN } from '@/core/trade'
import { PictureChoice } from '@/parts/PictureChoice'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { CutSentence } from './CutSentence'
import { ToneSentence } from './ToneSentence'
import { useTreated } from './useTreated'

const PERCENT = { factor: 100, step: 5, digits: 0, unit: '%' }

/** What a picture shows of itself, and how fine it will print. */
export function PictureSentence({
  bookId,
  piece,
  assets,
  flat,
  onBrush,
  onChange,
}: {
  bookId: string
  piece: PicturePiece
  assets: Asset[]
  flat: Flat
  onBrush: () => void
  onChange: ChangePiece<PicturePiece>
}) {
  const name = called(piece)
  const asset = assets.find(a => a.id === piece.asset)
  const making = useTreated(bookId, piece, asset)
  const box = boxOnFlat(flat, piece)
  const focus = piece.focus ?? { x: 0.5, y: 0.5 }
  // Pixels an inch: of the side that must be enlarged more to cover the box.
  const ppi =
    asset && box && (IN * Math.min(asset.width / box.width, asset.height / box.height)) / Math.max(1, piece.zoom ?? 1)
  const toward = (key: 'x' | 'y', label: string) => (
    <NumberValue
      label={label}
      value={focus[key]}
      least={0}
      most={1}
      form={PERCENT}
      onChange={v => onChange(`Focus of the ${name}`, { focus: { ...focus, [key]: v } }, true)}
    />
  )
  return (
    <>
      <p>
        It shows{' '}
        <span className="value">
          <PictureChoice
            bookId={bookId}
            assets={assets}
            value={piece.asset}
            none="no picture"
            label="Picture"
            quiet
            onChange={id => id && onChange('Another picture', { asset: id })}
          />
        </span>
        ,{' '}
        <ChoiceValue
          label="Mirrored"
          value={piece.mirrored ? 'mirrored' : 'plain'}
          choices={[
            { value: 'plain', words: 'as it is' },
            { value: 'mirrored', words: 'mirrored' },
          ]}
          onChange={v => onChange(`Mirror the ${name}`, { mirrored: v === 'mirrored' || undefined })}
        />
        , cut to{' '}
        <ChoiceValue
          label="Cut to"
          value={piece.mask ?? 'rectangle'}
          choices={[
            { value: 'rectangle', words: 'its box' },
            { value: 'round', words: 'a round' },
            { value: 'arch', words: 'an arch' },
          ]}
          onChange={v => onChange(`Cut of the ${name}`, { mask: v === 'round' || v === 'arch' ? v : undefined })}
        />
        .
      </p>
      <p>
        In sight stays what lies {toward('x', 'Focus across')} across and {toward('y', 'Focus down')} down, at{' '}
        <NumberValue
          label="Nearness"
          value={piece.zoom ?? 1}
          least={1}
          most={8}
          form={PERCENT}
          onChange={v => onChange(`Nearness of the ${name}`, { zoom: v === 1 ? undefined : v }, true)}
        />{' '}
        of the size that covers it.
      </p>
      <CutSentence {...{ piece, making, onBrush, onChange }} />
      <ToneSentence {...{ piece, onChange }} />
      {ppi !== undefined && (
        <p className="measured" data-low={ppi < IMAGE_PPI * 0.98}>
          It prints at {Math.round(ppi)} pixels an inch
          {ppi < IMAGE_PPI * 0.98 ? `; ${IMAGE_PPI} are wanted` : ''}.
        </p>
      )}
    </>
  )
}
