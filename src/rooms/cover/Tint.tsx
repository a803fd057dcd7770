'use client'
import { ColorPicker } from 'antd'
import '@/parts/sentence.css'

/** A colour of the cover as a value of a sentence, with the way to another. */
export function Tint({ label, value, onTake }: { label: string; value: string; onTake: (hex: string) => void }) {
  return (
    <span className="value tint">
      <ColorPicker value={value} disabledAlpha onChangeComplete={c => onTake(c.toHexString())}>
        <button type="button" aria-label={`${label}: ${value}`}>
          <i style={{ background: value }} /> {value}
        </button>
      </ColorPicker>
    </span>
  )
}
