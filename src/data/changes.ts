import {
  appliedJson,
  type Book,
  compact,
  docWords,
  type DocJson,
  patched,
  type Patch,
  patchesBetween,
  readSteps,
  samePlaces,
  type Section,
  withOwnIds,
  writeSteps,
} from '@/core/book'
import { getBook } from './books'
import { db } from './db'
import type { BookRecord, ChangeRecord, SectionChange, SectionRecord, StepsBothWays, TrailEntry } from './records'
import { stepsBetween, sectionChange } from './sectionChange'
import { noteWords } from './tallies'
import { guarded, refuse } from './trouble'
import { keepBeside } from './versions'
import { mayWrite } from './writer'

/** Steps of a value (up, up, up) that follow one another within this many milliseconds are one step of undo. */
const ONE_STEP = 1200
/** Typing without a rest this long is one step of undo, up to so many steps of text. */
const ONE_BREATH = 1500
const BREATH_STEPS = 24
/** Typing that goes on is cut into steps of undo about this long, characters of JSON. */
const BREATH_LENGTH = 4000
/** Commits that a section remembers, so that a late one finds its place; and how much they may hold, characters of JSON. */
const TRAIL = 64
const TRAIL_LENGTH = 60_000

/** Commits a change of a book's record together with the way back, in one transaction. What had been undone is forgotten. `merge`: it is a step of a value that may join the one before, where that touched the very same places. */
export async function commit(
  book: string,
  label: string,
  change: (record: BookRecord) => Partial<BookRecord>,
  merge = false,
): Promise<void> {
  await writing(book, async () => {
    // Asked for together: each question costs a turn of the store.
    const [record, last, undone] = await Promise.all([
      db.books.get(book),
      newestStanding(book),
      ofState(book, 1).primaryKeys(),
    ])
    if (!record) return
    const next: BookRecord = { ...record, ...change(record) }
    const patches = patchesBetween(record, next)
    if (!patches.length) return
    const now = Date.now()
    const joins =
      merge &&
      last?.record &&
      !last.closed &&
      !last.text &&
      !last.sections &&
      now - last.at < ONE_STEP &&
      samePlaces(last.record, patches)
    const together = joins ? joined(last.record!, patches) : patches
    const written: ChangeRecord = joins
      ? { ...last, record: together, label, at: now }
      : { book, state: 0, at: now, label, record: patches }
    // A value that came back to where it was is no step at all.
    const nothing = joins && together.every(p => JSON.stringify(p.before) === JSON.stringify(p.after))
    await Promise.all([
      nothing ? db.changes.delete(last.id!) : db.changes.put(written),
      db.books.put(patched(record, patches)),
      ...forgotten(undone),
    ])
  })
}

const joined = (first: Patch[], then: Patch[]): Patch[] =>
  first.map((p, i) => ({
    path: p.path,
    ...('before' in p ? { before: p.before } : {}),
    ...('after' in then[i]! ? { after: then[i]!.after } : {}),
  }))

/** Commits an operation on the whole book (split, join, move, number …): the sections it touched, and their order. */
export async function commitSections(book: string, label: string, operation: (book: Book) => Book): Promise<void> {
  const before = await writing(book, async (): Promise<Book | undefined> => {
    const stored = await getBook(book)
    if (!stored) return undefined
    const next = operation(stored.book)
    const sections = changesOf(stored.book.sections, next.sections)
    const [was, is] = [stored.book.sections.map(s => s.id), next.sections.map(s => s.id)]
    const patches = patchesBetween(headOf(stored.book), headOf(next))
    if (!sections.length && was.join() === is.join() && !patches.length) return undefined
    await db.changes.bulkDelete(await ofState(book, 1).primaryKeys())
    const record = [...(was.join() === is.join() ? [] : [{ path: ['order'], before: was, after: is }]), ...patches]
    await db.changes.add({ book, state: 0, at: Date.now(), label, ...(record.length ? { record } : {}), sections })
    // The counter of ids is no part of the change: undone, it does not go back.
    const head = await db.books.get(book)
    if (head) await db.books.put({ ...patched(head, patches), order: is, lastId: next.lastId })
    const fresh = new Map(next.sections.map(s => [s.id, s]))
    for (const c of sections) await putSection(book, c.id, fresh.get(c.id), c.text?.forward)
    const by = wordsIn(next) - wordsIn(stored.book)
    if (by) await noteWords(book, { by, how: 'act' }, Date.now())
    return isLarge(sections) ? stored.book : undefined
  })
  if (before) await keepBeside(before, { kind: 'before', label: `Before: ${label}` })
}

const wordsIn = (book: Book): number => book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)

