'use client'
import { App, Button } from 'antd'
import { useEffect, useState } from 'react'
import type { Book, Edition } from '@/core/book'
import { listingFindings, profileOf, shippedProfiles } from '@/core/outlets'
import { commit } from '@/data/changes'
import { BookTop, NoBook } from '@/parts/BookTop'
import { kindWords } from '@/parts/kinds'
import { ClockBar } from '@/parts/ClockBar'
import { Lamp } from '@/parts/Lamp'
import { Sill, sillOf } from '@/parts/Sill'
import { type Pair, pairLamp, usePairs } from '@/parts/useListings'
import { chooseEdition, useOpenBook } from '@/parts/useOpenBook'
import { press } from '@/workers/client'
import type { Figures } from '@/workers/press.worker'
import { Sheet } from './Sheet'
import './listings.css'
import { readingTime } from '@/parts/errors'

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
  const [stops, setStops] = useState<Record<string, { files: number; words: number }>>({})
  const { message } = App.useApp()
  const readOnly = view.hold === 'following'

  // What stops each pair, for the grid's lamps.
  useEffect(() => {
    if (!book || !view.version) return
    let gone = false
    const work = async (): Promise<void> => {
      for (const e of book.editions)
        for (const o of e.outlets) {
          const found = await press()
            .findings(bookId, e.id, o)
            .catch(() => undefined)
          if (gone) return
          const own = listingFindings(book, e, book.listings?.[`${e.id}/${o}`] ?? {}, profileOf(o))
          setStops(s => ({
            ...s,
            [`${e.id}/${o}`]: {
              files: found ? found.filter(f => f.severity === 'stop').length : 1,
              words: own.filter(f => f.severity === 'stop').length,
            },
          }))
        }
    }
    void work()
    return () => {
      gone = true
    }
  }, [book, bookId, view.version])

  if (view.missing) return <NoBook />
  const chosen = pairs.find(p => p.edition.id === edition?.id && p.outletId === outletId)
  const figures: Figures | undefined =
    view.figures?.outletId === outletId && view.figures?.edition === edition?.id ? view.figures : undefined
  const setOutlets = (e: Edition, outlets: string[], label: string): void =>
    void commit(bookId, label, r => ({ editions: r.editions.map(x => (x.id === e.id ? { ...x, outlets } : x)) })).catch(
      (x: Error) => message.error(x.message, readingTime(x.message)),
    )
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
                          stops={stops[`${e.id}/${p.id}`]}
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
      <Sill figures={figures ? sillOf(figures, view.was) : []} asks={view.trouble ?? trouble ?? asksOf(pairs)} />
    </>
  )
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
  stops: { files: number; words: number } | undefined
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
  const { lamp, word } = pairLamp(pair, !stops || stops.files ? 'dim' : 'lit')
  const { pending, live } = pair.state
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
          <em>
            {pending
              ? 'decision to come'
              : live
                ? pair.differences.length
                  ? `${pair.differences.length} differences`
                  : 'in step'
                : !stops
                  ? 'reading …'
                  : stops.files
                    ? `${stops.files} to mend`
                    : stops.words
                      ? `${stops.words} to state`
                      : 'may be sent'}
          </em>
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
