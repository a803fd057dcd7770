import type { FlowItem, FlowNote } from './flow'

/**
 * Cuts a chapter into pages by optimisation over the whole chapter. The wishes, in strict order: nothing overflows; no widow,
 * no orphan, no heading at the foot; facing pages end on the same line; the last page has five lines; no hyphen at a recto's foot.
 * The means: a paragraph a line longer or shorter, a spread a line short or long, breaks a line wider.
 */
export interface PageFrame {
  /** Lines of a full page. */
  lines: number
  leading: number
  /** Height of the rule and space over the notes, points. */
  noteRule: number
  /** Side of the chapter's first page. */
  first: 'recto' | 'verso'
  /** A spread may also be a line long, into the foot margin. */
  mayBeLong?: boolean
  /** How many ways of setting the chapter so far are kept; more find more, and take longer. */
  beam?: number
}

/** A stretch of an item on a page. */
export interface Placement {
  item: number
  variant: number
  from: number
  to: number
  row: number
  /** The item's lead stands above. */
  led: boolean
}

export interface CutPage {
  placements: Placement[]
  notes: FlowNote[]
  /** Lines by which this spread is short on purpose; −1 is a line long. */
  short: number
  /** Lines used, notes not counted. */
  filled: number
  /** The item that has this page for itself. */
  leaf?: number
}

/** Wishes that could not be met, counted. */
export interface Unmet {
  widows: number
  strandedHeads: number
  unevenSpreads: number
  shortLastPage: number
  hyphensAtRectoFoot: number
}

/** A wish that could not be met, and the page where it shows. */
export interface UnmetAt {
  wish: keyof Unmet
  page: number
}

const FORBIDDEN = 1e9
const UNEVEN = 1e6
const SOLID_GAP = 8e1
const SHORT_LAST = 1e4
const HOLD = 5e3
const RECTO_HYPHEN = 1e3
const SHORT_SPREAD = 3e2
const FLEX = 2.5e2
const LEAST_LAST = 5
const BEAM = 32

/** How an item holds to what follows it. */
const Keep = { free: 0, hadBetter: 1, must: 2 } as const
type Keep = (typeof Keep)[keyof typeof Keep]
/** How a page ends, in one number: how short it is, and how its last item holds to the next. */
const endOf = (short: number, keep: Keep): number => (short + 1) * 4 + keep

const keepOf = (item: FlowItem): Keep => (item.keepNext ? Keep.must : item.holdNext ? Keep.hadBetter : Keep.free)

/** A stretch of an item on one page, with the page's shortness. */
interface Segment {
  page: number
  row: number
  from: number
  to: number
  short: number
  led: boolean
}

/** Where the chapter stands after an item. */
interface State {
  page: number
  /** Pages that the next turn leaves to pictures. */
  leaves: number
  fill: number
  noteHeight: number
  short: number
  /** Whether what follows must begin on the last item's page (a heading), or had better. */
  keep: Keep
  /** Space below the last item, due if something follows on this page. */
  owed: number
  cost: number
  prev: State | null
  variant: number
  segments: Segment[]
}

/** A place on a page where an item's lines from `done` on are to be laid, and how it came there. */
interface Entry {
  page: number
  /** Pages that the next turn leaves to pictures. */
  leaves: number
  fill: number
  noteHeight: number
  short: number
  done: number
  segments: Segment[]
  cost: number
  /** The item's lead stands above it here. */
  led: boolean
}

export function paginate(items: FlowItem[], frame: PageFrame): { pages: CutPage[]; unmet: Unmet; unmetAt: UnmetAt[] } {
  const { isRecto, noteRows, last } = new Cutter(frame).cut(items)
  return rebuild(items, last, frame, isRecto, noteRows)
}

/** The search itself. A class, since its methods stay compiled from chapter to chapter where inner functions would be compiled anew for each. */
class Cutter {
  private readonly lines: number
  private readonly startsRecto: boolean
  private readonly choices: readonly number[]
  private next = new Map<number, State>()
  /** Entries at the top of the next page, by line and shortness: filled while one item is laid on one page. */
  private readonly turned = new Map<number, Entry>()
  /** Height of the notes under the first k lines that are laid where `layOn` is at; only counted out where there are notes. */
  private heights: number[] | undefined

