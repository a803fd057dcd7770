'use client'
import type { PictureCut, PicturePiece } from '@/core/book'
import { ActValue } from '@/parts/ActValue'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'

const PERCENT = { factor: 100, step: 1, digits: 0, unit: '%' }
const PIXELS = { factor: 1, step: 1, digits: 0, unit: 'pixels' }
const BEGIN: PictureCut = { tolerance: 0.12, soft: 2, holes: 'kept' }

/** Whether the plain ground of a picture is taken from it, and how. What was cut once is kept. */
export function CutSentence({
  piece,
  making,
  onBrush,
  onChange,
}: {
  piece: PicturePiece
  /** It is being made as it is to be. */
  making: boolean
  onBrush: () => void
  onChange: ChangePiece<PicturePiece>
}) {
  const { cut } = piece
  const name = called(piece)
  const set = (patch: Partial<PictureCut>, merge = false): void =>
    onChange(`Cut the ${name} out`, { cut: { ...BEGIN, ...cut, ...patch } }, merge)
  return (
    <p>
      Its ground is{' '}
      <ChoiceValue
        label="Its ground"
        value={cut ? 'cut' : 'kept'}
        choices={[
          { value: 'kept', words: 'left in it' },
          { value: 'cut', words: 'cut out' },
        ]}
        onChange={v => onChange(`Ground of the ${name}`, { cut: v === 'cut' ? BEGIN : undefined })}
      />
      {cut && (
        <>
          : what is like its rim within{' '}
          <NumberValue
            label="Likeness to the rim"
            value={cut.tolerance}
            least={0.01}
            most={0.8}
            form={PERCENT}
            onChange={tolerance => set({ tolerance }, true)}
          />
          , the edge soft over{' '}
          <NumberValue
            label="Softness of the edge"
            value={cut.soft}
            least={0}
            most={20}
            form={PIXELS}
            onChange={soft => set({ soft }, true)}
          />
          , what it encloses{' '}
          <ChoiceValue
            label="What it encloses"
            value={cut.holes}
            choices={[
              { value: 'kept', words: 'kept' },
              { value: 'opened', words: 'opened too' },
            ]}
            onChange={v => set({ holes: v as PictureCut['holes'] })}
          />
        </>
      )}
      .
      {cut && (
        <>
          {' '}
          <ActValue words={cut.strokes?.length ? 'Correct it further by hand' : 'Correct it by hand'} onAct={onBrush} />
          .
        </>
      )}
      {making && <span role="status"> {cut ? 'Cutting …' : 'Making it so …'}</span>}
    </p>
  )
}
