import type { Understood } from '@/core/intake'

/** What of a manuscript is not in the book, with places, and what was tidied on the way. */
export function Losses({ dropped, cleaned }: Pick<Understood, 'dropped' | 'cleaned'>) {
  return (
    <>
      <h2>Left out</h2>
      {dropped.length ? (
        <ul className="dropped">
          {dropped.map(d => (
            <li key={d.what}>
              <b>{d.count} ×</b> {d.what}
              {d.places.length ? (
                <i>
                  {d.places
                    .slice(0, 3)
                    .map(p => `“${p.slice(0, 42)}”`)
                    .join(', ')}
                  {d.places.length > 3 ? ' …' : ''}
                </i>
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