  constructor(private readonly frame: PageFrame) {
    this.lines = frame.lines
    this.startsRecto = frame.first === 'recto'
    this.choices = frame.mayBeLong ? [0, 1, -1] : [0, 1]
  }

  readonly isRecto = (page: number): boolean => (page % 2 === 0) === this.startsRecto
  readonly noteRows = (h: number): number =>
    h > 0 ? Math.ceil((h + this.frame.noteRule) / this.frame.leading - 1e-6) : 0

  cut(items: FlowItem[]) {
    const most = this.frame.beam ?? BEAM
    let beam = this.shortsOf(0, 0, false).map(short => startOf(short))
    for (const item of items) {
      this.next = new Map()
      for (const s of beam) {
        if (item.leaf) this.leave(s)
        else for (let v = 0; v < item.variants.length; v++) this.place(s, item, v)
      }
      beam = [...this.next.values()]
      if (beam.length > most) {
        beam.sort((a, b) => a.cost - b.cost)
        beam.length = most
      }
    }
    let last = beam[0]!
    for (const s of beam) if (finalCost(s) < finalCost(last)) last = s
    return { isRecto: this.isRecto, noteRows: this.noteRows, last }
  }

  /** What a page's shortness may be: chosen on a verso, kept on its recto. An opening recto faces another chapter's end and is free. */
  private shortsOf(short: number, page: number, afterLeaf: boolean): readonly number[] {
    return this.isRecto(page) && page > 0 && !afterLeaf ? [short] : this.choices
  }

  /** A state's key in its beam: of two with the same key only the cheaper can lead to the best. */
  private keyOf(page: number, leaves: number, fill: number, end: number, noteHeight: number): number {
    return (((page * 64 + leaves) * 256 + fill) * 16 + end) * 128 + this.noteRows(noteHeight)
  }

  /** A picture with a page of its own: the next page that comes, or this one while nothing stands on it. */
  private leave(s: State): void {
    const open = s.fill === 0
    for (const short of open ? this.shortsOf(s.short, s.page + 1, true) : [s.short]) {
      const page = open ? s.page + 1 : s.page
      const leaves = open ? 0 : s.leaves + 1
      const cost = s.cost + (open ? this.turnCost(short, page, true) : 0)
      const key = this.keyOf(page, leaves, s.fill, endOf(short, s.keep), s.noteHeight)
      const known = this.next.get(key)
      if (known && known.cost <= cost) continue
      this.next.set(key, {
        page,
        leaves,
        fill: s.fill,
        noteHeight: s.noteHeight,
        short,
        keep: s.keep,
        owed: s.owed,
        cost,
        prev: s,
        variant: 0,
        segments: [],
      })
    }
  }

  private place(s: State, item: FlowItem, v: number): void {
    const cost = s.cost + item.variants[v]!.cost
    const entries: Entry[] = []
    if (item.breakBefore && s.fill > 0) {
      const page = s.page + 1 + s.leaves
      for (const short of this.shortsOf(s.short, page, s.leaves > 0))
        entries.push({
          page,
          leaves: 0,
          fill: 0,
          noteHeight: 0,
          short,
          done: 0,
          segments: [],
          cost: cost + this.turnCost(short, page, s.leaves > 0),
          led: false,
        })
    } else {
      const flexes = s.fill > 0 ? item.flex : 0
      for (let flex = 0; flex <= flexes; flex++) {
        const space = s.fill > 0 ? Math.max(s.owed, item.before) + flex : 0
        entries.push({
          page: s.page,
          leaves: s.leaves,
          fill: s.fill + space,
          noteHeight: s.noteHeight,
          short: s.short,
          done: 0,
          segments: [],
          cost: cost + flex * FLEX,
          led: false,
        })
      }
    }
    this.lay(s, item, v, entries)
  }

  private turnCost(short: number, page: number, afterLeaf: boolean): number {
    return short && (!this.isRecto(page) || afterLeaf) ? SHORT_SPREAD : 0
  }

  /** Lays an item page by page: at the top of a page only the cheapest way of having come to the same line counts, so that a paragraph of many pages costs no more a page than a short one. */
  private lay(s: State, item: FlowItem, v: number, entries: Entry[]): void {
    let open = entries
    for (;;) {
      for (const e of open) this.layOn(s, item, v, e)
      if (!this.turned.size) return
      open = [...this.turned.values()]
      this.turned.clear()
    }
  }

