'use client'
import { Button } from 'antd'
import Link from 'next/link'
import type { Book, ListingDraft } from '@/core/book'
import { packSlots } from '@/core/market'
import { keywordRoom, slotProblems } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'
import { StoredInput } from '@/parts/StoredInput'

/** The outlet's keyword slots, with its rules as one types. */
export function Slots({
  book,
  draft,
  profile,
  readOnly,
  onSlots,
}: {
  book: Book
  draft: ListingDraft
  profile: OutletProfile
  readOnly: boolean
  onSlots: (next: (slots: string[]) => string[]) => Promise<boolean>
}) {
  const room = keywordRoom(profile)!
  const { count } = room
  const slots = Array.from({ length: count }, (_, i) => draft.slots?.[i] ?? '')
  const kept = (book.words ?? []).filter(w => w.place === 'slot' || w.place === 'support')
  const pack = (): void => {
    const packed = packSlots(kept, room, `${book.data.title} ${book.data.subtitle ?? ''}`)
    void onSlots(() => Array.from({ length: count }, (_, i) => packed.slots[i] ?? ''))
  }
  return (
    <>
      <h3>
        Slots{' '}
        {kept.length > 0 && (
          <Button size="small" disabled={readOnly} onClick={pack}>
            Pack from {kept.length} kept phrases
          </Button>
        )}
      </h3>
      <ol className="slots">
        {slots.map((slot, i) => {
          const problems = slot.trim()
            ? slotProblems(
                slot,
                slots.filter((_, j) => j !== i && slots[j]!.trim()),
                book,
                profile,
              )
            : []
          const marked = new Set(
            problems.flatMap(p => p.marked.flatMap(m => Array.from({ length: m.to - m.from }, (_, k) => m.from + k))),
          )
          return (
            <li key={i}>
              <StoredInput
                size="small"
                aria-label={`Slot ${i + 1}`}
                disabled={readOnly}
                status={problems.length ? 'warning' : undefined}
                value={slot}
                onTake={text =>
                  onSlots(now => Array.from({ length: count }, (_, j) => (j === i ? text : (now[j] ?? ''))))
                }
              />
              <em>
                {slot.length}
                {profile.listing.keywordSlots ? ` / ${room.characters}` : ''}
              </em>
              {problems.length > 0 && (
                <p role="status">
                  <span aria-hidden>{[...slot].map((ch, k) => (marked.has(k) ? <mark key={k}>{ch}</mark> : ch))}</span>{' '}
                  {problems.map(p => p.message).join(' ')}
                </p>
              )}
            </li>
          )
        })}
      </ol>
      {!kept.length && (
        <p className="quiet">
          Keep phrases in <Link href={`/research?book=${encodeURIComponent(book.id)}`}>Research</Link> and give them a
          slot: they are packed here.
        </p>
      )}
    </>
  )
}
