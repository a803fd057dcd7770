import type { Node, Schema } from 'prosemirror-model'
import { type Step, Transform } from 'prosemirror-transform'
import {
  compact,
  difference,
  type DocJson,
  readSteps,
  rebase,
  type Rebased,
  schema,
  textOf,
  writeSteps,
} from '@/core/book'
import { commitText, trailSince } from './changes'
import { db } from './db'
import type { SectionRecord } from './records'
import { type JournalEntry, journalKey, keepInJournal, readyJournal } from './journal'
import { keepPieces } from './pieces'
import { windowId } from './window'

export type Saving = 'saved' | 'saving' | 'not saved'

/** Unsaved words are written this long after a rest, and at the latest this long after the first of them. */
const REST = 180
const LATEST = 400
/** After a failure it is tried again, ever more seldom. */
const RETRY = [1500, 3000, 6000, 12000]

/** A step that is not in the store yet, and the document it was made on. */
interface Own {
  step: Step
  before: Node
}

/** Does something to the text where it is shown; what it gives is what came of it. */
type Carry = (work: (tr: Transform) => Rebased) => Rebased

/**
 * A pen writes the text of one section. It holds the words that are not in the store yet, with the revision they build on, in
 * memory and in the journal, whatever room is open and whoever writes the book; it commits them by compare-and-set, and where
 * others were before it, carries its steps over theirs. What finds no place becomes a piece beside the section.
 */
export class Pen {
  private own: Own[] = []
  /** How many of them are on their way to the store. */
  private sent = 0
  private since = 0
  private timer: ReturnType<typeof setTimeout> | undefined
  private running: Promise<void> | undefined
  private nth = 0
  private turn = 0
  private failures = 0
  /** Pending words of which not even the journal has a copy. */
  private bare = false
  private state: Saving = 'saved'
  private readonly listeners = new Set<() => void>()
  /** The document as it stands in the store at `rev`. */
  private base: Node
  /** Where the text is shown, if it is. */
  private carry: Carry | undefined
  /** The schema object of its documents and steps: nodes of two of them do not mix. */
  private schema: Schema = schema
  readonly name: string

  constructor(
    readonly book: string,
    readonly section: string,
    private rev: number,
    public doc: Node,
    window = windowId,
  ) {
    this.base = doc
    this.name = `${window}/${Math.random().toString(36).slice(2, 8)}`
  }

  get saving(): Saving {
    return this.state
  }
  get pending(): boolean {
    return this.own.length > 0
  }
  /** Whether closing the window now would lose words. */
  get atRisk(): boolean {
    return this.bare
  }
  get revision(): number {
    return this.rev
  }
  listen(l: () => void): () => void {
    this.listeners.add(l)
    return () => this.listeners.delete(l)
  }

  /** From here on changes that come from elsewhere are made through `carry`, in an editor of this schema; gives the way to end it. */
  attach(carry: Carry, of: Schema = schema): () => void {
    const node = (n: Node): Node => of.nodeFromJSON(n.toJSON())
    if (of !== this.schema) {
      this.schema = of
      this.doc = node(this.doc)
      this.base = node(this.base)
      this.own = this.own.map(o => ({ step: readSteps(writeSteps([o.step]), of)[0]!, before: node(o.before) }))
    }
    this.carry = carry
    return () => {
      if (this.carry === carry) this.carry = undefined
    }
  }

  /** Takes steps that were just made; `docs` are the documents before each, `after` the one they led to. */
  write(steps: readonly Step[], docs: readonly Node[], after: Node): void {
    if (!steps.length) return
    if (!this.own.length) this.since = Date.now()
    steps.forEach((step, i) => {
      const last = this.own.length > this.sent ? this.own[this.own.length - 1] : undefined
      const merged = last?.step.merge(step)
      if (merged) last!.step = merged
      else this.own.push({ step, before: docs[i]! })
    })
    this.doc = after
    this.keep()
    this.say(this.state === 'not saved' ? 'not saved' : 'saving')
    if (!this.running) this.later(Math.max(0, Math.min(REST, this.since + LATEST - Date.now())))
  }

  /** Writes what is pending; resolves when it is in the store, or could not be written now. */
  flush(): Promise<void> {
    clearTimeout(this.timer)
    if (!this.running)
      this.running = this.run().finally(() => {
        this.running = undefined
      })
    return this.running
  }

  /** Takes over what the store has now, where it is newer. */
  async catchUp(): Promise<void> {
    if (this.running) return this.running.then(() => this.catchUp())
    const record = await db.sections.get([this.book, this.section])
    if (record && record.rev !== this.rev && !this.running) await this.over(record)
  }

  private async run(): Promise<void> {
    try {
      while (this.own.length) if (!(await this.once())) return this.fail()
      this.failures = 0
      this.say('saved')
    } catch {
      this.fail()
    } finally {
      this.sent = 0
    }
  }

