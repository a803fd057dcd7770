import { type Book, type Edition, pairKey } from '@/core/book'
import type { Figures, Leaves } from '@/core/chain'
import { Cancelled, type OutletProfile } from '@/core/trade'
import type { HeldBook } from '@/data/books'
import type { Hold } from '@/data/writer'

/** A book as rooms show it: its chosen edition's figures (and leaves, if asked for) as of `version`; `was` are the figures before the last change. */
export interface OpenBook {
  book?: Book
  /** The outlets that there are: all of them where there is a book. */
  outlets: readonly OutletProfile[]
  /** Revision of each section's record. */
  revs?: Map<string, number>
  edition?: Edition
  /** The outlet whose figures are shown. */
  outletId?: string
  leaves?: Leaves
  figures?: Figures
  was?: Figures
  version: number
  /** The press is at work on a newer state. */
  settling: boolean
  trouble?: string
  /** The author stopped the press before it was done; `again` lets it go on. */
  stopped: boolean
  again: () => void
  missing: boolean
  undo?: string
  redo?: string
  /** Whether this window writes the book or follows another. */
  hold: Hold
}

/** Which editions a room looks at. */
export type Look = 'any' | 'print' | 'ebook'

/** What a room wants of the book that it opens. */
export interface Wanted {
  /** Its pages, too. */
  leaves?: boolean
  /** Rooms of pages and covers look at print editions only, the reading room at ebooks; others at any. */
  look?: Look
  /** Done with a new state before the whole book is set anew. */
  first?: (editionId: string, outletId: string | undefined) => Promise<void>
}

export interface History {
  undo?: string
  redo?: string
}

/** Where a book comes from and who sets it. Each `watch` tells at once and again at each change, and gives what ends it. */
export interface Sources {
  /** `held`: the state that is known, of which the same parts stay the same objects. */
  watchBook(held: () => HeldBook | undefined, tell: (book: HeldBook | null) => void, fail: Failed): () => void
  watchOutlets(tell: (outlets: readonly OutletProfile[]) => void, fail: Failed): () => void
  watchHistory(tell: (history: History) => void, fail: Failed): () => void
  /** Asks for the right to write the book, as long as it is watched. */
  watchHold(tell: (hold: Hold) => void): () => void
  /** The press starts while the book is still being read from the store. */
  warmUp(): void
  open(book: Book, outlets: readonly OutletProfile[]): Promise<void>
  leaves(editionId: string): Promise<Leaves>
  figures(editionId: string, outletId: string | undefined): Promise<Figures>
  /** What to say where the press died twice at this book; undefined for any other failure. */
  died(e: Error): string | undefined
}

type Failed = (e: Error) => void

/** What the press has found out about one edition at one outlet. */
interface Shown {
  leaves?: Leaves
  figures: Figures
  was?: Figures
  version: number
}

interface State {
  /** Null where there is no such book. */
  held?: HeldBook | null
  outlets?: readonly OutletProfile[]
  undo?: string | undefined
  redo?: string | undefined
  hold: Hold
  choice: { edition?: string; outlet?: string }
  /** By edition and outlet. */
  shown: ReadonlyMap<string, Shown>
  settling: boolean
  trouble?: string
  stopped: boolean
  /** What the store threw. */
  fault?: Error
}

/** An answer that comes sooner is shown without a word of waiting, milliseconds. */
const A_MOMENT = 120

/**
 * One book that is open in this window: what the store says of it, which edition is looked at, and what the press makes of that,
 * as one observable snapshot. Each state is set once; an answer that a newer state has overtaken is not shown. It stays what it
 * was while a room is left for another, so that the next one begins with it.
 */
export class OpenedBook {
  private state: State = {
    hold: 'asking',
    choice: {},
    shown: new Map(),
    settling: true,
    stopped: false,
  }
  private readonly listeners = new Set<() => void>()
  private readonly views = new Map<Look, { of: State; view: OpenBook }>()
  /** The room that looks on. */
  private wanted?: Wanted
  /** Whether the store has answered since it does. */
  private fresh = false
  private asked: readonly unknown[] = []
  private turn = 0
  private round = 0
  private restarted = false
  private late?: ReturnType<typeof setTimeout>

  constructor(private readonly sources: Sources) {}

