'use client'
import { App, Button, Checkbox, InputNumber, Progress, Select } from 'antd'
import { saveAs } from '@/parts/saveAs'
import Link from 'next/link'
import { useRef, useState } from 'react'
import type { Book, Edition, ListingDraft } from '@/core/book'
import { clockDate } from '@/core/ledger'
import { packSlots } from '@/core/market'
import {
  categoryTrees,
  ebookMoney,
  keywordRoom,
  leastEbookPrice,
  listingFindings,
  printMoney,
  profileOf,
  slotProblems,
} from '@/core/outlets'
import { formatMoney } from '@/core/trade'
import { send, withdraw } from '@/data/listings'
import { kindWords } from '@/parts/kinds'
import { Lamp } from '@/parts/Lamp'
import { type Pair, pairLamp } from '@/parts/pairs'
import { press } from '@/workers/client'
import { proxied } from '@/workers/client'
import { bringUpToDate } from '@/parts/useOpenBook'
import type { Figures } from '@/core/chain'
import { RoyaltyCurve } from './RoyaltyCurve'
import { useSay } from '@/parts/useSay'
import { useCommit } from '@/parts/useCommit'
import { blobBytes } from '@/data/blobs'
import { StoredInput } from '@/parts/StoredInput'
import { draftOf, pairKey } from '@/core/book'

const day = (hours: number): string =>
  clockDate(hours).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }) +
  ', ' +
  clockDate(hours).toISOString().slice(11, 16)