/** A change of so many sections' words, or one that takes a section away, is large. */
const LARGE = 3
const isLarge = (sections: readonly SectionChange[]): boolean =>
  sections.filter(s => s.text).length >= LARGE || sections.some(s => s.removed && docWords(s.removed.doc) > 0)

/** What a change of the whole book may change beside its sections: all but its names, and the counter of ids. */
const headOf = ({ id: _id, uid: _uid, lastId: _last, sections: _sections, ...head }: Book): object => head

function changesOf(before: Section[], after: Section[]): SectionChange[] {
  const [old, fresh] = [new Map(before.map(s => [s.id, s])), new Map(after.map(s => [s.id, s]))]
  return [...new Set([...fresh.keys(), ...old.keys()])].flatMap(id => {
    const [a, b] = [old.get(id), fresh.get(id)]
    const change = a === b ? undefined : sectionChange(id, a, b)
    return change ? [change] : []
  })
}

/** What a pen writes: its steps, the document they led to, and who it is. */
export interface TextCommit extends StepsBothWays {
  doc: DocJson
  pen: string
  nth: number
}

/** How a commit of text ended: written as `rev`, or not, since the section is another now, or gone. */
export type TextOutcome = { rev: number } | { stale: SectionRecord } | { gone: true }

/**
 * Commits steps of a section's text that were made on revision `base`: compare and set. Where the section is another now,
 * nothing is written and its record comes back, so that the pen can carry its steps over. Typing on is one step of undo.
 */
export async function commitText(
  book: string,
  section: string,
  base: number,
  change: TextCommit,
): Promise<TextOutcome> {
  const start = performance.now()
  // For the bench, and for whoever looks into the browser's own timeline.
  return committed(book, section, base, change).finally(() => performance.measure('porchlight commit', { start }))
}

async function committed(book: string, section: string, base: number, change: TextCommit): Promise<TextOutcome> {
  return guarded(() =>
    db.transaction('rw', [db.sections, db.changes, db.tallies], async () => {
      // Asked for together: each question costs a turn of the store.
      const [record, last, undone] = await Promise.all([
        db.sections.get([book, section]),
        newestStanding(book),
        ofState(book, 1).primaryKeys(),
      ])
      if (!record) return { gone: true }
      if (record.rev !== base) return { stale: record }
      const now = Date.now()
      const { forward, inverse } = change
      const joins =
        last?.text?.section === section &&
        !last.closed &&
        now - last.at < ONE_BREATH &&
        last.text.forward.length < BREATH_STEPS
      const both =
        joins && shorter({ forward: [...last.text!.forward, ...forward], inverse: [...inverse, ...last.text!.inverse] })
      const written: ChangeRecord =
        both && JSON.stringify(both.forward).length < BREATH_LENGTH
          ? { ...last!, at: now, text: { section, ...both } }
          : {
              book,
              state: 0,
              at: now,
              label: `Writing in “${record.title || 'this section'}”`,
              text: { section, forward, inverse },
            }
      const next = withDoc(record, change.doc, { steps: forward, pen: change.pen, nth: change.nth })
      const by = docWords(change.doc) - wordsAt(record)
      counted.set(`${book}/${section}`, { rev: next.rev, words: docWords(change.doc) })
      await Promise.all([
        db.changes.put(written),
        db.sections.put(next),
        noteWords(book, { by, how: 'writing' }, now),
        ...forgotten(undone),
      ])
      return { rev: next.rev }
    }),
  )
}

/** Words of sections that were written lately, by their revision: a section is not counted whole at every breath. */
const counted = new Map<string, { rev: number; words: number }>()

function wordsAt({ book, id, rev, doc }: SectionRecord): number {
  const known = counted.get(`${book}/${id}`)
  return known?.rev === rev ? known.words : docWords(doc)
}

/** Steps that had been undone are forgotten when something new is done. */
const forgotten = (undone: number[]): Promise<void>[] => (undone.length ? [db.changes.bulkDelete(undone)] : [])

const shorter = ({ forward, inverse }: StepsBothWays): StepsBothWays => ({
  forward: writeSteps(compact(readSteps(forward))),
  inverse: writeSteps(compact(readSteps(inverse))),
})

/** The steps that led from a revision to the record; undefined where it does not remember so far back. */
export function trailSince(record: SectionRecord, rev: number): TrailEntry[] | undefined {
  if (rev === record.rev) return []
  const trail = record.trail ?? []
  const from = trail.findIndex(t => t.rev === rev + 1)
  // Every write is in it, in order, so that none is passed over.
  return from >= 0 ? trail.slice(from) : undefined
}

/** What undo and redo would do, in words. */
export async function steps(book: string): Promise<{ undo?: string; redo?: string }> {
  const [undo, redo] = await Promise.all([newestStanding(book), oldestUndone(book)])
  return { undo: undo?.label, redo: redo?.label }
}

