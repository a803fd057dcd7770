import { isSound } from '@/core/archive'
import {
  type Align,
  type Asset,
  type BlockJson,
  type Book,
  type CellJson,
  type DocJson,
  gridOf,
  type HeadingJson,
  Ids,
  type ImageJson,
  type InlineJson,
  inlineText,
  joinedRemarks,
  type ListJson,
  type MarkJson,
  type ParagraphJson,
  type Remark,
  safeHref,
  type Section,
  type TableJson,
  withOwnIds,
} from '@/core/book'
import {
  docOfLeaves,
  type Holder,
  type Leaf,
  leafKey,
  type LeafNode,
  leavesOf,
  placesOf,
  readRide,
  type Rider,
  riderOf,
  SCENE_BREAK,
  styleNames,
  wordsOfLeaf,
} from '@/core/copies'
import { type RawBlock, type RawManuscript, type RawPara, readAsset, readDocx } from '@/core/intake'
import type { Report } from '@/core/trade'
import type { Returned, Told } from '../returned'
import { inMarkOrder, ridingOf } from './ride'
import { withUnsaid } from './unsaid'

/** What went out, when, and the highest number that an id has by now. */
export interface ReadingReturned {
  sent: Book
  at: number
  lastId: number
  report?: Report
}

/**
 * Reads a word-processor file that went out from here and has come back, as if all its recorded changes were taken. `sent`: the
 * book as it went out, with the sections that went; `lastId`: the highest number that an id has by now; `at`: when it went.
 */
export async function readReturnedDocx(
  bytes: Uint8Array,
  { sent, at, lastId, report }: ReadingReturned,
): Promise<Returned> {
  const rider = await riderOf({
    ...{ book: sent, sections: sent.sections, heading: () => '', picture: () => undefined },
    round: { id: '', at },
  })
  const raw = readDocx(bytes, report, false, ridingOf(rider))
  const back = new Back(sent, rider, raw, lastId)
  for (const block of raw.blocks) back.take(block)
  return { ...back.finished(), dropped: raw.dropped.list().filter(d => !/^deleted text of tracked/.test(d.what)) }
}

/** A leaf that came back, with what is known of changes to it. */
interface BackLeaf extends Leaf {
  told: readonly Told[]
}

/** A leaf that went out. */
interface KnownLeaf extends Leaf {
  words: readonly InlineJson[]
}

interface BackSection {
  was: Section | undefined
  id: string
  title: string
  subtitle: string | undefined
  leaves: BackLeaf[]
}

class Back {
  private readonly sections: BackSection[] = []
  private readonly ids: Ids
  private readonly told: Record<string, Told[]> = {}
  private readonly assets: Asset[] = []
  private readonly bytes = new Map<string, Uint8Array>()
  private readonly found = new Set<string>()
  private holders = 0
  /** What was said of the title that was passed. */
  private onTitle: Remark[] = []

  constructor(
    private readonly sent: Book,
    private readonly rider: Rider,
    private readonly raw: Pick<RawManuscript, 'pictures' | 'dropped'>,
    lastId: number,
  ) {
    this.ids = new Ids(lastId)
  }

  take(block: RawBlock): void {
    const rides = (block.anchors ?? []).flatMap(a => readRide(a) ?? [])
    const told = block.tracked ?? []
    const title = rides.find(r => r.ride === 'title')
    const subtitle = rides.find(r => r.ride === 'subtitle')
    if (title && block.type === 'para') {
      this.begin(title.id, inlineText(block.content), told)
      this.onTitle = remarksIn(block.content)
    } else if (subtitle && block.type === 'para') {
      this.onTitle.push(...remarksIn(block.content))
      const section = this.sections.find(s => s.id === subtitle.id)
      if (section) section.subtitle = inlineText(block.content) || undefined
    } else if (block.type === 'para' && block.level === 1 && !rides.length) {
      // A heading of the first rank that was written there begins a chapter.
      if (inlineText(block.content).trim()) this.begin('', inlineText(block.content), told)
    } else this.leaf(block, rides, told)
  }

