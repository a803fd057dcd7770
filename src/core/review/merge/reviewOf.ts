import { type BlockJson, blockIds, type Book, type Section } from '@/core/book'
import { wordsBetween } from '@/core/compare'
import { steadyList } from '@/core/trade'
import type { ReviewOf } from '../returned'
import type { DifferenceKind, ReviewDifference } from './difference'
import { type Group, groupOf } from './groups'
import { bare, type Layout, layoutOf, said } from './layout'
import { type Change, type Merged, merged } from './merged'
import { type Move, movesBetween, standsAlike } from './moves'
import { recordChanges } from './record'
import { sameDifference } from './sameDifference'
import { factKey, factOf, type SectionFact, sectionFacts } from './sectionFacts'
import { partsOf } from './shown'
import { textOfTokens } from './tokens'
import { whoOf } from './who'

/** A group of blocks with what it became on the other side and here. */
export interface GroupMerge {
  group: Group
  /** Blocks that stand there now. */
  own: readonly BlockJson[]
  merged: Merged
  /** What was refused then. */
  left: ReadonlySet<string>
}

/** Everything that differs, as it is shown; and as it is carried out. */
export interface Against {
  differences: readonly ReviewDifference[]
  groups: readonly GroupMerge[]
}

/** What is the same whatever the author writes: worked out once. */
export interface Review extends ReviewOf {
  layouts: { sent: Layout; back: Layout }
  groups: readonly Group[]
  moves: readonly Move[]
  came: readonly string[]
  went: readonly string[]
}

export function reviewOf(of: ReviewOf): Review {
  const layouts = { sent: layoutOf(of.sent), back: layoutOf(of.back) }
  const { sent, back } = layouts
  const shared = [...sent.blocks.keys()].filter(id => back.blocks.has(id))
  const groups = shared
    .filter(id => bare(sent.blocks.get(id)!.block) !== bare(back.blocks.get(id)!.block))
    .map(id => groupOf(id, sent, back))
  const [parts, joined] = [new Set(groups.flatMap(g => g.after)), new Set(groups.flatMap(g => g.before))]
  // What came or went with its whole section, or stands in one that came or went, is that section's.
  const withSections = ({ id, section }: Move): boolean =>
    back.sections.has(sent.blocks.get(id)!.section) && sent.sections.has(section)
  return {
    ...{ ...of, layouts, groups, moves: movesBetween(sent, back).filter(withSections) },
    came: [...back.blocks.values()]
      .filter(b => !sent.blocks.has(b.id) && !parts.has(b.id) && sent.sections.has(b.section))
      .map(b => b.id),
    went: [...sent.blocks.values()]
      .filter(b => !back.blocks.has(b.id) && !joined.has(b.id) && back.sections.has(b.section))
      .map(b => b.id),
  }
}

/** What of a return is not in the book as it is now. `left`: keys of what was refused. */
export function against(review: Review, now: Book, left: ReadonlySet<string>): Against {
  const own = layoutOf(now)
  const groups = review.groups.map(group => groupMerge(review, group, own, left))
  const seen = new Seen(review, own, left)
  groups.forEach(seen.changed)
  review.moves.forEach(seen.moved)
  review.came.forEach(seen.came)
  review.went.forEach(seen.went)
  seen.sections(now)
  for (const c of recordChanges(review.sent, review.back, now))
    seen.add('record', c.key, { parts: c.parts, about: c.about, ...(c.clash && { clash: c.clash }) })
  const differences = steadyList(latest.get(review) ?? [], seen.inOrder(now), d => d.key, sameDifference)
  latest.set(review, differences)
  return { differences, groups }
}

/** What was shown of a review last. */
const latest = new WeakMap<Review, readonly ReviewDifference[]>()