  /** Hears of each new state. Gives what ends the hearing. */
  readonly on = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => void this.listeners.delete(listener)
  }

  /** The newest state of it that is known. */
  readonly held = (): HeldBook | undefined => this.state.held ?? undefined

  /** The snapshot; the same object until something of it changes. Throws what the store threw. */
  now(look: Look): OpenBook {
    if (this.state.fault) throw this.state.fault
    const known = this.views.get(look)
    if (known?.of === this.state) return known.view
    const view = this.viewOf(this.state, look)
    this.views.set(look, { of: this.state, view })
    return view
  }

  /** Keeps it up to date for a room. Gives what ends that. */
  attend(wanted: Wanted): () => void {
    const { sources } = this
    this.wanted = wanted
    this.fresh = false
    this.asked = []
    this.change({ settling: true, stopped: false })
    sources.warmUp()
    const fail = (fault: Error): void => this.change({ fault })
    const ends = [
      sources.watchBook(
        this.held,
        held => {
          this.fresh = true
          this.change({ held })
        },
        fail,
      ),
      sources.watchOutlets(outlets => this.change({ outlets }), fail),
      sources.watchHistory(({ undo, redo }) => this.change({ undo, redo }), fail),
      sources.watchHold(hold => this.change({ hold })),
    ]
    return () => {
      for (const end of ends) end()
      clearTimeout(this.late)
      // What is still on its way is of no use to the next room, and its failure not its trouble.
      this.turn++
      this.wanted = undefined
      this.change({ fault: undefined, trouble: undefined })
    }
  }

  /** Looks at this edition from now on, as this outlet has it. */
  choose(edition: string, outlet?: string): void {
    this.change({ choice: { edition, outlet } })
  }

  /** Takes a newer state that was read beside it. */
  take(held: HeldBook): void {
    this.change({ held })
  }

  /** Asks the press once more. */
  readonly again = (): void => {
    this.round++
    this.ask()
  }

  private change(part: Partial<State>): void {
    // What says the same as before is drawn by nobody.
    const names = Object.keys(part) as (keyof State)[]
    if (names.some(name => this.state[name] !== part[name])) {
      this.state = { ...this.state, ...part }
      for (const l of this.listeners) l()
    }
    this.ask()
  }

  private looksAt(look: Look): { edition?: Edition; outletId?: string; key: string } {
    const { held, choice } = this.state
    const editions = held?.book.editions.filter(e => look === 'any' || (e.kind === 'ebook') === (look === 'ebook'))
    const edition =
      editions?.find(e => e.id === choice.edition) ?? editions?.find(e => e.kind !== 'ebook') ?? editions?.[0]
    const own = choice.outlet && choice.edition === edition?.id && edition?.outlets.includes(choice.outlet)
    const outletId = own ? choice.outlet : edition?.outlets[0]
    return { edition, outletId, key: pairKey(edition?.id ?? '', outletId ?? '') }
  }

  private viewOf(s: State, look: Look): OpenBook {
    const { edition, outletId, key } = this.looksAt(look)
    const shown = s.shown.get(key)
    // Without its outlets nothing can be said of a book.
    const book = s.outlets && s.held?.book
    return {
      outlets: s.outlets ?? [],
      version: 0,
      ...shown,
      ...(book ? { book, edition, outletId } : {}),
      revs: s.held?.revs,
      settling: s.settling,
      trouble: s.trouble,
      stopped: s.stopped,
      again: this.again,
      missing: s.held === null,
      undo: s.undo,
      redo: s.redo,
      hold: s.hold,
    }
  }

  /** Asks the press what follows from the state, where it was not asked yet. */
  private ask(): void {
    const { held, outlets } = this.state
    if (!this.wanted || !this.fresh || !held || !outlets) return
    const { edition, outletId, key } = this.looksAt(this.wanted.look ?? 'any')
    if (!edition) return
    const question = [held.book, outlets, edition.id, edition.kind, outletId, this.round]
    if (question.every((q, i) => q === this.asked[i])) return
    this.asked = question
    const turn = ++this.turn
    if (this.state.stopped) this.change({ stopped: false })
    clearTimeout(this.late)
    this.late = setTimeout(() => this.change({ settling: true }), A_MOMENT)
    const pages = !!this.wanted.leaves && edition.kind !== 'ebook'
    void this.settle(held.book, outlets, { editionId: edition.id, outletId, pages }).then(
      answer => this.turn === turn && this.show(key, { ...answer, version: turn }),
      e => this.turn === turn && this.fail(e),
    )
  }

  private async settle(
    book: Book,
    outlets: readonly OutletProfile[],
    at: { editionId: string; outletId?: string; pages: boolean },
  ): Promise<{ leaves?: Leaves; figures: Figures }> {
    const start = performance.now()
    const opened = this.sources.open(book, outlets)
    // Asked for at once: the press takes the book before it looks.
    const seen = this.wanted?.first?.(at.editionId, at.outletId)
    await opened
    await seen
    const leaves = at.pages ? await this.sources.leaves(at.editionId) : undefined
    performance.measure('porchlight pages', { start })
    const figures = await this.sources.figures(at.editionId, at.outletId)
    // For the bench, and for whoever looks into the browser's own timeline.
    performance.measure('porchlight press', { start })
    return { ...(leaves ? { leaves } : {}), figures }
  }

  private show(key: string, answer: Shown): void {
    this.restarted = false
    clearTimeout(this.late)
    const was = this.state.shown.get(key)?.figures
    const shown = new Map(this.state.shown).set(key, { ...answer, was })
    this.change({ shown, trouble: undefined, settling: false })
  }

  private fail(e: Error): void {
    const died = this.sources.died(e)
    clearTimeout(this.late)
    if (e instanceof Cancelled) this.change({ stopped: true, settling: false })
    // Once it is started anew by itself; what breaks it again is the book's own trouble, and said.
    else if (died && !this.restarted) {
      this.restarted = true
      this.again()
    } else this.change({ trouble: died ?? e.message, settling: false })
  }
}