  private begin(id: string, title: string, told: readonly Told[]): void {
    const was = this.sent.sections.find(s => s.id === id)
    const own = was ? id : this.ids.section()
    if (this.sections.some(s => s.id === own)) return this.push({ type: 'paragraph', attrs: { id: '' } }, title, told)
    if (told.length) this.told[own] = [...told]
    this.sections.push({ was, id: own, title, subtitle: undefined, leaves: [] })
  }

  /** Words as a paragraph of their own. */
  private push(node: ParagraphJson, words: string, told: readonly Told[]): void {
    const content = words ? { content: [{ type: 'text' as const, text: words }] } : {}
    this.current().leaves.push({ in: [], node: { ...node, ...content }, told })
  }

  /** The section that is being read; what stands before the first is the first's. */
  private current(): BackSection {
    const last = this.sections.at(-1)
    if (last) return last
    const first = this.sent.sections[0]!
    const begun: BackSection = { was: first, id: first.id, title: first.title, subtitle: first.subtitle, leaves: [] }
    this.sections.push(begun)
    return begun
  }

  private leaf(block: RawBlock, rides: { ride: string; id: string }[], told: readonly Told[]): void {
    const { leaves } = this.current()
    const caption = rides.find(r => r.ride === 'picture')
    const last = leaves.at(-1)
    if (caption && block.type === 'para' && last?.node.type === 'image' && last.node.attrs.id === caption.id)
      return this.captioned(leaves, block.content, told)
    const isTable = (r: { id: string }): boolean => this.rider.leaves.get(leafKey('block', r.id))?.node.type === 'table'
    const name = rides.find(r => (block.type === 'table' ? isTable(r) : r.ride === 'block' || r.ride === 'line'))
    const key = name && leafKey(name.ride as 'block' | 'line', name.id)
    const known = key && !this.found.has(key) ? this.rider.leaves.get(key) : undefined
    if (known) this.found.add(key!)
    const made = this.withTitleRemarks(this.made(block, known, leaves))
    leaves.push(...made.map((l, i) => ({ ...l, told: i ? [] : told })))
  }

  /** What was said of a title, which bears no remarks, stands at the first words below it. */
  private withTitleRemarks(leaves: Leaf[]): Leaf[] {
    const at = leaves.findIndex(l => wordsOfLeaf(l).some(n => n.type === 'text' && n.text.trim()))
    if (!this.onTitle.length || at < 0) return leaves
    const remark = this.onTitle.splice(0).reduce(joinedRemarks)
    const words = wordsOfLeaf(leaves[at]!)
    const first = words.findIndex(n => n.type === 'text' && n.text.trim())
    const content = words.map((n, i): InlineJson => {
      if (i !== first) return n
      const was = n.marks?.find(m => m.type === 'remark')
      const attrs = was ? joinedRemarks(was.attrs, remark) : remark
      return inMarkOrder({ ...n, marks: [...(n.marks ?? []).filter(m => m !== was), { type: 'remark', attrs }] })
    })
    return leaves.map((l, i) => (i === at ? ({ ...l, node: { ...l.node, content } } as Leaf) : l))
  }

  private captioned(leaves: BackLeaf[], words: InlineJson[], told: readonly Told[]): void {
    const last = leaves.pop()!
    const image = (last.node as ImageJson).attrs.id
    const content = this.words(words, this.rider.leaves.get(leafKey('block', image))?.words)
    const node = { ...(last.node as ImageJson), ...(content.length && { content }) }
    leaves.push({ in: [], node, told: [...last.told, ...told] })
  }