  /** Lays the item's lines from `done` on at a place; where they do not fit, turns the page in every sensible way. */
  private layOn(s: State, item: FlowItem, v: number, e: Entry): void {
    const { page, leaves, fill, noteHeight, short, done, segments, cost, led } = e
    const variant = item.variants[v]!
    const rest = variant.lines - done
    const cap = this.lines - short
    const onOldPage = segments.length === 0 && page === s.page && s.fill > 0
    let fit = 0
    let heights: number[] | undefined
    if (variant.notes) {
      let height = noteHeight
      heights = [height]
      for (; fit < rest; fit++) {
        let h = height
        for (const n of variant.notes) if (n.line === done + fit) h += n.note.height
        if (fill + fit + 1 + this.noteRows(h) > cap) break
        heights.push((height = h))
      }
    } else fit = Math.max(0, Math.min(rest, cap - this.noteRows(noteHeight) - fill))
    this.heights = heights
    if (fit === rest) {
      const height = heights ? heights[fit]! : noteHeight
      const key = this.keyOf(page, leaves, fill + rest, endOf(short, keepOf(item)), height)
      const known = this.next.get(key)
      // The state is only made if it is new or better.
      if (!known || cost < known.cost) {
        const last: Segment = { page, row: fill, from: done, to: variant.lines, short, led }
        this.next.set(key, {
          page,
          leaves,
          fill: fill + rest,
          noteHeight: height,
          short,
          keep: keepOf(item),
          owed: item.after,
          cost,
          prev: s,
          variant: v,
          segments: segments.length ? [...segments, last] : [last],
        })
      }
      // What must stay with what follows may also begin on the next page, or take its last lines there, should that not fit below it; so
      // may rows of a table or of the contents, so that their last page gets its lines.
      const mayTurn = keepOf(item) || (item.solid && onOldPage && cap - s.fill <= LEAST_LAST)
      if (!mayTurn) return
      if (item.breakable) for (let k = rest - 2; k >= Math.max(1, rest - 3); k--) this.turn(s, item, v, e, k)
    }
    if (onOldPage) this.turn(s, item, v, e, 0)
    if (fit === rest) return
    if (item.breakable) for (let k = fit; k >= Math.max(1, fit - 2); k--) this.turn(s, item, v, e, k)
    if (!onOldPage && (fit === 0 || !item.breakable)) {
      // Nothing fits on an empty page: set one line (or the whole of what cannot be parted) all the same.
      if (item.breakable && rest > 1) return this.turn(s, item, v, e, 1)
      let h = noteHeight
      if (variant.notes) for (const n of variant.notes) if (n.line >= done) h += n.note.height
      const key = this.keyOf(page, leaves, Math.min(cap, fill + rest), endOf(short, keepOf(item)), h)
      if (!this.next.has(key))
        this.next.set(key, {
          page,
          leaves,
          fill: Math.min(cap, fill + rest),
          noteHeight: h,
          short,
          keep: keepOf(item),
          owed: item.after,
          cost: cost + FORBIDDEN,
          prev: s,
          variant: v,
          segments: [...segments, { page, row: fill, from: done, to: variant.lines, short, led }],
        })
    }
  }

  /** Turns the page after k more lines of an item. */
  private turn(
    s: State,
    item: FlowItem,
    v: number,
    { page, leaves, fill, noteHeight, short, done, segments, cost, led }: Entry,
    k: number,
  ): void {
    const { heights } = this
    const variant = item.variants[v]!
    const rest = variant.lines - done
    const onOldPage = segments.length === 0 && page === s.page && s.fill > 0
    const under = k && heights ? heights[Math.min(k, heights.length - 1)]! : noteHeight
    const left = Math.max(0, this.lines - short - (k ? fill + k : s.fill) - this.noteRows(under))
    let c = cost
    if (item.breakable && k > 0 && ((done + k < item.keepFirst && variant.lines > 1) || rest - k < 2)) c += FORBIDDEN
    if (s.keep && onOldPage && k < Math.min(item.keepFirst, variant.lines)) c += s.keep === Keep.must ? FORBIDDEN : HOLD
    if (left > 0) c += item.solid ? SOLID_GAP * left * left : under > 0 ? SOLID_GAP * 4 * left * left : UNEVEN * left
    if (k > 0 && this.isRecto(page) && variant.hyphens?.[done + k - 1]) c += RECTO_HYPHEN
    const set = k ? [...segments, { page, row: fill, from: done, to: done + k, short, led }] : segments
    const to = page + 1 + leaves
    for (const nextShort of this.shortsOf(short, to, leaves > 0)) {
      const key = (done + k) * 4 + nextShort + 1
      const known = this.turned.get(key)
      const total = c + this.turnCost(nextShort, to, leaves > 0)
      if (!known || total < known.cost)
        this.turned.set(key, {
          page: to,
          leaves: 0,
          fill: k + done ? 0 : leadLines(item),
          noteHeight: 0,
          short: nextShort,
          done: done + k,
          segments: set,
          cost: total,
          led: k + done === 0 && !!item.lead,
        })
    }
  }
}