/** The newest step that stands: what undo would take back. */
export const newestStanding = (book: string): Promise<ChangeRecord | undefined> => ofState(book, 0).last()
export const oldestUndone = (book: string): Promise<ChangeRecord | undefined> => ofState(book, 1).first()
const ofState = (book: string, state: 0 | 1) =>
  db.changes.where('[book+state+id]').between([book, state, 0], [book, state, Infinity])

/** Takes back the last step; gives its label, or undefined where there is none. */
export const undo = (book: string): Promise<string | undefined> => turn(book, true)
export const redo = (book: string): Promise<string | undefined> => turn(book, false)

async function turn(book: string, back: boolean): Promise<string | undefined> {
  return writing(book, async () => {
    const c = await (back ? newestStanding(book) : oldestUndone(book))
    if (!c) return undefined
    const record = await db.books.get(book)
    if (!record) return undefined
    if (c.record) await db.books.put(patched(record, c.record, back))
    let by = 0
    for (const s of c.sections ?? []) by += await turnSection(book, s, back)
    if (c.sections?.some(s => (back ? s.removed : s.added))) await ensureOwnIds(book)
    if (c.text) {
      const section = await db.sections.get([book, c.text.section])
      const list = back ? c.text.inverse : c.text.forward
      if (section) {
        const doc = appliedJson(section.doc, list)
        by += docWords(doc) - docWords(section.doc)
        await db.sections.put(withDoc(section, doc, { steps: list }))
      }
    }
    if (by) await noteWords(book, { by, how: c.text ? 'writing' : 'act', back }, Date.now())
    await db.changes.update(c.id!, { state: back ? 1 : 0, at: Date.now(), closed: true })
    return c.label
  })
}

/** Gives how many words the section has more, or fewer. */
async function turnSection(book: string, c: SectionChange, back: boolean): Promise<number> {
  const wordsOf = (s: Section | undefined): number => (s && !s.made ? docWords(s.doc) : 0)
  if (c.added || c.removed) {
    const [was, is] = back ? [c.added, c.removed] : [c.removed, c.added]
    await putSection(book, c.id, is)
    return wordsOf(is) - wordsOf(was)
  }
  const old = await db.sections.get([book, c.id])
  if (!old) return 0
  const list = c.text && (back ? c.text.inverse : c.text.forward)
  const head = c.fields ? patched(old, c.fields, back) : old
  const doc = list ? appliedJson(old.doc, list) : old.doc
  await db.sections.put(withDoc(head, doc, { steps: list ?? [] }))
  return old.made ? 0 : docWords(doc) - docWords(old.doc)
}

/** A section that comes back from a history older than book-wide ids may bear ones that others have now. */
async function ensureOwnIds(book: string): Promise<void> {
  const stored = await getBook(book)
  if (!stored) return
  const sound = withOwnIds(stored.book)
  if (sound === stored.book) return
  await db.books.update(book, { lastId: sound.lastId })
  for (const [i, s] of sound.sections.entries()) if (s !== stored.book.sections[i]) await putSection(book, s.id, s)
}

/** Writes or deletes a section. `steps` are what happened to its text, where the caller knows; otherwise they are found. */
async function putSection(book: string, id: string, section: Section | undefined, known?: unknown[]): Promise<void> {
  const old = await db.sections.get([book, id])
  if (!section) return db.sections.delete([book, id])
  // One that comes back begins with a revision that none before it can have borne.
  if (!old) return void (await db.sections.put({ ...section, book, rev: Date.now() }))
  const list =
    known ?? (JSON.stringify(old.doc) === JSON.stringify(section.doc) ? [] : stepsBetween(old.doc, section.doc).forward)
  await db.sections.put(withDoc({ ...section, book, rev: old.rev, trail: old.trail }, section.doc, { steps: list }))
}

/** The record with another document (or the same), its next revision, and what led there. */
function withDoc(record: SectionRecord, doc: DocJson, how: Omit<TrailEntry, 'rev'>): SectionRecord {
  const rev = record.rev + 1
  return { ...record, doc, rev, trail: shortTrail([...(record.trail ?? []), { rev, ...how }]) }
}

function shortTrail(trail: TrailEntry[]): TrailEntry[] {
  let room = TRAIL_LENGTH
  const from = trail.findLastIndex(t => (room -= JSON.stringify(t.steps).length) < 0)
  return trail.slice(Math.max(from + 1, trail.length - TRAIL))
}

/** One transaction over all that a change may touch; only the window that holds the book may write it. */
function writing<T>(book: string, work: () => Promise<T>): Promise<T> {
  if (!mayWrite(book)) return Promise.reject(refuse())
  return guarded(() => db.transaction('rw', [db.books, db.sections, db.blobs, db.changes, db.tallies], work))
}
