'use client'
import type { CoverPiece } from '@/core/book'
import { areaOf, type Flat, keptIn, sizeIn, tiedOn } from '@/core/cover'
import { TieSentence } from './TieSentence'
import { IN } from '@/core/trade'
import { lengthField } from '@/parts/lengths'
import { ChoiceValue, NumberValue, Sentence, TextValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { panels } from './pieceWords'

const DEGREES = { factor: 1, step: 1, digits: 1, unit: '°' }
/** The least part of its area that a piece has, and the most times of it. */
const LEAST = 0.004
const FAR = 4

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
    const [least, most] = limits(piece.box, key)
    return (
      <NumberValue
        label={`${label}, ${unit === 'mm' ? 'millimetres' : 'inches'}`}
        value={piece.box[key] * whole}
        least={least * whole}
        most={most * whole}
        form={form}
        onChange={v => onChange(`${label} of the ${name}`, { box: keptIn({ ...piece.box, [key]: v / whole }) }, true)}
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
        ...(along ? [{ value: 'folds', words: 'all of the spine, and past both folds' }] : []),
      ]}
      onChange={v => {
        const within = v === 'panel' || v === 'folds' ? v : undefined
        // It is tied to the area that it is in now.
        const { within: _w, ...rest } = piece
        const moved = { ...rest, ...(within ? { within } : {}) } as CoverPiece
        onChange(`Place of the ${name}`, { within, tied: tiedOn(moved, flat, piece.tied) })
      }}
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
      {area && <TieSentence {...{ piece, flat, onChange }} />}
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

/** Within what a part of a box may be set, in parts of its area; what reaches over its area may do so further. */
function limits(box: CoverPiece['box'], key: keyof CoverPiece['box']): [least: number, most: number] {
  const size = key === 'x' || key === 'width' ? box.width : box.height
  const over = size > 1
  if (key === 'width' || key === 'height') return [LEAST, over ? FAR : 1]
  return over ? [-FAR / 2, FAR / 2] : [0, 1 - size]
}
