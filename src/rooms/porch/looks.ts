import { Cancelled } from '@/core/trade'
import type { Outlook } from '@/core/chain'
import type { Difference } from '@/core/outlets'
import type { Entry } from './useEntries'

/** What the press has found out about one book so far. */
export interface Look {
  /** The address of its front's picture, where it has one. */
  front?: string
  outlook?: Outlook
  /** How it has moved on from what is on sale, by edition and outlet. */
  drifts?: Record<string, Difference[]>
  /** Why it cannot be shown. */
  bad?: string
}

/** In this order, each for all books: they are known by their fronts, so these come first. */
const stages = ['front', 'outlook', 'drifts'] as const
type Stage = (typeof stages)[number]

/** Who knows: the press. Each question rejects with `Cancelled` where the press was stopped. */
export interface Asked {
  front(id: string): Promise<Blob | undefined>
  outlook(id: string): Promise<Outlook | undefined>
  drifts(entry: Entry): Promise<Record<string, Difference[]>>
}

const nothing: Look = {}

/**
 * Looks at all books of the porch, one after the other, and tells those who draw them: each row hears of its own book only, so that a
 * thousand of them are not drawn anew for one front. A book that fails says why and holds up no other.
 */
export class Looks {
  private readonly looks = new Map<string, Look>()
  private readonly waiting: Record<Stage, Set<string>> = { front: new Set(), outlook: new Set(), drifts: new Set() }
  private readonly rows = new Map<string, Set<() => void>>()
  private readonly onlookers = new Set<() => void>()
  private readonly entries = new Map<string, Entry>()
  private state: { turn: number; stopped: boolean; trouble?: string } = { turn: 0, stopped: false }
  private running = false
  private attended = false

  constructor(private readonly asked: Asked) {}

  /** What is known of a book; the same object until more is. */
  readonly of = (id: string): Look => this.looks.get(id) ?? nothing
  /** Where the work stands; another object after each step. */
  readonly now = (): { turn: number; stopped: boolean; trouble?: string } => this.state

  /** Hears of one book. Gives what ends the hearing. */
  readonly onBook = (id: string, listener: () => void): (() => void) => {
    const mine = this.rows.get(id) ?? new Set()
    this.rows.set(id, mine.add(listener))
    return () => void mine.delete(listener)
  }

  /** Hears of all books. */
  readonly onAny = (listener: () => void): (() => void) => {
    this.onlookers.add(listener)
    return () => void this.onlookers.delete(listener)
  }

  /** Works as long as somebody looks on. Gives what ends it. */
  attend(): () => void {
    this.attended = true
    this.run()
    return () => {
      this.attended = false
      // Nobody may look on for a moment only: while the room is drawn anew.
      setTimeout(() => !this.attended && this.letGo())
    }
  }

  /** Looks at these books, and anew at those that have changed since; holds what is on sale against what they are now. */
  see(entries: Entry[]): void {
    for (const e of entries) {
      if (this.entries.get(e.id)?.told !== e.told) this.lookAgain(e.id)
      else if (this.entries.get(e.id) !== e) this.waiting.drifts.add(e.id)
      this.entries.set(e.id, e)
    }
    this.run()
  }

  /** Looks at a book anew; what is shown of it stays until more is known, but for its trouble. */
  lookAgain(id: string): void {
    if (this.of(id).bad) this.know(id, { bad: undefined })
    for (const s of stages) this.waiting[s].add(id)
    this.run()
  }

  /** Goes on after the press was stopped. */
  goOn(): void {
    this.tell({ stopped: false })
    this.run()
  }

  /** Says that something went wrong which is no book's own trouble. */
  readonly fail = (e: Error): void => this.tell(e instanceof Cancelled ? { stopped: true } : { trouble: e.message })

  private run(): void {
    if (this.running) return
    this.running = true
    this.work().catch((e: Error) => {
      this.running = false
      this.fail(e)
    })
  }

  private async work(): Promise<void> {
    // What is asked for in one go is waited for: the first look then knows what comes first.
    await Promise.resolve()
    for (;;) {
      const stage = stages.find(s => this.waiting[s].size)
      if (!stage || !this.attended || this.state.stopped) {
        this.running = false
        return
      }
      const id = this.waiting[stage].values().next().value!
      // Who asks for it while it is being looked at wants it looked at once more.
      this.waiting[stage].delete(id)
      try {
        this.know(id, await this.look(id, stage))
      } catch (e) {
        if (e instanceof Cancelled) {
          this.waiting[stage].add(id)
          throw e
        }
        this.know(id, { bad: (e as Error).message })
        for (const s of stages) this.waiting[s].delete(id)
      }
    }
  }

  private async look(id: string, stage: Stage): Promise<Partial<Look>> {
    if (stage === 'outlook') return { outlook: await this.asked.outlook(id) }
    if (stage === 'drifts') return { drifts: await this.asked.drifts(this.entries.get(id)!) }
    const [front, before] = [await this.asked.front(id), this.of(id).front]
    if (before) URL.revokeObjectURL(before)
    return { front: front && URL.createObjectURL(front) }
  }

  private letGo(): void {
    for (const { front } of this.looks.values()) if (front) URL.revokeObjectURL(front)
  }

  private know(id: string, more: Partial<Look>): void {
    this.looks.set(id, { ...this.of(id), ...more })
    this.rows.get(id)?.forEach(l => l())
    this.tell({})
  }

  private tell(state: Partial<typeof this.state>): void {
    this.state = { ...this.state, ...state, turn: this.state.turn + 1 }
    this.onlookers.forEach(l => l())
  }
}
