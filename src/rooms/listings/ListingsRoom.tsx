'use client'
import { Button } from 'antd'
import type { Book, Edition } from '@/core/book'
import { listingFindings, profileOf, shippedProfiles } from '@/core/outlets'
import { Cancelled } from '@/core/trade'
import { BookTop, NoBook } from '@/parts/BookTop'
import { kindWords } from '@/parts/kinds'
import { ClockBar } from '@/parts/ClockBar'
import { Lamp } from '@/parts/Lamp'
import { Sill, sillOf } from '@/parts/Sill'
import { type Pair, pairLamp } from '@/parts/pairs'
import { usePairs } from '@/parts/usePairs'
import { chooseEdition, useOpenBook } from '@/parts/useOpenBook'
import { useCommit } from '@/parts/useCommit'
import { usePress } from '@/parts/usePress'
import type { Figures } from '@/core/chain'
import { Sheet } from './Sheet'
import './listings.css'
import { draftOf, pairKey } from '@/core/book'

/** What stops a pair: in its files, in what the listing says; or why its files could not be looked into. */
interface Stops {
  files: number
  words: number
  unread?: string
}

/** Whether an outlet sells or prints this kind of edition at its trim. */
const takes = (e: Edition, outletId: string): boolean => {
  const p = profileOf(outletId)
  return e.kind === 'ebook'
    ? !!p.ebook
    : !!p.print?.bindings.some(b => b.kind === e.kind && b.trims.includes(e.trim ?? ''))
}

/** The listings: a grid of editions by outlets; a cell opens its sheet. */
export function ListingsRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId)
  const { book, edition, outletId } = view
  const { pairs, trouble } = usePairs(book, view.version)
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
          const own = listingFindings(book, e, draftOf(book, e.id, o), profileOf(o))
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
    [book, bookId, version],
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
                  {shippedProfiles.map(p => (
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
                    {shippedProfiles.map(p => (
                      <td key={p.id}>
                        <Cell
                          book={book}
                          edition={e}
                          outletId={p.id}
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
          {book && chosen && <Sheet key={chosen.key} book={book} pair={chosen} figures={figures} readOnly={readOnly} />}
          {!book && (
            <p className="waiting" role="status">
              Opening the listings …
            </p>
          )}
        </div>
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={view.trouble ?? trouble ?? unreadOf(pairs, stops) ?? asksOf(pairs)}
      />
    </>
  )
}

/** Where a pair stands, in two or three words. */
function standing({ state, differences }: Pair, stops: Stops | undefined): string {
  if (state.pending) return 'decision to come'
  if (state.live) return differences.length ? `${differences.length} differences` : 'in step'
  if (!stops) return 'reading …'
  if (stops.unread) return 'cannot be read'
  if (stops.files) return `${stops.files} to mend`
  return stops.words ? `${stops.words} to state` : 'may be sent'
}

/** Why the files of a pair could not be looked into, of the first for which that is so. */
function unreadOf(pairs: Pair[], stops: Record<string, Stops>): string | undefined {
  const pair = pairs.find(p => stops[pairKey(p.edition.id, p.outletId)]?.unread)
  if (!pair) return undefined
  const { unread } = stops[pairKey(pair.edition.id, pair.outletId)]!
  return `The ${kindWords[pair.edition.kind]!.toLowerCase()}’s files for ${profileOf(pair.outletId).name} could not be read: ${unread}`
}

function asksOf(pairs: Pair[]): string | undefined {
  const drifted = pairs.find(p => p.state.live && p.differences.length && !p.state.pending)
  if (drifted)
    return `${kindWords[drifted.edition.kind]} at ${profileOf(drifted.outletId).name} has drifted: ${drifted.differences
      .map(d => d.what)
      .slice(0, 3)
      .join(', ')}`
  const returned = pairs.find(p => p.state.status === 'returned')
  if (returned)
    return `${profileOf(returned.outletId).name} returned the ${kindWords[returned.edition.kind]!.toLowerCase()}`
  const waiting = pairs.find(p => p.state.pending)
  return waiting
    ? `${profileOf(waiting.outletId).name} is reading the ${kindWords[waiting.edition.kind]!.toLowerCase()}`
    : undefined
}

function Cell({
  book,
  edition,
  outletId,
  pair,
  stops,
  chosen,
  readOnly,
  onOutlets,
}: {
  book: Book
  edition: Edition
  outletId: string
  pair: Pair | undefined
  stops: Stops | undefined
  chosen: boolean
  readOnly: boolean
  onOutlets: (e: Edition, outlets: string[], label: string) => void
}) {
  const name = profileOf(outletId).name
  const what = kindWords[edition.kind]!
  if (!pair) {
    if (!takes(edition, outletId)) return <span className="no">does not take it</span>
    return (
      <Button
        size="small"
        type="text"
        disabled={readOnly}
        aria-label={`Take the ${what.toLowerCase()} to ${name}`}
        onClick={() => {
          onOutlets(edition, [...edition.outlets, outletId], `${what} to ${name}`)
          chooseEdition(book.id, edition.id, outletId)
        }}
      >
        Take it there
      </Button>
    )
  }
  const { lamp, word } = pairLamp(pair, !stops || stops.files || stops.unread ? 'dim' : 'lit')
  return (
    <span className="cell">
      <button
        type="button"
        aria-pressed={chosen}
        aria-label={`${what} at ${name}: ${word}`}
        onClick={() => chooseEdition(book.id, edition.id, outletId)}
      >
        <Lamp state={lamp} size={22} />
        <span>
          <b>{word}</b>
          <em>{standing(pair, stops)}</em>
        </span>
      </button>
      {!pair.events.length && edition.outlets.length > 1 && (
        <Button
          size="small"
          type="text"
          disabled={readOnly}
          aria-label={`Do not take the ${what.toLowerCase()} to ${name}`}
          onClick={() =>
            onOutlets(
              edition,
              edition.outlets.filter(o => o !== outletId),
              `${what} not to ${name}`,
            )
          }
        >
          ×
        </Button>
      )}
    </span>
  )
}