function groupMerge(
  { layouts: { sent, back } }: Review,
  group: Group,
  now: Layout,
  left: ReadonlySet<string>,
): GroupMerge {
  const blocks = (layout: Layout, ids: readonly string[]): BlockJson[] =>
    ids.flatMap(id => layout.blocks.get(id)?.block ?? [])
  const there = group.before.filter(id => now.blocks.has(id))
  // What the author divided it into stands with it; what came of theirs and was no part of it there is none here.
  const parts = (id: string): readonly string[] =>
    groupOf(id, sent, now).after.filter(b => b === id || group.after.includes(b) || !back.blocks.has(b))
  const ids = [...new Set(there.flatMap(parts))]
  // What is there since it was taken from them is theirs.
  const taken = group.after.filter(id => !sent.blocks.has(id) && now.blocks.has(id) && !ids.includes(id))
  const own = inOrderOf(now, [...ids, ...taken])
  // What nobody wrote at since is as it was.
  const was = merges.get(group)
  if (was && was.left === left && was.own.length === own.length && was.own.every((b, i) => b === own[i])) return was
  const name = group.before[0]!
  const made: GroupMerge = {
    ...{ group, own },
    merged: own.length
      ? merged(blocks(sent, group.before), blocks(back, group.after), own, { name, left })
      : { now: [], changes: [] },
    left,
  }
  merges.set(group, made)
  return made
}

/** What became of groups when they were last looked at. */
const merges = new WeakMap<Group, GroupMerge>()

const inOrderOf = (layout: Layout, ids: readonly string[]): BlockJson[] =>
  ids
    .map(id => layout.blocks.get(id)!)
    .sort((a, b) => a.index - b.index)
    .map(p => p.block)

/** Collects differences, each with its place and whom it is from. */
class Seen {
  private readonly out: ReviewDifference[] = []
  /** What the author moved since; what stands elsewhere in what came back than it does now. */
  private own: readonly Move[] | undefined
  private open: ReadonlySet<string> | undefined

  constructor(
    private readonly review: Review,
    private readonly now: Layout,
    private readonly left: ReadonlySet<string>,
  ) {}

  add(
    kind: DifferenceKind,
    key: string,
    rest: Pick<ReviewDifference, 'parts'> & Partial<ReviewDifference>,
    at = '',
  ): void {
    if (this.left.has(key)) return
    this.out.push({
      key,
      kind,
      ...whoOf(this.review, { block: at, section: rest.section, parts: rest.parts }),
      ...rest,
    })
  }

  /** Where something stands that is not here: behind what stood before it there. */
  private near(id: string, layout: Layout): Partial<ReviewDifference> {
    const placed = layout.blocks.get(id)!
    const section = layout.sections.get(placed.section)!
    const before = section.doc.content.slice(0, placed.index).findLast(b => this.now.blocks.has(b.attrs.id))?.attrs.id
    const found = before === undefined ? undefined : this.now.blocks.get(before)
    if (found) return { section: found.section, block: found.id }
    const own = this.now.sections.get(placed.section)
    return own ? { section: own.id, block: own.doc.content[0]!.attrs.id } : {}
  }

  private place(id: string): Partial<ReviewDifference> {
    const placed = this.now.blocks.get(id)
    return placed ? { section: placed.section, block: id } : {}
  }

  readonly changed = ({ group, own, merged: { now, changes } }: GroupMerge): void => {
    const [id] = group.before as [string]
    if (!own.length) return this.gone(group)
    for (const c of changes) {
      const { parts, kind, place } = partsOf(now, c)
      const clash = c.clash ? { clash: threeTexts(c) } : {}
      const block = own.find(b => b.attrs.id === place?.block || holds(b, place?.block)) ?? own[0]!
      this.add(kind, c.key, { ...this.place(block.attrs.id), ...(place && { place }), parts, ...clash }, id)
    }
  }

  /** They changed what the author has taken out since. */
  private gone(group: Group): void {
    const { sent, back } = this.review.layouts
    const [id] = group.before as [string]
    const text = (layout: Layout, ids: readonly string[]): string =>
      ids.map(b => said(layout.blocks.get(b)!.block)).join('\n')
    const [was, is] = [text(sent, group.before), text(back, group.after)]
    const clash = { sent: was, theirs: is, yours: '' }
    this.add('words', `${id}/gone`, { ...this.near(id, sent), parts: wordsBetween(was, is), clash }, id)
  }

