import type { Dropped } from '@/core/intake'

/** Places that are kept of each kind. */
const MOST = 5

/** The places at which something was found, by their words: each leads to its page. */
export function Places({ of: { count, places }, onShow }: { of: Dropped; onShow: (place: string) => void }) {
  if (!places.length) return null
  return (
    <span className="places">
      {places.map(p => (
        <button key={p} type="button" onClick={() => onShow(p)}>
          “{p.slice(0, 42)}”
        </button>
      ))}
      {count > places.length && places.length === MOST ? ' …' : ''}
    </span>
  )
}
