import {
  type CellJson,
  type Crop,
  inlineText,
  isCrop,
  isTimed,
  MOST_SPOKEN,
  type MarkJson,
  type ParagraphJson,
  type Role,
  type RowJson,
  spokenLines,
} from '../../../book'
import { readHeading } from '../../headings'
import { type NoteJson, trimNote } from '../../inline'
import { wordsOfNote } from '../../noteWords'
import { countLook } from '../../looks'
import { type DropCounter, leading, type RawBlock, type RawPara, stretchesOf, textOfBlock } from '../../raw'
import { decoded, elements, find, MUTE, pathIn, recordingTypeOf, textOf, type XmlElement } from '../../../files'
import { decodeText } from '../../text'
import { classesOf, EM, type Look } from './css'
import { Line, type Standing } from './line'
import { type HtmlNotes, targetOf } from './notes'
import type { HtmlPage } from './page'
import { isDrawn, isMade, isOwn, roleOf } from './semantics'

/** What the pages refer to. */
export interface HtmlFiles {
  /** Bytes of a file by its path from the root of what is read. */
  file(path: string): Uint8Array | undefined
  notes: HtmlNotes
  dropped: DropCounter
  remade: DropCounter
  /** What is known of the book already: title, author and the like, as `bareWords` has them. */
  known?: ReadonlySet<string>
  /** The picture of its imprint, as a title page has it that the book makes by itself. */
  logo?: string
}

/** Words as they are held against each other: letters and figures alone. */
export const bareWords = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '')