  readonly moved = ({ id, section }: Move): void => {
    const { sent, back } = this.review.layouts
    if (!this.now.blocks.has(id)) return
    this.open ??= new Set(movesBetween(this.now, back).map(m => m.id))
    if (standsAlike(id, back, this.now) && !this.open.has(id)) return
    this.own ??= movesBetween(sent, this.now)
    const text = said(this.now.blocks.get(id)!.block)
    const clash = this.own.some(m => m.id === id)
      ? { clash: { sent: this.where(id, sent), theirs: this.where(id, back), yours: this.where(id, this.now) } }
      : {}
    const about = `moved ${this.where(id, back)}`
    this.add('moved', `${id}/to ${section}`, { ...this.place(id), parts: [{ is: 'same', text }], about, ...clash }, id)
  }

  private where(id: string, layout: Layout): string {
    const { section, index } = layout.blocks.get(id)!
    const content = layout.sections.get(section)!
    const before = content.doc.content[index - 1]
    const title = content.title || 'its section'
    return before ? `behind “${opening(said(before))}”` : `to the head of ${title}`
  }

  readonly came = (id: string): void => {
    if (this.now.blocks.has(id)) return
    const { back } = this.review.layouts
    const { block } = back.blocks.get(id)!
    const text = said(block) || `[${names[block.type] ?? block.type}]`
    this.add('came', `${id}/came`, { ...this.near(id, back), parts: [{ is: 'new', text }] }, id)
  }

  readonly went = (id: string): void => {
    const own = this.now.blocks.get(id)
    if (!own) return
    const was = this.review.layouts.sent.blocks.get(id)!.block
    const text = said(own.block) || `[${names[own.block.type] ?? own.block.type}]`
    const clash =
      bare(was) === bare(own.block) ? {} : { clash: { sent: said(was), theirs: '', yours: said(own.block) } }
    this.add('went', `${id}/went`, { ...this.place(id), parts: [{ is: 'gone', text }], ...clash }, id)
  }

  sections(now: Book): void {
    const { sent, back } = this.review.layouts
    for (const [id, s] of back.sections) {
      const [was, own] = [sent.sections.get(id), this.now.sections.get(id)]
      if (!was) {
        if (!own) this.sectionCame(s)
      } else if (own) {
        for (const field of ['title', 'subtitle'] as const)
          this.titled(`${id}/${field}/${s[field] ?? ''}`, {
            id,
            was: was[field] ?? '',
            theirs: s[field] ?? '',
            yours: own[field] ?? '',
          })
        for (const fact of sectionFacts) this.fact(fact, { was, theirs: s, yours: own })
      }
    }
    for (const [id, was] of sent.sections) {
      const own = this.now.sections.get(id)
      if (!own || back.sections.has(id)) continue
      this.sectionWent(was, own)
    }
    this.orderOfSections(now)
  }

  /** A section that came: what of it is new; what stood elsewhere goes there. */
  private sectionCame(s: Section): void {
    const { sent } = this.review.layouts
    const fresh = s.doc.content.filter(b => !sent.blocks.has(b.attrs.id))
    const about = fresh.length === s.doc.content.length ? 'a whole section' : 'a section begins here'
    const first = s.doc.content.find(b => this.now.blocks.has(b.attrs.id))
    const place = first ? this.place(first.attrs.id) : {}
    this.add(
      'came',
      `${s.id}/came`,
      { ...place, parts: [{ is: 'new', text: wholeOf({ ...s, doc: { ...s.doc, content: fresh } }) }], about },
      s.id,
    )
  }

  /** A section that went: what of it stands nowhere any more. */
  private sectionWent(was: Section, own: Section): void {
    const { back } = this.review.layouts
    const gone = own.doc.content.filter(b => !back.blocks.has(b.attrs.id))
    const joined = gone.length < own.doc.content.length
    const changed = joined
      ? gone.some(b => was.doc.content.every(w => bare(w) !== bare(b)))
      : was.title !== own.title || bareDoc(was) !== bareDoc(own)
    const clash = changed ? { clash: { sent: wholeOf(was), theirs: '', yours: wholeOf(own) } } : {}
    const about = joined ? 'its text goes on in the section before' : 'a whole section'
    const text = wholeOf({ ...own, doc: { ...own.doc, content: gone } })
    this.add('went', `${own.id}/went`, { section: own.id, parts: [{ is: 'gone', text }], about, ...clash }, own.id)
  }

