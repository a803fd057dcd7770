'use client'
import type { Book, TextPiece } from '@/core/book'
import type { SetPiece } from '@/core/cover'
import { ChoiceValue, NumberValue, TextValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { facesFor } from './faces'
import { LettersSentence } from './LettersSentence'
import { Tint } from './Tint'

const POINTS = { factor: 1, step: 1, digits: 1, unit: 'pt' }
const TIMES = { factor: 1, step: 0.05, digits: 2, unit: '×' }
const HUNDREDTHS = { factor: 100, step: 1, digits: 0, unit: '%' }

/** How words of the cover look. `set`: as they were set, if they were. */
export function TextSentence({
  piece,
  set,
  fonts,
  onChange,
}: {
  piece: TextPiece
  set: SetPiece | undefined
  /** The author’s own. */
  fonts: Book['fonts']
  onChange: ChangePiece<TextPiece>
}) {
  const name = called(piece)
  const choice = <K extends 'face' | 'align' | 'vertical'>(
    key: K,
    label: string,
    choices: readonly { value: string; words: string }[],
  ) => (
    <ChoiceValue
      label={label}
      value={piece[key]}
      choices={choices}
      onChange={v => onChange(`${label} of the ${name}`, { [key]: v })}
    />
  )
  return (
    <>
      {piece.field === 'own' && (
        <p>
          It says{' '}
          <TextValue
            label="What it says"
            value={piece.words ?? ''}
            most={20_000}
            lines
            onTake={words => {
              onChange('Words on the cover', { words })
              return Promise.resolve(true)
            }}
          />
        </p>
      )}
      <p>
        Set in {choice('face', 'Face', facesFor(fonts))}, at most{' '}
        <NumberValue
          label="Largest size, points"
          value={piece.size}
          least={6}
          most={300}
          form={POINTS}
          onChange={size => onChange(`Size of the ${name}`, { size }, true)}
        />
        ,{' '}
        <ChoiceValue
          label="Capitals"
          value={piece.capitals ? 'capitals' : 'written'}
          choices={[
            { value: 'written', words: 'as written' },
            { value: 'capitals', words: 'in capitals' },
          ]}
          onChange={v => onChange(`Capitals of the ${name}`, { capitals: v === 'capitals' })}
        />
        , letters wide by{' '}
        <NumberValue
          label="Tracking"
          value={piece.tracking}
          least={-0.2}
          most={1}
          form={HUNDREDTHS}
          onChange={tracking => onChange(`Tracking of the ${name}`, { tracking }, true)}
        />
        , lines{' '}
        <NumberValue
          label="Leading"
          value={piece.leading}
          least={0.7}
          most={2.5}
          form={TIMES}
          onChange={leading => onChange(`Leading of the ${name}`, { leading }, true)}
        />{' '}
        their size apart, in{' '}
        <Tint label="Colour" value={piece.colour} onTake={colour => onChange(`Colour of the ${name}`, { colour })} />.
      </p>
      <p>
        Its lines are{' '}
        {choice('align', 'Alignment', [
          { value: 'left', words: 'flush left' },
          { value: 'center', words: 'centred' },
          { value: 'right', words: 'flush right' },
        ])}
        ,{' '}
        {choice('vertical', 'Upright', [
          { value: 'top', words: 'at the head' },
          { value: 'middle', words: 'in the middle' },
          { value: 'bottom', words: 'at the foot' },
        ])}{' '}
        of its box, <Under piece={piece} onChange={onChange} />.
      </p>
      <LettersSentence piece={piece} onChange={onChange} />
      {set && (
        <p className="measured">
          Set at {set.size.toFixed(1)} pt
          {set.tooLong ? ': too long for its box' : set.size < piece.size - 0.1 ? ', made smaller to fit its box' : ''}.
        </p>
      )}
    </>
  )
}

const SHADOW = { colour: '#000000', across: 0.03, down: 0.04 }
const PLATE = { colour: '#000000', around: 0.4, round: false }

/** What lies between the words and the cover. */
function Under({ piece, onChange }: { piece: TextPiece; onChange: ChangePiece<TextPiece> }) {
  const name = called(piece)
  const { shadow, plate } = piece
  return (
    <>
      <ChoiceValue
        label="Under the words"
        value={plate ? (plate.round ? 'round' : 'plate') : shadow ? 'shadow' : 'nothing'}
        choices={[
          { value: 'nothing', words: 'with nothing under them' },
          { value: 'shadow', words: 'over a shadow' },
          { value: 'plate', words: 'on a plate' },
          { value: 'round', words: 'on a round plate' },
        ]}
        onChange={v =>
          onChange(`Under the ${name}`, {
            shadow: v === 'shadow' ? SHADOW : undefined,
            plate: v === 'plate' || v === 'round' ? { ...PLATE, ...plate, round: v === 'round' } : undefined,
          })
        }
      />
      {shadow && (
        <>
          {' '}
          of{' '}
          <Tint
            label="Colour of the shadow"
            value={shadow.colour}
            onTake={colour => onChange(`Shadow of the ${name}`, { shadow: { ...shadow, colour } })}
          />
        </>
      )}
      {plate && (
        <>
          {' '}
          of{' '}
          <Tint
            label="Colour of the plate"
            value={plate.colour}
            onTake={colour => onChange(`Plate of the ${name}`, { plate: { ...plate, colour } })}
          />{' '}
          that reaches{' '}
          <NumberValue
            label="Reach of the plate"
            value={plate.around}
            least={0}
            most={4}
            form={HUNDREDTHS}
            onChange={around => onChange(`Plate of the ${name}`, { plate: { ...plate, around } }, true)}
          />{' '}
          of their size around them
        </>
      )}
    </>
  )
}
