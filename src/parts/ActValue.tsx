'use client'
import './sentence.css'

/** Something of a sentence that is done when it is pressed. `label`: where its words alone do not say what. */
export function ActValue({
  words,
  label,
  off = false,
  onAct,
}: {
  words: string
  label?: string
  off?: boolean
  onAct: () => void
}) {
  'use memo'
  return (
    <span className="value">
      <button type="button" aria-label={label} disabled={off} onClick={onAct}>
        {words}
      </button>
    </span>
  )
}