/** Blocks that hold words by themselves. */
const TEXT_BLOCKS = new Set(['p', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'li', 'td', 'th', 'dt', 'dd'])
const BLOCKS = new Set(
  'address article aside blockquote body caption center dd details dialog dir div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hgroup hr legend li main menu nav ol p pre search section summary table tbody td tfoot th thead tr ul'.split(
    ' ',
  ),
)
/** Sizes by the letters around them. Headings are known by their names. */
const TIMES: Record<string, number> = {
  small: 0.83,
  big: 1.2,
  sup: 0.83,
  sub: 0.83,
}
/** Elements whose letters look as such elements do: that is no mark of the author's. */
const ROLES = new Set(['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'blockquote', 'caption', 'figcaption', 'th', 'dt'])
const BOLD = new Set(['b', 'strong'])
const ITALIC = new Set(['i', 'em', 'cite', 'dfn', 'var', 'address'])
const STRIKE = new Set(['s', 'strike', 'del'])
const UNDER = new Set(['u', 'ins'])
const HEADING = /^h([1-6])$/
const VERSE = /^(verse|poem|poetry|stanza|lg|line-?group|line-block)$/i
const STANZA = /^(stanza|lg|line-?group)$/i
const FIELDS = new Set(['button', 'datalist', 'input', 'meter', 'option', 'progress', 'select', 'textarea'])
const PLAYS = new Set(['audio', 'video'])
const MEDIA = new Set(['object', 'embed', 'iframe', 'canvas'])
/** Blocks in these are no blocks of the text. */
const NO_BLOCK = new Set(['svg', ...PLAYS])
/** A picture in the line that is no higher than this is a sign, ems. */
const SIGN_HEIGHT = 2.4

const PLAIN: Standing = {
  bold: false,
  italic: false,
  smallCaps: false,
  strike: false,
  caps: false,
  vertical: 'baseline',
  size: EM,
  align: null,
  left: 0,
  right: 0,
  keepsLines: false,
  links: [],
  language: undefined,
  mainly: undefined,
}

/** A list that a paragraph is an item of. */
type List = NonNullable<RawPara['list']>

/** Reads pages of HTML into blocks: nothing in them is run or fetched. */
export class HtmlReader {
  /** Pictures that stand in the text, by their paths. */
  readonly pictures = new Map<string, Uint8Array>()
  private readonly blockish = new WeakMap<XmlElement, boolean>()
  private readonly called = new Set<XmlElement>()
  private page!: HtmlPage
  private newPage = false
  private newFile = false
  private near = ''
  private lists = 0
  /** What the file says that the next heading heads; whether that says all, as in this app's own files. */
  private role: Role | undefined
  private ownHeads = false
  /** A note is being read: it calls no other. */
  private inNote = false
  /** A cell of a table is being read. */
  private inCell = false
  /** Names of what was passed since the last block: links to them lead to the next. */
  private passed: string[] = []

  constructor(private readonly files: HtmlFiles) {}

  /** All that stands on a page. */
  read(page: HtmlPage): RawBlock[] {
    this.page = page
    // What one page says of its headings is nothing to the next.
    this.role = undefined
    this.ownHeads = false
    const out: RawBlock[] = []
    this.passed.push(...this.files.notes.namesOf(page))
    const body = find({ name: '', attrs: {}, children: [page.root] }, 'body') ?? page.root
    this.block(body, this.plain, out)
    return out
  }

  /** How words look and what they are in where their page says nothing more. */
  private get plain(): Standing {
    const { attrs } = this.page.root
    const language = attrs['xml:lang'] ?? attrs.lang
    return { ...PLAIN, language, mainly: language }
  }

  /** The next block is the first of a file. */
  beginFile(): void {
    this.newPage = this.newFile = true
  }

  /** Notes that were found and not reached, as paragraphs: their calls stand where nothing is read. */
  uncalled(): RawBlock[] {
    const out: RawBlock[] = []
    const { byCall, bodies } = this.files.notes
    for (const note of byCall.values()) {
      if (this.called.has(note.body) || !bodies.delete(note.body)) continue
      this.page = note.page
      this.files.dropped.add('notes that nothing calls: they are kept as paragraphs', textOf(note.body))
      this.block(note.body, this.plain, out)
    }
    return out
  }

  private flow(e: XmlElement, s: Standing, out: RawBlock[], list?: List): void {
    let line = new Line()
    let first = true
    const flush = (): void => {
      this.put(line.blocks(this.factsOf(e, s, list && { ...list, ...(first ? {} : { goesOn: true }) })), out)
      if (line.text.trim()) first = false
      line = new Line()
    }
    for (const c of e.children) {
      if (typeof c !== 'string' && this.isBlock(c)) {
        flush()
        const before = out.length
        this.block(c, s, out, list && { ...list, ...(first ? {} : { goesOn: true }) })
        if (out.length > before) first = false
      } else this.inline(c, s, line)
    }
    flush()
  }

  private put(blocks: RawBlock[], out: RawBlock[]): void {
    for (const b of blocks) {
      const turned = this.newPage && (b.type === 'para' || b.type === 'picture')
      const file = this.newFile && b.type === 'para'
      // A section that the file names begins where it pleases; what cannot say that it begins a page begins it all the same.
      if (turned || ['section', 'table', 'verse'].includes(b.type)) this.newPage = this.newFile = false
      if (b.type === 'para') this.near = inlineText(b.content)
      // What stands in a note or a cell is no block of the book: what leads there leads to what it stands in.
      const anchors = this.passed.length && !this.inNote && !this.inCell ? this.passed.splice(0) : undefined
      out.push(
        turned || anchors
          ? {
              ...b,
              ...(turned ? { newPage: true, ...(file ? { newFile: true } : {}) } : {}),
              ...(anchors ? { anchors } : {}),
            }
          : b,
      )
    }
  }

  private factsOf(e: XmlElement, s: Standing, list: List | undefined): Omit<RawPara, 'type' | 'content'> {
    const level = HEADING.exec(e.name)?.[1] ?? (e.attrs.role === 'heading' ? (e.attrs['aria-level'] ?? '2') : undefined)
    const role = level ? this.role : undefined
    if (level) this.role = undefined
    const style = classesOf(e.attrs)[0]
    return {
      ...(style ? { style } : {}),
      ...(level ? { level: Number(level) } : {}),
      ...(role ? { role } : {}),
      ...(list && !level ? { list } : {}),
      align: s.align,
      ...(s.left || s.right ? { indent: { left: s.left, right: s.right } } : {}),
    }
  }

  private isBlock(e: XmlElement): boolean {
    let known = this.blockish.get(e)
    if (known === undefined) {
      known =
        BLOCKS.has(e.name) || (!NO_BLOCK.has(e.name) && !MUTE.has(e.name) && elements(e).some(c => this.isBlock(c)))
      this.blockish.set(e, known)
    }
    return known
  }

  /** How words in an element stand. */
  private within(e: XmlElement, s: Standing, look: Look): Standing {
    const { name } = e
    const block = BLOCKS.has(name)
    const own = ROLES.has(name) ? {} : look
    const times = look.size && 'times' in look.size ? look.size.times : (TIMES[name] ?? 1)
    return {
      ...s,
      bold: own.bold ?? (s.bold || BOLD.has(name)),
      italic: own.italic ?? (s.italic || ITALIC.has(name)),
      smallCaps: own.smallCaps ?? s.smallCaps,
      strike: look.strike || s.strike || STRIKE.has(name),
      caps: own.caps ?? s.caps,
      vertical: look.vertical ?? (name === 'sup' ? 'superscript' : name === 'sub' ? 'subscript' : s.vertical),
      size: look.size && 'points' in look.size ? look.size.points : s.size * times,
      align: look.align !== undefined ? look.align : (alignOf(e) ?? s.align),
      left: s.left + (block ? (look.left ?? 0) : 0),
      right: s.right + (block ? (look.right ?? 0) : 0),
      keepsLines: look.keepsLines ?? (s.keepsLines || name === 'pre'),
      language: e.attrs['xml:lang'] ?? e.attrs.lang ?? s.language,
    }
  }

  private block(e: XmlElement, outer: Standing, out: RawBlock[], list?: List): void {
    const { dropped, notes } = this.files
    if (MUTE.has(e.name) || notes.bodies.has(e)) return
    this.passed.push(...notes.namesOf(this.page, e))
    const look = this.page.styles.of(e)
    if (look.hidden || e.attrs.hidden !== undefined) return this.hidden(e)
    if (look.pageBefore) this.newPage = true
    this.countBlock(e, look)
    const role = roleOf(e)
    // How quotations look is the style's, too.
    const styled = isOwn(e, role) || (this.ownHeads && e.name === 'blockquote')
    const s = styled ? outer : this.within(e, outer, look)
    if (isMade(e)) return this.made(e, s, out)
    if (role && e.name !== 'nav') {
      this.ownHeads = isOwn(e, role)
      if (hasHeading(e)) this.role = role
      else this.put([{ type: 'section', role, why: 'the file says so' }], out)
    }
    const verse = !HEADING.test(e.name) && classesOf(e.attrs).some(c => VERSE.test(c))
    if (e.name === 'nav' || isContents(e)) {
      const words = this.wordsOf(e)
      if (words.trim()) dropped.add('typed contents list', words.replace(/\s+/g, ' '), 1, words)
    } else if (e.attrs.role === 'separator' && e.name !== 'hr') this.put([{ type: 'scene' }], out)
    else if (isNotesSection(e)) this.notesSection(e, s, out)
    else if (verse) this.verse(e, s, out)
    else this.named(e, s, out, list)
    if (look.pageAfter) this.newPage = true
  }

  private named(e: XmlElement, s: Standing, out: RawBlock[], list: List | undefined): void {
    switch (e.name) {
      case 'h1':
        return this.heading(e, s, out, list)
      case 'hr':
        return this.put([{ type: classesOf(e.attrs).includes('turn') ? 'page' : 'scene' }], out)
      case 'ul':
      case 'ol':
      case 'menu':
      case 'dir':
        return this.list(e, s, out, list)
      case 'dd':
        return this.flow(e, { ...s, left: s.left + 2 * EM }, out)
      case 'table':
        return this.table(e, s, out)
      case 'figure':
        return this.figure(e, s, out)
      case 'blockquote': {
        const inner: RawBlock[] = []
        this.flow(e, { ...s, left: 0, right: 0 }, inner)
        const kind = classesOf(e.attrs).includes('letter') ? 'letter' : 'quote'
        if (inner.length) out.push({ type: 'container', kind, blocks: inner })
        return
      }
      default:
        return this.flow(e, s, out, list)
    }
  }

  /** A page that the book makes by itself: what it says that is known already goes, the rest stands. */
  private made(e: XmlElement, s: Standing, out: RawBlock[]): void {
    const own: RawBlock[] = []
    this.flow(e, s, own)
    const all = classesOf(e.attrs).includes('made')
    const logo = elements(e).find(c => classesOf(c.attrs).includes('logo'))
    const left = own.filter(b => {
      if (logo && b.type === 'picture' && this.files.known) {
        this.files.logo = b.key
        return false
      }
      const words = textOfBlock(b)
      const known = b.type === 'para' && (all || this.files.known?.has(bareWords(words)))
      if (known) this.files.remade.add('title and copyright pages that the book makes by itself', words, 1, words)
      return !known
    })
    this.put(left, out)
  }

  /** A heading; its number may stand in it apart from its title. */
  private heading(e: XmlElement, s: Standing, out: RawBlock[], list: List | undefined): void {
    const number = elements(e).find(c => classesOf(c.attrs).includes('number'))
    const before = out.length
    const own = this.ownHeads
    const role = this.role
    if (number) {
      const rest = without(e, new Set([number]))
      const words = textOf(number)
      const counts = textOf(rest).trim() ? own || readNumeralIn(words) : own
      if (!counts) return this.flow(e, s, out, list)
      this.files.remade.add('numbers of chapters, which the book makes by itself', words, 1, words)
      if (!textOf(rest).trim()) {
        this.role = undefined
        return this.put([{ type: 'section', role: role ?? 'chapter', numbered: true, why: 'the file says so' }], out)
      }
      this.flow(rest, s, out, list)
    } else this.flow(e, s, out, list)
    const head = out[before]
    if (head?.type === 'para' && (own || number)) out[before] = { ...head, numbered: !!number }
  }

  private hidden(e: XmlElement): void {
    const words = this.wordsOf(e)
    if (words.trim()) this.files.dropped.add('hidden text', words.trim(), 1, words)
  }

  private inline(c: XmlElement | string, s: Standing, line: Line): void {
    if (typeof c === 'string') return line.words(c, s)
    const { dropped, notes } = this.files
    if (MUTE.has(c.name)) return
    const look = this.page.styles.of(c)
    if (look.hidden || c.attrs.hidden !== undefined) return this.hidden(c)
    this.passed.push(...notes.namesOf(this.page, c))
    const note = notes.byCall.get(c)
    if (note) return this.call(c, line)
    this.countLooks(c, look, line)
    const inner = this.ownHeads && isDrawn(c) ? s : this.within(c, s, look)
    switch (c.name) {
      case 'br':
        return line.add({ type: 'hard_break' })
      case 'wbr':
        return
      case 'img':
      case 'image':
        return this.picture(c, { look, links: inner.links }, line)
      case 'svg': {
        const picture = find(c, 'image')
        if (picture) return this.picture(picture, { look: {}, links: inner.links, drawing: c }, line)
        return dropped.add('drawings', this.nearby(line), 1, this.wordsOf(c))
      }
      case 'math':
        dropped.add('formulas: their signs are kept as text', textOf(c).trim() || this.nearby(line))
        return line.words(textOf(c), inner)
      case 'ruby':
        return this.ruby(c, inner, line)
      case 'a': {
        const marks = this.link(c)
        return this.inlines(c, marks ? { ...inner, links: [...inner.links, marks] } : inner, line)
      }
      case 'q': {
        line.words('“', inner)
        this.inlines(c, inner, line)
        return line.words('”', inner)
      }
    }
    if (FIELDS.has(c.name)) return dropped.add('fields to be filled in', this.nearby(line), 1, this.wordsOf(c))
    if (PLAYS.has(c.name)) return this.recording(c, line)
    if (MEDIA.has(c.name)) return dropped.add('sound, film and the like', this.nearby(line), 1, this.wordsOf(c))
    // A line of verse that begins farther in, as this app writes it.
    const farther = classesOf(c.attrs).includes('line') && /\bin(\d)\b/.exec(c.attrs.class ?? '')?.[1]
    if (farther) line.words('\u00a0'.repeat(Number(farther)), inner)
    this.inlines(c, inner, line)
  }

  private inlines(e: XmlElement, s: Standing, line: Line): void {
    for (const c of e.children) this.inline(c, s, line)
  }

  /** What an inline element asks for that a book's text has not. */
  private countLooks(e: XmlElement, look: Look, line: Line): void {
    if (BLOCKS.has(e.name) || !textOf(e).trim()) return
    // Links are underlined and coloured by whoever shows them.
    const link = e.name === 'a'
    const own = {
      underline: (look.underline && !link) || UNDER.has(e.name),
      coloured: !link && (look.coloured || (e.name === 'font' && !!e.attrs.color)),
      marked: look.marked || e.name === 'mark',
    }
    countLook(own, `${line.text}${textOf(e)}`, this.files.dropped)
  }

  /** A colour that a paragraph has of its own; what all of its kind have is the page's dress and no author's. */
  private countBlock(e: XmlElement, look: Look): void {
    if (!TEXT_BLOCKS.has(e.name) || !(look.coloured || look.marked) || !textOf(e).trim()) return
    const all = this.page.styles.of({ ...e, attrs: {} })
    const own = { coloured: look.coloured && !all.coloured, marked: look.marked && !all.marked }
    countLook(own, textOf(e), this.files.dropped)
  }

  private link(e: XmlElement): MarkJson | undefined {
    const { href } = e.attrs
    if (!href || !(textOf(e).trim() || find(e, 'img') || find(e, 'image'))) return undefined
    if (/^(https?|mailto|tel):/i.test(href.trim())) return { type: 'link', attrs: { href: href.trim() } }
    if (/^[a-z][a-z0-9+.-]*:/i.test(href.trim())) {
      this.files.dropped.add('links that books must not carry: their words are kept', textOf(e).trim())
      return undefined
    }
    return { type: 'link', attrs: { href: `#${targetOf(this.page, href)}` } }
  }

  /** A call of a note: the note's words stand with it. */
  private call(link: XmlElement, line: Line): void {
    const { dropped, notes } = this.files
    const note = notes.byCall.get(link)!
    const sign = textOf(link)
    if (this.inNote) return dropped.add('calls of notes inside notes', this.nearby(line), 1, sign)
    this.files.remade.add('numbers of notes, which the book makes by itself', this.nearby(line), 1, sign)
    if (this.called.has(note.body)) return dropped.add('further calls of a note that stands already', this.nearby(line))
    this.called.add(note.body)
    line.add({ type: 'footnote', attrs: { id: '' }, content: this.noteWords(link) })
  }

  private noteWords(link: XmlElement): NoteJson {
    const { dropped, notes } = this.files
    const { body, page, sign, back } = notes.byCall.get(link)!
    const [here, turned, near] = [this.page, this.newPage, this.near]
    this.page = page
    this.inNote = true
    const blocks: RawBlock[] = []
    const gone = [...back].map(b => textOf(b)).join('')
    if (gone) this.files.remade.add('numbers of notes, which the book makes by itself', sign, 1, gone)
    this.flow(without(body, back), this.plain, blocks)
    this.inNote = false
    ;[this.page, this.newPage, this.near] = [here, turned, near]
    return this.withoutSign(wordsOfNote(blocks, dropped, sign), sign)
  }

  /** A note's words without the sign that is typed before them. */
  private withoutSign(content: NoteJson, sign: string): NoteJson {
    const first = content[0]
    if (first?.type !== 'text') return content
    const bare = sign.replace(/[[\](){}.]/g, '')
    const typed = new RegExp(`^\\s*[\\[(]?(${bare.replace(/[*+?^$.|\\]/g, '\\$&')})?[\\])]?[.:)\\]]*\\s*`).exec(
      first.text,
    )![0]
    if (!typed.trim()) return content
    this.files.remade.add('numbers of notes, which the book makes by itself', sign, 1, typed)
    return trimNote([{ ...first, text: first.text.slice(typed.length) }, ...content.slice(1)])
  }

  /** A section of notes: what is left of it when those that are called have gone. */
  private notesSection(e: XmlElement, s: Standing, out: RawBlock[]): void {
    const own: RawBlock[] = []
    const before = this.role
    this.flow(e, s, own)
    const words = own.filter(b => b.type !== 'scene' && !(b.type === 'para' && b.level !== undefined))
    if (words.length) return this.put(own, out)
    this.role = before
    for (const b of own)
      if (b.type === 'para')
        this.files.remade.add(
          'headings of notes, which stand where they are called',
          inlineText(b.content),
          1,
          inlineText(b.content),
        )
  }

  private picture(
    e: XmlElement,
    { look, links, drawing }: { look: Look; links: readonly MarkJson[]; drawing?: XmlElement },
    line: Line,
  ): void {
    const { dropped } = this.files
    const src = (e.attrs.src ?? e.attrs['xlink:href'] ?? e.attrs.href ?? '').trim()
    const alt = (e.attrs.alt ?? drawing?.attrs['aria-label'] ?? '').replace(/\s+/g, ' ').trim()
    const found = this.pictureAt(src)
    if (!found) return dropped.add('pictures that are not in the file', alt || src.slice(0, 60) || this.nearby(line))
    this.pictures.set(found.key, found.bytes)
    const height = look.height ?? (Number.parseFloat(e.attrs.height ?? '') * 0.75) / EM
    if (height > 0 && height <= SIGN_HEIGHT)
      line.add({
        type: 'sign',
        attrs: { asset: found.key, alt, decoration: !alt, height: Math.round(height * 100) / 100 },
      })
    else {
      const crop = drawing && cropOf(drawing, e)
      line.pictures.push({ type: 'picture', key: found.key, alt, ...leading(links), ...(crop && { crop }) })
    }
  }

  /** A sound or a film, with its still and, where they are timed, its words. What stands in it is for devices that play nothing. */
  private recording(e: XmlElement, line: Line): void {
    const { dropped } = this.files
    const words = this.wordsOf(e)
    const alt = (e.attrs['aria-label'] ?? e.attrs.title ?? '').replace(/\s+/g, ' ').trim()
    const inside = elements(e)
    const sources = [e, ...inside.filter(c => c.name === 'source')].map(c => this.fileAt((c.attrs.src ?? '').trim()))
    const found = sources.find(f => f && recordingTypeOf(f.bytes))
    const near = alt || this.nearby(line)
    if (!found) return dropped.add('sound and film that are not in the file, or that no ebook plays', near, 1, words)
    if (words.trim()) dropped.add('words for devices that play no sound and film', near, 1, words)
    const still = this.fileAt((e.attrs.poster ?? '').trim())
    for (const f of [found, still]) if (f) this.pictures.set(f.key, f.bytes)
    const tracks = inside.filter(c => c.name === 'track').map(c => this.fileAt((c.attrs.src ?? '').trim()))
    const texts = tracks.map(t => (t ? decodeText(t.bytes) : ''))
    const taken = texts.findIndex(t => isTimed(t) && t.length <= MOST_SPOKEN)
    const spoken = texts[taken] ?? ''
    const others = texts.filter((_, i) => i !== taken)
    if (others.length)
      dropped.add(
        'words of recordings that are not in the file, too long, or further ones',
        near,
        others.length,
        others.flatMap(spokenLines).join(' '),
      )
    line.pictures.push({
      type: 'picture',
      key: still?.key ?? '',
      alt,
      plays: { key: found.key, spoken },
    })
  }

  private pictureAt(src: string): { key: string; bytes: Uint8Array } | undefined {
    const data = /^data:image\/[\w.+-]+;base64,([\s\S]+)$/i.exec(src)
    if (data)
      try {
        const bytes = Uint8Array.from(atob(decoded(data[1]!).replace(/\s+/g, '')), c => c.charCodeAt(0))
        return { key: `data:${this.pictures.size}`, bytes }
      } catch {
        return undefined
      }
    return this.fileAt(src)
  }

  /** A file beside the page, by the address that the page has for it. */
  private fileAt(src: string): { key: string; bytes: Uint8Array } | undefined {
    if (!src || /^[a-z][a-z0-9+.-]*:/i.test(src)) return undefined
    const folder = this.page.path.slice(0, this.page.path.lastIndexOf('/') + 1)
    const key = pathIn(folder, decoded(src.split(/[?#]/)[0]!))
    const bytes = this.files.file(key)
    return bytes && { key, bytes }
  }

  private figure(e: XmlElement, s: Standing, out: RawBlock[]): void {
    const caption = find(e, 'figcaption')
    const spoken = classesOf(e.attrs).includes('plays') ? elements(e).find(c => c.name === 'details') : undefined
    const all: RawBlock[] = []
    this.flow(without(e, new Set([caption, spoken].filter(c => c !== undefined))), s, all)
    const plays = all.flatMap(b => (b.type === 'picture' && b.plays ? [b.plays] : []))[0]
    // The words of a recording, as this app writes them below it; where it cannot take them, or has others at their times, they are text.
    const said = spoken ? spokenIn(spoken) : ''
    const takes = plays && said.length <= MOST_SPOKEN && sameWords(said, plays.spoken || said)
    if (spoken && !takes) this.flow(spoken, s, all)
    const own = plays ? asPlaying(all, takes ? said : '') : all
    const words: RawBlock[] = []
    if (caption) this.flow(caption, this.within(caption, s, this.page.styles.of(caption)), words)
    const pictures = own.filter(b => b.type === 'picture')
    // A caption of one paragraph is that of the one picture; others are paragraphs.
    if (pictures.length === 1 && words.length === 1 && words[0]!.type === 'para') {
      const [{ content }] = words as [RawPara]
      return this.put(
        own.map(b => (b.type === 'picture' ? { ...b, caption: content } : b)),
        out,
      )
    }
    this.put([...own, ...words], out)
  }

  private ruby(e: XmlElement, s: Standing, line: Line): void {
    for (const c of e.children) {
      if (typeof c === 'string' || !['rt', 'rp', 'rtc'].includes(c.name)) this.inline(c, s, line)
      else if (c.name !== 'rp' && textOf(c).trim()) {
        this.files.dropped.add('readings over characters: they stand behind them in brackets', textOf(c))
        line.words(` (${textOf(c).trim()})`, s)
      }
    }
  }

  private list(e: XmlElement, s: Standing, out: RawBlock[], outer: List | undefined): void {
    const start = Number.parseInt(e.attrs.start ?? '1', 10)
    const list: List = {
      key: outer?.key ?? `${this.page.path}/${(this.lists += 1)}`,
      level: outer ? Math.min(8, outer.level + 1) : 0,
      ordered: e.name === 'ol',
      start: Number.isFinite(start) && start >= 0 && start <= 99_999 ? start : 1,
    }
    for (const c of e.children) {
      if (typeof c === 'string') {
        if (c.trim()) this.flow({ name: 'li', attrs: {}, children: [c] }, s, out, list)
      } else if (c.name === 'ul' || c.name === 'ol') this.list(c, s, out, list)
      else this.block(c, { ...s, left: 0 }, out, list)
    }
  }

  private table(e: XmlElement, s: Standing, out: RawBlock[]): void {
    for (const c of elements(e)) if (c.name === 'caption') this.block(c, { ...s, align: 'center' }, out)
    const rows = rowsOf(e)
    // What only uses a table to stand somewhere is no table.
    const single = rows.every(r => elements(r).length <= 1)
    if (single || e.attrs.role === 'presentation' || hasHeading(e) || rows.some(r => find(r, 'table'))) {
      for (const r of rows) for (const c of elements(r)) this.block(c, s, out)
      return
    }
    const behind: RawBlock[] = []
    const read: RowJson[] = []
    for (const r of rows) {
      if (this.files.notes.bodies.has(r)) continue
      const cells = elements(r)
        .filter(c => c.name === 'td' || c.name === 'th')
        .map((c): CellJson => {
          const said = (name: string, most: number): number =>
            Math.min(most, Math.max(1, Number.parseInt(c.attrs[name] ?? '1', 10) || 1))
          const [span, deep] = [said('colspan', 60), said('rowspan', 200)]
          return { type: 'cell', attrs: { span, ...(deep > 1 && { rows: deep }) }, content: this.cell(c, s, behind) }
        })
      const head = elements(r).every(c => c.name === 'th')
      // A row that cells of others cover wholly has none of its own, and is one for them to reach over.
      const covered = read.some((above, i) => above.content.some(c => i + (c.attrs.rows ?? 1) > read.length))
      if (cells.length || covered) read.push({ type: 'row', attrs: { head: head || isInHead(e, r) }, content: cells })
    }
    if (read.some(r => r.content.some(c => c.content.some(p => p.content?.length))))
      this.put([{ type: 'table', table: { type: 'table', attrs: { id: '' }, content: read } }], out)
    this.put(behind, out)
  }

  private cell(c: XmlElement, s: Standing, behind: RawBlock[]): ParagraphJson[] {
    const own: RawBlock[] = []
    const within = this.inCell
    this.inCell = true
    this.flow(c, { ...this.within(c, s, this.page.styles.of(c)), left: 0, right: 0, bold: s.bold }, own)
    this.inCell = within
    const content = own.flatMap((b): ParagraphJson[] => {
      if (b.type === 'picture') {
        this.files.dropped.add('pictures inside a table cell: they stand behind the table', b.alt || this.near)
        behind.push(b)
        return []
      }
      return stretchesOf(b).map(content => ({
        type: 'paragraph',
        attrs: { id: '', align: b.type === 'para' ? (b.align ?? null) : null },
        content,
      }))
    })
    return content.length ? content : emptyCell().content
  }

  /** Lines of verse: paragraphs with breaks are stanzas, as are elements that say so; others are lines. */
  private verse(e: XmlElement, s: Standing, out: RawBlock[]): void {
    const lines: Extract<RawBlock, { type: 'verse' }>['lines'] = []
    const stanzas = e.children.some(c => typeof c !== 'string' && isStanza(c)) ? e.children : [e]
    for (const part of stanzas) {
      const own: RawBlock[] = []
      if (typeof part === 'string') {
        if (!part.trim()) continue
        this.flow({ ...e, children: [part] }, { ...s, left: 0, right: 0 }, own)
      } else if (part === e) this.flow(e, { ...s, left: 0, right: 0 }, own)
      else this.block({ ...part, attrs: {} }, { ...s, left: 0, right: 0 }, own)
      let begins = true
      let several = false
      for (const b of own) {
        // What is no paragraph ends the verse.
        if (b.type !== 'para' || b.level !== undefined) {
          this.put(versesOf(lines), out)
          this.put([b], out)
          continue
        }
        const parts = linesOf(b)
        parts.forEach((content, i) => {
          const first = content[0]
          const indent = first?.type === 'text' ? /^[\u00a0\u2003]*/.exec(first.text)![0].length : 0
          if (first?.type === 'text' && indent) content[0] = { ...first, text: first.text.slice(indent) }
          lines.push({ content, indent, stanza: i === 0 && (begins || several || parts.length > 1) })
        })
        several = parts.length > 1
        begins = false
      }
    }
    this.put(versesOf(lines), out)
  }

  /** The words of what is passed over; notes in it stand where they are called, or by themselves. */
  private wordsOf(e: XmlElement): string {
    return textOf(without(e, this.files.notes.bodies))
  }

  private nearby(line: Line): string {
    return line.text.trim() || this.near
  }
}

const emptyCell = (): CellJson => ({
  type: 'cell',
  attrs: { span: 1 },
  content: [{ type: 'paragraph', attrs: { id: '', align: null } }],
})

/** Takes lines into a verse, where there are any. */
function versesOf(lines: Extract<RawBlock, { type: 'verse' }>['lines']): RawBlock[] {
  const taken = lines.splice(0)
  return taken.length ? [{ type: 'verse', lines: taken }] : []
}

function linesOf({ content }: RawPara): RawPara['content'][] {
  const out: RawPara['content'][] = [[]]
  for (const n of content) {
    if (n.type === 'hard_break') out.push([])
    else out.at(-1)!.push(n)
  }
  for (const l of out) {
    const first = l[0]
    if (first?.type === 'text') l[0] = { ...first, text: first.text.replace(/^ +/, '') }
  }
  return out.filter(l => l.length)
}

/** The words below a recording, a paragraph each; what stands over them is this app's own. */
const spokenIn = (e: XmlElement): string =>
  elements(e)
    .filter(c => c.name !== 'summary')
    .map(c => textOf(c).replace(/\s+/g, ' ').trim())
    .join('\n\n')

/** Whether two forms of a recording's words say the same, whatever their times and lines. */
function sameWords(a: string, b: string): boolean {
  const bare = (t: string): string => spokenLines(t).join('').replace(/\s+/g, '')
  return bare(a) === bare(b)
}

/** A recording with the still above it, and its words. */
function asPlaying(blocks: readonly RawBlock[], said: string): RawBlock[] {
  const [still, playing] = [
    blocks.find(b => b.type === 'picture' && !b.plays),
    blocks.find(b => b.type === 'picture' && b.plays),
  ]
  if (playing?.type !== 'picture' || !playing.plays) return [...blocks]
  const whole: RawBlock = {
    ...playing,
    ...(still?.type === 'picture' ? { ...still, alt: playing.alt || still.alt } : {}),
    plays: { ...playing.plays, spoken: playing.plays.spoken || said },
  }
  return blocks.flatMap(b => (b === still ? [] : b === playing ? [whole] : [b]))
}

const isStanza = (e: XmlElement): boolean => classesOf(e.attrs).some(c => STANZA.test(c))

/** An element without some that stand in it. */
function without(e: XmlElement, gone: ReadonlySet<XmlElement>): XmlElement {
  if (!gone.size) return e
  return {
    ...e,
    children: e.children.flatMap((c): XmlElement['children'] =>
      typeof c === 'string' ? [c] : gone.has(c) ? [] : [without(c, gone)],
    ),
  }
}

const rowsOf = (e: XmlElement): XmlElement[] =>
  elements(e).flatMap(c => (c.name === 'tr' ? [c] : ['thead', 'tbody', 'tfoot'].includes(c.name) ? rowsOf(c) : []))

const isInHead = (table: XmlElement, row: XmlElement): boolean =>
  elements(table).some(c => c.name === 'thead' && elements(c).includes(row))

/** Whether words say a number: "IV", "Chapter Seven". */
const readNumeralIn = (words: string): boolean => readHeading(words).number !== undefined

function hasHeading(e: XmlElement): boolean {
  return elements(e).some(c => HEADING.test(c.name) || hasHeading(c))
}

/** What a drawing leaves out that looks at a part of its one picture (SVG 2, viewBox); nothing where it is not that plain. */
function cropOf(drawing: XmlElement, image: XmlElement): Crop | undefined {
  const view = (drawing.attrs.viewbox ?? drawing.attrs.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const [x, y, w, h] = view
  const [width, height] = [Number(image.attrs.width), Number(image.attrs.height)]
  if (view.length !== 4 || !(width > 0 && height > 0)) return undefined
  const part = (n: number): number => Math.round(Math.max(0, n) * 1000) / 1000
  const crop: Crop = {
    top: part(y! / height),
    right: part(1 - (x! + w!) / width),
    bottom: part(1 - (y! + h!) / height),
    left: part(x! / width),
  }
  return isCrop(crop) && Object.values(crop).some(n => n > 0) ? crop : undefined
}

const typesOf = (e: XmlElement): string => `${e.attrs['epub:type'] ?? ''} ${e.attrs.role ?? ''}`

const isNotesSection = (e: XmlElement): boolean =>
  /\b(footnotes|endnotes|rearnotes|doc-endnotes|doc-footnotes)\b/.test(typesOf(e)) ||
  (e.name !== 'body' && classesOf(e.attrs).some(c => /^(footnotes|endnotes)$/i.test(c)))

const isContents = (e: XmlElement): boolean => /(^|\s)(toc|doc-toc|landmarks|page-list)(\s|$)/.test(typesOf(e))

function alignOf({ name, attrs }: XmlElement): 'center' | 'right' | null | undefined {
  if (name === 'center') return 'center'
  const v = attrs.align?.toLowerCase()
  return v === 'center' || v === 'right' ? v : v === 'left' || v === 'justify' ? null : undefined
}
