'use client'
import type { CoverPiece } from '@/core/book'
import { areaOf, type Flat, sizeIn } from '@/core/cover'
import { IN } from '@/core/trade'
import { lengthField } from '@/parts/lengths'
import { ChoiceValue, NumberValue, Sentence, TextValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { panels } from './pieceWords'

const DEGREES = { factor: 1, step: 1, digits: 1, unit: '°' }
const LEAST = 0.004

/** Where a piece stands, how large it is, and what is done with it: the same for all kinds. */
export function PlaceSentence({ piece, flat, onChange }: { piece: CoverPiece; flat: Flat; onChange: ChangePiece }) {
  const area = areaOf(flat, piece)
  const name = called(piece)
  const along = piece.panel === 'spine'
  const { unit, factor, step, digits } = lengthField(0.05)
  const form = { factor: factor / IN, step, digits, unit }
  const length = (key: 'x' | 'y' | 'width' | 'height', label: string) => {
    if (!area) return null
    const size = sizeIn(area, piece.panel)
    const whole = key === 'x' || key === 'width' ? size.width : size.height
    const room = key === 'x' ? 1 - piece.box.width : key === 'y' ? 1 - piece.box.height : 1
    return (
      <NumberValue
        label={`${label}, ${unit === 'mm' ? 'millimetres' : 'inches'}`}
        value={piece.box[key] * whole}
        least={key === 'x' || key === 'y' ? 0 : LEAST * whole}
        most={room * whole}
        form={form}
        onChange={v => onChange(`${label} of the ${name}`, { box: inside({ ...piece.box, [key]: v / whole }) }, true)}
      />
    )
  }
  const placedIn = (
    <ChoiceValue
      label="Placed in"
      value={piece.within ?? 'safe'}
      choices={[
        { value: 'safe', words: `what is safe of the ${panels[piece.panel]}` },
        { value: 'panel', words: `all of the ${panels[piece.panel]}, to the bleed` },
      ]}
      onChange={v => onChange(`Place of the ${name}`, { within: v === 'panel' ? 'panel' : undefined })}
    />
  )
  const upward = along && flat.spineReads === 'up'
  const words = along
    ? `It begins {x} ${upward ? 'up' : 'down'} and {y} across {within}, {width} long and {height} thick, turned {turn}.`
    : 'It stands {x} from the left and {y} from the top of {within}, {width} wide and {height} high, turned {turn}.'
  return (
    <>
      {area ? (
        <p>
          <Sentence
            words={words}
            value={key =>
              key === 'within' ? (
                placedIn
              ) : key === 'turn' ? (
                <NumberValue
                  label="Turned"
                  value={piece.turn ?? 0}
                  least={-180}
                  most={180}
                  form={DEGREES}
                  onChange={v => onChange(`Turn the ${name}`, { turn: v || undefined }, true)}
                />
              ) : (
                length(key as 'x', { x: 'From the left', y: 'From the top', width: 'Width', height: 'Height' }[key]!)
              )
            }
          />
        </p>
      ) : (
        <p>This spine is too thin for what stands in {placedIn}.</p>
      )}
      <p>
        It is called{' '}
        <TextValue
          label="What it is called"
          value={piece.name ?? ''}
          placeholder={name}
          most={120}
          onTake={v => {
            onChange('Name a piece', { name: v || undefined })
            return Promise.resolve(true)
          }}
        />{' '}
        and is{' '}
        <ChoiceValue
          label="Free or held"
          value={piece.locked ? 'held' : 'free'}
          choices={[
            { value: 'free', words: 'free to be moved' },
            { value: 'held', words: 'held where it is' },
          ]}
          onChange={v => onChange(`Hold the ${name}`, { locked: v === 'held' ? true : undefined })}
        />
        .
      </p>
    </>
  )
}

/** A box that does not leave its area. */
const inside = (b: CoverPiece['box']): CoverPiece['box'] => {
  const width = Math.max(LEAST, Math.min(1, b.width))
  const height = Math.max(LEAST, Math.min(1, b.height))
  const clamp = (v: number, most: number): number => Math.max(0, Math.min(most, v))
  return { width, height, x: clamp(b.x, 1 - width), y: clamp(b.y, 1 - height) }
}
