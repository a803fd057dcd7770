'use client'
import { type Asset, coverForms, type Repeated, type RepeatPiece, repeatPatterns } from '@/core/book'
import { ornamentNames } from '@/core/ornaments'
import { PictureChoice } from '@/parts/PictureChoice'
import { ChoiceValue, NumberValue, TextValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { forms } from './pieceWords'
import { Tint } from './Tint'

const PERCENT = { factor: 100, step: 1, digits: 0, unit: '%' }
const DEGREES = { factor: 1, step: 5, digits: 0, unit: '°' }
const patterns: Record<RepeatPiece['pattern'], string> = {
  'straight': 'in straight rows',
  'brick': 'each row half a step aside',
  'half-drop': 'each column half a step down',
  'mirrored': 'every other one mirrored',
}
const usual: Record<Repeated['kind'], (assets: Asset[]) => Repeated | undefined> = {
  form: () => ({ kind: 'form', form: 'star' }),
  ornament: () => ({ kind: 'ornament', ornament: 'leaf' }),
  letter: () => ({ kind: 'letter', letter: '&' }),
  picture: ([first]) => first && { kind: 'picture', asset: first.id },
}

/** What is repeated over its box, and how. */
export function RepeatSentence({
  bookId,
  piece,
  assets,
  onChange,
}: {
  bookId: string
  piece: RepeatPiece
  assets: Asset[]
  onChange: ChangePiece<RepeatPiece>
}) {
  const name = called(piece)
  const { of } = piece
  const part = (
    label: string,
    value: number,
    limits: { least: number; most: number; form?: typeof PERCENT },
    take: (v: number) => Parameters<ChangePiece<RepeatPiece>>[1],
  ) => (
    <NumberValue
      label={label}
      value={value}
      form={PERCENT}
      {...limits}
      onChange={v => onChange(`${label} of the ${name}`, take(v), true)}
    />
  )
  const apart = piece.apart ?? { x: 0, y: 0 }
  return (
    <p>
      Over and over:{' '}
      <ChoiceValue
        label="What is repeated"
        value={of.kind}
        choices={[
          { value: 'form', words: 'a form' },
          { value: 'ornament', words: 'an ornament' },
          { value: 'letter', words: 'letters' },
          ...(assets.length ? [{ value: 'picture', words: 'a picture' }] : []),
        ]}
        onChange={v => {
          const next = usual[v as Repeated['kind']](assets)
          if (next) onChange('What is repeated', { of: next })
        }}
      />
      , <Which {...{ bookId, of, assets }} onTake={next => onChange('What is repeated', { of: next })} />,{' '}
      {part('Size', piece.cell, { least: 0.02, most: 1 }, cell => ({ cell }))} of the front’s width,{' '}
      <ChoiceValue
        label="Pattern"
        value={piece.pattern}
        choices={repeatPatterns.map(value => ({ value, words: patterns[value] }))}
        onChange={v => onChange('Pattern', { pattern: v as RepeatPiece['pattern'] })}
      />
      , {part('Apart across', apart.x, { least: -0.5, most: 5 }, x => ({ apart: { ...apart, x } }))} and{' '}
      {part('Apart down', apart.y, { least: -0.5, most: 5 }, y => ({ apart: { ...apart, y } }))} of it apart, turned by{' '}
      {part('Tilt', piece.tilt ?? 0, { least: -180, most: 180, form: DEGREES }, tilt => ({ tilt: tilt || undefined }))},
      straying by {part('Straying', piece.jitter ?? 0, { least: 0, most: 1 }, j => ({ jitter: j || undefined }))}
      {piece.jitter ? (
        <>
          {' '}
          (
          <span className="value">
            <button
              type="button"
              onClick={() => onChange('Let it fall anew', { seed: ((piece.seed ?? 1) % 999_983) + 1 })}
            >
              let it fall anew
            </button>
          </span>
          )
        </>
      ) : null}
      , in <Tint label="Colour" value={piece.colour} onTake={colour => onChange(`Colour of the ${name}`, { colour })} />{' '}
      that covers by{' '}
      {part('Covers', piece.opacity ?? 1, { least: 0.02, most: 1 }, v => ({ opacity: v === 1 ? undefined : v }))}.
    </p>
  )
}

/** Which form, ornament, letters or picture. */
function Which({
  bookId,
  of,
  assets,
  onTake,
}: {
  bookId: string
  of: Repeated
  assets: Asset[]
  onTake: (of: Repeated) => void
}) {
  switch (of.kind) {
    case 'form':
      return (
        <ChoiceValue
          label="Form that is repeated"
          value={of.form}
          choices={coverForms.filter(f => f !== 'own').map(value => ({ value, words: forms[value] }))}
          onChange={form => onTake({ kind: 'form', form: form as (typeof coverForms)[number] })}
        />
      )
    case 'ornament':
      return (
        <ChoiceValue
          label="Ornament that is repeated"
          value={of.ornament}
          choices={ornamentNames.filter(n => n !== 'none').map(value => ({ value, words: value }))}
          onChange={ornament => onTake({ kind: 'ornament', ornament })}
        />
      )
    case 'letter':
      return (
        <TextValue
          label="Letters that are repeated"
          value={of.letter}
          most={12}
          onTake={letter => {
            if (letter) onTake({ kind: 'letter', letter })
            return Promise.resolve(!!letter)
          }}
        />
      )
    case 'picture':
      return (
        <span className="value">
          <PictureChoice
            bookId={bookId}
            assets={assets}
            value={of.asset}
            none="no picture"
            label="Picture that is repeated"
            quiet
            onChange={asset => asset && onTake({ kind: 'picture', asset })}
          />
        </span>
      )
  }
}
