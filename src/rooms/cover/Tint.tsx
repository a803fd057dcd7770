'use client'
import { ColorPicker } from 'antd'

/** A colour of the cover, with the way to another. */
export function Tint({
  label,
  value,
  disabled,
  onTake,
}: {
  label: string
  value: string
  disabled: boolean
  onTake: (hex: string) => void
}) {
  return (
    <span className="tint">
      <ColorPicker value={value} disabled={disabled} disabledAlpha onChangeComplete={c => onTake(c.toHexString())}>
        <button
          type="button"
          className="swatch"
          disabled={disabled}
          aria-label={`${label}: ${value}`}
          style={{ background: value }}
        />
      </ColorPicker>{' '}
      {label}
    </span>
  )
}
