import { hashOf } from '../book'
import type { OutletProfile } from '../trade'

/** What an outlet sees of an edition: made from the same data as the files, so that the two cannot differ. */
export interface ListingSnapshot {
  title: string
  subtitle: string
  author: string
  isbn: string
  description: string
  slots: string[]
  categories: string[]
  lowContent: boolean
  /** Minor units; 0 where none is set. */
  price: number
  /** Of a print edition. Points and minor units. */
  pages?: number
  spinePt?: number
  wrapWidthPt?: number
  cost?: number
  royalty?: number
  /** Of an ebook. */
  epubBytes?: number
  /** Fingerprints of what the files are made from: text and style, and cover. */
  interior: string
  cover: string
}

/** A package as it was sent. Its bytes are kept under `zip`. */
export interface Submission {
  id: string
  /** SHA-256 of the package. */
  zip: string
  name: string
  files: { name: string; bytes: number }[]
  snapshot: ListingSnapshot
  /** What would make the outlet return it, as its own reading of the package finds. */
  faults: string[]
}

/** Hours on the simulated clock. */
export type Hours = number

/** Whether a value is a time of the simulated clock: within a thousand years of its start. */
export const isHours = (v: unknown): v is Hours => typeof v === 'number' && v >= 0 && v < 1e7

export type ListingEvent =
  { kind: 'sent'; at: Hours; submission: Submission; profile: OutletProfile } | { kind: 'withdrawn'; at: Hours }

export type ListingStatus = 'draft' | 'sent' | 'in review' | 'on sale' | 'returned' | 'revision waiting' | 'withdrawn'

export interface ListingState {
  status: ListingStatus
  /** The package on sale, since when, and what the outlet was like when it was sent. */
  live?: { submission: Submission; profile: OutletProfile; since: Hours; first: Hours }
  /** A package that the outlet has not decided on yet. */
  pending?: { submission: Submission; profile: OutletProfile; sent: Hours; opens: Hours; decides: Hours }
  returned?: { submission: Submission; at: Hours; reasons: string[] }
  history: { at: Hours; what: string }[]
}

/** A number from 0 to 1 that follows from a text: the simulated outlets are never moody. */
export function unitOf(text: string): number {
  return parseInt(hashOf(new TextEncoder().encode(text)).slice(0, 8), 16) / 0xffffffff
}

/**
 * The state of a listing at a time: a fold over what happened, the profile frozen into each submission, and the clock. Review
 * lasts between the profile's least and most hours and ends the same way every time.
 */
export function foldListing(events: ListingEvent[], now: Hours): ListingState {
  const s: ListingState = { status: 'draft', history: [] }
  const settle = (until: Hours): void => {
    const p = s.pending
    if (!p || p.decides > until) return
    const reasons = reviewReasons(p.submission, s.live?.submission, p.profile)
    if (reasons.length) {
      s.returned = { submission: p.submission, at: p.decides, reasons }
      s.history.push({ at: p.decides, what: `returned: ${reasons[0]!}` })
    } else {
      s.history.push({ at: p.decides, what: s.live ? 'the revision is on sale' : 'on sale' })
      s.live = { submission: p.submission, profile: p.profile, since: p.decides, first: s.live?.first ?? p.decides }
      s.returned = undefined
    }
    s.pending = undefined
  }
  let withdrawn = false
  for (const e of [...events].sort((a, b) => a.at - b.at)) {
    if (e.at > now) break
    settle(e.at)
    if (e.kind === 'withdrawn') {
      s.live = undefined
      s.pending = undefined
      s.returned = undefined
      withdrawn = true
      s.history.push({ at: e.at, what: 'withdrawn' })
      continue
    }
    withdrawn = false
    const { profile, submission } = e
    const span = s.live ? profile.review.revision : profile.review.first
    const hours = span.least + (span.most - span.least) * unitOf(submission.id)
    s.pending = { submission, profile, sent: e.at, opens: e.at + hours / 4, decides: e.at + hours }
    s.returned = undefined
    s.history.push({ at: e.at, what: s.live ? 'revision sent' : 'sent' })
  }
  settle(now)
  s.status = s.pending
    ? s.live
      ? 'revision waiting'
      : now < s.pending.opens
        ? 'sent'
        : 'in review'
    : s.returned
      ? 'returned'
      : s.live
        ? 'on sale'
        : withdrawn
          ? 'withdrawn'
          : 'draft'
  return s
}

/** Why an outlet returns a package: its own reading of it, and what may never change once on sale. */
export function reviewReasons(sent: Submission, live: Submission | undefined, profile: OutletProfile): string[] {
  const out = [...sent.faults]
  if (live)
    for (const field of profile.listing.neverChanged) {
      const [was, now] = [fieldOf(live.snapshot, field), fieldOf(sent.snapshot, field)]
      if (was !== now) out.push(`${profile.name} never changes the ${field} of a title on sale (it was “${was}”).`)
    }
  return out
}

const fieldOf = (s: ListingSnapshot, field: string): string =>
  field === 'low-content'
    ? s.lowContent
      ? 'low-content'
      : 'not low-content'
    : String(s[field as keyof ListingSnapshot] ?? '')

/** One thing that differs between what is on sale and what the book would send now. */
export interface Difference {
  what: string
  was: string
  now: string
}

/** How the book has moved on from what was sent. Empty: in step. */
export function drift(
  live: ListingSnapshot,
  now: ListingSnapshot,
  say: { length: (pt: number) => string; money: (minor: number) => string },
): Difference[] {
  const out: Difference[] = []
  const add = (what: string, was: unknown, is: unknown, show: (v: never) => string = v => String(v)): void => {
    if (was === is || (was === undefined && is === undefined)) return
    out.push({
      what,
      was: was === undefined ? '–' : show(was as never),
      now: is === undefined ? '–' : show(is as never),
    })
  }
  add('title', live.title, now.title)
  add('subtitle', live.subtitle, now.subtitle)
  add('author', live.author, now.author)
  add('ISBN', live.isbn, now.isbn)
  if (live.description !== now.description)
    add('description', `${live.description.length} characters`, `${now.description.length} characters, other words`)
  add('slots', live.slots.join(' · '), now.slots.join(' · '))
  add('categories', live.categories.join(' · '), now.categories.join(' · '))
  add('price', live.price, now.price, say.money)
  add('pages', live.pages, now.pages)
  if (Math.abs((live.spinePt ?? 0) - (now.spinePt ?? 0)) > 0.01) add('spine', live.spinePt, now.spinePt, say.length)
  if (Math.abs((live.wrapWidthPt ?? 0) - (now.wrapWidthPt ?? 0)) > 0.01)
    add('wrap', live.wrapWidthPt, now.wrapWidthPt, say.length)
  add('print cost', live.cost, now.cost, say.money)
  add('royalty', live.royalty, now.royalty, say.money)
  if (live.interior !== now.interior && !out.some(d => d.what === 'pages'))
    out.push({ what: 'interior', was: 'as sent', now: 'changed since' })
  if (live.cover !== now.cover && !out.some(d => d.what === 'wrap'))
    out.push({ what: 'cover', was: 'as sent', now: 'changed since' })
  return out
}