  private made(block: RawBlock, known: ReturnType<Rider['leaves']['get']>, before: readonly Leaf[]): Leaf[] {
    switch (block.type) {
      case 'para':
        return this.paragraph(block, known as KnownLeaf | undefined, before)
      case 'table':
        return [{ in: [], node: this.table(block.table, known?.node as TableJson | undefined) }]
      case 'picture':
        return this.picture(block, known as Leaf | undefined)
      default:
        return []
    }
  }

  /** A paragraph as what it was, where the file still says so; as what the file says, otherwise. */
  private paragraph(raw: RawPara, known: KnownLeaf | undefined, before: readonly Leaf[]): Leaf[] {
    const content = this.words(raw.content, known?.words)
    const said = kindSaid(raw)
    const text = inlineText(content)
    if (known && said === kindWritten(known)) {
      const { node } = known
      const words = content.length ? { content } : {}
      if (node.type === 'scene_break' && text === SCENE_BREAK) return [known]
      if (node.type === 'page_break' && !text) return [known]
      // What stood for a picture may have been written over.
      if (node.type === 'image')
        return [known, ...(/^\[[^\]]*\]$/.test(text) ? [] : [{ in: [], node: { ...fresh(), ...words } }])]
      if (node.type === 'paragraph')
        return [{ in: known.in, node: { ...node, attrs: { ...node.attrs, ...alignOf(raw, node) }, ...words } }]
      if (node.type === 'heading' || node.type === 'line') return [{ in: known.in, node: { ...node, ...words } }]
    }
    const id = known && 'id' in known.node.attrs ? known.node.attrs.id : ''
    return [this.asSaid(raw, said, content, { id, before })]
  }

  private asSaid(
    raw: RawPara,
    said: string,
    content: InlineJson[],
    { id, before }: { id: string; before: readonly Leaf[] },
  ): Leaf {
    const words = content.length ? { content } : {}
    const paragraph: ParagraphJson = { type: 'paragraph', attrs: { id, align: raw.align ?? null }, ...words }
    if (said === 'break' && inlineText(content).trim() === SCENE_BREAK)
      return { in: [], node: { type: 'scene_break', attrs: { id } } }
    if (said === 'page' && !content.length) return { in: [], node: { type: 'page_break', attrs: { id } } }
    if (raw.level) {
      const heading: HeadingJson = {
        type: 'heading',
        attrs: { id, level: Math.min(6, Math.max(1, raw.level - 1)) },
        ...words,
      }
      return { in: [], node: heading }
    }
    if (said === 'verse') {
      const node: LeafNode = { type: 'line', attrs: { indent: 0, stanza: false }, ...words }
      return { in: this.goingOn('verse', before) ?? [this.holder('verse')], node }
    }
    if (said === 'quote' || said === 'letter')
      return { in: this.goingOn(said, before) ?? [this.holder(said)], node: paragraph }
    if (said === 'list' && raw.list) {
      const list = this.goingOn('list', before) ?? [this.holder('list', raw.list)]
      return { in: [...list, { key: `item ${++this.holders} came`, type: 'item' }], node: paragraph }
    }
    return { in: [], node: paragraph }
  }

  /** What holds the leaf before, down to the innermost of a kind. */
  private goingOn(type: Holder['type'], before: readonly Leaf[]): readonly Holder[] | undefined {
    const within = before.at(-1)?.in ?? []
    const at = within.findLastIndex(h => h.type === type)
    return at < 0 ? undefined : within.slice(0, at + 1)
  }

  private holder(type: 'verse' | 'quote' | 'letter' | 'list', list?: RawPara['list']): Holder {
    const id = this.ids.block()
    const attrs: Partial<ListJson['attrs']> = { id, ...(list && { ordered: list.ordered, start: list.start }) }
    return { key: id, type, attrs: attrs as Record<string, unknown> }
  }

  private table(raw: TableJson, known: TableJson | undefined): TableJson {
    const fillers = known ? this.fillers(raw, known.attrs.id) : new Set()
    const paragraph = (p: ParagraphJson): ParagraphJson => {
      const was = this.rider.leaves.get(leafKey('block', p.attrs.id))?.node as ParagraphJson | undefined
      const content = this.words(p.content ?? [], this.rider.leaves.get(leafKey('block', p.attrs.id))?.words)
      const attrs = was ? { ...p.attrs, ...was.attrs, ...alignOf(p.attrs, was) } : p.attrs
      return { type: 'paragraph', attrs, ...(content.length && { content }) }
    }
    const content = raw.content.map(r => ({
      ...r,
      content: r.content
        .filter(c => !fillers.has(c))
        .map(c => ({
          ...c,
          attrs: { span: c.attrs.span, rows: c.attrs.rows ?? 1 },
          content: c.content.map(paragraph),
        })),
    }))
    const table: TableJson = { ...raw, attrs: { id: known?.attrs.id ?? '' }, content }
    const sent = known && this.sentTable(known.attrs.id)
    return sent && cellsOf(sent) === cellsOf(table) ? reaching(table, sent) : table
  }

  private sentTable(id: string): TableJson | undefined {
    for (const s of this.sent.sections)
      for (const { node } of leavesOf(s.doc)) if (node.type === 'table' && node.attrs.id === id) return node
    return undefined
  }

  /** Empty cells that stand where the table that went out had none. */
  private fillers(raw: TableJson, id: string): ReadonlySet<unknown> {
    const sent = this.sentTable(id)
    const gaps = new Set<string>()
    if (sent)
      placesOf(sent).forEach((places, row) => {
        for (const p of places) if (p.is === 'gap') gaps.add(`${row} ${p.column}`)
      })
    const isEmpty = (c: CellJson): boolean =>
      c.content.length === 1 && !c.content[0]!.content?.length && !c.content[0]!.attrs.id
    return new Set(
      gridOf(raw).cells.flatMap(c => (gaps.has(`${c.row} ${c.column}`) && isEmpty(c.cell) ? [c.cell] : [])),
    )
  }

  private picture(raw: Extract<RawBlock, { type: 'picture' }>, known: Leaf | undefined): Leaf[] {
    if (known?.node.type === 'image') {
      const { node } = known
      const alt = raw.alt && raw.alt !== node.attrs.alt && !node.attrs.decoration ? { alt: raw.alt } : {}
      return [{ in: known.in, node: { ...node, attrs: { ...node.attrs, ...alt } } }]
    }
    const asset = this.asset(raw.key)
    if (!asset) return []
    return [{ in: [], node: { type: 'image', attrs: { id: '', asset, alt: raw.alt, decoration: false, share: 1 } } }]
  }

  /** A picture that came new. */
  private asset(key: string): string | undefined {
    const bytes = this.raw.pictures.get(key)
    const asset = bytes && readAsset(bytes, key.split('/').pop())
    if (!asset) {
      this.raw.dropped.add('pictures in a format, or of a size, that books cannot use', key)
      return undefined
    }
    const there = [...this.sent.assets, ...this.assets].some(a => a.id === asset.id)
    if (!there) {
      this.assets.push(asset)
      this.bytes.set(asset.id, bytes)
    }
    return asset.id
  }

  /** Words as the book has them: links by its own ids, signs by their pictures; with what the file could not say of those that went out. */
  private words(content: readonly InlineJson[], sent: readonly InlineJson[] = []): InlineJson[] {
    // A sign whose bookmark was lost is one of those that went: as many came as are missing.
    const missing = sent.filter(n => n.type === 'sign' && !content.includes(n))
    const strange = content.filter(n => n.type === 'sign' && !this.rider.signs.includes(n))
    const known = strange.length === missing.length ? new Map(strange.map((n, i) => [n, missing[i]!])) : new Map()
    const read = content.flatMap((n): InlineJson[] => {
      const marks = n.marks?.flatMap((m): MarkJson[] => {
        if (m.type !== 'link') return [m]
        const ride = m.attrs.href.startsWith('#') ? readRide(m.attrs.href.slice(1)) : undefined
        const href = ride ? `#${ride.id}` : safeHref(m.attrs.href)
        if (!href) this.raw.dropped.add('links that lead where a book must not: their words are kept', m.attrs.href)
        return href ? [{ ...m, attrs: { href } }] : []
      })
      const { marks: _marks, ...bare } = known.get(n) ?? n
      const node = inMarkOrder({ ...bare, ...(marks?.length && { marks }) } as InlineJson)
      if (node.type !== 'sign' || known.has(n) || this.rider.signs.includes(n as never)) return [node]
      const asset = this.asset(node.attrs.asset)
      return asset ? [{ ...node, attrs: { ...node.attrs, asset } }] : []
    })
    return withUnsaid(sent, read)
  }

  finished(): Omit<Returned, 'dropped'> {
    const names = new Named(this.sent, this.ids)
    const sections = this.sections.map(({ was, id, title, subtitle, leaves }): Section => {
      const named = names.section(leaves)
      named.forEach(({ node, told, in: within }) => {
        const block = within.length ? String(within[0]!.attrs?.id ?? '') : 'id' in node.attrs ? node.attrs.id : ''
        if (block && told.length) this.told[block] = [...(this.told[block] ?? []), ...told]
      })
      const facts = was ?? { part: 'body' as const, role: 'chapter' as const, numbered: true, made: false }
      const { subtitle: _was, ...rest } = facts as Section
      const whole = named.length
        ? named
        : [{ in: [], node: { ...fresh(), attrs: { id: this.ids.block(), align: null } } }]
      const doc = soundDoc(docOfLeaves(whole), this.ids)
      return { ...rest, id, title, ...(subtitle && { subtitle }), doc }
    })
    // What was doubled on the way has two bearers: the first keeps the name.
    const own = withOwnIds({ sections, lastId: this.ids.last })
    return { ...own, assets: this.assets, pictures: this.bytes, told: this.told }
  }
}

