'use client'
import { Button } from 'antd'
import { useState } from 'react'
import type { Book, KeptPhrase, PhrasePlace } from '@/core/book'
import { packSlots } from '@/core/market'
import { keywordRoom } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'
import { ChoiceValue } from '@/parts/Sentence'

/** Where the kept phrases go, with the shop's rules. */
export function Placed({
  book,
  outlets,
  kept,
  onExport,
}: {
  book: Pick<Book, 'id' | 'data' | 'editions'> | undefined
  outlets: readonly OutletProfile[]
  kept: KeptPhrase[]
  onExport: () => void
}) {
  const [chosen, setChosen] = useState<string>()
  if (!book) return <p className="quiet">A book to research for comes onto the porch first.</p>
  // A record may be broken. Those where it goes come first; a book that goes nowhere yet may look at any.
  const going = new Set((Array.isArray(book.editions) ? book.editions : []).flatMap(e => e?.outlets ?? []))
  const taking = outlets.filter(p => keywordRoom(p)).sort((a, b) => Number(going.has(b.id)) - Number(going.has(a.id)))
  const profile = taking.find(p => p.id === chosen) ?? taking[0]
  if (!profile) return <p className="quiet">No outlet here takes keywords.</p>
  const room = keywordRoom(profile)!
  const packed = packSlots(
    kept.filter(k => k.place === 'slot' || k.place === 'support'),
    room,
    `${book.data.title} ${book.data.subtitle ?? ''}`,
  )
  const both = book.data.title.length + (book.data.subtitle ? book.data.subtitle.length + 2 : 0)
  const by = (p: PhrasePlace): string =>
    kept
      .filter(k => k.place === p)
      .map(k => k.phrase)
      .join(', ')
  const demand = packed.covered.reduce((n, c) => n + c.demand, 0)
  return (
    <>
      <h2>Placed in the listing</h2>
      <p className="quiet">
        <ChoiceValue
          label="Outlet"
          value={profile.id}
          choices={taking.map(p => ({ value: p.id, words: p.name }))}
          onChange={setChosen}
        />{' '}
        {room.inAll
          ? `takes keywords of ${room.inAll} letters in all`
          : `has ${room.count} slots of ${room.characters} letters`}
      </p>
      <dl>
        <dt>
          title · headline <em>same as the cover</em>
        </dt>
        <dd>
          {book.data.title}
          {by('headline') && <span>{by('headline')}</span>}
        </dd>
        <dt>
          subtitle · support{' '}
          <em>
            {both}
            {profile.listing.titleAndSubtitle ? ` of ${profile.listing.titleAndSubtitle}` : ''}
          </em>
        </dt>
        <dd>
          {book.data.subtitle ?? '–'}
          {by('support') && <span>{by('support')}</span>}
        </dd>
        {Array.from({ length: room.count }, (_, i) => packed.slots[i])
          .filter(Boolean)
          .map((s, i) => (
            <div key={i}>
              <dt>
                slot {i + 1}{' '}
                <em>
                  {s!.length} of {room.characters}
                </em>
              </dt>
              <dd>{s}</dd>
            </div>
          ))}
        {by('description') && (
          <>
            <dt>description</dt>
            <dd>{by('description')}</dd>
          </>
        )}
      </dl>
      {kept.length > 0 ? (
        <>
          <p className="quiet">
            The slots and the title cover {packed.covered.length} of{' '}
            {kept.filter(k => k.place === 'slot' || k.place === 'support').length} placed phrases,{' '}
            {demand.toLocaleString('en')} buyers a month. No word is spent twice.
          </p>
          {packed.lost.length > 0 && (
            <p className="quiet">Left out: {packed.lost.map(l => `${l.phrase} (${l.why})`).join(', ')}.</p>
          )}
          <Button size="small" onClick={onExport}>
            Shortlist as CSV
          </Button>
        </>
      ) : (
        <p className="quiet">
          Keep phrases and give them a place: headline, support, slot, description. The slots are packed by themselves.
        </p>
      )}
    </>
  )
}
