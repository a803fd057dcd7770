import { hashOf } from '../book'
import type { OutletProfile } from '../trade'
import { type Hours, HOURS_A_DAY, yearOf } from './clock'

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
  /** It is for adults only. */
  adult?: boolean
  /** In the outlet's own currency, minor units; 0 where none is set. */
  price: number
  /** Prices that are set in other currencies it sells in. */
  otherPrices?: Record<string, number>
  /** Of a print edition. Points and minor units. */
  pages?: number
  spinePt?: number
  wrapWidthPt?: number
  cost?: number
  royalty?: number
  finish?: string
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

/** What happened to a listing. A profile is frozen into what was sent, so that no later one changes what became of it. */
export type ListingEvent =
  | { kind: 'sent'; at: Hours; submission: Submission; profile: OutletProfile }
  | { kind: 'proof ordered'; at: Hours; submission: Submission; profile: OutletProfile }
  /** Of the proof that was ordered last. */
  | { kind: 'proof approved'; at: Hours }
  | { kind: 'withdrawn'; at: Hours }

/** Events that a package belongs to. */
export const hasPackage = (e: ListingEvent): e is Extract<ListingEvent, { submission: Submission }> => 'submission' in e

export type ListingStatus = 'draft' | 'sent' | 'in review' | 'on sale' | 'returned' | 'revision waiting' | 'withdrawn'

/** A proof: printed from a package, on its way or here, approved or not yet. */
export interface Proof {
  submission: Submission
  ordered: Hours
  arrives: Hours
  approved?: Hours
}

export interface ListingState {
  status: ListingStatus
  /** The package on sale, since when, and what the outlet was like when it was sent. */
  live?: { submission: Submission; profile: OutletProfile; since: Hours; first: Hours }
  /** A package that the outlet has not decided on yet. */
  pending?: { submission: Submission; profile: OutletProfile; sent: Hours; opens: Hours; decides: Hours }
  returned?: { submission: Submission; at: Hours; reasons: string[] }
  /** In the order in which they were ordered. */
  proofs: Proof[]
  /** When revisions of what was on sale were sent. */
  revisions: Hours[]
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
  const s: ListingState = { status: 'draft', proofs: [], revisions: [], history: [] }
  const settle = (until: Hours): void => {
    const p = s.pending
    if (!p || p.decides > until) return
    const reasons = reviewReasons(p.submission, s.live?.submission, p.profile, approvedBy(s.proofs, p.sent))
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
    if (e.kind === 'proof ordered') {
      const { days } = e.profile.print?.proof ?? { days: { least: 0, most: 0 } }
      const arrives = e.at + hoursWithin(days, `proof ${e.submission.id}`) * HOURS_A_DAY
      s.proofs.push({ submission: e.submission, ordered: e.at, arrives })
      s.history.push({ at: e.at, what: 'proof ordered' })
      if (arrives <= now) s.history.push({ at: arrives, what: 'the proof is here' })
      continue
    }
    if (e.kind === 'proof approved') {
      const proof = s.proofs.at(-1)
      // What is not here yet cannot be looked at.
      if (!proof || proof.arrives > e.at || proof.approved !== undefined) continue
      proof.approved = e.at
      s.history.push({ at: e.at, what: 'proof approved' })
      continue
    }
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
    const hours = hoursWithin(span, submission.id)
    if (s.live) s.revisions.push(e.at)
    s.pending = { submission, profile, sent: e.at, opens: e.at + hours / 4, decides: e.at + hours }
    s.returned = undefined
    s.history.push({ at: e.at, what: s.live ? 'revision sent' : 'sent' })
  }
  settle(now)
  // A proof may come between two other things that were noted before it.
  s.history.sort((a, b) => a.at - b.at)
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

/** A length of time between two, the same every time for the same text. */
const hoursWithin = ({ least, most }: { least: number; most: number }, text: string): number =>
  least + (most - least) * unitOf(text)

const approvedBy = (proofs: Proof[], at: Hours): Submission[] =>
  proofs.filter(p => p.approved !== undefined && p.approved <= at).map(p => p.submission)

/** Whether an outlet still wants an approved proof before it puts these files on sale. Approved is a proof of the same interior and cover. */
export const wantsProof = (sent: ListingSnapshot, profile: OutletProfile, approved: Submission[]): boolean =>
  sent.pages !== undefined &&
  !!profile.print?.proof?.wanted &&
  !approved.some(
    ({ snapshot: s }) => s.interior === sent.interior && s.cover === sent.cover && s.wrapWidthPt === sent.wrapWidthPt,
  )

/** Why an outlet returns a package: its own reading of it, a proof that is wanting, and what may never change once on sale. */
export function reviewReasons(
  sent: Submission,
  live: Submission | undefined,
  profile: OutletProfile,
  approved: Submission[] = [],
): string[] {
  const out = [...sent.faults]
  if (wantsProof(sent.snapshot, profile, approved))
    out.push(`${profile.name} puts print on sale with an approved proof, and none of these files was approved.`)
  if (live)
    for (const field of profile.listing.neverChanged) {
      const [was, now] = [fieldOf(live.snapshot, field), fieldOf(sent.snapshot, field)]
      if (was !== now) out.push(`${profile.name} never changes the ${field} of a title on sale (it was “${was}”).`)
    }
  return out
}

/** What the next revision costs at a time, minor units of the profile's currency, and how many of the year are still free; undefined where all are. */
export function revisionFee(
  { revisions }: Pick<ListingState, 'revisions'>,
  { revisions: { fee, freeAYear } }: OutletProfile,
  now: Hours,
): { fee: number; free: number } | undefined {
  if (!fee) return undefined
  const free = Math.max(0, (freeAYear ?? 0) - revisions.filter(at => yearOf(at) === yearOf(now)).length)
  return { fee: free ? 0 : fee, free }
}

const fieldOf = (s: ListingSnapshot, field: string): string =>
  field === 'low-content'
    ? s.lowContent
      ? 'low-content'
      : 'not low-content'
    : String(s[field as keyof ListingSnapshot] ?? '')

const yesOrNo = (v: boolean): string => (v ? 'yes' : 'no')

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
  say: { length: (pt: number) => string; money: (minor: number, currency: string) => string },
  currency: string,
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
  const money = (minor: number): string => say.money(minor, currency)
  add('low-content', live.lowContent, now.lowContent, yesOrNo)
  add('for adults only', !!live.adult, !!now.adult, yesOrNo)
  add('price', live.price, now.price, money)
  for (const other of new Set([...Object.keys(live.otherPrices ?? {}), ...Object.keys(now.otherPrices ?? {})]))
    add(`price in ${other}`, live.otherPrices?.[other], now.otherPrices?.[other], (m: number) => say.money(m, other))
  add('finish', live.finish, now.finish)
  add('pages', live.pages, now.pages)
  if (Math.abs((live.spinePt ?? 0) - (now.spinePt ?? 0)) > 0.01) add('spine', live.spinePt, now.spinePt, say.length)
  if (Math.abs((live.wrapWidthPt ?? 0) - (now.wrapWidthPt ?? 0)) > 0.01)
    add('wrap', live.wrapWidthPt, now.wrapWidthPt, say.length)
  add('print cost', live.cost, now.cost, money)
  add('royalty', live.royalty, now.royalty, money)
  if (live.interior !== now.interior && !out.some(d => d.what === 'pages'))
    out.push({ what: 'interior', was: 'as sent', now: 'changed since' })
  if (live.cover !== now.cover && !out.some(d => d.what === 'wrap'))
    out.push({ what: 'cover', was: 'as sent', now: 'changed since' })
  return out
}
