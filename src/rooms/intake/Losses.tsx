import type { Dirt, Dropped } from '@/core/intake'
import { DirtSentences } from './DirtSentences'
import { Places } from './Places'
import type { Deciding } from './useDecisions'

/** What of a manuscript is not in the book, with places that can be gone to, and what was tidied on the way. */
export function Losses({
  dropped,
  cleaned,
  dirt,
  deciding,
  onShow,
}: {
  dropped: readonly Dropped[]
  /** What the book makes by itself. */
  cleaned: readonly Dropped[]
  dirt: readonly Dirt[]
  deciding: Deciding
  onShow: (place: string) => void
}) {
  return (
    <>
      <h2>Left out</h2>
      {dropped.length ? (
        <ul className="dropped">
          {dropped.map(d => (
            <li key={d.what}>
              <b>{d.count} ×</b> {d.what}
              <Places of={d} onShow={onShow} />
            </li>
          ))}
        </ul>
      ) : (
        <p className="none">Nothing. Everything in the file stands in the book.</p>
      )}
      {cleaned.length + dirt.length > 0 && (
        <>
          <h2>Tidied</h2>
          <DirtSentences dirt={dirt} deciding={deciding} onShow={onShow} />
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
