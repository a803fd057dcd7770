import { type BlockJson, type Book, inParts, type Section, withOwnIds } from '@/core/book'
import { type Layout, standsBehind } from './layout'
import { withChanges } from './merged'
import { recordChanges, withRecordChange } from './record'
import { against, type GroupMerge, type Review } from './reviewOf'
import { factKey, sectionFacts, withFact } from './sectionFacts'
import { tokensOf, blocksOf, unsaid } from './tokens'

const NONE: ReadonlySet<string> = new Set()

/** The book with differences taken, those of the keys, as they are shown where those of `left` were refused. What cannot be taken with the others stays a difference. */
export function taken(review: Review, now: Book, keys: ReadonlySet<string>, left: ReadonlySet<string> = NONE): Book {
  const { groups } = against(review, now, left)
  const pen = new Taking(review, now, keys)
  groups.forEach(pen.changed)
  // In the order of the text that came back: what stands behind something that came finds it there.
  for (const s of review.back.sections) if (keys.has(`${s.id}/came`)) pen.section(s)
  for (const s of review.sent.sections)
    if (keys.has(`${s.id}/went`) && !review.layouts.back.sections.has(s.id)) pen.left(s.id)
  pen.placed()
  for (const id of review.went) if (keys.has(`${id}/went`)) pen.went(id)
  return withFiles(pen.finished(now), review.back)
}

/** A book in which parts are put elsewhere: its sections’ blocks by section. */
class Taking {
  private sections: Section[]
  private readonly content: Map<string, BlockJson[]>
  private readonly back: Layout
  /** Blocks of sections that went: those that stand elsewhere in what came back, and the author's own among them, behind which they follow. */
  private readonly waiting = new Map<string, BlockJson>()
  private readonly following: { block: BlockJson; behind: string | undefined; section: string | undefined }[] = []

  constructor(
    private readonly review: Review,
    now: Book,
    private readonly keys: ReadonlySet<string>,
  ) {
    this.back = review.layouts.back
    this.sections = [...now.sections]
    this.content = new Map(now.sections.filter(s => !s.made).map(s => [s.id, [...s.doc.content]]))
  }

  private home(id: string): string | undefined {
    for (const [section, blocks] of this.content) if (blocks.some(b => b.attrs.id === id)) return section
    return undefined
  }

  private remove(id: string): BlockJson | undefined {
    const section = this.home(id)
    const blocks = section === undefined ? undefined : this.content.get(section)!
    const at = blocks?.findIndex(b => b.attrs.id === id) ?? -1
    return at < 0 ? undefined : blocks!.splice(at, 1)[0]
  }

  /** Puts blocks where theirs stand: behind the nearest that stands before them there and is here, in its section. */
  private put(id: string, blocks: readonly BlockJson[]): void {
    const { section } = this.back.blocks.get(id)!
    const target = this.content.has(section) ? section : undefined
    const before = standsBehind(this.back.sections.get(section)!, id, b =>
      target === undefined ? this.home(b) !== undefined : this.content.get(target)!.some(x => x.attrs.id === b),
    )
    const home = target ?? (before === undefined ? [...this.content.keys()].at(-1)! : this.home(before)!)
    const content = this.content.get(home)!
    content.splice(before === undefined ? 0 : content.findIndex(b => b.attrs.id === before) + 1, 0, ...blocks)
  }

  readonly changed = ({ group, own, merged }: GroupMerge): void => {
    const [id] = group.before as [string]
    const { back } = this
    if (!own.length) {
      if (!this.keys.has(`${id}/gone`)) return
      const theirs = group.after.map(b => back.blocks.get(b)!.block)
      return this.put(group.after[0]!, theirs.flatMap(bareOf))
    }
    const chosen = merged.changes.filter(c => c.key.split('+').every(k => this.keys.has(k)) || this.keys.has(c.key))
    const next = chosen.length ? this.sound(merged, chosen) : undefined
    if (!next) return
    const home = this.home(own[0]!.attrs.id)!
    const at = this.content.get(home)!.findIndex(b => b.attrs.id === own[0]!.attrs.id)
    // Numbered by where the first stood, whatever goes with it.
    this.content.get(home)!.splice(at, 0, ...next.map(b => ({ ...b, attrs: { ...b.attrs } }) as BlockJson))
    const fresh = new Set<BlockJson>(this.content.get(home)!.slice(at, at + next.length))
    const names = new Set(own.map(b => b.attrs.id))
    for (const [section, blocks] of this.content)
      this.content.set(
        section,
        blocks.filter(b => fresh.has(b) || !names.has(b.attrs.id)),
      )
  }

  /** As many of the changes as make a text together. */
  private sound({ now }: GroupMerge['merged'], chosen: GroupMerge['merged']['changes']): BlockJson[] | undefined {
    const all = withChanges(now, chosen)
    if (all) return all
    const taken: (typeof chosen)[number][] = []
    for (const c of chosen) if (withChanges(now, [...taken, c])) taken.push(c)
    return taken.length ? withChanges(now, taken) : undefined
  }

  /** A section that came. What stood elsewhere goes there as it is now. */
  section(s: Section): void {
    if (this.sections.some(x => x.id === s.id)) return
    const all = this.review.back.sections
    const before = all.slice(0, all.indexOf(s)).findLast(x => this.sections.some(y => y.id === x.id))
    this.sections.splice(before ? this.sections.findIndex(x => x.id === before.id) + 1 : 0, 0, s)
    const { sent } = this.review.layouts
    const content = s.doc.content.flatMap((b): readonly BlockJson[] => {
      const here = this.remove(b.attrs.id)
      if (here) return [here]
      // What the author took out since stays out, until that is decided by itself.
      return sent.blocks.has(b.attrs.id) ? [] : bareOf(b)
    })
    this.content.set(s.id, content)
  }

