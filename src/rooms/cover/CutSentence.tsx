'use client'
import { useEffect, useState } from 'react'
import type { Asset, PictureCut, PicturePiece } from '@/core/book'
import { cutFrom, cutWord } from '@/core/cover'
import { cutPicture } from '@/data/cutting'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { called, type ChangePiece } from './coverChanges'

const PERCENT = { factor: 100, step: 1, digits: 0, unit: '%' }
const PIXELS = { factor: 1, step: 1, digits: 0, unit: 'pixels' }
const BEGIN: PictureCut = { tolerance: 0.12, soft: 2, holes: 'kept' }

/** Whether the plain ground of a picture is taken from it, and how. What was cut once is kept. */
export function CutSentence({
  bookId,
  piece,
  asset,
  onChange,
}: {
  bookId: string
  piece: PicturePiece
  asset: Asset | undefined
  onChange: ChangePiece<PicturePiece>
}) {
  const say = useSay()
  const { cut } = piece
  const name = called(piece)
  const wanted = cut && asset && !cutFrom(asset, cut) ? `${asset.id} ${cutWord(cut)}` : undefined
  const [failed, setFailed] = useState<string>()
  useEffect(() => {
    if (!wanted || !cut || !asset || failed === wanted) return
    cutPicture(bookId, asset.id, cut).catch((e: unknown) => {
      // It is not tried over and over: another value tries anew.
      setFailed(wanted)
      say.failed(e)
    })
  }, [wanted, failed, bookId, asset, cut, say])
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
      .{wanted && failed !== wanted && <span role="status"> Cutting …</span>}
    </p>
  )
}
