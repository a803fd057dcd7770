'use client'
import { Checkbox, InputNumber, Select } from 'antd'
import type { CoverPiece } from '@/core/cover'
import { inUnit } from '@/core/trade'
import { lengthField } from '@/parts/lengths'
import type { CoverView } from '@/workers/answers/covers'
import { sizeFor, zoneFor } from './boxes'
import { fields } from './pieceWords'
import { Tint } from './Tint'

const faces = [
  ['fraunces/bold', 'Fraunces, bold'],
  ['fraunces/regular', 'Fraunces'],
  ['figtree/bold', 'Figtree, bold'],
  ['figtree/regular', 'Figtree'],
  ['eb-garamond/regular', 'EB Garamond'],
  ['eb-garamond/italic', 'EB Garamond, italic'],
  ['eb-garamond/bold', 'EB Garamond, bold'],
  ['source-serif/regular', 'Source Serif'],
  ['source-serif/italic', 'Source Serif, italic'],
].map(([value, label]) => ({ value: value!, label: label! }))
const clamp = (v: number, most: number): number => Math.max(0, Math.min(most, v))

/** What can be set of a piece: where it stands, and how its words look. */
export function PieceValues({
  piece,
  cover,
  disabled,
  onChange,
}: {
  piece: CoverPiece
  cover: CoverView
  disabled: boolean
  onChange: (label: string, patch: Partial<CoverPiece>, merge?: boolean) => void
}) {
  const zone = zoneFor(cover.flat, piece.panel)
  const set = cover.pieces.find(p => p.id === piece.id)
  const along = piece.panel === 'spine'
  const up = along && cover.flat.spineReads === 'up'
  const length = (key: 'x' | 'y' | 'width' | 'height', label: string) => {
    if (!zone) return null
    const size = sizeFor(zone, piece.panel)
    const whole = key === 'x' || key === 'width' ? size.width : size.height
    const { unit, step, digits } = lengthField(0.05)
    return (
      <label className="num">
        {label}
        <InputNumber
          size="small"
          aria-label={`${label}, ${unit === 'mm' ? 'millimetres' : 'inches'}`}
          disabled={disabled}
          min={0}
          max={inUnit(whole, unit)}
          step={step}
          precision={digits}
          value={Number(inUnit(piece.box[key] * whole, unit).toFixed(digits))}
          onChange={v =>
            v !== null &&
            onChange(
              `${label} of the ${piece.field}`,
              { box: fitted({ ...piece.box, [key]: v / inUnit(whole, unit) }) },
              true,
            )
          }
          suffix={unit}
        />
      </label>
    )
  }
  return (
    <section className="piece" aria-label={`${fields[piece.field]} on the ${piece.panel}`}>
      {!zone && <p className="none">This spine is too thin to carry text.</p>}
      {set && (
        <p className="none">
          Set at {set.size.toFixed(1)} pt
          {set.tooLong ? ': too long for its box' : set.size < piece.size - 0.1 ? ', made smaller to fit its box' : ''}.
        </p>
      )}
      <div className="nums">
        {length('x', along ? (up ? 'Up' : 'Down') : 'From left')}
        {length('y', along ? 'Across' : 'From top')}
        {length('width', along ? 'Length' : 'Width')}
        {length('height', along ? 'Thickness' : 'Height')}
      </div>
      <div className="nums">
        <label className="num">
          Size
          <InputNumber
            size="small"
            aria-label="Largest size, points"
            disabled={disabled}
            min={6}
            max={160}
            step={1}
            value={piece.size}
            onChange={v => v !== null && onChange(`Size of the ${piece.field} ${v}`, { size: v }, true)}
            suffix="pt"
          />
        </label>
        <label className="num">
          Leading
          <InputNumber
            size="small"
            aria-label="Leading"
            disabled={disabled}
            min={0.9}
            max={2}
            step={0.05}
            value={piece.leading}
            onChange={v => v !== null && onChange(`Leading of the ${piece.field} ${v}`, { leading: v }, true)}
            suffix="×"
          />
        </label>
      </div>
      <label className="row">
        Face{' '}
        <Select
          size="small"
          aria-label="Face"
          value={piece.face}
          disabled={disabled}
          options={faces}
          onChange={face => onChange(`Face of the ${piece.field}`, { face })}
        />
      </label>
      <label className="row">
        Stands{' '}
        <Select
          size="small"
          aria-label="Alignment"
          value={piece.align}
          disabled={disabled}
          options={[
            { value: 'left' as const, label: 'left' },
            { value: 'center' as const, label: 'centred' },
            { value: 'right' as const, label: 'right' },
          ]}
          onChange={align => onChange(`Alignment of the ${piece.field}`, { align })}
        />
      </label>
      <div className="row">
        <Tint
          label="Colour"
          value={piece.colour}
          disabled={disabled}
          onTake={colour => onChange(`Colour of the ${piece.field}`, { colour })}
        />
        <Checkbox
          checked={piece.capitals}
          disabled={disabled}
          onChange={e => onChange(`Capitals of the ${piece.field}`, { capitals: e.target.checked })}
        >
          capitals
        </Checkbox>
      </div>
    </section>
  )
}

const fitted = (b: CoverPiece['box']): CoverPiece['box'] => {
  const width = Math.max(0.02, Math.min(1, b.width))
  const height = Math.max(0.02, Math.min(1, b.height))
  return { width, height, x: clamp(b.x, 1 - width), y: clamp(b.y, 1 - height) }
}