  /** A section that went. What of it stands elsewhere in what came back goes there; what the author wrote among that since, with it. */
  left(id: string): void {
    const blocks = this.content.get(id)
    if (!blocks) return
    const at = this.sections.findIndex(s => s.id === id)
    const before = this.sections.slice(0, at).findLast(s => this.content.has(s.id))
    this.content.delete(id)
    this.sections.splice(at, 1)
    const { sent, back } = this.review.layouts
    if (!blocks.some(b => back.blocks.has(b.attrs.id))) return
    let last: string | undefined
    for (const b of blocks) {
      const { id: name } = b.attrs
      if (back.blocks.has(name)) this.waiting.set(name, b)
      else if (sent.blocks.has(name)) continue
      else this.following.push({ block: b, behind: last, section: before?.id })
      last = name
    }
  }

  /** Everything that came or stands elsewhere, in the order of what came back: each finds what stands before it in its place. */
  placed(): void {
    const came = new Set(this.review.came.filter(id => this.keys.has(`${id}/came`)))
    const moved = new Set<string>()
    for (const { id, section } of this.review.moves)
      if (this.keys.has(`${id}/to ${section}`)) {
        // What it was divided into goes with it.
        const parts = this.review.groups.find(g => g.before[0] === id)?.after ?? [id]
        for (const part of parts) moved.add(part)
      }
    for (const id of this.back.blocks.keys()) {
      const waits = this.waiting.get(id)
      if (waits) this.put(id, [waits])
      else if (came.has(id)) this.came(id)
      else if (moved.has(id)) this.moved(id)
    }
    for (const { block, behind, section } of this.following) {
      const home = behind === undefined ? section : this.home(behind)
      const content = this.content.get(home ?? '') ?? [...this.content.values()][0]!
      const at = behind === undefined ? content.length : content.findIndex(x => x.attrs.id === behind) + 1
      content.splice(at, 0, block)
    }
  }

  private came(id: string): void {
    if (this.home(id) === undefined) this.put(id, bareOf(this.back.blocks.get(id)!.block))
  }

  private moved(id: string): void {
    const block = this.remove(id)
    if (block) this.put(id, [block])
  }

  went(id: string): void {
    this.remove(id)
  }

  finished(now: Book): Book {
    let sections = this.sections.map(s => this.withFacts(this.withContent(s)))
    if (this.keys.has('sections/order')) sections = inOrderOf(sections, this.review.back.sections)
    sections = inParts(sections)
    const record = recordChanges(this.review.sent, this.review.back, now).filter(c => this.keys.has(c.key))
    return record.reduce(withRecordChange, { ...now, sections })
  }

  private withFacts(s: Section): Section {
    const theirs = this.back.sections.get(s.id)
    if (!theirs) return s
    return sectionFacts.reduce((is, f) => (this.keys.has(factKey(f, theirs)) ? withFact(is, f, theirs) : is), s)
  }

  private withContent(s: Section): Section {
    const theirs = this.back.sections.get(s.id)
    const title = theirs && this.keys.has(`${s.id}/title/${theirs.title}`) ? { title: theirs.title } : {}
    const content = this.content.get(s.id)
    const same =
      !content || (content.length === s.doc.content.length && content.every((b, i) => b === s.doc.content[i]))
    const doc = same ? {} : { doc: { ...s.doc, content: content.length ? content : [empty] } }
    const next = { ...s, ...title, ...doc }
    if (!theirs || !this.keys.has(`${s.id}/subtitle/${theirs.subtitle ?? ''}`))
      return same && !('title' in title) ? s : next
    const { subtitle: _was, ...rest } = next
    return { ...rest, ...(theirs.subtitle && { subtitle: theirs.subtitle }) }
  }
}

/** A block without what is said of it: that stands at its words when it comes in. */
const bareOf = (block: BlockJson): readonly BlockJson[] => blocksOf(tokensOf([block]).map(unsaid)) ?? [block]

/** A section holds a paragraph, whatever went. It is named when the book is made sound. */
const empty: BlockJson = { type: 'paragraph', attrs: { id: '', align: null } }

/** Sections that both have in the order of the other; the rest stay behind what they stood behind. */
function inOrderOf(sections: readonly Section[], order: readonly Section[]): Section[] {
  const rank = new Map(order.map((s, i) => [s.id, i]))
  const ranked = sections.filter(s => rank.has(s.id)).sort((a, b) => rank.get(a.id)! - rank.get(b.id)!)
  return sections.map(s => (rank.has(s.id) ? ranked.shift()! : s))
}

/** The book with the pictures, recordings and typefaces that it names now and that came with it; each name given once. */
function withFiles(book: Book, back: Book): Book {
  const { assets: own, recordings: played = [], fonts = [], ...rest } = book
  const says = JSON.stringify(rest)
  const came = <T extends { id: string }>(here: readonly T[], theirs: readonly T[] = []): T[] =>
    theirs.filter(a => !here.some(x => x.id === a.id) && says.includes(a.id))
  const [assets, recordings, faces] = [came(own, back.assets), came(played, back.recordings), came(fonts, back.fonts)]
  return withOwnIds({
    ...book,
    lastId: Math.max(book.lastId, back.lastId),
    ...(assets.length && { assets: [...own, ...assets] }),
    ...(recordings.length && { recordings: [...played, ...recordings] }),
    ...(faces.length && { fonts: [...fonts, ...faces] }),
  })
}