/** The listing of an edition at an outlet: what is stated, what it pays, what is on sale beside what would be sent, and the package. */
export function Sheet({
  book,
  pair,
  figures,
  readOnly,
}: {
  book: Book
  pair: Pair
  figures: Figures | undefined
  readOnly: boolean
}) {
  const { edition, outletId, state, differences } = pair
  const profile = profileOf(outletId)
  const key = pairKey(edition.id, outletId)
  const draft = draftOf(book, edition.id, outletId)
  const { modal } = App.useApp()
  const say = useSay()
  const commit = useCommit(book.id)
  const [progress, setProgress] = useState<{ stage: string; percent: number }>()
  const stop = useRef(false)
  // Worked out of what the store has when it is written: fields that are left one after the other do not take each other's letters back.
  const changeOf = (label: string, next: (d: ListingDraft) => Partial<ListingDraft>, merge = false): Promise<boolean> =>
    commit(
      label,
      r => {
        const now = r.listings?.[key] ?? {}
        return { listings: { ...r.listings, [key]: { ...now, ...next(now) } } }
      },
      merge,
    )
  const change = (label: string, patch: Partial<ListingDraft>): void => void changeOf(label, () => patch)
  const setPrice = (price: number | null): void =>
    void commit(`Price ${price === null ? '' : formatMoney(price, 'USD')}`, r => ({
      editions: r.editions.map(e => (e.id === edition.id ? { ...e, price: price ?? undefined } : e)),
    }))

  const findings = [...(figures?.findings ?? []), ...listingFindings(book, edition, draft, profile)]
  const stops = findings.filter(f => f.severity === 'stop')
  const { lamp, word } = pairLamp(pair, figures?.findings.some(f => f.severity === 'stop') ? 'dim' : 'lit')

  const make = async (): Promise<Awaited<ReturnType<ReturnType<typeof press>['pack']>> | undefined> => {
    stop.current = false
    setProgress({ stage: 'Begin', percent: 2 })
    try {
      await bringUpToDate(book.id)
      return await press().pack(
        book.id,
        edition.id,
        outletId,
        proxied((p: { stage: string; done: number; of: number }) => {
          setProgress({ stage: p.stage, percent: Math.round((p.done / Math.max(1, p.of)) * 100) })
          return !stop.current
        }),
      )
    } catch (e) {
      if (!stop.current) say.failed(e)
      return undefined
    } finally {
      setProgress(undefined)
    }
  }
  const download = async (): Promise<void> => {
    const made = await make()
    if (made) saveAs(made.zip, made.submission.name, 'application/zip')
  }
  const dispatch = async (): Promise<void> => {
    const made = await make()
    if (!made) return
    const go = async (): Promise<void> => {
      try {
        await send(book.id, edition.id, profile, made.submission, made.zip)
        say.done(`${made.submission.name} is on its way to ${profile.name}.`)
      } catch (e) {
        say.failed(e)
      }
    }
    const { faults } = made.submission
    if (!faults.length) return go()
    modal.confirm({
      title: `${profile.name} would return this`,
      content: (
        <ul style={{ paddingLeft: 18, margin: 0 }}>
          {faults.slice(0, 6).map(f => (
            <li key={f}>{f}</li>
          ))}
        </ul>
      ),
      okText: 'Send it all the same',
      cancelText: 'Mend it first',
      width: 520,
      onOk: go,
    })
  }
  const old = async (hash: string, name: string): Promise<void> => {
    const bytes = await blobBytes(hash)
    if (bytes) saveAs(bytes, name, 'application/zip')
    else say.failed('The package is not in this library.')
  }
  const sending = state.pending ? 'Send instead' : state.live ? 'Send the revision' : 'Send'
  const inStep = !!state.live && !differences.length && !state.returned
  return (
    <section className="sheet" aria-label={`${kindWords[edition.kind]} at ${profile.name}`}>
      <header>
        <Lamp state={lamp} size={22} />
        <h2>
          {kindWords[edition.kind]} at {profile.name}
        </h2>
        <em>
          {word}
          {state.live
            ? `${word === 'on sale' ? '' : ', on sale'} since ${day(state.live.since)}`
            : state.pending
              ? `, sent ${day(state.pending.sent)}`
              : ''}
        </em>
        <span className="acts">
          {progress ? (
            <>
              <Progress percent={progress.percent} size="small" style={{ width: 120 }} /> <span>{progress.stage}</span>{' '}
              <Button
                onClick={() => {
                  stop.current = true
                }}
              >
                Stop
              </Button>
            </>
          ) : (
            <>
              {state.live && (
                <Button
                  type="text"
                  disabled={readOnly}
                  onClick={() =>
                    modal.confirm({
                      title: 'Withdraw it from sale?',
                      content: 'It can be sent again later; reviews begin anew.',
                      okText: 'Withdraw',
                      cancelText: 'Leave it on sale',
                      onOk: () => withdraw(book.id, edition.id, outletId),
                    })
                  }
                >
                  Withdraw
                </Button>
              )}
              <Button onClick={() => void download()}>Package as ZIP</Button>
              <Button
                type="primary"
                disabled={readOnly || !figures || inStep}
                title={inStep ? 'What is on sale is what the book is now' : undefined}
                onClick={() => void dispatch()}
              >
                {sending}
              </Button>
            </>
          )}
        </span>
      </header>
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
      {state.live && differences.length > 0 && (
        <table className="beside" aria-label="On sale beside now">
          <thead>
            <tr>
              <th>{state.pending ? 'Since the revision was sent' : 'The book has moved on'}</th>
              <th>{state.pending ? 'as sent' : 'on sale'}</th>
              <th>now</th>
            </tr>
          </thead>
          <tbody>
            {differences.map(d => (
              <tr key={d.what}>
                <th scope="row">{d.what}</th>
                <td>{d.was}</td>
                <td>{d.now}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="cols">
        <div>
          <h3>Price</h3>
          <Money
            book={book}
            edition={edition}
            outletId={outletId}
            figures={figures}
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
          <h3>Rights and declarations</h3>
          <div className="states">
            <Checkbox
              checked={!!draft.rights}
              disabled={readOnly}
              onChange={e => change('Rights', { rights: e.target.checked })}
            >
              Text, pictures and fonts are mine to publish, or licensed to me
            </Checkbox>
            <Checkbox
              checked={!!draft.lowContent}
              disabled={readOnly}
              onChange={e => change('Low-content', { lowContent: e.target.checked })}
            >
              Low-content: the same page again and again
            </Checkbox>
            <Checkbox
              checked={!!draft.adult}
              disabled={readOnly}
              onChange={e => change('For adults', { adult: e.target.checked })}
            >
              For adults only
            </Checkbox>
          </div>
        </div>
        <div>
          {keywordRoom(profile) && (
            <Slots
              book={book}
              draft={draft}
              outletId={outletId}
              readOnly={readOnly}
              onSlots={next => changeOf('Slots', d => ({ slots: next(d.slots ?? []) }), true)}
            />
          )}
          <h3>{stops.length ? 'Wanting before it is sent' : 'Ready'}</h3>
          {stops.length ? (
            <ul className="wants">
              {stops.slice(0, 8).map(f => (
                <li key={f.message}>
                  <b>{f.message}</b> {f.remedy}
                </li>
              ))}
            </ul>
          ) : (
            <p className="quiet">
              Nothing stops it. <Link href={`/book/${encodeURIComponent(book.id)}/check`}>The check</Link> has the rest.
            </p>
          )}
          {state.history.length > 0 && (
            <>
              <h3>What happened</h3>
              <ol className="happened">
                {[...state.history].reverse().map(h => (
                  <li key={`${h.at}${h.what}`}>
                    <time>{day(h.at)}</time> {h.what}
                  </li>
                ))}
                {state.pending && (
                  <li className="quiet">
                    <time>{day(state.pending.decides)}</time> {profile.name} decides
                  </li>
                )}
              </ol>
              {pair.events
                .filter(e => e.kind === 'sent')
                .slice(-3)
                .map(
                  e =>
                    e.kind === 'sent' && (
                      <Button
                        key={e.at}
                        type="link"
                        size="small"
                        style={{ padding: 0, marginRight: 12 }}
                        onClick={() => void old(e.submission.zip, e.submission.name)}
                      >
                        as sent {day(e.at)}
                      </Button>
                    ),
                )}
            </>
          )}
        </div>
      </div>
    </section>
  )
}

function Money({
  edition,
  outletId,
  figures,
  readOnly,
  onPrice,
}: {
  book: Book
  edition: Edition
  outletId: string
  figures: Figures | undefined
  readOnly: boolean
  onPrice: (minor: number | null) => void
}) {
  const profile = profileOf(outletId)
  const [draft, setDraft] = useState<number | null>()
  const currency = profile.currency
  const price = edition.price
  const take = (): void => {
    if (draft === undefined) return
    const minor = draft === null ? null : Math.round(draft * 100)
    if (minor !== (price ?? null)) onPrice(minor)
    setDraft(undefined)
  }
  if (!figures) return <p className="quiet">reckoning …</p>
  const spec = {
    binding: edition.kind === 'ebook' ? ('paperback' as const) : edition.kind,
    trim: edition.trim ?? '',
    paper: edition.paper ?? '',
    ink: edition.ink ?? ('black' as const),
  }
  const bytes = figures.epubBytes ?? 0
  const royaltyAt = (p: number): number =>
    edition.kind === 'ebook'
      ? ebookMoney(profile, p, bytes).royalty
      : (printMoney(profile, spec, figures.pages ?? 0, p).earnings[0]?.royalty ?? 0)
  const least = edition.kind === 'ebook' ? leastEbookPrice(profile, bytes) : figures.leastPrice
  return (
    <>
      <p className="price">
        <InputNumber
          aria-label="List price"
          disabled={readOnly}
          min={0}
          step={0.5}
          precision={2}
          prefix="$"
          value={draft === undefined ? (price === undefined ? null : price / 100) : draft}
          onChange={v => setDraft(v)}
          onBlur={take}
          onPressEnter={take}
          style={{ width: 116 }}
        />
        <span>
          {price === undefined ? (
            `the least is ${formatMoney(least, currency)}`
          ) : (
            <>
              brings <b>{formatMoney(royaltyAt(price), currency)}</b> a copy; the least is{' '}
              {formatMoney(least, currency)}
            </>
          )}
        </span>
      </p>
      <RoyaltyCurve royaltyAt={royaltyAt} least={least} price={price} currency={currency} />
    </>
  )
}

/** The outlet's keyword slots, with its rules as one types. */
function Slots({
  book,
  draft,
  outletId,
  readOnly,
  onSlots,
}: {
  book: Book
  draft: ListingDraft
  outletId: string
  readOnly: boolean
  onSlots: (next: (slots: string[]) => string[]) => Promise<boolean>
}) {
  const profile = profileOf(outletId)
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
