'use client'
import type { OrnamentPiece } from '@/core/book'
import { ornamentNames } from '@/core/ornaments'
import { ChoiceValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { Tint } from './Tint'

/** Which ornament it is. */
export function OrnamentSentence({ piece, onChange }: { piece: OrnamentPiece; onChange: ChangePiece<OrnamentPiece> }) {
  return (
    <p>
      It is the ornament{' '}
      <ChoiceValue
        label="Ornament"
        value={piece.ornament}
        choices={ornamentNames.filter(n => n !== 'none').map(value => ({ value, words: value }))}
        onChange={ornament => onChange('Ornament', { ornament })}
      />{' '}
      in{' '}
      <Tint
        label="Colour"
        value={piece.colour}
        onTake={colour => onChange(`Colour of the ${called(piece)}`, { colour })}
      />
      .
    </p>
  )
}
