'use client'
import { Select } from 'antd'
import Link from 'next/link'
import { type Book, draftOf, type ListingDraft, pairKey, pricesWith } from '@/core/book'
import type { Figures } from '@/core/chain'
import { remedyWords } from '@/core/check'
import { categoryTrees, keywordRoom, listingFindings, revisionFee } from '@/core/outlets'
import { formatMoney, type OutletProfile } from '@/core/trade'
import { commit as commitChange } from '@/data/changes'
import { kindWords } from '@/parts/kinds'
import { type Pair, pairLamp } from '@/parts/pairs'
import { useCommit } from '@/parts/useCommit'
import { Address } from './Address'
import { day } from './day'
import { Declarations } from './Declarations'
import { Differences } from './Differences'
import { Happened } from './Happened'
import { Money } from './Money'
import { SheetHead } from './SheetHead'
import { Slots } from './Slots'

/** How many things that are wanting are read out. */
const WANTS_SHOWN = 8

/** The listing of an edition at an outlet: what is stated, what it pays, what is on sale beside what would be sent, and the package. */
export function Sheet({
  book,
  pair,
  profile,
  figures,
  now,
  readOnly,
}: {
  book: Book
  pair: Pair
  profile: OutletProfile
  figures: Figures | undefined
  /** The simulated hour. */
  now: number
  readOnly: boolean
}) {
  const { edition, outletId, state, differences } = pair
  const key = pairKey(edition.id, outletId)
  const draft = draftOf(book, edition.id, outletId)
  const commit = useCommit(book.id)
  // Worked out of what the store has when it is written: fields that are left one after the other do not take each other's letters back.
  const changeOf = (label: string, next: (d: ListingDraft) => Partial<ListingDraft>, merge = false): Promise<boolean> =>
    commit(
      label,
      r => {
        const old = r.listings?.[key] ?? {}
        return { listings: { ...r.listings, [key]: { ...old, ...next(old) } } }
      },
      merge,
    )
  const change = (label: string, patch: Partial<ListingDraft>): void => void changeOf(label, () => patch)
  const setPrice = (currency: string, price: number | undefined): Promise<void> =>
    commitChange(book.id, `Price ${price === undefined ? '' : formatMoney(price, currency)}`, r => ({
      editions: r.editions.map(e =>
        e.id === edition.id ? { ...e, prices: pricesWith(e.prices, currency, price) } : e,
      ),
    }))

  const findings = [...(figures?.findings ?? []), ...listingFindings(book, edition, draft, profile)]
  const stops = findings.filter(f => f.severity === 'stop')
  const standing = pairLamp(pair, figures?.findings.some(f => f.severity === 'stop') ? 'dim' : 'lit')
  const fee = state.live && revisionFee(state, profile, now)
  return (
    <section className="sheet" aria-label={`${kindWords[edition.kind]} at ${profile.name}`}>
      <SheetHead
        book={book}
        pair={pair}
        profile={profile}
        standing={standing}
        now={now}
        ready={!!figures}
        readOnly={readOnly}
      />
      {state.returned && (
        <div className="returned" role="alert">
          <b>
            {profile.name} returned it on {day(state.returned.at)}:
          </b>
          <ul>
            {state.returned.reasons.map(r => (
              <li key={r}>{r}</li>
            ))}
          </ul>
        </div>
      )}
      {state.live && differences.length > 0 && <Differences differences={differences} sent={!!state.pending} />}
      {fee && (
        <p className="quiet">
          {fee.free
            ? `A revision is free: ${fee.free} of this year’s free ones ${fee.free === 1 ? 'is' : 'are'} left.`
            : `A revision costs ${formatMoney(fee.fee, profile.currency)} until the year is over.`}
        </p>
      )}
      <div className="cols">
        <div>
          <h3>Price</h3>
          <Money
            edition={edition}
            profile={profile}
            figures={figures}
            lowContent={draft.lowContent}
            readOnly={readOnly}
            onPrice={setPrice}
          />
          {profile.listing.categories && (
            <>
              <h3>Categories</h3>
              <Select
                mode="multiple"
                aria-label="Categories"
                value={draft.categories ?? []}
                maxCount={profile.listing.categories.most}
                disabled={readOnly}
                placeholder="where books like this stand"
                options={categoryTrees[profile.listing.categories.system].map(c => ({ value: c, label: c }))}
                onChange={(categories: string[]) => change('Categories', { categories })}
                style={{ width: '100%' }}
              />
            </>
          )}
          <h3>Its page</h3>
          <Address
            draft={draft}
            profile={profile}
            readOnly={readOnly}
            onChange={address => changeOf('Address', () => ({ address: address || undefined }))}
          />
          <h3>Rights and declarations</h3>
          <Declarations draft={draft} readOnly={readOnly} onChange={change} />
        </div>
        <div>
          {keywordRoom(profile) && (
            <Slots
              book={book}
              draft={draft}
              profile={profile}
              readOnly={readOnly}
              onSlots={next => changeOf('Slots', d => ({ slots: next(d.slots ?? []) }), true)}
            />
          )}
          <h3>{stops.length ? 'Wanting before it is sent' : 'Ready'}</h3>
          {stops.length ? (
            <ul className="wants careted">
              {stops.slice(0, WANTS_SHOWN).map(f => (
                <li key={f.message} className="stop">
                  <span>
                    <b>{f.message}</b> {remedyWords(f)}
                  </span>
                </li>
              ))}
            </ul>
          ) : (
            <p className="quiet">
              Nothing stops it. <Link href={`/book/${encodeURIComponent(book.id)}/check`}>The check</Link> has the rest.
            </p>
          )}
          <Happened pair={pair} outlet={profile.name} now={now} />
        </div>
      </div>
    </section>
  )
}
