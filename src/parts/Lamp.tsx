/** The one status code: shape and word say it, tone repeats it. */
export type LampState = 'dark' | 'dim' | 'lit' | 'burning' | 'drifted' | 'indoors'

export const lampWords: Record<LampState, string> = {
  dark: 'nothing yet',
  dim: 'begun',
  lit: 'ready',
  burning: 'on sale',
  drifted: 'drifted',
  indoors: 'indoors',
}

/** A small lantern. Its glass is empty, a third full, full, rayed, cut aslant, or behind a curtain. */
export function Lamp({ state, size = 18, label }: { state: LampState; size?: number; label?: string }) {
  const lit = state !== 'dark'
  const stroke = state === 'dark' ? 'var(--muted)' : 'var(--ink)'
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
      style={{ flex: 'none' }}
    >
      {state === 'burning' && (
        <g stroke="var(--lamp)" strokeWidth="1.7" strokeLinecap="round">
          <path d="M2 8.5 4.6 9.6M1.6 13.5h2.9M2.4 18.4l2.5-1.2M22 8.5l-2.6 1.1M22.4 13.5h-2.9M21.6 18.4l-2.5-1.2" />
        </g>
      )}
      {lit && state === 'dim' && <path d="M7.6 15.2h8.8l-.5 3.8H8.1z" fill="var(--lamp)" />}
      {(state === 'lit' || state === 'burning') && (
        <path d="M8.2 8.2h7.6l.8 4-.7 6.8H8.1l-.7-6.8z" fill="var(--lamp)" />
      )}
      {state === 'drifted' && <path d="M16.1 8.8l.5 3.4-.7 6.8H8.1l-.2-2z" fill="var(--lamp)" />}
      {state === 'indoors' && <path d="M8.2 8.2h3.3V19H8.1l-.7-6.8z" fill="var(--second)" />}
      <path
        d="M8 8h8l.9 4.2-.8 7H7.9l-.8-7z M10 8V5.4a2 2 0 0 1 4 0V8 M6.8 21.2h10.4"
        fill="none"
        stroke={stroke}
        strokeWidth="1.5"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  )
}
