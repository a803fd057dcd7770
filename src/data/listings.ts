import { hashOf } from '@/core/book'
import type { ListingEvent, Submission } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'
import { freshen } from './books'
import { readClock } from './clock'
import { putBlobs } from './blobs'
import { db } from './db'
import type { ListingRecord } from './records'
import { fitting } from './room'
import { guarded, refuse } from './trouble'
import { keepBeside } from './versions'
import { mayWrite } from './writer'

export const pairKey = (book: string, edition: string, outlet: string): string => `${book}/${edition}/${outlet}`

export const listingsOf = (book: string): Promise<ListingRecord[]> => db.listings.where('book').equals(book).toArray()

/** Everything that was ever sent, of all books. */
export const allListings = (): Promise<ListingRecord[]> => db.listings.toArray()

async function add(book: string, key: string, event: ListingEvent): Promise<void> {
  const old = await db.listings.get(key)
  await db.listings.put({ key, book, events: [...(old?.events ?? []), event] })
}

/** A package, and where it goes. */
type Handed = [book: string, edition: string, outlet: OutletProfile, submission: Submission, zip: Uint8Array]

/** Hands a package over: its bytes are kept as they went, the event is noted at the simulated hour; `also` is written with it. Only the window that writes the book may. */
async function handOver(
  kind: 'sent' | 'proof ordered',
  [book, edition, outlet, submission, zip]: Handed,
  also?: () => Promise<void>,
): Promise<void> {
  if (!mayWrite(book)) throw refuse()
  if (hashOf(zip) !== submission.zip) throw new Error('The package is not what was made.')
  await fitting(`“${submission.name}”`, zip.length, () =>
    guarded(() =>
      db.transaction('rw', [db.listings, db.blobs, db.settings, db.books], async () => {
        await putBlobs([[submission.zip, zip]])
        const event: ListingEvent = { kind, at: await readClock(), submission, profile: outlet }
        await add(book, pairKey(book, edition, outlet.id), event)
        await also?.()
      }),
    ),
  )
  await keepSent(kind, book, outlet, submission)
}

/** The book as it went out is kept. */
async function keepSent(
  kind: 'sent' | 'proof ordered',
  book: string,
  outlet: OutletProfile,
  { snapshot }: Submission,
): Promise<void> {
  const label = kind === 'sent' ? `Sent to ${outlet.name}` : `Proof ordered at ${outlet.name}`
  const { pages } = snapshot
  const held = await freshen(book, undefined)
  if (held) await keepBeside(held.book, { kind: 'sent', label, ...(pages ? { pages } : {}) })
}

/** Sends a package; the cover is from now on fitted by hand. */
export const send = (...handed: Handed): Promise<void> =>
  handOver('sent', handed, async () => {
    const [book, edition, , { snapshot }] = handed
    const record = await db.books.get(book)
    if (record && snapshot.pages)
      await db.books.update(book, {
        editions: record.editions.map(e =>
          e.id === edition && e.coverPages === undefined ? { ...e, coverPages: snapshot.pages } : e,
        ),
      })
  })

/** Orders a proof of a package: printed while nothing is on sale by it. */
export const orderProof = (...handed: Handed): Promise<void> => handOver('proof ordered', handed)

/** Approves the proof that came last. Only the window that writes the book may. */
export const approveProof = (book: string, edition: string, outlet: string): Promise<void> =>
  note(book, edition, outlet, 'proof approved')

/** Takes a listing back. Only the window that writes the book may. */
export const withdraw = (book: string, edition: string, outlet: string): Promise<void> =>
  note(book, edition, outlet, 'withdrawn')

async function note(
  book: string,
  edition: string,
  outlet: string,
  kind: 'proof approved' | 'withdrawn',
): Promise<void> {
  if (!mayWrite(book)) throw refuse()
  await guarded(() =>
    db.transaction('rw', [db.listings, db.settings], async () =>
      add(book, pairKey(book, edition, outlet), { kind, at: await readClock() }),
    ),
  )
}
