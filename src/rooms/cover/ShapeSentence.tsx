'use client'
import { coverForms, type ShapePiece } from '@/core/book'
import { usualForm } from '@/core/cover'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { GradientWords } from './LettersSentence'
import { forms } from './pieceWords'
import { Tint } from './Tint'

const COUNT = { factor: 1, step: 1, digits: 0, unit: '' }
const PERCENT = { factor: 100, step: 5, digits: 0, unit: '%' }
/** What a form's points are, and what its depth is. */
const points: Partial<Record<ShapePiece['form'], string>> = { polygon: 'corners', star: 'rays', badge: 'waves' }
const depths: Partial<Record<ShapePiece['form'], string>> = {
  rectangle: 'its corners round by',
  star: 'cut in by',
  badge: 'cut in by',
  ribbon: 'its ends cut in by',
  line: 'thick by',
  frame: 'thick by',
}

/** What a shape is. */
export function ShapeSentence({ piece, onChange }: { piece: ShapePiece; onChange: ChangePiece<ShapePiece> }) {
  const usual = usualForm[piece.form]
  const name = called(piece)
  return (
    <p>
      It is{' '}
      <ChoiceValue
        label="Form"
        value={piece.form}
        choices={coverForms.filter(f => f !== 'own' || piece.path).map(value => ({ value, words: forms[value] }))}
        onChange={v =>
          onChange('Form', {
            form: v as ShapePiece['form'],
            points: undefined,
            depth: undefined,
          })
        }
      />
      {points[piece.form] && (
        <>
          {' '}
          of{' '}
          <NumberValue
            label={points[piece.form]!}
            value={piece.points ?? usual.points}
            least={3}
            most={120}
            form={COUNT}
            onChange={v => onChange(`${points[piece.form]} of the ${name}`, { points: v }, true)}
          />{' '}
          {points[piece.form]}
        </>
      )}
      {depths[piece.form] && (
        <>
          , {depths[piece.form]}{' '}
          <NumberValue
            label={depths[piece.form]!}
            value={piece.depth ?? usual.depth}
            least={0}
            most={1}
            form={PERCENT}
            onChange={v => onChange(`Form of the ${name}`, { depth: v }, true)}
          />
        </>
      )}
      , in <Tint label="Colour" value={piece.colour} onTake={colour => onChange(`Colour of the ${name}`, { colour })} />
      {piece.gradient ? (
        <>
          <GradientWords
            gradient={piece.gradient}
            onTake={gradient => onChange(`Gradient of the ${name}`, { gradient }, true)}
          />{' '}
          (
          <span className="value">
            <button type="button" onClick={() => onChange(`Gradient of the ${name}`, { gradient: undefined })}>
              one colour instead
            </button>
          </span>
          )
        </>
      ) : (
        <>
          {' '}
          (
          <span className="value">
            <button
              type="button"
              onClick={() => onChange(`Gradient of the ${name}`, { gradient: { to: piece.colour, angle: 0 } })}
            >
              let it go over to another
            </button>
          </span>
          )
        </>
      )}
      , and covers what is under it by{' '}
      <NumberValue
        label="Covers"
        value={piece.opacity ?? 1}
        least={0.02}
        most={1}
        form={PERCENT}
        onChange={v => onChange(`How the ${name} covers`, { opacity: v === 1 ? undefined : v }, true)}
      />
      .
    </p>
  )
}
