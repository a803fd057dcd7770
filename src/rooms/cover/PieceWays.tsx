'use client'
/** What can be done with the chosen piece. */
export interface Ways {
  /** A step nearer to the eye, or away from it; undefined where nothing lies there. */
  over: (() => void) | undefined
  under: (() => void) | undefined
  copy: () => void
  out: () => void
}

export function PieceWays({ ways: { over, under, copy, out } }: { ways: Ways }) {
  'use memo'
  return (
    <p className="ways">
      Lay it{' '}
      <span className="value">
        <button type="button" disabled={!over} onClick={over}>
          over the next
        </button>
      </span>{' '}
      or{' '}
      <span className="value">
        <button type="button" disabled={!under} onClick={under}>
          under it
        </button>
      </span>
      ,{' '}
      <span className="value">
        <button type="button" onClick={copy}>
          make a copy
        </button>
      </span>
      , or{' '}
      <span className="value">
        <button type="button" onClick={out}>
          take it out
        </button>
      </span>
      .
    </p>
  )
}
