'use client'
import type { TextPiece } from '@/core/book'
import { ActValue } from '@/parts/ActValue'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { Tint } from './Tint'

const DEGREES = { factor: 1, step: 5, digits: 0, unit: '°' }
const HUNDREDTHS = { factor: 100, step: 1, digits: 0, unit: '%' }
const OUTLINE = { colour: '#000000', width: 0.03 }
const GLOW = { colour: '#fff4d6', reach: 0.25 }

const TWO_LINES = [1, 0.6]
/** Most lines that have sizes of their own. */
const MOST_LINES = 10

const forms = [
  { value: 'plain', words: 'as they are' },
  { value: 'small', words: 'as small capitals' },
  { value: 'swashes', words: 'with swashes' },
]

/** What is done to the letters beyond setting them: their lines, their forms, their fill and what is around them. */
export function LettersSentence({ piece, onChange }: { piece: TextPiece; onChange: ChangePiece<TextPiece> }) {
  const name = called(piece)
  const { gradient, outline, glow } = piece
  return (
    <p>
      Lines{' '}
      <ChoiceValue
        label="Lines of the letters"
        value={piece.lineSizes ? 'own' : piece.stacked ? 'stacked' : 'alike'}
        choices={[
          { value: 'alike', words: 'of one size' },
          { value: 'stacked', words: 'each as wide as the box' },
          { value: 'own', words: 'each of its own size' },
        ]}
        onChange={v =>
          onChange(`Lines of the ${name}`, {
            stacked: v === 'stacked' || undefined,
            lineSizes: v === 'own' ? TWO_LINES : undefined,
          })
        }
      />
      {piece.lineSizes && (
        <LineSizes
          sizes={piece.lineSizes}
          onTake={lineSizes => onChange(`Lines of the ${name}`, { lineSizes }, true)}
        />
      )}
      , bent by{' '}
      <NumberValue
        label="Bent by"
        value={piece.arc ?? 0}
        least={-330}
        most={330}
        form={DEGREES}
        onChange={arc => onChange(`Bend the ${name}`, { arc: arc || undefined }, true)}
      />
      ; letters{' '}
      <ChoiceValue
        label="Forms of the letters"
        value={piece.small ? 'small' : piece.swashes ? 'swashes' : 'plain'}
        choices={forms}
        onChange={v =>
          onChange(`Letters of the ${name}`, {
            small: v === 'small' || undefined,
            swashes: v === 'swashes' || undefined,
          })
        }
      />
      ,{' '}
      <ChoiceValue
        label="Optical tracking"
        value={piece.optical ? 'optical' : 'drawn'}
        choices={[
          { value: 'drawn', words: 'as far apart as drawn' },
          { value: 'optical', words: 'nearer the larger they are' },
        ]}
        onChange={v => onChange(`Tracking of the ${name}`, { optical: v === 'optical' || undefined })}
      />
      , filled with{' '}
      <ChoiceValue
        label="Fill"
        value={gradient ? 'gradient' : 'one'}
        choices={[
          { value: 'one', words: 'one colour' },
          { value: 'gradient', words: 'a gradient' },
        ]}
        onChange={v =>
          onChange(`Fill of the ${name}`, { gradient: v === 'gradient' ? { to: piece.colour, angle: 0 } : undefined })
        }
      />
      {gradient && (
        <GradientWords gradient={gradient} onTake={g => onChange(`Fill of the ${name}`, { gradient: g }, true)} />
      )}
      ,{' '}
      <ChoiceValue
        label="Around the letters"
        value={outline ? 'outline' : glow ? 'glow' : 'nothing'}
        choices={[
          { value: 'nothing', words: 'with nothing around them' },
          { value: 'outline', words: 'in an outline' },
          { value: 'glow', words: 'in a glow' },
        ]}
        onChange={v =>
          onChange(`Around the ${name}`, {
            outline: v === 'outline' ? OUTLINE : undefined,
            glow: v === 'glow' ? GLOW : undefined,
          })
        }
      />
      {outline && (
        <>
          {' '}
          of{' '}
          <Tint
            label="Colour of the outline"
            value={outline.colour}
            onTake={colour => onChange(`Outline of the ${name}`, { outline: { ...outline, colour } })}
          />
          ,{' '}
          <NumberValue
            label="Width of the outline"
            value={outline.width}
            least={0.005}
            most={0.3}
            form={HUNDREDTHS}
            onChange={width => onChange(`Outline of the ${name}`, { outline: { ...outline, width } }, true)}
          />{' '}
          of their size wide
        </>
      )}
      {glow && (
        <>
          {' '}
          of{' '}
          <Tint
            label="Colour of the glow"
            value={glow.colour}
            onTake={colour => onChange(`Glow of the ${name}`, { glow: { ...glow, colour } })}
          />
          ,{' '}
          <NumberValue
            label="Reach of the glow"
            value={glow.reach}
            least={0.02}
            most={1}
            form={HUNDREDTHS}
            onChange={reach => onChange(`Glow of the ${name}`, { glow: { ...glow, reach } }, true)}
          />{' '}
          of their size far
        </>
      )}
      .
    </p>
  )
}

/** The sizes of lines from the first on, and how many there are. */
function LineSizes({ sizes, onTake }: { sizes: readonly number[]; onTake: (sizes: number[]) => void }) {
  return (
    <>
      :{' '}
      {sizes.map((size, i) => (
        <span key={i}>
          {i > 0 && ', '}
          <NumberValue
            label={`Size of line ${i + 1}`}
            value={size}
            least={0.1}
            most={5}
            form={HUNDREDTHS}
            onChange={v => onTake(sizes.map((s, k) => (k === i ? v : s)))}
          />
        </span>
      ))}
      {sizes.length < MOST_LINES && (
        <>
          {', '}
          <ActValue words="a line more" onAct={() => onTake([...sizes, sizes.at(-1)!])} />
        </>
      )}
      {sizes.length > 2 && (
        <>
          {', '}
          <ActValue words="one less" onAct={() => onTake(sizes.slice(0, -1))} />
        </>
      )}
    </>
  )
}

/** Where a gradient goes, and which way. */
export function GradientWords({
  gradient,
  onTake,
}: {
  gradient: { to: string; angle: number }
  onTake: (gradient: { to: string; angle: number }) => void
}) {
  return (
    <>
      {' '}
      to <Tint label="The other end of the gradient" value={gradient.to} onTake={to => onTake({ ...gradient, to })} />,
      turned by{' '}
      <NumberValue
        label="Turn of the gradient"
        value={gradient.angle}
        least={-180}
        most={180}
        form={DEGREES}
        onChange={angle => onTake({ ...gradient, angle })}
      />
    </>
  )
}
