'use client'
import { Button } from 'antd'
import type { Book, Edition } from '@/core/book'
import type { OutletProfile } from '@/core/trade'
import { kindWords } from '@/parts/kinds'
import { Lamp } from '@/parts/Lamp'
import { type Pair, pairLamp } from '@/parts/pairs'
import { chooseEdition } from '@/parts/openBook'

/** What stops a pair: in its files, in what the listing says; or why its files could not be looked into. */
export interface Stops {
  files: number
  words: number
  unread?: string
}

/** Whether an outlet sells or prints this kind of edition at its trim. */
const takes = (e: Edition, p: OutletProfile): boolean =>
  e.kind === 'ebook' ? !!p.ebook : !!p.print?.bindings.some(b => b.kind === e.kind && b.trims.includes(e.trim ?? ''))

/** Where a pair stands, in two or three words. */
function standing({ state, differences }: Pair, stops: Stops | undefined): string {
  if (state.pending) return 'decision to come'
  if (state.live) return differences.length ? `${differences.length} differences` : 'in step'
  if (!stops) return 'reading …'
  if (stops.unread) return 'cannot be read'
  if (stops.files) return `${stops.files} to mend`
  return stops.words ? `${stops.words} to state` : 'may be sent'
}

/** An edition at an outlet in the grid: its lamp and where it stands, or the way there. */
export function Cell({
  book,
  edition,
  outlet,
  pair,
  stops,
  chosen,
  readOnly,
  onOutlets,
}: {
  book: Book
  edition: Edition
  outlet: OutletProfile
  pair: Pair | undefined
  stops: Stops | undefined
  chosen: boolean
  readOnly: boolean
  onOutlets: (e: Edition, outlets: string[], label: string) => void
}) {
  const { id: outletId, name } = outlet
  const what = kindWords[edition.kind]!
  if (!pair) {
    if (!takes(edition, outlet)) return <span className="no">does not take it</span>
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