/** Which paragraphs stand together in the cells of each row. */
const cellsOf = (table: TableJson): string =>
  JSON.stringify(table.content.map(r => r.content.map(c => c.content.map(p => p.attrs.id))))

/** A table whose cells reach as those of another: programs count columns their own way. */
const reaching = (table: TableJson, as: TableJson): TableJson => ({
  ...table,
  content: table.content.map((r, i) => ({
    ...r,
    content: r.content.map((c, k) => ({ ...c, attrs: as.content[i]!.content[k]!.attrs })),
  })),
})

/** A document in which blocks that no text may have, as an item that begins with a list, are the paragraphs that they hold. */
const soundDoc = (doc: DocJson, ids: Ids): DocJson => ({
  ...doc,
  content: doc.content.flatMap(b => (isSound({ ...doc, content: [b] }) ? [b] : loose(b, ids))),
})

const loose = (block: BlockJson, ids: Ids): BlockJson[] =>
  leavesOf({ type: 'doc', content: [block] }).map(({ node }, i): BlockJson => {
    if (node.type !== 'line') return node
    const id = i ? ids.block() : block.attrs.id
    return { type: 'paragraph', attrs: { id, align: null }, ...(node.content && { content: node.content }) }
  })

const remarksIn = (content: readonly InlineJson[]): Remark[] =>
  content.flatMap(n => (n.marks ?? []).flatMap(m => (m.type === 'remark' ? [m.attrs] : [])))