const startOf = (short: number): State => ({
  page: 0,
  leaves: 0,
  fill: 0,
  noteHeight: 0,
  short,
  keep: Keep.free,
  owed: 0,
  cost: Math.abs(short) * SHORT_SPREAD,
  prev: null,
  variant: 0,
  segments: [],
})

const finalCost = (s: State): number =>
  s.cost + (s.page > 0 && s.fill > 0 && s.fill < LEAST_LAST ? SHORT_LAST * (LEAST_LAST - s.fill) : 0)

const leadLines = (item: FlowItem): number => item.lead?.lines ?? 0

/** Walks the chain of states back into pages, and counts what was wished in vain. */
function rebuild(
  items: FlowItem[],
  last: State,
  frame: PageFrame,
  isRecto: (page: number) => boolean,
  noteRows: (h: number) => number,
): { pages: CutPage[]; unmet: Unmet; unmetAt: UnmetAt[] } {
  const chain: State[] = []
  for (let s: State | null = last; s?.prev; s = s.prev) chain.push(s)
  chain.reverse()
  const pages: CutPage[] = Array.from({ length: last.page + (last.fill > 0 ? 1 : 0) + last.leaves }, () => ({
    placements: [],
    notes: [],
    short: 0,
    filled: 0,
  }))
  const unmet: Unmet = { widows: 0, strandedHeads: 0, unevenSpreads: 0, shortLastPage: 0, hyphensAtRectoFoot: 0 }
  const blameless = new Uint8Array(pages.length)
  const unmetAt: UnmetAt[] = []
  const count = (wish: keyof Unmet, page: number): void => {
    unmet[wish]++
    unmetAt.push({ wish, page })
  }
  chain.forEach((s, i) => {
    const item = items[i]!
    if (item.leaf) {
      pages[s.prev!.fill === 0 ? s.prev!.page : s.prev!.page + 1 + s.prev!.leaves]!.leaf = i
      return
    }
    const variant = item.variants[s.variant]!
    for (const g of s.segments) {
      const page = pages[g.page]!
      page.placements.push({ item: i, variant: s.variant, from: g.from, to: g.to, row: g.row, led: g.led })
      page.short = g.short
      page.filled = g.row + g.to - g.from
      for (const n of variant.notes ?? []) if (n.line >= g.from && n.line < g.to) page.notes.push(n.note)
      if (
        item.breakable &&
        g.to < variant.lines &&
        ((g.to < item.keepFirst && variant.lines > 1) || variant.lines - g.to < 2)
      )
        count('widows', g.page)
      if (g.to < variant.lines && isRecto(g.page) && variant.hyphens?.[g.to - 1]) count('hyphensAtRectoFoot', g.page)
    }
    const first = s.segments[0]!
    const before = s.prev
    if (before?.keep === Keep.must && before.page !== first.page) count('strandedHeads', before.page)
    if (before && first.page > before.page && (first.row === 0 || first.led) && (item.solid || item.breakBefore))
      blameless[before.page] = 1
  })
  for (let p = 0; p < last.page; p++) {
    const page = pages[p]!
    if (page.leaf !== undefined) continue
    const height = page.notes.reduce((h, n) => h + n.height, 0)
    if (!blameless[p] && !page.notes.length && frame.lines - page.short - noteRows(height) - page.filled > 0)
      count('unevenSpreads', p)
  }
  if (last.page > 0 && last.fill > 0 && last.fill < LEAST_LAST) count('shortLastPage', last.page)
  return { pages, unmet, unmetAt }
}