  private titled(
    key: string,
    { id, was, theirs, yours }: { id: string; was: string; theirs: string; yours: string },
  ): void {
    if (theirs === was || theirs === yours) return
    const clash = yours === was ? {} : { clash: { sent: was, theirs, yours } }
    this.add('title', key, { section: id, parts: wordsBetween(yours, theirs), ...clash }, id)
  }

  /** What a section is, whether it is counted, and the like. */
  private fact(fact: SectionFact, all: { was: Section; theirs: Section; yours: Section }): void {
    const [was, theirs, yours] = [all.was, all.theirs, all.yours].map(s => factOf(fact, s))
    if (theirs === was || theirs === yours) return
    const [sent, came, gone] = [all.was, all.theirs, all.yours].map(fact.says) as [string, string, string]
    this.add(
      'set',
      factKey(fact, all.theirs),
      {
        section: all.yours.id,
        parts: [
          { is: 'gone', text: gone },
          { is: 'new', text: came },
        ],
        about: fact.about,
        ...(yours !== was && { clash: { sent, theirs: came, yours: gone } }),
      },
      all.yours.id,
    )
  }

  private orderOfSections(now: Book): void {
    const order = (book: Book): string[] =>
      book.sections
        .map(s => s.id)
        .filter(
          id =>
            this.review.layouts.sent.sections.has(id) &&
            this.review.layouts.back.sections.has(id) &&
            this.now.sections.has(id),
        )
    const [was, theirs, yours] = [order(this.review.sent), order(this.review.back), order(now)]
    if (theirs.join() === was.join() || theirs.join() === yours.join()) return
    const title = (id: string): string => this.now.sections.get(id)!.title || id
    const text = (ids: readonly string[]): string => ids.map(title).join(' · ')
    const clash =
      yours.join() === was.join() ? {} : { clash: { sent: text(was), theirs: text(theirs), yours: text(yours) } }
    this.add('moved', 'sections/order', {
      parts: wordsBetween(text(yours), text(theirs)),
      about: 'sections in another order',
      ...clash,
    })
  }

  /** In the order of the book as it is now; what is of no place last. */
  inOrder(now: Book): ReviewDifference[] {
    const sections = new Map(now.sections.map((s, i) => [s.id, i]))
    const rank = (d: ReviewDifference): number[] => [
      d.section === undefined ? Infinity : (sections.get(d.section) ?? Infinity),
      d.block === undefined ? -1 : (this.now.blocks.get(d.block)?.index ?? Infinity),
      d.place?.from ?? 0,
    ]
    return this.out
      .map(d => ({ d, at: rank(d) }))
      .sort((a, b) => {
        const i = a.at.findIndex((n, k) => n !== b.at[k])
        return i < 0 ? 0 : a.at[i]! < b.at[i]! ? -1 : 1
      })
      .map(x => x.d)
  }
}

/** Whether a block stands in another. */
const holds = (block: BlockJson, id: string | undefined): boolean =>
  id !== undefined && blockIds({ type: 'doc', content: [block] }).includes(id)

const threeTexts = (c: Change) => ({
  sent: textOfTokens(c.sent),
  theirs: textOfTokens(c.theirs),
  yours: textOfTokens(c.yours),
})

const names: Record<string, string> = {
  scene_break: 'scene break',
  page_break: 'page break',
  image: 'picture',
  table: 'table',
}

const OPENING = 40
const opening = (text: string): string => (text.length > OPENING ? `${text.slice(0, OPENING).trimEnd()} …` : text)
const wholeOf = (s: Section): string => [s.title, ...s.doc.content.map(said)].filter(Boolean).join('\n')
const bareDoc = (s: Section): string => s.doc.content.map(bare).join('\n')