const fresh = (): ParagraphJson => ({ type: 'paragraph', attrs: { id: '', align: null } })

/** Names for what came without one: that of what went out and said the same, where nothing else bears it; or a new one. */
class Named {
  private readonly waiting = new Map<string, string[]>()

  constructor(
    sent: Book,
    private readonly ids: Ids,
  ) {
    for (const s of sent.sections)
      for (const leaf of leavesOf(s.doc)) {
        const text = inlineText(wordsOfLeaf(leaf), true)
        if (/\p{L}/u.test(text) && 'id' in leaf.node.attrs && leaf.node.type !== 'image') {
          const ids = this.waiting.get(text) ?? []
          this.waiting.set(text, [...ids, leaf.node.attrs.id])
        }
      }
  }

  section(leaves: readonly BackLeaf[]): BackLeaf[] {
    const bearers = new Map(
      leaves.flatMap((l, i) => ('id' in l.node.attrs && l.node.attrs.id ? [[l.node.attrs.id, i] as const] : [])),
    )
    const own = leaves.map(l => ('id' in l.node.attrs ? l.node.attrs.id : ''))
    leaves.forEach((leaf, i) => {
      if (own[i]) return
      const text = inlineText(wordsOfLeaf(leaf), true)
      const was = (this.waiting.get(text) ?? []).find(id => {
        const bearer = bearers.get(id)
        return bearer === undefined || (own[bearer] === id && inlineText(wordsOfLeaf(leaves[bearer]!), true) !== text)
      })
      if (!was) return
      const bearer = bearers.get(was)
      if (bearer !== undefined) own[bearer] = ''
      own[i] = was
      bearers.set(was, i)
    })
    return leaves.map((leaf, i) => {
      const { node } = leaf
      if (!('id' in node.attrs)) return { ...leaf, node: this.withNotes(node) }
      const id = own[i] || this.ids.block()
      return { ...leaf, node: this.withNotes({ ...node, attrs: { ...node.attrs, id } } as LeafNode) }
    })
  }

