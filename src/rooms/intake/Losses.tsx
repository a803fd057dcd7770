import type { Understood } from '@/core/intake'

/** Places that are kept of each kind. */
const MOST_PLACES = 5

/** What of a manuscript is not in the book, with places that can be gone to, and what was tidied on the way. */
export function Losses({
  dropped,
  cleaned,
  onShow,
}: Pick<Understood, 'dropped' | 'cleaned'> & { onShow: (place: string) => void }) {
  return (
    <>
      <h2>Left out</h2>
      {dropped.length ? (
        <ul className="dropped">
          {dropped.map(d => (
            <li key={d.what}>
              <b>{d.count} ×</b> {d.what}
              {d.places.length ? (
                <span className="places">
                  {d.places.map(p => (
                    <button key={p} type="button" onClick={() => onShow(p)}>
                      “{p.slice(0, 42)}”
                    </button>
                  ))}
                  {d.count > d.places.length && d.places.length === MOST_PLACES ? ' …' : ''}
                </span>
              ) : null}
            </li>
          ))}
        </ul>
      ) : (
        <p className="none">Nothing. Everything in the file stands in the book.</p>
      )}
      {!!cleaned.length && (
        <>
          <h2>Tidied</h2>
          <ul className="dropped">
            {cleaned.map(c => (
              <li key={c.what}>
                <b>{c.count} ×</b> {c.what}
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  )
}
