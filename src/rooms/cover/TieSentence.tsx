'use client'
import { type CoverPiece, type Tie, tiesAcross, tiesDown } from '@/core/book'
import { type Flat, tiedOn } from '@/core/cover'
import { ChoiceValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'

const edges: Record<Tie['across'] | Tie['down'], string> = {
  left: 'the left edge',
  middle: 'the middle',
  right: 'the right edge',
  head: 'the head',
  foot: 'the foot',
}
/** Along a spine the same edges are its ends and its folds. */
const alongSpine: Record<Tie['across'] | Tie['down'], string> = {
  left: 'its beginning',
  middle: 'the middle',
  right: 'its end',
  head: 'one fold',
  foot: 'the other',
}

/** What becomes of a piece on another trim, binding or count of pages. */
export function TieSentence({ piece, flat, onChange }: { piece: CoverPiece; flat: Flat; onChange: ChangePiece }) {
  const { tied } = piece
  const words = piece.panel === 'spine' ? alongSpine : edges
  const tie = (to: Pick<Tie, 'across' | 'down'> | undefined): void =>
    onChange(`Tie the ${called(piece)}`, { tied: tiedOn(piece, flat, to) })
  return (
    <p>
      On another flat it{' '}
      <ChoiceValue
        label="On another flat"
        value={tied ? 'keeps' : 'grows'}
        choices={[
          { value: 'grows', words: 'grows with its panel' },
          { value: 'keeps', words: 'keeps its size' },
        ]}
        onChange={v => tie(v === 'keeps' ? { across: 'middle', down: 'middle' } : undefined)}
      />
      {tied && (
        <>
          , as far from{' '}
          <ChoiceValue
            label="Tied across"
            value={tied.across}
            choices={tiesAcross.map(value => ({ value, words: words[value] }))}
            onChange={v => tie({ ...tied, across: v as Tie['across'] })}
          />{' '}
          and{' '}
          <ChoiceValue
            label="Tied down"
            value={tied.down}
            choices={tiesDown.map(value => ({ value, words: value === 'middle' ? 'its middle height' : words[value] }))}
            onChange={v => tie({ ...tied, down: v as Tie['down'] })}
          />{' '}
          as it is
        </>
      )}
      .
    </p>
  )
}