  /** Notes, and paragraphs of tables, that came without a name. */
  private withNotes(node: LeafNode): LeafNode {
    const inline = (content: InlineJson[]): InlineJson[] =>
      content.map(n => (n.type === 'footnote' && !n.attrs.id ? { ...n, attrs: { id: this.ids.note() } } : n))
    if (node.type !== 'table')
      return 'content' in node && node.content
        ? ({ ...node, content: inline(node.content as InlineJson[]) } as LeafNode)
        : node
    const paragraph = (p: ParagraphJson): ParagraphJson => ({
      ...p,
      attrs: { ...p.attrs, id: p.attrs.id || this.ids.block() },
      ...(p.content && { content: inline(p.content) }),
    })
    const rows = node.content.map(r => ({
      ...r,
      content: r.content.map(c => ({ ...c, content: c.content.map(paragraph) })),
    }))
    return { ...node, content: rows }
  }
}

/** What a paragraph is, as its file says it. */
function kindSaid({ level, style, list, content }: RawPara): string {
  if (level) return `heading ${level}`
  if (list) return 'list'
  const known = Object.entries(styleNames).find(([, name]) => name.toLowerCase() === style?.toLowerCase())
  const kind = known?.[0] === 'further' ? 'list' : known?.[0]
  if (kind === 'page' && content.length) return 'paragraph'
  return kind && kind !== 'caption' && kind !== 'subtitle' ? kind : 'paragraph'
}

/** What its file says of a leaf that goes out. */
function kindWritten({ node, in: within }: Leaf): string {
  switch (node.type) {
    case 'heading':
      return `heading ${Math.min(6, node.attrs.level + 1)}`
    case 'line':
      return 'verse'
    case 'scene_break':
      return 'break'
    case 'page_break':
      return 'page'
    case 'image':
      return 'picture'
    default: {
      const inner = within.findLast(h => h.type !== 'item')?.type
      return inner ?? 'paragraph'
    }
  }
}

/** Alignment as the file says it; what stands at the left by itself may be said to. */
const alignOf = (raw: { align?: Align }, { attrs }: ParagraphJson): Pick<ParagraphJson['attrs'], 'align'> =>
  (raw.align ?? null) === (attrs.align === 'left' ? null : (attrs.align ?? null)) ? {} : { align: raw.align ?? null }