  private async once(): Promise<boolean> {
    const list = this.own
    this.sent = list.length
    const doc = this.doc
    this.nth++
    this.keep()
    const forward = compact(list.map(o => o.step))
    const inverse = compact([...list].reverse().map(o => o.step.invert(o.before)))
    const done = await commitText(this.book, this.section, this.rev, {
      forward: writeSteps(forward),
      inverse: writeSteps(inverse),
      doc: doc.toJSON() as DocJson,
      pen: this.name,
      nth: this.nth,
    })
    if ('rev' in done) {
      this.own = this.own.slice(this.sent)
      this.sent = 0
      this.base = doc
      this.rev = done.rev
      this.since = Date.now()
      this.keep()
      return true
    }
    this.sent = 0
    if ('stale' in done) await this.over(done.stale)
    else {
      // The section is gone: its words wait beside the book.
      await keepPieces(this.book, this.section, compact(this.own.map(o => o.step)).map(textOf))
      this.own = []
      this.keep()
    }
    return true
  }

  /** Carries what is pending over what the store has become. */
  private async over(record: SectionRecord): Promise<void> {
    const stored = this.schema.nodeFromJSON(record.doc)
    const trail = trailSince(record, this.rev)
    let theirs = trail
      ? readSteps(
          trail.flatMap(t => t.steps),
          this.schema,
        )
      : difference(this.base, stored)
    const own = this.own
    const work = (tr: Transform): Rebased => {
      for (const o of [...own].reverse()) tr.step(o.step.invert(o.before))
      for (const s of theirs) tr.step(s)
      if (!tr.doc.eq(stored)) {
        // What led there is not what was remembered: the difference says it.
        const more = difference(tr.doc, stored)
        for (const s of more) tr.step(s)
        theirs = [...theirs, ...more]
      }
      const from = tr.steps.length
      const done = rebase(
        tr,
        own.map(o => o.step),
        theirs.map(s => s.getMap()),
      )
      this.own = done.steps.map((step, i) => ({ step, before: tr.docs[from + i]! }))
      this.doc = tr.doc
      this.base = stored
      this.rev = record.rev
      return done
    }
    const { lost } = this.carry ? this.carry(work) : work(new Transform(this.doc))
    this.keep()
    if (lost.length) await keepPieces(this.book, this.section, lost)
  }

  private fail(): void {
    this.say('not saved')
    this.later(RETRY[Math.min(this.failures++, RETRY.length - 1)]!)
  }

  private later(ms: number): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => void this.flush(), ms)
  }

  private keep(): void {
    const batch = (nth: number, list: Own[]): JournalEntry['batches'] =>
      list.length ? [{ nth, steps: writeSteps(list.map(o => o.step)) }] : []
    const batches = [
      ...batch(this.nth, this.own.slice(0, this.sent)),
      ...batch(this.nth + 1, this.own.slice(this.sent)),
    ]
    const kept = keepInJournal({
      key: journalKey(this.book, this.section),
      window: windowId,
      book: this.book,
      section: this.section,
      rev: this.rev,
      pen: this.name,
      batches,
      turn: ++this.turn,
    })
    this.bare = !kept && batches.length > 0
    if (this.bare) this.say('not saved')
  }

  private say(state: Saving): void {
    if (state === this.state) return
    this.state = state
    this.listeners.forEach(l => l())
  }
}

/** Pens that write or still have to. */
const pens = new Map<string, Pen>()

/** The pen of a section: the one that still has words of it, or a new one on the text as it stands. */
export function penFor(book: string, section: string, rev: number, doc: DocJson): Pen {
  const key = `${book}/${section}`
  const known = pens.get(key)
  if (known && (known.pending || known.revision >= rev)) return known
  // The first key finds the journal ready; rooms without a pen have no part in it.
  readyJournal()
  const pen = new Pen(book, section, rev, schema.nodeFromJSON(doc))
  pens.set(key, pen)
  return pen
}

/** Writes what any pen of a book (or of any) still holds. */
export const flushPens = async (book?: string): Promise<void> =>
  void (await Promise.all([...pens.values()].filter(p => p.pending && (!book || p.book === book)).map(p => p.flush())))

/** Whether closing the window now would lose words: only where neither the store nor the journal could take them. */
export const wordsAtRisk = (): boolean => [...pens.values()].some(p => p.atRisk)

// A window that is left, hidden or closed writes what it holds; it asks to be kept open only where nothing could take it.
if (typeof document !== 'undefined') {
  const leave = (): void => void flushPens()
  addEventListener('pagehide', leave)
  document.addEventListener('visibilitychange', leave)
  addEventListener('beforeunload', e => {
    if (wordsAtRisk()) e.preventDefault()
  })
}
