'use client'
import type { Edition } from '@/core/book'
import { listingFindings, profileOf } from '@/core/outlets'
import { Cancelled, type OutletProfile } from '@/core/trade'
import { BookTop, NoBook } from '@/parts/BookTop'
import { kindWords } from '@/parts/kinds'
import { ClockBar } from '@/parts/ClockBar'
import { Sill, sillOf } from '@/parts/Sill'
import type { Pair } from '@/parts/pairs'
import { usePairs } from '@/parts/usePairs'
import { useOpenBook } from '@/parts/openBook'
import { useCommit } from '@/parts/useCommit'
import { usePress } from '@/parts/usePress'
import type { Figures } from '@/core/chain'
import { Cell, type Stops } from './Cell'
import { Sheet } from './Sheet'
import './listings.css'
import { draftOf, pairKey } from '@/core/book'

/** The listings: a grid of editions by outlets; a cell opens its sheet. */
export function ListingsRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId)
  const { book, edition, outletId } = view
  const { outlets } = view
  const { pairs, now, trouble } = usePairs(book, view.version)
  const commit = useCommit(bookId)
  const readOnly = view.hold === 'following'

  // What stops each pair, for the grid's lamps.
  const { version } = view
  const { answer: stops = {} } = usePress<Record<string, Stops>>(
    async (press, { wanted, sofar }) => {
      if (!book || !version) return undefined
      const found: Record<string, Stops> = {}
      for (const e of book.editions)
        for (const o of e.outlets) {
          if (!wanted()) return undefined
          const own = listingFindings(book, e, draftOf(book, e.id, o), profileOf(o, outlets))
          found[pairKey(e.id, o)] = {
            words: own.filter(f => f.severity === 'stop').length,
            ...(await press.findings(bookId, e.id, o).then(
              f => ({ files: f.filter(x => x.severity === 'stop').length }),
              (x: Error) => {
                if (x instanceof Cancelled) throw x
                return { files: 0, unread: x.message }
              },
            )),
          }
          sofar({ ...found })
        }
      return found
    },
    [book, bookId, version, outlets],
  )

  if (view.missing) return <NoBook />
  const chosen = pairs.find(p => p.edition.id === edition?.id && p.outletId === outletId)
  const figures: Figures | undefined =
    view.figures?.outletId === outletId && view.figures?.edition === edition?.id ? view.figures : undefined
  const setOutlets = (e: Edition, outlets: string[], label: string): void =>
    void commit(label, r => ({ editions: r.editions.map(x => (x.id === e.id ? { ...x, outlets } : x)) }))
  return (
    <>
      <main id="room" className="room listingsroom">
        <BookTop bookId={bookId} view={view} stage="listings" />
        <ClockBar />
        <div className="body">
          {book && (
            <table className="grid">
              <caption className="visually-hidden">Editions by outlets</caption>
              <thead>
                <tr>
                  <th scope="col">Edition</th>
                  {outlets.map(p => (
                    <th key={p.id} scope="col">
                      {p.name}
                      <em>{p.kind}</em>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {book.editions.map(e => (
                  <tr key={e.id}>
                    <th scope="row">
                      {kindWords[e.kind]}
                      <em>{e.isbn ?? 'no ISBN'}</em>
                    </th>
                    {outlets.map(p => (
                      <td key={p.id}>
                        <Cell
                          book={book}
                          edition={e}
                          outlet={p}
                          pair={pairs.find(x => x.edition.id === e.id && x.outletId === p.id)}
                          stops={stops[pairKey(e.id, p.id)]}
                          chosen={chosen?.edition.id === e.id && chosen.outletId === p.id}
                          readOnly={readOnly}
                          onOutlets={setOutlets}
                        />
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {book && chosen && (
            <Sheet
              key={chosen.key}
              book={book}
              pair={chosen}
              profile={profileOf(chosen.outletId, outlets)}
              figures={figures}
              now={now}
              readOnly={readOnly}
            />
          )}
          {!book && (
            <p className="waiting" role="status">
              Opening the listings …
            </p>
          )}
        </div>
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={view.trouble ?? trouble ?? unreadOf(pairs, stops, outlets) ?? asksOf(pairs, outlets)}
      />
    </>
  )
}

/** Why the files of a pair could not be looked into, of the first for which that is so. */
function unreadOf(pairs: Pair[], stops: Record<string, Stops>, outlets: readonly OutletProfile[]): string | undefined {
  const pair = pairs.find(p => stops[pairKey(p.edition.id, p.outletId)]?.unread)
  if (!pair) return undefined
  const { unread } = stops[pairKey(pair.edition.id, pair.outletId)]!
  return `The ${kindWords[pair.edition.kind]!.toLowerCase()}’s files for ${profileOf(pair.outletId, outlets).name} could not be read: ${unread}`
}

function asksOf(pairs: Pair[], outlets: readonly OutletProfile[]): string | undefined {
  const drifted = pairs.find(p => p.state.live && p.differences.length && !p.state.pending)
  if (drifted)
    return `${kindWords[drifted.edition.kind]} at ${profileOf(drifted.outletId, outlets).name} has drifted: ${drifted.differences
      .map(d => d.what)
      .slice(0, 3)
      .join(', ')}`
  const returned = pairs.find(p => p.state.status === 'returned')
  if (returned)
    return `${profileOf(returned.outletId, outlets).name} returned the ${kindWords[returned.edition.kind]!.toLowerCase()}`
  const waiting = pairs.find(p => p.state.pending)
  return waiting
    ? `${profileOf(waiting.outletId, outlets).name} is reading the ${kindWords[waiting.edition.kind]!.toLowerCase()}`
    : undefined
}
